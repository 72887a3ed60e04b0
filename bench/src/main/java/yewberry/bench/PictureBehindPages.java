package yewberry.bench;

/**
 * Changes the blend mode of a picture that a parent puts behind pages, to the new picture of one
 * spread, at the server over HTTP: in a publication of 500 pages against one of 5, by turns in one
 * run. Goal: a ratio of at most 1.2 at the median.
 */
final class PictureBehindPages implements Bench.Benchmark {
    @Override
    public void run() throws Exception {
        ByTurns.compare(
                500,
                60,
                20,
                (subject, turn) ->
                        subject.turn(
                                "{\"type\": \"changeBackground\", \"background\": "
                                        + subject.pictureGround(turn)
                                        + "}"));
    }
}
