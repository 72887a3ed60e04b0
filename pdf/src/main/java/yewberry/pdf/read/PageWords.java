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
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.font.PDFont;
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
import yewberry.core.asset.Backed;
import yewberry.core.asset.PageText;
import yewberry.core.color.BlendMode;
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

    /** Text below more of them is not judged: each is painted for whatever lies below it. */
    private static final int MOST_VEILS = 2000;

    /** Shapes that are small enough to be letters, in points: common practice, no source. */
    private static final double LETTER = 40;

    /** So many of them may be words: common practice, no source. */
    private static final int WORD = 12;

    private static final Shape EVERYWHERE = new Rectangle2D.Double(-1e5, -1e5, 2e5, 2e5);

    private final AffineTransform toSeen;
    private final Rectangle2D seen;
    private DeviceColors colors;
    private final Layers layers;
    private final TaggedParagraphs paragraphs;

    /** The paragraphs that what is painted now is marked as part of, the innermost last. */
    private final Deque<Optional<Integer>> marked = new ArrayDeque<>();

    /** How many forms are open: what is marked within one is numbered by its own. */
    private int forms;

    private final GlyphPaths glyphPaths = new GlyphPaths();
    private final FileFaces faces = new FileFaces();
    private final List<Pen> pens = new ArrayList<>();
    private final List<OtherPaint> onPage = new ArrayList<>();
    private final List<OtherPaint> onTop = new ArrayList<>();
    private final List<PageText.Place> annotations = new ArrayList<>();
    private final NotRead unread = new NotRead();
    private final UsedColors used = new UsedColors();
    private int order;
    private int mixing;

    /** Whether what is painted now is that of an annotation, over all of the page. */
    private boolean annotates;

    private int veils;

    private Area clipOf;
    private Rectangle2D clipBounds;

    /** What the glyph of a Type 3 font paints, while it does. */
    private Optional<Path2D> drawn = Optional.empty();

    private PageWords(
            PDPage page,
            Optional<PDOptionalContentProperties> layers,
            TaggedParagraphs paragraphs,
            DeviceColors colors,
            Rectangle2D seen) {
        super(page);
        this.layers = new Layers(layers);
        this.paragraphs = paragraphs;
        this.colors = colors;
        this.toSeen = SeenPage.toSeen(page);
        this.seen = seen;
    }

    /**
     * @param text what is written
     * @param lines under words and through them, which are text, too: around each path, in the
     *     space of the page
     */
    public record Read(PageText text, List<Rectangle2D> lines) {}

    /**
     * @param backed what lies behind words of the page, those that came first below
     * @throws IOException if the page cannot be read
     */
    public static Read of(
            PDDocument document, PDPage page, DeviceColors colors, List<Backed> backed)
            throws IOException {
        PDDocumentCatalog catalog = document.getDocumentCatalog();
        SeenPage seen = SeenPage.of(page);
        PageWords words =
                new PageWords(
                        page,
                        Optional.ofNullable(catalog.getOCProperties()),
                        TaggedParagraphs.of(catalog, page),
                        colors,
                        new Rectangle2D.Double(0, 0, seen.width(), seen.height()));
        if (!backed.isEmpty()) {
            words.follow(ContentPlaces.of(page, backed));
        }
        words.processPage(page);
        words.annotations(
                Annotations.of(page, words.layers, Annotations.renewed(catalog.getCOSObject())));
        return words.read();
    }

    // what the page paints

    private void annotations(Annotations all) {
        colors = colors.asTheyAre();
        annotates = true;
        for (PDAnnotation each : all.drawn()) {
            Rectangle2D where = Annotations.place(each, toSeen);
            used.add(PageText.Painted.ANNOTATIONS, Optional.empty(), false);
            if (!where.intersects(seen)) {
                continue;
            }
            annotations.add(NotRead.place(where.createIntersection(seen)));
            layers.endAll();
            try {
                aside(() -> showAnnotation(each));
            } catch (IOException broken) {
                unread.add(PageText.Why.ANNOTATION, where);
            }
        }
        for (PDAnnotation each : all.undrawn()) {
            unread.add(PageText.Why.ANNOTATION, Annotations.place(each, toSeen));
        }
    }

    /**
     * Notes a colour that something is painted in.
     *
     * @return what it comes to; nothing for a pattern
     */
    private Optional<Color> used(PDColor color, Recolor.What what, Point2D at) throws IOException {
        if (layers.isOff()) {
            return Optional.empty();
        }
        if (color.getColorSpace() instanceof PDPattern) {
            used(PageText.Painted.PATTERNS, Optional.empty());
            return Optional.empty();
        }
        used(
                PageText.Painted.of(what),
                Optional.of(seen(color)),
                colors.change(color.getColorSpace(), color.getComponents(), what, at).isPresent());
        return flat(color, what, at);
    }

    private void used(PageText.Painted what, Optional<Rgb> color) {
        used(what, color, false);
    }

    private void used(PageText.Painted what, Optional<Rgb> color, boolean changed) {
        if (!layers.isOff() && !annotates) {
            used.add(what, color, changed);
        }
    }

    /** Notes a picture, and whether pixels of it change. */
    private void picture(PDImage image, Point2D at) throws IOException {
        if (!RecoloredPictures.canChange(image, colors)) {
            used(PageText.Painted.OTHER_PICTURES, Optional.empty());
            return;
        }
        RecoloredPictures recolored = new RecoloredPictures(colors, COSStream::new);
        boolean changes = colors.hasPictures() && recolored.of(image, at).isPresent();
        used(PageText.Painted.PICTURES, Optional.empty(), changes);
    }

    /** As a screen shows it, before it is another one. */
    private Rgb seen(PDColor color) throws IOException {
        return colors.seen(color.getColorSpace(), color.getComponents());
    }

    /** Whether something is not painted at all. */
    private boolean isLeftOut(PDColor color, Recolor.What what, Point2D at) throws IOException {
        return !(color.getColorSpace() instanceof PDPattern)
                && colors.change(color.getColorSpace(), color.getComponents(), what, at)
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
        others().add(
                        new OtherPaint(
                                order++,
                                path.getBounds2D(),
                                bounds,
                                isRectangle(there) ? Optional.empty() : Optional.of(there),
                                flat,
                                hides,
                                picture,
                                annotates && !picture
                                        ? veil(there, flat, alpha, clip)
                                        : Optional.empty()));
    }

    /**
     * What an annotation paints over text of the page that is seen through it.
     *
     * @param there where it is on the page as it is seen
     */
    private Optional<PageText.Veil> veil(
            Shape there, Optional<Color> flat, double alpha, Area clip) {
        Optional<BlendMode> mode = blendMode();
        boolean plain = mode.equals(Optional.of(BlendMode.NORMAL));
        if (flat.isEmpty()
                || mode.isEmpty()
                || plain && alpha >= 1
                || mixing > 0
                || getGraphicsState().getSoftMask() != null
                || veils >= MOST_VEILS) {
            return Optional.empty();
        }
        veils++;
        Area shown = new Area(there);
        shown.intersect(clip.createTransformedArea(toSeen));
        return Optional.of(
                new PageText.Veil(
                        new Path2D.Double(shown), flat.get(), Math.min(1, alpha), mode.get()));
    }

    private List<OtherPaint> others() {
        return annotates ? onTop : onPage;
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
    private Optional<Color> flat(PDColor color, Recolor.What what, Point2D at) throws IOException {
        if (color.getColorSpace() instanceof PDPattern) {
            return Optional.empty();
        }
        return colors.of(color.getColorSpace(), color.getComponents(), what, at)
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
        Point2D at = middle(path);
        Optional<Color> color = used(state.getNonStrokingColor(), Recolor.What.FILLS, at);
        if (isLeftOut(state.getNonStrokingColor(), Recolor.What.FILLS, at)) {
            return;
        }
        other(path, path, color, state.getNonStrokeAlphaConstant(), false);
        Rectangle2D bounds = toSeen.createTransformedShape(path).getBounds2D();
        boolean small = Math.max(bounds.getWidth(), bounds.getHeight()) < LETTER;
        if (small && bounds.intersects(seen) && !layers.isOff() && isCurved(path)) {
            unread.add(PageText.Why.OUTLINES, bounds);
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
        Point2D at = middle(path);
        Optional<Color> color = used(state.getStrokingColor(), Recolor.What.LINES, at);
        if (!isLeftOut(state.getStrokingColor(), Recolor.What.LINES, at)) {
            other(path, line, color, state.getAlphaConstant(), false);
        }
    }

    @Override
    public void drawImage(PDImage image) throws IOException {
        if (layers.isOff() || image instanceof PDImageXObject object && layers.isOff(object)) {
            return;
        }
        Shape square = square();
        if (drawn.isPresent()) {
            drawn.get().append(square, false);
            return;
        }
        picture(image, middle(square));
        int before = others().size();
        other(
                square,
                square,
                Optional.empty(),
                getGraphicsState().getNonStrokeAlphaConstant(),
                !image.isStencil());
        if (others().size() > before) {
            unread.add(PageText.Why.PICTURE, others().getLast().bounds());
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
        forms++;
        super.showTransparencyGroup(form);
        forms--;
        mixing -= mixes ? 1 : 0;
    }

    @Override
    public void showForm(PDFormXObject form) throws IOException {
        if (!layers.isOff(form)) {
            forms++;
            super.showForm(form);
            forms--;
        }
    }

    @Override
    public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
        layers.begin(tag, properties);
        Optional<Integer> outer = marked.isEmpty() ? Optional.empty() : marked.peek();
        boolean tells = forms == 0 && !annotates && properties != null;
        marked.push(
                tells && properties.containsKey(COSName.MCID)
                        ? paragraphs.of(properties.getInt(COSName.MCID))
                        : outer);
    }

    @Override
    public void endMarkedContentSequence() {
        layers.end();
        marked.poll();
    }

    // text

    @Override
    protected void back(Shape shape, Backed what) throws IOException {
        other(shape, shape, Optional.of(what.color()), what.opacity(), false);
    }

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
        FileFaces.Open face = faces.of(font, linear);
        Path2D units = face.outline(code).orElse(null);
        if (units == null) {
            AffineTransform toUnits = AffineTransform.getScaleInstance(1000, 1000);
            toUnits.concatenate(linear);
            units = new Path2D.Double(toUnits.createTransformedShape(outline.shape()));
            face.draw(code, units);
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
            FileFaces.Open face,
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
            unread.add(PageText.Why.INVISIBLE, ink);
            return;
        }
        PDColor pdColor = mode.isFill() ? state.getNonStrokingColor() : state.getStrokingColor();
        double alpha = mode.isFill() ? state.getNonStrokeAlphaConstant() : state.getAlphaConstant();
        Optional<Color> color =
                blank
                        ? flat(pdColor, Recolor.What.TEXT, begun())
                        : used(pdColor, Recolor.What.TEXT, begun());
        if (!blank && color.isEmpty()) {
            unread.add(PageText.Why.PATTERN, ink);
            return;
        }
        if (!blank && (alpha < 1 || !isPlain())) {
            unread.add(PageText.Why.SEE_THROUGH, ink);
            return;
        }
        boolean over = mode.isFill() ? state.isNonStrokingOverprint() : state.isOverprint();
        double degrees = Math.rint(Math.toDegrees(angle) * 1000) / 1000 + 0.0;
        pens.add(
                new Pen(
                        order++,
                        annotates,
                        annotates || marked.isEmpty() ? Optional.empty() : marked.peek(),
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

    // what comes of it

    private Read read() {
        unread.forget(PageText.Why.OUTLINES, WORD);
        PenGrounds grounds =
                new PenGrounds(new PaintGrid(seen, onPage), new PaintGrid(seen, onTop));
        PenLines lines = new PenLines();
        for (int i = 0; i < pens.size(); i++) {
            Cancellation.check();
            Pen pen = pens.get(i);
            boolean blank = pen.ink().isEmpty();
            Optional<Pen.Grounds> stands = blank ? Optional.empty() : grounds.of(pen);
            if (blank || stands.isPresent()) {
                lines.add(i, pen, stands);
            } else {
                unread.add(PageText.Why.COVERED, pen.ink());
            }
        }
        return new Read(
                new PageText(
                        faces.closed(),
                        lines.stretches(),
                        unread.all(),
                        used.all(),
                        annotations,
                        onTop.stream().flatMap(each -> each.veil().stream()).toList()),
                grounds.lines());
    }
}
