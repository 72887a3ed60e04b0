package yewberry.core.scene;

import java.awt.Shape;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;

/** Shapes as PDF knows them: their curves are of the third degree. */
public final class Cubics {
    private Cubics() {}

    /** The same shape; a curve of the second degree is exactly one of the third. */
    public static Path2D of(Shape shape) {
        Path2D path = new Path2D.Double();
        double[] at = new double[6];
        double x = 0;
        double y = 0;
        for (PathIterator each = shape.getPathIterator(null); !each.isDone(); each.next()) {
            switch (each.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> path.moveTo(at[0], at[1]);
                case PathIterator.SEG_LINETO -> path.lineTo(at[0], at[1]);
                case PathIterator.SEG_QUADTO ->
                        path.curveTo(
                                (x + 2 * at[0]) / 3,
                                (y + 2 * at[1]) / 3,
                                (at[2] + 2 * at[0]) / 3,
                                (at[3] + 2 * at[1]) / 3,
                                at[2],
                                at[3]);
                case PathIterator.SEG_CUBICTO ->
                        path.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
                default -> path.closePath();
            }
            x = path.getCurrentPoint().getX();
            y = path.getCurrentPoint().getY();
        }
        return path;
    }
}
