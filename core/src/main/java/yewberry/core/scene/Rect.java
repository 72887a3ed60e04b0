package yewberry.core.scene;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;

/**
 * A rectangle in points, from its top left corner, x to the right and y down. The space is that of
 * a page: its origin is the top left corner of the trim.
 */
public record Rect(double x, double y, double width, double height) {
    /** What rounding may cost, in points: far below what any device resolves. */
    private static final double TOLERANCE = 1e-6;

    /** The smallest one around a shape. */
    public static Rect around(Shape shape) {
        Rectangle2D bounds = shape.getBounds2D();
        return new Rect(bounds.getX(), bounds.getY(), bounds.getWidth(), bounds.getHeight());
    }

    /** As a shape, of points in the same space. */
    public Rectangle2D shape() {
        return new Rectangle2D.Double(x, y, width, height);
    }

    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public boolean isEmpty() {
        return width <= TOLERANCE || height <= TOLERANCE;
    }

    public boolean contains(double px, double py) {
        return px >= x && px < right() && py >= y && py < bottom();
    }

    public boolean contains(Rect other) {
        return other.x >= x - TOLERANCE
                && other.y >= y - TOLERANCE
                && other.right() <= right() + TOLERANCE
                && other.bottom() <= bottom() + TOLERANCE;
    }

    public Rect intersection(Rect other) {
        double left = Math.max(x, other.x);
        double top = Math.max(y, other.y);
        return new Rect(
                left,
                top,
                Math.max(0, Math.min(right(), other.right()) - left),
                Math.max(0, Math.min(bottom(), other.bottom()) - top));
    }

    public Rect union(Rect other) {
        double left = Math.min(x, other.x);
        double top = Math.min(y, other.y);
        return new Rect(
                left,
                top,
                Math.max(right(), other.right()) - left,
                Math.max(bottom(), other.bottom()) - top);
    }

    /** What is left of this when the other is taken away: none to four rectangles. */
    public List<Rect> minus(Rect other) {
        Rect hole = intersection(other);
        if (hole.isEmpty()) {
            return List.of(this);
        }
        List<Rect> rest = new ArrayList<>(4);
        rest.add(new Rect(x, y, width, hole.y - y));
        rest.add(new Rect(x, hole.bottom(), width, bottom() - hole.bottom()));
        rest.add(new Rect(x, hole.y, hole.x - x, hole.height));
        rest.add(new Rect(hole.right(), hole.y, right() - hole.right(), hole.height));
        rest.removeIf(Rect::isEmpty);
        return rest;
    }

    public Rect movedBy(double dx, double dy) {
        return new Rect(x + dx, y + dy, width, height);
    }

    /** Smaller by these distances; sides that would cross meet. */
    public Rect inset(double left, double top, double right, double bottom) {
        return new Rect(
                x + left,
                y + top,
                Math.max(0, width - left - right),
                Math.max(0, height - top - bottom));
    }
}
