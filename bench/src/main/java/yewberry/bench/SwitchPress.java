package yewberry.bench;

import java.util.List;

/**
 * Switches the press condition, to the new picture of one spread, at the server over HTTP: in a
 * publication of 200 pages against one of 5, by turns in one run. Goal: a ratio of at most 1.2 at
 * the median.
 */
final class SwitchPress implements Bench.Benchmark {
    private static final List<String> CONDITIONS =
            List.of("coated", "uncoated", "light-weight-coated");

    @Override
    public void run() throws Exception {
        ByTurns.compare(
                200,
                120,
                (subject, turn) ->
                        subject.turn(
                                "{\"type\": \"changeSetup\", \"setup\": "
                                        + subject.setupOn(CONDITIONS.get(turn % 3))
                                        + "}"));
    }
}
