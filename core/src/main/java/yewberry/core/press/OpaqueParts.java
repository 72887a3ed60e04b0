package yewberry.core.press;

import java.util.Arrays;
import java.util.Optional;
import yewberry.core.asset.PlaneImage;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Rect;

/**
 * What of the page of a file lets nothing through that lies behind it: white boxes, scans and
 * pictures. Letters and lines hide something, too, but nothing that anyone would miss.
 *
 * @param share of the page, from 0 to 1
 * @param where a rectangle around all of them, on the page
 */
public record OpaqueParts(double share, Rect where) {
    /** Pixels across that a page is looked at in: as many as see whether it can be drawn. */
    private static final int LOOKED_AT = 300;

    /**
     * So wide and high a part of the page's width is more than a letter or a line; common practice,
     * no source.
     */
    private static final double LARGE = 0.03;

    /**
     * @param page where it lies
     * @return nothing where it has no such part
     */
    public static Optional<OpaqueParts> of(AreaPaint.Picture picture, Rect page) {
        PlaneImage image = picture.pixels().about(LOOKED_AT);
        if (image.alpha().isEmpty()) {
            return Optional.of(new OpaqueParts(1, page));
        }
        return found(image.alpha().get(), image.width(), image.height(), page);
    }

    private static Optional<OpaqueParts> found(byte[] alpha, int width, int height, Rect page) {
        int side = Math.max(2, (int) Math.round(width * LARGE));
        int[][] sums = sums(alpha, width, height);
        boolean[] hidden = new boolean[width * height];
        for (int y = 0; y + side <= height; y++) {
            for (int x = 0; x + side <= width; x++) {
                int opaque =
                        sums[y + side][x + side]
                                - sums[y][x + side]
                                - sums[y + side][x]
                                + sums[y][x];
                if (opaque == side * side) {
                    for (int row = y; row < y + side; row++) {
                        Arrays.fill(hidden, row * width + x, row * width + x + side, true);
                    }
                }
            }
        }
        int count = 0;
        int left = width;
        int right = -1;
        int top = height;
        int bottom = -1;
        for (int at = 0; at < hidden.length; at++) {
            if (hidden[at]) {
                count++;
                left = Math.min(left, at % width);
                right = Math.max(right, at % width);
                top = Math.min(top, at / width);
                bottom = Math.max(bottom, at / width);
            }
        }
        if (count == 0) {
            return Optional.empty();
        }
        double across = page.width() / width;
        double down = page.height() / height;
        return Optional.of(
                new OpaqueParts(
                        (double) count / hidden.length,
                        new Rect(
                                page.x() + left * across,
                                page.y() + top * down,
                                (right + 1 - left) * across,
                                (bottom + 1 - top) * down)));
    }

    /** How many opaque pixels are above and left of each corner. */
    private static int[][] sums(byte[] alpha, int width, int height) {
        int[][] sums = new int[height + 1][width + 1];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                int opaque = (alpha[y * width + x] & 0xff) >= 250 ? 1 : 0;
                sums[y + 1][x + 1] = opaque + sums[y][x + 1] + sums[y + 1][x] - sums[y][x];
            }
        }
        return sums;
    }
}
