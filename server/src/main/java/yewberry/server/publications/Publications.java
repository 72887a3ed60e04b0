package yewberry.server.publications;

import java.lang.ref.WeakReference;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.DependsOn;
import org.springframework.stereotype.Component;
import yewberry.core.findings.CheckedPages;
import yewberry.core.publication.Publication;
import yewberry.server.store.PublicationStore;

/** All publications; those worked on lately are kept open. */
@Component
@DependsOn("typefaces")
public class Publications {
    private static final int OPEN = 16;

    /** So many pages of all open publications together are as much as the heap is for. */
    private static final int OPEN_PAGES = 40_000;

    private final PublicationStore store;
    private final PressConditions conditions;
    private final PictureFiles files;
    private final News news;
    private final CheckedPages checked = new CheckedPages();
    private final Map<UUID, OpenPublication> open = new LinkedHashMap<>(OPEN, 0.75f, true);

    /** All that somebody still holds, so that there is never a second one to write. */
    private final Map<UUID, WeakReference<OpenPublication>> held = new ConcurrentHashMap<>();

    /** Reading a large one holds up only those who want the same. */
    private final Map<UUID, Object> locks = new ConcurrentHashMap<>();

    Publications(
            PublicationStore store, PressConditions conditions, PictureFiles files, News news) {
        this.store = store;
        this.conditions = conditions;
        this.files = files;
        this.news = news;
    }

    public List<PublicationStore.Listed> list() {
        return store.list();
    }

    /**
     * @throws Missing if there is none of this id
     */
    public OpenPublication get(UUID id) {
        OpenPublication publication = known(id).orElseGet(() -> read(id));
        synchronized (open) {
            open.put(id, publication);
            while (open.size() > OPEN || (open.size() > 1 && pages() > OPEN_PAGES)) {
                open.remove(open.keySet().iterator().next());
            }
        }
        return publication;
    }

    private int pages() {
        return open.values().stream()
                .mapToInt(each -> each.state().publication().pages().size())
                .sum();
    }

    private Optional<OpenPublication> known(UUID id) {
        return Optional.ofNullable(held.get(id)).map(WeakReference::get);
    }

    private OpenPublication read(UUID id) {
        synchronized (locks.computeIfAbsent(id, key -> new Object())) {
            Optional<OpenPublication> meanwhile = known(id);
            if (meanwhile.isPresent()) {
                return meanwhile.get();
            }
            Optional<PublicationStore.StoredPublication> stored = store.read(id);
            if (stored.isEmpty()) {
                locks.remove(id);
                throw new Missing("publication");
            }
            OpenPublication fresh =
                    new OpenPublication(stored.get(), store, conditions, files, checked, news);
            held.values().removeIf(each -> each.get() == null);
            held.put(id, new WeakReference<>(fresh));
            return fresh;
        }
    }

    public void create(Publication publication) {
        store.create(publication);
        news.created(publication.id());
    }

    /** Whoever still holds it can read it, and no longer change it. */
    public void delete(UUID id) {
        get(id).delete();
        synchronized (open) {
            open.remove(id);
        }
        held.remove(id);
        locks.remove(id);
        news.removed(id);
    }
}
