package yewberry.pdf.read;

import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.util.Arrays;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.color.PDLab;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Medium;
import yewberry.core.color.PlaneTable;

/** Reads an image of a file (ISO 32000-1, 8.9) into planes, without going through light. */
final class ImageReader {
    private final DeviceColors colors;

    ImageReader(DeviceColors colors) {
        this.colors = colors;
    }

    /**
     * All pixels, with what its masks leave of them.
     *
     * @throws IOException if it cannot be decoded
     */
    PlaneImage read(PDImage image) throws IOException {
        int width = image.getWidth();
        int height = image.getHeight();
        int[] samples = samples(image, components(image));
        byte[] planes = planes(image, samples, width * height);
        Optional<byte[]> alpha = alpha(image, samples, width, height);
        return new PlaneImage(width, height, colors.count(), planes, alpha);
    }

    /** What a stencil paints: 255 where it does. */
    static byte[] stencil(PDImage image) throws IOException {
        int[] samples = samples(image, 1);
        COSArray decode = image.getDecode();
        boolean reversed = decode != null && decode.size() > 0 && number(decode, 0) == 1;
        byte[] painted = new byte[samples.length];
        for (int i = 0; i < painted.length; i++) {
            painted[i] = (byte) (samples[i] == 0 != reversed ? 255 : 0);
        }
        return painted;
    }

    private static int components(PDImage image) throws IOException {
        return image.getColorSpace().getNumberOfComponents();
    }

    private static int[] samples(PDImage image, int components) throws IOException {
        int across = image.getWidth() * components;
        long count = (long) across * image.getHeight();
        if (count > Integer.MAX_VALUE / 2) {
            throw tooLarge(image);
        }
        int[] samples = new int[Math.max(0, (int) count)];
        rows(image, components, (y, row) -> System.arraycopy(row, 0, samples, y * across, across));
        return samples;
    }

    private static IOException tooLarge(PDImage image) {
        return new IOException(
                "An image of %d by %d".formatted(image.getWidth(), image.getHeight()));
    }

    /** Gets the samples of a row, all components of a pixel after one another; it is used again. */
    interface Row {
        void read(int y, int[] samples) throws IOException;
    }

    /**
     * Goes through a picture without holding all of it.
     *
     * @throws IOException if it cannot be decoded
     */
    static void rows(PDImage image, int components, Row each) throws IOException {
        int width = image.getWidth();
        int height = image.getHeight();
        int bits = image.isStencil() ? 1 : image.getBitsPerComponent();
        if (bits != 1 && bits != 2 && bits != 4 && bits != 8 && bits != 16) {
            throw new IOException("An image of " + bits + " bits");
        }
        if (width < 1 || height < 1 || (long) width * components > Integer.MAX_VALUE / 32) {
            throw tooLarge(image);
        }
        int[] samples = new int[width * components];
        // each row begins with a byte of its own
        byte[] row = new byte[(samples.length * bits + 7) / 8];
        try (InputStream in = image.createInputStream()) {
            for (int y = 0; y < height; y++) {
                if (in.readNBytes(row, 0, row.length) < row.length) {
                    throw new EOFException("An image that ends too early");
                }
                for (int i = 0; i < samples.length; i++) {
                    samples[i] = sample(row, i, bits);
                }
                each.read(y, samples);
            }
        }
    }

    private static int sample(byte[] row, int index, int bits) {
        return switch (bits) {
            case 8 -> row[index] & 0xff;
            case 16 -> (row[2 * index] & 0xff) << 8 | row[2 * index + 1] & 0xff;
            default -> {
                int at = index * bits;
                yield row[at / 8] >> 8 - bits - at % 8 & (1 << bits) - 1;
            }
        };
    }

    byte[] planes(PDImage image, int[] samples, int pixels) throws IOException {
        PDColorSpace space = image.getColorSpace();
        int components = space.getNumberOfComponents();
        float[][] decoded = decoded(image, space, components);
        Optional<byte[]> quick = quick(image, space, samples, pixels);
        if (quick.isPresent()) {
            return quick.get();
        }
        byte[] planes = new byte[pixels * colors.count()];
        float[] values = new float[components];
        int[] last = new int[components];
        Arrays.fill(last, -1);
        for (int pixel = 0; pixel < pixels; pixel++) {
            int from = pixel * components;
            int to = pixel * colors.count();
            if (Arrays.equals(last, 0, components, samples, from, from + components)) {
                System.arraycopy(planes, to - colors.count(), planes, to, colors.count());
                continue;
            }
            for (int i = 0; i < components; i++) {
                last[i] = samples[from + i];
                values[i] = decoded[i][Math.min(last[i], decoded[i].length - 1)];
            }
            double[] of = colors.of(space, values).planes();
            for (int i = 0; i < of.length; i++) {
                planes[to + i] = (byte) Math.round(of[i] * 255);
            }
        }
        return planes;
    }

    /** Eight bits of ink or light that mean what they are: byte by byte, or by a table. */
    private Optional<byte[]> quick(PDImage image, PDColorSpace space, int[] samples, int pixels)
            throws IOException {
        if (image.getBitsPerComponent() != 8
                || image.getDecode() != null
                || colors.count() != colors.process()) {
            return Optional.empty();
        }
        boolean ink = space instanceof PDDeviceCMYK && colors.medium() == Medium.PAPER;
        boolean light = space instanceof PDDeviceRGB;
        Optional<PlaneTable> table =
                space instanceof PDICCBased icc
                        ? colors.table(icc)
                        : light ? colors.lightTable() : Optional.empty();
        if (!ink && !light && table.isEmpty()) {
            return Optional.empty();
        }
        byte[] device = new byte[samples.length];
        for (int i = 0; i < device.length; i++) {
            device[i] = (byte) samples[i];
        }
        if (table.isPresent()) {
            byte[] converted = new byte[pixels * colors.count()];
            table.get().convert(device, converted);
            return Optional.of(converted);
        }
        if (light) {
            for (int i = 0; i < device.length; i++) {
                device[i] = (byte) ~device[i];
            }
        }
        return Optional.of(device);
    }

    /** What each sample of each component means: ISO 32000-1, 8.9.5.2. */
    static float[][] decoded(PDImage image, PDColorSpace space, int components) {
        int most = (1 << image.getBitsPerComponent()) - 1;
        COSArray decode = image.getDecode();
        float[][] decoded = new float[components][most + 1];
        for (int i = 0; i < components; i++) {
            float[] range = range(space, i, most);
            if (decode != null && decode.size() >= 2 * components) {
                range = new float[] {number(decode, 2 * i), number(decode, 2 * i + 1)};
            }
            for (int sample = 0; sample <= most; sample++) {
                decoded[i][sample] = range[0] + sample * (range[1] - range[0]) / most;
            }
        }
        return decoded;
    }

    private static float[] range(PDColorSpace space, int component, int most) {
        return switch (space) {
            case PDIndexed indexed -> new float[] {0, most};
            case PDLab lab ->
                    switch (component) {
                        case 0 -> new float[] {0, 100};
                        case 1 -> new float[] {lab.getARange().getMin(), lab.getARange().getMax()};
                        default -> new float[] {lab.getBRange().getMin(), lab.getBRange().getMax()};
                    };
            default -> new float[] {0, 1};
        };
    }

    private static float number(COSArray array, int at) {
        return array.getObject(at) instanceof org.apache.pdfbox.cos.COSNumber number
                ? number.floatValue()
                : 0;
    }

    /** A soft mask, an explicit one, or one of colours: ISO 32000-1, 8.9.6. */
    static Optional<byte[]> alpha(PDImage image, int[] samples, int width, int height)
            throws IOException {
        if (!(image instanceof PDImageXObject object)) {
            return Optional.empty();
        }
        if (object.getSoftMask() != null) {
            PDImage mask = object.getSoftMask();
            int[] covers = samples(mask, 1);
            int most = (1 << mask.getBitsPerComponent()) - 1;
            float[] decoded = decoded(mask, mask.getColorSpace(), 1)[0];
            byte[] alpha = new byte[covers.length];
            for (int i = 0; i < alpha.length; i++) {
                alpha[i] = (byte) Math.round(decoded[Math.min(most, covers[i])] * 255);
            }
            return Optional.of(resized(alpha, mask, width, height));
        }
        if (object.getMask() != null) {
            byte[] kept = stencil(object.getMask());
            return Optional.of(resized(kept, object.getMask(), width, height));
        }
        return object.getColorKeyMask() == null
                ? Optional.empty()
                : Optional.of(keyed(object.getColorKeyMask(), samples, width * height));
    }

    private static byte[] keyed(COSArray ranges, int[] samples, int pixels) {
        int components = samples.length / pixels;
        byte[] alpha = new byte[pixels];
        for (int pixel = 0; pixel < pixels; pixel++) {
            boolean out = true;
            for (int i = 0; i < components && out; i++) {
                int sample = samples[pixel * components + i];
                out = sample >= number(ranges, 2 * i) && sample <= number(ranges, 2 * i + 1);
            }
            alpha[pixel] = (byte) (out ? 0 : 255);
        }
        return alpha;
    }

    private static byte[] resized(byte[] mask, PDImage of, int width, int height) {
        if (of.getWidth() == width && of.getHeight() == height) {
            return mask;
        }
        byte[] resized = new byte[width * height];
        for (int y = 0; y < height; y++) {
            int row = (int) ((y + 0.5) * of.getHeight() / height) * of.getWidth();
            for (int x = 0; x < width; x++) {
                resized[y * width + x] = mask[row + (int) ((x + 0.5) * of.getWidth() / width)];
            }
        }
        return resized;
    }
}
