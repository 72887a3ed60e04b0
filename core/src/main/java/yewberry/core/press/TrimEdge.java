package yewberry.core.press;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.color.Medium;
import yewberry.core.publication.Edge;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Planes;
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

    /** How fine a picture is looked at along an edge. */
    private static final double PPI = 72;

    /**
     * The edges of an area that may leave a white line; none where the page is not to bleed, nor
     * where a picture paints nothing along its edge.
     */
    public static List<TrimEdge> of(PageScene scene, Item.AreaFill fill) {
        return of(scene, fill, fill.painted());
    }

    /** The same of a picture in front that is not rotated. */
    public static List<TrimEdge> of(PageScene scene, Item.FrontFill fill) {
        return of(scene, fill, fill.bounds());
    }

    private static List<TrimEdge> of(PageScene scene, Item.Filled fill, Rect rect) {
        Rect trim = scene.boxes().trim();
        Rect bleed = scene.boxes().bleed();
        List<TrimEdge> edges = new ArrayList<>();
        add(edges, Edge.TOP, trim.y() - rect.y(), trim.y() - bleed.y());
        add(edges, Edge.BOTTOM, rect.bottom() - trim.bottom(), bleed.bottom() - trim.bottom());
        add(edges, Edge.LEFT, trim.x() - rect.x(), trim.x() - bleed.x());
        add(edges, Edge.RIGHT, rect.right() - trim.right(), bleed.right() - trim.right());
        if (!edges.isEmpty() && fill.paint() instanceof AreaPaint.Picture && !fill.covers()) {
            Planes planes = scene.on(Medium.PAPER).planes();
            Painted.Source source = Painted.source(fill, planes, PPI);
            edges.removeIf(each -> isFree(source, along(rect, each.edge())));
        }
        return edges;
    }

    /** What lies along an edge, as deep as a knife may cut. */
    private static Rect along(Rect rect, Edge edge) {
        return switch (edge) {
            case TOP -> new Rect(rect.x(), rect.y(), rect.width(), HAIR);
            case BOTTOM -> new Rect(rect.x(), rect.bottom() - HAIR, rect.width(), HAIR);
            case LEFT -> new Rect(rect.x(), rect.y(), HAIR, rect.height());
            case RIGHT -> new Rect(rect.right() - HAIR, rect.y(), HAIR, rect.height());
            case INSIDE, OUTSIDE -> throw new IllegalArgumentException("Not an edge of a page");
        };
    }

    /** Whether nothing is painted on a strip, looked at every half a point. */
    private static boolean isFree(Painted.Source source, Rect strip) {
        for (double x = strip.x() + 0.25; x < strip.right(); x += 0.5) {
            for (double y = strip.y() + 0.25; y < strip.bottom(); y += 0.5) {
                if (source.alpha(x, y) > 0) {
                    return false;
                }
            }
        }
        return true;
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
