package yewberry.server.publications;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import yewberry.core.findings.KnownFinding;
import yewberry.core.publication.Publication;
import yewberry.server.store.FindingStore;

/**
 * Keeps what was found wrong, so that it can be told what was mended since: what is not found any
 * more though its page and its text are still there. What comes back, by undoing say, is open
 * again.
 */
@Component
public class FindingLedger {
    /** So many of the last ones that were mended are kept. */
    private static final int MOST = 500;

    private final FindingStore store;
    private final Clock clock;
    private final Map<UUID, Book> books = new ConcurrentHashMap<>();

    FindingLedger(FindingStore store, Clock clock) {
        this.store = store;
        this.clock = clock;
    }

    /** Of one publication. */
    private static final class Book {
        private final Map<UUID, KnownFinding> known = new HashMap<>();
        private long revision = -1;
    }

    /**
     * Notes what is found in a state in which every page was checked.
     *
     * @param found all of it, whether an exception holds for it or not
     * @return what was mended, the last first
     */
    public List<KnownFinding> note(
            Publication publication, long revision, Collection<KnownFinding> found) {
        UUID id = publication.id();
        Book book = books.computeIfAbsent(id, this::read);
        synchronized (book) {
            if (revision > book.revision) {
                book.revision = revision;
                update(book, publication, found);
            }
            return mended(book);
        }
    }

    private Book read(UUID publication) {
        Book book = new Book();
        store.read(publication).forEach(each -> book.known.put(each.key(), each));
        return book;
    }

    private void update(Book book, Publication publication, Collection<KnownFinding> found) {
        List<KnownFinding> changed = new ArrayList<>();
        Map<UUID, KnownFinding> now = new HashMap<>();
        found.forEach(each -> now.putIfAbsent(each.key(), each));
        now.values().stream()
                .filter(each -> !each.equals(book.known.get(each.key())))
                .forEach(changed::add);
        List<UUID> gone = new ArrayList<>();
        Instant instant = clock.instant();
        for (KnownFinding each : book.known.values()) {
            if (now.containsKey(each.key())) {
                continue;
            }
            if (!isThere(each, publication)) {
                gone.add(each.key());
            } else if (each.mended().isEmpty()) {
                changed.add(each.withMended(Optional.of(instant)));
            }
        }
        changed.forEach(each -> book.known.put(each.key(), each));
        gone.forEach(book.known::remove);
        mended(book).stream().skip(MOST).map(KnownFinding::key).forEach(gone::add);
        gone.forEach(book.known::remove);
        if (!store.keep(publication.id(), changed, gone)) {
            books.remove(publication.id()); // what is found is told all the same, and kept later
        }
    }

    private static boolean isThere(KnownFinding each, Publication publication) {
        return publication.pages().position(each.page()).isPresent()
                && each.run().stream().allMatch(run -> publication.findRun(run).isPresent());
    }

    private static List<KnownFinding> mended(Book book) {
        return book.known.values().stream()
                .filter(each -> each.mended().isPresent())
                .sorted(
                        Comparator.comparing((KnownFinding each) -> each.mended().orElseThrow())
                                .reversed()
                                .thenComparing(KnownFinding::text)
                                .thenComparing(KnownFinding::key))
                .toList();
    }
}
