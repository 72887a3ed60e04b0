package yewberry.core.scene;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.asset.InkImage;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;

/** The colour along an edge of a picture, and how visible a join to it would be. */
public final class EdgeColor {
    public enum Edge {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM
    }

    private EdgeColor() {}

    /** The mean of the outermost pixels, each ink 0 to 1; those that let through count less. */
    public static double[] of(InkImage image, Edge edge) {
        double[] sum = new double[4];
        double weights = 0;
        for (int i = 0; i < length(image, edge); i++) {
            int x = x(image, edge, i);
            int y = y(image, edge, i);
            double covers = image.alpha(x, y);
            weights += covers;
            for (int plate = 0; plate < 4; plate++) {
                sum[plate] +=
                        covers * (image.ink()[(y * image.width() + x) * 4 + plate] & 0xff) / 255;
            }
        }
        for (int plate = 0; plate < 4 && weights > 0; plate++) {
            sum[plate] /= weights;
        }
        return sum;
    }

    /** The mean colour along all edges. */
    public static Cmyk around(InkImage image) {
        double[] sum = new double[4];
        for (Edge edge : Edge.values()) {
            double[] mean = of(image, edge);
            for (int plate = 0; plate < 4; plate++) {
                sum[plate] += mean[plate] / Edge.values().length;
            }
        }
        return cmyk(sum);
    }

    /** The mean CIEDE2000 difference between the pixels along an edge and their mean colour. */
    public static double step(InkImage image, Edge edge, PressCondition condition) {
        var middle = condition.lab(cmyk(of(image, edge)));
        return along(image, edge).stream()
                .mapToDouble(ink -> Difference.ciede2000(condition.lab(ink), middle))
                .average()
                .orElseThrow();
    }

    /** The outermost pixels, in order. */
    public static List<Cmyk> along(InkImage image, Edge edge) {
        List<Cmyk> pixels = new ArrayList<>();
        for (int i = 0; i < length(image, edge); i++) {
            int at = (y(image, edge, i) * image.width() + x(image, edge, i)) * 4;
            pixels.add(
                    cmyk(
                            (image.ink()[at] & 0xff) / 255.0,
                            (image.ink()[at + 1] & 0xff) / 255.0,
                            (image.ink()[at + 2] & 0xff) / 255.0,
                            (image.ink()[at + 3] & 0xff) / 255.0));
        }
        return pixels;
    }

    /**
     * @param ink four parts, 0 to 1
     */
    public static Cmyk cmyk(double... ink) {
        return new Cmyk(ink[0] * 100, ink[1] * 100, ink[2] * 100, ink[3] * 100);
    }

    private static int length(InkImage image, Edge edge) {
        return switch (edge) {
            case LEFT, RIGHT -> image.height();
            case TOP, BOTTOM -> image.width();
        };
    }

    private static int x(InkImage image, Edge edge, int along) {
        return switch (edge) {
            case LEFT -> 0;
            case RIGHT -> image.width() - 1;
            case TOP, BOTTOM -> along;
        };
    }

    private static int y(InkImage image, Edge edge, int along) {
        return switch (edge) {
            case TOP -> 0;
            case BOTTOM -> image.height() - 1;
            case LEFT, RIGHT -> along;
        };
    }
}
