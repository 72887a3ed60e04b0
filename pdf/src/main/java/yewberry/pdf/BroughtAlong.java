package yewberry.pdf;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.List;
import java.util.TreeSet;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;

/** What a page of a PDF brings along that a file for the press must not have. */
final class BroughtAlong extends PDFGraphicsStreamEngine {
    private final TreeSet<String> missingFonts = new TreeSet<>();
    private boolean screenColor;

    private BroughtAlong(PDPage page) {
        super(page);
    }

    static BroughtAlong by(PDPage page) throws IOException {
        BroughtAlong brought = new BroughtAlong(page);
        brought.processPage(page);
        return brought;
    }

    /** Whether anything is painted in DeviceRGB. */
    boolean screenColor() {
        return screenColor;
    }

    List<String> missingFonts() {
        return List.copyOf(missingFonts);
    }

    private void painted(PDColorSpace space) {
        screenColor |= space instanceof PDDeviceRGB;
    }

    private void filled() {
        painted(getGraphicsState().getNonStrokingColorSpace());
    }

    @Override
    public void fillPath(int windingRule) {
        filled();
    }

    @Override
    public void fillAndStrokePath(int windingRule) {
        filled();
        strokePath();
    }

    @Override
    public void strokePath() {
        painted(getGraphicsState().getStrokingColorSpace());
    }

    @Override
    protected void showGlyph(Matrix matrix, PDFont font, int code, Vector displacement) {
        filled();
        if (!font.isEmbedded() && !(font instanceof PDType3Font)) {
            missingFonts.add(font.getName() == null ? "a font without a name" : font.getName());
        }
    }

    @Override
    public void drawImage(PDImage image) throws IOException {
        if (!image.isStencil()) {
            painted(image.getColorSpace());
        } else {
            filled();
        }
    }

    @Override
    public void shadingFill(COSName name) throws IOException {
        PDShading shading = getResources().getShading(name);
        if (shading != null) {
            painted(shading.getColorSpace());
        }
    }

    @Override
    public void appendRectangle(Point2D p0, Point2D p1, Point2D p2, Point2D p3) {}

    @Override
    public void clip(int windingRule) {}

    @Override
    public void moveTo(float x, float y) {}

    @Override
    public void lineTo(float x, float y) {}

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {}

    @Override
    public Point2D getCurrentPoint() {
        return new Point2D.Double();
    }

    @Override
    public void closePath() {}

    @Override
    public void endPath() {}
}
