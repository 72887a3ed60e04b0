package yewberry.core.press;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.publication.Edge;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * An edge of something that the knife may miss: an area that ends beyond the trim but short of the
 * bleed, or a hair inside the trim.
 *
 * @param edge of the page: top, bottom, left or right
 * @param beyond how far beyond the trim it ends, in points; below zero it ends inside
 */
public record TrimEdge(Edge edge, double beyond) {
    private static final double MM = 72 / 25.4;

    /** A knife is rarely off by more: common practice, no source. */
    private static final double HAIR = 0.5 * MM;

    private static final double NOTHING = 0.01 * MM;

    /** The edges of an area that may leave a white line; none where the page is not to bleed. */
    public static List<TrimEdge> of(PageScene scene, Item.AreaFill fill) {
        Rect rect = fill.painted();
        Rect trim = scene.boxes().trim();
        Rect bleed = scene.boxes().bleed();
        List<TrimEdge> edges = new ArrayList<>();
        add(edges, Edge.TOP, trim.y() - rect.y(), trim.y() - bleed.y());
        add(edges, Edge.BOTTOM, rect.bottom() - trim.bottom(), bleed.bottom() - trim.bottom());
        add(edges, Edge.LEFT, trim.x() - rect.x(), trim.x() - bleed.x());
        add(edges, Edge.RIGHT, rect.right() - trim.right(), bleed.right() - trim.right());
        return edges;
    }

    private static void add(List<TrimEdge> edges, Edge edge, double beyond, double bleed) {
        boolean bleeds = bleed > NOTHING;
        if (bleeds && beyond > -HAIR && beyond < bleed - NOTHING) {
            edges.add(new TrimEdge(edge, beyond));
        }
    }

    /** In millimetres. */
    public double millimetres() {
        return beyond / MM;
    }
}
