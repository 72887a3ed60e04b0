package yewberry.core.color;

import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * Contrast of two screen colours as WCAG 2.2 defines it ("relative luminance", "contrast ratio").
 * It knows nothing of size or weight; {@code legibility} does.
 */
public final class Contrast {
    private Contrast() {}

    /** Relative luminance, 0 (black) to 1 (white). WCAG 2.2, with the threshold 0.04045. */
    public static double luminance(Rgb color) {
        double[] linear = Srgb.linear(color);
        return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2];
    }

    /**
     * The same of a colour of a picture.
     *
     * @param packed red, green and blue in the lowest three bytes
     */
    public static double luminance(int packed) {
        return 0.2126 * Srgb.linear(packed >> 16 & 0xff)
                + 0.7152 * Srgb.linear(packed >> 8 & 0xff)
                + 0.0722 * Srgb.linear(packed & 0xff);
    }

    /** Contrast ratio, 1 to 21, whichever of the two is lighter. */
    public static double ratio(Rgb one, Rgb other) {
        return ratio(luminance(one), luminance(other));
    }

    /** The same of two relative luminances. */
    public static double ratio(double a, double b) {
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    /** The ratio with two decimals, cut and never rounded up, so that 2.995 is never shown as 3. */
    public static BigDecimal cut(double ratio) {
        // The sum below 1e-9 undoes binary noise under an exact value, far below what 8 bits make.
        return BigDecimal.valueOf(ratio + 1e-9).setScale(2, RoundingMode.FLOOR);
    }
}
