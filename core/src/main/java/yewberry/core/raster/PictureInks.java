package yewberry.core.raster;

import java.util.Optional;
import yewberry.core.Cancellation;
import yewberry.core.asset.InkBytes;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.ScreenTable;
import yewberry.core.color.View;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Planes;
import yewberry.core.scene.Rect;

/**
 * Pixels of one picture that hides all below it, in process inks: the most common thing behind
 * letters that has to be looked at pixel by pixel. The same as a {@link PageRaster} would have, a
 * byte an ink.
 */
public final class PictureInks implements BehindLetters {
    private static final int INKS = 4;

    /** Of each pixel cyan, magenta, yellow and black, as {@link InkBytes}. */
    private final int[] inks;

    private final Planes planes;

    private PictureInks(int[] inks, Planes planes) {
        this.inks = inks;
        this.planes = planes;
    }

    /**
     * Some pixels of a part of a page.
     *
     * @param item that alone shows on all of it
     * @param pixels of the region, from its top left
     * @return nothing where that is no picture, or not printed in process inks alone
     */
    public static Optional<PictureInks> of(
            MediumScene scene, Item item, Rect region, double ppi, ChosenPixels pixels) {
        boolean isInInks = scene.medium() == Medium.PAPER && scene.planes().count() == INKS;
        return isInInks
                        && item instanceof Item.Filled fill
                        && fill.paint() instanceof AreaPaint.Picture
                ? Optional.of(
                        new PictureInks(
                                inks(
                                        Painted.source(fill, scene.planes(), ppi),
                                        region,
                                        ppi / 72,
                                        pixels),
                                scene.planes()))
                : Optional.empty();
    }

    private static int[] inks(
            Painted.Source source, Rect region, double scale, ChosenPixels pixels) {
        int[] inks = new int[pixels.count()];
        double[] xs = new double[pixels.widest()];
        for (int down = 0; down < pixels.height(); down++) {
            Cancellation.check();
            int from = pixels.start(down);
            int count = pixels.start(down + 1) - from;
            for (int i = 0; i < count; i++) {
                xs[i] = region.x() + (pixels.column(from + i, down) + 0.5) / scale;
            }
            source.bytes(xs, count, region.y() + (down + 0.5) / scale, inks, from);
        }
        return inks;
    }

    @Override
    public int[] seenBehindLetters(View view) {
        ScreenTable table = view.table();
        int[] seen = new int[inks.length];
        int last = 0;
        int rgb = table.rgb(0, 0, 0, 0);
        for (int i = 0; i < seen.length; i++) {
            int ink = inks[i];
            if (ink != last) {
                last = ink;
                rgb = table.rgb(ink >>> 24, ink >>> 16 & 0xff, ink >>> 8 & 0xff, ink & 0xff);
            }
            seen[i] = rgb;
        }
        for (int i = 0; i < seen.length && view.shifts(); i++) {
            seen[i] = view.shifted(Rgb.of(seen[i])).packed();
        }
        return seen;
    }

    @Override
    public PictureInks overprinted(Paint paint) {
        double[] source = planes.of(paint.color());
        int printed = 0;
        int color = InkBytes.of(source, 0);
        for (int plane = 0; plane < INKS; plane++) {
            printed |= source[plane] > 0 ? 0xff << 8 * (INKS - 1 - plane) : 0;
        }
        int[] over = new int[inks.length];
        for (int i = 0; i < over.length; i++) {
            over[i] = inks[i] & ~printed | color & printed;
        }
        return new PictureInks(over, planes);
    }

    @Override
    public Color color(int number) {
        int ink = inks[number];
        return planes.color(
                new double[] {
                    (ink >>> 24) / 255.0,
                    (ink >>> 16 & 0xff) / 255.0,
                    (ink >>> 8 & 0xff) / 255.0,
                    (ink & 0xff) / 255.0
                });
    }
}
