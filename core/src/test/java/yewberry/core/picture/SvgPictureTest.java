package yewberry.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import yewberry.core.Sample;
import yewberry.core.color.Medium;
import yewberry.core.color.Overprint;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;

class SvgPictureTest {
    private final View view = Sample.asDesigned();
    private final PageScene scene =
            new Composer(PressCondition.coated())
                    .compose(
                            Sample.withPage(
                                    new Layer(
                                            List.of(wholePage("g", NIGHT)),
                                            List.of(
                                                    frame(
                                                            "f",
                                                            10,
                                                            10,
                                                            100,
                                                            30,
                                                            BODY,
                                                            "A noon moon")))),
                            0);

    private static Document read(String svg) {
        try {
            return DocumentBuilderFactory.newInstance()
                    .newDocumentBuilder()
                    .parse(new InputSource(new StringReader(svg)));
        } catch (Exception e) {
            throw new AssertionError("Not well-formed: " + svg, e);
        }
    }

    private static List<Element> all(Document document, String name) {
        NodeList nodes = document.getElementsByTagName(name);
        List<Element> elements = new ArrayList<>();
        for (int i = 0; i < nodes.getLength(); i++) {
            elements.add((Element) nodes.item(i));
        }
        return elements;
    }

    @Test
    void a_page_is_drawn_out_to_its_bleed_in_points() {
        Document svg = read(SvgPicture.page(scene, view, false));
        double[] view =
                java.util.Arrays.stream(svg.getDocumentElement().getAttribute("viewBox").split(" "))
                        .mapToDouble(Double::parseDouble)
                        .toArray();
        assertThat(view[0]).isCloseTo(0, within(1e-3));
        assertThat(view[1]).isCloseTo(-3 * 72 / 25.4, within(1e-3));
        assertThat(view[2]).isCloseTo(151 * 72 / 25.4, within(1e-3));
        assertThat(view[3]).isCloseTo(216 * 72 / 25.4, within(1e-3));
    }

    @Test
    void colours_are_those_of_the_press_condition() {
        String night = view.see(Sample.color(NIGHT)).hex();
        assertThat(all(read(SvgPicture.page(scene, view, false)), "rect"))
                .anyMatch(rect -> rect.getAttribute("fill").equals(night));
    }

    @Test
    void a_glyph_that_comes_again_is_drawn_once_and_used_again() {
        Document svg = read(SvgPicture.page(scene, view, false));
        List<String> used =
                all(svg, "use").stream().map(use -> use.getAttribute("href").substring(1)).toList();
        List<String> drawn =
                all(svg, "path").stream().map(path -> path.getAttribute("id")).toList();
        // "A noon moon" without its spaces has nine glyphs: A, n, o, o, n, m, o, o, n
        assertThat(used).hasSize(9);
        assertThat(drawn).hasSize(4).doesNotHaveDuplicates();
        assertThat(new HashSet<>(used)).isEqualTo(Set.copyOf(drawn));
    }

    @Test
    void each_line_of_a_spread_is_one_shape() {
        Document svg = read(SvgPicture.spread(List.of(scene), view, false));
        assertThat(all(svg, "use")).isEmpty();
        long lines =
                scene.on(view).letters().stream()
                        .mapToLong(each -> each.letters().lines().size())
                        .sum();
        assertThat(all(svg, "path")).hasSize((int) lines);
    }

    @Test
    void there_are_presentation_attributes_only_and_no_script() {
        String svg = SvgPicture.page(scene, view, true);
        assertThat(svg).doesNotContain("style", "<script", "onload", "class=");
        assertThat(all(read(svg), "rect"))
                .extracting(rect -> rect.getAttribute("data-guide"))
                .contains("trim", "bleed", "safe");
        assertThat(SvgPicture.page(scene, view, false)).doesNotContain("data-guide");
    }

    @Test
    void pages_that_face_meet_at_the_spine_without_gap_or_overlap() {
        Composer composer = new Composer(PressCondition.coated());
        List<PageScene> facing =
                List.of(
                        composer.compose(Sample.publication(), 1),
                        composer.compose(Sample.publication(), 2));
        List<SvgPicture.PlacedScene> placed = SvgPicture.arrange(facing);
        double leftEnds = placed.get(0).x() + placed.get(0).visible().right();
        double rightBegins = placed.get(1).x() + placed.get(1).visible().x();
        assertThat(leftEnds).isCloseTo(rightBegins, within(1e-9));
        assertThat(read(SvgPicture.spread(facing, view, true)).getDocumentElement().getTagName())
                .isEqualTo("svg");
    }

    /** Black over a ground of many colours is of many colours: each as the two come to in ink. */
    @Test
    void black_text_that_overprints_a_gradient_follows_it() throws IOException {
        PressCondition coated = PressCondition.coated();
        PageScene page = blackOnGradient("The Milky Way over the marsh");
        Item.GlyphRun run = page.text().getFirst();
        assertThat(run.paint().overprints()).isTrue();
        Element image = all(read(SvgPicture.page(page, view, false)), "image").getFirst();
        String data = image.getAttribute("href").replaceFirst("^data:image/png;base64,", "");
        BufferedImage painted =
                ImageIO.read(new ByteArrayInputStream(Base64.getDecoder().decode(data)));
        Painted background = new Painted(page.on(Medium.PAPER), page.on(Medium.PAPER).areas());
        Item.Line line = run.lines().getFirst();
        for (int glyph : new int[] {0, 5, line.glyphs().size() - 1}) {
            Rectangle2D letter = run.shape(line, line.glyphs().get(glyph)).getBounds2D();
            double x = letter.getCenterX();
            double y = letter.getCenterY();
            Rgb wanted =
                    coated.toScreen(
                            Overprint.over(run.paint().color(), background.at(x, y), coated));
            Rect bounds = run.bounds();
            int pixel =
                    painted.getRGB(
                            (int) ((x - bounds.x()) / bounds.width() * painted.getWidth()),
                            (int) ((y - bounds.y()) / bounds.height() * painted.getHeight()));
            assertThat(pixel >> 16 & 0xff).isCloseTo(wanted.red(), within(3));
            assertThat(pixel >> 8 & 0xff).isCloseTo(wanted.green(), within(3));
            assertThat(pixel & 0xff).isCloseTo(wanted.blue(), within(3));
        }
        assertThat(((Element) image.getParentNode()).getAttribute("clip-path"))
                .startsWith("url(#over-");
    }

    /** Nothing of it is painted, and nothing goes wrong. */
    @Test
    void spaces_that_overprint_a_gradient_are_no_picture() {
        PageScene page = blackOnGradient("\u00a0\u00a0");
        Item.GlyphRun run = page.text().getFirst();
        assertThat(run.paint().overprints()).isTrue();
        assertThat(ChosenPixels.around(run, run.bounds(), 144).count()).isZero();
        Document svg = read(SvgPicture.spread(List.of(page), view, false));
        assertThat(all(svg, "path")).allMatch(path -> path.getAttribute("d").isEmpty());
    }

    private static PageScene blackOnGradient(String text) {
        Fill gradient =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(SIGNAL.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(NIGHT.id()), 100)));
        return new Composer(PressCondition.coated())
                .compose(
                        Sample.withPage(
                                new Layer(
                                        List.of(wholePage("g", NIGHT).withFill(gradient)),
                                        List.of(frame("f", 5, 10, 130, 30, BODY, text)))),
                        0);
    }
}
