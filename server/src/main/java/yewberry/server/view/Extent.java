package yewberry.server.view;

import yewberry.core.publication.Unit;
import yewberry.core.scene.Rect;

/** A rectangle in millimetres from the top left corner of the trim, y down. */
public record Extent(double x, double y, double width, double height) {
    public static Extent of(Rect rect) {
        return new Extent(mm(rect.x()), mm(rect.y()), mm(rect.width()), mm(rect.height()));
    }

    /** Points to millimetres, to a thousandth. */
    static double mm(double points) {
        return Math.rint(points / Unit.MM.points() * 1000) / 1000;
    }
}
