package yewberry.pdf;

import java.awt.geom.GeneralPath;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import yewberry.core.Cancellation;
import yewberry.pdf.read.PathEngine;

/** Goes through a page, as it is drawn, to tell where each operator of its content paints. */
final class ContentPlaces extends PathEngine {
    /** A page draws so many forms at most; a hostile one has forms within forms without end. */
    private static final int MOST_FORMS = 20_000;

    private Places places;

    /** Whether an operator is being followed, which may stand for others. */
    private boolean within;

    private int number;
    private int forms;

    private ContentPlaces(PDPage page) {
        super(page);
    }

    /**
     * Where the operators of one stream paint: where text begins, or the middle of a path or a
     * picture, in points from the top left of the page as it is seen.
     *
     * @param points by the number of the operator in its stream, from 1
     * @param forms what is drawn by an operator, likewise
     */
    record Places(Map<Integer, Point2D> points, Map<Integer, Places> forms) {
        /** Where it does not matter. */
        static final Places ANYWHERE = new Places(Map.of(), Map.of());

        private static final Point2D ORIGIN = new Point2D.Double();

        Point2D at(int operator) {
            return points.getOrDefault(operator, ORIGIN);
        }

        Places form(int operator) {
            return forms.getOrDefault(operator, ANYWHERE);
        }
    }

    /**
     * @throws IOException if the page cannot be drawn, or has forms without end
     */
    static Places of(PDPage page) throws IOException {
        ContentPlaces engine = new ContentPlaces(page);
        Places all = new Places(new HashMap<>(), new HashMap<>());
        engine.places = all;
        try {
            engine.processPage(page);
        } catch (UncheckedIOException endless) {
            throw endless.getCause();
        }
        return all;
    }

    @Override
    protected void processOperator(Operator operator, List<COSBase> operands) throws IOException {
        if (within) {
            super.processOperator(operator, operands); // a part of another one, such as of '
            return;
        }
        number++;
        within = true;
        try {
            super.processOperator(operator, operands);
        } finally {
            within = false;
        }
    }

    private interface Drawn {
        void go() throws IOException;
    }

    /** Follows the content of a form by itself. */
    private void form(Drawn drawn) throws IOException {
        Cancellation.check();
        if (++forms > MOST_FORMS) {
            // PDFBox goes on behind any other failure of a form
            throw new UncheckedIOException(new IOException("Forms within forms without end"));
        }
        Places outer = places;
        int at = number;
        places = new Places(new HashMap<>(), new HashMap<>());
        outer.forms().put(at, places);
        number = 0;
        within = false;
        try {
            drawn.go();
        } finally {
            places = outer;
            number = at;
            within = true;
        }
    }

    @Override
    public void showForm(PDFormXObject form) throws IOException {
        form(() -> super.showForm(form));
    }

    @Override
    public void showTransparencyGroup(PDTransparencyGroup form) throws IOException {
        form(() -> super.showTransparencyGroup(form));
    }

    @Override
    protected void fill(GeneralPath path) {
        places.points().put(number, middle(path));
    }

    @Override
    protected void stroke(GeneralPath path) {
        places.points().put(number, middle(path));
    }

    @Override
    protected void showText(byte[] string) throws IOException {
        places.points().put(number, begun());
        super.showText(string);
    }

    @Override
    protected void showType3Glyph(Matrix matrix, PDType3Font font, int code, Vector displacement) {
        // its text is where it begins, whatever it paints
    }

    @Override
    public void drawImage(PDImage image) {
        places.points().put(number, middle(square()));
    }

    @Override
    public void shadingFill(COSName name) {
        // it has no colour that is another one
    }
}
