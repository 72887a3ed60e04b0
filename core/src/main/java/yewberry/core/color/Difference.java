package yewberry.core.color;

/** Colour difference CIEDE2000 (CIE 142; ISO/CIE 11664-6), with all parametric factors 1. */
public final class Difference {
    private static final double POW_25_7 = Math.pow(25, 7);

    private Difference() {}

    /** Zero for equal colours; about 1 is the least that a trained eye sees side by side. */
    public static double ciede2000(Lab one, Lab other) {
        double meanChroma = (one.chroma() + other.chroma()) / 2;
        double g = 0.5 * (1 - Math.sqrt(ratioToTheSeventh(meanChroma)));
        double a1 = (1 + g) * one.a();
        double a2 = (1 + g) * other.a();
        double c1 = Math.hypot(a1, one.b());
        double c2 = Math.hypot(a2, other.b());
        double h1 = hue(a1, one.b());
        double h2 = hue(a2, other.b());

        double lightness = other.lightness() - one.lightness();
        double chroma = c2 - c1;
        double hue = 2 * Math.sqrt(c1 * c2) * sin(hueStep(c1, c2, h1, h2) / 2);

        double meanL = (one.lightness() + other.lightness()) / 2;
        double meanC = (c1 + c2) / 2;
        double meanH = meanHue(c1, c2, h1, h2);
        double t =
                1
                        - 0.17 * cos(meanH - 30)
                        + 0.24 * cos(2 * meanH)
                        + 0.32 * cos(3 * meanH + 6)
                        - 0.20 * cos(4 * meanH - 63);
        double offset = (meanL - 50) * (meanL - 50);
        double sl = 1 + 0.015 * offset / Math.sqrt(20 + offset);
        double sc = 1 + 0.045 * meanC;
        double sh = 1 + 0.015 * meanC * t;
        double turn = (meanH - 275) / 25;
        double theta = 30 * Math.exp(-turn * turn);
        double rt = -2 * Math.sqrt(ratioToTheSeventh(meanC)) * sin(2 * theta);

        double l = lightness / sl;
        double c = chroma / sc;
        double h = hue / sh;
        return Math.sqrt(Math.max(0, l * l + c * c + h * h + rt * c * h));
    }

    private static double ratioToTheSeventh(double chroma) {
        double seventh = Math.pow(chroma, 7);
        return seventh / (seventh + POW_25_7);
    }

    private static double hue(double a, double b) {
        return a == 0 && b == 0 ? 0 : (Math.toDegrees(Math.atan2(b, a)) + 360) % 360;
    }

    private static double hueStep(double c1, double c2, double h1, double h2) {
        if (c1 * c2 == 0) {
            return 0;
        }
        double step = h2 - h1;
        return step > 180 ? step - 360 : step < -180 ? step + 360 : step;
    }

    private static double meanHue(double c1, double c2, double h1, double h2) {
        if (c1 * c2 == 0) {
            return h1 + h2;
        }
        double sum = h1 + h2;
        if (Math.abs(h1 - h2) <= 180) {
            return sum / 2;
        }
        return sum < 360 ? (sum + 360) / 2 : (sum - 360) / 2;
    }

    private static double sin(double degrees) {
        return Math.sin(Math.toRadians(degrees));
    }

    private static double cos(double degrees) {
        return Math.cos(Math.toRadians(degrees));
    }
}
