package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.pdf.proof.WebDifference;

/** Web pages of the stories that are the same, and others. */
class WebDifferenceTest {
    private static final String STYLE = "p { color:#112233 } .x { color:#445566 }";
    private static final String PAGE =
            "<html><body><p>One</p><p>Two</p><p>Three</p><p>Four</p><p>Five</p></body></html>";

    private static List<String> differences(String page, String style) {
        return WebDifference.of(files(PAGE, STYLE), "before", files(page, style), "now");
    }

    private static Map<String, byte[]> files(String page, String style) {
        return Map.of(
                "index.html", page.getBytes(StandardCharsets.UTF_8),
                "style.css", style.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void the_same_is_told_to_be_so() {
        assertThat(differences(PAGE, STYLE)).isEmpty();
    }

    /** What comes after it is compared as well, wherever it stands. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<p>Two</p> | '' | “Two” is there only before",
                "<p>Two</p> | <p>Two</p><p>Two and a half</p> | “Two and a half” is there only now",
                "<p>Two</p> | <p>Two and a half</p> | “Two” is there before, and “Two and a half” now",
                "<p>Five</p> | '' | “Five” is there only before",
                "<p>One</p> | <p>Nought</p><p>One</p> | “Nought” is there only now"
            })
    void what_differs_does_not_hide_what_follows(String find, String with, String told) {
        List<String> found = differences(PAGE.replace(find, with), STYLE);
        assertThat(found).hasSize(1);
        assertThat(found.getFirst()).contains(told);
        if (!find.contains("Five")) {
            String colored = PAGE.replace(find, with).replace("<p>Five", "<p class=\"x\">Five");
            assertThat(differences(colored, STYLE))
                    .hasSize(2)
                    .anySatisfy(each -> assertThat(each).contains("“Five”", "#445566"));
        }
    }

    @Test
    void pages_that_have_nothing_in_common_are_told_once() {
        String other = "<html><body><p>Other</p><p>Words</p></body></html>";
        assertThat(differences(other, STYLE)).hasSize(1);
    }
}
