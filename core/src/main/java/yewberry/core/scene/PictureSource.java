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

    PictureSource(Item.AreaFill fill, Shade.Picture picture, int planes, double ppi) {
        this.picture = picture;
        this.opacity = fill.opacity();
        this.image = picture.ink().about((int) Math.ceil(picture.place().width() / 72 * ppi));
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
        double u = picture.place().u(x, y);
        double v = picture.place().v(x, y);
        if (isOutside(u, v)) {
            switch (picture.runOut()) {
                case NONE, ENLARGE -> {
                    return 0;
                }
                case EDGE_COLOR -> {
                    return opacity;
                }
                case MIRROR -> {}
            }
        }
        return opacity * (image.alpha().isEmpty() ? 1 : mean(within(u), within(v), -1));
    }

    @Override
    public double[] ink(double x, double y) {
        double u = picture.place().u(x, y);
        double v = picture.place().v(x, y);
        if (isOutside(u, v) && picture.runOut() == RunOut.EDGE_COLOR) {
            double[] edge = edges[nearest(u, v)];
            System.arraycopy(edge, 0, ink, 0, 4);
            return ink;
        }
        double s = within(u);
        double t = within(v);
        for (int plate = 0; plate < 4; plate++) {
            ink[plate] = mean(s, t, plate);
        }
        return ink;
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

    /**
     * @param plate from 0, or -1 for what covers
     */
    private double mean(double u, double v, int plate) {
        double x = u * image.width() - 0.5;
        double y = v * image.height() - 0.5;
        int left = (int) Math.floor(x);
        int top = (int) Math.floor(y);
        double partX = x - left;
        double partY = y - top;
        double sum = 0;
        double weights = 0;
        for (int row = 0; row < 2; row++) {
            for (int column = 0; column < 2; column++) {
                double weight = (column == 0 ? 1 - partX : partX) * (row == 0 ? 1 - partY : partY);
                int px = neighbour(left + column, image.width());
                int py = neighbour(top + row, image.height());
                double covers = image.alpha(px, py);
                if (plate < 0) {
                    sum += weight * covers;
                    weights += weight;
                } else {
                    sum +=
                            weight
                                    * covers
                                    * ((image.ink()[(py * image.width() + px) * 4 + plate] & 0xff)
                                            / 255.0);
                    weights += weight * covers;
                }
            }
        }
        return weights == 0 ? 0 : sum / weights;
    }

    private int neighbour(int at, int count) {
        return picture.tiled() ? Math.floorMod(at, count) : Math.clamp(at, 0, count - 1);
    }
}
