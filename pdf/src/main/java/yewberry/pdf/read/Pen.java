package yewberry.pdf.read;

import java.awt.geom.Rectangle2D;
import java.util.Optional;
import yewberry.core.asset.PageText;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;

/**
 * A glyph.
 *
 * @param order among all that the page paints
 * @param annotates whether it is part of an annotation, over all of the page
 * @param paragraph that the file says it is part of
 * @param x of its origin, as the page is seen
 * @param y likewise
 * @param advance to the next
 * @param ink around what it paints
 */
record Pen(
        int order,
        boolean annotates,
        Optional<Integer> paragraph,
        FileFaces.Open face,
        int glyph,
        String text,
        double size,
        double degrees,
        double x,
        double y,
        double advance,
        Rectangle2D ink,
        Color color,
        Rgb seen,
        boolean overprints) {
    /**
     * What it stands on.
     *
     * @param page what the page paints there
     * @param annotation what its annotation does, if it is in one
     */
    record Grounds(PageText.Ground page, Optional<PageText.Ground> annotation) {}

    /** Around a glyph what lies behind it counts, as for all text: in em, at least in points. */
    private static final double AROUND = 0.05;

    private static final double LEAST_AROUND = 0.1 * 72 / 25.4;

    Rectangle2D around() {
        double more = Math.max(LEAST_AROUND, AROUND * size);
        return new Rectangle2D.Double(
                ink.getX() - more,
                ink.getY() - more,
                ink.getWidth() + 2 * more,
                ink.getHeight() + 2 * more);
    }
}
