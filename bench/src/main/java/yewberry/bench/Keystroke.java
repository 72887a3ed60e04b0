package yewberry.bench;

/**
 * One keystroke in the first paragraph of a story that runs through 100 pages, at the server over
 * HTTP, against the same in a story of two pages, by turns in one run: to the new picture of the
 * visible spread while one types, and to text and picture where it is stored. Goals: at most 1.5
 * times, and 100 ms at the 95th percentile.
 */
final class Keystroke implements Bench.Benchmark {
    private static final int SAMPLES = 200;
    private static final int WARM = 60;
    private static final int PAGES = 100;

    private interface Stroke {
        long in(Served.Subject subject) throws Exception;
    }

    @Override
    public void run() throws Exception {
        try (Served served = new Served()) {
            Served.Subject two = served.new Subject(2);
            Served.Subject many = served.new Subject(PAGES);
            two.writeStory();
            many.writeStory();
            compare("seen", two, many, Served.Subject::previewed);
            compare("stored", two, many, Served.Subject::typed);
        }
    }

    private static void compare(String what, Served.Subject two, Served.Subject many, Stroke stroke)
            throws Exception {
        Samples few = new Samples(what + ", 2 pages", SAMPLES);
        Samples large = new Samples(what + ", " + PAGES, SAMPLES);
        for (int turn = -WARM; turn < SAMPLES; turn++) {
            long small = stroke.in(two);
            long big = stroke.in(many);
            if (turn >= 0) {
                few.add(small);
                large.add(big);
            }
        }
        System.out.println(few);
        System.out.println(large);
        System.out.printf(
                "ratio        median %.2f   95th percentile %.2f   (goal: at most 1.5, and 100 ms)%n",
                large.quantile(0.5) / few.quantile(0.5), large.quantile(0.95) / few.quantile(0.95));
    }
}
