package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Values computed by hand from WCAG 2.2, "relative luminance" and "contrast ratio". */
class ContrastTest {
    private static double onWhite(String hex) {
        return Contrast.ratio(Rgb.hex(hex), Rgb.WHITE);
    }

    @Test
    void black_on_white_is_21_to_1() {
        assertThat(Contrast.ratio(Rgb.BLACK, Rgb.WHITE)).isCloseTo(21, within(1e-9));
        assertThat(Contrast.ratio(Rgb.WHITE, Rgb.BLACK)).isCloseTo(21, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "#767676, #777777, 4.5",
        "#595959, #5a5a5a, 7",
        "#949494, #959595, 3",
    })
    void the_greys_on_either_side_of_a_threshold_fall_on_either_side(
            String passing, String failing, double threshold) {
        assertThat(onWhite(passing)).isGreaterThanOrEqualTo(threshold);
        assertThat(onWhite(failing)).isLessThan(threshold);
    }

    @Test
    void a_ratio_is_cut_and_never_rounded_up() {
        assertThat(onWhite("#959595")).isCloseTo(2.995, within(0.0006));
        assertThat(Contrast.cut(onWhite("#959595"))).isEqualByComparingTo("2.99");
        assertThat(Contrast.cut(2.9999)).isEqualByComparingTo("2.99");
        assertThat(Contrast.cut(21)).isEqualByComparingTo("21");
    }

    @Test
    void pure_red_on_white_is_3_99() {
        // 1.05 / (0.2126 + 0.05) = 3.998...
        assertThat(Contrast.cut(onWhite("#ff0000"))).isEqualByComparingTo("3.99");
    }

    @Test
    void luminance_of_a_primary_is_its_coefficient() {
        assertThat(Contrast.luminance(new Rgb(0, 255, 0))).isCloseTo(0.7152, within(1e-12));
        assertThat(Contrast.luminance(new Rgb(0, 0, 255))).isCloseTo(0.0722, within(1e-12));
    }

    @Test
    void a_dark_component_takes_the_linear_part_of_the_curve() {
        // 10 / 255 = 0.0392 is under 0.04045, so each component is 0.0392 / 12.92
        assertThat(Contrast.luminance(new Rgb(10, 10, 10)))
                .isCloseTo(10 / 255.0 / 12.92, within(1e-12));
    }
}
