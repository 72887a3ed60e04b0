package yewberry.pdf.read;

import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;
import yewberry.core.raster.PlaneRaster;

/**
 * What is painted on: a page, or a group of it (ISO 32000-1, 11.4). A group that is not isolated
 * starts from what is below it, which is taken out again in the end; in one that knocks out, each
 * thing takes the place of those before it, as far as its shape goes, however opaque it is.
 */
final class Surface {
    private final PlaneRaster raster;
    private final DeviceColors colors;
    private final boolean knocksOut;

    /** What the group starts from; null where it is isolated. */
    private final PlaneRaster backdrop;

    /** How much the group alone covers; null where it is isolated, since the raster says it. */
    private final float[] own;

    /** How far its shapes reach, whatever their opacity; null where nobody needs to know. */
    private final float[] shapes;

    private final double[] pixel;
    private final double[] over;

    private Surface(
            PlaneRaster raster,
            DeviceColors colors,
            PlaneRaster backdrop,
            boolean knocksOut,
            boolean shaped) {
        int pixels = raster.width() * raster.height();
        this.raster = raster;
        this.colors = colors;
        this.backdrop = backdrop;
        this.knocksOut = knocksOut;
        this.own = backdrop == null ? null : new float[pixels];
        this.shapes = shaped ? new float[pixels] : null;
        this.pixel = new double[raster.count()];
        this.over = new double[raster.count()];
    }

    /** An empty one, with nothing below it. */
    static Surface of(int width, int height, DeviceColors colors) {
        PlaneRaster raster = new PlaneRaster(width, height, colors.count());
        return new Surface(raster, colors, null, false, false);
    }

    /**
     * A group that is painted before it is laid on this. It starts from what anything painted here
     * would meet: in a group that knocks out, from what that group starts from.
     */
    Surface group(boolean isolated, boolean knocksOut) {
        PlaneRaster below = this.knocksOut ? backdrop : raster;
        boolean alone = isolated || below == null;
        PlaneRaster start =
                alone
                        ? new PlaneRaster(raster.width(), raster.height(), raster.count())
                        : below.copy();
        return new Surface(start, colors, alone ? null : below.copy(), knocksOut, needsShapes());
    }

    /** The same page, for what is not painted in other colours. */
    Surface asItIs() {
        return new Surface(raster, colors.asTheyAre(), null, false, false);
    }

    PlaneRaster raster() {
        return raster;
    }

    DeviceColors colors() {
        return colors;
    }

    /** Whether what lets all through still takes the place of something. */
    boolean needsShapes() {
        return knocksOut || shapes != null;
    }

    /** Whether what is painted just lies on what was painted before. */
    boolean isPlain() {
        return !knocksOut && own == null && shapes == null;
    }

    /**
     * Paints pixels that lie side by side with one colour that hides what is below it; only on a
     * plain surface.
     *
     * @param to behind the last of them
     * @param planes each 0 to 1
     * @param printed planes that are printed on; null for all of them
     */
    void fill(int from, int to, double[] planes, boolean[] printed) {
        if (printed == null) {
            raster.fill(from, to, planes);
        } else {
            raster.overprint(from, to, planes, printed);
        }
    }

    /**
     * Paints a pixel.
     *
     * @param planes each 0 to 1
     * @param printed planes that are printed on; null for all of them
     * @param shape how much of the pixel is painted, 0 to 1
     * @param opacity how much of what is below it hides there, 0 to 1
     */
    void paint(
            int at,
            double[] planes,
            boolean[] printed,
            double shape,
            double opacity,
            BlendMode mode) {
        if (knocksOut) {
            knockOut(at, planes, printed, shape, opacity, mode);
        } else if (printed == null) {
            raster.paint(at, planes, shape * opacity, mode);
        } else {
            raster.overprint(at, planes, printed, shape * opacity, mode);
        }
        if (own != null) {
            double left = knocksOut ? 1 - shape : 1 - shape * opacity;
            own[at] = (float) (own[at] * left + shape * opacity);
        }
        if (shapes != null) {
            shapes[at] += (float) ((1 - shapes[at]) * shape);
        }
    }

    /** 11.4.6: on what the group starts from, not on what it has painted by now. */
    private void knockOut(
            int at,
            double[] planes,
            boolean[] printed,
            double shape,
            double opacity,
            BlendMode mode) {
        double start = backdrop == null ? 0 : backdrop.alpha(at);
        for (int plane = 0; plane < pixel.length; plane++) {
            double below = backdrop == null ? 0 : backdrop.plane(plane, at);
            pixel[plane] = below;
            over[plane] = printed == null || printed[plane] ? planes[plane] : below * start;
        }
        double painted = Blend.ink(pixel, start, over, opacity, mode) * shape;
        double kept = raster.alpha(at) * (1 - shape);
        for (int plane = 0; plane < pixel.length && kept > 0; plane++) {
            double was = raster.plane(plane, at);
            pixel[plane] =
                    painted + kept == 0
                            ? 0
                            : (was * kept + pixel[plane] * painted) / (painted + kept);
        }
        raster.set(at, pixel, painted + kept);
    }

    /**
     * Lays a finished group on this.
     *
     * @param alpha of all of it
     * @param soft of each pixel; null where it is whole
     */
    void paint(Surface group, double alpha, float[] soft, BlendMode mode) {
        double[] planes = new double[raster.count()];
        int pixels = raster.width() * raster.height();
        for (int at = 0; at < pixels; at++) {
            double covered = group.own == null ? group.raster.alpha(at) : group.own[at];
            double shape = group.shapes == null ? 1 : group.shapes[at];
            if (shape == 0 || covered == 0 && group.shapes == null) {
                continue;
            }
            for (int plane = 0; plane < planes.length; plane++) {
                planes[plane] = group.withoutBackdrop(plane, at, covered);
            }
            double through = alpha * (soft == null ? 1 : soft[at]);
            paint(at, planes, null, shape, covered / shape * through, mode);
        }
    }

    /** 11.4.8: what is below counts once, when the group is laid on it. */
    private double withoutBackdrop(int plane, int at, double covered) {
        double there = raster.plane(plane, at);
        if (backdrop == null || covered == 0) {
            return there;
        }
        double below = backdrop.plane(plane, at);
        double start = backdrop.alpha(at);
        return Math.clamp(there + (there - below) * start * (1 / covered - 1), 0.0, 1.0);
    }
}
