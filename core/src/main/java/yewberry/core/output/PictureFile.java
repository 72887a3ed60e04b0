package yewberry.core.output;

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
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;

/** Pictures as files that say their colours (sRGB) and their resolution. */
public final class PictureFile {
    private static final float QUALITY = 0.92f;
    private static final int SIGNATURE = 8;
    private static final double PER_METRE = 1000 / 25.4;

    /** The most that one marker segment of a JPEG file holds (ITU-T T.81, B.1.1.4). */
    private static final int SEGMENT = 65_000;

    private PictureFile() {}

    /** The profile that all of them have. */
    public static byte[] profile() {
        return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
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

    /**
     * A JPEG file (JFIF) of full colour resolution with a profile (ICC.1, annex B.4).
     *
     * @param ppi pixels per inch
     */
    public static byte[] jpeg(BufferedImage image, double ppi) {
        BufferedImage opaque =
                new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_INT_RGB);
        opaque.createGraphics().drawImage(image, 0, 0, null);
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(plain)) {
            ImageWriteParam quality = writer.getDefaultWriteParam();
            quality.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            quality.setCompressionQuality(QUALITY);
            IIOMetadata metadata =
                    writer.getDefaultImageMetadata(new ImageTypeSpecifier(opaque), quality);
            full(metadata, (int) Math.round(ppi));
            writer.setOutput(stream);
            writer.write(null, new IIOImage(opaque, null, metadata), quality);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            writer.dispose();
        }
        return withProfile(plain.toByteArray());
    }

    /** No colour is coarser than lightness, and the resolution is said. */
    private static void full(IIOMetadata metadata, int ppi) throws IOException {
        String format = metadata.getNativeMetadataFormatName();
        IIOMetadataNode root = (IIOMetadataNode) metadata.getAsTree(format);
        IIOMetadataNode header = (IIOMetadataNode) root.getElementsByTagName("app0JFIF").item(0);
        header.setAttribute("resUnits", "1");
        header.setAttribute("Xdensity", String.valueOf(ppi));
        header.setAttribute("Ydensity", String.valueOf(ppi));
        var parts = root.getElementsByTagName("componentSpec");
        for (int i = 0; i < parts.getLength(); i++) {
            IIOMetadataNode part = (IIOMetadataNode) parts.item(i);
            part.setAttribute("HsamplingFactor", "1");
            part.setAttribute("VsamplingFactor", "1");
        }
        metadata.setFromTree(format, root);
    }

    private static byte[] withProfile(byte[] file) {
        byte[] profile = profile();
        ByteArrayOutputStream out = new ByteArrayOutputStream(file.length + profile.length + 64);
        // the beginning of the image, then its JFIF header
        int head = 4 + (((file[4] & 0xff) << 8) | (file[5] & 0xff));
        out.write(file, 0, head);
        int count = (profile.length + SEGMENT - 1) / SEGMENT;
        for (int i = 0; i < count; i++) {
            int length = Math.min(SEGMENT, profile.length - i * SEGMENT);
            int size = 2 + 14 + length;
            out.write(0xff);
            out.write(0xe2);
            out.write(size >> 8);
            out.write(size & 0xff);
            out.writeBytes("ICC_PROFILE\0".getBytes(StandardCharsets.US_ASCII));
            out.write(i + 1);
            out.write(count);
            out.write(profile, i * SEGMENT, length);
        }
        out.write(file, head, file.length - head);
        return out.toByteArray();
    }
}
