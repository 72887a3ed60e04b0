package yewberry.core.color;

/**
 * OKLCH: lightness 0 to 1, chroma from 0 (about 0.37 at most in sRGB), hue in degrees. Matrices: B.
 * Ottosson's OKLab as printed in CSS Color 4, section "Sample code for color conversions".
 */
public record Oklch(double lightness, double chroma, double hue) {
    private static final double[][] XYZ_D65_TO_LMS = {
        {0.8190224379967030, 0.3619062600528904, -0.1288737815209879},
        {0.0329836539323885, 0.9292868615863434, 0.0361446663506424},
        {0.0481771893596242, 0.2642395317527308, 0.6335478284694309}
    };
    private static final double[][] LMS_TO_OKLAB = {
        {0.2104542683093140, 0.7936177747023054, -0.0040720430116193},
        {1.9779985324311684, -2.4285922420485799, 0.4505937096174110},
        {0.0259040424655478, 0.7827717124575296, -0.8086757549230774}
    };
    private static final double[][] LINEAR_TO_XYZ_D65 = {
        {506752.0 / 1228815, 87881.0 / 245763, 12673.0 / 70218},
        {87098.0 / 409605, 175762.0 / 245763, 12673.0 / 175545},
        {7918.0 / 409605, 87881.0 / 737289, 1001167.0 / 1053270}
    };
    private static final double[][] LINEAR_TO_LMS = Matrix.times(XYZ_D65_TO_LMS, LINEAR_TO_XYZ_D65);
    private static final double[][] LMS_TO_LINEAR = Matrix.inverse(LINEAR_TO_LMS);
    private static final double[][] OKLAB_TO_LMS = Matrix.inverse(LMS_TO_OKLAB);

    public static Oklch of(Rgb color) {
        double[] lab = oklab(color);
        double hue = Math.toDegrees(Math.atan2(lab[2], lab[1]));
        return new Oklch(lab[0], Math.hypot(lab[1], lab[2]), (hue + 360) % 360);
    }

    private static double[] oklab(Rgb color) {
        double[] lms = Matrix.times(LINEAR_TO_LMS, Srgb.linear(color));
        return Matrix.times(
                LMS_TO_OKLAB,
                new double[] {Math.cbrt(lms[0]), Math.cbrt(lms[1]), Math.cbrt(lms[2])});
    }

    /** Euclidean distance in OKLab. */
    public static double distance(Rgb one, Rgb other) {
        double[] a = oklab(one);
        double[] b = oklab(other);
        return Math.hypot(Math.hypot(a[0] - b[0], a[1] - b[1]), a[2] - b[2]);
    }

    public Oklch withLightness(double changed) {
        return new Oklch(changed, chroma, hue);
    }

    public Oklch withChroma(double changed) {
        return new Oklch(lightness, changed, hue);
    }

    /** True if no sRGB component leaves 0 to 1 by more than half an 8-bit step. */
    public boolean inSrgb() {
        double half = 0.5 / 255;
        for (double component : linear()) {
            double encoded = component < 0 ? component * 12.92 : Srgb.encode(component);
            if (encoded < -half || encoded > 1 + half) {
                return false;
            }
        }
        return true;
    }

    /** The nearest 8-bit sRGB colour, cut at the edge of the gamut. */
    public Rgb toRgb() {
        return Srgb.fromLinear(linear());
    }

    private double[] linear() {
        double a = chroma * Math.cos(Math.toRadians(hue));
        double b = chroma * Math.sin(Math.toRadians(hue));
        double[] root = Matrix.times(OKLAB_TO_LMS, new double[] {lightness, a, b});
        return Matrix.times(
                LMS_TO_LINEAR, new double[] {cube(root[0]), cube(root[1]), cube(root[2])});
    }

    private static double cube(double value) {
        return value * value * value;
    }
}
