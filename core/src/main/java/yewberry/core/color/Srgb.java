package yewberry.core.color;

import java.util.stream.IntStream;

/**
 * The sRGB encoding (IEC 61966-2-1) and its place in XYZ. Components here are fractions: 0 to 1 is
 * the gamut.
 */
final class Srgb {
    /** Linear sRGB to XYZ relative to D50: CSS Color 4's D65 matrix and its Bradford adaptation. */
    private static final double[][] TO_XYZ_D50 =
            Matrix.times(
                    new double[][] {
                        {1.0479297925449969, 0.022946870601609652, -0.05019226628920524},
                        {0.02962780877005599, 0.9904344267538799, -0.017073799063418826},
                        {-0.009243040646204504, 0.015055191490298152, 0.7518742814281371}
                    },
                    new double[][] {
                        {506752.0 / 1228815, 87881.0 / 245763, 12673.0 / 70218},
                        {87098.0 / 409605, 175762.0 / 245763, 12673.0 / 175545},
                        {7918.0 / 409605, 87881.0 / 737289, 1001167.0 / 1053270}
                    });

    private static final double[][] FROM_XYZ_D50 = Matrix.inverse(TO_XYZ_D50);

    /** Linear light of the 256 levels there are. */
    private static final double[] LINEAR =
            IntStream.range(0, 256).mapToDouble(level -> decode(level / 255.0)).toArray();

    /** Where each of the 256 levels begins: half a level below it. */
    private static final double[] BEGINS =
            IntStream.range(0, 256).mapToDouble(level -> decode((level - 0.5) / 255)).toArray();

    /** The level at the beginning of each part of all light. */
    private static final int[] LEAST =
            IntStream.range(0, 4096)
                    .map(part -> {
                        int level = 0;
                        while (level < 255 && part / 4095.0 >= BEGINS[level + 1]) {
                            level++;
                        }
                        return level;
                    })
                    .toArray();

    private Srgb() {}

    /** Encoded to linear light, IEC 61966-2-1. */
    static double decode(double encoded) {
        return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
    }

    /** Linear light to encoded, IEC 61966-2-1. */
    static double encode(double linear) {
        return linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
    }

    /**
     * @param level of 8 bits
     */
    static double linear(int level) {
        return LINEAR[level];
    }

    static double[] linear(Rgb color) {
        return new double[] {LINEAR[color.red()], LINEAR[color.green()], LINEAR[color.blue()]};
    }

    /** The nearest 8-bit colour; what lies outside the gamut is cut at its edge. */
    static Rgb fromLinear(double[] linear) {
        return new Rgb(eightBit(linear[0]), eightBit(linear[1]), eightBit(linear[2]));
    }

    /** By the light at which each level begins, so that no power is taken for each pixel. */
    private static int eightBit(double linear) {
        double light = Math.clamp(linear, 0, 1);
        int level = LEAST[(int) (light * (LEAST.length - 1))];
        while (level < 255 && light >= BEGINS[level + 1]) {
            level++;
        }
        return level;
    }

    /** Encoded components, 0 to 255, not rounded. */
    static double[] components(double[] xyzD50) {
        double[] linear = Matrix.times(FROM_XYZ_D50, xyzD50);
        double[] encoded = new double[3];
        for (int i = 0; i < 3; i++) {
            encoded[i] = Math.clamp(encode(Math.clamp(linear[i], 0, 1)), 0, 1) * 255;
        }
        return encoded;
    }

    /** Linear components, not cut at the edge of the gamut. */
    static double[] linear(double[] xyzD50) {
        return Matrix.times(FROM_XYZ_D50, xyzD50);
    }

    static double[] toXyzD50(Rgb color) {
        return Matrix.times(TO_XYZ_D50, linear(color));
    }

    /** Of encoded components, 0 to 1. */
    static double[] toXyzD50(float[] encoded) {
        return Matrix.times(
                TO_XYZ_D50,
                new double[] {decode(encoded[0]), decode(encoded[1]), decode(encoded[2])});
    }

    static Rgb fromXyzD50(double[] xyz) {
        return fromLinear(Matrix.times(FROM_XYZ_D50, xyz));
    }
}
