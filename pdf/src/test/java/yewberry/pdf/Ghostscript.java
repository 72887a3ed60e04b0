package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
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

    /**
     * Both drawings are the same within an outline: on average within 2 of 255, and but for a
     * hundredth of it within 12.
     *
     * @param inked of each pixel how much the outline covers, 255 for all of it
     */
    static void agrees(BufferedImage ours, BufferedImage theirs, byte[] inked) {
        int[] within = differences(ours, theirs, inked);
        assertThat(within.length).isGreaterThan(200);
        assertThat(Arrays.stream(within).average().orElseThrow()).isLessThan(2);
        assertThat(within[within.length * 99 / 100]).isLessThanOrEqualTo(12);
    }

    /** Whether a pixel and those beside it are covered wholly. */
    static boolean isInside(byte[] inked, int width, int x, int y) {
        int at = y * width + x;
        return inked[at] == -1
                && inked[at - 1] == -1
                && inked[at + 1] == -1
                && inked[at - width] == -1
                && inked[at + width] == -1;
    }

    /** In order, of all components, where letters cover a pixel wholly. */
    private static int[] differences(BufferedImage ours, BufferedImage theirs, byte[] inked) {
        List<Integer> all = new ArrayList<>();
        int width = Math.min(ours.getWidth(), theirs.getWidth());
        int height = Math.min(ours.getHeight(), theirs.getHeight());
        for (int y = 1; y < height - 1; y++) {
            for (int x = 1; x < width - 1; x++) {
                if (isInside(inked, ours.getWidth(), x, y)) {
                    for (int shift = 0; shift <= 16; shift += 8) {
                        all.add(
                                Math.abs(
                                        (ours.getRGB(x, y) >> shift & 0xff)
                                                - (theirs.getRGB(x, y) >> shift & 0xff)));
                    }
                }
            }
        }
        return all.stream().mapToInt(Integer::intValue).sorted().toArray();
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
