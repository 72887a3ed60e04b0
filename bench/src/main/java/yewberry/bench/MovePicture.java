package yewberry.bench;

/**
 * Moves an opaque picture of 24 megapixels behind a page, to the new picture of the spread, at the
 * server over HTTP, against renaming the publication, by turns in one run. Goal: 150 ms at the
 * median.
 */
final class MovePicture implements Bench.Benchmark {
    private static final int SAMPLES = 60;
    private static final int WARM = 20;

    @Override
    public void run() throws Exception {
        try (Served served = new Served()) {
            Served.Subject subject = served.new Subject(20);
            subject.turn(subject.moved(50));
            Samples moving = new Samples("moving a picture", SAMPLES);
            Samples renaming = new Samples("renaming", SAMPLES);
            for (int turn = -WARM; turn < SAMPLES; turn++) {
                long moved = subject.turn(subject.moved(Math.floorMod(turn * 7, 100)));
                long renamed =
                        subject.turn(
                                "{\"type\": \"renamePublication\", \"name\": \"Bench %d\"}"
                                        .formatted(turn));
                if (turn >= 0) {
                    moving.add(moved);
                    renaming.add(renamed);
                }
            }
            System.out.println(moving);
            System.out.println(renaming);
            System.out.printf(
                    "ratio at the median %.2f   (goal: 150 ms at the median)%n",
                    moving.quantile(0.5) / renaming.quantile(0.5));
        }
    }
}
