package yewberry.core.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.paragraph;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.FrameSetting.Vertical;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.text.Segment;
import yewberry.core.text.SetFrame;
import yewberry.core.text.StoryPlace;
import yewberry.core.text.Typesetter;

/** Text in columns, and which lines stay together at their ends. */
class ColumnsTest {
    private static final double MM = 72 / 25.4;
    private static final String LINE = "Reeds, mud, stars and wind.\u2028";

    /** A column 60 mm wide and as high as so many lines are. */
    private static Box box(int columns, int lines) {
        double height = (10.5 + (lines - 1) * 14 + 4) / MM;
        return new Box(
                Length.mm(0),
                Length.mm(0),
                Length.mm(60 * columns + 5 * (columns - 1)),
                Length.mm(height));
    }

    private static FrameSetting columns(int count, Vertical vertical) {
        return new FrameSetting(Length.ZERO, count, Length.mm(5), vertical, 0);
    }

    private static Look kept(Look look, int first, int last, boolean together, boolean withNext) {
        return look.withSetting(
                look.setting().withKeeps(new Keeps(first, last, together, withNext)));
    }

    private static Paragraph lines(String name, Look look, int count) {
        return paragraph(name, look, LINE.repeat(count).strip());
    }

    private static SetFrame set(List<Paragraph> text, Box box, FrameSetting setting, Look body) {
        return set(
                text,
                box,
                setting,
                body,
                kept(Sample.look("Heading", 700, 10, INK), 1, 1, false, true));
    }

    private static SetFrame set(
            List<Paragraph> text, Box box, FrameSetting setting, Look body, Look heading) {
        return Typesetter.set(
                text,
                Sample.noMarks(text),
                StoryPlace.BEGINNING,
                box,
                setting,
                Sample.looks(look -> look.equals(HEADING.id()) ? heading : body));
    }

    /** How many lines of each paragraph stand in each column. */
    private static List<String> counted(SetFrame set, List<Paragraph> text, int columns) {
        List<String> all = new ArrayList<>();
        for (int column = 0; column < columns; column++) {
            double from = column * 65 * MM;
            StringBuilder counts = new StringBuilder();
            for (Paragraph each : text) {
                long count =
                        set.segments().stream()
                                .filter(segment -> segment.paragraph().equals(each.id()))
                                .filter(segment ->
                                        segment.x() >= from - 1 && segment.x() < from + 60 * MM)
                                .map(Segment::baseline)
                                .distinct()
                                .count();
                counts.append(counts.isEmpty() ? "" : " ").append(count);
            }
            all.add(counts.toString());
        }
        return all;
    }

    private static List<String> counted(Look body, List<Paragraph> text, int lines) {
        return counted(set(text, box(2, lines), columns(2, Vertical.TOP), body), text, 2);
    }

    @Test
    void text_goes_on_in_the_next_column_and_the_rest_in_the_next_frame() {
        List<Paragraph> text = List.of(lines("a", BODY, 14));
        assertThat(counted(BODY, text, 5)).containsExactly("5", "5");
        SetFrame set = set(text, box(2, 5), columns(2, Vertical.TOP), BODY);
        assertThat(set.end()).isEqualTo(new StoryPlace(0, 10 * LINE.length()));
    }

    @Test
    void a_paragraph_leaves_as_many_lines_as_it_is_told_at_either_end() {
        List<Paragraph> text = List.of(lines("a", BODY, 4), lines("b", BODY, 4));
        assertThat(counted(BODY, text, 5)).containsExactly("4 1", "0 3");
        assertThat(counted(kept(BODY, 2, 1, false, false), text, 5)).containsExactly("4 0", "0 4");
        List<Paragraph> longer = List.of(lines("a", BODY, 2), lines("b", BODY, 4));
        assertThat(counted(BODY, longer, 5)).containsExactly("2 3", "0 1");
        assertThat(counted(kept(BODY, 1, 2, false, false), longer, 5))
                .containsExactly("2 2", "0 2");
        assertThat(counted(kept(BODY, 3, 2, false, false), longer, 5))
                .containsExactly("2 0", "0 4");
    }

    @Test
    void what_is_kept_in_one_piece_goes_on_whole_unless_it_never_fits() {
        Look together = kept(BODY, 1, 1, true, false);
        List<Paragraph> text = List.of(lines("a", BODY, 2), lines("b", BODY, 4));
        assertThat(counted(together, text, 5)).containsExactly("2 0", "0 4");
        assertThat(counted(together, List.of(lines("a", BODY, 8)), 5)).containsExactly("5", "3");
    }

    @Test
    void a_heading_goes_on_with_the_paragraph_it_stands_above() {
        List<Paragraph> text =
                List.of(lines("a", BODY, 4), lines("h", HEADING, 1), lines("b", BODY, 3));
        assertThat(counted(BODY, text, 5)).containsExactly("4 0 0", "0 1 3");
        List<Paragraph> two =
                List.of(
                        lines("a", BODY, 3),
                        lines("h", HEADING, 1),
                        lines("i", HEADING, 1),
                        lines("b", BODY, 3));
        assertThat(counted(BODY, two, 5)).containsExactly("3 0 0 0", "0 1 1 3");
        List<Paragraph> alone = List.of(lines("h", HEADING, 5), lines("b", BODY, 3));
        assertThat(counted(BODY, alone, 5))
                .as("where nothing stands above, it stays")
                .containsExactly("5 0", "0 3");
    }

    /** The second of three paragraphs begins in the next column, or in the next frame. */
    @Test
    void a_paragraph_begins_in_the_next_column_or_frame() {
        Look plain = Sample.look("Heading", 700, 10, INK);
        Look column =
                plain.withSetting(
                        plain.setting().withKeeps(Keeps.USUAL.withBegin(Keeps.Begin.COLUMN)));
        Look frame =
                plain.withSetting(
                        plain.setting().withKeeps(Keeps.USUAL.withBegin(Keeps.Begin.FRAME)));
        List<Paragraph> text =
                List.of(lines("a", BODY, 2), lines("h", HEADING, 1), lines("b", BODY, 2));
        assertThat(counted(set(text, box(2, 6), columns(2, Vertical.TOP), BODY, column), text, 2))
                .containsExactly("2 0 0", "0 1 2");
        SetFrame first = set(text, box(2, 6), columns(2, Vertical.TOP), BODY, frame);
        assertThat(counted(first, text, 2)).containsExactly("2 0 0", "0 0 0");
        assertThat(first.end()).isEqualTo(new StoryPlace(1, 0));
        // where it comes first it is there already
        List<Paragraph> rest = text.subList(1, 3);
        SetFrame next = set(rest, box(2, 6), columns(2, Vertical.TOP), BODY, frame);
        assertThat(counted(next, rest, 2)).containsExactly("1 2", "0 0");
        assertThat(next.end()).isEqualTo(new StoryPlace(2, 0));
    }

    @Test
    void text_stands_at_the_top_in_the_middle_or_at_the_bottom() {
        List<Paragraph> text = List.of(lines("a", BODY, 2));
        double top = first(text, Vertical.TOP);
        double free = box(1, 6).height().points() - bottom(text);
        assertThat(first(text, Vertical.MIDDLE)).isCloseTo(top + free / 2, within(1e-6));
        assertThat(first(text, Vertical.BOTTOM)).isCloseTo(top + free, within(1e-6));
    }

    private static double first(List<Paragraph> text, Vertical vertical) {
        return set(text, box(1, 6), columns(1, vertical), BODY).segments().getFirst().baseline();
    }

    private static double bottom(List<Paragraph> text) {
        Segment last = set(text, box(1, 6), columns(1, Vertical.TOP), BODY).segments().getLast();
        return last.baseline() + last.type().descent();
    }

    @Test
    void an_inset_keeps_text_away_from_all_sides_and_leaves_room_for_it() {
        FrameSetting inset = new FrameSetting(Length.mm(3), 1, Length.ZERO, Vertical.TOP, 0);
        List<Paragraph> text = List.of(lines("a", BODY, 9));
        SetFrame set = set(text, box(1, 6), inset, BODY);
        SetFrame without = set(text, box(1, 6), FrameSetting.USUAL, BODY);
        Segment first = set.segments().getFirst();
        assertThat(first.x()).isCloseTo(3 * MM, within(1e-6));
        assertThat(first.baseline())
                .isCloseTo(without.segments().getFirst().baseline() + 3 * MM, within(1e-6));
        assertThat(set.segments()).allMatch(each -> each.x() + each.width() <= 57 * MM + 1e-6);
        assertThat(set.segments().size()).isLessThan(without.segments().size());

        Publication publication =
                Sample.withPage(
                        new Layer(List.of(), List.of(frame("f", 10, 10, 20, 20, BODY, "a"))));
        UUID frame = id("f");
        assertThatThrownBy(() ->
                        Editing.edit(
                                publication,
                                new FrameEdit.ArrangeFrame(
                                        frame,
                                        new FrameSetting(
                                                Length.mm(10), 1, Length.ZERO, Vertical.TOP, 0),
                                        Optional.empty())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("20 mm × 20 mm has no room");
        assertThatThrownBy(() -> columns(13, Vertical.TOP)).isInstanceOf(Refused.class);
    }
}
