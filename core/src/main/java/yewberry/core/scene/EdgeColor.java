package yewberry.core.scene;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/** The colour along an edge of a picture, and how visible a join to it would be. */
public final class EdgeColor {
    public enum Edge {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM
    }

    private EdgeColor() {}

    /** The mean of the outermost pixels, each plane 0 to 1; those that let through count less. */
    public static double[] of(PlaneImage image, Edge edge) {
        double[] sum = new double[image.planes()];
        double weights = 0;
        for (int i = 0; i < length(image, edge); i++) {
            int x = x(image, edge, i);
            int y = y(image, edge, i);
            double covers = image.alpha(x, y);
            weights += covers;
            int at = (y * image.width() + x) * image.planes();
            for (int plane = 0; plane < sum.length; plane++) {
                sum[plane] += covers * (image.samples()[at + plane] & 0xff) / 255;
            }
        }
        for (int plane = 0; plane < sum.length && weights > 0; plane++) {
            sum[plane] /= weights;
        }
        return sum;
    }

    /** The mean colour along all edges, ink in whole percent. */
    public static Color around(PlaneImage image) {
        double[] sum = new double[image.planes()];
        for (Edge edge : Edge.values()) {
            double[] mean = of(image, edge);
            for (int plane = 0; plane < sum.length; plane++) {
                sum[plane] += mean[plane] / Edge.values().length;
            }
        }
        return color(sum) instanceof Cmyk ink ? ink.rounded() : color(sum);
    }

    /** The mean CIEDE2000 difference between the pixels along an edge and their mean colour. */
    public static double step(PlaneImage image, Edge edge, PressCondition condition) {
        var middle = condition.lab(color(of(image, edge)));
        return along(image, edge).stream()
                .mapToDouble(ink -> Difference.ciede2000(condition.lab(ink), middle))
                .average()
                .orElseThrow();
    }

    /** The outermost pixels, in order. */
    public static List<Color> along(PlaneImage image, Edge edge) {
        List<Color> pixels = new ArrayList<>();
        for (int i = 0; i < length(image, edge); i++) {
            int at = (y(image, edge, i) * image.width() + x(image, edge, i)) * image.planes();
            double[] pixel = new double[image.planes()];
            for (int plane = 0; plane < pixel.length; plane++) {
                pixel[plane] = (image.samples()[at + plane] & 0xff) / 255.0;
            }
            pixels.add(color(pixel));
        }
        return pixels;
    }

    /**
     * @param planes four parts of ink, or three that are taken from white light, 0 to 1
     */
    public static Color color(double... planes) {
        return planes.length == 3
                ? new Rgb(light(planes[0]), light(planes[1]), light(planes[2]))
                : new Cmyk(planes[0] * 100, planes[1] * 100, planes[2] * 100, planes[3] * 100);
    }

    private static int light(double taken) {
        return (int) Math.round((1 - taken) * 255);
    }

    private static int length(PlaneImage image, Edge edge) {
        return switch (edge) {
            case LEFT, RIGHT -> image.height();
            case TOP, BOTTOM -> image.width();
        };
    }

    private static int x(PlaneImage image, Edge edge, int along) {
        return switch (edge) {
            case LEFT -> 0;
            case RIGHT -> image.width() - 1;
            case TOP, BOTTOM -> along;
        };
    }

    private static int y(PlaneImage image, Edge edge, int along) {
        return switch (edge) {
            case TOP -> 0;
            case BOTTOM -> image.height() - 1;
            case LEFT, RIGHT -> along;
        };
    }
}
