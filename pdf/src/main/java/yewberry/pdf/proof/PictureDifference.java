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

/** How a picture or a drawing of pages differs from another one, pixel by pixel. */
public final class PictureDifference {
    /** Drawings are compared as fine as this, in pixels per inch. */
    private static final double DRAWN_PPI = 144;

    private PictureDifference() {}

    /**
     * @param one a PNG, JPEG or SVG file
     * @param other of the same kind
     * @param ppi of pictures
     * @return in words, where it differs at all
     * @throws IOException if one is no picture
     * @throws yewberry.core.Refused if one is no drawing
     */
    public static Optional<String> of(byte[] one, byte[] other, boolean isDrawing, double ppi)
            throws IOException {
        if (Arrays.equals(one, other)) {
            return Optional.empty();
        }
        if (isDrawing) {
            Drawings.File first = Drawings.open(one);
            Drawings.File second = Drawings.open(other);
            int width = pixels(first.width());
            int height = pixels(first.height());
            if (width != pixels(second.width()) || height != pixels(second.height())) {
                return Optional.of("It has another size.");
            }
            double scale = DRAWN_PPI / 72;
            return of(
                    first.part(0, 0, scale, width, height),
                    second.part(0, 0, scale, width, height),
                    DRAWN_PPI);
        }
        return of(read(one), read(other), ppi);
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

    private static Optional<String> of(BufferedImage one, BufferedImage other, double ppi) {
        if (one.getWidth() != other.getWidth() || one.getHeight() != other.getHeight()) {
            return Optional.of("It has another size.");
        }
        int[] first = PictureFile.pixels(one);
        int[] second = PictureFile.pixels(other);
        int differing = 0;
        int most = 0;
        int at = 0;
        for (int i = 0; i < first.length; i++) {
            int off = 0;
            for (int shift = 0; shift < 32; shift += 8) {
                off =
                        Math.max(
                                off,
                                Math.abs((first[i] >> shift & 0xff) - (second[i] >> shift & 0xff)));
            }
            differing += off > 0 ? 1 : 0;
            at = off > most ? i : at;
            most = Math.max(most, off);
        }
        if (differing == 0) {
            return Optional.empty();
        }
        double millimetre = 25.4 / ppi;
        return Optional.of(
                String.format(
                        Locale.ROOT,
                        "Its colours differ on %.2f %% of it, the most at %.1f, %.1f mm: by %d of 255.",
                        100.0 * differing / first.length,
                        (at % one.getWidth() + 0.5) * millimetre,
                        (at / one.getWidth() + 0.5) * millimetre,
                        most));
    }
}
