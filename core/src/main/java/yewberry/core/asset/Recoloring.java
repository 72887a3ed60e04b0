package yewberry.core.asset;

import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.Optional;
import java.util.Set;
import yewberry.core.color.Color;
import yewberry.core.color.Difference;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/**
 * A colour of a file that is painted in another one.
 *
 * @param from the colour, as it is seen on a screen
 * @param within how far from it others may be that are painted in it as well, as CIEDE2000
 * @param what is painted
 * @param to what it comes to on a medium: ink, or light; nothing where it is not painted at all
 * @param area of the page as it is seen, in points from its top left, that it is for; nothing means
 *     all of it
 */
public record Recoloring(
        Rgb from,
        double within,
        Set<Recolor.What> what,
        Optional<Color> to,
        Optional<Rectangle2D> area) {
    /** A colour that is written in another space comes back a step off. */
    private static final int STEP = 1;

    /**
     * @param to as it is defined
     */
    public static Recoloring of(
            Recolor recolor, Optional<Color> to, PressCondition condition, Medium medium) {
        return new Recoloring(
                recolor.from(),
                recolor.within(),
                recolor.what(),
                to.map(color ->
                        medium == Medium.PAPER
                                ? condition.toInk(color)
                                : condition.toScreen(color)),
                recolor.area()
                        .map(box ->
                                new Rectangle2D.Double(
                                        box.x().points(),
                                        box.y().points(),
                                        box.width().points(),
                                        box.height().points())));
    }

    /**
     * Whether something of a file is painted in another colour.
     *
     * @param at where it is on the page as it is seen: where text begins, or the middle of a path
     *     or a picture
     */
    public boolean changes(Rgb seen, Recolor.What painted, Point2D at, PressCondition condition) {
        return isFor(painted, at)
                && (isSame(seen)
                        || within > 0
                                && Difference.ciede2000(condition.lab(seen), condition.lab(from))
                                        <= within);
    }

    /** Whether colours of something are others, if they are near enough. */
    public boolean isFor(Recolor.What painted, Point2D at) {
        return what.contains(painted)
                && area.map(each -> each.contains(at.getX(), at.getY())).orElse(true);
    }

    private boolean isSame(Rgb seen) {
        return Math.abs(seen.red() - from.red()) <= STEP
                && Math.abs(seen.green() - from.green()) <= STEP
                && Math.abs(seen.blue() - from.blue()) <= STEP;
    }
}
