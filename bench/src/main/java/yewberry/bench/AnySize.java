package yewberry.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;

/**
 * Small steps, each to the new picture of the visible spread, at the server over HTTP: in a
 * publication of 2,000 pages and in one of nearly 10,000, which is the most, against one of 20, by
 * turns in one run. Goal: a ratio of at most 1.5 at the median for each; likewise in one that was
 * edited 50,000 times. Then 1,990 of 2,000 pages are removed, and that is undone; goal: at most 2 s
 * each.
 */
final class AnySize implements Bench.Benchmark {
    private static final int SMALL = 20;
    private static final int[] LARGE = {2_000, 9_990};
    private static final int TURNS = 40;
    private static final int WARM = 15;
    private static final int EDITS = 50_000;

    /** A step as JSON, for a turn. */
    private interface Step {
        String edit(Served.Subject subject, int turn) throws IOException, InterruptedException;
    }

    private record Named(String name, Step step) {}

    private static final List<Named> STEPS =
            List.of(
                    new Named(
                            "rename",
                            (subject, turn) ->
                                    "{\"type\": \"renamePublication\", \"name\": \"Bench %d\"}"
                                            .formatted(turn)),
                    new Named(
                            "change a swatch used everywhere",
                            (subject, turn) -> subject.recolored(turn)),
                    new Named(
                            "add a page",
                            (subject, turn) ->
                                    "{\"type\": \"addPages\", \"pages\": [\"%s\"], \"after\": \"%s\"}"
                                            .formatted(UUID.randomUUID(), subject.page(7))),
                    new Named(
                            "move a page",
                            (subject, turn) ->
                                    "{\"type\": \"movePages\", \"pages\": [\"%s\"], \"after\": \"%s\"}"
                                            .formatted(
                                                    subject.page(9),
                                                    subject.page(turn % 2 == 0 ? 4 : 12))));

    @Override
    public void run() throws Exception {
        try (Served served = new Served()) {
            Served.Subject small = served.new Subject(SMALL);
            for (int pages : LARGE) {
                Served.Subject large = served.new Subject(pages);
                for (Named each : STEPS) {
                    compare(each, small, large, pages);
                }
                if (pages == LARGE[0]) {
                    removeNearlyAll(large, pages);
                }
            }
            Served.Subject edited = served.new Subject(SMALL);
            edited.rename(EDITS);
            System.out.printf("after %d edits of %d pages:%n", EDITS, SMALL);
            for (Named each : STEPS) {
                compare(each, small, edited, SMALL);
            }
        }
    }

    private static void compare(Named named, Served.Subject small, Served.Subject large, int pages)
            throws IOException, InterruptedException {
        long[][] times = new long[4][TURNS];
        for (int turn = -WARM; turn < TURNS; turn++) {
            List<Long> taken = new ArrayList<>();
            for (Served.Subject subject : List.of(small, large)) {
                taken.add(subject.turn(named.step().edit(subject, turn)));
                taken.add(subject.undoTurn());
            }
            for (int i = 0; i < 4 && turn >= 0; i++) {
                times[i][turn] = taken.get(i);
            }
        }
        double[] medians = Arrays.stream(times).mapToDouble(AnySize::median).toArray();
        System.out.printf(
                "%-32s %6d pages: %.1f ms against %.1f ms, ratio %.2f; undo %.1f ms against %.1f ms, ratio %.2f%n",
                named.name(),
                pages,
                medians[2],
                medians[0],
                medians[2] / medians[0],
                medians[3],
                medians[1],
                medians[3] / medians[1]);
    }

    private static double median(long[] times) {
        long[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2] / 1e6;
    }

    private static void removeNearlyAll(Served.Subject subject, int pages)
            throws IOException, InterruptedException {
        List<String> gone = new ArrayList<>();
        for (int i = 10; i < pages; i++) {
            gone.add("\"" + subject.page(i) + "\"");
        }
        long removed =
                subject.turn(
                        "{\"type\": \"removePages\", \"pages\": [%s]}"
                                .formatted(String.join(",", gone)));
        long undone = subject.undoTurn();
        System.out.printf(
                "removing %d of %d pages: %.2f s, undoing it: %.2f s%n",
                gone.size(), pages, removed / 1e9, undone / 1e9);
    }
}
