package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;

/** Has files drawn by ghostscript, which honours the press condition that they name. */
final class Ghostscript {
    private Ghostscript() {}

    /** Draws a file on one of ghostscript's devices. */
    static void draw(Path pdf, String device, int ppi, Path to, String... more) {
        List<String> command =
                new ArrayList<>(List.of("gs", "-q", "-dSAFER", "-dNOPAUSE", "-dBATCH"));
        command.addAll(List.of("-sDEVICE=" + device, "-r" + ppi, "-sOutputFile=" + to));
        command.addAll(List.of(more));
        command.add(pdf.toString());
        Programs.Result result = Programs.run(command.toArray(String[]::new));
        assertThat(result.status()).as(result.output()).isZero();
    }

    /**
     * The pages as they are seen on the screen, relative colorimetric with black-point
     * compensation.
     */
    static List<BufferedImage> pages(Path pdf, int ppi) throws IOException {
        Path folder = Files.createTempDirectory(pdf.toAbsolutePath().getParent(), "pages");
        draw(
                pdf,
                "png16m",
                ppi,
                folder.resolve("%d.png"),
                "-dUsePDFX3Profile=0",
                "-dRenderIntent=1",
                "-dBlackPtComp=1");
        List<BufferedImage> pages = new ArrayList<>();
        for (int number = 1; Files.exists(folder.resolve(number + ".png")); number++) {
            pages.add(ImageIO.read(folder.resolve(number + ".png").toFile()));
        }
        return pages;
    }

    /** Mean and greatest difference of all components, of 255. */
    record Off(double mean, int most) {}

    /** The outermost pixels are left out, because they are only partly page. */
    static Off off(BufferedImage one, BufferedImage other) {
        long sum = 0;
        int most = 0;
        int width = Math.min(one.getWidth(), other.getWidth()) - 2;
        int height = Math.min(one.getHeight(), other.getHeight()) - 2;
        for (int y = 2; y < height; y++) {
            for (int x = 2; x < width; x++) {
                for (int shift = 0; shift <= 16; shift += 8) {
                    int difference =
                            Math.abs(
                                    (one.getRGB(x, y) >> shift & 0xff)
                                            - (other.getRGB(x, y) >> shift & 0xff));
                    sum += difference;
                    most = Math.max(most, difference);
                }
            }
        }
        return new Off((double) sum / (3L * (width - 2) * (height - 2)), most);
    }
}
