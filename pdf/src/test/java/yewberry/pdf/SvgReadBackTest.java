package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.picture.SvgPicture;
import yewberry.core.picture.SvgPicture.PlacedScene;
import yewberry.core.publication.Area;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.SvgReadBack;

/** SVG files drawn by JSVG and held against the scenes: those that are right, and harmed ones. */
class SvgReadBackTest {
    private static final View SCREEN = View.designed(Medium.SCREEN, PressCondition.coated());

    /** Those of a seed are the same for all tests. */
    private static final Map<Long, List<PageScene>> SCENES = new HashMap<>();

    private static List<PageScene> scenes(long seed) {
        return SCENES.computeIfAbsent(
                seed,
                each -> {
                    SeededGuide guide = new SeededGuide(each);
                    return guide.scenes(guide.publication());
                });
    }

    private static List<String> problems(String svg, List<PlacedScene> pages, View view) {
        return SvgReadBack.problems(svg.getBytes(StandardCharsets.UTF_8), pages, view);
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void a_file_that_is_right_matches(Medium medium) {
        View view = View.designed(medium, PressCondition.coated());
        for (long seed : Sweep.seeds(6).toList()) {
            List<PageScene> scenes = scenes(seed + 1);
            List<PlacedScene> page = SvgPicture.arrange(List.of(scenes.getFirst()));
            assertThat(problems(SvgPicture.file(page, view), page, view))
                    .as("seed %d", seed + 1)
                    .isEmpty();
        }
    }

    /** In plain black, which overprints on paper, a space between others, and all off the page. */
    @ParameterizedTest
    @ValueSource(doubles = {35, 400})
    void text_on_and_beyond_the_edge_of_a_page_matches(double right) {
        View view = View.designed(Medium.PAPER, PressCondition.coated());
        for (long seed : Sweep.seeds(2).toList()) {
            SeededGuide guide = new SeededGuide(seed + 4);
            Publication publication = guide.publication();
            Publication moved =
                    publication.withPages(
                            publication.pages().stream()
                                    .map(page -> SpreadPdfTest.moved(page, right))
                                    .toList());
            for (PageScene scene : guide.scenes(moved)) {
                List<PlacedScene> page = SvgPicture.arrange(List.of(scene));
                assertThat(problems(SvgPicture.file(page, view), page, view))
                        .as("seed %d", seed + 4)
                        .isEmpty();
            }
        }
    }

    /** Two pages meet at a place that is no whole pixel. */
    @Test
    void a_spread_is_held_against_both_of_its_pages() {
        List<PageScene> scenes = scenes(1);
        List<PlacedScene> spread = SvgPicture.arrange(scenes.subList(0, 2));
        String svg = SvgPicture.file(spread, SCREEN);
        assertThat(problems(svg, spread, SCREEN)).isEmpty();
        List<PlacedScene> other = SvgPicture.arrange(List.of(scenes.getFirst(), scenes.get(2)));
        assertThat(problems(svg, other, SCREEN)).hasSize(2);
    }

    /** As a gradient is drawn where nothing is mixed with it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "nothing",
            value = {
                "LINEAR | nothing | nothing",
                "RADIAL | nothing | nothing",
                "LINEAR | (<stop offset=\")0.55 | $10.57",
                "LINEAR | x2=\"[0-9.]* | x2=\"200",
                "RADIAL | (<stop offset=\")0.55 | $10.57",
                "RADIAL | r=\"[0-9.]* | r=\"100",
            })
    void a_gradient_is_held_against_the_scene(Fill.Gradient.Kind kind, String find, String with) {
        List<PlacedScene> page =
                SvgPicture.arrange(
                        FillsTest.scenes(
                                1,
                                FillsTest.wholePage(
                                        "g",
                                        new Area.WholePage(),
                                        FillsTest.gradient(
                                                kind,
                                                30,
                                                FillsTest.stop(10, FillsTest.NIGHT, 100),
                                                FillsTest.stop(55, FillsTest.DAWN, 100),
                                                FillsTest.stop(100, FillsTest.NIGHT, 100)))));
        String svg = SvgPicture.file(page, SCREEN);
        assertThat(svg).contains("url(#gradient");
        if (find == null) {
            assertThat(problems(svg, page, SCREEN)).isEmpty();
            return;
        }
        String harmed = svg.replaceFirst(find, with);
        assertThat(harmed).isNotEqualTo(svg);
        assertThat(problems(harmed, page, SCREEN)).isNotEmpty();
    }

    /** The line around letters: where it goes, how wide, in which colour and round corners. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "nothing",
            value = {
                "nothing | nothing | nothing",
                "stroke-width=\"[0-9.]* | stroke-width=\"90 | drawn otherwise",
                "stroke-linejoin=\"round | stroke-linejoin=\"bevel | drawn otherwise",
                "stroke-miterlimit=\"[0-9.]* | stroke-miterlimit=\"1 | drawn otherwise",
                "fill=\"none\" stroke | fill=\"#000000\" stroke | drawn otherwise",
                "stroke=\"#[0-9a-f]{6} | stroke=\"#00ff00 | in another colour"
            })
    void outlined_letters_are_held_against_the_scene(String find, String with, String told) {
        Publication leaflet = Leaflet.publication();
        Outline outline =
                new Outline(
                        Tinted.full(Leaflet.SIGNAL.id()),
                        Length.pt(1.2),
                        Outline.Join.ROUND,
                        false);
        Publication outlined =
                leaflet.withLooks(
                        leaflet.looks().stream()
                                .map(look -> look.withOutline(Optional.of(outline)))
                                .toList());
        List<PageScene> scenes = new Composer(PressCondition.coated()).composeAll(outlined);
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes.getFirst()));
        String svg = SvgPicture.file(page, SCREEN);
        assertThat(svg).contains("stroke-width");
        if (find == null) {
            assertThat(problems(svg, page, SCREEN)).isEmpty();
            return;
        }
        String harmed = svg.replaceFirst(find, with);
        assertThat(harmed).isNotEqualTo(svg);
        assertThat(problems(harmed, page, SCREEN).getFirst())
                .contains("the outline of a letter", told);
    }

    /** It is drawn once in each colour that it comes to. */
    @ParameterizedTest
    @EnumSource(Look.Overprint.class)
    void text_that_overprints_is_held_against_the_scene(Look.Overprint overprint) {
        List<PlacedScene> page = SvgPicture.arrange(OverprintTest.scenes(overprint));
        View view = View.designed(Medium.PAPER, PressCondition.coated());
        String svg = SvgPicture.file(page, view);
        assertThat(problems(svg, page, view)).isEmpty();
        String harmed = svg.replaceFirst("<use [^>]*/>(?!.*<use)", "");
        assertThat(harmed).isNotEqualTo(svg);
        assertThat(problems(harmed, page, view)).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a letter that is gone | <use href[^>]*/> | '' | a letter of “",
                "the last letter | <use href[^>]*/>(?!.*<use) | '' | a letter of “",
                "pixels that are gone | <image [^>]*/> | '' | the backgrounds missing",
                "a line of text | <g transform=\"translate\\([-0-9. ]*\\) scale.*?</g> | '' | a letter of “",
                "text of another colour | (<g fill=\"#)[0-9a-f]{6} | $1ff00ff | in another colour",
                "text of nearly its colour | (<g fill=\"#[0-9a-f]{4})[0-9a-f]{2} | $132 | in another colour",
                "a hairline that is gone | <path d=\"(?=[^<]*fill=\"#)(?!.*<path d=)[^>]*> | '' | a border missing",
                "a shading that is gone | <rect [^>]*fill=\"#[^>]*>(?!.*<rect) | '' | missing",
                "something see-through | <g fill=\"# | <g opacity=\"0.98\" fill=\"# | changed by “opacity”",
                "something with a style | <use | <use style=\"fill:red\" | changed by “style”",
                "something more | </g></g></svg> | <rect width=\"1\" height=\"1\"/></g></g></svg> | on top",
                "something else | <g fill=\"# | <circle r=\"1\"/><g fill=\"# | changed by “circle”",
                "two that changed places | (<g fill=\"#.*?</g></g>)(.*?)(<g fill=\"#.*?</g></g>) | $3$2$1 | not in its order",
                "what is cut off | (<clipPath id=\"page[^>]*><rect x=\"[-0-9.]*\" y=\"[-0-9.]*\" width=\"3)[0-9]{2} | $100 | cut otherwise",
                "a letter that is cut once more | <use  | <use clip-path=\"url(#over-1)\"  | cut otherwise",
                "something that changes later | (<use [^>]*)/> | $1><animate attributeName=\"x\" to=\"9\"/></use> | changed by “animate”",
                "a style sheet | <defs> | <defs><style>path{fill:red}</style> | changed by “style”",
                "another size | (<svg [^>]*width=\")[0-9.]* | $1290 | size",
                "another view | (<svg [^>]*viewBox=\"[-0-9.]*) | $11 | another colour"
            })
    void what_is_harmed_is_told(String what, String find, String with, String told) {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(6).getFirst()));
        String svg = SvgPicture.file(page, SCREEN);
        String harmed = Pattern.compile(find, Pattern.DOTALL).matcher(svg).replaceFirst(with);
        assertThat(harmed).as(what).isNotEqualTo(svg);
        assertThat(problems(harmed, page, SCREEN).getFirst()).as(what).contains(told);
    }

    /** By what is added to the number, in the units of where it stands. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a letter by 0.1 mm of 12 pt | (<use href=\"#[^\"]*\" x=\")([0-9.]+) | 23.62 | 0.10",
                "pixels by 1 mm | (<image x=\")([-0-9.]+) | 2.835 | 1.00",
                "a line of text by 0.1 mm | (<g transform=\"translate\\()([0-9.]+)(?= [-0-9.]+\\) scale) | 0.2835 | 0.10",
                "a shading by 0.1 mm | (<g clip-path=[^>]*><rect [^>]*>.*?<rect x=\")([-0-9.]+) | 0.2835 | 0.10"
            })
    void what_is_moved_is_told(String what, String find, double by, String told) {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(3).getFirst()));
        String svg = SvgPicture.file(page, SCREEN);
        String moved =
                Pattern.compile(find)
                        .matcher(svg)
                        .replaceFirst(found ->
                                found.group(1) + (Double.parseDouble(found.group(2)) + by));
        assertThat(moved).as(what).isNotEqualTo(svg);
        assertThat(problems(moved, page, SCREEN).getFirst())
                .as(what)
                .contains(told + " mm from its place");
    }

    /** What it refers to, and the shapes that letters share. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "href=\"#[^\"]*\" x | href=\"#none\" x | which it lacks",
                "(<path id=\"[^>]* d=\"M)[-0-9.]+ | $1x | path",
                "translate\\(0 0\\) | skewX(3) | placed by"
            })
    void what_is_no_page_is_refused(String find, String with, String told) {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(3).getFirst()));
        String svg = SvgPicture.file(page, SCREEN).replaceFirst(find, with);
        assertThatThrownBy(() -> problems(svg, page, SCREEN))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(told);
    }

    @Test
    void what_cannot_be_read_is_refused() {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(1).getFirst()));
        assertThatThrownBy(() -> problems("<svg", page, SCREEN)).isInstanceOf(Refused.class);
    }
}
