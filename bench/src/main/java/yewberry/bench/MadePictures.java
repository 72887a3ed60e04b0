package yewberry.bench;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.awt.image.DataBuffer;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;

/** Pictures to measure with: soft clouds with some grain, as a camera would have them. */
final class MadePictures {
    private MadePictures() {}

    /** A JPEG of red, green and blue. */
    static byte[] rgb(int width, int height, int seed) throws IOException {
        Random random = new Random(seed);
        double turn = random.nextDouble() * 6;
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double cloud = cloud(x, y, width, turn);
                int grain = (x * 31 + y * 17 + seed) % 7;
                image.setRGB(
                        x,
                        y,
                        new Color(
                                        level(40 + 90 * cloud + grain),
                                        level(60 + 100 * cloud),
                                        level(120 + 110 * cloud))
                                .getRGB());
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return out.toByteArray();
    }

    /** A JPEG of four inks. */
    static byte[] cmyk(int width, int height, int seed) throws IOException {
        double turn = new Random(seed).nextDouble() * 6;
        WritableRaster raster =
                Raster.createInterleavedRaster(DataBuffer.TYPE_BYTE, width, height, 4, null);
        int[] ink = new int[4];
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                double cloud = cloud(x, y, width, turn);
                ink[0] = level(220 - 160 * cloud);
                ink[1] = level(180 - 130 * cloud);
                ink[2] = level(60 + (x * 31 + y * 17) % 7);
                ink[3] = level(90 - 80 * cloud);
                raster.setPixel(x, y, ink);
            }
        }
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (var to = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(to);
            writer.write(null, new IIOImage(raster, null, null), null);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    private static double cloud(int x, int y, int width, double turn) {
        double u = 9.0 * x / width;
        double v = 9.0 * y / width;
        return 0.5
                + 0.25 * Math.sin(u + turn + Math.sin(v * 1.7))
                + 0.25 * Math.cos(v - u * 0.6 + turn);
    }

    private static int level(double value) {
        return Math.clamp(Math.round(value), 0, 255);
    }
}
