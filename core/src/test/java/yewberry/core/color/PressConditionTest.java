package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PressConditionTest {
    private final PressCondition coated = PressCondition.coated();

    /**
     * Little CMS 2.14, transicc of this profile to sRGB, relative colorimetric with black-point
     * compensation: the first two rows are noted beside the profile, the others were run for this
     * test.
     */
    @ParameterizedTest
    @CsvSource({
        "60, 10, 40, 0, 108.9, 179.5, 166.0",
        "0, 0, 0, 100, 28.1, 27.6, 26.2",
        "0, 0, 0, 0, 255, 255, 255",
        "100, 86, 42, 52, 18.2, 37.1, 64.2",
        "82, 64, 22, 12, 65.1, 86.2, 133.4",
        "5, 3, 12, 0, 245.4, 243.7, 230.7",
        "30, 20, 20, 60, 101.1, 105.4, 106.9",
    })
    void ink_looks_on_the_screen_as_little_cms_says(
            double c, double m, double y, double k, double red, double green, double blue) {
        Rgb screen = coated.toScreen(new Cmyk(c, m, y, k));
        assertThat((double) screen.red()).isCloseTo(red, within(1.0));
        assertThat((double) screen.green()).isCloseTo(green, within(1.0));
        assertThat((double) screen.blue()).isCloseTo(blue, within(1.0));
    }

    @Test
    void bare_paper_is_white_and_white_takes_no_ink() {
        assertThat(coated.toScreen(new Cmyk(0, 0, 0, 0))).isEqualTo(Rgb.WHITE);
        assertThat(coated.toInk(Rgb.WHITE)).isEqualTo(new Cmyk(0, 0, 0, 0));
    }

    /** Little CMS 2.14, transicc of sRGB to this profile, the same rendering. */
    @ParameterizedTest
    @CsvSource({
        "#506080, 55.8, 39.2, 8.9, 41.0",
        "#303840, 51.3, 36.7, 27.7, 75.0",
        "#101010, 74.4, 65.2, 55.6, 93.7",
        "#6c8f7a, 44.0, 8.4, 39.9, 36.0",
        "#000000, 81.4, 73.0, 58.6, 95.0",
    })
    void screen_colour_takes_the_inks_that_little_cms_says(
            String hex, double c, double m, double y, double k) {
        Cmyk ink = coated.toInk(Rgb.hex(hex));
        assertThat(ink.cyan()).isCloseTo(c, within(0.5));
        assertThat(ink.magenta()).isCloseTo(m, within(0.5));
        assertThat(ink.yellow()).isCloseTo(y, within(0.5));
        assertThat(ink.black()).isCloseTo(k, within(0.5));
    }

    @Test
    void a_colour_in_its_own_space_is_left_alone() {
        assertThat(coated.toInk(new Cmyk(12.5, 3, 0, 1))).isEqualTo(new Cmyk(12.5, 3, 0, 1));
        assertThat(coated.toScreen(new Rgb(1, 2, 3))).isEqualTo(new Rgb(1, 2, 3));
    }

    @Test
    void the_profile_is_handed_out_as_a_copy() {
        byte[] profile = coated.profile();
        profile[0] ^= 1;
        assertThat(coated.profile()[0]).isNotEqualTo(profile[0]);
    }
}
