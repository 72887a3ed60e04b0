package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.paragraph;

import java.util.List;
import java.util.Optional;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Border;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/**
 * What lies behind paragraphs, by the rules of CSS: a box is as high as its lines at their leading,
 * then come the padding and the border (CSS 2.1, 8.1 and 10.6.3); a line's leading is shared out
 * above and below its type (10.8.1).
 */
class PanelsTest {
    private static final double MM = 72 / 25.4;
    private static final double WIDTH = 60 * MM;
    private static final Offset<Double> EXACTLY = within(1e-6);

    /** Source Serif 4 Regular in hhea, of 1000: read from the file, byte by byte. */
    private static final double ASCENT = 1.036;

    private static final double DESCENT = 0.335;

    private static final Panel NOTICE =
            Panel.shaded(Tinted.full(NIGHT.id()), Panel.Reach.MEASURE, padding(6, 8, 4, 10));

    private static final Border FRAME =
            new Border(Border.ALL, Length.pt(2), Tinted.full(SIGNAL.id()), Border.Style.SOLID);

    private static Padding padding(double top, double right, double bottom, double left) {
        return new Padding(points(top), points(right), points(bottom), points(left));
    }

    private static Distance points(double points) {
        return Distance.of(Length.pt(points));
    }

    private static Look noticed(Panel panel) {
        return BODY.withPanel(Optional.of(panel));
    }

    private static SetFrame set(Look body, FrameSetting setting, double height, String... texts) {
        List<Paragraph> text =
                java.util.stream.IntStream.range(0, texts.length)
                        .mapToObj(i ->
                                texts[i].startsWith("# ")
                                        ? paragraph("p" + i, HEADING, texts[i].substring(2))
                                        : paragraph("p" + i, body, texts[i]))
                        .toList();
        double columns = setting.columns() * 60 + (setting.columns() - 1) * 5;
        Box box =
                new Box(
                        Length.mm(0),
                        Length.mm(0),
                        Length.mm(columns + 2 * setting.inset().points() / MM),
                        Length.pt(height));
        return Typesetter.set(
                text,
                Sample.noMarks(text),
                StoryPlace.BEGINNING,
                box,
                setting,
                Sample.looks(look -> look.equals(HEADING.id()) ? HEADING : body));
    }

    private static SetFrame set(Look body, String... texts) {
        return set(body, FrameSetting.USUAL, 500, texts);
    }

    private static SetPanel.Row only(SetFrame set) {
        assertThat(set.panels()).hasSize(1);
        assertThat(set.panels().getFirst().rows()).hasSize(1);
        return set.panels().getFirst().rows().getFirst();
    }

    @Test
    void the_face_is_as_high_as_its_own_table_says() {
        Type type = Type.of(BODY, Optional.empty());
        assertThat(type.ascent()).isCloseTo(10 * ASCENT, EXACTLY);
        assertThat(type.descent()).isCloseTo(10 * DESCENT, EXACTLY);
    }

    @Test
    void a_box_is_its_lines_its_padding_and_its_border() {
        SetFrame set =
                set(noticed(NOTICE.withBorder(Optional.of(FRAME))), "Reeds,\u2028mud,\u2028stars");
        SetPanel.Row box = only(set);
        assertThat(box.x()).isCloseTo(0, EXACTLY);
        assertThat(box.y()).isCloseTo(0, EXACTLY);
        assertThat(box.width()).isCloseTo(WIDTH, EXACTLY);
        assertThat(box.height()).isCloseTo(2 + 6 + 3 * 14 + 4 + 2, EXACTLY);
        Segment first = set.segments().getFirst();
        assertThat(first.x()).isCloseTo(2 + 10, EXACTLY);
        double half = (14 - 10 * ASCENT - 10 * DESCENT) / 2;
        assertThat(first.baseline()).isCloseTo(2 + 6 + half + 10 * ASCENT, EXACTLY);
    }

    @Test
    void what_spills_leaves_text_where_it_was() {
        SetFrame plain = set(BODY, "Reeds,\u2028mud");
        SetFrame set = set(noticed(NOTICE.withHeld(false)), "Reeds,\u2028mud");
        SetPanel.Row box = only(set);
        assertThat(set.segments().getFirst().x()).isEqualTo(plain.segments().getFirst().x());
        assertThat(set.segments().getFirst().baseline())
                .isEqualTo(plain.segments().getFirst().baseline());
        double half = (14 - 10 * ASCENT - 10 * DESCENT) / 2;
        assertThat(box.x()).isCloseTo(-10, EXACTLY);
        assertThat(box.width()).isCloseTo(WIDTH + 18, EXACTLY);
        assertThat(box.y()).isCloseTo(-6 - half, EXACTLY);
        assertThat(box.height()).isCloseTo(6 + 28 + 4, EXACTLY);
    }

    @Test
    void padding_in_em_follows_the_size() {
        Padding em = Padding.all(Distance.em(0.5));
        for (double size : new double[] {8, 12.5, 40}) {
            Look look = noticed(NOTICE.withPadding(em)).withSize(Length.pt(size));
            SetPanel.Row box = only(set(look, "Reeds"));
            assertThat(box.height()).isCloseTo(14 + size, EXACTLY);
        }
    }

    /** Boxes follow each other as in CSS, where nothing collapses through a padding. */
    @Test
    void neighbours_apart_stand_one_below_the_other() {
        SetFrame set = set(noticed(NOTICE.withJoined(false)), "Reeds", "Mud", "# Stars");
        assertThat(set.panels()).hasSize(2);
        SetPanel.Row first = set.panels().getFirst().rows().getFirst();
        SetPanel.Row second = set.panels().getLast().rows().getFirst();
        assertThat(first.height()).isCloseTo(6 + 14 + 4, EXACTLY);
        assertThat(second.y()).isCloseTo(first.bottom(), EXACTLY);
        double heading = (28 - 20 * ASCENT - 20 * DESCENT) / 2 + 20 * ASCENT;
        assertThat(set.segments().getLast().baseline())
                .isCloseTo(second.bottom() + heading, EXACTLY);
    }

    @Test
    void neighbours_of_one_look_share_one_box_with_the_space_between() {
        Look look =
                noticed(NOTICE)
                        .withSetting(
                                new TextSetting(
                                        Length.pt(5), Length.ZERO, Length.ZERO, Length.ZERO, 0));
        SetPanel.Row box = only(set(look, "Reeds", "Mud", "Stars"));
        assertThat(box.height()).isCloseTo(6 + 14 + 5 + 14 + 5 + 14 + 4, EXACTLY);
        assertThat(set(look, "Reeds", "# Mud", "Stars").panels()).hasSize(2);
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void it_goes_on_in_the_next_column_closed_or_cut(boolean closed) {
        Panel panel = NOTICE.withClosed(closed).withBorder(Optional.of(FRAME));
        FrameSetting columns =
                new FrameSetting(Length.ZERO, 2, Length.mm(5), FrameSetting.Vertical.TOP, 0);
        SetFrame set = set(noticed(panel), columns, 60, "Reeds,\u2028mud,\u2028stars,\u2028wind");
        assertThat(set.panels()).hasSize(2);
        SetPanel first = set.panels().getFirst();
        SetPanel second = set.panels().getLast();
        double above = 2 + 6;
        double below = 4 + 2;
        assertThat(first.cutBelow()).isEqualTo(!closed);
        assertThat(second.cutAbove()).isEqualTo(!closed);
        assertThat(first.rows().getFirst().height())
                .isCloseTo(above + 3 * 14 + (closed ? below : 0), EXACTLY);
        assertThat(second.rows().getFirst().height())
                .isCloseTo((closed ? above : 0) + 14 + below, EXACTLY);
        assertThat(first.rows().getFirst().bottom()).isLessThanOrEqualTo(60 + 1e-6);
        assertThat(second.rows().getFirst().y()).isCloseTo(0, EXACTLY);
        assertThat(second.rows().getFirst().x()).isCloseTo(65 * MM, EXACTLY);
    }

    @Test
    void over_the_frame_it_goes_from_edge_to_edge() {
        FrameSetting inset =
                new FrameSetting(Length.pt(12), 1, Length.ZERO, FrameSetting.Vertical.TOP, 0);
        SetFrame set = set(noticed(NOTICE.withReach(Panel.Reach.FRAME)), inset, 500, "Reeds");
        assertThat(only(set).x()).isCloseTo(0, EXACTLY);
        assertThat(only(set).width()).isCloseTo(WIDTH + 24, EXACTLY);
        assertThat(set.segments().getFirst().x()).isCloseTo(12, EXACTLY);
        Panel wide = NOTICE.withReach(Panel.Reach.FRAME).withPadding(Padding.all(points(20)));
        assertThat(set(noticed(wide), inset, 500, "Reeds").segments().getFirst().x())
                .isCloseTo(20, EXACTLY);
    }

    @Test
    void by_line_each_box_is_as_wide_as_its_text() {
        SetFrame set =
                set(
                        noticed(NOTICE.withReach(Panel.Reach.LINES)),
                        "Reeds and mud,\u2028stars,\u2028wind over the marsh");
        List<SetPanel.Row> rows = set.panels().getFirst().rows();
        assertThat(rows).hasSize(3);
        for (int i = 0; i < 3; i++) {
            Segment line = set.segments().get(i);
            assertThat(rows.get(i).x()).isCloseTo(line.x() - 10, EXACTLY);
            assertThat(rows.get(i).width()).isCloseTo(line.width() + 18, EXACTLY);
        }
        assertThat(rows.get(1).y()).isCloseTo(rows.get(0).bottom(), EXACTLY);
        assertThat(rows.get(2).bottom() - rows.get(0).y()).isCloseTo(6 + 3 * 14 + 4, EXACTLY);
    }

    @Test
    void a_paragraph_that_has_its_own_leaves_that_of_its_look() {
        Paragraph own =
                paragraph("own", BODY, "Reeds").withPanel(Optional.of(NOTICE.withJoined(false)));
        SetFrame set =
                Typesetter.set(
                        List.of(own, paragraph("other", BODY, "Mud")),
                        List.of("", ""),
                        StoryPlace.BEGINNING,
                        new Box(Length.mm(0), Length.mm(0), Length.mm(60), Length.mm(60)),
                        FrameSetting.USUAL,
                        Sample.looks(id -> BODY));
        assertThat(set.panels()).hasSize(1);
        assertThat(set.panels().getFirst().paragraph()).isEqualTo(own.id());
        assertThat(own.withPanel(Optional.of(Panel.NONE)).panel(noticed(NOTICE)).paints())
                .isFalse();
    }

    @Test
    void padding_that_leaves_no_room_leaves_the_text_over() {
        Panel huge = NOTICE.withPadding(Padding.all(Distance.of(Length.mm(400))));
        SetFrame set = set(noticed(huge), "Reeds and mud");
        assertThat(set.panels()).isEmpty();
        assertThat(set.end()).isEqualTo(StoryPlace.BEGINNING);
    }

    @ParameterizedTest
    @CsvSource({"-1 mm", "501 mm", "-0.1 em", "21 em"})
    void distances_out_of_range_are_refused(String text) {
        assertThatThrownBy(() -> Distance.read(text))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("0 mm to 500 mm");
    }

    @Test
    void what_is_no_colour_and_no_side_is_refused() {
        assertThatThrownBy(() -> NOTICE.withShading(Optional.of(new Fill.None())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("colour or a gradient");
        assertThatThrownBy(() ->
                        new Border(
                                List.of(Edge.INSIDE),
                                Length.pt(1),
                                Tinted.full(NIGHT.id()),
                                Border.Style.SOLID))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("top, right, bottom, left");
    }
}
