package yewberry.core.compose;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.geom.FlatteningPathIterator;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.publication.Border;
import yewberry.core.publication.Edge;
import yewberry.core.scene.Form;
import yewberry.core.scene.Rect;

/** What the lines of a border fill, within the outer edge of a panel. */
final class BorderForm {
    /** In widths: common practice, no source. */
    private static final double DASH = 3;

    private static final double BETWEEN_DASHES = 2;
    private static final double BETWEEN_DOTS = 2;

    /** In points; what a dot is long before its round ends. */
    private static final float DOT = 0.001f;

    private static final double FLATNESS = 0.05;

    /** Of dashes or dots along one line. */
    private static final int MOST = 1000;

    private final Rounded outer;
    private final List<Edge> sides;
    private final double width;

    private BorderForm(Rounded outer, List<Edge> sides, double width) {
        this.outer = outer;
        this.sides = sides;
        this.width = width;
    }

    /** Where the panel is cut, it has no line. */
    static Form of(Rounded outer, Border border, boolean cutAbove, boolean cutBelow) {
        List<Edge> sides =
                border.sides().stream()
                        .filter(side -> !(side == Edge.TOP && cutAbove))
                        .filter(side -> !(side == Edge.BOTTOM && cutBelow))
                        .toList();
        BorderForm form = new BorderForm(outer, sides, border.width().points());
        return Form.of(
                switch (border.style()) {
                    case SOLID -> form.band(0, 1);
                    case DOUBLE -> form.bands(3);
                    case TRIPLE -> form.bands(5);
                    case DASHED -> form.broken(DASH, BETWEEN_DASHES);
                    case DOTTED -> form.broken(0, BETWEEN_DOTS);
                });
    }

    /** Lines and gaps of one width, in turn. */
    private Shape bands(int parts) {
        Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
        for (int part = 0; part < parts; part += 2) {
            all.append(band((double) part / parts, (part + 1.0) / parts), false);
        }
        return all;
    }

    /** A line on all sides, from a part of the width to another. */
    private Shape band(double from, double to) {
        if (outer.isRectangle()) {
            Path2D ring = new Path2D.Double(Path2D.WIND_NON_ZERO);
            around(ring, row(from * width), true);
            around(ring, row(to * width), false);
            return ring;
        }
        Area band = inside(from * width);
        band.subtract(inside(to * width));
        return band;
    }

    private Rect row(double far) {
        return outer.rows()
                .getFirst()
                .inset(
                        at(Edge.LEFT, far),
                        at(Edge.TOP, far),
                        at(Edge.RIGHT, far),
                        at(Edge.BOTTOM, far));
    }

    /** Goes round a rectangle, clockwise or the other way. */
    private static void around(Path2D path, Rect rect, boolean clockwise) {
        double second = clockwise ? rect.right() : rect.x();
        double third = clockwise ? rect.x() : rect.right();
        path.moveTo(third, rect.y());
        path.lineTo(second, rect.y());
        path.lineTo(second, rect.bottom());
        path.lineTo(third, rect.bottom());
        path.closePath();
    }

    private Area inside(double far) {
        if (outer.rows().size() > 1 && sides.size() == Border.ALL.size()) {
            return offset(far);
        }
        return outer.inside(
                at(Edge.TOP, far), at(Edge.RIGHT, far), at(Edge.BOTTOM, far), at(Edge.LEFT, far));
    }

    private double at(Edge side, double far) {
        return sides.contains(side) ? far : 0;
    }

    /** As far inside of the lines of a paragraph everywhere. */
    private Area offset(double far) {
        Area inside = new Area(outer.path());
        if (far > 0) {
            inside.subtract(
                    new Area(
                            new BasicStroke(
                                            (float) (2 * far),
                                            BasicStroke.CAP_BUTT,
                                            BasicStroke.JOIN_MITER,
                                            10)
                                    .createStrokedShape(outer.path())));
        }
        return inside;
    }

    /**
     * Dashes or dots along the middle of the line, as many as fit evenly; where they would be too
     * fine to be seen, fewer.
     */
    private Shape broken(double dash, double gap) {
        Path2D all = new Path2D.Double(Path2D.WIND_NON_ZERO);
        if (sides.size() == Border.ALL.size()) {
            Shape middle = inside(width / 2);
            double length = length(middle);
            stroke(all, middle, dash, length / count(length, dash + gap));
            return all;
        }
        for (Line2D line : lines()) {
            double rest = Math.max(0, line.getP1().distance(line.getP2()) - dash * width);
            stroke(all, line, dash, Math.max(rest / count(rest, dash + gap), DOT));
        }
        return all;
    }

    /**
     * @param period in widths
     */
    private int count(double length, double period) {
        return Math.clamp(Math.round(length / (period * width)), 1, MOST);
    }

    private void stroke(Path2D to, Shape along, double dash, double period) {
        boolean dots = dash == 0;
        float on = dots ? DOT : (float) Math.min(dash * width, 0.6 * period);
        to.append(
                new BasicStroke(
                                (float) width,
                                dots ? BasicStroke.CAP_ROUND : BasicStroke.CAP_BUTT,
                                BasicStroke.JOIN_MITER,
                                10,
                                new float[] {on, (float) Math.max(DOT, period - on)},
                                0)
                        .createStrokedShape(along),
                false);
    }

    /** The middles of the lines of single sides. */
    private List<Line2D> lines() {
        List<Line2D> lines = new ArrayList<>();
        double half = width / 2;
        for (Rect row : outer.rows()) {
            Rect middle = row.inset(at(Edge.LEFT, half), 0, at(Edge.RIGHT, half), 0);
            if (sides.contains(Edge.LEFT)) {
                lines.add(new Line2D.Double(middle.x(), row.y(), middle.x(), row.bottom()));
            }
            if (sides.contains(Edge.RIGHT)) {
                lines.add(new Line2D.Double(middle.right(), row.y(), middle.right(), row.bottom()));
            }
        }
        Rect first = outer.rows().getFirst();
        Rect last = outer.rows().getLast();
        if (sides.contains(Edge.TOP)) {
            double y = first.y() + half;
            lines.add(new Line2D.Double(first.x(), y, first.right(), y));
        }
        if (sides.contains(Edge.BOTTOM)) {
            double y = last.bottom() - half;
            lines.add(new Line2D.Double(last.x(), y, last.right(), y));
        }
        return lines;
    }

    private static double length(Shape shape) {
        double[] at = new double[6];
        double length = 0;
        double x = 0;
        double y = 0;
        double startX = 0;
        double startY = 0;
        PathIterator path = new FlatteningPathIterator(shape.getPathIterator(null), FLATNESS);
        for (; !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_MOVETO) {
                startX = at[0];
                startY = at[1];
            } else {
                double toX = kind == PathIterator.SEG_CLOSE ? startX : at[0];
                double toY = kind == PathIterator.SEG_CLOSE ? startY : at[1];
                length += Math.hypot(toX - x, toY - y);
                at[0] = toX;
                at[1] = toY;
            }
            x = at[0];
            y = at[1];
        }
        return length;
    }
}
