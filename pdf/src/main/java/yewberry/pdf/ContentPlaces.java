package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.util.Vector;

/**
 * Where the operators of a content stream paint (ISO 32000-1, 8.3.4, 8.5.2 and 9.4): where text
 * begins that is shown, and the middle of a path, on the page as it is seen.
 */
final class ContentPlaces {
    private final PDResources resources;
    private final AffineTransform toSeen;
    private final Deque<State> saved = new ArrayDeque<>();
    private State state;
    private AffineTransform text = new AffineTransform();
    private AffineTransform line = new AffineTransform();
    private GeneralPath path = new GeneralPath();

    /**
     * Of the content of a page.
     *
     * @param toSeen from the space of the page to points from the top left of it as it is seen
     */
    ContentPlaces(PDResources resources, AffineTransform toSeen) {
        this(resources, toSeen, new State(new AffineTransform()));
    }

    private ContentPlaces(PDResources resources, AffineTransform toSeen, State state) {
        this.resources = resources;
        this.toSeen = toSeen;
        this.state = state;
    }

    /**
     * Of a form that is drawn now.
     *
     * @param matrix of the form
     */
    ContentPlaces within(PDResources own, AffineTransform matrix) {
        State begins = state.copy();
        begins.place.concatenate(matrix);
        return new ContentPlaces(own, toSeen, begins);
    }

    /** Those parameters of 8.4 that count here. */
    private static final class State {
        private AffineTransform place;
        private PDFont font;
        private double size;
        private double leading;
        private double character;
        private double word;
        private double across = 1;

        State(AffineTransform place) {
            this.place = place;
        }

        State copy() {
            State copy = new State(new AffineTransform(place));
            copy.font = font;
            copy.size = size;
            copy.leading = leading;
            copy.character = character;
            copy.word = word;
            copy.across = across;
            return copy;
        }
    }

    /** From the space that is drawn in now to the page as it is seen. */
    AffineTransform place() {
        AffineTransform place = new AffineTransform(toSeen);
        place.concatenate(state.place);
        return place;
    }

    /** Where text that is shown next begins, in points from the top left of the page as seen. */
    Point2D text() {
        AffineTransform all = new AffineTransform(toSeen);
        all.concatenate(state.place);
        all.concatenate(text);
        return new Point2D.Double(all.getTranslateX(), all.getTranslateY());
    }

    /** The middle of the path so far, likewise. */
    Point2D middle() {
        Rectangle2D bounds = path.getBounds2D();
        return toSeen.transform(new Point2D.Double(bounds.getCenterX(), bounds.getCenterY()), null);
    }

    /** What has to be known before an operator paints. */
    void before(String operator, List<Object> operands) {
        switch (operator) {
            case OperatorName.SHOW_TEXT_LINE -> nextLine(0, -state.leading);
            case OperatorName.SHOW_TEXT_LINE_AND_SPACE -> {
                state.word = number(operands, 0);
                state.character = number(operands, 1);
                nextLine(0, -state.leading);
            }
            default -> {
                // it paints where it stands
            }
        }
    }

    /** What an operator comes to for those behind it. */
    void after(String operator, List<Object> operands) {
        switch (operator) {
            case OperatorName.SAVE -> saved.push(state.copy());
            case OperatorName.RESTORE -> {
                if (!saved.isEmpty()) {
                    state = saved.pop();
                }
            }
            case OperatorName.CONCAT -> state.place.concatenate(matrix(operands));
            case OperatorName.BEGIN_TEXT -> {
                text = new AffineTransform();
                line = new AffineTransform();
            }
            case OperatorName.SET_MATRIX -> {
                line = matrix(operands);
                text = new AffineTransform(line);
            }
            case OperatorName.MOVE_TEXT -> nextLine(number(operands, 0), number(operands, 1));
            case OperatorName.MOVE_TEXT_SET_LEADING -> {
                state.leading = -number(operands, 1);
                nextLine(number(operands, 0), number(operands, 1));
            }
            case OperatorName.NEXT_LINE -> nextLine(0, -state.leading);
            case OperatorName.SET_TEXT_LEADING -> state.leading = number(operands, 0);
            case OperatorName.SET_CHAR_SPACING -> state.character = number(operands, 0);
            case OperatorName.SET_WORD_SPACING -> state.word = number(operands, 0);
            case OperatorName.SET_TEXT_HORIZONTAL_SCALING ->
                    state.across = number(operands, 0) / 100;
            case OperatorName.SET_FONT_AND_SIZE -> {
                state.font = font(operands);
                state.size = number(operands, 1);
            }
            case OperatorName.SHOW_TEXT,
                    OperatorName.SHOW_TEXT_LINE,
                    OperatorName.SHOW_TEXT_LINE_AND_SPACE,
                    OperatorName.SHOW_TEXT_ADJUSTED -> {
                if (!operands.isEmpty()) {
                    shown(operands.getLast());
                }
            }
            default -> segment(operator, operands);
        }
    }

    /** Nothing where it is missing or broken: then what is shown takes no room. */
    private PDFont font(List<Object> operands) {
        try {
            return !operands.isEmpty() && operands.getFirst() instanceof COSName name
                    ? resources.getFont(name)
                    : null;
        } catch (IOException broken) {
            return null;
        }
    }

    private void segment(String operator, List<Object> operands) {
        switch (operator) {
            case OperatorName.MOVE_TO -> {
                Point2D to = point(operands, 0);
                path.moveTo(to.getX(), to.getY());
            }
            case OperatorName.LINE_TO -> {
                Point2D to = point(operands, 0);
                begun(to);
                path.lineTo(to.getX(), to.getY());
            }
            case OperatorName.CURVE_TO ->
                    curve(point(operands, 0), point(operands, 2), point(operands, 4));
            case OperatorName.CURVE_TO_REPLICATE_INITIAL_POINT -> {
                begun(point(operands, 0));
                curve(path.getCurrentPoint(), point(operands, 0), point(operands, 2));
            }
            case OperatorName.CURVE_TO_REPLICATE_FINAL_POINT ->
                    curve(point(operands, 0), point(operands, 2), point(operands, 2));
            case OperatorName.APPEND_RECT -> rectangle(operands);
            case OperatorName.FILL_NON_ZERO,
                    OperatorName.LEGACY_FILL_NON_ZERO,
                    OperatorName.FILL_EVEN_ODD,
                    OperatorName.STROKE_PATH,
                    OperatorName.CLOSE_AND_STROKE,
                    OperatorName.FILL_NON_ZERO_AND_STROKE,
                    OperatorName.FILL_EVEN_ODD_AND_STROKE,
                    OperatorName.CLOSE_FILL_NON_ZERO_AND_STROKE,
                    OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE,
                    OperatorName.ENDPATH ->
                    path = new GeneralPath();
            default -> {
                // it moves nothing
            }
        }
    }

    /** A path that begins without a point is broken, and begins where it goes. */
    private void begun(Point2D at) {
        if (path.getCurrentPoint() == null) {
            path.moveTo(at.getX(), at.getY());
        }
    }

    private void curve(Point2D one, Point2D two, Point2D to) {
        begun(one);
        path.curveTo(one.getX(), one.getY(), two.getX(), two.getY(), to.getX(), to.getY());
    }

    private void rectangle(List<Object> operands) {
        double x = number(operands, 0);
        double y = number(operands, 1);
        double right = x + number(operands, 2);
        double top = y + number(operands, 3);
        double[] corners = {x, y, right, y, right, top, x, top};
        state.place.transform(corners, 0, corners, 0, 4);
        path.moveTo(corners[0], corners[1]);
        for (int i = 2; i < corners.length; i += 2) {
            path.lineTo(corners[i], corners[i + 1]);
        }
        path.closePath();
    }

    private void nextLine(double x, double y) {
        line.translate(x, y);
        text = new AffineTransform(line);
    }

    /** 9.4.4: the text goes on behind what is shown. */
    private void shown(Object operand) {
        switch (operand) {
            case COSString string -> shown(string);
            case COSArray pieces -> {
                for (COSBase each : pieces) {
                    if (each instanceof COSNumber by) {
                        double back = -by.floatValue() / 1000 * state.size;
                        boolean down = state.font != null && state.font.isVertical();
                        text.translate(down ? 0 : back * state.across, down ? back : 0);
                    } else if (each instanceof COSString string) {
                        shown(string);
                    }
                }
            }
            default -> {
                // nothing is shown
            }
        }
    }

    private void shown(COSString string) {
        if (state.font != null) {
            try {
                shown(string, state.font);
            } catch (IOException broken) {
                // the rest of it takes no room
            }
        }
    }

    private void shown(COSString string, PDFont font) throws IOException {
        InputStream codes = new ByteArrayInputStream(string.getBytes());
        while (codes.available() > 0) {
            int before = codes.available();
            int code = font.readCode(codes);
            boolean space = before - codes.available() == 1 && code == ' ';
            double more = state.character + (space ? state.word : 0);
            Vector to = font.getDisplacement(code);
            if (font.isVertical()) {
                text.translate(0, to.getY() * state.size + more);
            } else {
                text.translate((to.getX() * state.size + more) * state.across, 0);
            }
        }
    }

    private Point2D point(List<Object> operands, int from) {
        return state.place.transform(
                new Point2D.Double(number(operands, from), number(operands, from + 1)), null);
    }

    private static AffineTransform matrix(List<Object> operands) {
        return new AffineTransform(
                number(operands, 0),
                number(operands, 1),
                number(operands, 2),
                number(operands, 3),
                number(operands, 4),
                number(operands, 5));
    }

    private static double number(List<Object> operands, int at) {
        return at < operands.size() && operands.get(at) instanceof COSNumber number
                ? number.floatValue()
                : 0;
    }
}
