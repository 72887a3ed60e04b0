package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.picture.SvgPicture;
import yewberry.core.picture.SvgPicture.PlacedScene;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.SvgReadBack;

/** SVG files drawn by JSVG and held against the scenes: those that are right, and harmed ones. */
class SvgReadBackTest {
    private static final View SCREEN = View.designed(Medium.SCREEN, PressCondition.coated());

    private static List<PageScene> scenes(long seed) {
        SeededGuide guide = new SeededGuide(seed);
        return guide.scenes(guide.publication());
    }

    private static List<String> problems(String svg, List<PlacedScene> pages, View view) {
        return SvgReadBack.problems(svg.getBytes(StandardCharsets.UTF_8), pages, view);
    }

    @ParameterizedTest
    @EnumSource(Medium.class)
    void a_file_that_is_right_matches(Medium medium) {
        View view = View.designed(medium, PressCondition.coated());
        for (long seed = 1; seed <= 3; seed++) {
            List<PageScene> scenes = scenes(seed);
            List<PlacedScene> page = SvgPicture.arrange(List.of(scenes.getFirst()));
            assertThat(problems(SvgPicture.file(page, view), page, view))
                    .as("seed %d", seed)
                    .isEmpty();
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
        assertThat(problems(svg, other, SCREEN)).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a letter that is gone | <use href[^>]*/> | ''",
                "a picture that is gone | <image [^>]*/> | ''",
                "a line of text that is gone | <g transform=\"translate\\([-0-9. ]*\\) scale.*?</g> | ''",
                "text of another colour | (<g fill=\"#)[0-9a-f]{6} | $1ff00ff"
            })
    void what_is_harmed_is_told(String what, String find, String with) {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(3).getFirst()));
        String svg = SvgPicture.file(page, SCREEN);
        String harmed = Pattern.compile(find, Pattern.DOTALL).matcher(svg).replaceFirst(with);
        assertThat(harmed).as(what).isNotEqualTo(svg);
        assertThat(problems(harmed, page, SCREEN)).as(what).hasSize(1);
    }

    /** By what is added to the number, in the units of where it stands. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a letter by 0.5 mm of 12 pt | (<use href=\"#[^\"]*\" x=\")([0-9.]+) | 118.1",
                "a picture by 1 mm | (<image x=\")([-0-9.]+) | 2.835",
                "a line of text by 0.5 mm | (<g transform=\"translate\\()([0-9.]+)(?= [-0-9.]+\\) scale) | 1.417"
            })
    void what_is_moved_is_told(String what, String find, double by) {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(3).getFirst()));
        String svg = SvgPicture.file(page, SCREEN);
        String moved =
                Pattern.compile(find)
                        .matcher(svg)
                        .replaceFirst(found ->
                                found.group(1) + (Double.parseDouble(found.group(2)) + by));
        assertThat(moved).as(what).isNotEqualTo(svg);
        assertThat(problems(moved, page, SCREEN)).as(what).hasSize(1);
    }

    @Test
    void what_cannot_be_read_is_refused() {
        List<PlacedScene> page = SvgPicture.arrange(List.of(scenes(1).getFirst()));
        assertThatThrownBy(() -> problems("<svg", page, SCREEN)).isInstanceOf(Refused.class);
    }
}
