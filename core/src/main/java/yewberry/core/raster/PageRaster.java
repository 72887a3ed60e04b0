package yewberry.core.raster;

import java.awt.image.BufferedImage;
import java.util.BitSet;
import yewberry.core.Cancellation;
import yewberry.core.color.BlendMode;
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
public final class PageRaster {
    private final MediumScene scene;
    private final Rect region;
    private final double scale;
    private final PlaneRaster raster;

    /** The pixels that a picture has a part in: their colours are too many to be exact. */
    private final BitSet pictured;

    private PageRaster(MediumScene scene, Rect region, double ppi) {
        this.scene = scene;
        this.region = region;
        this.scale = ppi / 72;
        // what binary fractions add to a whole number of pixels must not make one more
        int width = (int) Math.ceil(region.width() * scale - 1e-6);
        int height = (int) Math.ceil(region.height() * scale - 1e-6);
        this.raster = new PlaneRaster(width, height, scene.planes().count());
        this.pictured = new BitSet(width * height);
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

    /** The same without text. */
    public static BufferedImage areas(PageScene scene, View view, Rect region, double ppi) {
        return areas(scene.on(view), region, ppi).image(view);
    }

    /** Where the sources of areas come from. */
    @FunctionalInterface
    public interface Sources {
        /** What a picture is in another way than from its asset, as fine as is fit for a page. */
        Painted.Source of(Item.AreaFill fill, AreaPaint.Picture picture);
    }

    /**
     * A part of a page, areas and text.
     *
     * @param pictures where what is placed comes from
     */
    public static PageRaster of(MediumScene scene, Rect region, double ppi, Sources pictures) {
        PageRaster page = new PageRaster(scene, region, ppi);
        for (Item.AreaFill fill : scene.areas()) {
            page.area(
                    fill,
                    fill.paint() instanceof AreaPaint.Picture picture
                            ? pictures.of(fill, picture)
                            : Painted.source(fill, scene.planes(), ppi));
        }
        scene.text().forEach(page::text);
        return page;
    }

    /** A part of a page, areas and text. */
    public static PageRaster of(MediumScene scene, Rect region, double ppi) {
        PageRaster page = areas(scene, region, ppi);
        scene.text().forEach(page::text);
        return page;
    }

    /** The same without text. */
    public static PageRaster areas(MediumScene scene, Rect region, double ppi) {
        PageRaster page = new PageRaster(scene, region, ppi);
        scene.areas().forEach(fill -> page.area(fill, Painted.source(fill, scene.planes(), ppi)));
        return page;
    }

    /**
     * What all areas and a colour that is printed over them come to.
     *
     * @param paint that overprints, everywhere
     */
    public static PageRaster overprinted(MediumScene scene, Paint paint, Rect region, double ppi) {
        PageRaster page = areas(scene, region, ppi);
        double[] source = scene.planes().of(paint.color());
        boolean[] printed = printed(source);
        for (int at = 0; at < page.raster.width() * page.raster.height(); at++) {
            page.raster.overprint(at, source, printed, 1, BlendMode.NORMAL);
        }
        return page;
    }

    /** Row by row from the top left of the region. */
    public PlaneRaster raster() {
        return raster;
    }

    /** As it is seen under a viewing of the scene's medium. */
    public BufferedImage image(View view) {
        return new ScreenPixels(scene.planes(), view).image(raster, pictured);
    }

    private void area(Item.AreaFill fill, Painted.Source source) {
        Rect rect = fill.rect().intersection(scene.boxes().bleed());
        double[] columns = coverage(rect.x() - region.x(), rect.width(), raster.width());
        double[] rows = coverage(rect.y() - region.y(), rect.height(), raster.height());
        boolean picture = fill.paint() instanceof AreaPaint.Picture;
        for (int row = 0; row < rows.length; row++) {
            if (rows[row] == 0) {
                continue;
            }
            Cancellation.check();
            double y = region.y() + (row + 0.5) / scale;
            for (int column = 0; column < columns.length; column++) {
                if (columns[column] > 0) {
                    double x = region.x() + (column + 0.5) / scale;
                    int at = row * columns.length + column;
                    double covered = columns[column] * rows[row] * source.alpha(x, y);
                    raster.paint(at, source.ink(x, y), covered, fill.blend());
                    if (picture) {
                        pictured.set(at, covered > 0 || pictured.get(at));
                    } else if (covered == 1 && fill.blend() == BlendMode.NORMAL) {
                        pictured.clear(at);
                    }
                }
            }
        }
    }

    /** How much of each pixel in one direction lies within a stretch given in points. */
    private double[] coverage(double from, double length, int pixels) {
        double start = from * scale;
        double end = (from + length) * scale;
        double[] covered = new double[pixels];
        for (int i = Math.max(0, (int) Math.floor(start)); i < pixels && i < end; i++) {
            covered[i] = Math.clamp(Math.min(i + 1, end) - Math.max(i, start), 0, 1);
        }
        return covered;
    }

    private void text(Item.GlyphRun run) {
        double[] source = scene.planes().of(run.paint().color());
        boolean[] printed = printed(source);
        for (Item.Line line : run.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Coverage.of(run, line, glyph, region, scale, raster.width(), raster.height())
                        .forEach((at, covered) -> {
                            if (run.paint().overprints()) {
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
