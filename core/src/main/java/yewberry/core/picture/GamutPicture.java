package yewberry.core.picture;

import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.function.DoubleFunction;
import java.util.function.IntFunction;
import yewberry.core.Cancellation;
import yewberry.core.color.Color;
import yewberry.core.color.InkSearch;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Printable;
import yewberry.core.color.Rgb;

/**
 * Slices through the colours, with what a press condition can print drawn in, as PNG: what a colour
 * is chosen from.
 */
public final class GamutPicture {
    /** The chroma at the right edge of a plane; no press prints more. */
    public static final double MOST_CHROMA = 110;

    private static final int OUTSIDE = 0xff9b9b9b;
    private static final int OUTSIDE_DARK = 0xff8a8a8a;
    private static final int RIM = 0xff1c1c1c;
    private static final int PAPER = 0xffffffff;

    private final PressCondition condition;
    private final InkSearch search;

    public GamutPicture(PressCondition condition) {
        this.condition = condition;
        this.search = new InkSearch(condition);
    }

    /** Whether the press can print a colour as it is seen on the screen. */
    public boolean prints(Lab color) {
        return search.distance(color) <= Printable.SEEN;
    }

    /**
     * All colours of one hue: chroma from 0 at the left to {@link #MOST_CHROMA}, lightness from 0
     * at the bottom to 100. What cannot be printed is a grey pattern.
     *
     * @param hue of CIELAB, in degrees
     * @param width pixels
     * @param height pixels
     */
    public byte[] plane(double hue, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            Cancellation.check();
            double lightness = 100 - 100.0 * (y + 0.5) / height;
            IntFunction<Lab> row = x -> Lab.ofLch(lightness, MOST_CHROMA * (x + 0.5) / width, hue);
            boolean[] inside = inside(row, width);
            for (int x = 0; x < width; x++) {
                int outside = (x + y) / 2 % 2 == 0 ? OUTSIDE : OUTSIDE_DARK;
                int rim = x > 0 && inside[x - 1] ? RIM : outside;
                image.setRGB(x, y, inside[x] ? argb(condition.toScreen(row.apply(x))) : rim);
            }
        }
        return Png.of(image);
    }

    /** Which of a row can be printed: every eighth is asked, and between two answers each half. */
    private boolean[] inside(IntFunction<Lab> row, int width) {
        boolean[] inside = new boolean[width];
        int last = 0;
        inside[0] = prints(row.apply(0));
        while (last < width - 1) {
            int next = Math.min(width - 1, last + 8);
            inside[next] = prints(row.apply(next));
            between(row, inside, last, next);
            last = next;
        }
        return inside;
    }

    private void between(IntFunction<Lab> row, boolean[] inside, int from, int to) {
        if (inside[from] == inside[to]) {
            Arrays.fill(inside, from, to, inside[from]);
        } else if (to - from > 1) {
            int middle = (from + to) / 2;
            inside[middle] = prints(row.apply(middle));
            between(row, inside, from, middle);
            between(row, inside, middle, to);
        }
    }

    /**
     * Where a slider leads: the colours from one end to the other, and under them a dark line
     * wherever the press cannot print them.
     *
     * @param at the colour at a part of the way, 0 to 1
     * @param width pixels
     * @param height pixels; the lowest quarter is for the line
     */
    public byte[] strip(DoubleFunction<Color> at, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        int colors = height - height / 4;
        for (int x = 0; x < width; x++) {
            Color color = at.apply((x + 0.5) / width);
            int shown = argb(condition.toScreen(color));
            boolean printed =
                    switch (color) {
                        case Lab lab -> prints(lab);
                        case Rgb rgb -> prints(condition.lab(rgb));
                        default -> true;
                    };
            for (int y = 0; y < height; y++) {
                image.setRGB(x, y, y < colors ? shown : printed ? PAPER : RIM);
            }
        }
        return Png.of(image);
    }

    private static int argb(Rgb color) {
        return 0xff000000 | color.red() << 16 | color.green() << 8 | color.blue();
    }
}
