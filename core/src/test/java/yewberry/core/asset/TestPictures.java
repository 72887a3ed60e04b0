package yewberry.core.asset;

import java.awt.image.BufferedImage;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.util.function.IntBinaryOperator;
import java.util.zip.CRC32;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;

/** Picture files that tests make for themselves. */
final class TestPictures {
    private TestPictures() {}

    /**
     * @param color of a pixel by its x and y, 0xRRGGBB
     */
    static BufferedImage picture(int width, int height, IntBinaryOperator color) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, color.applyAsInt(x, y));
            }
        }
        return image;
    }

    static byte[] file(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            if (!ImageIO.write(image, format, out)) {
                throw new IllegalArgumentException(format);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A JPEG of four inks as plain components, without Adobe's marker: 255 is 100 %. */
    static byte[] cmykJpeg(int width, int height, int... ink) {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WritableRaster raster =
                java.awt.image.Raster.createInterleavedRaster(
                        java.awt.image.DataBuffer.TYPE_BYTE, width, height, 4, null);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                raster.setPixel(x, y, ink);
            }
        }
        try (var to = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(to);
            writer.write(null, new IIOImage(raster, null, null), null);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** The same PNG with one more chunk behind its header. */
    static byte[] withChunk(byte[] png, String kind, byte[] data) {
        ByteBuffer chunk = ByteBuffer.allocate(12 + data.length);
        chunk.putInt(data.length).put(kind.getBytes(java.nio.charset.StandardCharsets.US_ASCII));
        chunk.put(data);
        CRC32 crc = new CRC32();
        crc.update(chunk.array(), 4, 4 + data.length);
        chunk.putInt((int) crc.getValue());
        int header = 8 + 25;
        return joined(
                java.util.Arrays.copyOf(png, header),
                chunk.array(),
                java.util.Arrays.copyOfRange(png, header, png.length));
    }

    /** The same JPEG with one more segment at its front. */
    static byte[] withSegment(byte[] jpeg, int marker, byte[] data) {
        ByteBuffer segment = ByteBuffer.allocate(4 + data.length);
        segment.put((byte) 0xff).put((byte) marker).putShort((short) (data.length + 2)).put(data);
        return joined(
                java.util.Arrays.copyOf(jpeg, 2),
                segment.array(),
                java.util.Arrays.copyOfRange(jpeg, 2, jpeg.length));
    }

    static byte[] joined(byte[]... parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        for (byte[] part : parts) {
            out.writeBytes(part);
        }
        return out.toByteArray();
    }
}
