package yewberry.core.scene;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.Optional;

/**
 * A rotation about a point of the page.
 *
 * @param degrees clockwise
 * @param x in points
 * @param y in points
 */
public record Turn(double degrees, double x, double y) {
    public static final Turn NONE = new Turn(0, 0, 0);

    /** One about the middle of a rectangle. */
    public static Turn about(Rect rect, double degrees) {
        return degrees == 0
                ? NONE
                : new Turn(degrees, rect.x() + rect.width() / 2, rect.y() + rect.height() / 2);
    }

    public boolean isNone() {
        return degrees == 0;
    }

    /** From where something stands before it is rotated to where it stands. */
    public AffineTransform transform() {
        return AffineTransform.getRotateInstance(Math.toRadians(degrees), x, y);
    }

    /** A point as it was before it was rotated. */
    public Point2D back(double px, double py) {
        double radians = Math.toRadians(-degrees);
        double dx = px - x;
        double dy = py - y;
        return new Point2D.Double(
                x + dx * Math.cos(radians) - dy * Math.sin(radians),
                y + dx * Math.sin(radians) + dy * Math.cos(radians));
    }

    /** A rectangle around one that is rotated. */
    public Rect around(Rect rect) {
        return isNone() ? rect : Rect.around(rotated(rect));
    }

    /** Whether a rectangle that is rotated holds a point. */
    public boolean contains(Rect rect, double px, double py) {
        return isNone() ? rect.contains(px, py) : rotated(rect).contains(px, py);
    }

    private Shape rotated(Rect rect) {
        return transform().createTransformedShape(rect.shape());
    }

    /** This; nothing where it rotates nothing. */
    public Optional<Turn> ifAny() {
        return Optional.of(this).filter(turn -> !turn.isNone());
    }
}
