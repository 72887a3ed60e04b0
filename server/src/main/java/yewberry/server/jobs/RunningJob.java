package yewberry.server.jobs;

import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CancellationException;

/** How far a job has come; whoever follows it can wait for the next step. */
final class RunningJob {
    /** So long nobody is told again how far it is, in nanoseconds. */
    private static final long QUIET = 200_000_000;

    /** So many seconds of a phase are awaited before its pace is told. */
    private static final double PACE = 2;

    /** A pace is that of the last one or two of these, in nanoseconds: files differ. */
    private static final long LATELY = 10_000_000_000L;

    private static final class Mark {
        final long at;
        final int done;

        Mark(long at, int done) {
            this.at = at;
            this.done = done;
        }
    }

    private final UUID publication;
    private long told = System.nanoTime() - QUIET;
    private String phase = "";

    /** Where it was a while ago, from where its pace is told, and where it was not so long ago. */
    private Mark before = new Mark(0, 0);

    private Mark lately = before;
    private int done;
    private int all;
    private int changes;
    private boolean begun;
    private boolean cancelled;
    private boolean ended;

    RunningJob(UUID publication) {
        this.publication = publication;
    }

    UUID publication() {
        return publication;
    }

    /** False where it was cancelled while it waited. */
    synchronized boolean begin() {
        begun = !cancelled;
        return begun;
    }

    synchronized void at(String newPhase, int newDone, int newAll) {
        if (cancelled) {
            throw new CancellationException();
        }
        long now = System.nanoTime();
        if (!phase.equals(newPhase)) {
            phase = newPhase;
            before = new Mark(now, newDone);
            lately = before;
        } else if (now - lately.at > LATELY) {
            before = lately;
            lately = new Mark(now, newDone);
        }
        done = newDone;
        all = newAll;
        changes++;
        notifyAll();
    }

    /** Whether it is time to tell how far it is; then it is not again for a while. */
    synchronized boolean isToBeTold() {
        long now = System.nanoTime();
        if (now - told < QUIET) {
            return false;
        }
        told = now;
        return true;
    }

    /**
     * @return whether it had not begun, so that it is over now
     */
    synchronized boolean cancel() {
        cancelled = true;
        return !begun && !ended;
    }

    synchronized void end() {
        ended = true;
        notifyAll();
    }

    synchronized void awaitChange(int seen) throws InterruptedException {
        long until = System.nanoTime() + 10_000_000_000L;
        while (!ended && changes == seen && System.nanoTime() < until) {
            wait(1000);
        }
    }

    synchronized int changes() {
        return changes;
    }

    synchronized String phase() {
        return phase;
    }

    /** Seconds to the end of this phase at its latest pace; nothing while that cannot be told. */
    synchronized Optional<Integer> left() {
        double seconds = (System.nanoTime() - before.at) / 1e9;
        int made = done - before.done;
        return phase.isEmpty() || made <= 0 || seconds < PACE
                ? Optional.empty()
                : Optional.of((int) Math.ceil(seconds / made * (all - done)));
    }

    synchronized int done() {
        return done;
    }

    synchronized int all() {
        return all;
    }
}
