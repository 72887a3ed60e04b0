package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.Refused;

/**
 * A line around letters. Text that has one knocks out what is below it.
 *
 * @param width of the line; it lies outside the letters, so that their shapes stay whole, but for
 *     one that is centered on their edges
 * @throws Refused if it is not above 0 pt and up to 72 pt wide
 */
public record Outline(Tinted color, Length width, Join join, boolean centered) {
    /** Beyond so many widths a pointed corner is cut; common practice (SVG 2, 13.5.4). */
    public static final double MITER_LIMIT = 4;

    /** How the line goes round a corner, as in SVG and PDF. */
    public enum Join {
        ROUND,
        MITER,
        BEVEL
    }

    public Outline {
        if (!(width.points() > 0 && width.points() <= 72)) {
            throw new Refused(
                    "An outline of %s is not possible; choose a width above 0 pt and up to 72 pt."
                            .formatted(width.inWords()));
        }
    }

    public Outline withWidth(Length changed) {
        return new Outline(color, changed, join, centered);
    }

    Outline withReference(UUID old, UUID replacement) {
        return new Outline(color.withReference(old, replacement), width, join, centered);
    }
}
