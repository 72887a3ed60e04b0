package yewberry.core.legibility;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Contrast;
import yewberry.core.color.View;
import yewberry.core.publication.Asset;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Rect;

/**
 * How far something that is no text stands out from the colours next to it (WCAG 2.2, 1.4.11): a
 * line from what is on either side of it, whichever it stands out from better; a picture that lets
 * through what is below from that.
 *
 * @param ratio the least of it; of its pixels the worst part is left out
 * @param failing the part of its pixels that stands out by less than is needed, 0 to 1
 */
public record GraphicContrast(double ratio, double failing) {
    /** WCAG 2.2, 1.4.11. */
    public static final double NEEDED = 3;

    /** The part of all pixels that is left out. */
    private static final double LEFT_OUT = 0.05;

    /** Colours nearer to each other than this count as one, where both lie on a page. */
    private static final int NOTHING = 6;

    private static final double LINE_PPI = 300;
    private static final double PICTURE_PPI = 150;

    /** How far beside a line colours are next to it, in points. */
    private static final double BESIDE = 0.5;

    /** Finer than this no line is looked at. */
    private static final double MOST_PPI = 1200;

    /** More pixels are not looked at in one go; what is larger is looked at more coarsely. */
    private static final double MOST_PIXELS = 2_000_000;

    public boolean passes() {
        return ratio >= NEEDED;
    }

    /** Of a border; nothing where none of it is on the page. */
    public static Optional<GraphicContrast> of(MediumScene scene, Item.TextFill border, View view) {
        double line = border.border().orElseThrow().line();
        Rect region =
                border.bounds()
                        .inset(-2 * BESIDE, -2 * BESIDE, -2 * BESIDE, -2 * BESIDE)
                        .intersection(scene.boxes().bleed());
        if (region.isEmpty()) {
            return Optional.empty();
        }
        Grid grid = Grid.of(region, Math.clamp(2 * 72 / line, LINE_PPI, MOST_PPI));
        Shape form = border.shape().orElse(border.bounds().shape());
        byte[] own = grid.covered(form);
        int reach = (int) Math.ceil((line + BESIDE) * grid.scale());
        BitSet near = new BitSet(own.length);
        for (int at = 0; at < own.length; at++) {
            near.set(at, own[at] == 0);
        }
        PageRaster beside = grid.raster(scene, scene.upTo(border), near);
        double front = Contrast.luminance(view.see(border.solid().orElseThrow().color()));
        int[] seen = beside.seen(view);
        float[] best = new float[own.length];
        for (int number = 0, at = near.nextSetBit(0); at >= 0; at = near.nextSetBit(at + 1)) {
            best[at] = (float) Contrast.ratio(front, Contrast.luminance(seen[number++]));
        }
        float[] around = grid.greatest(best, reach);
        return judged(own, around);
    }

    /**
     * Of a picture that lets through what lies below it; nothing where it covers all of it, or is
     * seen nowhere.
     */
    public static Optional<GraphicContrast> of(MediumScene scene, Item.FrontFill fill, View view) {
        boolean isPlain = fill.opacity() == 1 && fill.blend() == BlendMode.NORMAL;
        Rect region = fill.bounds().intersection(scene.boxes().bleed());
        if (!isPlain
                || fill.covers()
                || fill.paint() instanceof AreaPaint.Picture whole && whole.isOpaque()
                || region.isEmpty()
                || !(fill.paint() instanceof AreaPaint.Picture picture)
                || !(picture.asset().content() instanceof Asset.Pixels)) {
            return Optional.empty();
        }
        Grid grid = Grid.of(region, PICTURE_PPI);
        int[] below = grid.raster(scene, scene.below(fill), grid.all()).seen(view);
        int[] with = grid.raster(scene, scene.upTo(fill), grid.all()).seen(view);
        byte[] own = new byte[below.length];
        float[] ratios = new float[below.length];
        byte[] covered = grid.covered(fill.shape().orElse(fill.bounds().shape()));
        for (int at = 0; at < below.length; at++) {
            boolean isSeen = covered[at] == -1 && differ(below[at], with[at]);
            own[at] = (byte) (isSeen ? 255 : 0);
            ratios[at] =
                    (float)
                            Contrast.ratio(
                                    Contrast.luminance(with[at]), Contrast.luminance(below[at]));
        }
        return judged(own, ratios);
    }

    private static boolean differ(int one, int other) {
        return Math.abs((one >> 16 & 0xff) - (other >> 16 & 0xff)) > NOTHING
                || Math.abs((one >> 8 & 0xff) - (other >> 8 & 0xff)) > NOTHING
                || Math.abs((one & 0xff) - (other & 0xff)) > NOTHING;
    }

    /** By the pixels that are covered by half of what any is or more: a line may be a hair. */
    private static Optional<GraphicContrast> judged(byte[] own, float[] ratios) {
        int most = 0;
        for (byte each : own) {
            most = Math.max(most, each & 0xff);
        }
        float[] all = new float[own.length];
        int count = 0;
        int failing = 0;
        for (int at = 0; at < own.length; at++) {
            if ((own[at] & 0xff) >= Math.max(1, most / 2)) {
                all[count++] = ratios[at];
                failing += ratios[at] < NEEDED ? 1 : 0;
            }
        }
        if (count == 0) {
            return Optional.empty();
        }
        Arrays.sort(all, 0, count);
        return Optional.of(
                new GraphicContrast(all[(int) (count * LEFT_OUT)], (double) failing / count));
    }

    /** Pixels of a part of a page. */
    private record Grid(Rect region, double ppi, int width, int height) {
        static Grid of(Rect region, double wanted) {
            double pixels = region.width() * region.height() * Math.pow(wanted / 72, 2);
            double ppi = pixels > MOST_PIXELS ? wanted * Math.sqrt(MOST_PIXELS / pixels) : wanted;
            return new Grid(
                    region,
                    ppi,
                    PageRaster.pixels(region.width(), ppi),
                    PageRaster.pixels(region.height(), ppi));
        }

        double scale() {
            return ppi / 72;
        }

        BitSet all() {
            BitSet all = new BitSet(width * height);
            all.set(0, width * height);
            return all;
        }

        byte[] covered(Shape shape) {
            AffineTransform place = AffineTransform.getScaleInstance(scale(), scale());
            place.translate(-region.x(), -region.y());
            return Coverage.of(place.createTransformedShape(shape), width, height)
                    .whole(width * height);
        }

        PageRaster raster(MediumScene scene, List<Item> items, BitSet pixels) {
            return PageRaster.of(scene, items, region, ppi, ChosenPixels.of(width, height, pixels));
        }

        /** Of each pixel the greatest value within a square around it. */
        float[] greatest(float[] values, int reach) {
            float[] rows = new float[values.length];
            for (int y = 0; y < height; y++) {
                for (int x = 0; x < width; x++) {
                    float most = 0;
                    for (int i = Math.max(0, x - reach); i <= Math.min(width - 1, x + reach); i++) {
                        most = Math.max(most, values[y * width + i]);
                    }
                    rows[y * width + x] = most;
                }
            }
            float[] all = new float[values.length];
            for (int y = 0; y < height; y++) {
                int from = Math.max(0, y - reach);
                int to = Math.min(height - 1, y + reach);
                for (int x = 0; x < width; x++) {
                    float most = 0;
                    for (int i = from; i <= to; i++) {
                        most = Math.max(most, rows[i * width + x]);
                    }
                    all[y * width + x] = most;
                }
            }
            return all;
        }
    }
}
