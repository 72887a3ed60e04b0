package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.paragraph;

import com.ibm.icu.text.Bidi;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Language;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;

/** Text that runs leftward, alone and among other text. */
class BidiTest {
    private static final double WIDTH = 300;

    private static List<String> lines(String name) throws IOException {
        try (BufferedReader in =
                new BufferedReader(
                        new InputStreamReader(
                                new GZIPInputStream(
                                        BidiTest.class.getResourceAsStream(
                                                "/unicode/" + name + ".gz")),
                                StandardCharsets.UTF_8))) {
            return in.lines()
                    .map(line -> line.replaceAll("\\s*#.*", "").strip())
                    .filter(line -> !line.isEmpty())
                    .toList();
        }
    }

    private static String text(String codePoints) {
        return Arrays.stream(codePoints.split(" "))
                .map(code -> Character.toString(Integer.parseInt(code, 16)))
                .collect(Collectors.joining());
    }

    /**
     * Unicode's BidiCharacterTest.txt, 15.0, all of it. ICU 79.1 differs from the file in 31 lines,
     * in which marks stand behind brackets, or isolates and brackets beside overrides.
     */
    @Test
    void levels_and_order_are_those_of_the_unicode_test_file() throws IOException {
        int checked = 0;
        int other = 0;
        for (String line : lines("BidiCharacterTest.txt")) {
            String[] fields = line.split(";");
            String text = text(fields[0]);
            byte level = fields[1].equals("2") ? Bidi.LEVEL_DEFAULT_LTR : Byte.parseByte(fields[1]);
            checked++;
            if (!result(text, level).equals(expected(fields))) {
                other++;
            }
        }
        assertThat(checked).isGreaterThan(90_000);
        assertThat(other).isLessThanOrEqualTo(31);
    }

    private static String expected(String[] fields) {
        return "%s;%s;%s".formatted(fields[2], fields[3], fields.length > 4 ? fields[4] : "");
    }

    /** Direction, levels and order as the file writes them; formatting characters have no level. */
    private static String result(String text, byte level) {
        Directions directions = Directions.of(text, level);
        List<String> levels = new ArrayList<>();
        List<Integer> seen = new ArrayList<>();
        List<Integer> places = new ArrayList<>();
        int place = 0;
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            int codePoint = text.codePointAt(at);
            boolean removed =
                    codePoint >= 0x202a && codePoint <= 0x202e
                            || Character.getDirectionality(codePoint)
                                    == Character.DIRECTIONALITY_BOUNDARY_NEUTRAL;
            levels.add(removed ? "x" : String.valueOf(directions.level(at)));
            if (!removed) {
                seen.add(directions.level(at));
                places.add(place);
            }
            place++;
        }
        return "%d;%s;%s"
                .formatted(
                        directions.leftward() ? 1 : 0,
                        String.join(" ", levels),
                        Directions.visual(seen).stream()
                                .map(index -> String.valueOf(places.get(index)))
                                .collect(Collectors.joining(" ")));
    }

    /**
     * Unicode's LineBreakTest.txt, 15.0; ICU is of a later version, whose rules for some scripts
     * and quotation marks differ.
     */
    @Test
    void lines_may_end_where_the_unicode_test_file_says() throws IOException {
        int same = 0;
        int all = 0;
        for (String line : lines("LineBreakTest.txt")) {
            String[] parts = line.split(" ");
            StringBuilder text = new StringBuilder();
            List<Integer> wanted = new ArrayList<>();
            for (String part : parts) {
                switch (part) {
                    case "÷" -> wanted.add(text.length());
                    case "×" -> {}
                    default -> text.append(Character.toString(Integer.parseInt(part, 16)));
                }
            }
            List<Integer> found =
                    Breaks.of(text.toString(), at -> java.util.Optional.empty()).stream()
                            .map(Breaks.Break::at)
                            .toList();
            all++;
            same += found.equals(wanted) ? 1 : 0;
        }
        assertThat(all).isGreaterThan(7_000);
        assertThat(same).isGreaterThan(all * 98 / 100);
    }

    private static List<Segment> set(Look look, String... lines) {
        List<Paragraph> text = new ArrayList<>();
        for (String line : lines) {
            text.add(paragraph("p" + text.size(), look, line));
        }
        return Typesetter.set(
                        text,
                        Sample.noMarks(text),
                        StoryPlace.BEGINNING,
                        new Box(Length.ZERO, Length.ZERO, Length.pt(WIDTH), Length.pt(400)),
                        FrameSetting.USUAL,
                        Sample.looks(id -> look))
                .segments();
    }

    /** What is seen from left to right. */
    private static String seen(List<Segment> segments) {
        record Seen(double x, String text) {}
        return segments.stream()
                .flatMap(segment ->
                        segment.glyphs().stream()
                                .map(glyph -> new Seen(segment.x() + glyph.x(), glyph.text())))
                .sorted(Comparator.comparingDouble(Seen::x))
                .map(Seen::text)
                .collect(Collectors.joining());
    }

    private static final String PEACE = "\u05e9\u05dc\u05d5\u05dd";
    private static final String WORLD = "\u05e2\u05d5\u05dc\u05dd";

    private static String turned(String text) {
        return new StringBuilder(text).reverse().toString();
    }

    @Test
    void hebrew_runs_leftward_and_numbers_in_it_rightward() {
        String text = PEACE + " 1704 " + WORLD;
        assertThat(seen(set(BODY, text))).isEqualTo(turned(WORLD) + " 1704 " + turned(PEACE));
        // among other words it stands where it was typed
        assertThat(seen(set(BODY, "See " + PEACE + " " + WORLD + " here")))
                .isEqualTo("See " + turned(PEACE + " " + WORLD) + " here");
        assertThat(set(BODY, "See " + PEACE).stream().map(Segment::text))
                .as("in the order in which it reads")
                .containsExactly("See ", PEACE);
        assertThat(set(BODY, PEACE).getFirst().type().face().family())
                .isEqualTo("Noto Sans Hebrew");
    }

    /** So that it is one finding that another font stands in. */
    @Test
    void words_that_another_face_stands_in_for_are_one_stretch() {
        List<Segment> line = set(BODY, PEACE + " " + WORLD + " " + PEACE);
        assertThat(line).hasSize(1);
        assertThat(set(BODY, "See " + PEACE + " " + WORLD + " here")).hasSize(3);
    }

    @Test
    void a_paragraph_that_begins_leftward_has_its_beginning_at_the_right() {
        Look right = BODY.withAlignment(Look.Alignment.JUSTIFIED);
        List<Segment> lines = set(right, PEACE + " " + WORLD);
        assertThat(lines.stream().mapToDouble(each -> each.x() + each.width()).max().orElseThrow())
                .isCloseTo(WIDTH, within(1e-6));
        List<Segment> left = set(BODY, PEACE + " " + WORLD);
        assertThat(left.stream().mapToDouble(Segment::x).min().orElseThrow())
                .as("an alignment is what is seen")
                .isCloseTo(0, within(1e-6));
        Look indented = right.withSetting(right.setting().withIndents(Length.pt(20), Length.ZERO));
        List<Segment> first = set(indented, PEACE);
        assertThat(first.getFirst().x() + first.getFirst().width())
                .isCloseTo(WIDTH - 20, within(1e-6));
    }

    @Test
    void lines_that_run_leftward_are_broken_and_justified_like_any_other() {
        String text = (PEACE + " " + WORLD + " 12 ").repeat(30).strip();
        List<Segment> lines = set(BODY.withAlignment(Look.Alignment.JUSTIFIED), text);
        assertThat(lines.stream().map(Segment::text).collect(Collectors.joining(" ")))
                .contains(PEACE);
        List<Double> baselines = lines.stream().map(Segment::baseline).distinct().toList();
        assertThat(baselines).hasSizeGreaterThan(3);
        for (double baseline : baselines.subList(0, baselines.size() - 1)) {
            List<Segment> line =
                    lines.stream().filter(each -> each.baseline() == baseline).toList();
            assertThat(line.stream().mapToDouble(Segment::x).min().orElseThrow())
                    .isCloseTo(0, within(1e-3));
            assertThat(
                            line.stream()
                                    .mapToDouble(each -> each.x() + each.width())
                                    .max()
                                    .orElseThrow())
                    .isCloseTo(WIDTH, within(1e-3));
        }
    }

    /** As the layout engine joins them: four letters of one word are four other shapes alone. */
    @Test
    void arabic_letters_are_joined() {
        String salam = "\u0633\u0644\u0627\u0645";
        List<Segment> word = set(BODY, salam);
        assertThat(word.getFirst().type().face().family()).isEqualTo("Noto Naskh Arabic");
        List<Integer> joined = word.getFirst().glyphs().stream().map(Segment.Glyph::id).toList();
        List<Integer> alone = new ArrayList<>();
        for (char letter : salam.toCharArray()) {
            set(BODY, String.valueOf(letter)).getFirst().glyphs().forEach(g -> alone.add(g.id()));
        }
        assertThat(joined).doesNotContainAnyElementsOf(alone.subList(0, 2));
        assertThat(
                        word.getFirst().glyphs().stream()
                                .map(Segment.Glyph::text)
                                .collect(Collectors.joining()))
                .isEqualTo(salam);
        assertThat(Bidi.getBaseDirection(salam)).isEqualTo(Bidi.RTL);
    }

    @Test
    void no_word_is_divided_in_hebrew_and_arabic() {
        for (Language language : List.of(Language.HEBREW, Language.ARABIC)) {
            assertThat(Hyphenation.of(language).points(PEACE + WORLD)).isEmpty();
        }
    }
}
