package yewberry.core.color;

import yewberry.core.Refused;

/**
 * CIELAB relative to D50, 2 degree observer (CIE 15; ICC.1's profile connection space): lightness 0
 * to 100, {@code a} and {@code b} -128 to 127.
 *
 * @throws Refused if a component is outside that
 */
public record Lab(double lightness, double a, double b) implements Color {
    /** ICC.1, the illuminant of the profile connection space. */
    static final double[] D50 = {0.9642, 1, 0.8249};

    private static final double EPSILON = 216.0 / 24389;
    private static final double KAPPA = 24389.0 / 27;

    public Lab {
        lightness = checked("Lightness", lightness, 0, 100);
        a = checked("The component a", a, -128, 127);
        b = checked("The component b", b, -128, 127);
    }

    private static double checked(String name, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new Refused(
                    "%s of %s is not possible in CIELAB; it goes from %s to %s."
                            .formatted(
                                    name,
                                    Numbers.plain(value),
                                    Numbers.plain(least),
                                    Numbers.plain(most)));
        }
        return value + 0.0;
    }

    /**
     * The lightness L* of a colour of this luminance.
     *
     * @param luminance relative, 0 to 1
     */
    public static double lightnessOf(double luminance) {
        return 116 * response(luminance) - 16;
    }

    public double chroma() {
        return Math.hypot(a, b);
    }

    /** Degrees, 0 to 360, from the red axis to the yellow one. */
    public double hue() {
        return (Math.toDegrees(Math.atan2(b, a)) + 360) % 360;
    }

    /**
     * From lightness, chroma and hue (CIE 15).
     *
     * @throws Refused if it cannot be written down as CIELAB
     */
    public static Lab ofLch(double lightness, double chroma, double hue) {
        double radians = Math.toRadians(hue);
        return new Lab(lightness, chroma * Math.cos(radians), chroma * Math.sin(radians));
    }

    /** Cut to what can be written down. */
    static Lab ofXyz(double[] xyz) {
        double x = response(xyz[0] / D50[0]);
        double y = response(xyz[1] / D50[1]);
        double z = response(xyz[2] / D50[2]);
        return new Lab(
                Math.clamp(116 * y - 16, 0, 100),
                Math.clamp(500 * (x - y), -128, 127),
                Math.clamp(200 * (y - z), -128, 127));
    }

    double[] xyz() {
        double y = (lightness + 16) / 116;
        double x = y + a / 500;
        double z = y - b / 200;
        return new double[] {D50[0] * inverse(x), D50[1] * inverse(y), D50[2] * inverse(z)};
    }

    private static double response(double t) {
        return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
    }

    private static double inverse(double f) {
        double cube = f * f * f;
        return cube > EPSILON ? cube : (116 * f - 16) / KAPPA;
    }

    @Override
    public String toString() {
        return "L %s a %s b %s"
                .formatted(Numbers.plain(lightness), Numbers.plain(a), Numbers.plain(b));
    }
}
