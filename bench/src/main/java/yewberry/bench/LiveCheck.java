package yewberry.bench;

import java.util.Arrays;
import java.util.UUID;

/**
 * The findings of 500 pages of text while they are worked on, a third of them with a picture
 * behind, at the server over HTTP: from an edit of one page to having them all again (goal: 100
 * ms); from one of the parent of all pages to the picture of the visible spread (goal: 100 ms), and
 * to having them all; and the memory that is in use afterwards, against 5 pages.
 */
final class LiveCheck implements Bench.Benchmark {
    private static final int PAGES = 500;
    private static final int FEW = 5;
    private static final int FILES = 8;
    private static final int TURNS = 15;
    private static final int WARM = 5;

    /** Each of these has all pages judged anew. */
    private static final int FEW_TURNS = 3;

    @Override
    public void run() throws Exception {
        try (Served served = new Served()) {
            Served.Subject few = served.new Subject(FEW);
            few.picturesBehindAThird(FILES);
            few.findings();
            double small = used();
            Served.Subject many = served.new Subject(PAGES);
            many.picturesBehindAThird(FILES);
            double cold = many.findings() / 1e6;
            System.out.printf(
                    "%d pages cold %.0f ms; memory %.0f MB, with %d pages %.0f MB%n",
                    PAGES, cold, used(), FEW, small);
            long[] page = new long[TURNS];
            for (int turn = -WARM; turn < TURNS; turn++) {
                long one = many.judged(many.grounded(10, UUID.randomUUID().toString()));
                many.undoTurn();
                many.findings();
                if (turn >= 0) {
                    page[turn] = one;
                }
            }
            long[] spread = new long[FEW_TURNS];
            long[] parent = new long[FEW_TURNS];
            for (int turn = 0; turn < FEW_TURNS; turn++) {
                spread[turn] = many.turn(many.changedGround(turn + 1));
                parent[turn] = spread[turn] + many.findings();
            }
            print("one page, all findings again", page);
            print("parent, picture of the spread", spread);
            print("parent, all findings again", parent);
        }
    }

    private static void print(String what, long[] times) {
        long[] sorted = times.clone();
        Arrays.sort(sorted);
        System.out.printf(
                "%-30s median %.0f ms, slowest %.0f ms%n",
                what, sorted[sorted.length / 2] / 1e6, sorted[sorted.length - 1] / 1e6);
    }

    /** Of the heap, in MB, after what is not used any more was cleared. */
    private static double used() {
        System.gc();
        Runtime runtime = Runtime.getRuntime();
        return (runtime.totalMemory() - runtime.freeMemory()) / 1e6;
    }
}
