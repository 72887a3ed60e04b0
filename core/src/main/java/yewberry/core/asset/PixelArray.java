package yewberry.core.asset;

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
public record PixelArray(
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
        Reduction reduced = new Reduction(width, height, components(), samples, alpha).by(factor);
        return new PixelArray(
                reduced.width(),
                reduced.height(),
                colors,
                reduced.samples(),
                reduced.alpha(),
                profile);
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
