package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.publication.Letters;

/**
 * Parts of a paragraph, cut out of it and shaped by themselves: the same glyphs at the same places.
 */
class ShapedTextTest {
    private static final String TEXT =
            "An office affair: AV waffles To Ty to find the first fjord. “Yes” LT 11 – Wa; 27 % (f) off"
                    + " AWAY Ångström To. naïve façade V. Y, r. f ff ffi T A";

    private static ShapedText shaped(String text, double tracking, Face face) {
        Type[] types = new Type[text.length() + 1];
        Arrays.fill(types, new Type(face, 10, tracking));
        return new ShapedText(text, types);
    }

    static List<Face> faces() {
        return HarfBuzzTest.latin().toList();
    }

    @ParameterizedTest
    @MethodSource("faces")
    void a_part_between_spaces_is_what_it_would_be_by_itself(Face face) {
        for (double tracking : new double[] {0, 30}) {
            ShapedText whole = shaped(TEXT, tracking, face);
            List<Integer> begins = new ArrayList<>(List.of(0));
            for (int i = 0; i < TEXT.length(); i++) {
                if (TEXT.charAt(i) == ' ') {
                    begins.add(i + 1);
                }
            }
            begins.add(TEXT.length() + 1);
            int cut = 0;
            for (int i = 0; i < begins.size(); i++) {
                for (int j = i + 1; j < begins.size(); j++) {
                    int from = begins.get(i);
                    int to = begins.get(j) - 1;
                    String part = TEXT.substring(from, to);
                    Glyphs found = whole.part(from, to, part).orElseThrow();
                    same(found, face.shape(part, tracking, Letters.USUAL), part);
                    cut++;
                }
            }
            assertThat(cut).isGreaterThan(300);
        }
    }

    private static void same(Glyphs found, Glyphs expected, String part) {
        assertThat(found.ids()).as(part).isEqualTo(expected.ids());
        assertThat(found.starts()).as(part).isEqualTo(expected.starts());
        assertThat(found.y()).as(part).isEqualTo(expected.y());
        for (int i = 0; i < found.x().length; i++) {
            assertThat(found.x()[i])
                    .as("%d of %s", i, part)
                    .isCloseTo(expected.x()[i], within(0.01));
        }
    }

    @Test
    void what_does_not_stand_between_spaces_or_is_not_all_drawn_is_shaped_by_itself() {
        Face face = FontLibrary.face("Source Serif 4", 400, false);
        assertThat(shaped("one two", 0, face).part(0, 2, "on")).isEmpty();
        assertThat(shaped("one two", 0, face).part(1, 3, "ne")).isEmpty();
        assertThat(shaped("one two", 0, face).part(4, 8, "two\u2010")).isEmpty();
        assertThat(shaped("one tw\u00ado", 0, face).part(0, 3, "one")).isEmpty();
        Type[] two = new Type[8];
        Arrays.fill(two, 0, 3, new Type(face, 10, 0));
        Arrays.fill(two, 3, 8, new Type(face, 12, 0));
        ShapedText mixed = new ShapedText("one two", two);
        assertThat(mixed.part(0, 7, "one two")).isEqualTo(Optional.empty());
        assertThat(mixed.part(4, 7, "two")).isPresent();
    }
}
