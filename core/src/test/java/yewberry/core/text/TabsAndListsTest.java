package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.paragraph;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Side;
import yewberry.core.publication.TabStop;
import yewberry.core.publication.TextSetting;

class TabsAndListsTest {
    private static final Offset<Double> EXACT = within(1e-6);

    private static List<Segment> set(double width, Look look, List<Paragraph> text) {
        Looks looks = Sample.looks(id -> id.equals(HEADING.id()) ? HEADING : look);
        return Typesetter.set(
                        text,
                        ListMarks.of(text, looks),
                        StoryPlace.BEGINNING,
                        new Box(Length.ZERO, Length.ZERO, Length.pt(width), Length.pt(900)),
                        FrameSetting.USUAL,
                        looks)
                .segments();
    }

    private static List<Segment> set(double width, Look look, String... lines) {
        List<Paragraph> text = new ArrayList<>();
        for (String line : lines) {
            text.add(paragraph("p" + text.size(), look, line));
        }
        return set(width, look, text);
    }

    private static Look tabbed(TabStop... stops) {
        return BODY.withSetting(BODY.setting().withTabs(List.of(stops)));
    }

    private static TabStop stop(double at, TabStop.Side side) {
        return new TabStop(Optional.of(Length.pt(at)), side, "");
    }

    /** Where the glyph of a character stands that is there once. */
    private static double x(List<Segment> text, String character) {
        for (Segment segment : text) {
            for (Segment.Glyph glyph : segment.glyphs()) {
                if (glyph.text().equals(character)) {
                    return segment.x() + glyph.x();
                }
            }
        }
        throw new AssertionError("no " + character);
    }

    private static double end(List<Segment> text) {
        return text.stream().mapToDouble(each -> each.x() + each.width()).max().orElseThrow();
    }

    private static double width(String text) {
        return Type.of(BODY, Optional.empty()).shape(text).width() * BODY.size().points() / 1000;
    }

    @Test
    void text_goes_on_at_the_next_stop_whatever_stands_before_it() {
        Look look = tabbed(stop(100, TabStop.Side.LEFT), stop(180, TabStop.Side.LEFT));
        assertThat(x(set(400, look, "a\tb\tc"), "b")).isCloseTo(100, EXACT);
        assertThat(x(set(400, look, "a\tb\tc"), "c")).isCloseTo(180, EXACT);
        // too wide for the first stop
        assertThat(x(set(400, look, "ammmmmmmmmmmmmmmm\tb"), "b")).isCloseTo(180, EXACT);
        // behind all stops: half an inch
        assertThat(x(set(400, look, "a\td\te\tb"), "b")).isCloseTo(216, EXACT);
        // where no stop is left a tab is as wide as a space
        assertThat(end(set(200, look, "a\tm\tb\to")) - 180).isCloseTo(width("b o"), within(0.05));
    }

    @Test
    void text_ends_at_a_stop_or_lies_about_it_or_has_its_decimal_point_there() {
        assertThat(end(set(400, tabbed(stop(200, TabStop.Side.RIGHT)), "a\twide")))
                .isCloseTo(200, within(1e-3));
        List<Segment> centred = set(400, tabbed(stop(200, TabStop.Side.CENTER)), "a\tW");
        assertThat((x(centred, "W") + end(centred)) / 2).isCloseTo(200, within(1e-3));
        Look decimal = tabbed(stop(200, TabStop.Side.DECIMAL));
        assertThat(x(set(400, decimal, "a\t1704.5"), ".")).isCloseTo(200, within(1e-3));
        assertThat(x(set(400, decimal, "a\t1.704,25 m"), ",")).isCloseTo(200, within(1e-3));
        assertThat(end(set(400, decimal, "a\t1704"))).isCloseTo(200, within(1e-3));
        // what does not fit before its stop begins where the text before it ends
        assertThat(x(set(400, tabbed(stop(20, TabStop.Side.RIGHT)), "a\tbccccccccc"), "b"))
                .isCloseTo(width("a"), within(0.05));
    }

    @Test
    void leaders_stand_one_below_the_other_and_end_before_the_text() {
        Look look = tabbed(new TabStop(Optional.empty(), TabStop.Side.RIGHT, ". "));
        List<Segment> lines = set(300, look, "Moonrise\t7", "Dusk\t112");
        List<List<Double>> dots = new ArrayList<>();
        for (Segment line : lines) {
            assertThat(line.x() + line.width()).isCloseTo(300, within(1e-3));
            dots.add(
                    line.glyphs().stream()
                            .filter(glyph -> glyph.text().isEmpty())
                            .map(glyph -> line.x() + glyph.x())
                            .toList());
            assertThat(line.text()).contains("\t");
        }
        assertThat(dots.get(1)).hasSizeGreaterThan(40);
        assertThat(dots.getFirst()).hasSizeGreaterThan(40);
        double pitch = width(". ");
        for (List<Double> each : dots) {
            for (int i = 0; i < each.size(); i += 2) {
                double place = each.get(i) / pitch;
                assertThat(place).isCloseTo(Math.rint(place), within(1e-3));
            }
            assertThat(each.getLast()).isLessThan(300 - width("7"));
        }
    }

    @ParameterizedTest
    @EnumSource(Look.Alignment.class)
    void lines_with_tabs_are_never_wider_than_their_frame(Look.Alignment alignment) {
        String text = "One\tof the many nights\tthat we spent outside\tlooking up. ".repeat(9);
        Look look =
                tabbed(stop(40, TabStop.Side.LEFT), stop(9000, TabStop.Side.RIGHT))
                        .withAlignment(alignment);
        for (double width : new double[] {70, 131, 260}) {
            List<Segment> lines = set(width, look, text);
            assertThat(end(lines)).isLessThanOrEqualTo(width + 0.05);
            assertThat(lines.stream().map(Segment::text).collect(Collectors.joining(" ")))
                    .contains("looking up.");
        }
    }

    @Test
    void a_paragraph_behind_an_indent_with_a_right_tab_is_not_broken_for_it() {
        Look look =
                tabbed(new TabStop(Optional.empty(), TabStop.Side.RIGHT, "."))
                        .withSetting(
                                TextSetting.USUAL
                                        .withTabs(
                                                List.of(
                                                        new TabStop(
                                                                Optional.empty(),
                                                                TabStop.Side.RIGHT,
                                                                ".")))
                                        .withIndents(Length.pt(-12), Length.pt(12)));
        List<Segment> lines = set(300, look, "Stars\t12");
        assertThat(lines).extracting(Segment::baseline).containsOnly(lines.getFirst().baseline());
        assertThat(lines.getFirst().x()).isZero();
    }

    private static Look listed(ListMark.Mark mark, double first, double left) {
        return BODY.withList(Optional.of(new ListMark(mark, 1, Optional.empty())))
                .withSetting(BODY.setting().withIndents(Length.pt(first), Length.pt(left)));
    }

    @Test
    void the_mark_of_a_list_hangs_before_its_lines() {
        Look look = listed(new ListMark.Bullet("•"), -14, 14);
        String text = "A long one that takes more than a single line of this narrow column.";
        List<Segment> lines = set(120, look, text);
        assertThat(lines.getFirst().text()).isEqualTo("•");
        assertThat(lines.getFirst().x()).isZero();
        assertThat(lines.get(1).baseline()).isEqualTo(lines.getFirst().baseline());
        assertThat(lines.stream().skip(1).map(Segment::x)).containsOnly(14.0);
        assertThat(lines.stream().skip(1).map(Segment::baseline).distinct().count())
                .isGreaterThan(2);
        // with no room of its own, the text of the first line makes way
        List<Segment> tight = set(120, listed(new ListMark.Bullet("•"), 0, 0), text);
        assertThat(tight.get(1).x()).isGreaterThan(tight.getFirst().x() + width("•"));
        assertThat(tight.get(2).x()).isZero();
    }

    private static Look numbered(
            String name, int level, ListMark.NumberStyle style, boolean higher, boolean onward) {
        return new Look(
                        Sample.id(name),
                        name,
                        BODY.family(),
                        BODY.weight(),
                        BODY.size(),
                        Length.pt(12),
                        Length.ZERO,
                        Look.Alignment.LEFT,
                        BODY.color(),
                        BODY.overprint())
                .withList(
                        Optional.of(
                                new ListMark(
                                        new ListMark.Numbered(style, "", ".", higher, onward),
                                        level,
                                        Optional.empty())));
    }

    @Test
    void lists_count_by_level_begin_anew_and_go_on() {
        Look chapter = numbered("chapter", 1, ListMark.NumberStyle.UPPER_ROMAN, false, true);
        Look section = numbered("section", 2, ListMark.NumberStyle.FIGURES, true, true);
        Look item = numbered("item", 3, ListMark.NumberStyle.LOWER_LETTERS, false, false);
        Look plain = BODY;
        List<Look> order =
                List.of(
                        chapter, section, item, item, plain, item, section, item, chapter, section,
                        item, plain, section);
        List<Paragraph> text = new ArrayList<>();
        for (Look look : order) {
            text.add(paragraph("p" + text.size(), look, "x"));
        }
        Looks looks =
                Sample.looks(id ->
                        order.stream()
                                .filter(look -> look.id().equals(id))
                                .findFirst()
                                .orElseThrow());
        assertThat(ListMarks.of(text, looks))
                .containsExactly(
                        "I.", "I.1.", "a.", "b.", "", "a.", "I.2.", "a.", "II.", "II.1.", "a.", "",
                        "II.2.");
        Paragraph seventh =
                new Paragraph(text.get(3).id(), item.id(), text.get(3).runs())
                        .withNumber(Optional.of(7));
        text.set(3, seventh);
        assertThat(ListMarks.of(text, looks).get(3)).isEqualTo("g.");
    }

    /** Letters as in a spreadsheet's columns; Roman numerals: common knowledge, no source. */
    @ParameterizedTest
    @CsvSource({
        "LOWER_LETTERS, 26, z",
        "LOWER_LETTERS, 27, aa",
        "UPPER_LETTERS, 702, ZZ",
        "UPPER_LETTERS, 703, AAA",
        "LOWER_ROMAN, 4, iv",
        "LOWER_ROMAN, 1994, mcmxciv",
        "UPPER_ROMAN, 3999, MMMCMXCIX",
        "UPPER_ROMAN, 4000, 4000",
        "FIGURES, 12, 12"
    })
    void numbers_are_written_in_their_style(ListMark.NumberStyle style, int number, String text) {
        assertThat(style.written(number)).isEqualTo(text);
    }

    @Test
    void lines_toward_the_spine_stand_at_the_other_end_on_left_hand_pages() {
        Segment toward =
                set(200, BODY.withAlignment(Look.Alignment.TOWARD_SPINE), "Dusk").getFirst();
        assertThat(toward.on(Side.RIGHT).x()).isZero();
        Segment left = toward.on(Side.LEFT);
        assertThat(left.x() + left.width()).isCloseTo(200, EXACT);
        Segment away =
                set(200, BODY.withAlignment(Look.Alignment.AWAY_FROM_SPINE), "Dusk").getFirst();
        assertThat(away.on(Side.RIGHT).x() + away.width()).isCloseTo(200, EXACT);
        assertThat(away.on(Side.LEFT).x()).isCloseTo(0, EXACT);
    }

    @Test
    void leading_follows_the_size_as_a_multiple() {
        Look look = BODY.withSize(Length.pt(10)).withLeading(Leading.percent(150));
        List<Segment> lines = set(200, look, "One", "Two");
        assertThat(lines.get(1).baseline() - lines.getFirst().baseline()).isCloseTo(15, EXACT);
        List<Segment> larger = set(200, look.withSize(Length.pt(20)), "One", "Two");
        assertThat(larger.get(1).baseline() - larger.getFirst().baseline()).isCloseTo(30, EXACT);
        assertThat(Leading.read("1.5 mm + 12 pt").length()).isPresent();
        assertThat(Leading.read(Leading.percent(137.5).toString()))
                .isEqualTo(Leading.percent(137.5));
        assertThatThrownBy(() -> Leading.read("20 %")).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> Leading.read("1 pt")).isInstanceOf(Refused.class);
    }

    /** Every glyph stands for what was typed, though it shows another letter. */
    @Test
    void capitals_are_drawn_and_what_was_typed_is_kept() {
        Look look =
                BODY.withSetting(
                        BODY.setting()
                                .withLetters(
                                        new Letters(
                                                Letters.Capitals.ALL, Letters.Figures.AS_FACE)));
        Segment shown = set(400, look, "Große Straße, eﬃcient").getFirst();
        Segment typed = set(400, BODY, "GROSSE STRASSE, EFFICIENT").getFirst();
        assertThat(shown.glyphs().stream().map(Segment.Glyph::id))
                .containsExactlyElementsOf(typed.glyphs().stream().map(Segment.Glyph::id).toList());
        assertThat(shown.width()).isCloseTo(typed.width(), EXACT);
        assertThat(shown.glyphs().stream().map(Segment.Glyph::text).collect(Collectors.joining()))
                .isEqualTo("Große Straße, eﬃcient");
        // lines are broken by what is drawn
        assertThat(set(90, look, "wide awake at night").stream().map(Segment::text))
                .containsExactlyElementsOf(
                        set(90, BODY, "WIDE AWAKE AT NIGHT").stream()
                                .map(each -> each.text().toLowerCase(java.util.Locale.ROOT))
                                .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "https://observatory.example/nights?from=2026#dusk, true",
        "mailto:night@observatory.example, true",
        "tel:+441632960000, true",
        "javascript:alert(1), false",
        "file:///etc/passwd, false",
        "https://, false",
        "observatory.example, false",
        "'', false"
    })
    void links_lead_to_the_web_to_mail_and_to_telephones_only(String uri, boolean good) {
        if (good) {
            assertThat(new LinkTo.Address(" " + uri + " ").uri()).isEqualTo(uri);
        } else {
            assertThatThrownBy(() -> new LinkTo.Address(uri))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("https://");
        }
    }
}
