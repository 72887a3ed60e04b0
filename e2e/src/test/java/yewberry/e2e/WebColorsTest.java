package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.output.WebPage;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfDocuments;
import yewberry.server.demo.DemoPublication;

/**
 * The colours that Chromium works out for every word of the web page, against the scenes: the
 * word's own against its paint, and what is behind it against what is drawn where it stands.
 */
@ExtendWith(Browser.class)
class WebColorsTest {
    private static final double PPI = 72;

    /** Of 255; colours are written in whole steps. */
    private static final int STEP = 1;

    @TempDir Path folder;

    private final Map<String, int[]> grounds = new HashMap<>();

    /**
     * The words of each text node, its colour, and the nearest background that is painted, with its
     * picture.
     */
    private static final String WORDS =
            """
            () => {
              const found = [];
              const nodes = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              while (nodes.nextNode()) {
                const words = nodes.currentNode.textContent.trim().split(/\\s+/).filter(Boolean);
                if (!words.length) {
                  continue;
                }
                let behind = nodes.currentNode.parentElement;
                while (behind && getComputedStyle(behind).backgroundColor === "rgba(0, 0, 0, 0)") {
                  behind = behind.parentElement;
                }
                const colour = getComputedStyle(nodes.currentNode.parentElement).color;
                const { backgroundColor, backgroundImage } = getComputedStyle(behind);
                for (const word of words) {
                  found.push([word, colour, backgroundColor, backgroundImage]);
                }
              }
              return found;
            }
            """;

    /** A word as the scenes paint it. */
    private record Painted(Rgb color, BufferedImage there) {}

    private static boolean near(Rgb one, int rgb) {
        return Math.abs(one.red() - (rgb >> 16 & 255)) <= STEP
                && Math.abs(one.green() - (rgb >> 8 & 255)) <= STEP
                && Math.abs(one.blue() - (rgb & 255)) <= STEP;
    }

    private static boolean shows(BufferedImage image, Rgb color) {
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                if (near(color, image.getRGB(x, y))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static Rgb read(Object css) {
        String[] parts = css.toString().replaceAll("[^0-9,]", "").split(",");
        return new Rgb(
                Integer.parseInt(parts[0]), Integer.parseInt(parts[1]), Integer.parseInt(parts[2]));
    }

    @Test
    void every_word_has_the_colours_that_the_scenes_have_where_it_stands(Browser.Window window)
            throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        Intake intake = new Intake(new PdfDocuments());
        Publication guide =
                DemoPublication.seasonGuide((id, name, file) -> {
                    files.put(name, file);
                    return new Asset(id, name, name, intake.look(name, file));
                });
        PressCondition press = PressCondition.coated();
        List<PageScene> scenes =
                new Composer(press, new Pictures(files::get, new PdfDocuments())).composeAll(guide);
        for (var file : WebPage.of(guide, scenes, press, Progress.NONE).entrySet()) {
            Path to = folder.resolve(file.getKey());
            Files.createDirectories(to.getParent());
            Files.write(to, file.getValue());
        }
        Map<String, List<Painted>> painted = painted(scenes, press);
        Page page = window.page();
        page.navigate(folder.resolve("index.html").toUri().toString());
        List<String> wrong = new ArrayList<>();
        int compared = 0;
        List<?> words = (List<?>) page.evaluate(WORDS);
        for (Object each : words) {
            List<?> word = (List<?>) each;
            List<Painted> in = painted.get(word.getFirst().toString());
            if (in == null) {
                continue; // hyphenated, or set of several runs
            }
            compared++;
            Rgb color = read(word.get(1));
            Rgb behind = read(word.get(2));
            String picture = word.get(3).toString();
            boolean stands =
                    picture.equals("none")
                            ? in.stream()
                                    .anyMatch(one ->
                                            near(one.color(), rgb(color))
                                                    && shows(one.there(), behind))
                            : in.stream().anyMatch(one -> near(one.color(), rgb(color)))
                                    && isLegibleOn(color, pixels(picture));
            if (!stands) {
                wrong.add(word.toString());
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(compared).isGreaterThan(words.size() * 9 / 10).isGreaterThan(300);
    }

    /** At least 3 to 1 with each pixel: WCAG 2.2, 1.4.3, large text. */
    private static boolean isLegibleOn(Rgb color, int[] pixels) {
        double own = Contrast.luminance(color);
        return Arrays.stream(pixels)
                .allMatch(pixel -> Contrast.ratio(own, Contrast.luminance(pixel)) >= 3);
    }

    /** Each colour of a picture once. */
    private int[] pixels(String css) {
        return grounds.computeIfAbsent(
                css,
                key -> {
                    String name = key.replaceAll(".*/(pictures/[^\"]*)\"?\\)", "$1");
                    try {
                        BufferedImage image = ImageIO.read(folder.resolve(name).toFile());
                        int width = image.getWidth();
                        int[] all = image.getRGB(0, 0, width, image.getHeight(), null, 0, width);
                        return Arrays.stream(all).distinct().toArray();
                    } catch (IOException gone) {
                        throw new UncheckedIOException(gone);
                    }
                });
    }

    private static int rgb(Rgb color) {
        return color.red() << 16 | color.green() << 8 | color.blue();
    }

    private static Map<String, List<Painted>> painted(
            List<PageScene> scenes, PressCondition press) {
        View view = View.designed(Medium.SCREEN, press);
        Map<String, List<Painted>> painted = new HashMap<>();
        for (PageScene scene : scenes) {
            for (Item item : scene.on(Medium.SCREEN).items()) {
                if (item instanceof Item.GlyphRun run && !run.text().isBlank()) {
                    BufferedImage there = PageRaster.page(scene, view, run.bounds(), PPI);
                    Rgb color = view.see(run.paints().getFirst().color());
                    for (String word : run.text().strip().split("\\s+")) {
                        painted.computeIfAbsent(word, key -> new ArrayList<>())
                                .add(new Painted(color, there));
                    }
                }
            }
        }
        return painted;
    }
}
