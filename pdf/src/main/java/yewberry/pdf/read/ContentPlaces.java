package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import yewberry.core.Cancellation;
import yewberry.core.asset.Backed;

/** Goes through a page, as it is drawn, to tell where each operator of its content paints. */
public final class ContentPlaces extends PathEngine {
    /** A page draws so many forms at most; a hostile one has forms within forms without end. */
    private static final int MOST_FORMS = 20_000;

    /** What no text was found for yet. */
    private final List<Backed> waiting;

    /** The operator that began the text that is followed, and the transform that it has. */
    private int text;

    private AffineTransform toPage = new AffineTransform();
    private int forms;

    private ContentPlaces(PDPage page, List<Backed> backed) {
        super(page);
        this.waiting = new ArrayList<>(backed);
    }

    /**
     * Where the operators of one stream paint: where text begins, or the middle of a path or a
     * picture, in points from the top left of the page as it is seen.
     *
     * @param points by the number of the operator in its stream, from 1
     * @param behind what lies behind text, by the operator that begins it, likewise
     * @param forms what is drawn by an operator, likewise
     */
    public record Places(
            Map<Integer, Point2D> points,
            Map<Integer, List<Behind>> behind,
            Map<Integer, Places> forms) {
        /** Where it does not matter. */
        public static final Places ANYWHERE = new Places(Map.of(), Map.of(), Map.of());

        private static final Point2D ORIGIN = new Point2D.Double();

        static Places none() {
            return new Places(new HashMap<>(), new HashMap<>(), new HashMap<>());
        }

        public Point2D at(int operator) {
            return points.getOrDefault(operator, ORIGIN);
        }

        /** Those that came first below. */
        public List<Behind> behind(int operator) {
            return behind.getOrDefault(operator, List.of());
        }

        public Places form(int operator) {
            return forms.getOrDefault(operator, ANYWHERE);
        }
    }

    /**
     * Something behind text.
     *
     * @param toPage from the space that the text is written in to that of the page
     */
    public record Behind(Backed what, AffineTransform toPage) {}

    /**
     * Where each lies behind the first text that begins there: before all of it that begins with
     * the same operator, since nothing can be painted within that (ISO 32000-1, 9.4.1).
     *
     * @param backed what lies behind text of the page, those that came first below
     * @throws IOException if the page cannot be drawn, or has forms without end
     */
    public static Places of(PDPage page, List<Backed> backed) throws IOException {
        ContentPlaces engine = new ContentPlaces(page, backed);
        Places all = Places.none();
        engine.follow(all);
        try {
            engine.processPage(page);
        } catch (UncheckedIOException endless) {
            throw endless.getCause();
        }
        return all;
    }

    @Override
    protected Places within(Places outer, int operator) {
        Cancellation.check();
        if (++forms > MOST_FORMS) {
            // PDFBox goes on behind any other failure of a form
            throw new UncheckedIOException(new IOException("Forms within forms without end"));
        }
        Places inner = Places.none();
        outer.forms().put(operator, inner);
        return inner;
    }

    @Override
    protected void fill(GeneralPath path) {
        places().points().put(number(), middle(path));
    }

    @Override
    protected void stroke(GeneralPath path) {
        places().points().put(number(), middle(path));
    }

    @Override
    public void beginText() {
        text = number();
        toPage = getGraphicsState().getCurrentTransformationMatrix().createAffineTransform();
    }

    @Override
    protected void showText(byte[] string) throws IOException {
        places().points().put(number(), begun());
        RenderingMode mode = getGraphicsState().getTextState().getRenderingMode();
        if (!waiting.isEmpty() && (mode.isFill() || mode.isStroke())) {
            for (Backed each : List.copyOf(waiting)) {
                if (each.isFor(begun())) {
                    waiting.remove(each);
                    if (toPage.getDeterminant() != 0) {
                        places().behind()
                                .computeIfAbsent(text, _ -> new ArrayList<>())
                                .add(new Behind(each, toPage));
                    }
                }
            }
        }
        super.showText(string);
    }

    @Override
    protected void showType3Glyph(Matrix matrix, PDType3Font font, int code, Vector displacement) {
        // its text is where it begins, whatever it paints
    }

    @Override
    public void drawImage(PDImage image) {
        places().points().put(number(), middle(square()));
    }

    @Override
    public void shadingFill(COSName name) {
        // it has no colour that is another one
    }
}
