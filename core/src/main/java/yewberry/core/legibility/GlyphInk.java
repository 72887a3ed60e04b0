package yewberry.core.legibility;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * A glyph at its place on the page.
 *
 * @param index among those of its line
 * @param around how far beyond its ink what lies behind it counts, in points
 * @param box around its ink and what is close around that
 */
record GlyphInk(
        Item.GlyphRun run, Item.Line line, int index, double around, Rect box, boolean hasInk) {
    static GlyphInk of(Item.GlyphRun run, Item.Line line, int index, double around) {
        Segment.Glyph glyph = line.glyphs().get(index);
        AffineTransform place = run.place(line, glyph);
        Rectangle2D units = run.face().outline(glyph.id()).ink();
        Rect ink = Rect.around(place.createTransformedShape(units));
        return new GlyphInk(
                run,
                line,
                index,
                around,
                ink.inset(-around, -around, -around, -around),
                !units.isEmpty());
    }

    Segment.Glyph glyph() {
        return line.glyphs().get(index);
    }
}
