package yewberry.pdf;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType2;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShadingType3;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** What a page of a file paints, read from its content, in the file's own coordinates. */
final class PaintedPage extends PDFGraphicsStreamEngine {
    private final GeneralPath path = new GeneralPath();
    private final List<PaintedArea> areas = new ArrayList<>();
    private final List<PaintedGlyph> glyphs = new ArrayList<>();
    private final List<PaintedFile> files = new ArrayList<>();

    /**
     * A filled path.
     *
     * @param colors its plates at a point of the page; unknown where it is in no colour of the
     *     press
     * @param opacity 0 to 1, without a soft mask
     * @param blend its mode's name in the file
     */
    record PaintedArea(Shape shape, PlatesAt colors, double opacity, String blend) {
        Optional<Plates> plates(double x, double y) {
            return colors.at(x, y);
        }
    }

    /** Plates by the place. */
    interface PlatesAt {
        Optional<Plates> at(double x, double y);
    }

    /** A glyph at its origin, with the text that a reader would copy. */
    record PaintedGlyph(
            String text,
            double x,
            double y,
            double size,
            Optional<Plates> plates,
            boolean overprints) {}

    private PaintedPage(PDPage page) {
        super(page);
    }

    static PaintedPage read(PDPage page) throws IOException {
        PaintedPage painted = new PaintedPage(page);
        painted.processPage(page);
        return painted;
    }

    /** From the lowest to the topmost. */
    List<PaintedArea> areas() {
        return areas;
    }

    List<PaintedGlyph> glyphs() {
        return glyphs;
    }

    /**
     * A picture or a page that is placed.
     *
     * @param stream its image or form
     * @param matrix from a square of one unit to the page
     */
    record PaintedFile(COSStream stream, Matrix matrix, double opacity, String blend) {}

    /** In the order they are painted in. */
    List<PaintedFile> files() {
        return files;
    }

    private void addFile(COSStream stream, Matrix matrix) {
        files.add(new PaintedFile(stream, matrix, opacity(), blend()));
    }

    private double opacity() {
        return getGraphicsState().getNonStrokeAlphaConstant();
    }

    private String blend() {
        COSBase mode = getGraphicsState().getBlendMode().getCOSName();
        return mode instanceof COSName name ? name.getName() : "Normal";
    }

    private void add(Shape shape, Optional<Plates> plates) {
        add(shape, (x, y) -> plates);
    }

    private void add(Shape shape, PlatesAt colors) {
        areas.add(new PaintedArea(shape, colors, opacity(), blend()));
    }

    private static Optional<Plates> plates(PDColorSpace space, float[] components) {
        return switch (space) {
            case PDDeviceCMYK cmyk -> Optional.of(Plates.process(components));
            case PDSeparation spot ->
                    Optional.of(Plates.named(List.of(spot.getColorantName()), components));
            case PDDeviceN several ->
                    Optional.of(Plates.named(several.getColorantNames(), components));
            default -> Optional.empty();
        };
    }

    private Optional<Plates> plates() {
        PDColor color = getGraphicsState().getNonStrokingColor();
        return plates(color.getColorSpace(), color.getComponents());
    }

    @Override
    public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {
        path.moveTo(p0.getX(), p0.getY());
        path.lineTo(p1.getX(), p1.getY());
        path.lineTo(p2.getX(), p2.getY());
        path.lineTo(p3.getX(), p3.getY());
        path.closePath();
    }

    @Override
    public void fillPath(int windingRule) {
        path.setWindingRule(windingRule);
        Area visible = new Area(path);
        visible.intersect(getGraphicsState().getCurrentClippingPath());
        add(visible, plates());
        if (getGraphicsState().getNonStrokingColor().getPatternName() != null) {
            pattern(getGraphicsState().getNonStrokingColor().getPatternName());
        }
        path.reset();
    }

    @Override
    public void fillAndStrokePath(int windingRule) {
        fillPath(windingRule);
    }

    @Override
    protected void showGlyph(Matrix matrix, PDFont font, int code, Vector displacement)
            throws IOException {
        String text = font.toUnicode(code);
        glyphs.add(
                new PaintedGlyph(
                        text == null ? "" : text,
                        matrix.getTranslateX(),
                        matrix.getTranslateY(),
                        matrix.getScalingFactorX(),
                        plates(),
                        getGraphicsState().isNonStrokingOverprint()
                                && getGraphicsState().getOverprintMode() == 1));
    }

    @Override
    public void clip(int windingRule) {
        path.setWindingRule(windingRule);
        getGraphicsState().intersectClippingPath(new GeneralPath(path));
    }

    @Override
    public void moveTo(float x, float y) {
        path.moveTo(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
        path.lineTo(x, y);
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
        path.curveTo(x1, y1, x2, y2, x3, y3);
    }

    @Override
    public Point2D getCurrentPoint() {
        return path.getCurrentPoint();
    }

    @Override
    public void closePath() {
        path.closePath();
    }

    @Override
    public void endPath() {
        path.reset();
    }

    @Override
    public void strokePath() {
        path.reset();
    }

    @Override
    public void shadingFill(COSName shading) {
        PDShading found = shading(shading);
        AffineTransform back = inverse();
        add(
                getGraphicsState().getCurrentClippingPath(),
                (x, y) -> found == null ? Optional.empty() : at(found, back, x, y));
    }

    private PDShading shading(COSName name) {
        try {
            return getResources().getShading(name);
        } catch (IOException broken) {
            return null;
        }
    }

    private AffineTransform inverse() {
        try {
            return getGraphicsState()
                    .getCurrentTransformationMatrix()
                    .createAffineTransform()
                    .createInverse();
        } catch (NoninvertibleTransformException e) {
            return new AffineTransform();
        }
    }

    /** ISO 32000-1, 8.7.4.5.3 and 8.7.4.5.4, radial ones as circles about one point. */
    private static Optional<Plates> at(
            PDShading shading, AffineTransform back, double x, double y) {
        if (!(shading instanceof PDShadingType2 axial)) {
            return Optional.empty();
        }
        float[] coords = axial.getCoords().toFloatArray();
        Point2D point = back.transform(new Point2D.Double(x, y), null);
        double way;
        if (shading instanceof PDShadingType3) {
            way =
                    Math.hypot(point.getX() - coords[0], point.getY() - coords[1])
                            / (coords[5] - coords[2]);
        } else {
            double dx = coords[2] - coords[0];
            double dy = coords[3] - coords[1];
            way =
                    ((point.getX() - coords[0]) * dx + (point.getY() - coords[1]) * dy)
                            / (dx * dx + dy * dy);
        }
        try {
            return plates(
                    shading.getColorSpace(), shading.evalFunction((float) Math.clamp(way, 0, 1)));
        } catch (IOException broken) {
            return Optional.empty();
        }
    }

    @Override
    public void drawImage(PDImage image) {
        Matrix place = getGraphicsState().getCurrentTransformationMatrix();
        addPlaced(place);
        if (image instanceof PDImageXObject object) {
            addFile(object.getCOSObject(), place);
        }
    }

    /** Where a square of one unit comes to lie, as far as it is not clipped. */
    private void addPlaced(Matrix place) {
        Shape unit = new Rectangle2D.Double(0, 0, 1, 1);
        Area visible = new Area(place.createAffineTransform().createTransformedShape(unit));
        visible.intersect(getGraphicsState().getCurrentClippingPath());
        add(visible, Optional.empty());
    }

    /** A placed page is looked at as a whole. */
    @Override
    public void showForm(PDFormXObject form) {
        placed(form);
    }

    @Override
    public void showTransparencyGroup(PDTransparencyGroup form) {
        placed(form);
    }

    private void placed(PDFormXObject form) {
        PDRectangle box = form.getBBox();
        Rectangle2D own =
                form.getMatrix()
                        .createAffineTransform()
                        .createTransformedShape(
                                new Rectangle2D.Double(
                                        box.getLowerLeftX(),
                                        box.getLowerLeftY(),
                                        box.getWidth(),
                                        box.getHeight()))
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
        addPlaced(place);
        addFile(form.getCOSObject(), place);
    }

    /** A picture that is repeated: its cell holds it, in a square of one unit. */
    private void pattern(COSName name) {
        try {
            if (getResources().getPattern(name) instanceof PDTilingPattern tiling) {
                for (COSName each : tiling.getResources().getXObjectNames()) {
                    addFile(
                            tiling.getResources().getXObject(each).getCOSObject(),
                            tiling.getMatrix());
                }
            }
        } catch (IOException broken) {
            // then it is missing among the files
        }
    }
}
