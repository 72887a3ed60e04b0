package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Pages of files as they came, before anything was put behind or over them. */
public final class AsItCame {
    private AsItCame() {}

    /**
     * A publication in which some pages have nothing of its own, and the files that they are of
     * their own colours. A page that is of no file is bare.
     */
    public static Publication of(Publication publication, List<UUID> pages) {
        Publication bare = publication;
        for (UUID id : pages) {
            Optional<UUID> file = publication.page(id).imported().map(Imported::asset);
            bare =
                    bare.withPages(
                            bare.pages()
                                    .changed(
                                            id,
                                            page ->
                                                    page.withParent(Optional.empty())
                                                            .withLayer(Layer.EMPTY)));
            if (file.isPresent() && bare.assets().holds(file.get())) {
                bare =
                        bare.withAssets(
                                bare.assets()
                                        .changed(
                                                file.get(),
                                                asset ->
                                                        asset.withRecolored(List.of())
                                                                .withBackings(List.of())));
            }
        }
        return bare;
    }
}
