package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;

class WrittenColorTest {
    /** CSS Color 4; the HSL pairs are worked from its conversion by hand. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "#1b2a49 | #1b2a49",
                "rgb(27 42 73) | #1b2a49",
                "rgb(10%, 50%, 100%) | #1a80ff",
                "rgba(0, 0, 0, 1) | #000000",
                "hsl(120 100% 25%) | #008000",
                "hsl(0deg, 100%, 50%) | #ff0000",
                "hsl(240 50% 50%) | #4040bf",
                "RebeccaPurple | #663399",
                "navy | #000080",
            })
    void screen_colours(String text, String hex) {
        assertThat(WrittenColor.read(text)).isEqualTo(Rgb.hex(hex));
    }

    /** Examples of CSS Color 4, sections on lch() and oklch(), written down from memory. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "lch(29.2345% 44.2 27) | #7d2329",
                "lch(52.2345% 72.2 56.2) | #c65d06",
                "oklch(40.101% 0.12332 21.555) | #7d2329",
                "oklch(59.686% 0.15619 49.7694) | #c65d06",
            })
    void lightness_chroma_and_hue(String text, String hex) {
        Rgb found = PressCondition.coated().toScreen(WrittenColor.read(text));
        Rgb wanted = Rgb.hex(hex);
        assertThat(Math.abs(found.red() - wanted.red())).isLessThanOrEqualTo(1);
        assertThat(Math.abs(found.green() - wanted.green())).isLessThanOrEqualTo(1);
        assertThat(Math.abs(found.blue() - wanted.blue())).isLessThanOrEqualTo(1);
        assertThatThrownBy(() -> WrittenColor.read("oklch(60% 0.4 50)"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("outside sRGB");
    }

    @Test
    void inks_by_their_letters() {
        assertThat(WrittenColor.read("C82 M64 Y22 K12")).isEqualTo(new Cmyk(82, 64, 22, 12));
        assertThat(WrittenColor.read("k 100")).isEqualTo(new Cmyk(0, 0, 0, 100));
        assertThat(WrittenColor.read("c12,5% m3")).isEqualTo(new Cmyk(12.5, 3, 0, 0));
        assertThatThrownBy(() -> WrittenColor.read("C20 C30")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> WrittenColor.read("C120")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> WrittenColor.read("C20 M")).isInstanceOf(Refused.class);
    }

    @Test
    void a_name_in_front_of_a_colour() {
        assertThat(WrittenColor.named("Harbour green #0f4a38"))
                .contains(
                        new WrittenColor.Named(Optional.of("Harbour green"), new Rgb(15, 74, 56)));
        assertThat(WrittenColor.named("Dusk C82 M64 Y22 K12"))
                .contains(new WrittenColor.Named(Optional.of("Dusk"), new Cmyk(82, 64, 22, 12)));
        assertThat(WrittenColor.named(" lab(50 20 -30) "))
                .contains(new WrittenColor.Named(Optional.empty(), new Lab(50, 20, -30)));
        assertThat(WrittenColor.named("Harbour")).isEmpty();
        assertThat(WrittenColor.named("")).isEmpty();
    }

    @Test
    void other_spaces() {
        assertThat(WrittenColor.read("lab(50 20 -30)")).isEqualTo(new Lab(50, 20, -30));
        assertThat(WrittenColor.read("lab(50% 40% 0%)")).isEqualTo(new Lab(50, 50, 0));
        assertThat(WrittenColor.read("cmyk(60% 10% 40% 0%)")).isEqualTo(new Cmyk(60, 10, 40, 0));
        assertThat(WrittenColor.read("device-cmyk(0 0.8 1 0)")).isEqualTo(new Cmyk(0, 80, 100, 0));
        assertThat(WrittenColor.read("gray(40%)")).isEqualTo(new Gray(40));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "blurple",
                "rgb(1 2)",
                "hsl(a b c)",
                "lab(200 0 0)",
                "cmyk(120% 0 0 0)",
                "rgb(300 0 0)",
                "rgba(0 0 0 / 50%)"
            })
    void anything_else_is_refused(String text) {
        assertThatThrownBy(() -> WrittenColor.read(text)).isInstanceOf(Refused.class);
    }
}
