package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Numbers as ISO 32000-1, 7.3.3, has them: no exponents, no more digits than it takes. */
class ContentWriterTest {
    private static String written(double value) {
        ContentWriter content = new ContentWriter();
        content.adjust(value);
        return new String(content.bytes(), StandardCharsets.US_ASCII);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0",
        "-0.0, 0",
        "0.000004, 0",
        "-0.000004, 0",
        "0.5, 0.5",
        "-12.25, -12.25",
        "100, 100",
        "0.00001, 0.00001",
        "-0.00001, -0.00001",
        "1.999999, 2",
        "0.1, 0.1",
        "9999999.5, 9999999.5",
        "12345678.125, 12345678.125",
        "-2e10, -20000000000",
        "1e-9, 0"
    })
    void a_number_has_the_digits_that_it_takes(double value, String digits) {
        assertThat(written(value)).isEqualTo(digits + " ");
    }

    @Test
    void any_number_is_rounded_to_the_nearest_hundred_thousandth() {
        Random random = new Random(5);
        for (int i = 0; i < 100_000; i++) {
            double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(16) - 6);
            String digits = written(value).strip();
            assertThat(digits).matches("-?(0|[1-9][0-9]*)([.][0-9]*[1-9])?");
            assertThat(Double.parseDouble(digits)).isCloseTo(value, within(5.000001e-6));
        }
    }
}
