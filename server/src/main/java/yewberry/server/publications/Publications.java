package yewberry.server.publications;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import yewberry.core.publication.Publication;
import yewberry.server.store.PublicationStore;

/** All publications; those worked on lately are kept open. */
@Component
public class Publications {
    private static final int OPEN = 16;

    private final PublicationStore store;
    private final PressConditions conditions;
    private final PictureFiles files;
    private final Map<UUID, OpenPublication> open = new LinkedHashMap<>(OPEN, 0.75f, true);

    Publications(PublicationStore store, PressConditions conditions, PictureFiles files) {
        this.store = store;
        this.conditions = conditions;
        this.files = files;
    }

    public List<PublicationStore.Listed> list() {
        return store.list();
    }

    /**
     * @throws Missing if there is none of this id
     */
    public OpenPublication get(UUID id) {
        synchronized (open) {
            OpenPublication known = open.get(id);
            if (known == null) {
                known =
                        new OpenPublication(
                                store.read(id).orElseThrow(() -> new Missing("publication")),
                                store,
                                conditions,
                                files);
                open.put(id, known);
                if (open.size() > OPEN) {
                    open.remove(open.keySet().iterator().next());
                }
            }
            return known;
        }
    }

    public void create(Publication publication) {
        store.create(publication);
    }

    public void delete(UUID id) {
        get(id);
        synchronized (open) {
            store.delete(id);
            open.remove(id);
        }
    }
}
