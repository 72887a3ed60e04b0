package yewberry.core.legibility;

import yewberry.core.publication.Level;
import yewberry.core.publication.Setup;
import yewberry.core.publication.TextChecks;

/**
 * What text is held to.
 *
 * @param level of WCAG 2.2 that is the least
 * @param normal the least ratio of normal text
 * @param large that of large text
 * @param leftOut the part of each glyph that is left out at most, 0 to 1, so that a stray pixel
 *     does not decide
 */
public record Demand(Level level, double normal, double large, double leftOut) {
    /** The part of each glyph that is left out unless somebody says otherwise. */
    public static final double LEFT_OUT = 0.05;

    /** That of a level of WCAG 2.2. */
    public static Demand of(Level level) {
        return new Demand(level, level.required(false), level.required(true), LEFT_OUT);
    }

    /** That of a publication. */
    public static Demand of(Setup setup) {
        TextChecks checks = setup.textChecks();
        return new Demand(
                setup.level(),
                checks.required(setup.level(), false),
                checks.required(setup.level(), true),
                checks.leftOut() / 100);
    }

    public double required(boolean largeText) {
        return largeText ? large : normal;
    }

    /** Whether a publication's own rule asks for more than its level does. */
    public boolean isOwn(boolean largeText) {
        return required(largeText) > level.required(largeText);
    }
}
