package yewberry.core.press;

import yewberry.core.color.Cmyk;
import yewberry.core.color.Difference;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;

/** Finds the ink that looks most like another one and stays within a limit. */
public final class WithinLimit {
    private static final double[] STEPS = {8, 4, 2, 1};

    private WithinLimit() {}

    /**
     * Begins with the coloured inks cut evenly and trades one ink for another as long as the
     * CIEDE2000 distance shrinks.
     *
     * @param limit all inks together, in percent
     */
    public static Cmyk nearest(Cmyk ink, double limit, PressCondition condition) {
        if (ink.total() <= limit) {
            return ink;
        }
        Lab goal = condition.lab(ink);
        double colored = ink.total() - ink.black();
        double part = Math.max(0, limit - ink.black()) / colored;
        double[] best = {
            Math.floor(ink.cyan() * part),
            Math.floor(ink.magenta() * part),
            Math.floor(ink.yellow() * part),
            Math.min(limit, ink.black())
        };
        double distance = distance(goal, best, condition);
        for (double step : STEPS) {
            boolean better = true;
            while (better) {
                better = false;
                for (int up = 0; up < 4; up++) {
                    for (int down = 0; down < 4; down++) {
                        double[] tried = best.clone();
                        tried[up] = Math.min(100, tried[up] + step);
                        tried[down] = Math.max(0, tried[down] - step);
                        double reached = distance(goal, tried, condition);
                        if (total(tried) <= limit && reached < distance - 1e-6) {
                            best = tried;
                            distance = reached;
                            better = true;
                        }
                    }
                }
            }
        }
        return new Cmyk(best[0], best[1], best[2], best[3]);
    }

    private static double total(double[] ink) {
        return ink[0] + ink[1] + ink[2] + ink[3];
    }

    private static double distance(Lab goal, double[] ink, PressCondition condition) {
        return Difference.ciede2000(goal, condition.lab(new Cmyk(ink[0], ink[1], ink[2], ink[3])));
    }
}
