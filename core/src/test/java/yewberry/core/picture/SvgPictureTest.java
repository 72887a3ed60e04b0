package yewberry.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.ground;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.publication.Layer;
import yewberry.core.scene.Composer;
import yewberry.core.scene.PageScene;

class SvgPictureTest {
    private final View view = Sample.asDesigned();
    private final PageScene scene =
            new Composer(PressCondition.coated())
                    .compose(
                            Sample.withPage(
                                    new Layer(
                                            List.of(ground("g", NIGHT)),
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
        List<SvgPicture.Placed> placed = SvgPicture.arrange(facing);
        double leftEnds = placed.get(0).x() + placed.get(0).visible().right();
        double rightBegins = placed.get(1).x() + placed.get(1).visible().x();
        assertThat(leftEnds).isCloseTo(rightBegins, within(1e-9));
        assertThat(read(SvgPicture.spread(facing, view, true)).getDocumentElement().getTagName())
                .isEqualTo("svg");
    }
}
