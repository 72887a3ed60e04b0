package yewberry.core.press;

import yewberry.core.color.Cmyk;

/** A black with other inks under it, which covers large areas better. */
public final class RichBlack {
    /** Common practice, no source. */
    private static final Cmyk USUAL = new Cmyk(60, 40, 40, 100);

    private RichBlack() {}

    /**
     * The usual one, its coloured inks cut evenly where the limit is lower.
     *
     * @param limit all inks together, in percent, at least 100
     */
    public static Cmyk within(double limit) {
        double part = Math.min(1, (limit - 100) / (USUAL.total() - 100));
        return new Cmyk(
                Math.floor(USUAL.cyan() * part),
                Math.floor(USUAL.magenta() * part),
                Math.floor(USUAL.yellow() * part),
                100);
    }
}
