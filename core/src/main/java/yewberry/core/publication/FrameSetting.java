package yewberry.core.publication;

import yewberry.core.Refused;

/**
 * How text stands in its frame.
 *
 * @param inset between the frame and its text, on all sides
 * @param columns 1 to 12
 * @param gap between columns
 * @param vertical where text stands that does not fill a column
 * @throws Refused if there are too many columns, or a measure is negative
 */
public record FrameSetting(Length inset, int columns, Length gap, Vertical vertical) {
    public static final FrameSetting USUAL =
            new FrameSetting(Length.ZERO, 1, Length.mm(5), Vertical.TOP);

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
    }

    /** How wide a column is, in points; not above zero where there is no room for one. */
    public double columnWidth(Box box) {
        return (box.width().points() - 2 * inset.points() - (columns - 1) * gap.points()) / columns;
    }

    /** How high a column is, in points; not above zero where there is no room for one. */
    public double columnHeight(Box box) {
        return box.height().points() - 2 * inset.points();
    }

    /**
     * @throws Refused if that leaves no room for text in a frame
     */
    void check(Box box) {
        if (columnWidth(box) <= 0 || columnHeight(box) <= 0) {
            throw new Refused(
                    "A frame of %s × %s has no room for text with these insets and columns; make it larger, or those smaller."
                            .formatted(box.width().inWords(), box.height().inWords()));
        }
    }
}
