package yewberry.pdf.read;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDFontDescriptor;
import org.apache.pdfbox.pdmodel.font.PDType3Font;
import org.apache.pdfbox.pdmodel.font.PDVectorFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDPattern;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.form.PDTransparencyGroup;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.graphics.state.PDGraphicsState;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.asset.PageText;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/**
 * Reads what is written on a page of any PDF: each glyph with its shape, place and colour, and what
 * else the page paints where it stands. It says of what it cannot tell why.
 */
public final class PageWords extends PathEngine {
    /** Beyond it a page is a drawing made of letters, and too much to be judged. */
    private static final int MOST_GLYPHS = 100_000;

    /** How thin lines are that belong to text, in em: common practice, no source. */
    private static final double LINE = 0.15;

    /** Shapes that are small enough to be letters, in points: common practice, no source. */
    private static final double LETTER = 40;

    /** So many of them may be words: common practice, no source. */
    private static final int WORD = 12;

    /** Around a glyph what lies behind it counts, as for all text: in em, at least in points. */
    private static final double AROUND = 0.05;

    private static final double LEAST_AROUND = 0.1 * 72 / 25.4;

    private static final int SPACE = -1;

    private static final Shape EVERYWHERE = new Rectangle2D.Double(-1e5, -1e5, 2e5, 2e5);

    private final AffineTransform toSeen;
    private final Rectangle2D seen;
    private final DeviceColors colors;
    private final Layers layers;
    private final GlyphPaths glyphPaths = new GlyphPaths();
    private final Map<FaceKey, OpenFace> faces = new LinkedHashMap<>();
    private final List<Pen> pens = new ArrayList<>();
    private final List<Other> others = new ArrayList<>();
    private final Map<PageText.Why, PageText.Unread> unread = new EnumMap<>(PageText.Why.class);
    private final Map<UsedKey, Integer> used = new LinkedHashMap<>();
    private int order;
    private int mixing;
    private Area clipOf;
    private Rectangle2D clipBounds;

    /** What the glyph of a Type 3 font paints, while it does. */
    private Optional<Path2D> drawn = Optional.empty();

    private PageWords(
            PDPage page,
            Optional<PDOptionalContentProperties> layers,
            DeviceColors colors,
            AffineTransform toSeen,
            Rectangle2D seen) {
        super(page);
        this.layers = new Layers(layers);
        this.colors = colors;
        this.toSeen = toSeen;
        this.seen = seen;
    }

    /**
     * @param text what is written
     * @param lines under words and through them, which are text, too: around each path, in the
     *     space of the page
     */
    public record Read(PageText text, List<Rectangle2D> lines) {}

    /**
     * @param layers what of the file is switched off, if it has layers
     * @param toSeen from the page's space to points from the top left of it as it is seen
     * @param width of the page as it is seen, in points
     * @param height likewise
     * @throws IOException if the page cannot be read
     */
    public static Read of(
            PDPage page,
            Optional<PDOptionalContentProperties> layers,
            DeviceColors colors,
            AffineTransform toSeen,
            double width,
            double height)
            throws IOException {
        PageWords words =
                new PageWords(
                        page, layers, colors, toSeen, new Rectangle2D.Double(0, 0, width, height));
        words.processPage(page);
        for (PDAnnotation annotation : page.getAnnotations()) {
            words.annotation(annotation);
        }
        return words.read();
    }

    /**
     * @param linear what a glyph is turned into beyond its size and rotation, to a ten-thousandth
     */
    private record FaceKey(COSDictionary font, List<Long> linear) {}

    private static final class OpenFace {
        private final int number;
        private final PageText.FileFace named;
        private final Map<Integer, Path2D> outlines = new HashMap<>();

        OpenFace(int number, PageText.FileFace named) {
            this.number = number;
            this.named = named;
            outlines.put(SPACE, new Path2D.Double());
        }

        PageText.FileFace closed() {
            return new PageText.FileFace(
                    named.family(),
                    named.weight(),
                    named.italic(),
                    named.ascent(),
                    named.descent(),
                    outlines);
        }
    }

    /**
     * A glyph.
     *
     * @param order among all that the page paints
     * @param x of its origin, as the page is seen
     * @param y likewise
     * @param advance to the next
     * @param ink around what it paints
     */
    private record Pen(
            int order,
            OpenFace face,
            int glyph,
            String text,
            double size,
            double degrees,
            double x,
            double y,
            double advance,
            Rectangle2D ink,
            Color color,
            Rgb seen,
            boolean overprints) {
        Rectangle2D around() {
            double more = Math.max(LEAST_AROUND, AROUND * size);
            return new Rectangle2D.Double(
                    ink.getX() - more,
                    ink.getY() - more,
                    ink.getWidth() + 2 * more,
                    ink.getHeight() + 2 * more);
        }
    }

    /**
     * Something else that is painted.
     *
     * @param path around what it was drawn from, in the space of the page
     * @param bounds as far as the clip lets it, as the page is seen
     * @param shape likewise; nothing where that is its bounds
     * @param color of all of it, if it has one
     * @param hides whether nothing below it shows
     */
    private record Other(
            int order,
            Rectangle2D path,
            Rectangle2D bounds,
            Optional<Shape> shape,
            Optional<Color> color,
            boolean hides,
            boolean picture) {
        boolean touches(Rectangle2D box) {
            return bounds.intersects(box) && shape.map(each -> each.intersects(box)).orElse(true);
        }

        boolean holds(Rectangle2D box) {
            return bounds.contains(box) && shape.map(each -> each.contains(box)).orElse(true);
        }

        /** Whether it is a line that belongs to a glyph. */
        boolean isLineOf(Pen pen) {
            return Math.min(bounds.getWidth(), bounds.getHeight()) <= LINE * pen.size()
                    && color.equals(Optional.of(pen.color()));
        }
    }

    // what the page paints

    /** Those that show something; what it is, is not read. */
    private void annotation(PDAnnotation annotation) {
        boolean shows =
                annotation.getNormalAppearanceStream() != null
                        && !annotation.isHidden()
                        && !annotation.isNoView();
        PDRectangle box = annotation.getRectangle();
        if (shows && box != null) {
            Rectangle2D where =
                    toSeen.createTransformedShape(
                                    new Rectangle2D.Double(
                                            box.getLowerLeftX(),
                                            box.getLowerLeftY(),
                                            box.getWidth(),
                                            box.getHeight()))
                            .getBounds2D();
            used(PageText.Painted.ANNOTATIONS, Optional.empty());
            count(PageText.Why.ANNOTATION, where);
        }
    }

    private void count(PageText.Why why, Rectangle2D where) {
        PageText.Unread one =
                new PageText.Unread(
                        why,
                        1,
                        Optional.of(
                                new PageText.Place(
                                        where.getX(),
                                        where.getY(),
                                        where.getWidth(),
                                        where.getHeight())));
        unread.merge(
                why,
                one,
                (before, more) ->
                        new PageText.Unread(
                                why,
                                before.count() + 1,
                                Optional.of(
                                        before.where()
                                                .orElseThrow()
                                                .around(more.where().orElseThrow()))));
    }

    /**
     * Notes a colour that something is painted in.
     *
     * @return what it comes to; nothing for a pattern
     */
    private Optional<Color> used(PDColor color, Recolor.What what) throws IOException {
        if (layers.isOff()) {
            return Optional.empty();
        }
        if (color.getColorSpace() instanceof PDPattern) {
            used(PageText.Painted.PATTERNS, Optional.empty());
            return Optional.empty();
        }
        used(PageText.Painted.of(what), Optional.of(seen(color)));
        return flat(color, what);
    }

    private void used(PageText.Painted what, Optional<Rgb> color) {
        if (!layers.isOff()) {
            used.merge(new UsedKey(what, color), 1, Integer::sum);
        }
    }

    private record UsedKey(PageText.Painted what, Optional<Rgb> seen) {}

    /** As a screen shows it, before it is another one. */
    private Rgb seen(PDColor color) throws IOException {
        return colors.seen(color.getColorSpace(), color.getComponents());
    }

    /** Whether something is not painted at all. */
    private boolean isLeftOut(PDColor color, Recolor.What what) throws IOException {
        return !(color.getColorSpace() instanceof PDPattern)
                && colors.change(color.getColorSpace(), color.getComponents(), what)
                        .filter(each -> each.to().isEmpty())
                        .isPresent();
    }

    private void other(Shape path, Shape shape, Optional<Color> flat, double alpha, boolean picture)
            throws IOException {
        if (layers.isOff()) {
            return;
        }
        Cancellation.check();
        Shape there = toSeen.createTransformedShape(shape);
        Area clip = getGraphicsState().getCurrentClippingPath();
        Rectangle2D bounds = there.getBounds2D().createIntersection(clipped(clip));
        bounds = bounds.createIntersection(seen);
        if (bounds.getWidth() <= 0 || bounds.getHeight() <= 0 || alpha <= 0) {
            return;
        }
        boolean hides = flat.isPresent() && alpha == 1 && isPlain() && clip.isRectangular();
        others.add(
                new Other(
                        order++,
                        path.getBounds2D(),
                        bounds,
                        isRectangle(there) ? Optional.empty() : Optional.of(there),
                        flat,
                        hides,
                        picture));
    }

    /** Around the clip, as the page is seen. */
    private Rectangle2D clipped(Area clip) {
        if (clip != clipOf) {
            clipOf = clip;
            clipBounds = toSeen.createTransformedShape(clip).getBounds2D();
        }
        return clipBounds;
    }

    /** Whether what is painted now hides what is below it, where it is opaque. */
    private boolean isPlain() {
        PDGraphicsState state = getGraphicsState();
        COSBase mode = state.getBlendMode().getCOSName();
        return mixing == 0
                && state.getSoftMask() == null
                && (COSName.NORMAL.equals(mode) || COSName.getPDFName("Compatible").equals(mode));
    }

    private static boolean isRectangle(Shape shape) {
        Rectangle2D bounds = shape.getBounds2D();
        double[] at = new double[6];
        int corners = 0;
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            int kind = path.currentSegment(at);
            if (kind == PathIterator.SEG_CLOSE) {
                continue;
            }
            boolean onEdges =
                    (Math.abs(at[0] - bounds.getMinX()) < 1e-3
                                    || Math.abs(at[0] - bounds.getMaxX()) < 1e-3)
                            && (Math.abs(at[1] - bounds.getMinY()) < 1e-3
                                    || Math.abs(at[1] - bounds.getMaxY()) < 1e-3);
            if (kind == PathIterator.SEG_QUADTO
                    || kind == PathIterator.SEG_CUBICTO
                    || !onEdges
                    || kind == PathIterator.SEG_MOVETO && corners > 3) {
                return false;
            }
            corners++;
        }
        return corners == 4 || corners == 5;
    }

    /** Nothing for a pattern. */
    private Optional<Color> flat(PDColor color, Recolor.What what) throws IOException {
        if (color.getColorSpace() instanceof PDPattern) {
            return Optional.empty();
        }
        return colors.of(color.getColorSpace(), color.getComponents(), what)
                .map(DeviceColors.Inked::planes)
                .map(this::color);
    }

    private Color color(double[] planes) {
        return colors.medium() == Medium.PAPER
                ? new Cmyk(
                        percent(planes[0]),
                        percent(planes[1]),
                        percent(planes[2]),
                        percent(planes[3]))
                : new Rgb(light(planes[0]), light(planes[1]), light(planes[2]));
    }

    /** To a hundredth. */
    private static double percent(double plane) {
        return Math.clamp(Math.rint(plane * 10_000) / 100, 0, 100);
    }

    private static int light(double taken) {
        return Math.clamp(Math.round((1 - taken) * 255), 0, 255);
    }

    @Override
    protected void fill(GeneralPath path) throws IOException {
        if (drawn.isPresent()) {
            drawn.get().append(path, false);
            return;
        }
        PDGraphicsState state = getGraphicsState();
        Optional<Color> color = used(state.getNonStrokingColor(), Recolor.What.FILLS);
        if (isLeftOut(state.getNonStrokingColor(), Recolor.What.FILLS)) {
            return;
        }
        other(path, path, color, state.getNonStrokeAlphaConstant(), false);
        Rectangle2D bounds = toSeen.createTransformedShape(path).getBounds2D();
        boolean small = Math.max(bounds.getWidth(), bounds.getHeight()) < LETTER;
        if (small && bounds.intersects(seen) && !layers.isOff() && isCurved(path)) {
            count(PageText.Why.OUTLINES, bounds);
        }
    }

    private static boolean isCurved(Shape shape) {
        for (PathIterator path = shape.getPathIterator(null); !path.isDone(); path.next()) {
            int kind = path.currentSegment(new double[6]);
            if (kind == PathIterator.SEG_CUBICTO || kind == PathIterator.SEG_QUADTO) {
                return true;
            }
        }
        return false;
    }

    @Override
    protected void stroke(GeneralPath path) throws IOException {
        PDGraphicsState state = getGraphicsState();
        float width = (float) Math.max(0.1, transformWidth(state.getLineWidth()));
        Shape line =
                new BasicStroke(
                                width,
                                state.getLineCap(),
                                state.getLineJoin(),
                                Math.max(1, state.getMiterLimit()))
                        .createStrokedShape(path);
        if (drawn.isPresent()) {
            drawn.get().append(line, false);
            return;
        }
        Optional<Color> color = used(state.getStrokingColor(), Recolor.What.LINES);
        if (!isLeftOut(state.getStrokingColor(), Recolor.What.LINES)) {
            other(path, line, color, state.getAlphaConstant(), false);
        }
    }

    @Override
    public void drawImage(PDImage image) throws IOException {
        if (layers.isOff() || image instanceof PDImageXObject object && layers.isOff(object)) {
            return;
        }
        Shape square =
                getGraphicsState()
                        .getCurrentTransformationMatrix()
                        .createAffineTransform()
                        .createTransformedShape(new Rectangle2D.Double(0, 0, 1, 1));
        if (drawn.isPresent()) {
            drawn.get().append(square, false);
            return;
        }
        used(PageText.Painted.PICTURES, Optional.empty());
        int before = others.size();
        other(
                square,
                square,
                Optional.empty(),
                getGraphicsState().getNonStrokeAlphaConstant(),
                !image.isStencil());
        if (others.size() > before) {
            count(PageText.Why.PICTURE, others.getLast().bounds());
        }
    }

    @Override
    public void shadingFill(COSName name) throws IOException {
        used(PageText.Painted.GRADIENTS, Optional.empty());
        other(
                EVERYWHERE,
                EVERYWHERE,
                Optional.empty(),
                getGraphicsState().getNonStrokeAlphaConstant(),
                false);
    }

    @Override
    public void showTransparencyGroup(PDTransparencyGroup form) throws IOException {
        if (layers.isOff() || layers.isOff(form)) {
            return;
        }
        boolean mixes = !isPlain() || getGraphicsState().getNonStrokeAlphaConstant() < 1;
        mixing += mixes ? 1 : 0;
        super.showTransparencyGroup(form);
        mixing -= mixes ? 1 : 0;
    }

    @Override
    public void showForm(PDFormXObject form) throws IOException {
        if (!layers.isOff(form)) {
            super.showForm(form);
        }
    }

    @Override
    public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
        layers.begin(tag, properties);
    }

    @Override
    public void endMarkedContentSequence() {
        layers.end();
    }

    // text

    @Override
    protected void showFontGlyph(Matrix matrix, PDFont font, int code, Vector displacement)
            throws IOException {
        if (font instanceof PDVectorFont outlines && drawn.isEmpty()) {
            glyph(
                    matrix,
                    font,
                    code,
                    displacement,
                    () -> {
                        AffineTransform em = font.getFontMatrix().createAffineTransform();
                        return em.createTransformedShape(glyphPaths.of(outlines, code));
                    });
        }
    }

    @Override
    protected void showType3Glyph(Matrix matrix, PDType3Font font, int code, Vector displacement)
            throws IOException {
        AffineTransform back;
        try {
            back = matrix.createAffineTransform().createInverse();
        } catch (NoninvertibleTransformException flat) {
            return;
        }
        Path2D paths = new Path2D.Double();
        Optional<Path2D> outer = drawn;
        drawn = Optional.of(paths);
        super.showType3Glyph(matrix.clone(), font, code, displacement); // it changes what it gets
        drawn = outer;
        if (outer.isEmpty()) {
            glyph(matrix, font, code, displacement, () -> back.createTransformedShape(paths));
        }
    }

    private interface Outline {
        /** In em, y up. */
        Shape shape() throws IOException;
    }

    private void glyph(Matrix matrix, PDFont font, int code, Vector displacement, Outline outline)
            throws IOException {
        Cancellation.check();
        if (layers.isOff()) {
            return;
        }
        if (pens.size() >= MOST_GLYPHS) {
            throw new Refused("There is more text on this page than can be judged.");
        }
        AffineTransform place = new AffineTransform(toSeen);
        place.concatenate(matrix.createAffineTransform());
        double across = Math.hypot(place.getScaleX(), place.getShearY());
        double size = across == 0 ? 0 : Math.abs(place.getDeterminant()) / across;
        if (!(size > 0.01 && size < 1e5)) {
            return;
        }
        double angle = Math.atan2(place.getShearY(), place.getScaleX());
        AffineTransform linear = AffineTransform.getScaleInstance(1 / size, 1 / size);
        linear.rotate(-angle);
        linear.concatenate(
                new AffineTransform(
                        place.getScaleX(),
                        place.getShearY(),
                        place.getShearX(),
                        place.getScaleY(),
                        0,
                        0));
        OpenFace face = face(font, linear);
        Path2D units = face.outlines.get(code);
        if (units == null) {
            AffineTransform toUnits = AffineTransform.getScaleInstance(1000, 1000);
            toUnits.concatenate(linear);
            units = new Path2D.Double(toUnits.createTransformedShape(outline.shape()));
            face.outlines.put(code, units);
        }
        AffineTransform back =
                AffineTransform.getTranslateInstance(place.getTranslateX(), place.getTranslateY());
        back.rotate(angle);
        back.scale(size / 1000, size / 1000);
        Rectangle2D ink = back.createTransformedShape(units).getBounds2D();
        painted(
                face,
                code,
                text(font, code),
                size,
                angle,
                place,
                displacement.getX() * across,
                ink);
    }

    private void painted(
            OpenFace face,
            int code,
            String text,
            double size,
            double angle,
            AffineTransform place,
            double advance,
            Rectangle2D ink)
            throws IOException {
        PDGraphicsState state = getGraphicsState();
        boolean blank = ink.isEmpty();
        Rectangle2D clip = clipped(state.getCurrentClippingPath());
        if (!blank && !(ink.intersects(seen) && ink.intersects(clip))) {
            return; // it lies outside of what is seen
        }
        RenderingMode mode = state.getTextState().getRenderingMode();
        if (!blank && !mode.isFill() && !mode.isStroke()) {
            count(PageText.Why.INVISIBLE, ink);
            return;
        }
        PDColor pdColor = mode.isFill() ? state.getNonStrokingColor() : state.getStrokingColor();
        double alpha = mode.isFill() ? state.getNonStrokeAlphaConstant() : state.getAlphaConstant();
        Optional<Color> color =
                blank ? flat(pdColor, Recolor.What.TEXT) : used(pdColor, Recolor.What.TEXT);
        if (!blank && color.isEmpty()) {
            count(PageText.Why.PATTERN, ink);
            return;
        }
        if (!blank && (alpha < 1 || !isPlain())) {
            count(PageText.Why.SEE_THROUGH, ink);
            return;
        }
        boolean over = mode.isFill() ? state.isNonStrokingOverprint() : state.isOverprint();
        double degrees = Math.rint(Math.toDegrees(angle) * 1000) / 1000 + 0.0;
        pens.add(
                new Pen(
                        order++,
                        face,
                        code,
                        text,
                        Math.rint(size * 1000) / 1000,
                        degrees,
                        place.getTranslateX(),
                        place.getTranslateY(),
                        advance,
                        ink,
                        color.orElse(Rgb.BLACK),
                        color.isPresent() ? seen(pdColor) : Rgb.BLACK,
                        over && state.getOverprintMode() == 1));
    }

    private static String text(PDFont font, int code) throws IOException {
        String text = font.toUnicode(code);
        return text == null || text.isEmpty() ? "\ufffd" : text;
    }

    private OpenFace face(PDFont font, AffineTransform linear) {
        double[] four = new double[4];
        linear.getMatrix(four);
        List<Long> rounded = new ArrayList<>();
        for (double each : four) {
            rounded.add(Math.round(each * 10_000));
        }
        FaceKey key = new FaceKey(font.getCOSObject(), rounded);
        OpenFace known = faces.get(key);
        if (known == null) {
            known = new OpenFace(faces.size(), named(font));
            faces.put(key, known);
        }
        return known;
    }

    /** ISO 32000-1, 9.8; a descriptor may say less than the name does. */
    private static PageText.FileFace named(PDFont font) {
        String full = font.getName() == null ? "Unnamed" : font.getName();
        String name = full.replaceFirst("^[A-Z]{6}\\+", "");
        PDFontDescriptor descriptor = font.getFontDescriptor();
        double ascent = descriptor == null ? 0 : descriptor.getAscent();
        double descent = descriptor == null ? 0 : Math.abs(descriptor.getDescent());
        boolean usable = ascent > 0 && ascent < 2000 && descent < 2000;
        String lower = name.toLowerCase(Locale.ROOT);
        return new PageText.FileFace(
                name.replaceFirst("[-,](Regular|Bold|Italic|Oblique|BoldItalic|BoldOblique)$", ""),
                weight(lower, descriptor),
                lower.contains("italic") || lower.contains("oblique"),
                usable ? ascent : 800,
                usable ? descent : 200,
                Map.of());
    }

    private static int weight(String name, PDFontDescriptor descriptor) {
        if (name.contains("semibold") || name.contains("demi")) {
            return 600;
        }
        if (name.contains("bold") || name.contains("heavy") || name.contains("black")) {
            return 700;
        }
        double said = descriptor == null ? 0 : descriptor.getFontWeight();
        boolean forced = descriptor != null && descriptor.isForceBold();
        return forced
                ? 700
                : said >= 100 && said <= 900 ? (int) (Math.rint(said / 100) * 100) : 400;
    }

    // what comes of it

    private Read read() {
        PageText.Unread outlines = unread.get(PageText.Why.OUTLINES);
        if (outlines != null && outlines.count() < WORD) {
            unread.remove(PageText.Why.OUTLINES);
        }
        Grid grid = new Grid(seen, others);
        Lines lines = new Lines();
        List<Rectangle2D> ownLines = new ArrayList<>();
        for (int i = 0; i < pens.size(); i++) {
            Cancellation.check();
            Pen pen = pens.get(i);
            if (pen.ink().isEmpty()) {
                lines.add(i, pen, Optional.empty());
                continue;
            }
            List<Other> touching = new ArrayList<>();
            for (Other other : grid.at(pen.around())) {
                if (other.isLineOf(pen)) {
                    ownLines.add(other.path());
                } else {
                    touching.add(other);
                }
            }
            boolean covered =
                    touching.stream()
                            .anyMatch(other ->
                                    other.order() > pen.order() && other.touches(pen.ink()));
            if (covered) {
                count(PageText.Why.COVERED, pen.ink());
            } else {
                lines.add(i, pen, Optional.of(ground(pen, touching)));
            }
        }
        return new Read(
                new PageText(
                        faces.values().stream().map(OpenFace::closed).toList(),
                        lines.stretches(),
                        List.copyOf(unread.values()),
                        used.entrySet().stream()
                                .map(each ->
                                        new PageText.Used(
                                                each.getKey().what(),
                                                each.getKey().seen(),
                                                each.getValue()))
                                .toList()),
                ownLines.stream().distinct().toList());
    }

    /** What is below it, from the topmost down. */
    private static PageText.Ground ground(Pen pen, List<Other> touching) {
        Rectangle2D box = pen.around();
        boolean pictured = false;
        boolean any = false;
        for (Other other : touching.reversed()) {
            if (other.order() > pen.order() || !other.touches(box)) {
                continue;
            }
            if (other.hides() && other.holds(box)) {
                return any
                        ? new PageText.Ground.Mixed(pictured)
                        : new PageText.Ground.Flat(other.color().orElseThrow());
            }
            any = true;
            pictured |= other.picture();
        }
        return any ? new PageText.Ground.Mixed(pictured) : new PageText.Ground.Bare();
    }

    /** Finds what is near a place without looking at all. */
    private static final class Grid {
        private static final int CELLS = 24;

        private final Rectangle2D seen;
        private final List<List<Other>> cells;

        Grid(Rectangle2D seen, List<Other> others) {
            this.seen = seen;
            this.cells = new ArrayList<>(Collections.nCopies(CELLS * CELLS, List.of()));
            for (int i = 0; i < cells.size(); i++) {
                cells.set(i, new ArrayList<>());
            }
            for (Other other : others) {
                Rectangle2D at = other.bounds();
                for (int row = row(at.getMinY()); row <= row(at.getMaxY()); row++) {
                    for (int column = column(at.getMinX());
                            column <= column(at.getMaxX());
                            column++) {
                        cells.get(row * CELLS + column).add(other);
                    }
                }
            }
        }

        private int column(double x) {
            return Math.clamp((long) (x / seen.getWidth() * CELLS), 0, CELLS - 1);
        }

        private int row(double y) {
            return Math.clamp((long) (y / seen.getHeight() * CELLS), 0, CELLS - 1);
        }

        /** In the order in which they are painted, each once. */
        List<Other> at(Rectangle2D box) {
            List<Other> found = new ArrayList<>();
            for (int row = row(box.getMinY()); row <= row(box.getMaxY()); row++) {
                for (int column = column(box.getMinX());
                        column <= column(box.getMaxX());
                        column++) {
                    for (Other other : cells.get(row * CELLS + column)) {
                        if (other.bounds().intersects(box)) {
                            found.add(other);
                        }
                    }
                }
            }
            return found.stream()
                    .distinct()
                    .sorted((one, next) -> Integer.compare(one.order(), next.order()))
                    .toList();
        }
    }

    /** Puts glyphs together to lines and those to stretches, in the order of the file. */
    private static final class Lines {
        /** A gap so wide is a space, in em: common practice, no source. */
        private static final double WORD_GAP = 0.2;

        /** One so wide is something else, such as the next column: common practice, no source. */
        private static final double WIDEST_GAP = 2;

        private static final double LEAST_LEADING = 0.7;
        private static final double MOST_LEADING = 2.2;

        private final List<PageText.Stretch> done = new ArrayList<>();
        private final List<PageText.Line> lines = new ArrayList<>();
        private final List<PageText.Glyph> glyphs = new ArrayList<>();
        private Pen first;
        private int number;
        private PageText.Ground ground;
        private double x;
        private double baseline;
        private double end;

        /**
         * @param ground nothing for a space, which stands on whatever is there
         */
        void add(int at, Pen pen, Optional<PageText.Ground> under) {
            if (under.isEmpty() && glyphs.isEmpty()) {
                return;
            }
            double[] there = first == null ? new double[2] : unturned(pen);
            boolean alike = first != null && isAlike(pen, under);
            if (alike && Math.abs(there[1] - baseline) < 0.05 * pen.size()) {
                double gap = there[0] - end;
                if (gap > -0.5 * pen.size() && gap < WIDEST_GAP * pen.size()) {
                    if (gap > WORD_GAP * pen.size() && !glyphs.getLast().text().isBlank()) {
                        glyphs.add(new PageText.Glyph(SPACE, " ", end - x));
                    }
                    put(pen, there[0]);
                    return;
                }
            }
            if (under.isEmpty()) {
                return;
            }
            double down = first == null ? 0 : (there[1] - baseline) / pen.size();
            boolean below = down > LEAST_LEADING && down < MOST_LEADING;
            if (alike && below && Math.abs(there[0] - left()) < 3 * pen.size()) {
                line();
            } else {
                stretch();
                first = pen;
                number = at;
                ground = under.get();
                there = new double[] {pen.x(), pen.y()};
            }
            x = there[0];
            baseline = there[1];
            put(pen, there[0]);
        }

        private double left() {
            return lines.isEmpty() ? x : lines.getFirst().x();
        }

        private void put(Pen pen, double at) {
            glyphs.add(new PageText.Glyph(pen.glyph(), pen.text(), at - x));
            end = at + pen.advance();
        }

        private boolean isAlike(Pen pen, Optional<PageText.Ground> under) {
            return pen.face() == first.face()
                    && pen.size() == first.size()
                    && pen.degrees() == first.degrees()
                    && pen.overprints() == first.overprints()
                    && (under.isEmpty()
                            || pen.color().equals(first.color())
                                    && pen.seen().equals(first.seen())
                                    && under.get().equals(ground));
        }

        /** Where it stood before it was rotated about the first. */
        private double[] unturned(Pen pen) {
            Point2D.Double at = new Point2D.Double(pen.x(), pen.y());
            AffineTransform.getRotateInstance(
                            -Math.toRadians(first.degrees()), first.x(), first.y())
                    .transform(at, at);
            return new double[] {at.x, at.y};
        }

        private void line() {
            if (!glyphs.isEmpty()) {
                lines.add(new PageText.Line(x, baseline, end - x, glyphs));
                glyphs.clear();
            }
        }

        private void stretch() {
            line();
            if (!lines.isEmpty()) {
                done.add(
                        new PageText.Stretch(
                                number,
                                first.face().number,
                                first.size(),
                                first.degrees(),
                                first.x(),
                                first.y(),
                                first.color(),
                                first.seen(),
                                first.overprints(),
                                ground,
                                lines));
                lines.clear();
            }
        }

        List<PageText.Stretch> stretches() {
            stretch();
            return List.copyOf(done);
        }
    }
}
