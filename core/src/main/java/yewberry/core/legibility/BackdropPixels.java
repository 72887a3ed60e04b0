package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.GlyphMasks;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/**
 * What lies behind a line of text where it is a picture, or where several gradients cross: all
 * pixels under its ink. Of each glyph the worst part is left out, up to a twentieth of its ink, so
 * that a stray pixel does not decide.
 */
final class BackdropPixels {
    private static final double PPI = 300;
    private static final double SCALE = PPI / 72;

    /** The part of a glyph's ink that is left out at most. */
    private static final double LEFT_OUT = 0.05;

    /** The highest 16 bits of a ratio of 1, and how many there are up to one of 21. */
    private static final int LOWEST = Float.floatToRawIntBits(1) >> 16;

    private static final int BUCKETS = (Float.floatToRawIntBits(21) >> 16) - LOWEST + 1;

    private final MediumScene scene;
    private final List<Item.Filled> fills;
    private final List<Item.Filled> veils;
    private final Item.GlyphRun run;
    private final View view;
    private final Rect region;
    private final List<Backdrop.GlyphInk> inks;
    private final Map<Backdrop.GlyphInk, Coverage> covered = new IdentityHashMap<>();
    private PageRaster areas;
    private int[] numbers;
    private int[] seen;

    /** What the letters come to; empty where that is the same everywhere. */
    private int[] text;

    private float[] ratios;

    /** For each colour in short its place among those of a glyph, if it stands there. */
    private final int[] slots = new int[1 << 15];

    /**
     * @param fills below the line, from the lowest up
     * @param veils above it that let it through
     * @param inks of the line
     * @param region around them
     */
    BackdropPixels(
            MediumScene scene,
            List<Item.Filled> fills,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view,
            List<Backdrop.GlyphInk> inks,
            Rect region) {
        this.scene = scene;
        this.fills = fills;
        this.veils = veils;
        this.run = run;
        this.view = view;
        this.inks = inks;
        // a grid that lies still on the page, however the text is moved
        double left = Math.floor(region.x() * SCALE) / SCALE;
        double top = Math.floor(region.y() * SCALE) / SCALE;
        this.region = new Rect(left, top, region.right() - left, region.bottom() - top);
    }

    /**
     * The colours behind a glyph in some cells of the page.
     *
     * @param named the area that a cell's colours are named by
     */
    List<Optional<Paint>> behind(
            Backdrop.GlyphInk ink, List<Rect> cells, Function<Rect, Item.Filled> named) {
        if (areas == null) {
            paint();
        }
        InkPixels pixels = new InkPixels(cells, ink.box().intersection(scene.boxes().bleed()));
        covered.get(ink).forEach(pixels::add);
        return kept(pixels, named);
    }

    /** A glyph that something lies over, held against what is seen beside it there. */
    List<RunContrast.Against> veiled(Backdrop.GlyphInk ink) {
        if (areas == null) {
            paint();
        }
        Rect box = ink.box().intersection(scene.boxes().bleed());
        InkPixels pixels = new InkPixels(List.of(box), box);
        covered.get(ink).forEach(pixels::add);
        List<RunContrast.Against> against = new ArrayList<>();
        for (int i : pixels.worstOfEach()) {
            int number = numbers[pixels.at[i]];
            Rgb front = rgb(text[number]);
            Rgb below = rgb(seen[number]);
            Paint paint = Paint.sampled(scene.planes().color(planes(number)), veils.getLast());
            against.add(
                    new RunContrast.Against(
                            Optional.of(paint), front, below, Contrast.ratio(front, below), true));
        }
        return against;
    }

    private static Rgb rgb(int packed) {
        return new Rgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
    }

    /** Under the ink of the line only: it covers about a quarter of what is around it. */
    private void paint() {
        int width = PageRaster.pixels(region.width(), PPI);
        int height = PageRaster.pixels(region.height(), PPI);
        BitSet inked = new BitSet(width * height);
        for (Backdrop.GlyphInk ink : inks) {
            Coverage coverage =
                    GlyphMasks.of(ink.run(), ink.line(), ink.glyph(), region, SCALE, width, height);
            coverage.forEach((at, part) -> inked.set(at));
            covered.put(ink, coverage);
        }
        numbers = new int[width * height];
        int number = 0;
        for (int at = inked.nextSetBit(0); at >= 0; at = inked.nextSetBit(at + 1)) {
            numbers[at] = number++;
        }
        areas = PageRaster.fills(scene, fills, region, PPI, ChosenPixels.of(width, height, inked));
        if (veils.isEmpty()) {
            text =
                    run.paint().overprints()
                            ? areas.overprinted(run.paint()).seen(view)
                            : new int[0];
        } else {
            text = areas.lettered(run.paint()).below(veils, PPI).seen(view);
            areas = areas.below(veils, PPI);
        }
        seen = areas.seen(view);
        double plain = Contrast.luminance(view.see(run.paint().color()));
        ratios = new float[seen.length];
        for (int i = 0; i < seen.length; i++) {
            double front = text.length == 0 ? plain : Contrast.luminance(text[i]);
            ratios[i] = (float) Contrast.ratio(front, Contrast.luminance(seen[i]));
        }
    }

    /** The pixels that one glyph covers in some cells. */
    private final class InkPixels {
        private final List<Rect> cells;
        private final boolean inOne;
        private int[] at = new int[256];
        private double[] part = new double[256];
        private int count;

        /** How much the glyph covers, elsewhere too. */
        private double all;

        InkPixels(List<Rect> cells, Rect ink) {
            this.cells = cells;
            this.inOne = cells.size() == 1 && cells.getFirst().contains(ink);
        }

        void add(int place, double covers) {
            all += covers;
            if (!inOne && cell(place).isEmpty()) {
                return;
            }
            if (count == at.length) {
                at = Arrays.copyOf(at, 2 * count);
                part = Arrays.copyOf(part, 2 * count);
            }
            at[count] = place;
            part[count++] = covers;
        }

        Optional<Rect> cell(int place) {
            if (inOne) {
                return Optional.of(cells.getFirst());
            }
            int width = PageRaster.pixels(region.width(), PPI);
            double x = region.x() + (place % width + 0.5) / SCALE;
            double y = region.y() + (place / width + 0.5) / SCALE;
            return cells.stream().filter(cell -> cell.contains(x, y)).findFirst();
        }

        /** What sorts them by ratio, which is above 0, and at the same one in their order. */
        private long[] ranks() {
            long[] ranks = new long[count];
            for (int i = 0; i < count; i++) {
                ranks[i] = (long) Float.floatToRawIntBits(ratios[numbers[at[i]]]) << 32 | i;
            }
            return ranks;
        }

        private static int bucket(long rank) {
            return Math.clamp((rank >>> 48) - LOWEST, 0, BUCKETS - 1);
        }

        /** The rank of the first that counts: before it is the part of the ink that is left out. */
        private long first(long[] ranks) {
            double[] parts = new double[BUCKETS];
            for (int i = 0; i < count; i++) {
                parts[bucket(ranks[i])] += part[i];
            }
            double left = all * LEFT_OUT;
            int bucket = 0;
            while (bucket < BUCKETS - 1 && parts[bucket] <= left) {
                left -= parts[bucket++];
            }
            long[] within = new long[count];
            int inside = 0;
            for (int i = 0; i < count; i++) {
                if (bucket(ranks[i]) == bucket) {
                    within[inside++] = ranks[i];
                }
            }
            Arrays.sort(within, 0, inside);
            for (int i = 0; i < inside; i++) {
                left -= part[(int) within[i]];
                if (left < 0) {
                    return within[i];
                }
            }
            return Long.MAX_VALUE;
        }

        /**
         * Of colours that are nearly the same the worst stands for all; the worst of them first.
         */
        int[] worstOfEach() {
            long[] ranks = ranks();
            long first = first(ranks);
            long[] worst = new long[64];
            int colors = 0;
            for (int i = 0; i < count; i++) {
                long rank = ranks[i];
                if (rank < first) {
                    continue;
                }
                int nearly = nearly(seen[numbers[at[i]]]);
                int slot = slots[nearly];
                if (slot < colors && nearly == nearly(seen[numbers[at[(int) worst[slot]]]])) {
                    worst[slot] = Math.min(worst[slot], rank);
                    continue;
                }
                if (colors == worst.length) {
                    worst = Arrays.copyOf(worst, 2 * colors);
                }
                slots[nearly] = colors;
                worst[colors++] = rank;
            }
            return Arrays.stream(worst, 0, colors).sorted().mapToInt(rank -> (int) rank).toArray();
        }
    }

    /** A colour by the five highest bits of each component. */
    private static int nearly(int packed) {
        return packed >> 9 & 0x7c00 | packed >> 6 & 0x3e0 | packed >> 3 & 0x1f;
    }

    private List<Optional<Paint>> kept(InkPixels pixels, Function<Rect, Item.Filled> named) {
        List<Optional<Paint>> inOrder = new ArrayList<>();
        for (int i : pixels.worstOfEach()) {
            Rect cell = pixels.cell(pixels.at[i]).orElseThrow();
            inOrder.add(
                    Optional.of(
                            Paint.sampled(
                                    scene.planes().color(planes(numbers[pixels.at[i]])),
                                    named.apply(cell))));
        }
        return inOrder;
    }

    private double[] planes(int at) {
        double[] planes = new double[areas.raster().count()];
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane] = areas.raster().printed(plane, at);
        }
        return planes;
    }
}
