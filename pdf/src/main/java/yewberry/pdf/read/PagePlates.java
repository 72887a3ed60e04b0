package yewberry.pdf.read;

import java.awt.BasicStroke;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.GeneralPath;
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
    /** Larger than any page: 14,400 units are the most that one has (ISO 32000-1, annex C). */
    private static final Shape EVERYWHERE = new Rectangle2D.Double(-1e5, -1e5, 2e5, 2e5);

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
        boolean[] printed =
                over ? inked.printed(true, getGraphicsState().getOverprintMode()) : null;
        return Optional.of(new Colored(shape, Ink.flat(inked), printed));
    }

    private void cover(Colored colored, double alpha) throws IOException {
        Shape pixels = toPixels.createTransformedShape(colored.shape());
        Brush brush = brush(colored, alpha, false);
        Coverage.of(pixels, width, height).forEach(brush);
    }

    /**
     * @param letsThrough whether the ink is see-through where it is not all there
     */
    private Brush brush(Colored colored, double alpha, boolean letsThrough) throws IOException {
        Brush.Through through =
                new Brush.Through(clip(), softMask(), mode(), getGraphicsState().isAlphaSource());
        return new Brush(
                surfaces.peek(), colored.ink(), colored.printed(), through, alpha, letsThrough);
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
            cover(new Colored(shape, Ink.flat(inked), null), what.opacity());
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
        Optional<UnitSquare> square = UnitSquare.of(place);
        if (square.isEmpty()) {
            return;
        }
        if (image.isStencil()) {
            stencil(image, square.get());
            return;
        }
        DeviceColors colors = surfaces.peek().colors();
        int wanted = PlaneImage.wanted(square.get().across());
        PlaneSampler sampler =
                new PlaneSampler(images.get(image, colors, middle(square()), wanted));
        Ink ink = square.get().ink(sampler::sample);
        double alpha = getGraphicsState().getNonStrokeAlphaConstant();
        square.get().paint(brush(new Colored(square(), ink, null), alpha, true), width, height);
    }

    private void stencil(PDImage image, UnitSquare square) throws IOException {
        byte[] painted = ImageReader.stencil(image);
        Shape shape = square();
        PDGraphicsState state = getGraphicsState();
        Optional<Colored> colored =
                colored(
                        shape,
                        state.getNonStrokingColor(),
                        state.isNonStrokingOverprint(),
                        Optional.empty(),
                        middle(shape));
        if (colored.isEmpty()) {
            return;
        }
        Ink ink = within(colored.get(), shape);
        Ink seen = square.stencil(ink, painted, image.getWidth(), image.getHeight());
        Colored through = new Colored(shape, seen, colored.get().printed());
        square.paint(brush(through, state.getNonStrokeAlphaConstant(), false), width, height);
    }

    /** An ink as far as it goes, where that is not all of a shape. */
    private Ink within(Colored colored, Shape shape) {
        Ink ink = colored.ink();
        if (colored.shape() == shape) {
            return ink;
        }
        byte[] reached =
                Coverage.of(toPixels.createTransformedShape(colored.shape()), width, height)
                        .whole(width * height);
        return (x, y, planes) ->
                (reached[y * width + x] & 0xff) / 255.0 * Math.max(0, ink.at(x, y, planes));
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
            Area within =
                    new Area(place.createTransformedShape(SeenPage.rectangle(shading.getBBox())));
            within.intersect(new Area(shape));
            visible = within;
        }
        return new Colored(visible, planes::at, null);
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

    private Optional<Ink> cells(Shape shape, PDTilingPattern pattern, PDColor color)
            throws IOException {
        Area visible = new Area(shape);
        visible.intersect(getGraphicsState().getCurrentClippingPath());
        Matrix full = Matrix.concatenate(getInitialMatrix(), pattern.getMatrix());
        Optional<Tiling> tiling = Tiling.of(pattern, full, visible);
        if (tiling.isEmpty()) {
            return Optional.empty();
        }
        PDColor own = pattern.getPaintType() == PDTilingPattern.PAINT_UNCOLORED ? color : null;
        return Optional.of(
                tiling.get().isFew()
                        ? eachCell(pattern, own, tiling.get())
                        : oneCell(pattern, own, tiling.get()));
    }

    private Ink eachCell(PDTilingPattern pattern, PDColor color, Tiling tiling) throws IOException {
        Surface all = Surface.of(width, height, surfaces.peek().colors().asTheyAre());
        surfaces.push(all);
        for (Matrix each : tiling.cells().toList()) {
            cell(pattern, color, each);
        }
        surfaces.pop();
        return Ink.of(all.raster());
    }

    private void cell(PDTilingPattern pattern, PDColor color, Matrix place) throws IOException {
        Area outerText = textClip;
        processTilingPattern(
                pattern,
                color,
                color == null
                        ? null
                        : ((PDPattern) color.getColorSpace()).getUnderlyingColorSpace(),
                place);
        textClip = outerText;
    }

    /** One cell by itself, about as fine as it is on the page. */
    private Ink oneCell(PDTilingPattern pattern, PDColor color, Tiling tiling) throws IOException {
        Tiling.Sample sample = tiling.sample(toPixels);
        PagePlates cell =
                new PagePlates(
                        getPage(),
                        layers.properties(),
                        surfaces.peek().colors().asTheyAre(),
                        images,
                        sample.toCell(),
                        sample.across(),
                        sample.down());
        cell.cell(pattern, color, new Matrix());
        return sample.ink(cell.surfaces.peek().raster());
    }
}
