package yewberry.core.asset;

import java.awt.image.BufferedImage;
import java.util.Optional;
import yewberry.core.publication.Asset;

/** A painted picture of the screen as pixels. */
final class Argb {
    private Argb() {}

    /**
     * @param image in sRGB
     */
    static PixelArray pixels(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        byte[] samples = new byte[width * height * 3];
        byte[] alpha = new byte[width * height];
        int[] row = new int[width];
        boolean covers = true;
        for (int y = 0; y < height; y++) {
            image.getRGB(0, y, width, 1, row, 0, width);
            for (int x = 0; x < width; x++) {
                int at = y * width + x;
                samples[at * 3] = (byte) (row[x] >> 16);
                samples[at * 3 + 1] = (byte) (row[x] >> 8);
                samples[at * 3 + 2] = (byte) row[x];
                alpha[at] = (byte) (row[x] >>> 24);
                covers &= alpha[at] == (byte) 255;
            }
        }
        return new PixelArray(
                width,
                height,
                Asset.Colors.RGB,
                samples,
                covers ? Optional.empty() : Optional.of(alpha),
                Optional.empty());
    }
}
