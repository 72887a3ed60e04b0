package yewberry.core.output;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import javax.imageio.ImageIO;

/** Pictures as files that say their colours (sRGB) and their resolution. */
public final class PictureFile {
    private static final int SIGNATURE = 8;
    private static final double PER_METRE = 1000 / 25.4;

    private PictureFile() {}

    /** The profile that all of them have. */
    public static byte[] profile() {
        return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
    }

    /** All pixels of an image, alpha, red, green and blue packed, row by row. */
    public static int[] pixels(BufferedImage image) {
        int width = image.getWidth();
        int height = image.getHeight();
        return switch (image.getType()) {
            // pixel by pixel the colour model would be asked for what is there already
            case BufferedImage.TYPE_INT_ARGB ->
                    (int[]) image.getRaster().getDataElements(0, 0, width, height, null);
            case BufferedImage.TYPE_INT_RGB -> {
                int[] pixels = (int[]) image.getRaster().getDataElements(0, 0, width, height, null);
                for (int at = 0; at < pixels.length; at++) {
                    pixels[at] |= 0xff000000;
                }
                yield pixels;
            }
            default -> image.getRGB(0, 0, width, height, null, 0, width);
        };
    }

    /**
     * A small copy on white, no larger than the image.
     *
     * @param longer pixels along its longer side
     */
    public static BufferedImage small(BufferedImage image, int longer) {
        double scale = Math.min(1, (double) longer / Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
        BufferedImage small = image;
        // four pixels become one, so that each has its part in what is seen
        while (small.getWidth() >= 2 * width && small.getHeight() >= 2 * height) {
            small = drawn(small, (small.getWidth() + 1) / 2, (small.getHeight() + 1) / 2);
        }
        return drawn(small, width, height);
    }

    private static BufferedImage drawn(BufferedImage image, int width, int height) {
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = drawn.createGraphics();
        graphics.setRenderingHint(
                RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        graphics.drawImage(image, 0, 0, width, height, Color.WHITE, null);
        graphics.dispose();
        return drawn;
    }

    /**
     * A PNG file (ISO 15948) with a profile (iCCP) and a resolution (pHYs).
     *
     * @param ppi pixels per inch
     */
    public static byte[] png(BufferedImage image, double ppi) {
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", plain);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        byte[] file = plain.toByteArray();
        // the header comes first, and has 13 bytes beside its length, name and sum
        int head = SIGNATURE + 25;
        ByteArrayOutputStream out = new ByteArrayOutputStream(file.length + 4096);
        out.write(file, 0, head);
        ByteArrayOutputStream named = new ByteArrayOutputStream();
        named.writeBytes("sRGB".getBytes(StandardCharsets.US_ASCII));
        named.write(0);
        named.write(0);
        named.writeBytes(deflated(profile()));
        out.writeBytes(chunk("iCCP", named.toByteArray()));
        int perMetre = (int) Math.round(ppi * PER_METRE);
        out.writeBytes(
                chunk(
                        "pHYs",
                        ByteBuffer.allocate(9)
                                .putInt(perMetre)
                                .putInt(perMetre)
                                .put((byte) 1)
                                .array()));
        out.write(file, head, file.length - head);
        return out.toByteArray();
    }

    private static byte[] deflated(byte[] data) {
        Deflater deflater = new Deflater();
        deflater.setInput(data);
        deflater.finish();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] part = new byte[4096];
        while (!deflater.finished()) {
            out.write(part, 0, deflater.deflate(part));
        }
        deflater.end();
        return out.toByteArray();
    }

    private static byte[] chunk(String name, byte[] data) {
        byte[] named =
                ByteBuffer.allocate(4 + data.length)
                        .put(name.getBytes(StandardCharsets.US_ASCII))
                        .put(data)
                        .array();
        CRC32 sum = new CRC32();
        sum.update(named);
        return ByteBuffer.allocate(12 + data.length)
                .putInt(data.length)
                .put(named)
                .putInt((int) sum.getValue())
                .array();
    }
}
