package yewberry.pdf.proof;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.GeneralPath;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDVectorFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import yewberry.pdf.read.GlyphPaths;
import yewberry.pdf.read.PathEngine;
import yewberry.pdf.read.SeenPage;

/**
 * What a page of a file paints, by number: where each glyph, each area and each placed file stands
 * and how it is set, in the file's own coordinates. What placed pages are made of is not told.
 */
final class PaintedPage extends PathEngine {
    private final List<PaintedArea> areas = new ArrayList<>();
    private final GlyphPaths glyphPaths = new GlyphPaths();
    private final List<PaintedGlyph> glyphs = new ArrayList<>();
    private final List<PaintedStroke> strokes = new ArrayList<>();
    private final List<PaintedStroke> around = new ArrayList<>();
    private final List<PaintedFile> files = new ArrayList<>();
    private final Deque<Optional<String>> standing = new ArrayDeque<>();
    private final Deque<String> optional = new ArrayDeque<>();
    private final List<Marked> marked = new ArrayList<>();
    private int unmarked;
    private int depth;
    private Optional<Mixing> outer = Optional.empty();

    /** A stretch of the page that is marked, and in no other that is. */
    static final class Marked {
        private final String mark;
        private final StringBuilder text = new StringBuilder();

        private Marked(String mark) {
            this.mark = mark;
        }

        /**
         * After the name of its layer, if it is in one: "read" and its number, or as what it stands
         * beside that: its type and subtype.
         */
        String mark() {
            return mark;
        }

        /** As it reads. */
        String text() {
            return text.toString();
        }
    }

    /**
     * A glyph at its origin.
     *
     * @param text that a reader would copy
     * @param matrix from its space, one unit to the em, to the page
     * @param ink box around its outline as it lies on the page
     * @param how what keeps it from being plainly filled, in words; empty where nothing does
     * @param overprints whether process inks at zero leave what is below
     * @param blend the mode, as in the file
     */
    record PaintedGlyph(
            String text,
            Matrix matrix,
            Rectangle2D ink,
            Optional<Plates> plates,
            String how,
            boolean overprints,
            String blend) {
        double x() {
            return matrix.getTranslateX();
        }

        double y() {
            return matrix.getTranslateY();
        }
    }

    /**
     * A picture or a page that is placed.
     *
     * @param matrix from a square of one unit to the page
     */
    record PaintedFile(COSStream stream, Matrix matrix, Mixing mixing) {}

    /** A box around a filled path or a shading, as far as it is not clipped. */
    record PaintedArea(Rectangle2D box, Mixing mixing) {}

    /**
     * How something meets what is below it.
     *
     * @param opacity 0 to 1
     * @param blend the mode, as in the file
     */
    record Mixing(double opacity, String blend) {}

    /** Within what holds pictures together, that as a whole. */
    private Mixing mixing() {
        if (outer.isPresent()) {
            return outer.get();
        }
        COSBase blend = getGraphicsState().getBlendMode().getCOSName();
        return new Mixing(
                getGraphicsState().getNonStrokeAlphaConstant(),
                blend instanceof COSName name ? name.getName() : "");
    }

    /**
     * A line that is drawn.
     *
     * @param path a box around its middle
     * @param width in points
     * @param join as in the file
     */
    record PaintedStroke(Rectangle2D path, double width, int join, Optional<Plates> plates) {}

    private PaintedPage(PDPage page) {
        super(page);
    }

    static PaintedPage read(PDPage page) throws IOException {
        PaintedPage painted = new PaintedPage(page);
        painted.processPage(page);
        return painted;
    }

    /** Boxes around filled paths and shadings, as far as they are not clipped. */
    List<PaintedArea> areas() {
        return areas;
    }

    /** Lines of what is printed around the page. */
    List<PaintedStroke> around() {
        return around;
    }

    private boolean isAroundPage() {
        return !standing.isEmpty() && !marked.isEmpty() && marked.getLast().mark().equals("Page");
    }

    List<PaintedStroke> strokes() {
        return strokes;
    }

    List<PaintedGlyph> glyphs() {
        return glyphs;
    }

    List<PaintedFile> files() {
        return files;
    }

    /** What is marked, in order; what is within such a stretch is part of it. */
    List<Marked> marked() {
        return marked;
    }

    /** How many things are painted outside all of these. */
    int unmarked() {
        return unmarked;
    }

    /** Something is painted. */
    private void painted() {
        if (standing.isEmpty()) {
            unmarked++;
        }
    }

    private static Optional<Plates> plates(PDColor color) {
        PDColorSpace space = color.getColorSpace();
        float[] components = color.getComponents();
        return switch (space) {
            case PDDeviceCMYK cmyk -> Optional.of(Plates.process(components));
            case PDDeviceRGB light -> Optional.of(Plates.light(components));
            case PDSeparation spot ->
                    Optional.of(Plates.named(List.of(spot.getColorantName()), components));
            case PDDeviceN several ->
                    Optional.of(Plates.named(several.getColorantNames(), components));
            case null, default -> Optional.empty();
        };
    }

    /** ISO 32000-1, 14.9.4: what a stretch of content stands for as text. */
    @Override
    public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
        if (standing.isEmpty() && tag.equals(COSName.OC)) {
            optional.push(
                    Optional.ofNullable(properties)
                            .map(each ->
                                    each.getString(
                                            COSName.NAME,
                                            "AllOff".equals(each.getNameAsString(COSName.P))
                                                    ? "Paper"
                                                    : "?"))
                            .orElse("?"));
            return;
        }
        if (depth == 0 && standing.isEmpty()) {
            String in = optional.isEmpty() ? "" : optional.peek() + ": ";
            marked.add(new Marked(in + mark(tag, properties)));
        }
        standing.push(
                properties != null && properties.containsKey(COSName.ACTUAL_TEXT)
                        ? Optional.of(properties.getString(COSName.ACTUAL_TEXT))
                        : Optional.empty());
    }

    @Override
    public void endMarkedContentSequence() {
        if (!standing.isEmpty()) {
            standing.pop();
        } else if (!optional.isEmpty()) {
            optional.pop();
        }
    }

    private static String mark(COSName tag, COSDictionary properties) {
        if (properties != null && properties.containsKey(COSName.MCID)) {
            return "read " + properties.getInt(COSName.MCID);
        }
        if (!tag.getName().equals("Artifact") || properties == null) {
            return tag.getName();
        }
        String subtype = properties.getNameAsString(COSName.SUBTYPE);
        return properties.getNameAsString(COSName.TYPE) + (subtype == null ? "" : " " + subtype);
    }

    @Override
    protected void showGlyph(Matrix matrix, PDFont font, int code, Vector displacement)
            throws IOException {
        String read = font.toUnicode(code);
        painted();
        String text = standsFor().orElse(read == null ? "" : read);
        if (!marked.isEmpty() && !standing.isEmpty()) {
            marked.getLast().text.append(text);
        }
        AffineTransform place = matrix.createAffineTransform();
        place.concatenate(font.getFontMatrix().createAffineTransform());
        Shape outline =
                font instanceof PDVectorFont outlines
                        ? glyphPaths.of(outlines, code)
                        : new GeneralPath();
        glyphs.add(
                new PaintedGlyph(
                        text,
                        matrix.clone(),
                        place.createTransformedShape(outline).getBounds2D(),
                        plates(getGraphicsState().getNonStrokingColor()),
                        how(),
                        getGraphicsState().isNonStrokingOverprint()
                                && getGraphicsState().getOverprintMode() == 1,
                        getGraphicsState().getBlendMode().getCOSName() instanceof COSName name
                                ? name.getName()
                                : ""));
    }

    /** The text of the stretch around a glyph, for the first one in it; the others say nothing. */
    private Optional<String> standsFor() {
        List<Optional<String>> around = new ArrayList<>(standing);
        for (int i = 0; i < around.size(); i++) {
            if (around.get(i).isPresent()) {
                standing.clear();
                for (int j = 0; j < around.size(); j++) {
                    standing.add(j == i ? Optional.of("") : around.get(j));
                }
                return around.get(i);
            }
        }
        return Optional.empty();
    }

    private String how() {
        var state = getGraphicsState();
        if (!state.getTextState().getRenderingMode().isFill()) {
            return "are not filled";
        }
        if (state.getTextState().getRenderingMode().isStroke()) {
            return "are stroked";
        }
        if (state.getNonStrokeAlphaConstant() < 1) {
            return "let through what is below";
        }
        if (state.getSoftMask() != null) {
            return "are masked";
        }
        return "";
    }

    @Override
    protected void fill(GeneralPath path) {
        painted();
        Rectangle2D clip = getGraphicsState().getCurrentClippingPath().getBounds2D();
        areas.add(new PaintedArea(path.getBounds2D().createIntersection(clip), mixing()));
        if (getGraphicsState().getNonStrokingColor().getPatternName() != null) {
            pattern(getGraphicsState().getNonStrokingColor().getPatternName());
        }
    }

    @Override
    protected void stroke(GeneralPath path) {
        painted();
        if (depth > 0) {
            return;
        }
        (isAroundPage() ? around : strokes)
                .add(
                        new PaintedStroke(
                                path.getBounds2D(),
                                getGraphicsState().getLineWidth(),
                                getGraphicsState().getLineJoin(),
                                plates(getGraphicsState().getStrokingColor())));
    }

    @Override
    public void shadingFill(COSName shading) {
        painted();
        areas.add(
                new PaintedArea(
                        getGraphicsState().getCurrentClippingPath().getBounds2D(), mixing()));
    }

    @Override
    public void drawImage(PDImage image) {
        painted();
        if (image instanceof PDImageXObject object) {
            files.add(
                    new PaintedFile(
                            object.getCOSObject(),
                            getGraphicsState().getCurrentTransformationMatrix().clone(),
                            mixing()));
        }
    }

    @Override
    public void showForm(PDFormXObject form) throws IOException {
        placed(form);
    }

    /** One that only holds pictures together is looked into. */
    @Override
    public void showTransparencyGroup(PDTransparencyGroup form) throws IOException {
        placed(form);
        if (depth == 0 && form.getResources() != null) {
            boolean pictures =
                    !form.getResources().getFontNames().iterator().hasNext()
                            && form.getResources().getXObjectNames().iterator().hasNext();
            if (pictures) {
                outer = Optional.of(mixing());
                depth++;
                super.showTransparencyGroup(form);
                depth--;
                outer = Optional.empty();
            }
        }
    }

    private void placed(PDFormXObject form) {
        painted();
        PDRectangle box = form.getBBox();
        if (box == null) {
            return;
        }
        Rectangle2D own =
                form.getMatrix()
                        .createAffineTransform()
                        .createTransformedShape(SeenPage.rectangle(box))
                        .getBounds2D();
        Matrix place = getGraphicsState().getCurrentTransformationMatrix().clone();
        place.concatenate(
                new Matrix(
                        (float) own.getWidth(),
                        0,
                        0,
                        (float) own.getHeight(),
                        (float) own.getX(),
                        (float) own.getY()));
        files.add(new PaintedFile(form.getCOSObject(), place, mixing()));
    }

    /** A picture that is repeated: its cell holds it, in a square of one unit. */
    private void pattern(COSName name) {
        try {
            if (getResources().getPattern(name) instanceof PDTilingPattern tiling) {
                for (COSName each : tiling.getResources().getXObjectNames()) {
                    files.add(
                            new PaintedFile(
                                    tiling.getResources().getXObject(each).getCOSObject(),
                                    tiling.getMatrix(),
                                    mixing()));
                }
            }
        } catch (IOException broken) {
            // then it is missing among the files
        }
    }
}
