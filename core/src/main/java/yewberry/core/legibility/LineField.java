package yewberry.core.legibility;

import java.util.Arrays;
import java.util.BitSet;
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
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.GlyphMasks;
import yewberry.core.raster.PageRaster;
import yewberry.core.raster.PlaneRaster;
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
    private static final double SCALE = PPI / 72;

    /** The highest 16 bits of a ratio of 1, and how many there are up to one of 21. */
    private static final int LOWEST = Float.floatToRawIntBits(1) >> 16;

    private static final int BUCKETS = (Float.floatToRawIntBits(21) >> 16) - LOWEST + 1;

    /** L* of luminances from 0 to 1, and one more. */
    private static final double[] LIGHTNESS =
            IntStream.range(0, 4098).mapToDouble(i -> Lab.lightnessOf(i / 4096.0)).toArray();

    private final Painting painting;
    private final int[] numbers;

    /** Of each painted pixel what is seen there. */
    private final int[] seen;

    /** What the letters come to; empty where that is the same everywhere. */
    private final int[] text;

    private final float[] ratios;

    /** For each colour in short its place among those of a glyph, if it stands there. */
    private final int[] slots = new int[1 << 15];

    LineField(Painting painting, View view) {
        this.painting = painting;
        this.numbers = painting.numbers;
        this.seen = painting.seen(view);
        this.text = painting.text(view);
        double front = Contrast.luminance(view.see(painting.run.paint().color()));
        this.ratios = new float[seen.length];
        for (int i = 0; i < seen.length; i++) {
            ratios[i] =
                    (float)
                            Contrast.ratio(
                                    text.length == 0 ? front : Contrast.luminance(text[i]),
                                    Contrast.luminance(seen[i]));
        }
    }

    /**
     * The pixels that a glyph and what is close around it cover.
     *
     * @param at their places in the region
     * @param part of each that is covered, 0 to 1
     * @param all of them together
     */
    private record Covered(int[] at, double[] part, double all) {
        static Covered of(Coverage coverage) {
            int[] count = {0};
            coverage.forEach((place, covers) -> count[0]++);
            int[] at = new int[count[0]];
            double[] part = new double[count[0]];
            double[] all = {0};
            count[0] = 0;
            coverage.forEach((place, covers) -> {
                at[count[0]] = place;
                part[count[0]++] = covers;
                all[0] += covers;
            });
            return new Covered(at, part, all[0]);
        }
    }

    /** What a field is made of, whatever the viewing: pixels in the planes of the scene. */
    static final class Painting {
        private final Item.GlyphRun run;
        private final List<Item.Filled> veils;
        private final MediumScene scene;
        private final Rect region;
        private final int width;
        private final Map<Integer, Covered> covered = new HashMap<>();
        private final PageRaster ground;

        /** The letters; nothing where they are the same everywhere. */
        private final Optional<PageRaster> lettered;

        /** Of each pixel of the region its number among those that are painted. */
        private final int[] numbers;

        /** What is seen before a viewing shifts its colours, by what is. */
        private final Map<View, int[]> seen = new HashMap<>();

        private final Map<View, int[]> text = new HashMap<>();

        /**
         * @param below what lies below the line, from the lowest up
         * @param veils above it that let it through
         * @param inks its glyphs
         */
        Painting(
                MediumScene scene,
                List<Item> below,
                List<Item.Filled> veils,
                Item.GlyphRun run,
                List<GlyphInk> inks) {
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
            double left = Math.floor(all.x() * SCALE) / SCALE;
            double top = Math.floor(all.y() * SCALE) / SCALE;
            this.region = new Rect(left, top, all.right() - left, all.bottom() - top);
            this.width = PageRaster.pixels(region.width(), PPI);
            int height = PageRaster.pixels(region.height(), PPI);
            BitSet inked = new BitSet(width * height);
            for (GlyphInk ink : inks) {
                Coverage coverage =
                        GlyphMasks.of(
                                run,
                                ink.line(),
                                ink.glyph(),
                                ink.around(),
                                region,
                                SCALE,
                                width,
                                height);
                coverage.forEach((at, part) -> inked.set(at));
                covered.put(ink.index(), Covered.of(coverage));
            }
            this.numbers = new int[width * height];
            int number = 0;
            for (int at = inked.nextSetBit(0); at >= 0; at = inked.nextSetBit(at + 1)) {
                numbers[at] = number++;
            }
            PageRaster plain =
                    PageRaster.of(
                            scene,
                            below.stream()
                                    .filter(item -> !reach(item).intersection(region).isEmpty())
                                    .toList(),
                            region,
                            PPI,
                            ChosenPixels.of(width, height, inked));
            if (veils.isEmpty()) {
                this.lettered =
                        run.paint().overprints()
                                ? Optional.of(plain.overprinted(run.paint()))
                                : Optional.empty();
                this.ground = plain;
            } else {
                this.lettered = Optional.of(plain.lettered(run.paint()).below(veils, PPI));
                this.ground = plain.below(veils, PPI);
            }
        }

        private int[] seen(View view) {
            View begins = view.unshifted();
            return shifted(view, seen.computeIfAbsent(begins, ground::seenBehindLetters));
        }

        private int[] text(View view) {
            View begins = view.unshifted();
            return lettered.map(letters ->
                            shifted(view, text.computeIfAbsent(begins, letters::seenBehindLetters)))
                    .orElse(new int[0]);
        }

        private static int[] shifted(View view, int[] seen) {
            if (!view.shifts()) {
                return seen;
            }
            int[] shifted = new int[seen.length];
            for (int i = 0; i < seen.length; i++) {
                shifted[i] =
                        i > 0 && seen[i] == seen[i - 1]
                                ? shifted[i - 1]
                                : view.shifted(rgb(seen[i])).packed();
            }
            return shifted;
        }
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
     * @param number of it among those that are painted
     * @param x its middle on the page
     * @param y likewise
     */
    record Pixel(int number, double x, double y) {}

    /**
     * What was found behind a glyph.
     *
     * @param area pixels that it and what is around it cover
     * @param failing those of them that the text has too little contrast to
     * @param worstOfEach of colours that are nearly the same the worst; the worst of all first
     */
    record Glyph(double area, double failing, List<Pixel> worstOfEach) {}

    /**
     * @param leftOut the part of it that may be left out, 0 to 1
     * @param required the least ratio that passes
     */
    Glyph glyph(GlyphInk ink, double leftOut, double required) {
        Pixels pixels = new Pixels(painting.covered.get(ink.index()));
        return new Glyph(
                pixels.all,
                pixels.failing(required),
                Arrays.stream(pixels.worstOfEach(leftOut)).mapToObj(this::pixel).toList());
    }

    /** The standard deviation of the lightness L* behind a glyph and close around it. */
    double variation(GlyphInk ink) {
        Covered pixels = painting.covered.get(ink.index());
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < pixels.at().length; i++) {
            double lightness = lightness(seen[numbers[pixels.at()[i]]]);
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

    private Pixel pixel(int at) {
        return new Pixel(
                numbers[at],
                painting.region.x() + (at % painting.width + 0.5) / SCALE,
                painting.region.y() + (at / painting.width + 0.5) / SCALE);
    }

    /** Those whose ratio is too low, each by its place on the page. */
    void failing(GlyphInk ink, double required, List<double[]> into) {
        Covered pixels = painting.covered.get(ink.index());
        for (int i = 0; i < pixels.at().length; i++) {
            if (pixels.part()[i] >= 0.5 && ratios[numbers[pixels.at()[i]]] < required) {
                Pixel pixel = pixel(pixels.at()[i]);
                into.add(new double[] {pixel.x(), pixel.y()});
            }
        }
    }

    /** What the scene's colours come to at a pixel. */
    Color color(Pixel at) {
        PlaneRaster raster = painting.ground.raster();
        double[] planes = new double[raster.count()];
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane] = raster.printed(plane, at.number());
        }
        return painting.scene.planes().color(planes);
    }

    /** Letters that something lies over, held against what is seen beside them there. */
    RunContrast.Against veiled(Pixel at) {
        Rgb front = rgb(text[at.number()]);
        Rgb below = rgb(seen[at.number()]);
        return new RunContrast.Against(
                Optional.of(Paint.sampled(color(at), painting.veils.getLast())),
                front,
                below,
                Contrast.ratio(front, below),
                true,
                Optional.of(RunContrast.Behind.of(painting.veils.getLast())));
    }

    private static Rgb rgb(int packed) {
        return new Rgb(packed >> 16 & 0xff, packed >> 8 & 0xff, packed & 0xff);
    }

    /** The pixels that one glyph covers. */
    private final class Pixels {
        private final int[] at;
        private final double[] part;
        private final int count;
        private final double all;

        Pixels(Covered covered) {
            this.at = covered.at();
            this.part = covered.part();
            this.count = at.length;
            this.all = covered.all();
        }

        double failing(double required) {
            double failing = 0;
            for (int i = 0; i < count; i++) {
                failing += ratios[numbers[at[i]]] < required ? part[i] : 0;
            }
            return failing;
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

        /** The places of the worst of each colour. */
        int[] worstOfEach(double leftOut) {
            long[] ranks = ranks();
            long first = first(ranks, leftOut);
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
            return Arrays.stream(worst, 0, colors)
                    .sorted()
                    .mapToInt(rank -> at[(int) rank])
                    .toArray();
        }
    }

    /** A colour by the five highest bits of each component. */
    private static int nearly(int packed) {
        return packed >> 9 & 0x7c00 | packed >> 6 & 0x3e0 | packed >> 3 & 0x1f;
    }
}
