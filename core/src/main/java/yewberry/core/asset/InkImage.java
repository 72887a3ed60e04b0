package yewberry.core.asset;

import java.util.Optional;

/**
 * A picture in the process inks of a press condition.
 *
 * @param width pixels
 * @param height pixels
 * @param ink four bytes a pixel, cyan, magenta, yellow and black, 255 for 100 %, row by row from
 *     the top; not to be changed
 * @param alpha a byte a pixel, 255 where it covers; nothing where it covers everywhere
 */
public record InkImage(int width, int height, byte[] ink, Optional<byte[]> alpha) {
    /** How much of a pixel covers, 0 to 1. */
    public double alpha(int x, int y) {
        return alpha.map(covers -> (covers[y * width + x] & 0xff) / 255.0).orElse(1.0);
    }

    /** Bytes in memory. */
    long size() {
        return ink.length + alpha.map(covers -> covers.length).orElse(0);
    }
}
