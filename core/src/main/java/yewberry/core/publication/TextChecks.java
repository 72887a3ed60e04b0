package yewberry.core.publication;

import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * What text is held to besides the level of WCAG 2.2: a publication's own, stricter rule.
 *
 * @param normal the least contrast ratio of normal text; below what the level asks for, that counts
 * @param large that of large text
 * @param leftOut the part of each glyph, in percent, that is left out at most where many colours
 *     lie behind it, so that a stray pixel does not decide
 * @throws Refused if a ratio is not from 1 to 21, or the part not from 0 to 5 percent
 */
public record TextChecks(double normal, double large, double leftOut) {
    public static final TextChecks USUAL = new TextChecks(1, 1, 5);

    public TextChecks {
        ratio("Normal text", normal);
        ratio("Large text", large);
        if (!(leftOut >= 0 && leftOut <= 5)) {
            throw new Refused(
                    "%s %% of each letter cannot be left out; choose from 0 to 5 %%."
                            .formatted(Numbers.plain(leftOut)));
        }
    }

    private static void ratio(String what, double ratio) {
        if (!(ratio >= 1 && ratio <= 21)) {
            throw new Refused(
                    "%s cannot be held to %s : 1; contrast goes from 1 : 1 to 21 : 1."
                            .formatted(what, Numbers.plain(ratio)));
        }
    }

    /** The least contrast ratio: the level's, or this rule's where that is stricter. */
    public double required(Level level, boolean largeText) {
        return Math.max(level.required(largeText), largeText ? large : normal);
    }
}
