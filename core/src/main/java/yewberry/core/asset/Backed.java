package yewberry.core.asset;

import java.awt.geom.Point2D;
import java.awt.geom.RoundRectangle2D;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Backing;

/**
 * A colour behind words of a page of a file, on a medium. Places are in points from the top left of
 * the page as it is seen.
 *
 * @param radius of its corners
 * @param color what it comes to: ink, or light
 * @param opacity above 0, to 1
 */
public record Backed(
        double x,
        double y,
        double width,
        double height,
        double radius,
        Color color,
        double opacity) {
    /**
     * @param color as it is defined
     */
    public static Backed of(Backing backing, Color color, PressCondition condition, Medium medium) {
        return new Backed(
                backing.area().x().points(),
                backing.area().y().points(),
                backing.area().width().points(),
                backing.area().height().points(),
                backing.radius().points(),
                medium == Medium.PAPER ? condition.toInk(color) : condition.toScreen(color),
                backing.opacity() / 100);
    }

    /** Whether it lies behind text that begins at a point. */
    public boolean isFor(Point2D begun) {
        return begun.getX() >= x
                && begun.getX() <= x + width
                && begun.getY() >= y
                && begun.getY() <= y + height;
    }

    /** What it covers. */
    public RoundRectangle2D shape() {
        return new RoundRectangle2D.Double(x, y, width, height, 2 * radius, 2 * radius);
    }
}
