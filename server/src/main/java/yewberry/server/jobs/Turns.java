package yewberry.server.jobs;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.Iterator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** Exports of several publications at once; those of one publication in their order. */
final class Turns {
    private static final class Waiting {
        final UUID publication;
        final Runnable export;

        Waiting(UUID publication, Runnable export) {
            this.publication = publication;
            this.export = export;
        }
    }

    private final int atOnce;
    private final ExecutorService workers;
    private final List<Waiting> waiting = new ArrayList<>();
    private final Set<UUID> busy = new HashSet<>();

    /**
     * @param atOnce so many run at most
     */
    Turns(int atOnce) {
        this.atOnce = atOnce;
        this.workers = Executors.newFixedThreadPool(atOnce);
    }

    /** Runs it when it is its turn. */
    synchronized void add(UUID publication, Runnable export) {
        waiting.add(new Waiting(publication, export));
        begin();
    }

    private synchronized void begin() {
        Iterator<Waiting> each = waiting.iterator();
        while (busy.size() < atOnce && each.hasNext() && !workers.isShutdown()) {
            Waiting next = each.next();
            if (busy.add(next.publication)) {
                each.remove();
                workers.execute(() -> run(next));
            }
        }
    }

    private void run(Waiting turn) {
        try {
            turn.export.run();
        } finally {
            over(turn.publication);
        }
    }

    private synchronized void over(UUID publication) {
        busy.remove(publication);
        begin();
    }

    /** Begins no more of them. */
    synchronized void close() {
        waiting.clear();
        workers.shutdown();
    }
}
