package yewberry.bench;

/** The same step in a small and a large publication, by turns. */
final class ByTurns {
    private static final int WARM_UP = 60;

    private ByTurns() {}

    interface Step {
        /**
         * @param turn counts up, so that each step changes something
         * @return how long it took, in nanoseconds
         */
        long take(Served.Subject subject, int turn) throws Exception;
    }

    static void compare(int pages, int samples, Step step) throws Exception {
        compare(pages, samples, WARM_UP, step);
    }

    static void compare(int pages, int samples, int warmUp, Step step) throws Exception {
        try (Served served = new Served()) {
            Served.Subject five = served.new Subject(5);
            Served.Subject large = served.new Subject(pages);
            Samples few = new Samples("5 pages", samples);
            Samples many = new Samples(pages + " pages", samples);
            for (int i = -warmUp; i < samples; i++) {
                long small = step.take(five, i + warmUp + 1);
                long big = step.take(large, i + warmUp + 1);
                if (i >= 0) {
                    few.add(small);
                    many.add(big);
                }
            }
            System.out.println(few);
            System.out.println(many);
            System.out.printf(
                    "ratio        median %.2f   95th percentile %.2f   (goal: at most 1.2)%n",
                    many.quantile(0.5) / few.quantile(0.5),
                    many.quantile(0.95) / few.quantile(0.95));
        }
    }
}
