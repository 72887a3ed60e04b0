package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;

class PageRangeTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3-7, 12 | 3 4 5 6 7 12",
                "12;3 – 5 | 3 4 5 12",
                "odd | 1 3 5 7 9 11",
                "Even | 2 4 6 8 10 12",
                "10- | 10 11 12",
                "last | 12",
                "11-last | 11 12",
                "2, 2, 1-3 | 1 2 3",
            })
    void pages_are_read_as_people_write_them(String text, String numbers) {
        List<Integer> wanted =
                Arrays.stream(numbers.split(" "))
                        .map(number -> Integer.parseInt(number) - 1)
                        .toList();
        assertThat(PageRange.of(text, 12)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "9-2 | runs backwards; write 2-9",
                "0 | There is no page 0",
                "13 | There is no page 13; this publication has pages 1 to 12",
                "3-99 | There is no page 99",
                "cover | is neither a page nor a range",
                "'  ' | names no page",
                "99999999999 | is neither a page nor a range",
                "-3 | is neither a page nor a range",
            })
    void what_is_no_page_is_refused(String text, String why) {
        assertThatThrownBy(() -> PageRange.of(text, 12))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(why);
    }
}
