package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.Optional;
import yewberry.core.Cancellation;

/**
 * Where a picture lies among pixels: those whose middle lies within it, so that pictures that touch
 * leave no seam.
 *
 * @param place from a square of one unit, from its lower left, to pixels
 */
record UnitSquare(AffineTransform place, AffineTransform back) {
    /** What a square has beyond its sides: it is not there, rather than see-through. */
    private static final double OUTSIDE = -1;

    /** Gives the planes of a point of the square, from its top left. */
    interface Square {
        double sample(double u, double v, double[] planes);
    }

    /** Nothing where it has no extent. */
    static Optional<UnitSquare> of(AffineTransform place) {
        try {
            return Optional.of(new UnitSquare(place, place.createInverse()));
        } catch (NoninvertibleTransformException flat) {
            return Optional.empty();
        }
    }

    /** Pixels across it. */
    double across() {
        return Math.hypot(place.getScaleX(), place.getShearY());
    }

    Ink ink(Square square) {
        Point2D.Double point = new Point2D.Double();
        return (x, y, planes) ->
                locate(x, y, point) ? square.sample(point.x, 1 - point.y, planes) : OUTSIDE;
    }

    /** Where the middle of a pixel lies, and whether that is within. */
    private boolean locate(int x, int y, Point2D.Double point) {
        point.setLocation(x + 0.5, y + 0.5);
        back.transform(point, point);
        return point.x >= 0 && point.x < 1 && point.y >= 0 && point.y < 1;
    }

    /** Goes over all pixels that it may be on. */
    void paint(Brush brush, int width, int height) {
        Rectangle2D bounds = place.createTransformedShape(PathEngine.UNIT).getBounds2D();
        int left = Math.clamp((long) Math.floor(bounds.getMinX()), 0, width);
        int right = Math.clamp((long) Math.ceil(bounds.getMaxX()), 0, width);
        int top = Math.clamp((long) Math.floor(bounds.getMinY()), 0, height);
        int bottom = Math.clamp((long) Math.ceil(bounds.getMaxY()), 0, height);
        for (int y = top; y < bottom; y++) {
            Cancellation.check();
            for (int x = left; x < right; x++) {
                brush.pixel(y * width + x, 1);
            }
        }
    }

    /**
     * An ink as far as a stencil lets it through.
     *
     * @param painted a byte a pixel of the stencil, row by row
     */
    Ink stencil(Ink ink, byte[] painted, int across, int down) {
        Point2D.Double point = new Point2D.Double();
        return (x, y, planes) -> {
            if (!locate(x, y, point)) {
                return OUTSIDE;
            }
            int column = Math.min(across - 1, (int) (point.x * across));
            int row = Math.clamp((int) ((1 - point.y) * down), 0, down - 1);
            double there = (painted[row * across + column] & 0xff) / 255.0;
            return there == 0 ? 0 : there * Math.max(0, ink.at(x, y, planes));
        };
    }
}
