package yewberry.pdf.proof;

import java.awt.image.BufferedImage;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yewberry.core.color.Medium;
import yewberry.core.picture.Png;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.ReadBackReport.PaintCheck;

/**
 * Two paintings of one page, pixel by pixel and plane by plane. A pixel agrees where it lies within
 * what the other has at it and around it, and the other way round: edges may fall on this side of a
 * pixel or on that, and nothing may be there, or be missing, that the other has nowhere near.
 */
final class PlateComparison {
    /** What rounding, and pixels of pictures in eight bits, can cost where both are flat. */
    private static final float FLAT = 0.006f;

    /**
     * A part of 64 of a pixel more or less is covered where an edge falls a hair beside another;
     * where a letter lies on its outline, or a border ends where a shading does, two; where a
     * highlight begins there as well, three.
     */
    private static final float EDGE = 3f / 64 + FLAT;

    /** Up to so much of a difference around a pixel it counts as flat. */
    private static final float EVEN = 0.01f;

    private static final int OK = 0xffe4e4e4;
    private static final int INKED = 0xffb0b0b0;
    static final int OFF = 0xffc2183f;

    private final int width;
    private final int height;
    private final float[] worst;
    private final int[] worstPlane;
    private final boolean[] off;

    private final int place;

    /** How far any pixel is off. */
    private float most;

    private PlateComparison(PlaneRaster one, PlaneRaster other) {
        this.width = one.width();
        this.height = one.height();
        this.worst = new float[width * height];
        this.worstPlane = new int[width * height];
        this.off = new boolean[width * height];
        for (int plane = 0; plane < one.count(); plane++) {
            compare(one.printed(plane), other.printed(plane), plane);
        }
        this.place = mostOff();
    }

    /**
     * @param one as large and of as many planes as the other
     */
    static PlateComparison of(PlaneRaster one, PlaneRaster other) {
        return new PlateComparison(one, other);
    }

    /**
     * Pixels that the page ends in are left out: they are partly page, in each painting a little
     * differently. Around a pixel is looked only where it could be off, or off more than any other.
     */
    private void compare(float[] one, float[] other, int plane) {
        for (int y = 1; y < height - 1; y++) {
            for (int at = y * width + 1; at < (y + 1) * width - 1; at++) {
                float apart = Math.abs(one[at] - other[at]);
                if (apart > FLAT || apart > most) {
                    compare(new Around(one, at), new Around(other, at), at, plane);
                }
            }
        }
    }

    private void compare(Around one, Around other, int at, int plane) {
        float outside = Math.max(other.outside(one.value()), one.outside(other.value()));
        if (outside > worst[at]) {
            worst[at] = outside;
            worstPlane[at] = plane;
            most = Math.max(most, outside);
        }
        off[at] |= outside > (one.isFlat() && other.isFlat() ? FLAT : EDGE);
    }

    /** A value of a plane, with the least and the most of it and its eight neighbours. */
    private final class Around {
        private final float value;
        private final float least;
        private final float most;

        Around(float[] values, int at) {
            float low = values[at];
            float high = low;
            for (int row = at - width; row <= at + width; row += width) {
                for (int each = row - 1; each <= row + 1; each++) {
                    float there = values[each];
                    low = there < low ? there : low;
                    high = there > high ? there : high;
                }
            }
            this.value = values[at];
            this.least = low;
            this.most = high;
        }

        float value() {
            return value;
        }

        boolean isFlat() {
            return most - least <= EVEN;
        }

        /** How far a value is outside of what is here. */
        float outside(float of) {
            return Math.max(least - of, of - most);
        }
    }

    /** What the planes of a painting are called. */
    static List<String> planes(Medium medium, List<String> spots) {
        return switch (medium) {
            case PAPER ->
                    Stream.concat(Stream.of("Cyan", "Magenta", "Yellow", "Black"), spots.stream())
                            .toList();
            case SCREEN -> List.of("Red", "Green", "Blue");
        };
    }

    /**
     * In numbers and words.
     *
     * @param planes their names
     * @param shown what both paintings are of, in points from the top left corner of the trim
     * @param pictured the first painting, for a picture of what differs; nothing for none
     */
    PaintCheck told(List<String> planes, Rect shown, int ppi, Optional<PlaneRaster> pictured) {
        return new PaintCheck(
                ppi,
                Math.rint(off(place) * 1000) / 10,
                planes.get(plane(place)),
                millimetres(shown.x() + (place % width + 0.5) * 72 / ppi),
                millimetres(shown.y() + (place / width + 0.5) * 72 / ppi),
                Math.rint(share() * 10_000) / 100,
                matches(),
                pictured.map(one -> Base64.getEncoder().encodeToString(Png.of(picture(one)))));
    }

    /** From points, to a tenth. */
    static double millimetres(double points) {
        return Math.rint(points * 25.4 / 72 * 10) / 10;
    }

    /** The pixel that is off the most; where none is, the one that comes nearest to it. */
    int place() {
        return place;
    }

    private int mostOff() {
        int place = 0;
        for (int at = 1; at < worst.length; at++) {
            boolean more = off[at] == off[place] ? worst[at] > worst[place] : off[at];
            place = more ? at : place;
        }
        return place;
    }

    /** How far a pixel is off, 0 to 1. */
    double off(int at) {
        return worst[at];
    }

    int plane(int at) {
        return worstPlane[at];
    }

    boolean matches() {
        return !off[place];
    }

    boolean isOff(int at) {
        return off[at];
    }

    /** The part of all pixels that are off, 0 to 1. */
    double share() {
        int count = 0;
        for (boolean each : off) {
            count += each ? 1 : 0;
        }
        return (double) count / off.length;
    }

    /** A colour as the grey of a page on which what is off is marked: light as {@link #OK}. */
    static int grey(int rgb) {
        double light =
                (0.2126 * (rgb >> 16 & 0xff) + 0.7152 * (rgb >> 8 & 0xff) + 0.0722 * (rgb & 0xff))
                        / 255;
        int grey = (int) Math.round((OK & 0xff) * light + (INKED & 0xff) * (1 - light));
        return 0xff000000 | grey * 0x010101;
    }

    /** Half as fine: grey where both agree, darker where there is ink, and what is off marked. */
    BufferedImage picture(PlaneRaster one) {
        BufferedImage picture =
                new BufferedImage((width + 1) / 2, (height + 1) / 2, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < picture.getHeight(); y++) {
            for (int x = 0; x < picture.getWidth(); x++) {
                picture.setRGB(x, y, color(one, x * 2, y * 2));
            }
        }
        return picture;
    }

    /** What is off shows three pixels wide. */
    private int color(PlaneRaster one, int x, int y) {
        for (int row = Math.max(0, y - 1); row <= Math.min(height - 1, y + 2); row++) {
            for (int column = Math.max(0, x - 1); column <= Math.min(width - 1, x + 2); column++) {
                if (off[row * width + column]) {
                    return OFF;
                }
            }
        }
        return one.alpha(y * width + x) > 0.5 ? INKED : OK;
    }
}
