package yewberry.core.legibility;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Line2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Turn;

/**
 * How far a gradient goes below some ink: points that have its colour at both ends of that reach,
 * at each stop between them, on either side of a sharp one, and in steps too small to be told
 * apart.
 */
final class GradientReach {
    /** Of the way; both sides of a stop that is a sharp edge are looked at. */
    private static final double HAIR = 1e-7;

    /** Steps from one end of the gradient to the other, so that inks change by half a percent. */
    private static final int STEPS = 200;

    /** How far a flattened outline may be off, in points. */
    private static final double FLATNESS = 0.002;

    private GradientReach() {}

    /**
     * @param frame that the gradient is spread over
     * @param turn how that is rotated
     * @param ink that is looked at; where it is empty there are no points
     */
    static List<Point2D> of(AreaPaint.Gradient gradient, Rect frame, Turn turn, Area ink) {
        if (turn.isNone()) {
            return of(gradient, frame, ink);
        }
        AffineTransform back =
                AffineTransform.getRotateInstance(
                        Math.toRadians(-turn.degrees()), turn.x(), turn.y());
        return of(gradient, frame, ink.createTransformedArea(back)).stream()
                .map(point -> turn.transform().transform(point, null))
                .toList();
    }

    private static List<Point2D> of(AreaPaint.Gradient gradient, Rect frame, Area ink) {
        if (ink.isEmpty()) {
            return List.of();
        }
        double[] reach =
                switch (gradient.kind()) {
                    case LINEAR -> linear(gradient.within(frame), ink);
                    case RADIAL -> radial(frame, gradient.radius(frame), ink);
                };
        TreeSet<Double> ways = new TreeSet<>(List.of(reach[0], reach[1]));
        for (AreaPaint.Gradient.Stop stop : gradient.stops()) {
            for (double way :
                    new double[] {
                        stop.position() - HAIR, stop.position(), stop.position() + HAIR
                    }) {
                if (way > reach[0] && way < reach[1]) {
                    ways.add(way);
                }
            }
        }
        for (int step = 1; step < STEPS; step++) {
            double way = (double) step / STEPS;
            if (way > reach[0] && way < reach[1]) {
                ways.add(way);
            }
        }
        return ways.stream().map(way -> point(gradient, frame, way)).toList();
    }

    /** The extremes of a straight way lie at corners of the outline. */
    private static double[] linear(AreaPaint.Gradient.Way way, Area ink) {
        double least = 1;
        double most = 0;
        for (Point2D[] edge : edges(ink)) {
            double at = way.at(edge[0].getX(), edge[0].getY());
            least = Math.min(least, at);
            most = Math.max(most, at);
        }
        return new double[] {least, most};
    }

    /** The farthest point is a corner; the nearest may lie along an edge, or within. */
    private static double[] radial(Rect frame, double radius, Area ink) {
        double x = frame.x() + frame.width() / 2;
        double y = frame.y() + frame.height() / 2;
        double least = ink.contains(x, y) ? 0 : Double.MAX_VALUE;
        double most = 0;
        for (Point2D[] edge : edges(ink)) {
            least =
                    Math.min(
                            least,
                            Line2D.ptSegDist(
                                    edge[0].getX(),
                                    edge[0].getY(),
                                    edge[1].getX(),
                                    edge[1].getY(),
                                    x,
                                    y));
            most = Math.max(most, edge[0].distance(x, y));
        }
        return new double[] {Math.clamp(least / radius, 0, 1), Math.clamp(most / radius, 0, 1)};
    }

    private static List<Point2D[]> edges(Area ink) {
        List<Point2D[]> edges = new ArrayList<>();
        double[] at = new double[6];
        Point2D start = new Point2D.Double();
        Point2D last = start;
        for (PathIterator path = ink.getPathIterator(null, FLATNESS); !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            Point2D next =
                    kind == PathIterator.SEG_CLOSE ? start : new Point2D.Double(at[0], at[1]);
            if (kind == PathIterator.SEG_MOVETO) {
                start = next;
            } else {
                edges.add(new Point2D[] {last, next});
            }
            last = next;
        }
        return edges;
    }

    /** A point that lies so far along. */
    private static Point2D point(AreaPaint.Gradient gradient, Rect frame, double way) {
        double x = frame.x() + frame.width() / 2;
        double y = frame.y() + frame.height() / 2;
        return switch (gradient.kind()) {
            case LINEAR -> {
                double radians = Math.toRadians(gradient.angle());
                double from = (way - 0.5) * gradient.length(frame);
                yield new Point2D.Double(
                        x + from * Math.cos(radians), y - from * Math.sin(radians));
            }
            case RADIAL -> new Point2D.Double(x + way * gradient.radius(frame), y);
        };
    }
}
