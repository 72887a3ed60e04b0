package yewberry.bench;

/**
 * All findings of a publication of 2,000 pages of text that was never looked at, at the server over
 * HTTP, against asking once more. Goals: at most 4 s on flat backgrounds, at most 15 s with a
 * picture behind each third page.
 */
final class AllFindings implements Bench.Benchmark {
    private static final int PAGES = 2_000;
    private static final int FILES = 8;

    @Override
    public void run() throws Exception {
        try (Served served = new Served()) {
            served.new Subject(20).findings(); // the code is warm, nothing else is
            print("flat backgrounds", served.new Subject(PAGES));
            Served.Subject pictured = served.new Subject(PAGES);
            pictured.picturesBehindAThird(FILES);
            print("a picture behind a third", pictured);
        }
    }

    private static void print(String what, Served.Subject subject) throws Exception {
        double cold = subject.findings() / 1e9;
        double again = subject.findings() / 1e9;
        System.out.printf(
                "%-26s %d pages: %.2f s, once more %.3f s, ratio %.0f%n",
                what, PAGES, cold, again, cold / again);
    }
}
