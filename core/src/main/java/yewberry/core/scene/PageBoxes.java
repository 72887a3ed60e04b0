package yewberry.core.scene;

import yewberry.core.publication.Area;
import yewberry.core.publication.Margins;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;

/**
 * The boxes of a page, in points from the top left corner of its trim.
 *
 * @param side the hand the page is on; it decides where spine and outside are
 * @param trim what is left after cutting
 * @param bleed what is printed; where it equals the trim, the page is not to bleed
 * @param safe where text is safe from the knife
 * @param type inside the margins
 */
public record PageBoxes(Side side, Rect trim, Rect bleed, Rect safe, Rect type) {
    public static PageBoxes of(Setup setup, Side side) {
        double outside = setup.bleed().outside().points();
        double spine = setup.facing() ? setup.bleed().spine().points() : outside;
        double left = side == Side.RIGHT ? spine : outside;
        double right = side == Side.RIGHT ? outside : spine;
        Rect trim = new Rect(0, 0, setup.trim().width().points(), setup.trim().height().points());
        Rect bleed =
                trim.inset(
                        -left,
                        -setup.bleed().top().points(),
                        -right,
                        -setup.bleed().bottom().points());
        double safe = setup.safe().points();
        Margins margins = setup.margins();
        double inside = margins.inside().points();
        double fore = margins.outside().points();
        Rect type =
                trim.inset(
                        side == Side.RIGHT ? inside : fore,
                        margins.top().points(),
                        side == Side.RIGHT ? fore : inside,
                        margins.bottom().points());
        return new PageBoxes(side, trim, bleed, trim.inset(safe, safe, safe, safe), type);
    }

    /** Where an area lies on this page; at each edge it touches it goes on to the bleed. */
    public Rect place(Area area) {
        return switch (area) {
            case Area.WholePage whole -> bleed;
            case Area.Band band -> {
                double depth = band.depth().points();
                double across = Math.min(depth, trim.width());
                double down = Math.min(depth, trim.height());
                yield switch (band.edge().on(side)) {
                    case TOP -> new Rect(bleed.x(), bleed.y(), bleed.width(), down - bleed.y());
                    case BOTTOM -> {
                        double top = trim.bottom() - down;
                        yield new Rect(bleed.x(), top, bleed.width(), bleed.bottom() - top);
                    }
                    case LEFT, INSIDE ->
                            new Rect(bleed.x(), bleed.y(), across - bleed.x(), bleed.height());
                    case RIGHT, OUTSIDE -> {
                        double from = trim.right() - across;
                        yield new Rect(from, bleed.y(), bleed.right() - from, bleed.height());
                    }
                };
            }
        };
    }
}
