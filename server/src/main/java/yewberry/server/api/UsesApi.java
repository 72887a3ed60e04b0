package yewberry.server.api;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Refused;
import yewberry.core.publication.Publication;
import yewberry.server.publications.Publications;
import yewberry.server.view.UsedIn;

/** Where things of the catalogue are used. */
@RestController
class UsesApi {
    private static final int MOST = 50;

    private final Publications publications;

    UsesApi(Publications publications) {
        this.publications = publications;
    }

    /**
     * One for each id, in their order; one that is not there is used nowhere.
     *
     * @param of swatches, looks, pictures, parents and recipes, at most 50
     */
    @GetMapping("/api/publications/{id}/uses")
    List<UsedIn> uses(@PathVariable UUID id, @RequestParam List<UUID> of) {
        if (of.size() > MOST) {
            throw new Refused("Ask for the uses of at most %d things at once.".formatted(MOST));
        }
        Publication publication = publications.get(id).state().publication();
        return of.stream().map(each -> UsedIn.of(each, publication)).toList();
    }
}
