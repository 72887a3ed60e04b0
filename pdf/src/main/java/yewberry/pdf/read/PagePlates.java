package yewberry.pdf.read;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.function.PDFunction;
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
import org.apache.pdfbox.pdmodel.graphics.pattern.PDAbstractPattern;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDShadingPattern;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.pdmodel.graphics.shading.PDShading;
import org.apache.pdfbox.pdmodel.graphics.state.PDGraphicsState;
import org.apache.pdfbox.pdmodel.graphics.state.PDSoftMask;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.util.Matrix;
import org.apache.pdfbox.util.Vector;
import yewberry.core.Cancellation;
import yewberry.core.asset.Backed;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.PlaneSampler;
import yewberry.core.color.BlendMode;
import yewberry.core.publication.Recolor;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.PlaneRaster;

/**
 * Paints a page of any PDF plane by plane, as a press or a screen would have it: opacities, blend
 * modes, soft masks and overprint in the planes themselves (ISO 32000-1, 11), never by way of
 * light.
 *
 * <p>Groups are mixed in the planes of the page, whatever space they name. Meshes of colour, which
 * have no other painter here, go by way of light.
 */
public final class PagePlates extends PathEngine {
    /** Cells of a pattern that are painted one by one; of more, one is painted and looked up. */
    private static final long MOST_CELLS = 2500;

    /** Larger than any page: 14,400 units are the most that one has (ISO 32000-1, annex C). */
    private static final Shape EVERYWHERE = new Rectangle2D.Double(-1e5, -1e5, 2e5, 2e5);

    /** What a square has beyond its sides: it is not there, rather than see-through. */
    private static final double OUTSIDE = -1;

    private final PDPage page;
    private final AffineTransform toPixels;
    private final int width;
    private final int height;
    private final Layers layers;
    private final ImageCache images;
    private final Deque<Surface> surfaces = new ArrayDeque<>();
    private final Map<SoftMaskUse, float[]> softMasks = new HashMap<>();
    private final GlyphPaths glyphPaths = new GlyphPaths();

    /** Of a page without its text the lines that are left out, too. */
    private Optional<Set<Rectangle2D>> leftOut = Optional.empty();

    /** Whether what is painted is the glyph of a font that the file draws itself. */
    private boolean inGlyph;

    private Area textClip;
    private Area clipOf;
    private byte[] clip;

    /**
     * @param clip that it is used in; the same only if it is the same object
     */
    private record SoftMaskUse(COSDictionary mask, AffineTransform place, Area clip) {}

    private PagePlates(
            PDPage page,
            Optional<PDOptionalContentProperties> layers,
            DeviceColors colors,
            ImageCache images,
            AffineTransform toPixels,
            int width,
            int height) {
        super(page);
        this.page = page;
        this.layers = new Layers(layers);
        this.images = images;
        this.toPixels = toPixels;
        this.width = width;
        this.height = height;
        surfaces.push(Surface.of(width, height, colors));
    }

    /**
     * Something to paint a page on, once.
     *
     * @param layers what of the file is switched off, if it has layers
     * @param toPixels from the page's space to pixels from the top left of the raster
     * @param width of the raster in pixels
     * @param height likewise
     */
    public static PagePlates of(
            PDPage page,
            Optional<PDOptionalContentProperties> layers,
            DeviceColors colors,
            ImageCache images,
            AffineTransform toPixels,
            int width,
            int height) {
        return new PagePlates(page, layers, colors, images, toPixels, width, height);
    }

    /**
     * The same with colours behind words of the page.
     *
     * @throws IOException if the page cannot be read
     */
    public PagePlates backed(List<Backed> backed) throws IOException {
        if (!backed.isEmpty()) {
            follow(ContentPlaces.of(page, backed));
        }
        return this;
    }

    /**
     * What the page paints, without its annotations.
     *
     * @throws IOException if it cannot be read
     */
    public PlaneRaster paint() throws IOException {
        processPage(page);
        return surfaces.peek().raster();
    }

    /**
     * The same without its text.
     *
     * @param lines that belong to that: around their paths, in the space of the page
     * @throws IOException if the page cannot be read
     */
    public PlaneRaster paintWithoutText(Collection<Rectangle2D> lines) throws IOException {
        leftOut = Optional.of(Set.copyOf(lines));
        return paint();
    }

    /**
     * The same as all of it, with its annotations and form fields over it, in the colours of their
     * own.
     *
     * @param renewed whether readers draw the form fields anew
     * @throws IOException if the page cannot be read
     */
    public PlaneRaster paintAnnotated(boolean renewed) throws IOException {
        processPage(page);
        annotations(renewed);
        return surfaces.peek().raster();
    }

    /**
     * Its annotations and form fields only, without their text.
     *
     * @param renewed whether readers draw the form fields anew
     * @param lines that belong to text: around their paths, in the space of the page
     * @throws IOException if they cannot be read
     */
    public PlaneRaster paintAnnotations(boolean renewed, Collection<Rectangle2D> lines)
            throws IOException {
        leftOut = Optional.of(Set.copyOf(lines));
        COSDictionary bare = new COSDictionary(page.getCOSObject());
        bare.removeItem(COSName.CONTENTS);
        aside(() -> processPage(new PDPage(bare)));
        annotations(renewed);
        return surfaces.peek().raster();
    }

    /** Those that can be read. */
    private void annotations(boolean renewed) throws IOException {
        surfaces.push(surfaces.pop().asItIs());
        for (PDAnnotation each : Annotations.of(page, layers, renewed).drawn()) {
            layers.endAll();
            try {
                aside(() -> showAnnotation(each));
            } catch (IOException broken) {
                // what of it was painted stays; it is told as not judged
            }
        }
    }

    /**
     * From a page as it stands in its file to a square of one unit, from its top left, turned as it
     * is to be shown.
     */
    public static AffineTransform unit(PDPage page) {
        PDRectangle crop = page.getCropBox();
        double w = crop.getWidth();
        double h = crop.getHeight();
        double x = crop.getLowerLeftX();
        double y = crop.getLowerLeftY();
        return switch (Math.floorMod(page.getRotation(), 360)) {
            case 90 -> new AffineTransform(0, 1 / w, 1 / h, 0, -y / h, -x / w);
            case 180 -> new AffineTransform(-1 / w, 0, 0, 1 / h, 1 + x / w, -y / h);
            case 270 -> new AffineTransform(0, -1 / w, -1 / h, 0, 1 + y / h, 1 + x / w);
            default -> new AffineTransform(1 / w, 0, 0, -1 / h, -x / w, 1 + y / h);
        };
    }

    // what is painted, and through what

    /** The planes at a pixel, and how much of it is there. */
    private interface Ink {
        /**
         * @return nothing where it does not paint
         */
        double at(int x, int y, double[] planes);
    }

    /**
     * Something to paint with.
     *
     * @param shape as far as it goes, in the space of the page
     * @param printed planes that it prints on; null for all of them
     */
    private record Colored(Shape shape, Ink ink, boolean[] printed) {}

    /**
     * @param at where that is, if it is no text
     */
    private void paint(Shape shape, PDColor color, boolean stroking, Recolor.What what, Point2D at)
            throws IOException {
        Cancellation.check();
        if (layers.isOff()) {
            return;
        }
        PDGraphicsState state = getGraphicsState();
        boolean over = stroking ? state.isOverprint() : state.isNonStrokingOverprint();
        double alpha = stroking ? state.getAlphaConstant() : state.getNonStrokeAlphaConstant();
        Optional<Colored> colored =
                colored(
                        shape,
                        color,
                        over,
                        Optional.of(inGlyph ? Recolor.What.TEXT : what),
                        inGlyph ? begun() : at);
        if (colored.isPresent()) {
            cover(colored.get(), alpha);
        }
    }

    /**
     * Nothing for a pattern that is missing, and for what is not painted.
     *
     * @param what it is, where its colour may be another one
     */
    private Optional<Colored> colored(
            Shape shape, PDColor color, boolean over, Optional<Recolor.What> what, Point2D at)
            throws IOException {
        if (color.getColorSpace() instanceof PDPattern) {
            return pattern(shape, color);
        }
        DeviceColors colors = surfaces.peek().colors();
        Optional<DeviceColors.Inked> shown =
                what.isPresent()
                        ? colors.of(color.getColorSpace(), color.getComponents(), what.get(), at)
                        : Optional.of(colors.of(color.getColorSpace(), color.getComponents()));
        if (shown.isEmpty()) {
            return Optional.empty();
        }
        DeviceColors.Inked inked = shown.get();
        boolean[] printed = inked.printed(over, getGraphicsState().getOverprintMode());
        return Optional.of(new Colored(shape, flat(inked), printed));
    }

    private static Ink flat(DeviceColors.Inked inked) {
        return (x, y, planes) -> {
            System.arraycopy(inked.planes(), 0, planes, 0, planes.length);
            return 1;
        };
    }

    private void cover(Colored colored, double alpha) throws IOException {
        Shape pixels = toPixels.createTransformedShape(colored.shape());
        Brush brush = new Brush(colored.ink(), colored.printed(), alpha, false);
        Coverage.of(pixels, width, height).forEach(brush::paint);
    }

    /** Paints pixels through the clip and the soft mask, with the mode of the state. */
    private final class Brush {
        private final Surface surface = surfaces.peek();
        private final Ink ink;
        private final boolean[] printed;
        private final double alpha;
        private final boolean letsThrough;
        private final byte[] clipped = clip();
        private final float[] soft = softMask();
        private final BlendMode mode = mode();
        private final boolean masksShape = getGraphicsState().isAlphaSource();
        private final double[] planes = new double[surface.raster().count()];

        /**
         * @param letsThrough whether the ink is see-through where it is not all there, rather than
         *     missing (11.3.7.2)
         */
        Brush(Ink ink, boolean[] printed, double alpha, boolean letsThrough) throws IOException {
            this.ink = ink;
            this.printed = printed;
            this.alpha = alpha;
            this.letsThrough = letsThrough;
        }

        void paint(int at, double covered) {
            double shape = clipped == null ? covered : covered * (clipped[at] & 0xff) / 255.0;
            if (shape <= 0) {
                return;
            }
            double opacity = soft == null ? alpha : alpha * soft[at];
            if (opacity <= 0 && !surface.needsShapes()) {
                return;
            }
            double there = ink.at(at % width, at / width, planes);
            if (letsThrough && there >= 0) {
                opacity *= there;
            } else {
                shape *= there;
            }
            if (masksShape) {
                shape *= opacity;
                opacity = 1;
            }
            if (shape > 0) {
                surface.paint(at, planes, printed, shape, opacity, mode);
            }
        }
    }

    private BlendMode mode() {
        return blendMode().orElse(BlendMode.NORMAL);
    }

    /**
     * Nothing where all of the raster is within; where the page itself ends within the outermost
     * pixels, what is painted ends there, too, and must not be cut a second time.
     */
    private byte[] clip() {
        Area area = getGraphicsState().getCurrentClippingPath();
        if (area != clipOf) {
            clipOf = area;
            Shape pixels = toPixels.createTransformedShape(area);
            boolean all =
                    area.isRectangular()
                            && pixels.getBounds2D()
                                    .contains(new Rectangle2D.Double(1, 1, width - 2, height - 2));
            clip = all ? null : Coverage.of(pixels, width, height).whole(width * height);
        }
        return clip;
    }

    // soft masks and groups

    private float[] softMask() throws IOException {
        PDSoftMask mask = getGraphicsState().getSoftMask();
        if (mask == null || mask.getGroup() == null) {
            return null;
        }
        Matrix place = mask.getInitialTransformationMatrix();
        SoftMaskUse use =
                new SoftMaskUse(
                        mask.getCOSObject(),
                        place == null ? new AffineTransform() : place.createAffineTransform(),
                        getGraphicsState().getCurrentClippingPath());
        float[] known = softMasks.get(use);
        if (known == null) {
            known = softMask(mask);
            softMasks.clear();
            softMasks.put(use, known);
        }
        return known;
    }

    /** ISO 32000-1, 11.5: by the luminosity of a group on its backdrop, or by its alpha. */
    private float[] softMask(PDSoftMask mask) throws IOException {
        DeviceColors light = surfaces.peek().colors().inLight();
        Surface masking = Surface.of(width, height, light);
        PlaneRaster raster = masking.raster();
        boolean byLight = COSName.LUMINOSITY.equals(mask.getSubType());
        double behind = byLight ? backdrop(mask, light) : 0;
        surfaces.push(masking);
        Area outerText = textClip;
        byte[] clipped = clip();
        aside(() -> processSoftMask(mask.getGroup()));
        textClip = outerText;
        surfaces.pop();
        PDFunction transfer = mask.getTransferFunction();
        float[] values = new float[width * height];
        for (int at = 0; at < values.length; at++) {
            double value = unclipped(raster.alpha(at), clipped, at);
            if (byLight) {
                double there =
                        luminosity(
                                1 - raster.plane(0, at),
                                1 - raster.plane(1, at),
                                1 - raster.plane(2, at));
                value = value * there + (1 - value) * behind;
            }
            values[at] =
                    transfer == null
                            ? (float) value
                            : transfer.eval(new float[] {(float) value})[0];
        }
        return values;
    }

    /** What clips the paint does not clip its mask as well (11.6.5.3), which PDFBox has it do. */
    private static double unclipped(double alpha, byte[] clipped, int at) {
        return clipped == null || clipped[at] == 0
                ? alpha
                : Math.min(1, alpha * 255 / (clipped[at] & 0xff));
    }

    private static double backdrop(PDSoftMask mask, DeviceColors light) throws IOException {
        var group = mask.getGroup().getGroup();
        if (mask.getBackdropColor() == null || group == null || group.getColorSpace() == null) {
            return 0;
        }
        double[] planes =
                light.of(group.getColorSpace(), mask.getBackdropColor().toFloatArray()).planes();
        return luminosity(1 - planes[0], 1 - planes[1], 1 - planes[2]);
    }

    private static double luminosity(double red, double green, double blue) {
        return 0.3 * red + 0.59 * green + 0.11 * blue;
    }

    @Override
    public void showTransparencyGroup(PDTransparencyGroup form) throws IOException {
        if (layers.isOff() || layers.isOff(form)) {
            return;
        }
        double alpha = getGraphicsState().getNonStrokeAlphaConstant();
        float[] soft = softMask();
        BlendMode mode = mode();
        var group = form.getGroup();
        Surface inner =
                surfaces.peek()
                        .group(
                                group != null && group.isIsolated(),
                                group != null && group.isKnockout());
        surfaces.push(inner);
        super.showTransparencyGroup(form);
        surfaces.pop();
        surfaces.peek().paint(inner, alpha, soft, mode);
    }

    @Override
    public void showForm(PDFormXObject form) throws IOException {
        if (!layers.isOff(form)) {
            super.showForm(form);
        }
    }

    // layers

    @Override
    public void beginMarkedContentSequence(COSName tag, COSDictionary properties) {
        layers.begin(tag, properties);
    }

    @Override
    public void endMarkedContentSequence() {
        layers.end();
    }

    // paths

    @Override
    protected void fill(GeneralPath path) throws IOException {
        if (!isLeftOut(path)) {
            paint(
                    path,
                    getGraphicsState().getNonStrokingColor(),
                    false,
                    Recolor.What.FILLS,
                    middle(path));
        }
    }

    @Override
    protected void stroke(GeneralPath path) throws IOException {
        if (!isLeftOut(path)) {
            paint(
                    stroked(path),
                    getGraphicsState().getStrokingColor(),
                    true,
                    Recolor.What.LINES,
                    middle(path));
        }
    }

    private boolean isLeftOut(GeneralPath path) {
        return leftOut.map(lines -> lines.contains(path.getBounds2D())).orElse(false);
    }

    /** ISO 32000-1, 8.4.3: a line of no width is one pixel wide. */
    private Shape stroked(Shape line) {
        PDGraphicsState state = getGraphicsState();
        double pixel = 1 / Math.sqrt(Math.abs(toPixels.getDeterminant()));
        float wide = (float) Math.max(transformWidth(state.getLineWidth()), pixel);
        float[] dashes = state.getLineDashPattern().getDashArray();
        float sum = 0;
        for (int i = 0; i < dashes.length; i++) {
            dashes[i] = Math.max(0, transformWidth(dashes[i]));
            sum += dashes[i];
        }
        boolean dashed = sum > pixel / 4;
        return new BasicStroke(
                        wide,
                        state.getLineCap(),
                        state.getLineJoin(),
                        Math.max(1, state.getMiterLimit()),
                        dashed ? dashes : null,
                        dashed ? transformWidth(state.getLineDashPattern().getPhase()) : 0)
                .createStrokedShape(line);
    }

    // text

    @Override
    public void beginText() throws IOException {
        super.beginText();
        textClip = null;
    }

    @Override
    protected void back(Shape shape, Backed what) throws IOException {
        Cancellation.check();
        if (!layers.isOff()) {
            DeviceColors.Inked inked = surfaces.peek().colors().inked(what.color());
            cover(new Colored(shape, flat(inked), null), what.opacity());
        }
    }

    @Override
    public void endText() {
        if (textClip != null) {
            getGraphicsState().intersectClippingPath(textClip);
            textClip = null;
        }
    }

    @Override
    protected void showFontGlyph(Matrix matrix, PDFont font, int code, Vector displacement)
            throws IOException {
        if (!(font instanceof PDVectorFont outlines)) {
            return;
        }
        AffineTransform place = matrix.createAffineTransform();
        place.concatenate(font.getFontMatrix().createAffineTransform());
        Shape glyph = place.createTransformedShape(glyphPaths.of(outlines, code));
        RenderingMode mode = getGraphicsState().getTextState().getRenderingMode();
        if (mode.isFill() && leftOut.isEmpty()) {
            paint(
                    glyph,
                    getGraphicsState().getNonStrokingColor(),
                    false,
                    Recolor.What.TEXT,
                    begun());
        }
        if (mode.isStroke() && leftOut.isEmpty()) {
            paint(
                    stroked(glyph),
                    getGraphicsState().getStrokingColor(),
                    true,
                    Recolor.What.TEXT,
                    begun());
        }
        if (mode.isClip()) {
            textClip = textClip == null ? new Area() : textClip;
            textClip.add(new Area(glyph));
        }
    }

    @Override
    protected void showType3Glyph(Matrix matrix, PDType3Font font, int code, Vector displacement)
            throws IOException {
        if (leftOut.isEmpty()) {
            boolean outer = inGlyph;
            inGlyph = true;
            super.showType3Glyph(matrix, font, code, displacement);
            inGlyph = outer;
        }
    }

    // images

    @Override
    public void drawImage(PDImage image) throws IOException {
        if (layers.isOff() || image instanceof PDImageXObject object && layers.isOff(object)) {
            return;
        }
        AffineTransform place = new AffineTransform(toPixels);
        place.concatenate(
                getGraphicsState().getCurrentTransformationMatrix().createAffineTransform());
        AffineTransform back;
        try {
            back = place.createInverse();
        } catch (NoninvertibleTransformException flat) {
            return;
        }
        DeviceColors colors = surfaces.peek().colors();
        double across = Math.hypot(place.getScaleX(), place.getShearY());
        if (image.isStencil()) {
            stencil(image, place, back);
            return;
        }
        PlaneSampler sampler =
                new PlaneSampler(
                        images.get(image, colors, middle(square()), PlaneImage.wanted(across)));
        unitSquare(place, back, sampler::sample, null, true);
    }

    /** Gives the planes of a point of a square of one unit, from its top left. */
    private interface Square {
        double sample(double u, double v, double[] planes);
    }

    /**
     * Pixels whose middle lies within the square: images that touch leave no seam.
     *
     * @param letsThrough whether what a point has is how much it hides, rather than how much of it
     *     is there
     */
    private void unitSquare(
            AffineTransform place,
            AffineTransform back,
            Square square,
            boolean[] printed,
            boolean letsThrough)
            throws IOException {
        Rectangle2D bounds = place.createTransformedShape(UNIT).getBounds2D();
        int left = Math.clamp((long) Math.floor(bounds.getMinX()), 0, width);
        int right = Math.clamp((long) Math.ceil(bounds.getMaxX()), 0, width);
        int top = Math.clamp((long) Math.floor(bounds.getMinY()), 0, height);
        int bottom = Math.clamp((long) Math.ceil(bounds.getMaxY()), 0, height);
        Point2D.Double point = new Point2D.Double();
        Ink ink =
                (x, y, into) -> {
                    point.setLocation(x + 0.5, y + 0.5);
                    back.transform(point, point);
                    boolean within = point.x >= 0 && point.x < 1 && point.y >= 0 && point.y < 1;
                    return within ? square.sample(point.x, 1 - point.y, into) : OUTSIDE;
                };
        double alpha = getGraphicsState().getNonStrokeAlphaConstant();
        Brush brush = new Brush(ink, printed, alpha, letsThrough);
        for (int y = top; y < bottom; y++) {
            Cancellation.check();
            for (int x = left; x < right; x++) {
                brush.paint(y * width + x, 1);
            }
        }
    }

    private void stencil(PDImage image, AffineTransform place, AffineTransform back)
            throws IOException {
        byte[] painted = ImageReader.stencil(image);
        Shape square = square();
        PDGraphicsState state = getGraphicsState();
        Optional<Colored> colored =
                colored(
                        square,
                        state.getNonStrokingColor(),
                        state.isNonStrokingOverprint(),
                        Optional.empty(),
                        middle(square));
        if (colored.isEmpty()) {
            return;
        }
        Ink ink = colored.get().ink();
        Coverage reach =
                Coverage.of(toPixels.createTransformedShape(colored.get().shape()), width, height);
        byte[] reached = colored.get().shape() == square ? null : reach.whole(width * height);
        int across = image.getWidth();
        int down = image.getHeight();
        AffineTransform pixels = new AffineTransform(place);
        Point2D.Double point = new Point2D.Double();
        unitSquare(
                place,
                back,
                (u, v, planes) -> {
                    int column = Math.min(across - 1, (int) (u * across));
                    int row = Math.clamp((int) (v * down), 0, down - 1);
                    double there = (painted[row * across + column] & 0xff) / 255.0;
                    if (there == 0) {
                        return 0;
                    }
                    point.setLocation(u, 1 - v);
                    pixels.transform(point, point);
                    int x = Math.clamp((long) Math.floor(point.x), 0, width - 1);
                    int y = Math.clamp((long) Math.floor(point.y), 0, height - 1);
                    double within = reached == null ? 1 : (reached[y * width + x] & 0xff) / 255.0;
                    return there * within * Math.max(0, ink.at(x, y, planes));
                },
                colored.get().printed(),
                false);
    }

    // shadings and patterns

    @Override
    public void shadingFill(COSName name) throws IOException {
        PDShading shading = getResources().getShading(name);
        if (shading == null || layers.isOff()) {
            return;
        }
        AffineTransform place =
                getGraphicsState().getCurrentTransformationMatrix().createAffineTransform();
        // as far as the clip lets it
        double alpha = getGraphicsState().getNonStrokeAlphaConstant();
        cover(shaded(EVERYWHERE, shading, place, false), alpha);
    }

    /**
     * @param shape that is filled, in the space of the page
     * @param place from the space of the shading to that of the page
     */
    private Colored shaded(Shape shape, PDShading shading, AffineTransform place, boolean ground)
            throws IOException {
        AffineTransform toShading = new AffineTransform(toPixels);
        toShading.concatenate(place);
        ShadingPlanes planes =
                ShadingPlanes.of(
                        shading, surfaces.peek().colors(), toShading, width, height, ground);
        Shape visible = shape;
        if (shading.getBBox() != null) {
            Area within = new Area(place.createTransformedShape(rectangle(shading.getBBox())));
            within.intersect(new Area(shape));
            visible = within;
        }
        return new Colored(visible, planes::at, null);
    }

    private static Rectangle2D rectangle(PDRectangle box) {
        return new Rectangle2D.Double(
                box.getLowerLeftX(), box.getLowerLeftY(), box.getWidth(), box.getHeight());
    }

    private Optional<Colored> pattern(Shape shape, PDColor color) throws IOException {
        PDAbstractPattern pattern =
                color.getPatternName() == null
                        ? null
                        : getResources().getPattern(color.getPatternName());
        return switch (pattern) {
            case PDShadingPattern shading when shading.getShading() != null -> {
                AffineTransform place =
                        Matrix.concatenate(getInitialMatrix(), shading.getMatrix())
                                .createAffineTransform();
                yield Optional.of(shaded(shape, shading.getShading(), place, true));
            }
            case PDTilingPattern tiling ->
                    cells(shape, tiling, color).map(cells -> new Colored(shape, cells, null));
            case null, default -> Optional.empty();
        };
    }

    private Optional<Ink> cells(Shape shape, PDTilingPattern tiling, PDColor color)
            throws IOException {
        Matrix full = Matrix.concatenate(getInitialMatrix(), tiling.getMatrix());
        double stepX = tiling.getXStep();
        double stepY = tiling.getYStep();
        if (stepX == 0 || stepY == 0 || tiling.getBBox() == null) {
            return Optional.empty();
        }
        Rectangle2D box = rectangle(tiling.getBBox());
        Rectangle2D needed;
        try {
            Area visible = new Area(shape);
            visible.intersect(getGraphicsState().getCurrentClippingPath());
            needed =
                    full.createAffineTransform()
                            .createInverse()
                            .createTransformedShape(visible)
                            .getBounds2D();
        } catch (NoninvertibleTransformException flat) {
            return Optional.empty();
        }
        if (needed.isEmpty()) {
            return Optional.empty();
        }
        long left = (long) Math.floor((needed.getMinX() - box.getMaxX()) / Math.abs(stepX));
        long right = (long) Math.ceil((needed.getMaxX() - box.getMinX()) / Math.abs(stepX));
        long low = (long) Math.floor((needed.getMinY() - box.getMaxY()) / Math.abs(stepY));
        long high = (long) Math.ceil((needed.getMaxY() - box.getMinY()) / Math.abs(stepY));
        PDColor own = tiling.getPaintType() == PDTilingPattern.PAINT_UNCOLORED ? color : null;
        return Optional.of(
                (right - left + 1) * (high - low + 1) <= MOST_CELLS
                        ? eachCell(tiling, own, full, left, right, low, high)
                        : oneCell(tiling, own, full, box));
    }

    private Ink eachCell(
            PDTilingPattern tiling,
            PDColor color,
            Matrix full,
            long left,
            long right,
            long low,
            long high)
            throws IOException {
        Surface all = Surface.of(width, height, surfaces.peek().colors().asTheyAre());
        PlaneRaster raster = all.raster();
        surfaces.push(all);
        for (long row = low; row <= high; row++) {
            for (long column = left; column <= right; column++) {
                Matrix cell = full.clone();
                cell.translate(
                        column * Math.abs(tiling.getXStep()), row * Math.abs(tiling.getYStep()));
                cell(tiling, color, cell);
            }
        }
        surfaces.pop();
        return (x, y, planes) -> {
            int at = y * width + x;
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane] = raster.plane(plane, at);
            }
            return raster.alpha(at);
        };
    }

    private void cell(PDTilingPattern tiling, PDColor color, Matrix place) throws IOException {
        Area outerText = textClip;
        processTilingPattern(
                tiling,
                color,
                color == null
                        ? null
                        : ((PDPattern) color.getColorSpace()).getUnderlyingColorSpace(),
                place);
        textClip = outerText;
    }

    /** One cell by itself, about as fine as it is on the page. */
    private Ink oneCell(PDTilingPattern tiling, PDColor color, Matrix full, Rectangle2D box)
            throws IOException {
        AffineTransform place = new AffineTransform(toPixels);
        place.concatenate(full.createAffineTransform());
        double stepX = Math.abs(tiling.getXStep());
        double stepY = Math.abs(tiling.getYStep());
        int across =
                Math.clamp(
                        (long)
                                Math.ceil(
                                        2
                                                * stepX
                                                * Math.hypot(place.getScaleX(), place.getShearY())),
                        1,
                        1024);
        int down =
                Math.clamp(
                        (long)
                                Math.ceil(
                                        2
                                                * stepY
                                                * Math.hypot(place.getShearX(), place.getScaleY())),
                        1,
                        1024);
        AffineTransform toCell =
                new AffineTransform(
                        across / stepX,
                        0,
                        0,
                        -down / stepY,
                        -box.getMinX() * across / stepX,
                        down + box.getMinY() * down / stepY);
        PagePlates cell =
                new PagePlates(
                        getPage(),
                        layers.properties(),
                        surfaces.peek().colors().asTheyAre(),
                        images,
                        toCell,
                        across,
                        down);
        cell.cell(tiling, color, new Matrix());
        PlaneRaster raster = cell.surfaces.peek().raster();
        AffineTransform back;
        try {
            back = place.createInverse();
        } catch (NoninvertibleTransformException flat) {
            return (x, y, planes) -> 0;
        }
        Point2D.Double point = new Point2D.Double();
        return (x, y, planes) -> {
            point.setLocation(x + 0.5, y + 0.5);
            back.transform(point, point);
            double u = (point.x - box.getMinX()) / stepX;
            double v = (point.y - box.getMinY()) / stepY;
            int column = Math.min(across - 1, (int) ((u - Math.floor(u)) * across));
            int row = down - 1 - Math.min(down - 1, (int) ((v - Math.floor(v)) * down));
            int at = row * across + column;
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane] = raster.plane(plane, at);
            }
            return raster.alpha(at);
        };
    }
}
