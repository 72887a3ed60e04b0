package yewberry.pdf.read;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import org.apache.fontbox.ttf.GlyfDescript;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.GlyphDescription;
import org.apache.fontbox.ttf.GlyphTable;
import org.apache.fontbox.ttf.OpenTypeFont;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.pdmodel.font.PDCIDFontType2;
import org.apache.pdfbox.pdmodel.font.PDTrueTypeFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.font.PDVectorFont;

/**
 * The shapes of glyphs as the fonts of a file define them. PDFBox puts a point that lies half-way
 * between two others on a whole unit; here it lies where TrueType says (OpenType, "glyf").
 */
public final class GlyphPaths {
    private final Map<Key, Shape> known = new HashMap<>();

    private record Key(PDVectorFont font, int code) {}

    /** A glyph by its code, in thousandths of the type size, y up. Not to be changed. */
    public Shape of(PDVectorFont font, int code) throws IOException {
        Key key = new Key(font, code);
        Shape path = known.get(key);
        if (path == null) {
            path = read(font, code);
            known.put(key, path);
        }
        return path;
    }

    private static Shape read(PDVectorFont font, int code) throws IOException {
        if (font instanceof PDType0Font composed
                && composed.getDescendantFont() instanceof PDCIDFontType2 descendant
                && descendant.isEmbedded()) {
            return exact(descendant.getTrueTypeFont(), composed.codeToGID(code), font, code);
        }
        if (font instanceof PDTrueTypeFont simple && simple.isEmbedded()) {
            return exact(simple.getTrueTypeFont(), simple.codeToGID(code), font, code);
        }
        return font.getNormalizedPath(code);
    }

    private static Shape exact(TrueTypeFont program, int glyph, PDVectorFont font, int code)
            throws IOException {
        boolean postScript = program instanceof OpenTypeFont open && open.isPostScript();
        GlyphTable glyphs = program == null || postScript ? null : program.getGlyph();
        GlyphData data = glyphs == null ? null : glyphs.getGlyph(glyph);
        if (data == null || font.getNormalizedPath(code).getBounds2D().isEmpty()) {
            return font.getNormalizedPath(code);
        }
        double scale = 1000.0 / program.getUnitsPerEm();
        Path2D path = new Path2D.Double();
        GlyphDescription points = data.getDescription();
        int first = 0;
        for (int contour = 0; contour < points.getContourCount(); contour++) {
            // a damaged font may name points that it does not have
            int last = Math.min(points.getEndPtOfContours(contour), points.getPointCount() - 1);
            if (last >= first) {
                contour(points, first, last - first + 1, path);
            }
            first = last + 1;
        }
        path.transform(AffineTransform.getScaleInstance(scale, scale));
        return path;
    }

    /** Between two points off the curve one lies half-way on it. */
    private static void contour(GlyphDescription points, int first, int count, Path2D path) {
        int start = 0;
        while (start < count && !isOn(points, first + start)) {
            start++;
        }
        boolean allOff = start == count;
        int begin = allOff ? 0 : start;
        double x = points.getXCoordinate(first + begin);
        double y = points.getYCoordinate(first + begin);
        if (allOff) {
            x = (x + points.getXCoordinate(first + count - 1)) / 2;
            y = (y + points.getYCoordinate(first + count - 1)) / 2;
        }
        path.moveTo(x, y);
        for (int i = allOff ? 0 : 1; i < count; i++) {
            int at = first + (begin + i) % count;
            if (isOn(points, at)) {
                path.lineTo(points.getXCoordinate(at), points.getYCoordinate(at));
                continue;
            }
            boolean closes = i == count - 1;
            int next = first + (begin + i + 1) % count;
            double toX = closes ? x : points.getXCoordinate(next);
            double toY = closes ? y : points.getYCoordinate(next);
            if (!closes && !isOn(points, next)) {
                toX = (points.getXCoordinate(at) + toX) / 2;
                toY = (points.getYCoordinate(at) + toY) / 2;
            } else {
                i++;
            }
            path.quadTo(points.getXCoordinate(at), points.getYCoordinate(at), toX, toY);
        }
        path.closePath();
    }

    private static boolean isOn(GlyphDescription points, int at) {
        return (points.getFlags(at) & GlyfDescript.ON_CURVE) != 0;
    }
}
