package yewberry.core.color;

/**
 * What a printer with black toner alone makes of a colour, as its user sees it. The colour becomes
 * a grey by its luma (ITU-R BT.601: 0.299 R + 0.587 G + 0.114 B of the encoded components), that is
 * the nominal coverage of toner; dots of toner grow, most in the middle tones; and the reflectance
 * follows from the coverage (Murray and Davies 1936: the mean of paper and solid toner by their
 * areas).
 *
 * <p>The printer is a made-up stand-in for an office printer: its numbers are common practice, no
 * source. Paper counts as white, so ratios are those on the printed sheet.
 */
public final class GreyCopy {
    /** How much larger dots of 50 % become, as a part of the area. */
    private static final double GAIN = 0.18;

    /** Reflectance of solid toner relative to the paper: a density of 1.3. */
    private static final double SOLID = Math.pow(10, -1.3);

    private GreyCopy() {}

    public static Rgb of(Rgb color) {
        double grey = (0.299 * color.red() + 0.587 * color.green() + 0.114 * color.blue()) / 255;
        double light = reflectance(1 - grey);
        return Srgb.fromLinear(new double[] {light, light, light});
    }

    /**
     * Relative to the paper.
     *
     * @param coverage nominal, 0 to 1
     */
    static double reflectance(double coverage) {
        double printed = coverage + 4 * GAIN * coverage * (1 - coverage);
        return 1 - printed * (1 - SOLID);
    }
}
