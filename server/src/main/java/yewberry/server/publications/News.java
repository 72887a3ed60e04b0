package yewberry.server.publications;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Component;
import yewberry.server.view.ShelfNews;
import yewberry.server.view.StepNews;
import yewberry.server.view.Told;

/**
 * Tells those who follow which publication was changed, and by whom, what came to the shelf and
 * went, and how far exports are. Nobody who follows slowly holds up an edit: who falls too far
 * behind is told so, and looks at everything anew.
 */
@Component
public class News {
    /** So many wait for one follower. */
    private static final int WAITING = 256;

    /** Each browser needs one; of browsers that left it takes a while to hear. */
    private static final int MOST = 100;

    /** With the names of the people, those who came first at the front. */
    private final Map<Follower, String> followers = new LinkedHashMap<>();

    /** One browser that follows. */
    public static final class Follower {
        private final String author;
        private final BlockingQueue<Told> waiting = new ArrayBlockingQueue<>(WAITING);
        private volatile boolean behind;

        private Follower(String author) {
            this.author = author;
        }

        /** What comes next, or nothing if nothing came in this time. */
        public Optional<Told> next(Duration longest) throws InterruptedException {
            return Optional.ofNullable(waiting.poll(longest.toMillis(), TimeUnit.MILLISECONDS));
        }

        /** Whether it has missed some. */
        public boolean isBehind() {
            return behind;
        }
    }

    /**
     * @param author the name that the browser gave itself
     * @param name of the person, or empty
     */
    public synchronized Follower follow(String author, String name) {
        if (followers.size() >= MOST) {
            Follower first = followers.keySet().iterator().next();
            first.behind = true; // if it is still there, it comes again
            followers.remove(first);
        }
        Follower follower = new Follower(author);
        followers.put(follower, name);
        return follower;
    }

    public synchronized void leave(Follower follower) {
        followers.remove(follower);
    }

    /** How many follow. */
    public synchronized int count() {
        return followers.size();
    }

    synchronized void stored(UUID publication, long revision, String author) {
        String name =
                followers.entrySet().stream()
                        .filter(each -> each.getKey().author.equals(author))
                        .map(Map.Entry::getValue)
                        .filter(each -> !each.isEmpty())
                        .findFirst()
                        .orElse("");
        tell(new StepNews(publication, revision, author, name));
    }

    void created(UUID publication) {
        tell(new ShelfNews(publication, false));
    }

    void removed(UUID publication) {
        tell(new ShelfNews(publication, true));
    }

    public synchronized void tell(Told news) {
        for (Follower each : followers.keySet()) {
            if (!each.waiting.offer(news)) {
                each.behind = true;
            }
        }
    }
}
