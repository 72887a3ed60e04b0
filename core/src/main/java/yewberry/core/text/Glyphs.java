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
                starts[kept] = starts[i];
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

    /**
     * Those of text that runs leftward, in the order of the text, each as far from the right as it
     * would stand from the left.
     */
    Glyphs reversed() {
        int count = ids.length;
        int[] inOrder = new int[count];
        int[] begin = new int[count];
        double[] from = new double[count + 1];
        double[] level = new double[count];
        for (int i = 0; i < count; i++) {
            int there = count - 1 - i;
            inOrder[i] = ids[there];
            begin[i] = i == 0 ? starts[there] : Math.max(starts[there], begin[i - 1]);
            from[i] = x[count] - x[there + 1];
            level[i] = y[there];
        }
        from[count] = x[count];
        return new Glyphs(inOrder, begin, from, level);
    }

    double width() {
        return x[ids.length];
    }

    /** With a mark that was set out of order counted to the cluster before it. */
    Glyphs ascending() {
        for (int i = 1; i < starts.length; i++) {
            starts[i] = Math.max(starts[i], starts[i - 1]);
        }
        return this;
    }

    double advance(int glyph) {
        return x[glyph + 1] - x[glyph];
    }
}
