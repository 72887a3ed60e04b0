package yewberry.core.text;

import java.util.Arrays;

/**
 * Glyphs placed one after the other, in thousandths of the type size.
 *
 * @param ids glyph ids in the font program
 * @param starts for each glyph, the index of the first character it stands for
 * @param x origin of each glyph, and at the end the width of all: one longer than {@code ids}
 * @param y offset of each glyph below the baseline
 */
record Glyphs(int[] ids, int[] starts, double[] x, double[] y) {
    /** Glyph ids from here up are marks of the layout engine for what a ligature swallowed. */
    private static final int FIRST_INVISIBLE = 0xfffe;

    static Glyphs compact(int[] ids, int[] starts, double[] x, double[] y) {
        int kept = 0;
        for (int i = 0; i < ids.length; i++) {
            if (ids[i] < FIRST_INVISIBLE) {
                ids[kept] = ids[i];
                // a mark that was set out of order counts to the cluster before it
                starts[kept] = kept == 0 ? starts[i] : Math.max(starts[i], starts[kept - 1]);
                x[kept] = x[i];
                y[kept] = y[i];
                kept++;
            }
        }
        double[] positions = Arrays.copyOf(x, kept + 1);
        positions[kept] = x[ids.length];
        return new Glyphs(
                Arrays.copyOf(ids, kept),
                Arrays.copyOf(starts, kept),
                positions,
                Arrays.copyOf(y, kept));
    }

    double width() {
        return x[ids.length];
    }

    double advance(int glyph) {
        return x[glyph + 1] - x[glyph];
    }
}
