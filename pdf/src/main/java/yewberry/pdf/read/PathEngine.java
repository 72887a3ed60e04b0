package yewberry.pdf.read;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.state.PDGraphicsState;
import org.apache.pdfbox.util.Matrix;
import yewberry.core.asset.Backed;
import yewberry.core.color.BlendMode;

/**
 * Follows the operators of a page and puts its paths together (ISO 32000-1, 8.5); what is done with
 * them is for those who extend it.
 */
public abstract class PathEngine extends PDFGraphicsStreamEngine {
    /** Where a picture is, in its own space. */
    protected static final Shape UNIT = new Rectangle2D.Double(0, 0, 1, 1);

    private final GeneralPath path = new GeneralPath();
    private final AffineTransform toSeen;
    private final AffineTransform toPage;
    private int clipRule = -1;

    /** Where the text that is shown began, on the page as it is seen. */
    private Point2D begun = new Point2D.Double();

    /** Where the operators of the stream that is being followed paint. */
    private ContentPlaces.Places places = ContentPlaces.Places.ANYWHERE;

    /** Whether an operator is being followed, which may stand for others. */
    private boolean within;

    private int number;

    protected PathEngine(PDPage page) {
        super(page);
        this.toSeen = SeenPage.toSeen(page);
        this.toPage = inverse(toSeen);
    }

    /** Takes along where the page's operators paint. */
    protected final void follow(ContentPlaces.Places of) {
        places = of;
    }

    /** Where the operators of the stream that is being followed paint. */
    protected final ContentPlaces.Places places() {
        return places;
    }

    /** The number of the operator that is being followed in its stream, from 1. */
    protected final int number() {
        return number;
    }

    @Override
    protected final void processOperator(Operator operator, List<COSBase> operands)
            throws IOException {
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

    /** Something that paints. */
    protected interface Painting {
        void go() throws IOException;
    }

    /** Follows the content of a form by itself. */
    private void form(Painting content) throws IOException {
        ContentPlaces.Places outer = places;
        int at = number;
        places = within(outer, at);
        number = 0;
        within = false;
        try {
            content.go();
        } finally {
            places = outer;
            number = at;
            within = true;
        }
    }

    /** Where the operators of a form paint that an operator draws. */
    protected ContentPlaces.Places within(ContentPlaces.Places outer, int operator) {
        return outer.form(operator);
    }

    /** Follows what is no content of the page, such as that of a soft mask or an annotation. */
    protected final void aside(Painting other) throws IOException {
        ContentPlaces.Places outer = places;
        places = ContentPlaces.Places.ANYWHERE;
        try {
            other.go();
        } finally {
            places = outer;
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

    /** What lies behind the text is painted first, as it is, whatever is set for the text. */
    @Override
    public void beginText() throws IOException {
        for (ContentPlaces.Behind each : places.behind(number)) {
            saveGraphicsState();
            PDGraphicsState state = getGraphicsState();
            state.setSoftMask(null);
            state.setBlendMode(org.apache.pdfbox.pdmodel.graphics.blend.BlendMode.NORMAL);
            state.setAlphaSource(false);
            back(toPage.createTransformedShape(each.what().shape()), each.what());
            restoreGraphicsState();
        }
    }

    /**
     * Takes what lies behind text.
     *
     * @param shape in the page's space
     */
    protected void back(Shape shape, Backed what) throws IOException {
        // for those who paint it
    }

    /** Where the text that is shown began, in points from the top left of the page as seen. */
    protected final Point2D begun() {
        return begun;
    }

    /** Where a picture is, in the space of the page. */
    protected final Shape square() {
        return getGraphicsState()
                .getCurrentTransformationMatrix()
                .createAffineTransform()
                .createTransformedShape(UNIT);
    }

    /** Nothing for one that is not in ISO 32000-1, 11.3.5. */
    protected final Optional<BlendMode> blendMode() {
        COSBase given = getGraphicsState().getBlendMode().getCOSName();
        if (given == null || COSName.getPDFName("Compatible").equals(given)) {
            return Optional.of(BlendMode.NORMAL);
        }
        return Arrays.stream(BlendMode.values())
                .filter(mode ->
                        given instanceof COSName name && name.getName().equals(mode.standardName()))
                .findFirst();
    }

    /**
     * The middle of a path, likewise.
     *
     * @param path in the page's space
     */
    protected final Point2D middle(Shape path) {
        Rectangle2D bounds = path.getBounds2D();
        return toSeen.transform(new Point2D.Double(bounds.getCenterX(), bounds.getCenterY()), null);
    }

    @Override
    public final void showTextString(byte[] string) throws IOException {
        Point2D outer = begin();
        try {
            super.showTextString(string);
        } finally {
            begun = outer;
        }
    }

    @Override
    public final void showTextStrings(COSArray strings) throws IOException {
        Point2D outer = begin();
        try {
            super.showTextStrings(strings);
        } finally {
            begun = outer;
        }
    }

    private Point2D begin() {
        Point2D outer = begun;
        if (getTextMatrix() != null) {
            Matrix at =
                    getTextMatrix().multiply(getGraphicsState().getCurrentTransformationMatrix());
            begun =
                    toSeen.transform(
                            new Point2D.Double(at.getTranslateX(), at.getTranslateY()), null);
        }
        return outer;
    }

    private static AffineTransform inverse(AffineTransform of) {
        try {
            return of.createInverse();
        } catch (NoninvertibleTransformException flat) {
            return new AffineTransform(); // nothing is seen of such a page
        }
    }

    /** Takes a path that is filled, in the page's space, with its winding rule set. */
    protected abstract void fill(GeneralPath path) throws IOException;

    /** Takes a path that is stroked, in the page's space. */
    protected abstract void stroke(GeneralPath path) throws IOException;

    @Override
    public final void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
        path.moveTo(p0.getX(), p0.getY());
        path.lineTo(p1.getX(), p1.getY());
        path.lineTo(p2.getX(), p2.getY());
        path.lineTo(p3.getX(), p3.getY());
        path.closePath();
    }

    @Override
    public final void moveTo(float x, float y) {
        path.moveTo(x, y);
    }

    @Override
    public final void lineTo(float x, float y) {
        path.lineTo(x, y);
    }

    @Override
    public final void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
        path.curveTo(x1, y1, x2, y2, x3, y3);
    }

    @Override
    public final Point2D getCurrentPoint() {
        return path.getCurrentPoint();
    }

    @Override
    public final void closePath() {
        if (path.getCurrentPoint() != null) {
            path.closePath();
        }
    }

    /** 8.5.4: it clips once it has been painted. */
    @Override
    public final void clip(int windingRule) {
        clipRule = windingRule;
    }

    @Override
    public final void endPath() {
        finish(taken());
    }

    @Override
    public final void fillPath(int windingRule) throws IOException {
        Taken taken = taken();
        taken.path().setWindingRule(windingRule);
        fill(taken.path());
        finish(taken);
    }

    @Override
    public final void strokePath() throws IOException {
        Taken taken = taken();
        stroke(taken.path());
        finish(taken);
    }

    @Override
    public final void fillAndStrokePath(int windingRule) throws IOException {
        Taken taken = taken();
        taken.path().setWindingRule(windingRule);
        fill(taken.path());
        stroke(taken.path());
        finish(taken);
    }

    private record Taken(GeneralPath path, int clipRule) {}

    /**
     * Painting may follow other content first, a soft mask's or a pattern's, with its own paths.
     */
    private Taken taken() {
        Taken taken = new Taken(new GeneralPath(path), clipRule);
        path.reset();
        clipRule = -1;
        return taken;
    }

    private void finish(Taken taken) {
        if (taken.clipRule() >= 0) {
            taken.path().setWindingRule(taken.clipRule());
            getGraphicsState().intersectClippingPath(taken.path());
        }
    }
}
