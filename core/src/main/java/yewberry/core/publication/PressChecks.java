package yewberry.core.publication;

import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * Bounds of the checks for the press. The usual ones are common practice, no source.
 *
 * @param smallType type smaller than this is checked as small
 * @param smallTypeInks the most inks that small type is set in
 * @param reversedInks the least number of inks that small type is not reversed out of
 * @param plainBlack the area in square centimetres above which black ink alone looks thin
 * @throws Refused if a bound cannot be meant
 */
public record PressChecks(
        Length smallType, int smallTypeInks, int reversedInks, double plainBlack) {
    public static final PressChecks USUAL = new PressChecks(Length.pt(9), 1, 3, 50);

    public PressChecks {
        if (!(smallType.points() >= 0 && smallType.points() <= 100)) {
            throw new Refused(
                    "Small type under %s is not possible; choose from 0 pt to 100 pt."
                            .formatted(smallType));
        }
        inks("Small type in at most", smallTypeInks);
        inks("Small type reversed out of", reversedInks);
        if (!(plainBlack >= 0 && plainBlack <= 1_000_000)) {
            throw new Refused(
                    "An area of %s cm² is not possible; choose from 0 to 1000000 cm²."
                            .formatted(Numbers.plain(plainBlack)));
        }
    }

    private static void inks(String what, int count) {
        if (count < 1 || count > 20) {
            throw new Refused(
                    "%s %d inks is not possible; choose from 1 to 20.".formatted(what, count));
        }
    }
}
