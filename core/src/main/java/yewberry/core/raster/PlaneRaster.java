package yewberry.core.raster;

import java.util.Arrays;
import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;

/**
 * Pixels that are painted plane by plane: how much of each plane is there, and how much of the
 * pixel is covered at all. Not thread-safe.
 */
public final class PlaneRaster {
    private final int width;
    private final int height;
    private final float[][] planes;
    private final float[] alpha;
    private final double[] pixel;
    private final double[] over;
    private final double[] above;

    /**
     * Nothing is painted yet.
     *
     * @param width pixels
     * @param height pixels
     * @param count of the planes: three of light, or four of ink and the spot inks
     */
    public PlaneRaster(int width, int height, int count) {
        this.width = width;
        this.height = height;
        this.planes = new float[count][width * height];
        this.alpha = new float[width * height];
        this.pixel = new double[count];
        this.over = new double[count];
        this.above = new double[count];
    }

    /** Whether all of its pixels are those of another one. */
    public boolean isSame(PlaneRaster other) {
        return width == other.width
                && Arrays.deepEquals(planes, other.planes)
                && Arrays.equals(alpha, other.alpha);
    }

    public int width() {
        return width;
    }

    public int height() {
        return height;
    }

    public int count() {
        return planes.length;
    }

    /** What a plane has at a pixel where it covers, 0 to 1. */
    public float plane(int plane, int at) {
        return planes[plane][at];
    }

    /** How much of a pixel is covered, 0 to 1. */
    public float alpha(int at) {
        return alpha[at];
    }

    /** What lies on a plane at a pixel: on what is not covered there is nothing. */
    public float printed(int plane, int at) {
        return planes[plane][at] * alpha[at];
    }

    /** The same of all pixels. */
    public float[] printed(int plane) {
        float[] printed = planes[plane].clone();
        for (int at = 0; at < printed.length; at++) {
            printed[at] *= alpha[at];
        }
        return printed;
    }

    /** The same of all planes. */
    void printed(int at, float[] into) {
        float covered = alpha[at];
        for (int plane = 0; plane < planes.length; plane++) {
            into[plane] = planes[plane][at] * covered;
        }
    }

    /**
     * What lies on four planes at pixels side by side, each as a byte of 255 for all there is of
     * it, the first lowest.
     *
     * @param to behind the last of them
     */
    void levels(int from, int to, int[] into) {
        Arrays.fill(into, 0, to - from, 0);
        for (int plane = 0; plane < 4; plane++) {
            addLevels(planes[plane], from, to - from, Byte.SIZE * plane, into);
        }
    }

    private void addLevels(float[] plane, int from, int count, int shift, int[] into) {
        for (int i = 0; i < count; i++) {
            float printed = plane[from + i] * alpha[from + i];
            into[i] |= (int) (Math.min(1, printed) * 255 + 0.5f) << shift;
        }
    }

    /** Whether nothing lies on the planes from the fifth on, at pixels side by side. */
    boolean areFourOnly(int from, int to) {
        for (int plane = 4; plane < planes.length; plane++) {
            for (int at = from; at < to; at++) {
                if (planes[plane][at] != 0) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Takes over a pixel of another raster of as many planes as it is. */
    public void copy(PlaneRaster from, int source, int at) {
        alpha[at] = from.alpha[source];
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane][at] = from.planes[plane][source];
        }
    }

    /**
     * Puts a pixel in the place of what is there.
     *
     * @param source each plane, 0 to 1
     * @param covered how much of the pixel, 0 to 1
     */
    public void set(int at, double[] source, double covered) {
        alpha[at] = (float) covered;
        for (int plane = 0; plane < planes.length; plane++) {
            planes[plane][at] = (float) source[plane];
        }
    }

    /**
     * Puts one colour in the place of pixels that lie side by side.
     *
     * @param to behind the last of them
     * @param source each plane, 0 to 1
     */
    public void fill(int from, int to, double[] source) {
        Arrays.fill(alpha, from, to, 1);
        for (int plane = 0; plane < planes.length; plane++) {
            Arrays.fill(planes[plane], from, to, (float) source[plane]);
        }
    }

    /**
     * Prints one colour over pixels that lie side by side, as {@link #overprint} does.
     *
     * @param to behind the last of them
     */
    public void overprint(int from, int to, double[] source, boolean[] printed) {
        for (int at = from; at < to; at++) {
            if (alpha[at] == 1) {
                for (int plane = 0; plane < printed.length; plane++) {
                    if (printed[plane]) {
                        planes[plane][at] = (float) source[plane];
                    }
                }
            } else {
                overprint(at, source, printed, 1, BlendMode.NORMAL);
            }
        }
    }

    /**
     * Paints a pixel over what is there.
     *
     * @param source each plane, 0 to 1
     * @param covered how much of the pixel, 0 to 1
     */
    public void paint(int at, double[] source, double covered, BlendMode mode) {
        paint(at, source, 0, covered, mode);
    }

    /**
     * The same with a colour among others.
     *
     * @param from where its first plane stands
     */
    void paint(int at, double[] colors, int from, double covered, BlendMode mode) {
        if (covered <= 0) {
            return;
        }
        if (mode == BlendMode.NORMAL && (covered >= 1 || alpha[at] == 0)) {
            alpha[at] = (float) Math.min(1, covered);
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane][at] = (float) colors[from + plane];
            }
            return;
        }
        if (mode == BlendMode.NORMAL && alpha[at] == 1) {
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane][at] =
                        (float)
                                ((1 - covered) * planes[plane][at]
                                        + covered * colors[from + plane]);
            }
            return;
        }
        double[] source = above;
        System.arraycopy(colors, from, source, 0, source.length);
        for (int plane = 0; plane < pixel.length; plane++) {
            pixel[plane] = planes[plane][at];
        }
        alpha[at] = (float) Blend.ink(pixel, alpha[at], source, covered, mode);
        for (int plane = 0; plane < pixel.length; plane++) {
            planes[plane][at] = (float) pixel[plane];
        }
    }

    /**
     * Paints pixels that lie side by side.
     *
     * @param at the first
     * @param colors their planes, pixel by pixel
     * @param covered how much of each, 0 to 1
     */
    void paint(int at, int count, double[] colors, double[] covered, BlendMode mode) {
        // at the ends a row may be cut
        int first = Math.min(1, count);
        int last = Math.max(first, count - 1);
        each(at, 0, first, colors, covered, mode);
        if (mode == BlendMode.NORMAL && areAtLeast(1, covered, first, last)) {
            Arrays.fill(alpha, at + first, at + last, 1);
            for (int plane = 0; plane < planes.length; plane++) {
                replace(planes[plane], at, first, last, colors, plane);
            }
        } else if (mode == BlendMode.NORMAL
                && areAtLeast(Double.MIN_VALUE, covered, first, last)
                && areCovered(at + first, at + last)) {
            for (int plane = 0; plane < planes.length; plane++) {
                mix(planes[plane], at, first, last, colors, plane, covered);
            }
        } else if (mode.isSeparable() && areCovered(at + first, at + last)) {
            for (int plane = 0; plane < planes.length; plane++) {
                blend(at, first, last, colors, plane, covered, Blend.onPlane(mode, plane));
            }
        } else {
            each(at, first, last, colors, covered, mode);
        }
        each(at, last, count, colors, covered, mode);
    }

    private void each(
            int at, int first, int last, double[] colors, double[] covered, BlendMode mode) {
        for (int i = first; i < last; i++) {
            paint(at + i, colors, i * planes.length, covered[i], mode);
        }
    }

    private void replace(float[] there, int at, int first, int last, double[] colors, int plane) {
        int from = first * planes.length + plane;
        for (int i = first; i < last; i++, from += planes.length) {
            there[at + i] = (float) colors[from];
        }
    }

    private void mix(
            float[] there,
            int at,
            int first,
            int last,
            double[] colors,
            int plane,
            double[] covered) {
        int from = first * planes.length + plane;
        for (int i = first; i < last; i++, from += planes.length) {
            there[at + i] = (float) ((1 - covered[i]) * there[at + i] + covered[i] * colors[from]);
        }
    }

    /** On what covers, each plane by itself. */
    private void blend(
            int at,
            int first,
            int last,
            double[] colors,
            int plane,
            double[] covered,
            BlendMode mode) {
        float[] there = planes[plane];
        int from = first * planes.length + plane;
        for (int i = first; i < last; i++, from += planes.length) {
            double blended = Blend.ink(mode, there[at + i], colors[from]);
            there[at + i] = (float) ((1 - covered[i]) * there[at + i] + covered[i] * blended);
        }
    }

    private static boolean areAtLeast(double least, double[] values, int first, int last) {
        for (int i = first; i < last; i++) {
            if (values[i] < least) {
                return false;
            }
        }
        return true;
    }

    private boolean areCovered(int first, int last) {
        for (int i = first; i < last; i++) {
            if (alpha[i] != 1) {
                return false;
            }
        }
        return true;
    }

    /**
     * Prints a pixel over what is there: planes that are left free keep what is below (ISO 32000-1,
     * 8.6.7).
     *
     * @param printed which planes the source prints on
     */
    public void overprint(
            int at, double[] source, boolean[] printed, double covered, BlendMode mode) {
        for (int plane = 0; plane < over.length; plane++) {
            over[plane] = printed[plane] ? source[plane] : printed(plane, at);
        }
        paint(at, over, covered, mode);
    }

    /**
     * A copy with a colour printed over all of it.
     *
     * @param printed which planes the source prints on
     */
    PlaneRaster overprinted(double[] source, boolean[] printed) {
        PlaneRaster copy = copy();
        copy.overprint(0, alpha.length, source, printed);
        return copy;
    }

    /** A copy by itself. */
    public PlaneRaster copy() {
        PlaneRaster copy = new PlaneRaster(width, height, planes.length);
        for (int plane = 0; plane < planes.length; plane++) {
            copy.planes[plane] = Arrays.copyOf(planes[plane], planes[plane].length);
        }
        System.arraycopy(alpha, 0, copy.alpha, 0, alpha.length);
        return copy;
    }
}
