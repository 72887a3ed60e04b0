package yewberry.pdf.read;

import yewberry.core.color.BlendMode;
import yewberry.core.raster.Coverage;

/** Paints pixels of a surface through a clip and a soft mask, with one mode. */
final class Brush implements Coverage.Each {
    private final Surface surface;
    private final Ink ink;
    private final boolean[] printed;
    private final Through through;
    private final double alpha;
    private final boolean letsThrough;
    private final int width;
    private final double[] planes;

    /**
     * What all paint of a graphics state goes through.
     *
     * @param clip a byte a pixel, 255 for what is within; null where all is
     * @param soft the same of a soft mask, 0 to 1
     * @param masksShape whether opacities are shapes (AIS, ISO 32000-1, 11.6.4.3)
     */
    record Through(byte[] clip, float[] soft, BlendMode mode, boolean masksShape) {
        boolean isOpen() {
            return clip == null && soft == null && mode == BlendMode.NORMAL;
        }
    }

    /**
     * @param printed planes that it prints on; null for all of them
     * @param letsThrough whether the ink is see-through where it is not all there, rather than
     *     missing (11.3.7.2)
     */
    Brush(
            Surface surface,
            Ink ink,
            boolean[] printed,
            Through through,
            double alpha,
            boolean letsThrough) {
        this.surface = surface;
        this.ink = ink;
        this.printed = printed;
        this.through = through;
        this.alpha = alpha;
        this.letsThrough = letsThrough;
        this.width = surface.raster().width();
        this.planes = new double[surface.raster().count()];
    }

    @Override
    public void whole(int from, int to) {
        double[] flat = ink.everywhere();
        if (flat != null && alpha == 1 && through.isOpen() && surface.isPlain()) {
            surface.fill(from, to, flat, printed);
            return;
        }
        Coverage.Each.super.whole(from, to);
    }

    /**
     * @param at the pixel, counted row by row
     * @param covered how much of it lies within what is painted, 0 to 1
     */
    @Override
    public void pixel(int at, double covered) {
        byte[] clip = through.clip();
        double shape = clip == null ? covered : covered * (clip[at] & 0xff) / 255.0;
        if (shape <= 0) {
            return;
        }
        double opacity = through.soft() == null ? alpha : alpha * through.soft()[at];
        if (opacity <= 0 && !surface.needsShapes()) {
            return;
        }
        double there = ink.at(at % width, at / width, planes);
        if (letsThrough && there >= 0) {
            opacity *= there;
        } else {
            shape *= there;
        }
        if (through.masksShape()) {
            shape *= opacity;
            opacity = 1;
        }
        if (shape > 0) {
            surface.paint(at, planes, printed, shape, opacity, through.mode());
        }
    }
}
