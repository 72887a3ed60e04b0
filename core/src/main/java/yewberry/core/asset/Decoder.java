package yewberry.core.asset;

import java.awt.image.BufferedImage;
import java.awt.image.ColorModel;
import java.awt.image.DataBufferByte;
import java.awt.image.IndexColorModel;
import java.awt.image.PixelInterleavedSampleModel;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.MemoryCacheImageInputStream;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;

/** Reads the pixels of a picture file as they are, without converting their colours. */
final class Decoder {
    private final PictureHead head;
    private final byte[] file;

    private Decoder(PictureHead head, byte[] file) {
        this.head = head;
        this.file = file;
    }

    /**
     * @param every only each so many-th pixel in both directions; 1 reads all
     * @throws Refused if the file is damaged
     */
    static PixelArray read(Asset.Format format, byte[] file, int every) {
        PictureHead head = PictureHead.of(format, file);
        try {
            return new Decoder(head, file).pixels(every).upright(head.orientation());
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof Refused refused) {
                throw refused;
            }
            throw PictureHead.damaged(format);
        }
    }

    private PixelArray pixels(int every) throws IOException {
        Iterator<ImageReader> readers =
                ImageIO.getImageReadersByFormatName(head.format().name().toLowerCase(Locale.ROOT));
        ImageReader reader = readers.next();
        try (var in = new MemoryCacheImageInputStream(new ByteArrayInputStream(file))) {
            reader.setInput(in, true, head.format() != Asset.Format.TIFF);
            ImageReadParam param = reader.getDefaultReadParam();
            param.setSourceSubsampling(every, every, 0, 0);
            boolean[] whole = {true};
            reader.addIIOReadWarningListener(
                    (source, warning) -> whole[0] &= !saysDamaged(warning));
            PixelArray pixels =
                    head.components() == 4
                            ? fourInks(reader.readRaster(0, param))
                            : pixels(reader.read(0, param));
            if (!whole[0]) {
                throw PictureHead.damaged(head.format());
            }
            return pixels;
        } finally {
            reader.dispose();
        }
    }

    /** Readers only warn where a file ends too early, each release of the JDK in other words. */
    private static boolean saysDamaged(String warning) {
        String lower = warning.toLowerCase(Locale.ROOT);
        return Stream.of("premature", "truncated", "corrupt", "missing eoi")
                .anyMatch(lower::contains);
    }

    /** Adobe's files hold inks the other way round, and YCCK where their marker says 2. */
    private PixelArray fourInks(Raster raster) {
        byte[] inks = samples(raster, 4, 0);
        boolean ycck = head.adobe().equals(Optional.of(2));
        for (int at = 0; at < inks.length && ycck; at += 4) {
            double y = inks[at] & 0xff;
            double cb = (inks[at + 1] & 0xff) - 128;
            double cr = (inks[at + 2] & 0xff) - 128;
            inks[at] = clamped(y + 1.402 * cr);
            inks[at + 1] = clamped(y - 0.344136 * cb - 0.714136 * cr);
            inks[at + 2] = clamped(y + 1.772 * cb);
        }
        if (head.adobe().isPresent()) {
            for (int i = 0; i < inks.length; i++) {
                inks[i] = (byte) ~inks[i];
            }
        }
        return new PixelArray(
                raster.getWidth(),
                raster.getHeight(),
                Asset.Colors.CMYK,
                inks,
                Optional.empty(),
                head.profile());
    }

    private static byte clamped(double value) {
        return (byte) Math.round(Math.clamp(value, 0, 255));
    }

    private PixelArray pixels(BufferedImage image) {
        ColorModel model = image.getColorModel();
        if (model instanceof IndexColorModel) {
            return Argb.pixels(image).withProfile(head.profile()); // a palette
        }
        int bands = image.getRaster().getNumBands();
        int components = model.getNumColorComponents();
        Asset.Colors colors =
                switch (components) {
                    case 1 -> Asset.Colors.GREY;
                    case 3 -> Asset.Colors.RGB;
                    case 4 -> Asset.Colors.CMYK;
                    default ->
                            throw new Refused(
                                    "This picture has %d colour channels; only grey, RGB and CMYK can be placed."
                                            .formatted(components));
                };
        byte[] samples = samples(image.getRaster(), components, 0);
        byte[] alpha = bands > components ? samples(image.getRaster(), 1, components) : null;
        return new PixelArray(
                image.getWidth(),
                image.getHeight(),
                colors,
                samples,
                covering(alpha),
                head.profile());
    }

    private static Optional<byte[]> covering(byte[] alpha) {
        for (int i = 0; alpha != null && i < alpha.length; i++) {
            if (alpha[i] != (byte) 255) {
                return Optional.of(alpha);
            }
        }
        return Optional.empty();
    }

    /** Some bands of a raster, each sample as its eight highest bits. */
    private static byte[] samples(Raster raster, int bands, int first) {
        if (raster.getSampleModel() instanceof PixelInterleavedSampleModel model
                && raster.getDataBuffer() instanceof DataBufferByte buffer
                && raster.getParent() == null
                && buffer.getOffset() == 0) {
            return samples(model, buffer.getData(), bands, first);
        }
        int width = raster.getWidth();
        byte[] samples = new byte[width * raster.getHeight() * bands];
        int[] row = new int[width];
        for (int band = 0; band < bands; band++) {
            int bits = raster.getSampleModel().getSampleSize(first + band);
            int most = (1 << bits) - 1;
            for (int y = 0; y < raster.getHeight(); y++) {
                raster.getSamples(
                        raster.getMinX(), raster.getMinY() + y, width, 1, first + band, row);
                for (int x = 0; x < width; x++) {
                    int value =
                            bits == 8
                                    ? row[x]
                                    : bits > 8 ? row[x] >>> bits - 8 : row[x] * 255 / most;
                    samples[(y * width + x) * bands + band] = (byte) value;
                }
            }
        }
        return samples;
    }

    /** The usual case: bytes that lie side by side. */
    private static byte[] samples(
            PixelInterleavedSampleModel model, byte[] data, int bands, int first) {
        int pixels = model.getWidth() * model.getHeight();
        byte[] samples = new byte[pixels * bands];
        int[] offsets = model.getBandOffsets();
        if (isPlain(model, bands, first)) {
            System.arraycopy(data, 0, samples, 0, samples.length);
            return samples;
        }
        int to = 0;
        for (int y = 0; y < model.getHeight(); y++) {
            int row = y * model.getScanlineStride();
            for (int x = 0; x < model.getWidth(); x++) {
                int from = row + x * model.getPixelStride();
                for (int band = 0; band < bands; band++) {
                    samples[to++] = data[from + offsets[first + band]];
                }
            }
        }
        return samples;
    }

    /** Whether all that there is are just these bands, in their order. */
    private static boolean isPlain(PixelInterleavedSampleModel model, int bands, int first) {
        return first == 0
                && model.getPixelStride() == bands
                && model.getScanlineStride() == bands * model.getWidth()
                && Arrays.equals(
                        model.getBandOffsets(), IntStream.range(0, model.getNumBands()).toArray());
    }
}
