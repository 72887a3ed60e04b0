package yewberry.core.scene;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Side;

/**
 * Where a picture lies on a page, in points: the point at {@code u} of its width and {@code v} of
 * its height is {@code (x + u * acrossX + v * downX, y + u * acrossY + v * downY)}.
 *
 * @param x of its top left corner
 * @param y of its top left corner
 * @param acrossX along its top edge
 * @param downX along its left edge
 */
public record PicturePlace(
        double x, double y, double acrossX, double acrossY, double downX, double downY) {
    /** What rounding may cost, as a part of the picture. */
    private static final double TOLERANCE = 1e-6;

    /**
     * @param own its own size
     * @param frame that it is placed in
     * @param page that the frame is on
     */
    public static PicturePlace of(Placing placing, Asset.Extent own, Rect frame, PageBoxes page) {
        Side side = page.side();
        double radians = Math.toRadians(placing.rotation());
        double cos = Math.abs(Math.cos(radians));
        double sin = Math.abs(Math.sin(radians));
        // what has to be covered, measured along the picture's own sides
        double across = frame.width() * cos + frame.height() * sin;
        double down = frame.width() * sin + frame.height() * cos;
        return switch (placing.fit()) {
            case COVER -> {
                double scale = Math.max(across / own.width(), down / own.height());
                double w = own.width() * scale;
                double h = own.height() * scale;
                double u = shift(placing.focus().x(), w, across);
                double v = shift(placing.focus().y(), h, down);
                yield about(middleX(frame), middleY(frame), w, h, radians, u, v);
            }
            case STRETCH -> about(middleX(frame), middleY(frame), across, down, radians, 0.5, 0.5);
            case CONTAIN -> {
                double w = own.width() * cos + own.height() * sin;
                double h = own.width() * sin + own.height() * cos;
                double scale = Math.min(frame.width() / w, frame.height() / h);
                yield anchored(placing, own, scale, frame, side);
            }
            case TILE, SIZED ->
                    anchored(
                            placing,
                            own,
                            placing.percent()
                                    / 100
                                    * switch (placing.base()) {
                                        case OWN -> 1;
                                        case PAGE -> page.trim().width() / own.width();
                                    },
                            frame,
                            side);
        };
    }

    private static double middleX(Rect frame) {
        return frame.x() + frame.width() / 2;
    }

    private static double middleY(Rect frame) {
        return frame.y() + frame.height() / 2;
    }

    /** Which part of a side lies in the middle: the focus, as near as leaves nothing free. */
    private static double shift(double focus, double side, double toCover) {
        double half = toCover / 2 / side;
        return Math.clamp(focus / 100, Math.min(half, 0.5), Math.max(1 - half, 0.5));
    }

    /** Turned by an angle, with a point of it at a point of the page. */
    private static PicturePlace about(
            double x, double y, double w, double h, double radians, double u, double v) {
        double acrossX = w * Math.cos(radians);
        double acrossY = -w * Math.sin(radians);
        double downX = h * Math.sin(radians);
        double downY = h * Math.cos(radians);
        return new PicturePlace(
                x - u * acrossX - v * downX,
                y - u * acrossY - v * downY,
                acrossX,
                acrossY,
                downX,
                downY);
    }

    private static PicturePlace anchored(
            Placing placing, Asset.Extent own, double scale, Rect frame, Side side) {
        double radians = Math.toRadians(placing.rotation());
        double w = own.width() * scale;
        double h = own.height() * scale;
        double boxW = w * Math.abs(Math.cos(radians)) + h * Math.abs(Math.sin(radians));
        double boxH = w * Math.abs(Math.sin(radians)) + h * Math.abs(Math.cos(radians));
        Anchor anchor = placing.anchor();
        double left =
                frame.x()
                        + PageBoxes.start(
                                anchor.across().on(side).ordinal(),
                                placing.across().points(),
                                boxW,
                                frame.width());
        double top =
                frame.y()
                        + PageBoxes.start(
                                anchor.down().ordinal(),
                                placing.down().points(),
                                boxH,
                                frame.height());
        return about(left + boxW / 2, top + boxH / 2, w, h, radians, 0.5, 0.5);
    }

    /** The same farther to the right. */
    PicturePlace movedBy(double right) {
        return new PicturePlace(x + right, y, acrossX, acrossY, downX, downY);
    }

    /** As much larger about its own middle as it takes to cover a frame. */
    public PicturePlace enlargedTo(Rect frame) {
        double larger = 1;
        for (double[] corner : corners(frame)) {
            larger = Math.max(larger, 2 * Math.abs(u(corner[0], corner[1]) - 0.5));
            larger = Math.max(larger, 2 * Math.abs(v(corner[0], corner[1]) - 0.5));
        }
        double middleX = x + (acrossX + downX) / 2;
        double middleY = y + (acrossY + downY) / 2;
        return new PicturePlace(
                middleX - (acrossX + downX) / 2 * larger,
                middleY - (acrossY + downY) / 2 * larger,
                acrossX * larger,
                acrossY * larger,
                downX * larger,
                downY * larger);
    }

    /** The same, rotated. */
    public PicturePlace turned(Turn turn) {
        if (turn.isNone()) {
            return this;
        }
        AffineTransform place = turn.transform();
        place.concatenate(new AffineTransform(acrossX, acrossY, downX, downY, x, y));
        return new PicturePlace(
                place.getTranslateX(),
                place.getTranslateY(),
                place.getScaleX(),
                place.getShearY(),
                place.getShearX(),
                place.getScaleY());
    }

    private static double[][] corners(Rect frame) {
        return new double[][] {
            {frame.x(), frame.y()},
            {frame.right(), frame.y()},
            {frame.x(), frame.bottom()},
            {frame.right(), frame.bottom()}
        };
    }

    /** How far across the picture a point of the page is: 0 at its left edge, 1 at its right. */
    public double u(double px, double py) {
        return ((px - x) * downY - (py - y) * downX) / determinant();
    }

    /** How far down it: 0 at its top edge, 1 at its bottom. */
    public double v(double px, double py) {
        return ((py - y) * acrossX - (px - x) * acrossY) / determinant();
    }

    /** From points of the page to {@link #u} and {@link #v}. */
    public AffineTransform toPicture() {
        double determinant = determinant();
        return new AffineTransform(
                downY / determinant,
                -acrossY / determinant,
                -downX / determinant,
                acrossX / determinant,
                (y * downX - x * downY) / determinant,
                (x * acrossY - y * acrossX) / determinant);
    }

    private double determinant() {
        return acrossX * downY - acrossY * downX;
    }

    /** In points. */
    public double width() {
        return Math.hypot(acrossX, acrossY);
    }

    /** In points. */
    public double height() {
        return Math.hypot(downX, downY);
    }

    public boolean covers(Rect rect) {
        for (double[] corner : corners(rect)) {
            double u = u(corner[0], corner[1]);
            double v = v(corner[0], corner[1]);
            if (u < -TOLERANCE || u > 1 + TOLERANCE || v < -TOLERANCE || v > 1 + TOLERANCE) {
                return false;
            }
        }
        return true;
    }

    /**
     * A part of the picture where it lies on the page.
     *
     * @param left from its left edge, as a part of its width, like {@code width}; {@code top} and
     *     {@code height} of its height
     */
    public Shape part(double left, double top, double width, double height) {
        return new AffineTransform(acrossX, acrossY, downX, downY, x, y)
                .createTransformedShape(new Rectangle2D.Double(left, top, width, height));
    }

    /** A rectangle around it. */
    public Rect bounds() {
        double left = x + Math.min(0, acrossX) + Math.min(0, downX);
        double top = y + Math.min(0, acrossY) + Math.min(0, downY);
        return new Rect(
                left,
                top,
                Math.abs(acrossX) + Math.abs(downX),
                Math.abs(acrossY) + Math.abs(downY));
    }
}
