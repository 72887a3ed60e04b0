package yewberry.core.picture;

import java.awt.Shape;
import java.awt.geom.PathIterator;
import yewberry.core.scene.Turn;

/** How shapes and numbers are written in SVG. */
final class SvgMarkup {
    /** Of the kinds of segments of a path, what they are in SVG, and how many numbers each has. */
    private static final String RELATIVE = "mlqcz";

    private static final int[] COORDINATES = {2, 2, 4, 6, 0};

    private static final int ONE = 10_000;

    private SvgMarkup() {}

    /** The data of a path. */
    static void path(StringBuilder to, Shape shape) {
        double[] at = new double[6];
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            switch (path.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> points(to, 'M', at, 2);
                case PathIterator.SEG_LINETO -> points(to, 'L', at, 2);
                case PathIterator.SEG_QUADTO -> points(to, 'Q', at, 4);
                case PathIterator.SEG_CUBICTO -> points(to, 'C', at, 6);
                default -> to.append('Z');
            }
        }
    }

    /**
     * The data of a path that goes from where the one before it ended, as short as can be: one that
     * comes again at other places is the same text there.
     */
    static String relative(Shape shape) {
        StringBuilder data = new StringBuilder();
        double[] to = new double[6];
        long x = 0;
        long y = 0;
        long startX = 0;
        long startY = 0;
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            int kind = path.currentSegment(to);
            int count = COORDINATES[kind];
            if (count == 0) {
                data.append('z');
                x = startX;
                y = startY;
                continue;
            }
            data.append(RELATIVE.charAt(kind));
            long fromX = x;
            long fromY = y;
            for (int i = 0; i < count; i += 2) {
                x = scaled(to[i]);
                y = scaled(to[i + 1]);
                data.append(i == 0 || x < fromX ? "" : " ").append(written(x - fromX));
                data.append(y < fromY ? "" : " ").append(written(y - fromY));
            }
            if (kind == PathIterator.SEG_MOVETO) {
                startX = x;
                startY = y;
            }
        }
        return data.toString();
    }

    private static void points(StringBuilder to, char command, double[] at, int count) {
        to.append(command);
        for (int i = 0; i < count; i++) {
            to.append(i == 0 ? "" : " ").append(number(at[i]));
        }
    }

    /** At most four decimals: a thousandth of a pixel at 3200 %. */
    static String number(double value) {
        return written(scaled(value));
    }

    private static long scaled(double value) {
        return Math.round(value * ONE);
    }

    private static String written(long scaled) {
        if (scaled % ONE == 0) {
            return Long.toString(scaled / ONE);
        }
        long whole = Math.abs(scaled) / ONE;
        // one more in front, so that zeros behind the point stay
        String decimals = Long.toString(ONE + Math.abs(scaled) % ONE);
        int end = decimals.length();
        while (decimals.charAt(end - 1) == '0') {
            end--;
        }
        return (scaled < 0 ? "-" : "") + whole + "." + decimals.substring(1, end);
    }

    /** A transform that rotates. */
    static String rotate(Turn turn) {
        return "rotate(%s %s %s)"
                .formatted(number(turn.degrees()), number(turn.x()), number(turn.y()));
    }
}
