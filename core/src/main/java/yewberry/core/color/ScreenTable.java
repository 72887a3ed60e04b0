package yewberry.core.color;

import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Turns many pixels of process ink into screen colour: a table of 17 steps an ink, interpolated in
 * the simplex that a colour lies in. It is within a few of 255 of {@link PressCondition#toScreen},
 * which it is made from, and right for pictures; a single colour is converted exactly instead.
 *
 * <p>It is immutable and thread-safe, and takes about 0.7 MB.
 */
public final class ScreenTable {
    private static final int STEPS = 17;

    /**
     * Components are held on a logarithmic scale that goes on below zero: between the steps of the
     * table it is the straightest, and what lies outside the gamut is cut only after it has been
     * interpolated.
     */
    private static final double BEND = 0.05;

    private static final double LOWEST = -2;
    private static final double HIGHEST = 3.2;
    private static final int LEVELS = 4096;

    /** Bits that one component takes in a packed entry: a component times a weight fits. */
    private static final int FIELD = 20;

    private static final long MASK = (1L << FIELD) - 1;
    private static final int WEIGHT_BITS = 8;
    private static final int WHOLE = 1 << WEIGHT_BITS;
    private static final int SHIFT = WEIGHT_BITS;
    private static final long HALF = (1L << SHIFT - 1) * (1 + (1L << FIELD) + (1L << 2 * FIELD));
    private static final int STRIDE_BITS = 13;
    private static final int STRIDE = (1 << STRIDE_BITS) - 1;

    /** For each value of a byte, the step below it, and how far it is from there to the next. */
    private static final int[] CELL = new int[256];

    private static final int[] PART = new int[256];

    /** A level back in a byte. */
    private static final byte[] CUT = new byte[LEVELS];

    static {
        for (int level = 0; level < LEVELS; level++) {
            double bent = LOWEST + (HIGHEST - LOWEST) * level / (LEVELS - 1);
            double linear = Math.copySign(Math.expm1(Math.abs(bent)) * BEND, bent);
            CUT[level] = (byte) Math.round(Srgb.encode(Math.clamp(linear, 0, 1)) * 255);
        }
        for (int value = 0; value < 256; value++) {
            int scaled = Math.round(value * (STEPS - 1) * WHOLE / 255f);
            CELL[value] = Math.min(STEPS - 2, scaled / WHOLE);
            PART[value] = scaled - CELL[value] * WHOLE;
        }
    }

    private final long[] table = new long[STEPS * STEPS * STEPS * STEPS];

    /**
     * @param grid of {@link #grid}
     * @param linear red, green and blue light of an entry of it, 0 to 1, not cut at the edge of the
     *     gamut
     */
    ScreenTable(double[][] grid, UnaryOperator<double[]> linear) {
        for (int at = 0; at < table.length; at++) {
            double[] screen = linear.apply(grid[at]);
            table[at] =
                    level(screen[0]) << 2 * FIELD | level(screen[1]) << FIELD | level(screen[2]);
        }
    }

    /** A colour, in whatever space, of every step of every ink, cyan outermost. */
    static double[][] grid(Function<Cmyk, double[]> color) {
        double[][] grid = new double[STEPS * STEPS * STEPS * STEPS][];
        double step = 100.0 / (STEPS - 1);
        int at = 0;
        for (int c = 0; c < STEPS; c++) {
            for (int m = 0; m < STEPS; m++) {
                for (int y = 0; y < STEPS; y++) {
                    for (int k = 0; k < STEPS; k++) {
                        grid[at++] = color.apply(new Cmyk(c * step, m * step, y * step, k * step));
                    }
                }
            }
        }
        return grid;
    }

    private static long level(double linear) {
        double bent = Math.copySign(Math.log1p(Math.abs(linear) / BEND), linear);
        return Math.clamp(
                Math.round((bent - LOWEST) / (HIGHEST - LOWEST) * (LEVELS - 1)), 0, LEVELS - 1);
    }

    /**
     * @param ink four bytes a pixel, cyan, magenta, yellow and black, 255 for 100 %
     * @param screen three bytes a pixel, red, green and blue
     * @throws IllegalArgumentException if the lengths do not fit
     */
    public void convert(byte[] ink, byte[] screen) {
        if (ink.length % 4 != 0 || screen.length / 3 * 4 < ink.length) {
            throw new IllegalArgumentException(
                    "%d bytes of ink do not fit %d bytes of screen"
                            .formatted(ink.length, screen.length));
        }
        int to = 0;
        for (int from = 0; from < ink.length; from += 4) {
            long sum =
                    packed(
                            ink[from] & 0xff,
                            ink[from + 1] & 0xff,
                            ink[from + 2] & 0xff,
                            ink[from + 3] & 0xff);
            screen[to++] = CUT[(int) (sum >>> 2 * FIELD + SHIFT)];
            screen[to++] = CUT[(int) (sum >>> FIELD & MASK) >>> SHIFT];
            screen[to++] = CUT[(int) (sum & MASK) >>> SHIFT];
        }
    }

    /**
     * One pixel.
     *
     * @param cyan 0 to 255 for 100 %, like the other inks
     * @return red, green and blue in the lowest three bytes
     */
    public int rgb(int cyan, int magenta, int yellow, int black) {
        long sum = packed(cyan, magenta, yellow, black);
        int red = CUT[(int) (sum >>> 2 * FIELD + SHIFT)] & 0xff;
        int green = CUT[(int) (sum >>> FIELD & MASK) >>> SHIFT] & 0xff;
        int blue = CUT[(int) (sum & MASK) >>> SHIFT] & 0xff;
        return red << 16 | green << 8 | blue;
    }

    /** Goes from the lowest corner to the highest, along the ink with the largest part first. */
    private long packed(int cyan, int magenta, int yellow, int black) {
        int at =
                ((CELL[cyan] * STEPS + CELL[magenta]) * STEPS + CELL[yellow]) * STEPS + CELL[black];
        int a = PART[cyan] << STRIDE_BITS | STEPS * STEPS * STEPS;
        int b = PART[magenta] << STRIDE_BITS | STEPS * STEPS;
        int c = PART[yellow] << STRIDE_BITS | STEPS;
        int d = PART[black] << STRIDE_BITS | 1;
        int high = Math.max(a, b);
        int low = Math.min(a, b);
        int high2 = Math.max(c, d);
        int low2 = Math.min(c, d);
        int first = Math.max(high, high2);
        int middle = Math.min(high, high2);
        int middle2 = Math.max(low, low2);
        int fourth = Math.min(low, low2);
        int second = Math.max(middle, middle2);
        int third = Math.min(middle, middle2);
        int p1 = first >> STRIDE_BITS;
        int p2 = second >> STRIDE_BITS;
        int p3 = third >> STRIDE_BITS;
        int p4 = fourth >> STRIDE_BITS;
        long sum = table[at] * (WHOLE - p1) + HALF;
        at += first & STRIDE;
        sum += table[at] * (p1 - p2);
        at += second & STRIDE;
        sum += table[at] * (p2 - p3);
        at += third & STRIDE;
        sum += table[at] * (p3 - p4);
        at += fourth & STRIDE;
        return sum + table[at] * p4;
    }
}
