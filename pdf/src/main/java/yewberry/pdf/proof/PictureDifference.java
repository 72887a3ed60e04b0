package yewberry.pdf.proof;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import yewberry.core.asset.Drawings;
import yewberry.core.output.PictureFile;

/**
 * How a picture or a drawing of pages differs from another one, pixel by pixel.
 *
 * @param inWords a sentence
 * @param other the other one, small
 * @param where grey, darker where the first is, and what differs marked; nothing where they differ
 *     in size
 */
public record PictureDifference(
        String inWords, BufferedImage other, Optional<BufferedImage> where) {
    /** Drawings are compared as fine as this, in pixels per inch. */
    private static final double DRAWN_PPI = 144;

    /** Pixels along the longer side of what is shown of them. */
    private static final int LONG = 360;

    /**
     * @param one a PNG, JPEG or SVG file
     * @param other of the same kind
     * @param ppi of pictures
     * @return nothing if they are the same
     * @throws IOException if one is no picture
     * @throws yewberry.core.Refused if one is no drawing
     */
    public static Optional<PictureDifference> of(
            byte[] one, byte[] other, boolean isDrawing, double ppi) throws IOException {
        if (Arrays.equals(one, other)) {
            return Optional.empty();
        }
        return isDrawing
                ? of(drawn(one), drawn(other), DRAWN_PPI)
                : of(read(one), read(other), ppi);
    }

    private static BufferedImage drawn(byte[] file) {
        Drawings.File drawing = Drawings.open(file);
        return drawing.part(
                0, 0, DRAWN_PPI / 72, pixels(drawing.width()), pixels(drawing.height()));
    }

    private static int pixels(double points) {
        return (int) Math.ceil(points * DRAWN_PPI / 72 - 1e-6);
    }

    private static BufferedImage read(byte[] file) throws IOException {
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(file));
        if (image == null) {
            throw new IOException("No picture");
        }
        return image;
    }

    private static Optional<PictureDifference> of(
            BufferedImage one, BufferedImage other, double ppi) {
        BufferedImage shown = PictureFile.small(other, LONG);
        if (one.getWidth() != other.getWidth() || one.getHeight() != other.getHeight()) {
            return Optional.of(
                    new PictureDifference("It has another size.", shown, Optional.empty()));
        }
        int[] off = off(PictureFile.pixels(one), PictureFile.pixels(other));
        int at = 0;
        int differing = 0;
        for (int i = 0; i < off.length; i++) {
            differing += off[i] > 0 ? 1 : 0;
            at = off[i] > off[at] ? i : at;
        }
        if (differing == 0) {
            return Optional.empty();
        }
        double millimetre = 25.4 / ppi;
        String inWords =
                String.format(
                        Locale.ROOT,
                        "Its colours differ on %.2f %% of it, the most at %.1f, %.1f mm: by %d of 255.",
                        100.0 * differing / off.length,
                        (at % one.getWidth() + 0.5) * millimetre,
                        (at / one.getWidth() + 0.5) * millimetre,
                        off[at]);
        return Optional.of(new PictureDifference(inWords, shown, Optional.of(where(one, off))));
    }

    /** By how much each pixel is off, of 255. */
    private static int[] off(int[] first, int[] second) {
        int[] off = new int[first.length];
        for (int i = 0; i < first.length; i++) {
            for (int shift = 0; shift < 32; shift += 8) {
                int by = Math.abs((first[i] >> shift & 0xff) - (second[i] >> shift & 0xff));
                off[i] = Math.max(off[i], by);
            }
        }
        return off;
    }

    /** However small it is, what differs is seen. */
    private static BufferedImage where(BufferedImage one, int[] off) {
        BufferedImage where = PictureFile.small(one, LONG);
        for (int y = 0; y < where.getHeight(); y++) {
            for (int x = 0; x < where.getWidth(); x++) {
                where.setRGB(x, y, PlateComparison.grey(where.getRGB(x, y)));
            }
        }
        int width = one.getWidth();
        for (int i = 0; i < off.length; i++) {
            if (off[i] > 0) {
                where.setRGB(
                        (int) ((long) (i % width) * where.getWidth() / width),
                        (int) ((long) (i / width) * where.getHeight() / one.getHeight()),
                        PlateComparison.OFF);
            }
        }
        return where;
    }
}
