package yewberry.pdf;

import java.awt.Shape;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceN;
import org.apache.pdfbox.pdmodel.graphics.color.PDSeparation;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** What a page of a file paints, read from its content, in the file's own coordinates. */
final class PaintedPage extends PDFGraphicsStreamEngine {
    private final GeneralPath path = new GeneralPath();
    private final List<PaintedArea> areas = new ArrayList<>();
    private final List<PaintedGlyph> glyphs = new ArrayList<>();

    /** A filled path; its plates are unknown where it is in no colour of the press. */
    record PaintedArea(Shape shape, Optional<Plates> plates) {}

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

    private Optional<Plates> plates() {
        PDColor color = getGraphicsState().getNonStrokingColor();
        return switch (color.getColorSpace()) {
            case PDDeviceCMYK cmyk -> Optional.of(Plates.process(color.getComponents()));
            case PDSeparation spot ->
                    Optional.of(
                            Plates.named(List.of(spot.getColorantName()), color.getComponents()));
            case PDDeviceN several ->
                    Optional.of(Plates.named(several.getColorantNames(), color.getComponents()));
            default -> Optional.empty();
        };
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
        areas.add(new PaintedArea(visible, plates()));
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
        areas.add(new PaintedArea(getGraphicsState().getCurrentClippingPath(), Optional.empty()));
    }

    @Override
    public void drawImage(PDImage image) {
        Matrix place = getGraphicsState().getCurrentTransformationMatrix();
        Shape unit = new java.awt.geom.Rectangle2D.Double(0, 0, 1, 1);
        areas.add(
                new PaintedArea(
                        place.createAffineTransform().createTransformedShape(unit),
                        Optional.empty()));
    }
}
