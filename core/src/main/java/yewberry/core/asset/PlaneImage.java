package yewberry.core.asset;

import java.util.Optional;

/**
 * A picture as it is mixed on a medium: in the process inks of a press condition, or in what is
 * taken from the red, green and blue light of a white screen.
 *
 * @param width pixels
 * @param height pixels
 * @param planes four on paper, three on a screen
 * @param samples a byte for each plane of each pixel, 255 for all there is of it, row by row from
 *     the top; not to be changed
 * @param alpha a byte a pixel, 255 where it covers; nothing where it covers everywhere
 */
public record PlaneImage(
        int width, int height, int planes, byte[] samples, Optional<byte[]> alpha) {
    /** How much of a pixel covers, 0 to 1. */
    public double alpha(int x, int y) {
        return alpha.map(covers -> (covers[y * width + x] & 0xff) / 255.0).orElse(1.0);
    }

    /**
     * Smaller by a whole factor: each pixel the mean of those it stands for, those that let through
     * counting less.
     */
    public PlaneImage reduced(int factor) {
        if (factor <= 1) {
            return this;
        }
        return new Reduction(width, height, planes, samples, alpha).by(factor).image();
    }

    /** Whole pixels for a width; what binary fractions add must not make one more. */
    public static int wanted(double pixels) {
        return (int) Math.ceil(pixels - 0.01);
    }

    /** By so much it is reduced where it is wanted as wide as so many pixels. */
    public static int factor(int width, int wanted) {
        return Integer.highestOneBit(Math.max(1, width / Math.max(16, wanted)));
    }

    /** Bytes in memory. */
    long size() {
        return samples.length + alpha.map(covers -> covers.length).orElse(0);
    }
}
