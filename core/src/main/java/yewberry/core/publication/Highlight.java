package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * Colour behind characters. Its box goes from the ascent of their face to its descent, as CSS has
 * it for inline boxes, and is moved out from there, so that one serves type of any size. Its width
 * moves no text.
 *
 * @param top beyond the ascent, in em; below zero it begins lower
 * @param bottom beyond the descent, in em; below zero it ends higher
 * @param sides beyond the first and the last character, in em
 * @param radius of the corners, in em
 * @param closed whether it has sides and corners of its own where a line ends; otherwise it is cut
 *     there
 * @throws Refused if a measure is not within -2 to 2 em, the sides or the radius below 0
 */
public record Highlight(
        Tinted color, double top, double bottom, double sides, double radius, boolean closed) {
    public Highlight {
        check("A distance", top, -2);
        check("A distance", bottom, -2);
        check("A distance at the sides", sides, 0);
        check("A radius", radius, 0);
    }

    private static void check(String what, double em, double least) {
        if (!(em >= least && em <= 2)) {
            throw new Refused(
                    "%s of %s em is not possible for a highlight; choose from %s to 2."
                            .formatted(what, Numbers.plain(em), Numbers.plain(least)));
        }
    }

    public Highlight withColor(Tinted changed) {
        return new Highlight(changed, top, bottom, sides, radius, closed);
    }

    Highlight withReference(UUID old, UUID replacement) {
        return new Highlight(
                color.withReference(old, replacement), top, bottom, sides, radius, closed);
    }
}
