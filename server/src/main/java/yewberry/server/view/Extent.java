package yewberry.server.view;

import yewberry.core.Refused;
import yewberry.core.publication.Unit;
import yewberry.core.scene.Rect;

/** A rectangle in millimetres from the top left corner of the trim, y down. */
public record Extent(double x, double y, double width, double height) {
    private static final double MOST = 6000;

    public static Extent of(Rect rect) {
        return new Extent(mm(rect.x()), mm(rect.y()), mm(rect.width()), mm(rect.height()));
    }

    /**
     * The same in points, as a part of a page.
     *
     * @throws Refused if it is empty or larger than any page
     */
    public Rect rect() {
        if (!(width > 0 && height > 0 && width <= MOST && height <= MOST)) {
            throw new Refused("A part of a page is more than 0 and at most 6000 mm wide and high.");
        }
        double mm = Unit.MM.points();
        return new Rect(x * mm, y * mm, width * mm, height * mm);
    }

    /** Points to millimetres, to a thousandth. */
    static double mm(double points) {
        return Math.rint(points / Unit.MM.points() * 1000) / 1000;
    }
}
