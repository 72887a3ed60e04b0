package yewberry.bench;

/**
 * Edits the background of a parent, to the new picture of one spread, at the server over HTTP: in a
 * publication of 500 pages against one of 5, by turns in one run. Goal: a ratio of at most 1.2 at
 * the median, and 50 ms at the 95th percentile.
 */
final class EditParent implements Bench.Benchmark {
    @Override
    public void run() throws Exception {
        ByTurns.compare(
                500,
                200,
                (subject, turn) ->
                        subject.turn(
                                "{\"type\": \"changeBackground\", \"background\": "
                                        + subject.wholePage(turn)
                                        + "}"));
    }
}
