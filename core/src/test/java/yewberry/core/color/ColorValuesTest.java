package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;

class ColorValuesTest {
    @Test
    void hex_is_read_with_and_without_the_sign_long_and_short() {
        assertThat(Rgb.hex("#1b2a49")).isEqualTo(new Rgb(0x1b, 0x2a, 0x49));
        assertThat(Rgb.hex(" FA0 ")).isEqualTo(new Rgb(0xff, 0xaa, 0x00));
        assertThat(new Rgb(1, 2, 255).hex()).isEqualTo("#0102ff");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "#12", "#12345", "night", "#gggggg", "1234567"})
    void what_is_no_hex_colour_is_refused_and_quoted(String text) {
        assertThatThrownBy(() -> Rgb.hex(text))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("“" + text + "”")
                .hasMessageContaining("#1b2a49");
    }

    @ParameterizedTest
    @ValueSource(doubles = {-0.1, 100.01, Double.NaN, Double.POSITIVE_INFINITY})
    void ink_outside_0_to_100_percent_is_refused(double percent) {
        assertThatThrownBy(() -> new Cmyk(0, percent, 0, 0))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Magenta");
    }

    @Test
    void an_impossible_component_is_refused() {
        assertThatThrownBy(() -> new Rgb(0, 256, 0))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Green of 256");
    }

    /**
     * CSS Color 4's sample conversions of the named colours; values from memory, three decimals.
     */
    @ParameterizedTest
    @CsvSource({
        "#ff0000, 0.628, 0.258, 29.23",
        "#00ff00, 0.866, 0.295, 142.5",
        "#0000ff, 0.452, 0.313, 264.05",
        "#ffffff, 1, 0, -1",
    })
    void oklch_of_the_primaries(String hex, double lightness, double chroma, double hue) {
        Oklch found = Oklch.of(Rgb.hex(hex));
        assertThat(found.lightness()).isCloseTo(lightness, within(0.0006));
        assertThat(found.chroma()).isCloseTo(chroma, within(0.0006));
        if (hue >= 0) {
            assertThat(found.hue()).isCloseTo(hue, within(0.06));
        }
    }

    @Test
    void every_screen_colour_comes_back_from_oklch() {
        for (int red = 0; red < 256; red += 15) {
            for (int green = 0; green < 256; green += 15) {
                for (int blue = 0; blue < 256; blue += 15) {
                    Rgb color = new Rgb(red, green, blue);
                    Oklch there = Oklch.of(color);
                    assertThat(there.inSrgb()).isTrue();
                    assertThat(there.toRgb()).isEqualTo(color);
                }
            }
        }
    }

    @Test
    void a_colour_beyond_the_screen_is_known_as_such() {
        assertThat(new Oklch(0.6, 0.35, 142).inSrgb()).isFalse();
    }
}
