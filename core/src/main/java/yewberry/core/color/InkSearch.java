package yewberry.core.color;

/**
 * Finds how near the press comes to a colour, fast enough for every pixel of a picture: begins with
 * the inks that the profile proposes and corrects them a few times by least squares, within what
 * ink allows. Gauss-Newton with damping, the step of least norm over the four inks.
 */
public final class InkSearch {
    private static final int ROUNDS = 5;
    private static final double NEAR = 0.5;
    private static final double DAMPING = 0.0025;

    /** Percent of ink by which the slope of a colour is taken. */
    private static final double DELTA = 1;

    private final PressCondition condition;

    public InkSearch(PressCondition condition) {
        this.condition = condition;
    }

    /** CIEDE2000 from a colour as seen on the screen to the nearest one found. */
    public double distance(Lab wanted) {
        double[] ink = condition.proposed(wanted);
        Lab reached = condition.seen(ink);
        double best = Difference.ciede2000(wanted, reached);
        for (int round = 0; round < ROUNDS && best > NEAR; round++) {
            ink = corrected(wanted, ink, reached);
            reached = condition.seen(ink);
            best = Math.min(best, Difference.ciede2000(wanted, reached));
        }
        return best;
    }

    private double[] corrected(Lab wanted, double[] ink, Lab reached) {
        double[] missing = {
            wanted.lightness() - reached.lightness(),
            wanted.a() - reached.a(),
            wanted.b() - reached.b()
        };
        double[][] slopes = new double[4][];
        for (int i = 0; i < 4; i++) {
            double[] moved = ink.clone();
            double by = ink[i] + DELTA > 100 ? -DELTA : DELTA;
            moved[i] += by;
            Lab there = condition.seen(moved);
            slopes[i] =
                    new double[] {
                        (there.lightness() - reached.lightness()) / by,
                        (there.a() - reached.a()) / by,
                        (there.b() - reached.b()) / by
                    };
        }
        boolean[] free = {true, true, true, true};
        double[] next = ink.clone();
        // an ink that would leave its range is held at the end, and the others are solved again
        for (int pass = 0; pass < 4; pass++) {
            double[] step = leastNorm(slopes, free, rest(missing, slopes, free, ink, next));
            boolean held = false;
            for (int i = 0; i < 4; i++) {
                if (free[i]) {
                    next[i] = Math.clamp(ink[i] + step[i], 0, 100);
                    if (next[i] != ink[i] + step[i]) {
                        free[i] = false;
                        held = true;
                    }
                }
            }
            if (!held) {
                break;
            }
        }
        return next;
    }

    /** What is still missing once the held inks have moved to their ends. */
    private static double[] rest(
            double[] missing, double[][] slopes, boolean[] free, double[] ink, double[] next) {
        double[] rest = missing.clone();
        for (int i = 0; i < 4; i++) {
            if (!free[i]) {
                for (int row = 0; row < 3; row++) {
                    rest[row] -= slopes[i][row] * (next[i] - ink[i]);
                }
            }
        }
        return rest;
    }

    private static double[] leastNorm(double[][] slopes, boolean[] free, double[] missing) {
        double[][] normal = new double[3][3];
        for (int row = 0; row < 3; row++) {
            for (int column = 0; column < 3; column++) {
                for (int i = 0; i < 4; i++) {
                    normal[row][column] += free[i] ? slopes[i][row] * slopes[i][column] : 0;
                }
            }
            normal[row][row] += DAMPING;
        }
        double[] weights = Matrix.times(Matrix.inverse(normal), missing);
        double[] step = new double[4];
        for (int i = 0; i < 4; i++) {
            for (int row = 0; row < 3 && free[i]; row++) {
                step[i] += slopes[i][row] * weights[row];
            }
        }
        return step;
    }
}
