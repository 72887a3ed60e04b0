package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.publication.Language;

/**
 * Against the lists of words that the files of patterns except, and against Liang's rule itself.
 */
class HyphenationTest {
    private static String divided(String word, Language language) {
        StringBuilder divided = new StringBuilder(word);
        int[] points = Hyphenation.of(language).points(word);
        for (int i = points.length - 1; i >= 0; i--) {
            divided.insert(points[i], '-');
        }
        return divided.toString();
    }

    private static String file(String name) throws IOException {
        try (InputStream in =
                HyphenationTest.class.getResourceAsStream(
                        "/yewberry/hyphenation/hyph-%s.tex".formatted(name))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** The words between the braces of a command. */
    private static List<String> listed(String tex, String command) {
        String plain = tex.replaceAll("%.*", "");
        int at = plain.indexOf(command + "{");
        return Stream.of(
                        plain.substring(plain.indexOf('{', at) + 1, plain.indexOf('}', at))
                                .split("\\s+"))
                .filter(word -> !word.isBlank())
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"ENGLISH_AMERICAN, en-us", "ENGLISH_BRITISH, en-gb", "DUTCH, nl"})
    void words_that_the_patterns_except_are_divided_as_listed(Language language, String name)
            throws IOException {
        List<String> words = listed(file(name), "\\hyphenation");
        assertThat(words).hasSizeGreaterThan(7);
        for (String word : words) {
            assertThat(divided(word.replace("-", ""), language)).isEqualTo(word);
        }
    }

    /** D. E. Knuth, The TeXbook (1984), appendix H, "Hyphenation", from memory. */
    @Test
    void the_word_of_the_book_is_divided_as_there() {
        assertThat(divided("hyphenation", Language.ENGLISH_AMERICAN)).isEqualTo("hy-phen-ation");
        assertThat(divided("Hyphenation", Language.ENGLISH_AMERICAN)).isEqualTo("Hy-phen-ation");
    }

    @ParameterizedTest
    @EnumSource(Language.class)
    void no_division_leaves_too_few_letters_and_nothing_else_than_words_is_divided(
            Language language) {
        for (String word : List.of("a", "of", "the", "", "12345", "été", "straße")) {
            int[] points = Hyphenation.of(language).points(word);
            assertThat(Arrays.stream(points).boxed())
                    .allMatch(at -> at >= 2 && at <= word.length() - 2);
        }
        assertThat(Hyphenation.of(language).points("123456789")).isEmpty();
    }

    private static final String WORDS =
            "observatory telescope constellation magnificent Sternwarte Beobachtungsstation "
                    + "Himmelskugel Unabhängigkeitserklärung observatoire astronomique développement "
                    + "aujourd'hui observatorio constelación telescopio desarrollo osservatorio "
                    + "costellazione dell'universo sviluppo sterrenwacht waarneming verrekijker "
                    + "ontwikkeling internationalisation geography typographical";

    /**
     * Liang's thesis, chapter 2: the greatest number between two letters decides, an odd one
     * divides.
     */
    @ParameterizedTest
    @CsvSource({
        "ENGLISH_AMERICAN, en-us, 2, 3",
        "ENGLISH_BRITISH, en-gb, 2, 3",
        "GERMAN, de-1996, 2, 2",
        "FRENCH, fr, 2, 2",
        "SPANISH, es, 2, 2",
        "ITALIAN, it, 2, 2",
        "DUTCH, nl, 2, 2"
    })
    void points_are_those_that_the_patterns_give(
            Language language, String name, int left, int right) throws IOException {
        Map<String, int[]> patterns = new HashMap<>();
        for (String pattern : listed(file(name), "\\patterns")) {
            String letters = pattern.replaceAll("[0-9]", "");
            int[] numbers = new int[letters.length() + 1];
            int at = 0;
            for (char c : pattern.toCharArray()) {
                if (Character.isDigit(c)) {
                    numbers[at] = c - '0';
                } else {
                    at++;
                }
            }
            patterns.put(letters, numbers);
        }
        for (String word : WORDS.split(" ")) {
            String dotted = "." + word.toLowerCase() + ".";
            int[] most = new int[dotted.length() + 1];
            for (int from = 0; from < dotted.length(); from++) {
                for (int to = from + 1; to <= dotted.length(); to++) {
                    int[] numbers = patterns.get(dotted.substring(from, to));
                    for (int i = 0; numbers != null && i < numbers.length; i++) {
                        most[from + i] = Math.max(most[from + i], numbers[i]);
                    }
                }
            }
            List<Integer> expected = new ArrayList<>();
            for (int at = left; at <= word.length() - right; at++) {
                if (most[at + 1] % 2 == 1) {
                    expected.add(at);
                }
            }
            assertThat(Arrays.stream(Hyphenation.of(language).points(word)).boxed())
                    .as(word)
                    .containsExactlyElementsOf(expected);
        }
    }
}
