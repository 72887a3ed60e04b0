package yewberry.core.raster;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.BitSet;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;
import yewberry.core.Cancellation;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Color;
import yewberry.core.color.View;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * A part of a page, painted pixel by pixel in what its colours are mixed in: opacities, blend
 * modes, gradients and overprint as the press or the screen will have them.
 */
public final class PageRaster implements BehindLetters {
    /** Fewer pixels than these are painted sooner than they are shared out. */
    private static final int BAND = 40_000;

    private static final int PROCESSORS = Runtime.getRuntime().availableProcessors();

    /** Stands for a shape that is a rectangle. */
    private static final byte[] WHOLE = {};

    private final MediumScene scene;
    private final Rect region;
    private final double scale;
    private final ChosenPixels pixels;
    private final PlaneRaster raster;

    /** The pixels that a picture has a part in: their colours are too many to be exact. */
    private final BitSet pictured;

    private PageRaster(MediumScene scene, Rect region, double ppi, ChosenPixels pixels) {
        this(
                scene,
                region,
                ppi / 72,
                pixels,
                pixels.count() == pixels.width() * pixels.height()
                        ? new PlaneRaster(pixels.width(), pixels.height(), scene.planes().count())
                        : new PlaneRaster(pixels.count(), 1, scene.planes().count()),
                new BitSet(pixels.count()));
    }

    private PageRaster(
            MediumScene scene,
            Rect region,
            double scale,
            ChosenPixels pixels,
            PlaneRaster raster,
            BitSet pictured) {
        this.scene = scene;
        this.region = region;
        this.scale = scale;
        this.pixels = pixels;
        this.raster = raster;
        this.pictured = pictured;
    }

    /**
     * Pixels that a length is painted in: its own, rounded up.
     *
     * @param points what binary fractions add to a whole number of pixels does not make one more
     */
    public static int pixels(double points, double ppi) {
        return (int) Math.ceil(points * ppi / 72 - 1e-6);
    }

    /**
     * A part of a page, areas and text, as it is seen.
     *
     * @param region in the space of the page; sides are rounded up to whole pixels
     * @param ppi pixels per inch
     */
    public static BufferedImage page(PageScene scene, View view, Rect region, double ppi) {
        return of(scene.on(view), region, ppi).image(view);
    }

    /** Its backgrounds below all else alone; somebody waits for it, so all processors take part. */
    public static BufferedImage areas(PageScene scene, View view, Rect region, double ppi) {
        MediumScene shown = scene.on(view);
        int width = pixels(region.width(), ppi);
        int height = pixels(region.height(), ppi);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int bands = Math.clamp((long) width * height / BAND, 1, PROCESSORS);
        IntConsumer paint =
                Cancellation.carried((int band) -> {
                    int top = height * band / bands;
                    int rows = height * (band + 1) / bands - top;
                    Rect part =
                            new Rect(
                                    region.x(),
                                    region.y() + top * 72 / ppi,
                                    region.width(),
                                    rows * 72 / ppi);
                    areas(shown, part, ppi).paint(view, image, top);
                });
        IntStream.range(0, bands).parallel().forEach(paint);
        return image;
    }

    /** Where the sources of areas come from. */
    @FunctionalInterface
    public interface Sources {
        /** What a picture is in another way than from its asset, as fine as is fit for a page. */
        Painted.Source of(Item.Filled fill, AreaPaint.Picture picture);
    }

    /**
     * A part of a page, areas and text.
     *
     * @param pictures where what is placed comes from
     */
    public static PageRaster of(MediumScene scene, Rect region, double ppi, Sources pictures) {
        PageRaster page = whole(scene, region, ppi);
        for (Item item : scene.items()) {
            if (item instanceof Item.Filled fill
                    && fill.paint() instanceof AreaPaint.Picture picture) {
                page.fill(fill, pictures.of(fill, picture));
            } else {
                page.item(item, ppi);
            }
        }
        return page;
    }

    /** A part of a page, all that is on it. */
    public static PageRaster of(MediumScene scene, Rect region, double ppi) {
        return of(scene, scene.items(), region, ppi);
    }

    /**
     * Some of what is on a part of a page.
     *
     * @param items of the scene, from the lowest up
     */
    public static PageRaster of(
            MediumScene scene, List<? extends Item> items, Rect region, double ppi) {
        PageRaster page = whole(scene, region, ppi);
        items.forEach(item -> page.item(item, ppi));
        return page;
    }

    /** Its backgrounds below all else alone. */
    public static PageRaster areas(MediumScene scene, Rect region, double ppi) {
        return of(scene, scene.lower(), region, ppi);
    }

    /**
     * Some pixels of a part of a page with some of what is on it; its raster is one row of them.
     *
     * @param items of the scene, from the lowest up
     * @param pixels of the region, from its top left
     */
    public static PageRaster of(
            MediumScene scene,
            List<? extends Item> items,
            Rect region,
            double ppi,
            ChosenPixels pixels) {
        PageRaster page = new PageRaster(scene, region, ppi, pixels);
        items.forEach(item -> page.item(item, ppi));
        return page;
    }

    private static PageRaster whole(MediumScene scene, Rect region, double ppi) {
        return new PageRaster(
                scene,
                region,
                ppi,
                ChosenPixels.all(pixels(region.width(), ppi), pixels(region.height(), ppi)));
    }

    private void item(Item item, double ppi) {
        switch (item) {
            case Item.Filled fill -> fill(fill, Painted.source(fill, scene.planes(), ppi));
            case Item.Lettering text -> text(text);
        }
    }

    /**
     * What this and a colour that is printed over it come to; this stays.
     *
     * @param paint that overprints, everywhere
     */
    @Override
    public PageRaster overprinted(Paint paint) {
        double[] source = scene.planes().of(paint.color());
        PlaneRaster printed = raster.overprinted(source, printed(source));
        return new PageRaster(scene, region, scale, pixels, printed, pictured);
    }

    /**
     * What there is where letters cover it everywhere; this stays.
     *
     * @param paint of the letters
     */
    public PageRaster lettered(Paint paint) {
        if (paint.overprints()) {
            return overprinted(paint);
        }
        PlaneRaster covered = raster.copy();
        double[] source = scene.planes().of(paint.color());
        for (int at = 0; at < pixels.count(); at++) {
            covered.paint(at, source, 1, BlendMode.NORMAL);
        }
        return new PageRaster(scene, region, scale, pixels, covered, new BitSet());
    }

    /**
     * The same below some fills; this stays.
     *
     * @param above from the lowest up
     */
    public PageRaster below(List<? extends Item.Filled> above, double ppi) {
        PageRaster page =
                new PageRaster(
                        scene, region, scale, pixels, raster.copy(), (BitSet) pictured.clone());
        above.forEach(fill -> page.item(fill, ppi));
        return page;
    }

    /** The pixels by their numbers. */
    public PlaneRaster raster() {
        return raster;
    }

    /** As it is seen under a viewing of the scene's medium; black where no pixel is chosen. */
    public BufferedImage image(View view) {
        BufferedImage image =
                new BufferedImage(pixels.width(), pixels.height(), BufferedImage.TYPE_INT_RGB);
        paint(view, image, 0);
        return image;
    }

    /** All of its rows, from one of the image on that is as wide. */
    private void paint(View view, BufferedImage image, int top) {
        int[] seen = pixels.spread(seen(view));
        DataBufferInt into = (DataBufferInt) image.getRaster().getDataBuffer();
        System.arraycopy(seen, 0, into.getData(), top * pixels.width(), seen.length);
    }

    /** What is seen of each pixel by its number, red, green and blue in the lowest three bytes. */
    public int[] seen(View view) {
        return new ScreenPixels(scene.planes(), view, ScreenPixels.OF_PAGES).seen(raster, pictured);
    }

    /** The same of what lies behind letters, where few colours have to be exact. */
    @Override
    public int[] seenBehindLetters(View view) {
        return new ScreenPixels(scene.planes(), view, ScreenPixels.OF_LETTERS)
                .seen(raster, pictured);
    }

    @Override
    public Color color(int number) {
        double[] planes = new double[raster.count()];
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane] = raster.printed(plane, number);
        }
        return scene.planes().color(planes);
    }

    private void fill(Item.Filled fill, Painted.Source source) {
        Rect rect = fill.bounds().intersection(scene.boxes().bleed());
        if (rect.intersection(region).isEmpty()) {
            return;
        }
        double[] columns = coverage(rect.x() - region.x(), rect.width(), pixels.width());
        double[] rows = coverage(rect.y() - region.y(), rect.height(), pixels.height());
        if (fill.solid().isPresent()
                && fill.opacity() == 1
                && fill.blend() == BlendMode.NORMAL
                && fill.shape().isEmpty()) {
            fill(scene.planes().of(fill.solid().get().color()), columns, rows);
            return;
        }
        byte[] within = fill.shape().map(this::within).orElse(WHOLE);
        boolean picture = fill.paint() instanceof AreaPaint.Picture;
        int planes = raster.count();
        int most = pixels.widest();
        int[] places = new int[most];
        double[] xs = new double[most];
        double[] inside = new double[most];
        double[] alphas = new double[most];
        double[] inks = new double[most * planes];
        for (int row = 0; row < rows.length; row++) {
            if (rows[row] == 0) {
                continue;
            }
            Cancellation.check();
            int count = 0;
            for (int at = pixels.start(row); at < pixels.start(row + 1); at++) {
                int column = pixels.column(at, row);
                double part =
                        within.length == 0
                                ? columns[column] * rows[row]
                                : (within[row * pixels.width() + column] & 0xff) / 255.0;
                if (columns[column] > 0 && part > 0) {
                    places[count] = at;
                    xs[count] = region.x() + (column + 0.5) / scale;
                    inside[count++] = part;
                }
            }
            source.row(xs, count, region.y() + (row + 0.5) / scale, inks, alphas);
            for (int i = 0; i < count; i++) {
                alphas[i] *= inside[i];
            }
            paint(places, count, inks, alphas, fill.blend());
            int from = 0;
            boolean before = false;
            for (int i = 0; i < count; i++) {
                double covered = alphas[i];
                boolean changes =
                        picture ? covered > 0 : covered == 1 && fill.blend() == BlendMode.NORMAL;
                boolean goesOn = before && changes && places[i] == places[i - 1] + 1;
                if (before && !goesOn) {
                    pictured.set(places[from], places[i - 1] + 1, picture);
                }
                from = goesOn ? from : i;
                before = changes;
            }
            if (before) {
                pictured.set(places[from], places[count - 1] + 1, picture);
            }
        }
    }

    /** One colour that hides what is below it, in a rectangle. */
    private void fill(double[] ink, double[] columns, double[] rows) {
        for (int row = 0; row < rows.length; row++) {
            if (rows[row] == 0) {
                continue;
            }
            Cancellation.check();
            int end = pixels.start(row + 1);
            int whole = end;
            for (int at = pixels.start(row); at <= end; at++) {
                double part = at < end ? columns[pixels.column(at, row)] * rows[row] : 0;
                if (part == 1) {
                    whole = Math.min(whole, at);
                    continue;
                }
                if (whole < at) {
                    raster.fill(whole, at, ink);
                    pictured.clear(whole, at);
                    whole = end;
                }
                if (part > 0) {
                    raster.paint(at, ink, part, BlendMode.NORMAL);
                }
            }
        }
    }

    private void paint(int[] places, int count, double[] inks, double[] covered, BlendMode mode) {
        if (count > 0 && places[count - 1] - places[0] == count - 1) {
            raster.paint(places[0], count, inks, covered, mode);
            return;
        }
        for (int i = 0; i < count; i++) {
            raster.paint(places[i], inks, i * raster.count(), covered[i], mode);
        }
    }

    /** How much of each pixel of the region a shape covers, row by row. */
    private byte[] within(Shape shape) {
        AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
        place.translate(-region.x(), -region.y());
        int height = pixels(region.height(), scale * 72);
        return Coverage.of(place.createTransformedShape(shape), pixels.width(), height)
                .whole(pixels.width() * height);
    }

    /** How much of each pixel in one direction lies within a stretch given in points. */
    private double[] coverage(double from, double length, int count) {
        double start = from * scale;
        double end = (from + length) * scale;
        double[] covered = new double[count];
        for (int i = Math.max(0, (int) Math.floor(start)); i < count && i < end; i++) {
            covered[i] = Math.clamp(Math.min(i + 1, end) - Math.max(i, start), 0, 1);
        }
        return covered;
    }

    private void text(Item.Lettering text) {
        Paint paint = text.paint();
        double[] source = scene.planes().of(paint.color());
        boolean[] printed = printed(source);
        for (Item.Line line : text.letters().lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Coverage.of(text, line, glyph, region, scale, pixels.width(), pixels.height())
                        .forEach((place, covered) -> {
                            int at = pixels.number(place);
                            if (at < 0) {
                                return;
                            }
                            if (paint.overprints()) {
                                raster.overprint(at, source, printed, covered, BlendMode.NORMAL);
                            } else {
                                raster.paint(at, source, covered, BlendMode.NORMAL);
                            }
                        });
            }
        }
    }

    /** Where the source has no ink, that below stays. */
    private static boolean[] printed(double[] source) {
        boolean[] printed = new boolean[source.length];
        for (int plane = 0; plane < printed.length; plane++) {
            printed[plane] = source[plane] > 0;
        }
        return printed;
    }
}
