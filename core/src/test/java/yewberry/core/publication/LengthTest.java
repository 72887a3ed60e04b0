package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;

class LengthTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 mm | 3 | MM",
                "0,125 in | 0.125 | IN",
                "12pt | 12 | PT",
                "1.5 cm | 15 | MM",
                "8.5\" | 8.5 | IN",
                " -2 MM | -2 | MM",
                ".5 in | 0.5 | IN",
            })
    void any_unit_and_decimal_commas_are_read(String text, double value, Unit unit) {
        assertThat(Length.parse(text)).isEqualTo(new Length(value, unit));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "3", "mm", "3 ft", "1.2.3 mm", "NaN mm", "1e3 mm"})
    void anything_else_is_refused_with_an_example(String text) {
        assertThatThrownBy(() -> Length.parse(text))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("such as 3 mm");
    }

    @Test
    void an_inch_is_25_4_mm_and_72_points() {
        assertThat(new Length(1, Unit.IN).points()).isEqualTo(72);
        assertThat(new Length(1, Unit.IN).millimetres()).isCloseTo(25.4, within(1e-12));
        assertThat(Length.mm(25.4).points()).isCloseTo(72, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"3 mm", "0.125 in", "12 pt", "-1.5 mm", "0.000001 in", "210 mm"})
    void what_is_written_is_read_back(String text) {
        assertThat(Length.parse(text)).hasToString(text);
    }

    /** What is calculated has more decimals than are written. */
    @Test
    void what_is_calculated_is_read_back_too() {
        for (Unit unit : Unit.values()) {
            for (int i = -300; i < 300; i++) {
                Length calculated = new Length(Math.expm1(i / 40.0) / 7, unit);
                assertThat(Length.parse(calculated.toString())).isEqualTo(calculated);
            }
        }
    }

    @Test
    void a_length_beyond_100_m_is_refused() {
        assertThatThrownBy(() -> Length.mm(100_001)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Length.pt(Double.NaN)).isInstanceOf(Refused.class);
    }
}
