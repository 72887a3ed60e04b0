package yewberry.core.scene;

import java.awt.geom.AffineTransform;
import yewberry.core.asset.InkBytes;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.PlaneSampler;
import yewberry.core.publication.RunOut;

/** The planes of a picture at a point of the page, between its pixels as a mean of the nearest. */
final class PictureSource implements Painted.Source {
    private final AreaPaint.Picture picture;
    private final double acrossX;
    private final double acrossY;
    private final double across;
    private final double downX;
    private final double downY;
    private final double down;
    private final double opacity;
    private final int planes;
    private final PlaneSampler sampler;
    private final double[] ink;
    private final double[][] edges;
    private double atX = Double.NaN;
    private double atY = Double.NaN;
    private double covers;

    /**
     * @param image of the picture, as fine as it is wanted
     * @param count of the planes that are mixed in
     */
    PictureSource(Item.Filled fill, AreaPaint.Picture picture, PlaneImage image, int count) {
        this.picture = picture;
        AffineTransform toPicture = picture.place().toPicture();
        this.acrossX = toPicture.getScaleX();
        this.acrossY = toPicture.getShearX();
        this.across = toPicture.getTranslateX();
        this.downX = toPicture.getShearY();
        this.downY = toPicture.getScaleY();
        this.down = toPicture.getTranslateY();
        this.opacity = fill.opacity();
        this.planes = image.planes();
        this.sampler = new PlaneSampler(image);
        this.ink = new double[count];
        this.edges =
                picture.runOut() == RunOut.EDGE_COLOR
                        ? new double[][] {
                            EdgeColor.of(image, EdgeColor.Edge.LEFT),
                            EdgeColor.of(image, EdgeColor.Edge.RIGHT),
                            EdgeColor.of(image, EdgeColor.Edge.TOP),
                            EdgeColor.of(image, EdgeColor.Edge.BOTTOM)
                        }
                        : new double[0][];
    }

    @Override
    public double alpha(double x, double y) {
        look(x, y);
        return covers;
    }

    @Override
    public double[] ink(double x, double y) {
        look(x, y);
        return ink;
    }

    @Override
    public void row(double[] xs, int count, double y, double[] inks, double[] alphas) {
        boolean runsOut = picture.runOut() != RunOut.MIRROR;
        for (int i = 0; i < count; i++) {
            double u = acrossX * xs[i] + acrossY * y + across;
            double v = downX * xs[i] + downY * y + down;
            int at = i * ink.length;
            if (runsOut && isOutside(u, v)) {
                look(xs[i], y);
                alphas[i] = covers;
                System.arraycopy(ink, 0, inks, at, planes);
            } else {
                alphas[i] = opacity * sampler.sample(within(u), within(v), inks, at);
            }
        }
    }

    @Override
    public void bytes(double[] xs, int count, double y, int[] inks, int from) {
        boolean runsOut = picture.runOut() != RunOut.MIRROR;
        for (int i = 0; i < count; i++) {
            double u = acrossX * xs[i] + acrossY * y + across;
            double v = downX * xs[i] + downY * y + down;
            if (runsOut && isOutside(u, v)) {
                look(xs[i], y);
                inks[from + i] = InkBytes.of(ink, 0);
            } else {
                inks[from + i] = sampler.bytes(within(u), within(v), ink);
                atX = Double.NaN; // the planes are others now
            }
        }
    }

    /** Both are asked for at the same point, one after the other. */
    private void look(double x, double y) {
        if (x == atX && y == atY) {
            return;
        }
        atX = x;
        atY = y;
        double u = acrossX * x + acrossY * y + across;
        double v = downX * x + downY * y + down;
        if (isOutside(u, v) && picture.runOut() != RunOut.MIRROR) {
            if (picture.runOut() == RunOut.EDGE_COLOR) {
                System.arraycopy(edges[nearest(u, v)], 0, ink, 0, planes);
                covers = opacity;
            } else {
                covers = 0;
            }
            return;
        }
        covers = opacity * sampler.sample(within(u), within(v), ink);
    }

    private boolean isOutside(double u, double v) {
        return !picture.tiled() && (u < 0 || u > 1 || v < 0 || v > 1);
    }

    /** Which edge a point outside belongs to: the one that it is farther beyond. */
    private int nearest(double u, double v) {
        double beyondX = Math.max(-u, u - 1) * picture.place().width();
        double beyondY = Math.max(-v, v - 1) * picture.place().height();
        return beyondX >= beyondY ? (u < 0 ? 0 : 1) : (v < 0 ? 2 : 3);
    }

    private double within(double part) {
        if (part >= 0 && part < 1) {
            return part;
        }
        if (picture.tiled()) {
            return part - Math.floor(part);
        }
        double folded = Math.abs(part) % 2;
        return folded > 1 ? 2 - folded : folded;
    }
}
