package yewberry.core.color;

/**
 * The printable colour nearest to one that is wanted.
 *
 * @param ink that prints it, in whole percent
 * @param screen how it looks
 * @param distance to what is wanted, CIEDE2000
 */
public record Printable(Cmyk ink, Rgb screen, double distance) {
    /** A difference that is only seen side by side; below it a colour counts as printable. */
    public static final double SEEN = 1.5;

    private static final double[] STEPS = {8, 4, 2, 1};

    public boolean faithful() {
        return distance <= SEEN;
    }

    /** Begins with the inks that the profile proposes and goes downhill, ink by ink. */
    public static Printable nearest(Color wanted, PressCondition condition) {
        Lab goal = condition.lab(wanted);
        Cmyk best = condition.toInk(wanted).rounded();
        double distance = Difference.ciede2000(goal, condition.lab(best));
        if (wanted instanceof Cmyk || wanted instanceof Gray || wanted instanceof Inks) {
            return new Printable(best, condition.toScreen(best), 0);
        }
        for (double step : STEPS) {
            boolean better = true;
            while (better && distance > 0.2) {
                better = false;
                for (int ink = 0; ink < 4; ink++) {
                    for (int direction = -1; direction <= 1; direction += 2) {
                        Cmyk tried = moved(best, ink, direction * step);
                        double reached = Difference.ciede2000(goal, condition.lab(tried));
                        if (reached < distance - 1e-6) {
                            best = tried;
                            distance = reached;
                            better = true;
                        }
                    }
                }
            }
        }
        return new Printable(best, condition.toScreen(best), distance);
    }

    private static Cmyk moved(Cmyk from, int ink, double by) {
        return new Cmyk(
                Math.clamp(from.cyan() + (ink == 0 ? by : 0), 0, 100),
                Math.clamp(from.magenta() + (ink == 1 ? by : 0), 0, 100),
                Math.clamp(from.yellow() + (ink == 2 ? by : 0), 0, 100),
                Math.clamp(from.black() + (ink == 3 ? by : 0), 0, 100));
    }
}
