package yewberry.core.publication;

import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * How a frame and its text stand.
 *
 * @param inset between the frame and its text, on all sides
 * @param columns 1 to 12
 * @param gap between columns
 * @param vertical where text stands that does not fill a column
 * @param rotation of the frame with its text about its middle, in degrees clockwise
 * @throws Refused if there are too many columns, or a measure is negative, or the rotation is not
 *     within -360 to 360
 */
public record FrameSetting(
        Length inset, int columns, Length gap, Vertical vertical, double rotation) {
    public static final FrameSetting USUAL =
            new FrameSetting(Length.ZERO, 1, Length.mm(5), Vertical.TOP, 0);

    private static final int MOST = 12;

    public enum Vertical {
        TOP,
        MIDDLE,
        BOTTOM
    }

    public FrameSetting {
        if (columns < 1 || columns > MOST) {
            throw new Refused(
                    "A frame of %d columns is not possible; choose from 1 to %d."
                            .formatted(columns, MOST));
        }
        if (inset.value() < 0 || gap.value() < 0) {
            throw new Refused("Insets and gaps between columns are 0 mm or more.");
        }
        if (!(Math.abs(rotation) <= 360)) {
            throw new Refused(
                    "A rotation of %s° is not possible; choose from -360° to 360°."
                            .formatted(Numbers.plain(rotation)));
        }
    }

    public FrameSetting withRotation(double changed) {
        return new FrameSetting(inset, columns, gap, vertical, changed);
    }

    /** How wide a column is, in points; not above zero where there is no room for one. */
    public double columnWidth(Box box) {
        return (box.width().points() - 2 * inset.points() - (columns - 1) * gap.points()) / columns;
    }

    /** How high a column is, in points; not above zero where there is no room for one. */
    public double columnHeight(Box box) {
        return box.height().points() - 2 * inset.points();
    }

    /** Whether there is room for text in a frame. */
    public boolean isRoomy(Box box) {
        return columnWidth(box) > 0 && columnHeight(box) > 0;
    }

    /**
     * @throws Refused if that leaves no room for text in a frame
     */
    void check(Box box) {
        if (!isRoomy(box)) {
            throw new Refused(
                    "A frame of %s × %s has no room for text with these insets and columns; make it larger, or those smaller."
                            .formatted(box.width().inWords(), box.height().inWords()));
        }
    }
}
