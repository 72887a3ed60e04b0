package yewberry.server.jobs;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import javax.imageio.stream.ImageOutputStream;
import yewberry.core.output.PictureFile;

/** JPEG files that say their colours (sRGB) and their resolution. */
final class JpegFile {
    private static final float QUALITY = 0.92f;

    /** The most that one marker segment holds (ITU-T T.81, B.1.1.4), with some to spare. */
    private static final int SEGMENT = 65_000;

    private JpegFile() {}

    /**
     * A JPEG file (JFIF) of full colour resolution with a profile (ICC.1, annex B.4).
     *
     * @param ppi pixels per inch
     */
    static byte[] of(BufferedImage image, double ppi) {
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
        byte[] profile = PictureFile.profile();
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
