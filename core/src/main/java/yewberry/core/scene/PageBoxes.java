package yewberry.core.scene;

import java.util.Optional;
import yewberry.core.publication.Area;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Length;
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

    /**
     * What a fill of an area is spread over: the area itself or, across two pages that face each
     * other, both of them, which stand at the same height; what the binding swallows is left out of
     * the middle.
     *
     * @param beside the page beside this one, if there is one
     */
    public Rect frame(Area area, Optional<PageBoxes> beside) {
        if (area instanceof Area.WholeSpread(Length loss) && beside.isPresent()) {
            PageBoxes other = beside.get();
            double swallowed = loss.points();
            double middle = side == Side.LEFT ? trim.width() - swallowed : swallowed;
            double left = side == Side.LEFT ? half(swallowed) : other.half(swallowed);
            double right = side == Side.LEFT ? other.half(swallowed) : half(swallowed);
            double top = Math.min(bleed.y(), other.bleed.y());
            double bottom = Math.max(bleed.bottom(), other.bleed.bottom());
            return new Rect(middle - left, top, left + right, bottom - top);
        }
        return place(area);
    }

    /** What is seen of it where the page beside it begins at the spine. */
    public Rect upToSpine() {
        return side == Side.LEFT
                ? new Rect(bleed.x(), bleed.y(), trim.right() - bleed.x(), bleed.height())
                : new Rect(trim.x(), bleed.y(), bleed.right() - trim.x(), bleed.height());
    }

    /** From where the binding swallows it, out to the bleed. */
    private double half(double swallowed) {
        return side == Side.LEFT ? trim.width() - swallowed - bleed.x() : bleed.right() - swallowed;
    }

    /** Where an area lies on this page; at each edge it means to bleed off, out to the bleed. */
    public Rect place(Area area) {
        return switch (area) {
            case Area.WholePage whole -> bleed;
            case Area.WholeSpread spread -> bleed;
            case Area.SafeArea within -> safe;
            case Area.Rectangle rectangle -> place(rectangle);
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

    private Rect place(Area.Rectangle area) {
        double x =
                start(
                        area.anchor().across().on(side).ordinal(),
                        area.across().points(),
                        area.width().points(),
                        trim.width());
        double y =
                start(
                        area.anchor().down().ordinal(),
                        area.down().points(),
                        area.height().points(),
                        trim.height());
        double right = x + area.width().points();
        double bottom = y + area.height().points();
        for (Edge edge : area.bleeds()) {
            switch (edge.on(side)) {
                case TOP -> y = bleed.y();
                case BOTTOM -> bottom = bleed.bottom();
                case LEFT, INSIDE -> x = bleed.x();
                case RIGHT, OUTSIDE -> right = bleed.right();
            }
        }
        return new Rect(x, y, Math.max(0, right - x), Math.max(0, bottom - y));
    }

    /**
     * @param point 0 the near edge, 1 the middle, 2 the far edge
     */
    static double start(int point, double offset, double size, double whole) {
        return switch (point) {
            case 0 -> offset;
            case 1 -> (whole - size) / 2 + offset;
            default -> whole - size - offset;
        };
    }
}
