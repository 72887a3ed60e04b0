package yewberry.server.jobs;

import java.util.concurrent.CancellationException;

/** How far a job has come; whoever follows it can wait for the next step. */
final class RunningJob {
    private String phase = "Waiting";
    private int done;
    private int all;
    private int changes;
    private boolean cancelled;
    private boolean ended;

    synchronized void at(String newPhase, int newDone, int newAll) {
        if (cancelled) {
            throw new CancellationException();
        }
        phase = newPhase;
        done = newDone;
        all = newAll;
        changes++;
        notifyAll();
    }

    synchronized void cancel() {
        cancelled = true;
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

    synchronized int done() {
        return done;
    }

    synchronized int all() {
        return all;
    }
}
