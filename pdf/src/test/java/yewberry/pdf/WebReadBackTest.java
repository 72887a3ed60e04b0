package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CancellationException;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.output.PictureFile;
import yewberry.core.output.WebGround;
import yewberry.core.output.WebPage;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.WebReadBack;

/** Web pages read from their files by jsoup: those that are right, and harmed ones. */
class WebReadBackTest {
    private static final int SEEDS = 12;
    private static final int BROKEN = Sweep.times(60);

    /** A web page and what it was made of. */
    private record Made(
            Publication publication, List<PageScene> scenes, Map<String, byte[]> files) {
        static Made of(Publication publication, List<PageScene> scenes) {
            return new Made(
                    publication,
                    scenes,
                    new HashMap<>(
                            WebPage.of(
                                    publication, scenes, PressCondition.coated(), Progress.NONE)));
        }

        static Made of(long seed) {
            SeededGuide guide = new SeededGuide(seed);
            Publication publication = guide.publication();
            return of(publication, guide.scenes(publication));
        }

        /** The first by seed of which something is so. */
        static Made where(Predicate<Made> is) {
            return LongStream.rangeClosed(1, SEEDS)
                    .mapToObj(Made::of)
                    .filter(is)
                    .findFirst()
                    .orElseThrow();
        }

        String text(String name) {
            return new String(files.get(name), StandardCharsets.UTF_8);
        }

        List<String> problems() {
            return WebReadBack.check(files, publication, scenes, Progress.NONE).problems();
        }
    }

    @Test
    void a_page_that_is_right_matches() {
        for (long seed = 1; seed <= SEEDS; seed++) {
            assertThat(Made.of(seed).problems()).as("seed %d", seed).isEmpty();
        }
    }

    /** Links may lead to pages that are not in it. */
    @Test
    void so_does_one_of_a_part_of_the_publication() {
        for (long seed = 1; seed <= SEEDS; seed++) {
            SeededGuide guide = new SeededGuide(seed);
            Publication publication = guide.publication();
            List<PageScene> scenes = guide.scenes(publication);
            Made last = Made.of(publication, scenes.subList(1, scenes.size()));
            assertThat(last.problems()).as("seed %d", seed).isEmpty();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '¦',
            value = {
                "a word that is gone ¦ index.html ¦ (<span class=\"[^\"]*\">)\\p{L}+ ¦ $1",
                "words that run together ¦ index.html ¦ (\\p{L}) (</span>) ¦ $1$2",
                "text that is gone ¦ index.html ¦ <span class=\"[^\"]*\">[^<]*</span> ¦ ''",
                "a heading that is a paragraph ¦ index.html ¦ <h1( [^>]*>.*?)</h1> ¦ <p$1</p>",
                "a heading of another level ¦ index.html ¦ <h2( [^>]*>.*?)</h2> ¦ <h3$1</h3>",
                "a list without numbers ¦ index.html ¦ <ol( [^>]*>.*?)</ol> ¦ <ul$1</ul>",
                "a quotation that is none ¦ index.html ¦ <blockquote>(.*?)</blockquote> ¦ $1",
                "a language that is lost ¦ index.html ¦ (<(?:p|li|span|h\\d)) lang=\"[a-z-]*\" ¦ $1",
                "another language ¦ index.html ¦ (<html lang=\")[a-z-]* ¦ $1xx",
                "an alternative text that is lost ¦ index.html ¦ alt=\"[^\"]+\" ¦ alt=\"\"",
                "a link that leads elsewhere ¦ index.html ¦ href=\"https://[^\"]* ¦ $0x",
                "a link that leads nowhere ¦ index.html ¦ id=\"(p-[^\"]*)\"(?=.*href=\"#\\1\") ¦ id=\"q\"",
                "a picture that is gone ¦ index.html ¦ <figure>.*?</figure> ¦ ''",
                "a page that is not begun ¦ index.html ¦ id=\"page-1\" ¦ id=\"page-9\"",
                "a style sheet from elsewhere ¦ index.html ¦ href=\"style.css\" ¦ href=\"https://a.example/s.css\"",
                "a picture from elsewhere ¦ index.html ¦ src=\"pictures ¦ src=\"https://a.example",
                "text of another colour ¦ style.css ¦ (\\.t\\d+ \\{ color:#)[0-9a-f]{6} ¦ $1fe0102",
                "another background of a page ¦ style.css ¦ (\\.page\\d+ \\{ background-color:#)[0-9a-f]{6} ¦ $1010203",
                "a shading that is gone ¦ style.css ¦ (\\.p\\d+ \\{[^}]*); background-color:#[0-9a-f]{6} ¦ $1",
                "a ground that is gone ¦ style.css ¦ ; background-image:[^;}]* ¦ ''",
                "another size ¦ style.css ¦ (\\.p\\d+ \\{[^}]*font-size:)[0-9.]+ ¦ $136",
                "another typeface ¦ style.css ¦ (\\.p\\d+ \\{ font-family:)'[^']*' ¦ $1'Other'",
                "another weight ¦ style.css ¦ (\\.h\\d+ \\{[^}]*font-weight:)\\d+ ¦ $1150",
                "a font that is not loaded ¦ style.css ¦ @font-face [^}]*\\} ¦ ''",
                "lines further apart ¦ style.css ¦ (\\.p\\d+ \\{[^}]*line-height:)[0-9.]+ ¦ $19",
                "text set to the other side ¦ style.css ¦ (\\.p\\d+ \\{[^}]*text-align:)[a-z]+ ¦ $1inherit",
                "a shading without padding ¦ style.css ¦ (padding:)[1-9][0-9.]*pt ¦ $10pt",
                "other corners ¦ style.css ¦ (border-radius:)[0-9.]+pt ¦ $17pt",
                "a border that is thicker ¦ style.css ¦ (border-(?:top|left):)[0-9.]+ ¦ $19",
                "a border on one side less ¦ style.css ¦ ; border-(?:top|left):[^;}]* ¦ ''",
                "a border of another colour ¦ style.css ¦ (border-[a-z]+:[^;}]*#)[0-9a-f]{6} ¦ $1fe0102",
            })
    void what_is_harmed_is_told(String what, String file, String find, String with) {
        Pattern pattern = Pattern.compile(find, Pattern.DOTALL);
        boolean everywhere = what.startsWith("a border");
        // some of it may be where nothing shows it
        Made harmed =
                Made.where(made -> {
                    var found = pattern.matcher(made.text(file));
                    String changed = everywhere ? found.replaceAll(with) : found.replaceFirst(with);
                    boolean does = !changed.equals(made.text(file));
                    made.files().put(file, changed.getBytes(StandardCharsets.UTF_8));
                    return does;
                });
        assertThat(harmed.problems()).as(what).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"pictures/\\d+-.*", "pictures/page-.*"})
    void a_picture_with_another_pixel_is_told(String pattern) {
        Predicate<String> is = name -> name.matches(pattern);
        Made made = Made.where(each -> each.files().keySet().stream().anyMatch(is));
        assertThat(made.problems()).isEmpty();
        String name = made.files().keySet().stream().filter(is).findFirst().orElseThrow();
        made.files().compute(name, (key, file) -> withOtherPixel(file));
        assertThat(made.problems()).hasSize(1).first().asString().contains("not as it is drawn");
    }

    /**
     * Wherever a page has a gradient or a picture behind it, its text has at least 3 to 1 (WCAG
     * 2.2, 1.4.3, large text) to each pixel of it; and there are such pages, and others.
     */
    @Test
    void text_is_legible_on_all_of_a_ground() throws IOException {
        int grounds = 0;
        int plain = 0;
        for (long seed = 1; seed <= SEEDS; seed++) {
            Made made = Made.of(seed);
            Document page = Jsoup.parse(made.text("index.html"));
            for (Element section : page.select("section")) {
                Pattern rule =
                        Pattern.compile(
                                "\\.%s \\{[^}]*url\\(([^)]*)\\)".formatted(section.className()));
                Matcher ground = rule.matcher(made.text("style.css"));
                if (!ground.find()) {
                    plain++;
                    continue;
                }
                grounds++;
                BufferedImage image =
                        ImageIO.read(new ByteArrayInputStream(made.files().get(ground.group(1))));
                for (Element text : section.select("span[class]")) {
                    if (standsOn(section, text, made.text("style.css"))) {
                        assertThat(least(text, made.text("style.css"), image))
                                .as("seed %d, %s, %s", seed, section.id(), text.text())
                                .isGreaterThanOrEqualTo(3);
                    }
                }
            }
        }
        assertThat(grounds).isGreaterThan(3);
        assertThat(plain).isGreaterThan(3);
    }

    private static boolean standsOn(Element section, Element text, String css) {
        return text.parents().stream()
                        .takeWhile(each -> each != section)
                        .noneMatch(each -> rule(each, css).contains("background-color"))
                && !rule(text, css).contains("background-color");
    }

    private static String rule(Element of, String css) {
        Matcher rule = Pattern.compile("\\.%s \\{([^}]*)".formatted(of.className())).matcher(css);
        return !of.className().isEmpty() && rule.find() ? rule.group(1) : "";
    }

    private static double least(Element text, String css, BufferedImage image) {
        Matcher color = Pattern.compile("color:(#[0-9a-f]{6})").matcher(rule(text, css));
        assertThat(color.find()).isTrue();
        double own = Contrast.luminance(Rgb.hex(color.group(1)));
        return IntStream.range(0, image.getWidth() * image.getHeight())
                .map(at -> image.getRGB(at % image.getWidth(), at / image.getWidth()))
                .distinct()
                .mapToDouble(pixel -> Contrast.ratio(own, Contrast.luminance(pixel)))
                .min()
                .orElseThrow();
    }

    private static byte[] withOtherPixel(byte[] png) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
            int middle = image.getWidth() / 2;
            image.setRGB(middle, 0, image.getRGB(middle, 0) ^ 0x010000);
            return PictureFile.png(image, WebPage.PPI);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"index.html", "style.css", "pictures/", "fonts/"})
    void a_file_that_is_missing_is_told(String begins) {
        Predicate<String> is = name -> name.startsWith(begins);
        Made made = Made.where(each -> each.files().keySet().stream().anyMatch(is));
        made.files().keySet().removeIf(is);
        assertThat(made.problems()).isNotEmpty();
    }

    /**
     * Whatever is done to its bytes, nothing is thrown, and most of it is told: the rest is where
     * it does not look, such as the distance of lines.
     */
    @ParameterizedTest
    @ValueSource(strings = {"index.html", "style.css", "pictures/"})
    void broken_files_are_told(String begins) {
        Random random = new Random(begins.hashCode());
        Predicate<String> is = name -> name.startsWith(begins);
        Made made = Made.where(each -> each.files().keySet().stream().anyMatch(is));
        String name = made.files().keySet().stream().filter(is).findFirst().orElseThrow();
        byte[] right = made.files().get(name);
        int told = 0;
        for (int i = 0; i < BROKEN; i++) {
            byte[] broken = right.clone();
            int from = random.nextInt(broken.length);
            Arrays.fill(
                    broken, from, Math.min(broken.length, from + 40), (byte) random.nextInt(256));
            made.files().put(name, i % 2 == 0 ? broken : Arrays.copyOf(right, from));
            told += made.problems().isEmpty() ? 0 : 1;
        }
        assertThat(told).isGreaterThan(BROKEN / 2);
    }

    /** So that a long one can be followed and cancelled. */
    @Test
    void it_tells_how_far_it_has_come() {
        Made made = Made.of(1);
        int pages = made.scenes().size();
        List<Integer> written = new ArrayList<>();
        Progress writing = (done, all) -> written.add(all == pages ? done : -1);
        WebPage.of(made.publication(), made.scenes(), PressCondition.coated(), writing);
        List<Integer> read = new ArrayList<>();
        Progress reading = (done, all) -> read.add(all == pages ? done : -1);
        WebReadBack.check(made.files(), made.publication(), made.scenes(), reading);
        assertThat(written).isSorted().startsWith(0).endsWith(pages - 1);
        assertThat(read).isSorted().startsWith(0).endsWith(pages - 1);
        Progress stopped =
                (done, _) -> {
                    if (done > pages / 2) {
                        throw new CancellationException();
                    }
                };
        assertThatThrownBy(() ->
                        WebReadBack.check(made.files(), made.publication(), made.scenes(), stopped))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void pages_of_one_parent_have_one_picture_behind_them() {
        Made made = Made.where(each -> each.text("style.css").contains("background-image"));
        List<PageScene> twice =
                Stream.concat(made.scenes().stream(), made.scenes().stream()).toList();
        WebGround.All all = new WebGround.All();
        List<WebGround> grounds =
                twice.stream().flatMap(scene -> all.of(scene, List.of()).stream()).toList();
        int half = grounds.size() / 2;
        assertThat(half).isPositive();
        assertThat(grounds.subList(0, half)).isEqualTo(grounds.subList(half, 2 * half));
    }

    @Test
    void a_rule_that_nobody_wrote_is_told() {
        Made made = Made.of(1);
        String css = made.text("style.css") + "p:no(such[ { color:#000000 }";
        made.files().put("style.css", css.getBytes(StandardCharsets.UTF_8));
        assertThat(made.problems()).containsExactly("style.css is not as it was written");
    }
}
