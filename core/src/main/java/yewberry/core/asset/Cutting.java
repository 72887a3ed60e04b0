package yewberry.core.asset;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Lab;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.SeeThrough;

/**
 * Makes one colour of a picture transparent. Where a pixel is part that colour and part another, as
 * at a smooth edge, it becomes part transparent and keeps only the other.
 */
final class Cutting {
    /** How much further than the tolerance a colour that is partly the other may be, at least. */
    private static final double SOFT = 8;

    /** How far from what was cut out, in pixels, a smooth edge goes. */
    private static final int EDGE = 2;

    private final PlaneImage image;
    private final SeeThrough color;
    private final float[] difference;

    private Cutting(PlaneImage image, SeeThrough color, PressCondition condition, Medium medium) {
        this.image = image;
        this.color = color;
        this.difference = differences(image, color, condition, medium);
    }

    static PlaneImage out(
            PlaneImage image, SeeThrough color, PressCondition condition, Medium medium) {
        return new Cutting(image, color, condition, medium)
                .cut(key(condition.device(color.color(), medium), condition));
    }

    /** The planes of a colour, 0 to 255. */
    private static double[] key(Color color, PressCondition condition) {
        if (color instanceof Rgb rgb) {
            return new double[] {255 - rgb.red(), 255 - rgb.green(), 255 - rgb.blue()};
        }
        Cmyk ink = condition.toInk(color);
        return new double[] {
            ink.cyan() * 2.55, ink.magenta() * 2.55, ink.yellow() * 2.55, ink.black() * 2.55
        };
    }

    /** Of each pixel from the colour, as seen on the screen, in CIELAB. */
    private static float[] differences(
            PlaneImage image, SeeThrough color, PressCondition condition, Medium medium) {
        byte[] screen = new byte[image.width() * image.height() * 3];
        switch (medium) {
            case PAPER -> condition.screenTable().convert(image.samples(), screen);
            case SCREEN -> {
                for (int i = 0; i < screen.length; i++) {
                    screen[i] = (byte) ~image.samples()[i];
                }
            }
        }
        Lab key = condition.lab(condition.device(color.color(), medium));
        float[] differences = new float[image.width() * image.height()];
        int last = -1;
        for (int i = 0; i < differences.length; i++) {
            int packed =
                    (screen[i * 3] & 0xff) << 16
                            | (screen[i * 3 + 1] & 0xff) << 8
                            | screen[i * 3 + 2] & 0xff;
            if (i > 0 && packed == last) {
                differences[i] = differences[i - 1];
            } else {
                Lab lab = condition.lab(Rgb.of(packed));
                differences[i] =
                        (float)
                                Math.sqrt(
                                        Math.pow(lab.lightness() - key.lightness(), 2)
                                                + Math.pow(lab.a() - key.a(), 2)
                                                + Math.pow(lab.b() - key.b(), 2));
                last = packed;
            }
        }
        return differences;
    }

    private PlaneImage cut(double[] other) {
        boolean[] gone = color.fromEdges() ? joined() : null;
        byte[] samples = image.samples().clone();
        int planes = image.planes();
        byte[] alpha = new byte[difference.length];
        double soft = Math.max(SOFT, color.tolerance());
        for (int i = 0; i < alpha.length; i++) {
            double covers = Math.clamp((difference[i] - color.tolerance()) / soft, 0, 1);
            if (gone != null && !gone[i] && !nearGone(gone, i)) {
                covers = 1;
            }
            double was = image.alpha(i % image.width(), i / image.width());
            alpha[i] = (byte) Math.round(covers * was * 255);
            for (int plane = 0; plane < planes && covers > 0 && covers < 1; plane++) {
                double mixed = samples[i * planes + plane] & 0xff;
                double alone = other[plane] + (mixed - other[plane]) / covers;
                samples[i * planes + plane] = (byte) Math.round(Math.clamp(alone, 0, 255));
            }
        }
        return new PlaneImage(image.width(), image.height(), planes, samples, Optional.of(alpha));
    }

    /** What is within the tolerance and joined to an edge through such pixels. */
    private boolean[] joined() {
        boolean[] reached = new boolean[difference.length];
        Deque<Integer> open = new ArrayDeque<>();
        int width = image.width();
        int height = image.height();
        for (int x = 0; x < width; x++) {
            reach(x, 0, reached, open);
            reach(x, height - 1, reached, open);
        }
        for (int y = 0; y < height; y++) {
            reach(0, y, reached, open);
            reach(width - 1, y, reached, open);
        }
        while (!open.isEmpty()) {
            int at = open.removeLast();
            int x = at % width;
            int y = at / width;
            reach(x - 1, y, reached, open);
            reach(x + 1, y, reached, open);
            reach(x, y - 1, reached, open);
            reach(x, y + 1, reached, open);
        }
        return reached;
    }

    private void reach(int x, int y, boolean[] reached, Deque<Integer> open) {
        if (x < 0 || y < 0 || x >= image.width() || y >= image.height()) {
            return;
        }
        int at = y * image.width() + x;
        if (!reached[at] && difference[at] <= color.tolerance()) {
            reached[at] = true;
            open.addLast(at);
        }
    }

    private boolean nearGone(boolean[] gone, int at) {
        int x = at % image.width();
        int y = at / image.width();
        for (int row = Math.max(0, y - EDGE);
                row <= Math.min(image.height() - 1, y + EDGE);
                row++) {
            for (int column = Math.max(0, x - EDGE);
                    column <= Math.min(image.width() - 1, x + EDGE);
                    column++) {
                if (gone[row * image.width() + column]) {
                    return true;
                }
            }
        }
        return false;
    }
}
