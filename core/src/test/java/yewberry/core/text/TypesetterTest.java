package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.frame;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Language;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;

class TypesetterTest {
    private static final String WORDS =
            "Where the sea wall ends and the reeds begin, there is no street lamp for eleven miles. "
                    + "That is why the observatory stands here, on four concrete feet.";
    private static final double MM = 72 / 25.4;

    private static Look look(Look.Alignment alignment) {
        return new Look(
                BODY.id(),
                BODY.name(),
                BODY.family(),
                BODY.weight(),
                BODY.size(),
                BODY.leading().length().orElseThrow(),
                BODY.before(),
                alignment,
                BODY.color(),
                BODY.overprint());
    }

    private record SetText(List<Segment> segments, String overset) {}

    private static SetText set(TextFrame frame, Look look) {
        return set(Sample.written(frame), frame, look);
    }

    private static SetText set(List<Paragraph> text, TextFrame frame, Look look) {
        SetFrame set =
                Typesetter.set(
                        text,
                        Sample.noMarks(text),
                        StoryPlace.BEGINNING,
                        frame.box(),
                        frame.setting(),
                        Sample.looks(id -> id.equals(HEADING.id()) ? HEADING : look));
        String rest =
                text.stream()
                        .skip(set.end().paragraph())
                        .map(Paragraph::text)
                        .collect(Collectors.joining("\n"));
        return new SetText(
                set.segments(), rest.substring(Math.min(rest.length(), set.end().character())));
    }

    private static SetText set(double width, double height, String... text) {
        return set(frame("f", 0, 0, width, height, BODY, text), BODY);
    }

    private static double width(String text) {
        return FontLibrary.face("Source Serif 4", 400, false).shape(text).width();
    }

    @Test
    void pairs_are_kerned() {
        assertThat(width("AV")).isLessThan(width("A") + width("V") - 20);
    }

    @Test
    void a_ligature_is_one_glyph_that_stands_for_its_characters() {
        List<Segment> segments = set(100, 50, "office").segments();
        List<String> glyphs =
                segments.getFirst().glyphs().stream().map(Segment.Glyph::text).toList();
        assertThat(String.join("", glyphs)).isEqualTo("office");
        assertThat(glyphs).hasSizeLessThan(6).anyMatch(text -> text.startsWith("ff"));
    }

    @Test
    void no_line_is_wider_than_its_frame_and_no_word_is_lost() {
        SetText text = set(50, 200, WORDS);
        assertThat(text.segments()).hasSizeGreaterThan(4);
        assertThat(text.segments())
                .allMatch(line -> line.x() + line.width() <= 50 * MM + 1e-6)
                .allMatch(line -> line.text().equals(line.text().strip()));
        assertThat(text.segments().stream().map(Segment::text).collect(Collectors.joining(" ")))
                .isEqualTo(WORDS);
        assertThat(text.overset()).isEmpty();
    }

    @Test
    void lines_are_as_full_as_they_can_be() {
        List<Segment> lines = set(50, 200, WORDS).segments();
        for (int i = 0; i + 1 < lines.size(); i++) {
            String next = lines.get(i + 1).text().split(" ")[0];
            double longer = width(lines.get(i).text() + " " + next) * 10 / Face.UNITS;
            assertThat(longer).isGreaterThan(50 * MM);
        }
    }

    @Test
    void baselines_lie_a_leading_apart_and_the_first_an_ascent_below_the_top() {
        List<Segment> lines = set(50, 200, WORDS).segments();
        Face face = FontLibrary.face("Source Serif 4", 400, false);
        assertThat(lines.getFirst().baseline())
                .isCloseTo(face.ascent() * 10 / Face.UNITS, within(1e-6));
        for (int i = 1; i < lines.size(); i++) {
            assertThat(lines.get(i).baseline() - lines.get(i - 1).baseline())
                    .isCloseTo(14, within(1e-6));
        }
    }

    @Test
    void text_that_finds_no_room_is_overset_from_the_first_line_that_does_not_fit() {
        SetText text = set(50, 6, WORDS, "And more.");
        assertThat(text.segments()).hasSize(1);
        assertThat(text.overset()).endsWith("And more.");
        assertThat(WORDS + "\nAnd more.")
                .isEqualTo(text.segments().getFirst().text() + " " + text.overset());
    }

    @Test
    void a_word_wider_than_its_frame_is_broken_where_it_must_be() {
        String word = "Noctilucentcloudobservationdeck";
        List<Segment> lines = set(20, 100, word).segments();
        assertThat(lines).hasSizeGreaterThan(1).allMatch(line -> line.width() <= 20 * MM + 1e-6);
        assertThat(lines.stream().map(Segment::text).collect(Collectors.joining())).isEqualTo(word);
    }

    @Test
    void a_surrogate_pair_is_never_broken() {
        List<Segment> lines = set(3, 200, "🌌🌌🌌🌌").segments();
        assertThat(lines)
                .allMatch(line ->
                        line.text().codePointCount(0, line.text().length()) * 2
                                == line.text().length());
    }

    @Test
    void justified_lines_end_at_the_right_edge_but_the_last_does_not() {
        List<Segment> lines =
                set(frame("f", 0, 0, 50, 200, BODY, WORDS), look(Look.Alignment.JUSTIFIED))
                        .segments();
        for (Segment line : lines.subList(0, lines.size() - 1)) {
            assertThat(line.x() + line.width()).isCloseTo(50 * MM, within(1e-6));
        }
        assertThat(lines.getLast().width()).isLessThan(50 * MM - 1);
    }

    @Test
    void right_and_centred_lines_keep_their_place() {
        TextFrame frame = frame("f", 0, 0, 50, 200, BODY, "Short");
        Segment right = set(frame, look(Look.Alignment.RIGHT)).segments().getFirst();
        Segment centred = set(frame, look(Look.Alignment.CENTER)).segments().getFirst();
        assertThat(right.x() + right.width()).isCloseTo(50 * MM, within(1e-6));
        assertThat(centred.x()).isCloseTo((50 * MM - centred.width()) / 2, within(1e-6));
    }

    @Test
    void space_above_a_paragraph_counts_but_not_at_the_top_of_the_frame() {
        Look spaced =
                new Look(
                        BODY.id(),
                        "Body",
                        BODY.family(),
                        400,
                        BODY.size(),
                        BODY.leading().length().orElseThrow(),
                        Length.pt(6),
                        Look.Alignment.LEFT,
                        BODY.color(),
                        BODY.overprint());
        List<Segment> lines = set(frame("f", 0, 0, 80, 80, BODY, "a", "b"), spaced).segments();
        double ascent = FontLibrary.face("Source Serif 4", 400, false).ascent() * 10 / Face.UNITS;
        assertThat(lines.get(0).baseline()).isCloseTo(ascent, within(1e-6));
        assertThat(lines.get(1).baseline()).isCloseTo(ascent + 20, within(1e-6));
    }

    @Test
    void every_shipped_face_can_be_set() {
        for (FontLibrary.Family family : FontLibrary.families()) {
            for (int weight : family.weights()) {
                Face face = FontLibrary.face(family.name(), weight, false);
                assertThat(face.shape("Saltmarsh").width()).isPositive();
                assertThat(face.outline(face.shape("S").ids()[0]).ink().isEmpty()).isFalse();
            }
        }
    }

    @Test
    void an_unknown_font_or_weight_is_refused_with_those_there_are() {
        assertThatThrownBy(() -> FontLibrary.face("Nosuch", 400, false))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Source Serif 4, Source Sans 3, Fraunces");
        assertThatThrownBy(() -> FontLibrary.face("Fraunces", 450, false))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("400, 600, 700");
    }

    @Test
    void an_empty_paragraph_takes_a_line() {
        List<Segment> lines = set(80, 80, "a", "", "b").segments();
        assertThat(lines).hasSize(2);
        assertThat(lines.get(1).baseline() - lines.get(0).baseline()).isCloseTo(28, within(1e-6));
    }

    @Test
    void shaping_is_the_same_from_many_threads() {
        List<SetText> set =
                java.util.stream.IntStream.range(0, 200)
                        .parallel()
                        .mapToObj(i -> set(50, 200, WORDS))
                        .distinct()
                        .toList();
        assertThat(set).hasSize(1);
    }

    /**
     * UAX #14: no break after a solidus before letters of an address, or within an abbreviation.
     */
    @Test
    void lines_break_where_unicode_lets_them() {
        assertThat(lines("see https://saltmarsh.example now"))
                .isNotEmpty()
                .noneMatch(line -> line.endsWith("https:"));
        assertThat(lines("as it is, e.g. here"))
                .isNotEmpty()
                .noneMatch(line -> line.endsWith("e."));
    }

    /** All lines of a text at every width. */
    private static List<String> lines(String text) {
        return java.util.stream.IntStream.rangeClosed(8, 60)
                .boxed()
                .flatMap(width -> set(width, 200, text).segments().stream())
                .map(Segment::text)
                .filter(line -> line.length() < text.length())
                .filter(line -> text.contains(line + " ") || text.endsWith(line))
                .toList();
    }

    @Test
    void a_zero_width_space_breaks_a_line_and_is_not_drawn() {
        List<Segment> whole = set(100, 50, "Salt\u200bmarsh").segments();
        assertThat(whole).hasSize(1);
        assertThat(texts(whole.getFirst())).isEqualTo("Saltmarsh");
        List<Segment> broken = set(12, 50, "Salt\u200bmarsh").segments();
        assertThat(broken).extracting(Segment::text).containsExactly("Salt", "marsh");
    }

    @Test
    void a_soft_hyphen_is_drawn_only_where_it_breaks_a_line() {
        Segment whole = set(100, 50, "obser\u00advation").segments().getFirst();
        assertThat(texts(whole)).isEqualTo("observation");
        List<Segment> broken = set(15, 50, "obser\u00advation").segments();
        assertThat(broken).extracting(Segment::text).containsExactly("obser\u00ad", "vation");
        Segment.Glyph hyphen = broken.getFirst().glyphs().getLast();
        Face face = FontLibrary.face("Source Serif 4", 400, false);
        assertThat(hyphen.text()).isEqualTo("\u00ad");
        assertThat(hyphen.id()).isIn(face.shape("-").ids()[0], face.shape("\u2010").ids()[0]);
        assertThat(broken.getFirst().width()).isLessThanOrEqualTo(15 * MM + 1e-6);
    }

    @Test
    void a_line_separator_ends_a_line_within_its_paragraph() {
        List<Segment> lines = set(100, 50, "one\u2028two").segments();
        assertThat(lines).extracting(Segment::text).containsExactly("one", "two");
        assertThat(lines.get(1).baseline() - lines.get(0).baseline()).isCloseTo(14, within(1e-6));
        assertThat(
                        set(
                                        frame("f", 0, 0, 50, 200, BODY, "a b\u2028c d"),
                                        look(Look.Alignment.JUSTIFIED))
                                .segments()
                                .getFirst()
                                .width())
                .isLessThan(40);
    }

    @Test
    void what_is_not_drawn_has_no_glyph() {
        for (String mark : List.of("\u200b", "\u200d", "\u2060", "\ufeff", "\u200e")) {
            Segment segment = set(100, 50, "sea" + mark + "mark").segments().getFirst();
            assertThat(texts(segment)).isEqualTo("seamark");
            assertThat(segment.glyphs()).hasSize(7).noneMatch(glyph -> glyph.id() == 0);
        }
    }

    @Test
    void kerning_goes_on_over_runs_and_no_ligature_has_two_colours() {
        assertThat(runs("A", "V").getLast().x()).isCloseTo(together("AV"), within(1e-6));
        List<Segment> office = runs("of", "fice");
        assertThat(office).hasSize(2);
        assertThat(texts(office.get(0)) + "|" + texts(office.get(1))).isEqualTo("of|fice");
    }

    private static List<Segment> runs(String one, String other) {
        Paragraph paragraph =
                new Paragraph(
                        Sample.id("p"),
                        BODY.id(),
                        List.of(
                                new yewberry.core.publication.Run(
                                        Sample.id("one"), one, java.util.Optional.empty()),
                                new yewberry.core.publication.Run(
                                        Sample.id("other"), other, java.util.Optional.empty())));
        TextFrame frame = frame("f", 0, 0, 100, 50, BODY, "x");
        return set(List.of(paragraph), frame, BODY).segments();
    }

    /** Where the second of two letters stands in one run. */
    private static double together(String text) {
        return set(100, 50, text).segments().getFirst().glyphs().get(1).x();
    }

    private static String texts(Segment segment) {
        return segment.glyphs().stream().map(Segment.Glyph::text).collect(Collectors.joining());
    }

    private static TextSetting setting(
            double after, double first, double left, double right, double tracking) {
        return new TextSetting(
                Length.mm(after), Length.mm(first), Length.mm(left), Length.mm(right), tracking);
    }

    private static double end(Segment segment) {
        return segment.x() + segment.width();
    }

    @Test
    void the_first_line_and_all_others_keep_their_indents() {
        Look look = BODY.withSetting(setting(0, 5, 10, 20, 0));
        List<Segment> lines = set(frame("f", 0, 0, 90, 100, BODY, WORDS), look).segments();
        assertThat(lines).hasSizeGreaterThan(2);
        assertThat(lines.getFirst().x()).isCloseTo(15 * MM, within(1e-9));
        for (Segment line : lines.subList(1, lines.size())) {
            assertThat(line.x()).isCloseTo(10 * MM, within(1e-9));
            assertThat(end(line)).isLessThanOrEqualTo(70 * MM + 1e-6);
        }
        Look justified = look.withAlignment(Look.Alignment.JUSTIFIED);
        lines = set(frame("f", 0, 0, 90, 100, BODY, WORDS), justified).segments();
        assertThat(lines.getFirst().x()).isCloseTo(15 * MM, within(1e-9));
        for (Segment line : lines.subList(0, lines.size() - 1)) {
            assertThat(end(line)).isCloseTo(70 * MM, within(1e-6));
        }
    }

    @Test
    void space_below_a_paragraph_is_added_to_the_space_above_the_next() {
        Look look = BODY.withSetting(setting(4, 0, 0, 0, 0));
        List<Segment> lines = set(frame("f", 0, 0, 90, 100, BODY, "One", "Two"), look).segments();
        List<Segment> close = set(90, 100, "One", "Two").segments();
        assertThat(lines.getLast().baseline() - close.getLast().baseline())
                .isCloseTo(4 * MM, within(1e-9));
    }

    @Test
    void tracked_text_is_wider_by_what_stands_between_its_characters_and_has_no_ligatures() {
        Segment plain = set(200, 50, "office").segments().getFirst();
        Look look = BODY.withSetting(setting(0, 0, 0, 0, 100));
        Segment tracked =
                set(frame("f", 0, 0, 200, 50, BODY, "office"), look).segments().getFirst();
        assertThat(plain.glyphs()).hasSize(4);
        assertThat(tracked.glyphs()).hasSize(6);
        double em = BODY.size().points();
        Look hardly = BODY.withSetting(setting(0, 0, 0, 0, 1));
        Segment near = set(frame("f", 0, 0, 200, 50, BODY, "office"), hardly).segments().getFirst();
        assertThat(tracked.width() - near.width()).isCloseTo(6 * 0.099 * em, within(1e-9));
        Look right = look.withAlignment(Look.Alignment.RIGHT);
        Segment last = set(frame("f", 0, 0, 200, 50, BODY, "office"), right).segments().getLast();
        // what follows the last character is not seen, so that it stands at the edge
        assertThat(end(last) - 0.1 * em).isCloseTo(200 * MM, within(1e-6));
    }

    private static final String LONG_WORDS =
            "The observatory stands where the telescopes of the constellation society were "
                    + "brought together, and observations of extraordinary faintness became "
                    + "possible throughout the magnificent winters of the marshes.";

    private static List<Segment> justified(Optional<Language> hyphenation) {
        Look look =
                BODY.withAlignment(Look.Alignment.JUSTIFIED)
                        .withSetting(TextSetting.USUAL.hyphenatedIn(hyphenation));
        return set(frame("f", 0, 0, 62, 100, BODY, LONG_WORDS), look).segments();
    }

    /** Every space of lines that are justified, in shares of the face's own. */
    private static List<Double> spaces(List<Segment> lines) {
        double own = width(" ") / 1000 * BODY.size().points();
        List<Double> spaces = new ArrayList<>();
        for (Segment line : lines.subList(0, lines.size() - 1)) {
            for (int i = 0; i + 1 < line.glyphs().size(); i++) {
                if (line.glyphs().get(i).text().equals(" ")) {
                    double wide = line.glyphs().get(i + 1).x() - line.glyphs().get(i).x();
                    spaces.add(wide / own);
                }
            }
        }
        return spaces;
    }

    @Test
    void words_that_are_divided_make_justified_lines_less_loose() {
        List<Segment> divided = justified(Optional.of(Language.ENGLISH_BRITISH));
        List<Segment> whole = justified(Optional.empty());
        assertThat(divided).anyMatch(line -> line.text().endsWith("\u00ad"));
        assertThat(whole).noneMatch(line -> line.text().endsWith("\u00ad"));
        for (List<Segment> lines : List.of(divided, whole)) {
            String read = lines.stream().map(Segment::text).collect(Collectors.joining(" "));
            assertThat(read.replace("\u00ad ", "")).isEqualTo(LONG_WORDS);
            for (Segment line : lines.subList(0, lines.size() - 1)) {
                assertThat(end(line)).isCloseTo(62 * MM, within(1e-6));
            }
            // kerning beside a space is part of what is measured
            assertThat(spaces(lines)).allMatch(space -> space > 0.75);
        }
        assertThat(Collections.max(spaces(divided)))
                .isLessThan(0.9 * Collections.max(spaces(whole)));
    }

    @Test
    void settings_that_are_not_possible_are_refused() {
        assertThatThrownBy(() -> setting(-1, 0, 0, 0, 0)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> setting(0, -5, 4, 0, 0))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("would hang");
        assertThatThrownBy(() -> setting(0, 0, 0, 0, 2000)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new TextSetting.WordSpaces(40, 150)).isInstanceOf(Refused.class);
        // indents wider than the frame: one character to a line, and nothing is lost
        Look look = BODY.withSetting(setting(0, 0, 60, 60, 0));
        SetText set = set(frame("f", 0, 0, 90, 1000, BODY, "Dusk"), look);
        assertThat(set.segments()).hasSize(4);
    }

    @Test
    void an_address_is_not_divided_and_a_space_that_does_not_break_is_stretched() {
        Optional<Language> british = Optional.of(Language.ENGLISH_BRITISH);
        String text =
                "Write to observatory.example/telescopes or constellation@observatory.example.";
        assertThat(Breaks.of(text, at -> british)).noneMatch(Breaks.Break::hyphenated);
        assertThat(Breaks.of("The observatory. Telescopes: magnificent.", at -> british))
                .filteredOn(Breaks.Break::hyphenated)
                .hasSizeGreaterThan(4);
        Look look = look(Look.Alignment.JUSTIFIED);
        Segment line =
                set(frame("f", 0, 0, 40, 100, BODY, "Nine\u00a0inches wide andlonger"), look)
                        .segments()
                        .getFirst();
        List<Double> widths = new ArrayList<>();
        for (int i = 0; i + 1 < line.glyphs().size(); i++) {
            if (line.glyphs().get(i).isWordSpace()) {
                widths.add(line.glyphs().get(i + 1).x() - line.glyphs().get(i).x());
            }
        }
        assertThat(widths).hasSize(2);
        assertThat(widths.getFirst()).isCloseTo(widths.getLast(), within(0.2));
    }
}
