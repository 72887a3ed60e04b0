package yewberry.pdf.read;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.Optional;
import yewberry.core.asset.PageText;
import yewberry.core.color.Color;

/**
 * Something else that is painted.
 *
 * @param path around what it was drawn from, in the space of the page
 * @param bounds as far as the clip lets it, as the page is seen
 * @param shape likewise; nothing where that is its bounds
 * @param color of all of it, if it has one
 * @param hides whether nothing below it shows
 * @param veil what what is below is seen through, where it is part of an annotation and that is one
 *     colour
 */
record OtherPaint(
        int order,
        Rectangle2D path,
        Rectangle2D bounds,
        Optional<Shape> shape,
        Optional<Color> color,
        boolean hides,
        boolean picture,
        Optional<PageText.Veil> veil) {
    /** How thin lines are that belong to text, in em: common practice, no source. */
    private static final double LINE = 0.15;

    boolean touches(Rectangle2D box) {
        return bounds.intersects(box) && shape.map(each -> each.intersects(box)).orElse(true);
    }

    boolean holds(Rectangle2D box) {
        return bounds.contains(box) && shape.map(each -> each.contains(box)).orElse(true);
    }

    /** Whether it is a line that belongs to a glyph. */
    boolean isLineOf(Pen pen) {
        return Math.min(bounds.getWidth(), bounds.getHeight()) <= LINE * pen.size()
                && color.equals(Optional.of(pen.color()));
    }
}
