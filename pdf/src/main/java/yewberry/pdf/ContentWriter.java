package yewberry.pdf;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.io.ByteArrayOutputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Rgb;
import yewberry.core.output.Structure;

/** Writes the operators of a content stream (ISO 32000-1, annex A) one after the other. */
final class ContentWriter {
    /** Numbers below this have all their decimals in a double, eight at most. */
    private static final double EXACT = 1e7;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();

    /** The number that is written. */
    private final byte[] digits = new byte[24];

    /** Begins what belongs to the page but not to its content: ISO 32000-1, 14.8.2.2. */
    void beginBackgroundArtifact() {
        raw("/Artifact <</Type /Background>> BDC\n");
    }

    /** Begins what is seen but not read: ISO 32000-1, 14.8.2.2. */
    void beginArtifact() {
        raw("/Artifact BMC\n");
    }

    /** Begins what repeats over pages to mark them: ISO 32000-1, table 330. */
    void beginWatermarkArtifact() {
        raw("/Artifact <</Type /Pagination /Subtype /Watermark>> BDC\n");
    }

    /** Begins what stands beside what is read: ISO 32000-1, 14.8.2.2. */
    void beginArtifact(Structure.Artifact kind) {
        raw(
                switch (kind) {
                    case BACKGROUND -> "/Artifact <</Type /Background>> BDC\n";
                    case LAYOUT -> "/Artifact <</Type /Layout>> BDC\n";
                    case HEADER -> "/Artifact <</Type /Pagination /Subtype /Header>> BDC\n";
                    case FOOTER -> "/Artifact <</Type /Pagination /Subtype /Footer>> BDC\n";
                    case RUNNING -> "/Artifact <</Type /Pagination>> BDC\n";
                    case SHEET -> "/Artifact <</Type /Page>> BDC\n";
                    case WATERMARK -> "/Artifact <</Type /Pagination /Subtype /Watermark>> BDC\n";
                });
    }

    /**
     * Begins what an element of the structure reads: ISO 32000-1, 14.7.4.3.
     *
     * @param number among those of the page
     */
    void beginRead(String type, int number) {
        raw("/%s <</MCID %d>> BDC\n".formatted(type, number));
    }

    /** Begins what belongs to a group of optional content of the page's resources: 8.11.3.2. */
    void beginOptional(String name) {
        raw("/OC /" + name + " BDC\n");
    }

    /** Begins a picture that some text stands for: ISO 32000-1, 14.9.3. */
    void beginPicture(String alternative) {
        raw("/Span <</Alt <%s>>> BDC\n".formatted(hex(alternative)));
    }

    /** Begins what reads as some text, whatever its glyphs map to: ISO 32000-1, 14.9.4. */
    void beginActualText(String text) {
        raw("/Span <</ActualText <%s>>> BDC\n".formatted(hex(text)));
    }

    /** Text as UTF-16 with the mark of its byte order, in hexadecimal digits. */
    private static String hex(String text) {
        StringBuilder hex = new StringBuilder("FEFF");
        for (char unit : text.toCharArray()) {
            hex.append("%04X".formatted((int) unit));
        }
        return hex.toString();
    }

    void endMarkedContent() {
        raw("EMC\n");
    }

    void save() {
        raw("q\n");
    }

    void restore() {
        raw("Q\n");
    }

    /** Limits what follows to a rectangle, in points from the bottom left. */
    void clipRectangle(double x, double y, double width, double height) {
        numbers(x, y, width, height);
        raw("re W n\n");
    }

    /** Paints a shading of the page's resources over all that is not clipped. */
    void shading(String name) {
        raw("/" + name + " sh\n");
    }

    /** Paints an image or a form of the page's resources: ISO 32000-1, 8.8. */
    void external(String name) {
        raw("/" + name + " Do\n");
    }

    /** Fills a rectangle with a pattern of the page's resources that has colours of its own. */
    void fillPattern(String name, double x, double y, double width, double height) {
        raw("/Pattern cs /" + name + " scn ");
        fillRectangle(x, y, width, height);
    }

    /** ISO 32000-1, 8.3.4: what follows is drawn in this space. */
    void transform(double... matrix) {
        numbers(matrix);
        raw("cm\n");
    }

    /**
     * @param points x and y in turn
     */
    void fillPolygon(double... points) {
        for (int i = 0; i < points.length; i += 2) {
            numbers(points[i], points[i + 1]);
            raw(i == 0 ? "m " : "l ");
        }
        raw("h f\n");
    }

    /** Sets an entry of the page's graphics states: ISO 32000-1, 8.4.5. */
    void graphicsState(String name) {
        raw("/" + name + " gs\n");
    }

    void fillColor(Cmyk ink) {
        numbers(ink.cyan() / 100, ink.magenta() / 100, ink.yellow() / 100, ink.black() / 100);
        raw("k\n");
    }

    /** White is 1. */
    void fillGray(double light) {
        numbers(light);
        raw("g\n");
    }

    void fillColor(Rgb light) {
        numbers(light.red() / 255.0, light.green() / 255.0, light.blue() / 255.0);
        raw("rg\n");
    }

    /** A colour in a space of the page's resources. */
    void fillColor(String space, double[] components) {
        raw("/" + space + " cs ");
        numbers(components);
        raw("scn\n");
    }

    void strokeColor(Cmyk ink) {
        numbers(ink.cyan() / 100, ink.magenta() / 100, ink.yellow() / 100, ink.black() / 100);
        raw("K\n");
    }

    void strokeColor(Rgb light) {
        numbers(light.red() / 255.0, light.green() / 255.0, light.blue() / 255.0);
        raw("RG\n");
    }

    /** A colour in a space of the page's resources. */
    void strokeColor(String space, double[] components) {
        raw("/" + space + " CS ");
        numbers(components);
        raw("SCN\n");
    }

    /**
     * How lines are drawn: ISO 32000-1, 8.4.3.
     *
     * @param join 0 miter, 1 round, 2 bevel
     */
    void lines(double width, int join, double miterLimit) {
        numbers(width);
        raw("w " + join + " j ");
        numbers(miterLimit);
        raw("M\n");
    }

    /** Draws a line along a path of lines and of curves of the third degree. */
    void stroke(Path2D shape) {
        path(shape);
        raw("S\n");
    }

    private void path(Path2D shape) {
        double[] at = new double[6];
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            switch (path.currentSegment(at)) {
                case PathIterator.SEG_MOVETO -> operator("m", at, 2);
                case PathIterator.SEG_LINETO -> operator("l", at, 2);
                case PathIterator.SEG_CUBICTO -> operator("c", at, 6);
                case PathIterator.SEG_CLOSE -> raw("h\n");
                default -> throw new IllegalArgumentException("PDF has no such curves");
            }
        }
    }

    /** Fills a path of lines and of curves of the third degree: ISO 32000-1, 8.5.3.3.2. */
    void fill(Path2D shape) {
        path(shape);
        raw("f\n");
    }

    /** Limits what follows to such a path. */
    void clip(Path2D shape) {
        path(shape);
        raw("W n\n");
    }

    /** What follows is drawn in a space that is rotated, exactly to the far end of the page. */
    void rotate(double... matrix) {
        for (int i = 0; i < matrix.length; i++) {
            number(matrix[i], i < 4 ? 8 : 5);
        }
        raw("cm\n");
    }

    private void operator(String name, double[] operands, int count) {
        for (int i = 0; i < count; i++) {
            number(operands[i], 5);
        }
        raw(name);
        out.write('\n');
    }

    /** Coordinates in points, from the bottom left. */
    void fillRectangle(double x, double y, double width, double height) {
        numbers(x, y, width, height);
        raw("re f\n");
    }

    void beginText(String font, double size) {
        raw("BT /" + font + " ");
        numbers(size);
        raw("Tf\n");
    }

    /**
     * Where the next glyphs begin, and how they lie: ISO 32000-1, 9.4.2. What is rotated by is so
     * exact that the far end of a line is, too.
     */
    void textMatrix(double... matrix) {
        for (int i = 0; i < matrix.length; i++) {
            number(matrix[i], i < 4 ? 8 : 5);
        }
        raw("Tm\n");
    }

    void endText() {
        raw("ET\n");
    }

    void beginGlyphs() {
        raw("[");
    }

    void glyph(byte[] code) {
        raw("<" + HexFormat.of().formatHex(code) + ">");
    }

    /** Moves the next glyph to the left, in thousandths of the type size. */
    void adjust(double thousandths) {
        numbers(thousandths);
    }

    void endGlyphs() {
        raw("] TJ\n");
    }

    byte[] bytes() {
        return out.toByteArray();
    }

    private void numbers(double... values) {
        for (double value : values) {
            number(value, 5);
        }
    }

    /** Most of what is written: as many digits as it takes, and no more than its decimals. */
    private void number(double value, int decimals) {
        double size = Math.abs(value);
        if (!(size < EXACT)) {
            BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP);
            raw(rounded.stripTrailingZeros().toPlainString() + " ");
            return;
        }
        double unit = 1;
        for (int i = 0; i < decimals; i++) {
            unit *= 10;
        }
        long rest = Math.round(size * unit);
        boolean below = value < 0 && rest > 0;
        int left = decimals;
        while (left > 0 && rest % 10 == 0) {
            rest /= 10;
            left--;
        }
        // from its end
        int at = digits.length;
        digits[--at] = ' ';
        if (left > 0) {
            for (; left > 0; left--) {
                digits[--at] = (byte) ('0' + rest % 10);
                rest /= 10;
            }
            digits[--at] = '.';
        }
        do {
            digits[--at] = (byte) ('0' + rest % 10);
            rest /= 10;
        } while (rest > 0);
        if (below) {
            digits[--at] = '-';
        }
        out.write(digits, at, digits.length - at);
    }

    private void raw(String text) {
        out.writeBytes(text.getBytes(StandardCharsets.US_ASCII));
    }
}
