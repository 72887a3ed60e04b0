package yewberry.server.publications;

import java.io.IOException;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.pdf.AddedItem;
import yewberry.pdf.AddedLayers;
import yewberry.server.view.AddedBefore;

/** Reads what files say was added to them before they came in. */
@Component
public class AddedMarks {
    private final Publications publications;
    private final PictureFiles files;

    AddedMarks(Publications publications, PictureFiles files) {
        this.publications = publications;
        this.files = files;
    }

    /** Of all files whose pages are in a publication, by kind. */
    public List<AddedBefore> of(UUID id) {
        Publication publication = publications.get(id).state().publication();
        Set<UUID> assets =
                publication.pages().stream()
                        .flatMap(page -> page.imported().stream())
                        .map(Imported::asset)
                        .collect(Collectors.toCollection(LinkedHashSet::new));
        Map<AddedItem.Kind, Integer> items = new EnumMap<>(AddedItem.Kind.class);
        Map<AddedItem.Kind, Integer> in = new EnumMap<>(AddedItem.Kind.class);
        for (UUID asset : assets) {
            Cancellation.check();
            List<AddedItem> all =
                    added(files.read(publication.asset(asset).sha256())).values().stream()
                            .flatMap(List::stream)
                            .toList();
            all.forEach(item -> items.merge(item.kind(), 1, Integer::sum));
            all.stream()
                    .map(AddedItem::kind)
                    .distinct()
                    .forEach(kind -> in.merge(kind, 1, Integer::sum));
        }
        return items.entrySet().stream()
                .map(each -> new AddedBefore(each.getKey(), each.getValue(), in.get(each.getKey())))
                .toList();
    }

    /** A file that cannot be changed has nothing that could come off. */
    private static Map<Integer, List<AddedItem>> added(byte[] file) {
        try {
            return AddedLayers.added(file);
        } catch (IOException | Refused unreadable) {
            return Map.of();
        }
    }
}
