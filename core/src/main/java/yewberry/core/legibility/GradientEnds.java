package yewberry.core.legibility;

import java.util.List;
import yewberry.core.publication.Fill;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;

/**
 * How far along a gradient some glyphs reach, with what is close around them.
 *
 * @param hasStopWithin whether its colour turns between the two
 */
record GradientEnds(End from, End to, boolean hasStopWithin) {
    /**
     * One end.
     *
     * @param way 0 to 1
     * @param x where it is on the page
     * @param y likewise
     * @param ink the glyph that it belongs to
     */
    record End(double way, double x, double y, GlyphInk ink) {}

    /**
     * @param fill with the gradient
     * @param inks at least one
     */
    static GradientEnds of(Item.Filled fill, List<GlyphInk> inks) {
        AreaPaint.Gradient gradient = (AreaPaint.Gradient) fill.paint();
        AreaPaint.Gradient.Way way = gradient.within(fill.frame(), fill.turn());
        Rect frame = fill.frame();
        double middleX = frame.x() + frame.width() / 2;
        double middleY = frame.y() + frame.height() / 2;
        boolean isRadial = gradient.kind() == Fill.Gradient.Kind.RADIAL;
        End from = null;
        End to = null;
        for (GlyphInk ink : inks) {
            Rect box = ink.box();
            double nearX = isRadial ? Math.clamp(middleX, box.x(), box.right()) : box.x();
            double nearY = isRadial ? Math.clamp(middleY, box.y(), box.bottom()) : box.y();
            double[][] points = {
                {box.x(), box.y()},
                {box.right(), box.y()},
                {box.x(), box.bottom()},
                {box.right(), box.bottom()},
                {nearX, nearY}
            };
            for (double[] point : points) {
                double at = way.at(point[0], point[1]);
                End end = new End(at, point[0], point[1], ink);
                from = from == null || at < from.way() ? end : from;
                to = to == null || at > to.way() ? end : to;
            }
        }
        double low = from.way();
        double high = to.way();
        boolean turns =
                gradient.stops().stream()
                        .anyMatch(stop -> stop.position() > low && stop.position() < high);
        return new GradientEnds(from, to, turns || isRadial && !fill.turn().isNone());
    }
}
