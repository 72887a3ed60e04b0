package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Lab;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.raster.BehindLetters;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.GlyphMasks;
import yewberry.core.raster.PageRaster;
import yewberry.core.raster.PictureInks;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/**
 * What lies behind some glyphs of a line and close around them, pixel by pixel: colours, and the
 * ratio that the text has to each. Of each glyph the worst part may be left out, so that a stray
 * pixel does not decide.
 */
final class LineField {
    static final double PPI = 300;

    /** As coarse as the letters of small text bear. */
    private static final double LEAST_PPI = 150;

    private static final double STEP_PPI = 50;
    private static final double SCALE = PPI / 72;

    /** The highest 16 bits of a ratio of 1, and how many there are up to one of 21. */
    private static final int LOWEST = Float.floatToRawIntBits(1) >> 16;

    private static final int BUCKETS = (Float.floatToRawIntBits(21) >> 16) - LOWEST + 1;

    /** So many colours are remembered while a viewing shifts those of a line. */
    private static final int KNOWN_BITS = 12;

    /** Colours that are close to each other get places that are not (Fibonacci hashing). */
    private static final int SPREAD = 0x9e3779b1;

    private static final int OPAQUE = 0xff000000;

    /** L* of luminances from 0 to 1, and one more. */
    private static final double[] LIGHTNESS =
            IntStream.range(0, 4098).mapToDouble(i -> Lab.lightnessOf(i / 4096.0)).toArray();

    private final Painting painting;

    /** Of each painted pixel what is seen there. */
    private final int[] seen;

    /** What the letters come to; one alone where that is the same everywhere. */
    private final int[] text;

    private final float[] ratios;

    LineField(Painting painting, View view) {
        this.painting = painting;
        this.seen = painting.seen(view);
        this.text = painting.text(view);
        double front = text.length == 1 ? Contrast.luminance(text[0]) : 0;
        this.ratios = new float[seen.length];
        for (int i = 0; i < seen.length; i++) {
            ratios[i] =
                    (float)
                            Contrast.ratio(
                                    text.length == 1 ? front : Contrast.luminance(text[i]),
                                    Contrast.luminance(seen[i]));
        }
    }

    /**
     * The pixels that a glyph and what is close around it cover.
     *
     * @param numbers of them among those that are painted
     * @param part of each that is covered, 0 to 1
     * @param all of them together
     */
    private record Covered(int[] numbers, double[] part, double all) {
        static Covered of(Coverage.Pixels pixels, int[] numbers) {
            int[] own = new int[pixels.at().length];
            double all = 0;
            for (int i = 0; i < own.length; i++) {
                own[i] = numbers[pixels.at()[i]];
                all += pixels.part()[i];
            }
            return new Covered(own, pixels.part(), all);
        }
    }

    /** What a field is made of, whatever the viewing: pixels in the planes of the scene. */
    static final class Painting {
        private final Item.GlyphRun run;
        private final List<Item.Filled> veils;
        private final MediumScene scene;
        private final double scale;
        private final Rect region;
        private final int width;
        private final Map<Integer, Covered> covered = new HashMap<>();
        private final BehindLetters ground;
        private final boolean isOnOne;

        /** The letters; nothing where they are the same everywhere. */
        private final Optional<BehindLetters> lettered;

        /** Of each pixel that is painted, by its number, where it is in the region. */
        private final int[] places;

        /** For each colour in short its place among those of a glyph, if it stands there. */
        private final int[] slots = new int[1 << 15];

        /** What is seen before a viewing shifts its colours, by what is. */
        private final Map<View, int[]> seen = new HashMap<>();

        private final Map<View, int[]> text = new HashMap<>();

        /**
         * @param below what lies below the line, from the lowest up
         * @param veils above it that let it through
         * @param inks its glyphs
         * @param ppi pixels per inch
         */
        Painting(
                MediumScene scene,
                List<Item> below,
                List<Item.Filled> veils,
                Item.GlyphRun run,
                List<GlyphInk> inks,
                double ppi) {
            this.scale = ppi / 72;
            this.run = run;
            this.scene = scene;
            this.veils = veils;
            Rect all =
                    inks.stream()
                            .map(GlyphInk::box)
                            .reduce(Rect::union)
                            .orElseThrow()
                            .intersection(scene.boxes().bleed());
            // a grid that lies still on the page, however the text is moved
            double left = Math.floor(all.x() * scale) / scale;
            double top = Math.floor(all.y() * scale) / scale;
            this.region = new Rect(left, top, all.right() - left, all.bottom() - top);
            this.width = PageRaster.pixels(region.width(), ppi);
            int height = PageRaster.pixels(region.height(), ppi);
            List<Coverage.Pixels> inked =
                    inks.stream()
                            .map(ink ->
                                    GlyphMasks.of(
                                                    run,
                                                    ink.line(),
                                                    ink.glyph(),
                                                    ink.around(),
                                                    region,
                                                    scale,
                                                    width,
                                                    height)
                                            .pixels())
                            .toList();
            int[] numbers = new int[width * height];
            for (Coverage.Pixels pixels : inked) {
                for (int at : pixels.at()) {
                    numbers[at] = 1;
                }
            }
            int[] painted = new int[numbers.length];
            int count = 0;
            for (int at = 0; at < numbers.length; at++) {
                if (numbers[at] == 1) {
                    numbers[at] = count;
                    painted[count++] = at;
                }
            }
            this.places = Arrays.copyOf(painted, count);
            for (int i = 0; i < inked.size(); i++) {
                covered.put(inks.get(i).index(), Covered.of(inked.get(i), numbers));
            }
            List<Item> shown = shown(below, region);
            this.isOnOne = veils.isEmpty() && shown.size() == 1 && covers(shown.getFirst(), region);
            ChosenPixels pixels = ChosenPixels.of(width, height, places);
            Optional<BehindLetters> picture =
                    isOnOne
                            ? PictureInks.of(scene, shown.getFirst(), region, ppi, pixels)
                                    .map(BehindLetters.class::cast)
                            : Optional.empty();
            if (veils.isEmpty()) {
                this.ground =
                        picture.orElseGet(() -> PageRaster.of(scene, shown, region, ppi, pixels));
                this.lettered =
                        run.paint().overprints()
                                ? Optional.of(ground.overprinted(run.paint()))
                                : Optional.empty();
            } else {
                PageRaster plain = PageRaster.of(scene, shown, region, ppi, pixels);
                boolean areAlike = !run.paint().overprints() && count > 0 && areEven(veils);
                PageRaster letters =
                        areAlike ? PageRaster.of(scene, List.of(), region, ppi, first()) : plain;
                this.lettered = Optional.of(letters.lettered(run.paint()).below(veils, ppi));
                this.ground = plain.below(veils, ppi);
            }
        }

        /** Whether all of them are the same on every pixel, those at the edges included. */
        private boolean areEven(List<Item.Filled> veils) {
            double pixel = 1 / scale;
            Rect roomy = region.inset(-pixel, -pixel, -pixel, -pixel);
            return scene.boxes().bleed().contains(roomy)
                    && veils.stream().allMatch(each -> isEven(each, roomy));
        }

        private ChosenPixels first() {
            return ChosenPixels.of(width, places[0] / width + 1, new int[] {places[0]});
        }

        /** The middle of a pixel on the page, across and down. */
        private double[] place(int number) {
            int at = places[number];
            return new double[] {
                region.x() + (at % width + 0.5) / scale, region.y() + (at / width + 0.5) / scale
            };
        }

        private int[] seen(View view) {
            View begins = view.unshifted();
            return shifted(view, seen.computeIfAbsent(begins, ground::seenBehindLetters));
        }

        private int[] text(View view) {
            View begins = view.unshifted();
            return lettered.map(letters ->
                            shifted(view, text.computeIfAbsent(begins, letters::seenBehindLetters)))
                    .orElseGet(() -> new int[] {view.see(run.paint().color()).packed()});
        }

        private static int[] shifted(View view, int[] seen) {
            if (!view.shifts()) {
                return seen;
            }
            int[] shifted = new int[seen.length];
            int[] known = new int[1 << KNOWN_BITS];
            int[] become = new int[1 << KNOWN_BITS];
            for (int i = 0; i < seen.length; i++) {
                int color = seen[i] | OPAQUE; // so that none is 0, which stands for none
                int slot = color * SPREAD >>> Integer.SIZE - KNOWN_BITS;
                if (known[slot] != color) {
                    known[slot] = color;
                    become[slot] = view.shifted(Rgb.of(seen[i])).packed();
                }
                shifted[i] = become[slot];
            }
            return shifted;
        }
    }

    /**
     * How finely what lies behind some glyphs is looked at, in pixels per inch: no finer than the
     * pictures are where they alone lie there, since more pixels would say the same again.
     *
     * @param below what lies below them, from the lowest up
     * @param veils above them that let them through
     * @param around all that they and what is close around them cover
     */
    static double fineEnough(List<Item> below, List<Item.Filled> veils, Rect around) {
        double finest = LEAST_PPI;
        if (!veils.stream().allMatch(each -> isEven(each, around))) {
            return PPI;
        }
        for (Item item : below.reversed()) {
            if (reach(item).intersection(around).isEmpty()) {
                continue;
            }
            if (!(item instanceof Item.Filled fill) || !fill.holds(around)) {
                return PPI;
            }
            switch (fill.paint()) {
                case AreaPaint.Solid _ -> {}
                case AreaPaint.Gradient _ -> {
                    return PPI;
                }
                case AreaPaint.Picture picture -> {
                    if (!picture.reaches(around)) {
                        return PPI;
                    }
                    finest = Math.max(finest, picture.finest().orElse(PPI));
                }
            }
            if (fill.covers()) {
                break;
            }
        }
        return Math.min(PPI, Math.ceil(finest / STEP_PPI) * STEP_PPI);
    }

    private static boolean isEven(Item.Filled fill, Rect region) {
        return fill.paint() instanceof AreaPaint.Solid && fill.holds(region);
    }

    private static boolean covers(Item item, Rect region) {
        return item instanceof Item.Filled fill && fill.covers() && fill.holds(region);
    }

    /** What of it shows in a part of the page, from the lowest up. */
    private static List<Item> shown(List<Item> below, Rect region) {
        List<Item> shown = new ArrayList<>();
        for (Item item : below.reversed()) {
            if (!reach(item).intersection(region).isEmpty()) {
                shown.addFirst(item);
            }
            if (covers(item, region)) {
                break;
            }
        }
        return shown;
    }

    private static Rect reach(Item item) {
        return item instanceof Item.Lettering text ? text.inkBounds() : item.bounds();
    }

    /** How much a glyph and what is close around it cover, in the same units as in a field. */
    static double area(GlyphInk ink) {
        double[] area = {0};
        alone(ink).forEach((at, part) -> area[0] += part);
        return area[0];
    }

    /** The pixels that a glyph and what is close around it cover by half or more. */
    static void places(GlyphInk ink, List<double[]> into) {
        int across = across(ink);
        alone(ink)
                .forEach((at, part) -> {
                    if (part >= 0.5) {
                        into.add(
                                new double[] {
                                    ink.box().x() + (at % across + 0.5) / SCALE,
                                    ink.box().y() + (at / across + 0.5) / SCALE
                                });
                    }
                });
    }

    private static int across(GlyphInk ink) {
        return PageRaster.pixels(ink.box().width(), PPI) + 1;
    }

    /** A glyph on a raster of its own. */
    private static Coverage alone(GlyphInk ink) {
        return GlyphMasks.of(
                ink.run(),
                ink.line(),
                ink.glyph(),
                ink.around(),
                ink.box(),
                SCALE,
                across(ink),
                PageRaster.pixels(ink.box().height(), PPI) + 1);
    }

    /**
     * A place of the field.
     *
     * @param rank what sorts it among others: the worst first
     * @param number of it among those that are painted
     * @param x its middle on the page
     * @param y likewise
     * @param glyph of its line that it is behind
     */
    record Pixel(long rank, int number, double x, double y, int glyph) {}

    /**
     * What was found behind a glyph.
     *
     * @param area pixels of {@link #PPI} that it and what is around it cover
     * @param failing those of them that the text has too little contrast to
     */
    record Glyph(double area, double failing) {}

    /**
     * @param required the least ratio that passes
     */
    Glyph glyph(GlyphInk ink, double required) {
        Pixels pixels = new Pixels(painting.covered.get(ink.index()));
        double unit = SCALE * SCALE / painting.scale / painting.scale;
        return new Glyph(unit * pixels.all, unit * pixels.failing(required));
    }

    /** Whether one thing alone shows behind all of it, with nothing over the letters. */
    boolean isOnOne() {
        return painting.isOnOne;
    }

    /** Of the colours behind some glyphs the worst of those that are nearly the same. */
    final class Colors {
        private long[] worst = new long[64];
        private int[] glyphs = new int[64];
        private int count;

        /**
         * @param leftOut the part of it that may be left out, 0 to 1
         */
        void add(GlyphInk ink, double leftOut) {
            Pixels pixels = new Pixels(painting.covered.get(ink.index()));
            long[] ranks = pixels.ranks();
            long first = pixels.first(ranks, leftOut);
            for (int i = 0; i < ranks.length; i++) {
                if (ranks[i] >= first) {
                    meet(ranks[i] & ~0xffff_ffffL | pixels.numbers[i], ink.index());
                }
            }
        }

        private void meet(long rank, int glyph) {
            int nearly = nearly(color(rank));
            int slot = painting.slots[nearly];
            if (slot >= count || nearly != nearly(color(worst[slot]))) {
                if (count == worst.length) {
                    worst = Arrays.copyOf(worst, 2 * count);
                    glyphs = Arrays.copyOf(glyphs, 2 * count);
                }
                slot = count++;
                painting.slots[nearly] = slot;
                worst[slot] = Long.MAX_VALUE;
            }
            if (rank < worst[slot]) {
                worst[slot] = rank;
                glyphs[slot] = glyph;
            }
        }

        private int color(long rank) {
            return seen[(int) rank];
        }

        List<Pixel> worstFirst() {
            Pixel[] pixels = new Pixel[count];
            for (int i = 0; i < count; i++) {
                int number = (int) worst[i];
                double[] place = painting.place(number);
                pixels[i] = new Pixel(worst[i], number, place[0], place[1], glyphs[i]);
            }
            Arrays.sort(pixels, Comparator.comparingLong(Pixel::rank));
            return List.of(pixels);
        }
    }

    /** The standard deviation of the lightness L* behind a glyph and close around it. */
    double variation(GlyphInk ink) {
        Covered pixels = painting.covered.get(ink.index());
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < pixels.numbers().length; i++) {
            double lightness = lightness(seen[pixels.numbers()[i]]);
            sum += pixels.part()[i] * lightness;
            squares += pixels.part()[i] * lightness * lightness;
        }
        double mean = sum / pixels.all();
        return pixels.all() == 0 ? 0 : Math.sqrt(Math.max(0, squares / pixels.all() - mean * mean));
    }

    /** L* by a table between whose entries it is straight: to a hundredth. */
    private static double lightness(int packed) {
        double place = Contrast.luminance(packed) * (LIGHTNESS.length - 2);
        int before = (int) place;
        return LIGHTNESS[before] + (place - before) * (LIGHTNESS[before + 1] - LIGHTNESS[before]);
    }

    /** Those whose ratio is too low, each by its place on the page. */
    void failing(GlyphInk ink, double required, List<double[]> into) {
        Covered pixels = painting.covered.get(ink.index());
        for (int i = 0; i < pixels.numbers().length; i++) {
            if (pixels.part()[i] >= 0.5 && ratios[pixels.numbers()[i]] < required) {
                into.add(painting.place(pixels.numbers()[i]));
            }
        }
    }

    /** What the scene's colours come to at a pixel. */
    Color color(Pixel at) {
        return painting.ground.color(at.number());
    }

    /** Letters that something lies over, held against what is seen beside them there. */
    RunContrast.Against veiled(Pixel at) {
        Rgb front = Rgb.of(text[text.length == 1 ? 0 : at.number()]);
        Rgb below = Rgb.of(seen[at.number()]);
        return new RunContrast.Against(
                Optional.of(Paint.sampled(color(at), painting.veils.getLast())),
                front,
                below,
                Contrast.ratio(front, below),
                true,
                Optional.of(RunContrast.Behind.of(painting.veils.getLast())));
    }

    /** The pixels that one glyph covers. */
    private final class Pixels {
        private final int[] numbers;
        private final double[] part;
        private final int count;
        private final double all;

        Pixels(Covered covered) {
            this.numbers = covered.numbers();
            this.part = covered.part();
            this.count = numbers.length;
            this.all = covered.all();
        }

        double failing(double required) {
            double failing = 0;
            for (int i = 0; i < count; i++) {
                failing += ratios[numbers[i]] < required ? part[i] : 0;
            }
            return failing;
        }

        /** What sorts them by ratio, which is above 0, and at the same one in their order. */
        private long[] ranks() {
            long[] ranks = new long[count];
            for (int i = 0; i < count; i++) {
                ranks[i] = (long) Float.floatToRawIntBits(ratios[numbers[i]]) << 32 | i;
            }
            return ranks;
        }

        private static int bucket(long rank) {
            return Math.clamp((rank >>> 48) - LOWEST, 0, BUCKETS - 1);
        }

        /** The rank of the first that counts: before it is the part that is left out. */
        private long first(long[] ranks, double leftOut) {
            double[] parts = new double[BUCKETS];
            for (int i = 0; i < count; i++) {
                parts[bucket(ranks[i])] += part[i];
            }
            double left = all * leftOut;
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
    }

    /** A colour by the five highest bits of each component. */
    private static int nearly(int packed) {
        return packed >> 9 & 0x7c00 | packed >> 6 & 0x3e0 | packed >> 3 & 0x1f;
    }
}
