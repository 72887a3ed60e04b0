package yewberry.core.scene;

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

    /** The mean CIEDE2000 difference between the pixels along an edge and their mean colour. */
    public static double step(InkImage image, Edge edge, PressCondition condition) {
        double[] mean = of(image, edge);
        var middle = condition.lab(cmyk(mean));
        int length = length(image, edge);
        double sum = 0;
        for (int i = 0; i < length; i++) {
            int at = (y(image, edge, i) * image.width() + x(image, edge, i)) * 4;
            double[] pixel = new double[4];
            for (int plate = 0; plate < 4; plate++) {
                pixel[plate] = (image.ink()[at + plate] & 0xff) / 255.0;
            }
            sum += Difference.ciede2000(condition.lab(cmyk(pixel)), middle);
        }
        return sum / length;
    }

    public static Cmyk cmyk(double[] ink) {
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
