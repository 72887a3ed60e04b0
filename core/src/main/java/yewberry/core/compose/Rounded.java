package yewberry.core.compose;

import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.scene.Form;
import yewberry.core.scene.Rect;

/**
 * Rectangles one below the other, with rounded corners: one box, or the lines of a paragraph. The
 * corners of one rectangle are as CSS has them (CSS Backgrounds and Borders 3, 4.2 and 5).
 *
 * @param rows from the top down; each begins where the one above ends, or after a gap
 * @param radius of the corners, in points
 * @param above whether the corners of the first row are rounded at the top
 * @param below whether those of the last row are rounded at the bottom
 */
record Rounded(List<Rect> rows, double radius, boolean above, boolean below) {
    /** How far out a curve's handles are for a quarter of a circle; the usual approximation. */
    private static final double CIRCLE = 0.5522847498;

    private static final double NEAR = 1e-6;

    Rounded {
        rows = List.copyOf(rows);
    }

    /** The rectangle that it is, where it is no more than that. */
    boolean isRectangle() {
        return rows.size() == 1 && (radius <= 0 || !above && !below);
    }

    Form form() {
        return isRectangle() ? Form.of(rows.getFirst()) : Form.of(path());
    }

    Shape path() {
        if (rows.size() == 1) {
            return box(rows.getFirst(), 0, 0, 0, 0);
        }
        Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        stacks().forEach(stack -> stacked(path, corners(stack)));
        return path;
    }

    /** A rectangle whose corners are rounded at one end or at both. */
    static Shape ends(Rect rect, double radius, boolean left, boolean right) {
        double most = Math.min(rect.height() / 2, rect.width() / (left && right ? 2 : 1));
        double round = Math.min(radius, most);
        double atLeft = left ? round : 0;
        double atRight = right ? round : 0;
        Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        corner(path, rect, -1, -1, atLeft, atLeft);
        corner(path, rect, 1, -1, atRight, atRight);
        corner(path, rect, 1, 1, atRight, atRight);
        corner(path, rect, -1, 1, atLeft, atLeft);
        path.closePath();
        return path;
    }

    /**
     * What is left of one row when so much is taken from its sides: corners get smaller by as much.
     */
    Shape box(Rect rect, double top, double right, double bottom, double left) {
        Rect inner = rect.inset(left, top, right, bottom);
        double most = Math.min(rect.width() / 2, rect.height() / (above && below ? 2 : 1));
        double outer = Math.min(Math.max(0, radius), most);
        Path2D path = new Path2D.Double(Path2D.WIND_NON_ZERO);
        double upper = above ? outer : 0;
        double lower = below ? outer : 0;
        corner(path, inner, -1, -1, upper - left, upper - top);
        corner(path, inner, 1, -1, upper - right, upper - top);
        corner(path, inner, 1, 1, lower - right, lower - bottom);
        corner(path, inner, -1, 1, lower - left, lower - bottom);
        path.closePath();
        return path;
    }

    /**
     * Goes clockwise round one corner.
     *
     * @param across -1 for the left, 1 for the right
     * @param down -1 for the top, 1 for the bottom
     */
    private static void corner(
            Path2D path, Rect rect, int across, int down, double radiusX, double radiusY) {
        double x = across < 0 ? rect.x() : rect.right();
        double y = down < 0 ? rect.y() : rect.bottom();
        boolean round = radiusX > NEAR && radiusY > NEAR;
        double rx = round ? radiusX : 0;
        double ry = round ? radiusY : 0;
        Point2D side = new Point2D.Double(x, y - down * ry);
        Point2D level = new Point2D.Double(x - across * rx, y);
        Point2D from = across == down ? side : level;
        Point2D to = from == side ? level : side;
        if (path.getCurrentPoint() == null) {
            path.moveTo(from.getX(), from.getY());
        } else {
            path.lineTo(from.getX(), from.getY());
        }
        if (round) {
            curve(path, from, new Point2D.Double(x, y), to);
        }
    }

    private static void curve(Path2D path, Point2D from, Point2D corner, Point2D to) {
        path.curveTo(
                from.getX() + (corner.getX() - from.getX()) * CIRCLE,
                from.getY() + (corner.getY() - from.getY()) * CIRCLE,
                to.getX() + (corner.getX() - to.getX()) * CIRCLE,
                to.getY() + (corner.getY() - to.getY()) * CIRCLE,
                to.getX(),
                to.getY());
    }

    /** Rows that hang together. */
    private List<List<Rect>> stacks() {
        List<List<Rect>> stacks = new ArrayList<>();
        for (Rect row : rows) {
            if (stacks.isEmpty() || !touch(stacks.getLast().getLast(), row)) {
                stacks.add(new ArrayList<>());
            }
            stacks.getLast().add(row);
        }
        return stacks;
    }

    private static boolean touch(Rect upper, Rect lower) {
        return Math.abs(upper.bottom() - lower.y()) < NEAR
                && Math.min(upper.right(), lower.right()) - Math.max(upper.x(), lower.x()) > NEAR;
    }

    /** Down the right side and up the left; corners that are none are left out. */
    private static List<Point2D> corners(List<Rect> stack) {
        List<Point2D> all = new ArrayList<>();
        for (Rect row : stack) {
            all.add(new Point2D.Double(row.right(), row.y()));
            all.add(new Point2D.Double(row.right(), row.bottom()));
        }
        for (Rect row : stack.reversed()) {
            all.add(new Point2D.Double(row.x(), row.bottom()));
            all.add(new Point2D.Double(row.x(), row.y()));
        }
        List<Point2D> distinct = new ArrayList<>();
        for (Point2D point : all) {
            if (distinct.isEmpty() || point.distance(distinct.getLast()) > NEAR) {
                distinct.add(point);
            }
        }
        List<Point2D> corners = new ArrayList<>();
        for (int i = 0; i < distinct.size(); i++) {
            Point2D before = distinct.get(Math.floorMod(i - 1, distinct.size()));
            Point2D after = distinct.get((i + 1) % distinct.size());
            Point2D here = distinct.get(i);
            boolean straight =
                    Math.abs(before.getX() - here.getX()) < NEAR
                                    && Math.abs(after.getX() - here.getX()) < NEAR
                            || Math.abs(before.getY() - here.getY()) < NEAR
                                    && Math.abs(after.getY() - here.getY()) < NEAR;
            if (!straight) {
                corners.add(here);
            }
        }
        return corners;
    }

    private void stacked(Path2D path, List<Point2D> corners) {
        double first = rows.getFirst().y();
        double last = rows.getLast().bottom();
        for (int i = 0; i < corners.size(); i++) {
            Point2D here = corners.get(i);
            Point2D before = corners.get(Math.floorMod(i - 1, corners.size()));
            Point2D after = corners.get((i + 1) % corners.size());
            boolean cut =
                    !above && Math.abs(here.getY() - first) < NEAR
                            || !below && Math.abs(here.getY() - last) < NEAR;
            double most = Math.min(here.distance(before), here.distance(after)) / 2;
            double round = cut ? 0 : Math.min(Math.max(0, radius), most);
            Point2D from = toward(here, before, round);
            if (i == 0) {
                path.moveTo(from.getX(), from.getY());
            } else {
                path.lineTo(from.getX(), from.getY());
            }
            if (round > NEAR) {
                curve(path, from, here, toward(here, after, round));
            }
        }
        path.closePath();
    }

    private static Point2D toward(Point2D from, Point2D to, double far) {
        double length = from.distance(to);
        return length < NEAR
                ? from
                : new Point2D.Double(
                        from.getX() + (to.getX() - from.getX()) * far / length,
                        from.getY() + (to.getY() - from.getY()) * far / length);
    }

    /** What is left when so much is taken from its sides. */
    Area inside(double top, double right, double bottom, double left) {
        if (rows.size() == 1) {
            return new Area(box(rows.getFirst(), top, right, bottom, left));
        }
        Area inside = new Area();
        for (int i = 0; i < rows.size(); i++) {
            Rect row =
                    rows.get(i)
                            .inset(
                                    left,
                                    i == 0 ? top : 0,
                                    right,
                                    i == rows.size() - 1 ? bottom : 0);
            inside.add(new Area(row.shape()));
        }
        inside.intersect(new Area(path()));
        return inside;
    }
}
