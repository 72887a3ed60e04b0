package yewberry.server.demo;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.stereotype.Component;
import yewberry.core.publication.Publication;
import yewberry.server.Settings;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.store.PublicationStore;

/** Puts the demo's publications on the shelf: when asked to, or by itself on an empty one. */
@Component
public class DemoData implements SmartInitializingSingleton {
    private final Publications publications;
    private final PictureFiles files;
    private final Settings settings;

    DemoData(Publications publications, PictureFiles files, Settings settings) {
        this.publications = publications;
        this.files = files;
        this.settings = settings;
    }

    /** Before the server answers, so that nobody finds the shelf half full. */
    @Override
    public void afterSingletonsInstantiated() {
        if (settings.demo() && publications.list().isEmpty()) {
            add();
        }
    }

    /**
     * Adds those that are not on the shelf.
     *
     * @return the id of the season guide
     */
    public synchronized UUID add() {
        Publication guide = DemoPublication.seasonGuide(files::add);
        List<Publication> all =
                List.of(
                        DemoLogSheets.publication(files::add),
                        DemoLeaflet.publication(files::add),
                        guide);
        Set<UUID> there =
                publications.list().stream()
                        .map(PublicationStore.Listed::id)
                        .collect(Collectors.toSet());
        all.stream().filter(each -> !there.contains(each.id())).forEach(publications::create);
        return guide.id();
    }
}
