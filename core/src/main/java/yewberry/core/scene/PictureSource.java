package yewberry.core.scene;

import yewberry.core.asset.InkImage;
import yewberry.core.publication.RunOut;

/** The ink of a picture at a point of the page, between its pixels as a mean of the nearest. */
final class PictureSource implements Painted.Source {
    private final Shade.Picture picture;
    private final double opacity;
    private final InkImage image;
    private final double[] ink;
    private final double[][] edges;
    private final byte[] alpha;
    private double atX = Double.NaN;
    private double atY = Double.NaN;
    private double covers;

    PictureSource(Item.AreaFill fill, Shade.Picture picture, int planes, double ppi) {
        this.picture = picture;
        this.opacity = fill.opacity();
        this.image = picture.ink().about((int) Math.ceil(picture.place().width() / 72 * ppi));
        this.alpha = image.alpha().orElse(null);
        this.ink = new double[planes];
        this.edges =
                new double[][] {
                    EdgeColor.of(image, EdgeColor.Edge.LEFT),
                    EdgeColor.of(image, EdgeColor.Edge.RIGHT),
                    EdgeColor.of(image, EdgeColor.Edge.TOP),
                    EdgeColor.of(image, EdgeColor.Edge.BOTTOM)
                };
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

    /** Both are asked for at the same point, one after the other. */
    private void look(double x, double y) {
        if (x == atX && y == atY) {
            return;
        }
        atX = x;
        atY = y;
        double u = picture.place().u(x, y);
        double v = picture.place().v(x, y);
        if (isOutside(u, v) && picture.runOut() != RunOut.MIRROR) {
            if (picture.runOut() == RunOut.EDGE_COLOR) {
                System.arraycopy(edges[nearest(u, v)], 0, ink, 0, 4);
                covers = opacity;
            } else {
                covers = 0;
            }
            return;
        }
        mean(within(u), within(v));
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
        if (picture.tiled()) {
            return part - Math.floor(part);
        }
        double folded = Math.abs(part) % 2;
        return folded > 1 ? 2 - folded : folded;
    }

    /** Of the four pixels around a point, those that let through counting less. */
    private void mean(double u, double v) {
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
        double a = (1 - partX) * (1 - partY);
        double b = partX * (1 - partY);
        double c = (1 - partX) * partY;
        double d = partX * partY;
        covers = opacity;
        if (alpha != null) {
            a *= (alpha[upper + x0] & 0xff) / 255.0;
            b *= (alpha[upper + x1] & 0xff) / 255.0;
            c *= (alpha[lower + x0] & 0xff) / 255.0;
            d *= (alpha[lower + x1] & 0xff) / 255.0;
            double sum = a + b + c + d;
            covers *= sum;
            if (sum == 0) {
                return;
            }
            a /= sum;
            b /= sum;
            c /= sum;
            d /= sum;
        }
        byte[] pixels = image.ink();
        int i = (upper + x0) * 4;
        int j = (upper + x1) * 4;
        int k = (lower + x0) * 4;
        int l = (lower + x1) * 4;
        for (int plate = 0; plate < 4; plate++) {
            ink[plate] =
                    (a * (pixels[i + plate] & 0xff)
                                    + b * (pixels[j + plate] & 0xff)
                                    + c * (pixels[k + plate] & 0xff)
                                    + d * (pixels[l + plate] & 0xff))
                            / 255;
        }
    }

    private int neighbour(int at, int count) {
        return picture.tiled() ? Math.floorMod(at, count) : Math.clamp(at, 0, count - 1);
    }
}
