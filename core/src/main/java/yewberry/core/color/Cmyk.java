package yewberry.core.color;

import yewberry.core.Refused;

/**
 * Process colour: ink coverages in percent, 0 (no ink) to 100 (solid).
 *
 * @throws Refused if a coverage is not within 0 to 100
 */
public record Cmyk(double cyan, double magenta, double yellow, double black) implements Color {
    /** No ink at all: bare paper. */
    public static final Cmyk NONE = new Cmyk(0, 0, 0, 0);

    public Cmyk {
        cyan = checked("Cyan", cyan);
        magenta = checked("Magenta", magenta);
        yellow = checked("Yellow", yellow);
        black = checked("Black", black);
    }

    private static double checked(String ink, double percent) {
        if (!(percent >= 0 && percent <= 100)) {
            throw new Refused(
                    "%s of %s %% is not possible; ink goes from 0 to 100 %%."
                            .formatted(ink, Numbers.plain(percent)));
        }
        return percent + 0.0; // folds -0.0 into 0.0, so that equal colours are equal records
    }

    /** All four together, in percent: 0 to 400. */
    public double total() {
        return cyan + magenta + yellow + black;
    }

    /** The coverages rounded to whole percent, as designers write them. */
    public Cmyk rounded() {
        return new Cmyk(Math.rint(cyan), Math.rint(magenta), Math.rint(yellow), Math.rint(black));
    }

    @Override
    public String toString() {
        return "C%s M%s Y%s K%s"
                .formatted(
                        Numbers.plain(cyan),
                        Numbers.plain(magenta),
                        Numbers.plain(yellow),
                        Numbers.plain(black));
    }
}
