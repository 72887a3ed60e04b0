package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;

/** Sums by hand; an inch is 25.4 mm and 72 pt (CSS Values 4, section 6.2, for the inch). */
class WrittenLengthTest {
    private static Length read(String text) {
        return WrittenLength.read(text, Unit.MM, Optional.of(Length.mm(210)));
    }

    @ParameterizedTest
    @CsvSource({
        "3 mm, 3 mm",
        "'1,5 cm', 15 mm",
        "12pt, 12 pt",
        "7, 7 mm",
        "210/3, 70 mm",
        "'210 mm / 3', 70 mm",
        "33.3 %, 69.93 mm",
        "50% - 3 mm, 102 mm",
        "10 mm + 1/8 in, 13.175 mm",
        "1/8 in + 10 mm, 0.5187 in",
        "1 1/8 in, 1.125 in",
        "1/8\", 0.125 in",
        "2 * (5 mm - 1), 8 mm",
        "5 mm * 2 + 1 mm * 3, 13 mm",
        "-2 mm, -2 mm",
        "2 × 3 mm ÷ 4, 1.5 mm",
        "−4 pt, -4 pt",
        "10 - 2 - 3, 5 mm",
        "20 / 2 / 5, 2 mm",
        "100 % / 3, 70 mm",
    })
    void lengths_are_read_as_they_are_written(String written, String meant) {
        assertThat(read(written)).isEqualTo(Length.parse(meant));
    }

    @Test
    void a_sum_of_units_is_kept_in_the_first() {
        Length sum = read("1 in + 25.4 mm + 72 pt");
        assertThat(sum.unit()).isEqualTo(Unit.IN);
        assertThat(sum.value()).isCloseTo(3, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "wide",
                "3 em",
                "3 mm +",
                "(3 mm",
                "3 mm)",
                "3 mm * 2 mm",
                "6 mm / 2 mm",
                "3 / (1 mm)",
                "3 mm / 0",
                "3 mm 4 mm",
                "* 3",
                "1/0 in",
                "99999999 mm",
            })
    void what_is_no_length_is_refused_with_the_reason(String written) {
        assertThatThrownBy(() -> read(written))
                .isInstanceOf(Refused.class)
                .message()
                .matches(
                        "“.*” (is not a length|comes to a number|divides by nothing).*|A length.*");
    }

    @Test
    void a_percentage_needs_something_it_is_of() {
        assertThatThrownBy(() -> WrittenLength.read("20 %", Unit.MM, Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("percentage");
    }

    @Test
    void what_is_endless_is_refused_at_once() {
        assertThatThrownBy(() -> read("(".repeat(100_000))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> read("(".repeat(199))).isInstanceOf(Refused.class);
    }
}
