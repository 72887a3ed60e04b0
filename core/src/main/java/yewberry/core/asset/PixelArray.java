package yewberry.core.asset;

import java.util.Arrays;
import java.util.Optional;
import yewberry.core.publication.Asset;

/**
 * The pixels of a picture as they are in its file, the right way up.
 *
 * @param samples one, three or four bytes a pixel by the colours; ink of CMYK is 255 for 100 %,
 *     light of RGB and grey 255 for white
 * @param alpha a byte a pixel, 255 where it covers; nothing where it covers everywhere
 * @param profile the embedded ICC profile
 */
record PixelArray(
        int width,
        int height,
        Asset.Colors colors,
        byte[] samples,
        Optional<byte[]> alpha,
        Optional<byte[]> profile) {

    int components() {
        return components(colors);
    }

    static int components(Asset.Colors colors) {
        return switch (colors) {
            case GREY -> 1;
            case RGB -> 3;
            case CMYK -> 4;
        };
    }

    PixelArray withProfile(Optional<byte[]> changed) {
        return new PixelArray(width, height, colors, samples, alpha, changed);
    }

    /** Smaller by a whole factor: each pixel the mean of those it stands for. */
    PixelArray reduced(int factor) {
        if (factor <= 1) {
            return this;
        }
        int w = Math.max(1, width / factor);
        int h = Math.max(1, height / factor);
        int n = components();
        byte[] mean = new byte[w * h * n];
        byte[] covering = alpha.isPresent() ? new byte[w * h] : null;
        long[] sums = new long[n];
        for (int y = 0; y < h; y++) {
            int top = (int) ((long) y * height / h);
            int bottom = Math.max(top + 1, (int) ((long) (y + 1) * height / h));
            for (int x = 0; x < w; x++) {
                int left = (int) ((long) x * width / w);
                int right = Math.max(left + 1, (int) ((long) (x + 1) * width / w));
                Arrays.fill(sums, 0);
                long weights = 0;
                for (int row = top; row < bottom; row++) {
                    for (int column = left; column < right; column++) {
                        int at = row * width + column;
                        int weight = covering == null ? 1 : alpha.get()[at] & 0xff;
                        weights += weight;
                        for (int i = 0; i < n; i++) {
                            sums[i] += (long) weight * (samples[at * n + i] & 0xff);
                        }
                    }
                }
                int to = y * w + x;
                for (int i = 0; i < n && weights > 0; i++) {
                    mean[to * n + i] = (byte) ((sums[i] + weights / 2) / weights);
                }
                if (covering != null) {
                    long of = (long) (bottom - top) * (right - left);
                    covering[to] = (byte) ((weights + of / 2) / of);
                }
            }
        }
        return new PixelArray(w, h, colors, mean, Optional.ofNullable(covering), profile);
    }

    /**
     * Turned as a camera says.
     *
     * @param orientation 1 to 8: Exif 2.32, tag 0x0112
     */
    PixelArray upright(int orientation) {
        if (orientation <= 1 || orientation > 8) {
            return this;
        }
        boolean swapped = orientation >= 5;
        int w = swapped ? height : width;
        int h = swapped ? width : height;
        int n = components();
        byte[] turned = new byte[samples.length];
        byte[] covering = alpha.isPresent() ? new byte[w * h] : null;
        for (int y = 0; y < h; y++) {
            for (int x = 0; x < w; x++) {
                int fromX =
                        switch (orientation) {
                            case 2, 3 -> width - 1 - x;
                            case 4 -> x;
                            case 5, 6 -> y;
                            default -> width - 1 - y;
                        };
                int fromY =
                        switch (orientation) {
                            case 2 -> y;
                            case 3, 4 -> height - 1 - y;
                            case 5, 8 -> x;
                            default -> height - 1 - x;
                        };
                int from = fromY * width + fromX;
                int to = y * w + x;
                System.arraycopy(samples, from * n, turned, to * n, n);
                if (covering != null) {
                    covering[to] = alpha.get()[from];
                }
            }
        }
        return new PixelArray(w, h, colors, turned, Optional.ofNullable(covering), profile);
    }
}
