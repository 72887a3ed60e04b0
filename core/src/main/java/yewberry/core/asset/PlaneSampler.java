package yewberry.core.asset;

import java.lang.invoke.MethodHandles;
import java.lang.invoke.VarHandle;
import java.nio.ByteOrder;

/**
 * The planes of a picture between its pixels: the mean of the four nearest; at its edges the
 * outermost pixels go on, as they do in a file, where copies of a picture know nothing of each
 * other. Not thread-safe.
 */
public final class PlaneSampler {
    /** Steps that the way from one pixel to the next is divided into. */
    private static final int WHOLE = 1 << 11;

    /** Bits below a byte in a mean. */
    private static final int BYTE = 22;

    /** Half of what a byte counts, in both halves of a long. */
    private static final long HALVES = (1L << BYTE - 1) * (1 + (1L << Integer.SIZE));

    private static final double LEVEL = 1.0 / WHOLE / WHOLE / 255;

    /** The four components of a pixel at once, the first in the lowest byte. */
    static final VarHandle FOUR =
            MethodHandles.byteArrayViewVarHandle(int[].class, ByteOrder.LITTLE_ENDIAN);

    private final PlaneImage image;
    private final byte[] alpha;

    public PlaneSampler(PlaneImage image) {
        this.image = image;
        this.alpha = image.alpha().orElse(null);
    }

    /**
     * @param u across, from 0 at the left edge to 1 at the right
     * @param v down, from 0 at the top edge to 1 at the bottom
     * @param planes get what is there, 0 to 1; nothing where it does not cover at all
     * @return how much of it covers, 0 to 1
     */
    public double sample(double u, double v, double[] planes) {
        return sample(u, v, planes, 0);
    }

    /**
     * The same among the planes of other points.
     *
     * @param to where the first of them goes
     * @return how much of it covers, 0 to 1
     */
    public double sample(double u, double v, double[] planes, int to) {
        double x = u * image.width() - 0.5;
        double y = v * image.height() - 0.5;
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double partX = x - left;
        double partY = y - top;
        int x0 = neighbour(left, image.width());
        int x1 = neighbour(left + 1, image.width());
        int upper = neighbour(top, image.height()) * image.width();
        int lower = neighbour(top + 1, image.height()) * image.width();
        if (alpha == null) {
            mean(
                    upper + x0,
                    upper + x1,
                    lower + x0,
                    lower + x1,
                    (int) (partX * WHOLE + 0.5),
                    (int) (partY * WHOLE + 0.5),
                    planes,
                    to);
            return 1;
        }
        double a = (1 - partX) * (1 - partY) * (alpha[upper + x0] & 0xff) / 255;
        double b = partX * (1 - partY) * (alpha[upper + x1] & 0xff) / 255;
        double c = (1 - partX) * partY * (alpha[lower + x0] & 0xff) / 255;
        double d = partX * partY * (alpha[lower + x1] & 0xff) / 255;
        double covers = a + b + c + d;
        if (covers == 0) {
            return 0;
        }
        byte[] pixels = image.samples();
        int count = image.planes();
        int i = (upper + x0) * count;
        int j = (upper + x1) * count;
        int k = (lower + x0) * count;
        int l = (lower + x1) * count;
        for (int plane = 0; plane < count; plane++) {
            planes[to + plane] =
                    (a * (pixels[i + plane] & 0xff)
                                    + b * (pixels[j + plane] & 0xff)
                                    + c * (pixels[k + plane] & 0xff)
                                    + d * (pixels[l + plane] & 0xff))
                            / covers
                            / 255;
        }
        return covers;
    }

    /**
     * The same of four planes, as {@link InkBytes}, whether they cover there or not.
     *
     * @param room for the planes
     */
    public int bytes(double u, double v, double[] room) {
        if (alpha != null) {
            sample(u, v, room);
            return InkBytes.of(room, 0);
        }
        double x = u * image.width() - 0.5;
        double y = v * image.height() - 0.5;
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        int x0 = neighbour(left, image.width());
        int x1 = neighbour(left + 1, image.width());
        int upper = neighbour(top, image.height()) * image.width();
        int lower = neighbour(top + 1, image.height()) * image.width();
        byte[] pixels = image.samples();
        int a = (int) FOUR.get(pixels, (upper + x0) * Integer.BYTES);
        int b = (int) FOUR.get(pixels, (upper + x1) * Integer.BYTES);
        int c = (int) FOUR.get(pixels, (lower + x0) * Integer.BYTES);
        int d = (int) FOUR.get(pixels, (lower + x1) * Integer.BYTES);
        int right = (int) ((x - left) * WHOLE + 0.5);
        int below = (int) ((y - top) * WHOLE + 0.5);
        long even = mean(halves(a), halves(b), halves(c), halves(d), right, below) + HALVES;
        long odd =
                mean(
                                halves(a >>> 8),
                                halves(b >>> 8),
                                halves(c >>> 8),
                                halves(d >>> 8),
                                right,
                                below)
                        + HALVES;
        return (int) even >>> BYTE << 24
                | (int) odd >>> BYTE << 16
                | (int) (even >>> Integer.SIZE + BYTE) << 8
                | (int) (odd >>> Integer.SIZE + BYTE);
    }

    /** In whole numbers, which is what most pixels take their time with. */
    private void mean(int a, int b, int c, int d, int right, int below, double[] planes, int to) {
        byte[] pixels = image.samples();
        int count = image.planes();
        if (count == Integer.BYTES) {
            meanOfInks(
                    (int) FOUR.get(pixels, a * Integer.BYTES),
                    (int) FOUR.get(pixels, b * Integer.BYTES),
                    (int) FOUR.get(pixels, c * Integer.BYTES),
                    (int) FOUR.get(pixels, d * Integer.BYTES),
                    right,
                    below,
                    planes,
                    to);
            return;
        }
        int left = WHOLE - right;
        int above = WHOLE - below;
        int i = a * count;
        int j = b * count;
        int k = c * count;
        int l = d * count;
        for (int plane = 0; plane < count; plane++) {
            int upper = (pixels[i + plane] & 0xff) * left + (pixels[j + plane] & 0xff) * right;
            int lower = (pixels[k + plane] & 0xff) * left + (pixels[l + plane] & 0xff) * right;
            planes[to + plane] = (upper * above + lower * below) * LEVEL;
        }
    }

    /** The same of four planes at once, two in the halves of each long. */
    private static void meanOfInks(
            int a, int b, int c, int d, int right, int below, double[] planes, int to) {
        long even = mean(halves(a), halves(b), halves(c), halves(d), right, below);
        long odd =
                mean(
                        halves(a >>> 8),
                        halves(b >>> 8),
                        halves(c >>> 8),
                        halves(d >>> 8),
                        right,
                        below);
        planes[to] = (int) even * LEVEL;
        planes[to + 1] = (int) odd * LEVEL;
        planes[to + 2] = (int) (even >>> Integer.SIZE) * LEVEL;
        planes[to + 3] = (int) (odd >>> Integer.SIZE) * LEVEL;
    }

    private static long mean(long a, long b, long c, long d, int right, int below) {
        long left = WHOLE - right;
        long above = WHOLE - below;
        return (a * left + b * right) * above + (c * left + d * right) * below;
    }

    /** The first and the third byte, each in a half: a byte times two parts of a way fits there. */
    private static long halves(int bytes) {
        return bytes & 0xff | (long) (bytes & 0xff0000) << 16;
    }

    private static int neighbour(int at, int count) {
        return Math.max(0, Math.min(at, count - 1)); // quicker than clamp, which is of long
    }
}
