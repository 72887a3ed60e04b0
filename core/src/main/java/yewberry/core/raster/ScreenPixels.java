package yewberry.core.raster;

import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.ScreenTable;
import yewberry.core.color.View;
import yewberry.core.scene.Planes;

/**
 * Turns painted pixels into what is seen of them. Colours and gradients come out exactly as a
 * single colour does; pixels of pictures, whose colours are too many, by a table.
 */
final class ScreenPixels {
    /** A page has so many colours without pictures only where several gradients cross. */
    static final int OF_PAGES = 40_000;

    /** Of a few letters: where more colours lie behind them, the nearest table's will do. */
    static final int OF_LETTERS = 200;

    /** Pixels of pictures that are looked up in one go. */
    private static final int TOGETHER = 1024;

    private final Planes planes;
    private final View view;
    private final double[][] equivalents;
    private final Map<Tuple, Integer> exact = new HashMap<>();
    private final int[] levels = new int[TOGETHER];
    private final int mostExact;
    private ScreenTable table;

    /**
     * @param mostExact so many colours are exact, the others to a level of 255 or so
     */
    ScreenPixels(Planes planes, View view, int mostExact) {
        this.mostExact = mostExact;
        this.planes = planes;
        this.view = view;
        this.equivalents = planes.medium() == Medium.PAPER ? equivalents() : new double[0][];
    }

    private record Tuple(float[] values) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Tuple tuple && Arrays.equals(values, tuple.values);
        }

        @Override
        public int hashCode() {
            return Arrays.hashCode(values);
        }
    }

    /**
     * @param pictured the pixels that a picture has a part in
     */
    int[] seen(PlaneRaster raster, BitSet pictured) {
        int[] rgb = new int[raster.width() * raster.height()];
        boolean paper = planes.medium() == Medium.PAPER;
        float[] now = new float[raster.count()];
        float[] last = new float[raster.count()];
        int lastRgb = -1;
        int at = 0;
        while (at < rgb.length) {
            if (paper && pictured.get(at)) {
                int end = Math.min(Math.min(pictured.nextClearBit(at), at + TOGETHER), rgb.length);
                table(raster, at, end, rgb, now);
                at = end;
                lastRgb = -1;
                continue;
            }
            raster.printed(at, now);
            if (lastRgb < 0 || !Arrays.equals(now, last)) {
                lastRgb = one(now);
                System.arraycopy(now, 0, last, 0, now.length);
            }
            rgb[at++] = lastRgb;
        }
        return rgb;
    }

    private int one(float[] values) {
        if (planes.medium() == Medium.SCREEN) {
            // light is quicker worked out than found
            return view.keepsLight() ? Planes.screen(values) : exactly(values);
        }
        Integer known = exact.get(new Tuple(values));
        if (known != null) {
            return known;
        }
        if (exact.size() >= mostExact) {
            return table(values);
        }
        int seen = exactly(values);
        exact.put(new Tuple(values.clone()), seen);
        return seen;
    }

    private int exactly(float[] values) {
        double[] colors = new double[values.length];
        for (int plane = 0; plane < colors.length; plane++) {
            colors[plane] = values[plane];
        }
        return view.see(planes.color(colors)).packed();
    }

    /** Pixels of a picture, side by side; of those there are the most. */
    private void table(PlaneRaster raster, int from, int to, int[] rgb, float[] values) {
        if (table == null) {
            table = view.table();
        }
        if (view.shifts() || !raster.areFourOnly(from, to)) {
            for (int at = from; at < to; at++) {
                raster.printed(at, values);
                rgb[at] = table(values);
            }
            return;
        }
        raster.levels(from, to, levels);
        for (int at = from; at < to; at++) {
            int inks = levels[at - from];
            rgb[at] = table.rgb(inks & 0xff, inks >> 8 & 0xff, inks >> 16 & 0xff, inks >>> 24);
        }
    }

    private int table(float[] values) {
        if (table == null) {
            table = view.table();
        }
        int rgb = table.rgb(level(values, 0), level(values, 1), level(values, 2), level(values, 3));
        return view.shifts() ? view.shifted(Rgb.of(rgb)).packed() : rgb;
    }

    /** What the inks of a plate come to, spot inks by what stands for them. */
    private int level(float[] values, int plate) {
        float sum = values[plate];
        for (int spot = 0; spot < equivalents.length; spot++) {
            sum += (float) (values[4 + spot] * equivalents[spot][plate]);
        }
        return level(sum);
    }

    private static int level(float value) {
        return value >= 1 ? 255 : (int) (value * 255 + 0.5f);
    }

    /** What stands for each spot ink in process ink. */
    private double[][] equivalents() {
        List<Inks.Spot> spots = planes.spots();
        double[][] equivalents = new double[spots.size()][];
        for (int i = 0; i < equivalents.length; i++) {
            Cmyk of = view.condition().toInk(spots.get(i).equivalent());
            equivalents[i] =
                    new double[] {
                        of.cyan() / 100, of.magenta() / 100, of.yellow() / 100, of.black() / 100
                    };
        }
        return equivalents;
    }
}
