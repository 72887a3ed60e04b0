package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.Coverage;
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

    private final MediumScene scene;
    private final Item.GlyphRun run;
    private final View view;
    private final Rect region;
    private final List<Backdrop.GlyphInk> inks;
    private final Map<Backdrop.GlyphInk, Coverage> covered = new IdentityHashMap<>();
    private PageRaster areas;
    private int[] numbers;
    private int[] seen;
    private float[] ratios;

    /**
     * @param inks of the line
     * @param region around them
     */
    BackdropPixels(
            MediumScene scene,
            Item.GlyphRun run,
            View view,
            List<Backdrop.GlyphInk> inks,
            Rect region) {
        this.scene = scene;
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
            Backdrop.GlyphInk ink, List<Rect> cells, Function<Rect, Item.AreaFill> named) {
        if (areas == null) {
            paint();
        }
        InkPixels pixels = new InkPixels(cells, ink.box().intersection(scene.boxes().bleed()));
        covered.get(ink).forEach(pixels::add);
        return kept(pixels, named);
    }

    /** Under the ink of the line only: it covers about a quarter of what is around it. */
    private void paint() {
        int width = PageRaster.pixels(region.width(), PPI);
        int height = PageRaster.pixels(region.height(), PPI);
        BitSet inked = new BitSet(width * height);
        for (Backdrop.GlyphInk ink : inks) {
            Coverage coverage =
                    Coverage.of(ink.run(), ink.line(), ink.glyph(), region, SCALE, width, height);
            coverage.forEach((at, part) -> inked.set(at));
            covered.put(ink, coverage);
        }
        numbers = new int[width * height];
        int number = 0;
        for (int at = inked.nextSetBit(0); at >= 0; at = inked.nextSetBit(at + 1)) {
            numbers[at] = number++;
        }
        areas = PageRaster.areas(scene, region, PPI, ChosenPixels.of(width, height, inked));
        seen = areas.seen(view);
        int[] text =
                run.paint().overprints() ? areas.overprinted(run.paint()).seen(view) : new int[0];
        Rgb plain = view.see(run.paint().color());
        ratios = new float[seen.length];
        for (int i = 0; i < seen.length; i++) {
            Rgb front = text.length == 0 ? plain : rgb(text[i]);
            ratios[i] = (float) Contrast.ratio(front, rgb(seen[i]));
        }
    }

    private static Rgb rgb(int packed) {
        return new Rgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
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

        /** Their indices, the lowest ratio first. */
        int[] worstFirst() {
            long[] sorted = new long[count];
            for (int i = 0; i < count; i++) {
                // a ratio is above 0: its bits are in its own order
                sorted[i] = (long) Float.floatToRawIntBits(ratios[numbers[at[i]]]) << 32 | i;
            }
            Arrays.sort(sorted);
            return Arrays.stream(sorted).mapToInt(each -> (int) each).toArray();
        }
    }

    /** Of colours that are nearly the same the worst stands for all. */
    private List<Optional<Paint>> kept(InkPixels pixels, Function<Rect, Item.AreaFill> named) {
        Set<Integer> kept = new HashSet<>();
        List<Optional<Paint>> inOrder = new ArrayList<>();
        double passed = 0;
        for (int i : pixels.worstFirst()) {
            passed += pixels.part[i];
            int number = numbers[pixels.at[i]];
            if (passed > pixels.all * LEFT_OUT && kept.add(seen[number] & 0xf8f8f8)) {
                Rect cell = pixels.cell(pixels.at[i]).orElseThrow();
                inOrder.add(
                        Optional.of(
                                Paint.sampled(
                                        scene.planes().color(planes(number)), named.apply(cell))));
            }
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
