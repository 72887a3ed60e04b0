package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.publication.Box;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;

/**
 * A gradient behind a paragraph that goes on in other columns runs over all its parts as if they
 * stood one below the other (CSS Fragmentation 3, 5.4: box-decoration-break: slice), and over each
 * by itself where the panel is closed (clone).
 */
class CutGradientTest {
    private static final Offset<Double> EXACTLY = within(1e-6);

    private static Look look(boolean closed, double size) {
        Fill down =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        270,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(NIGHT.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(WHITE.id()), 100)));
        return Sample.look("Shaded", 400, size, Sample.INK)
                .withPanel(
                        Optional.of(
                                Panel.shaded(
                                                Tinted.full(NIGHT.id()),
                                                Panel.Reach.MEASURE,
                                                Padding.all(Distance.of(Length.mm(2))))
                                        .withShading(Optional.of(down))
                                        .withClosed(closed)));
    }

    /** One paragraph through frames on so many pages, of so many columns each. */
    private static Publication running(Look look, int pages, int columns) {
        Publication plain = Sample.publication();
        List<Page> made = new ArrayList<>();
        List<Story.Link> chain = new ArrayList<>();
        for (int number = 1; number <= pages; number++) {
            TextFrame frame =
                    new TextFrame(
                                    id("f" + number),
                                    Sides.BOTH,
                                    new Box(
                                            Length.mm(20),
                                            Length.mm(20),
                                            Length.mm(80),
                                            Length.mm(20)),
                                    id("story"))
                            .withSetting(
                                    new FrameSetting(
                                            Length.ZERO,
                                            columns,
                                            Length.mm(4),
                                            FrameSetting.Vertical.TOP,
                                            0));
            made.add(plain.page(page(number)).withLayer(new Layer(List.of(), List.of(frame))));
            chain.add(new Story.Link(new Owner.OnPage(page(number)), frame.id()));
        }
        String words = "Where the sea wall ends and the reeds begin there is no lamp. ".repeat(6);
        return plain.withPages(made)
                .withLooks(Stream.concat(plain.looks().stream(), Stream.of(look)).toList())
                .withStories(
                        List.of(
                                new Story(
                                        id("story"),
                                        chain,
                                        List.of(Sample.paragraph("p", look, words)))));
    }

    private static List<Item.TextFill> parts(Publication in, Composer composer) {
        return IntStream.range(0, in.pages().size())
                .mapToObj(at -> composer.compose(in, at).items())
                .flatMap(List::stream)
                .filter(Item.TextFill.class::isInstance)
                .map(Item.TextFill.class::cast)
                .toList();
    }

    private static List<Item.TextFill> parts(Publication in) {
        return parts(in, new Composer(PressCondition.coated()));
    }

    @ParameterizedTest
    @CsvSource({"1, 2", "1, 3", "2, 1", "3, 1", "2, 2"})
    void it_runs_on_over_all_parts(int pages, int columns) {
        List<Item.TextFill> parts = parts(running(look(false, 10), pages, columns));
        assertThat(parts).hasSizeGreaterThan(1);
        double all = parts.stream().mapToDouble(each -> each.form().bounds().height()).sum();
        double above = 0;
        for (Item.TextFill each : parts) {
            Rect part = each.form().bounds();
            assertThat(each.frame().height()).isCloseTo(all, EXACTLY);
            assertThat(each.frame().y()).isCloseTo(part.y() - above, EXACTLY);
            assertThat(each.frame().width()).isCloseTo(part.width(), EXACTLY);
            above += part.height();
        }
        assertThat(above).isCloseTo(all, EXACTLY);
    }

    @Test
    void a_closed_panel_has_a_gradient_in_each_part() {
        for (Item.TextFill each : parts(running(look(true, 10), 2, 2))) {
            assertThat(each.frame()).isEqualTo(each.form().bounds());
        }
    }

    /** What stands on one page depends on how much of the paragraph stands on the others. */
    @Test
    void a_page_is_made_anew_when_the_part_on_another_page_is_another() {
        Publication before = running(look(false, 10), 3, 1);
        Composer composer = new Composer(PressCondition.coated());
        parts(before, composer);
        Publication after =
                Editing.edit(before, new LookEdit.ChangeLook(look(false, 8))).publication();
        List<Rect> remembered = parts(after, composer).stream().map(Item.TextFill::frame).toList();
        assertThat(remembered).isEqualTo(parts(after).stream().map(Item.TextFill::frame).toList());

        var narrow =
                new FrameEdit.PlaceFrame(
                        id("f2"),
                        Sides.BOTH,
                        new Box(Length.mm(20), Length.mm(20), Length.mm(60), Length.mm(12)));
        Publication moved = Editing.edit(after, narrow).publication();
        assertThat(parts(moved, composer).stream().map(Item.TextFill::frame).toList())
                .isEqualTo(parts(moved).stream().map(Item.TextFill::frame).toList())
                .isNotEqualTo(remembered);
    }

    /** The page that the rest stood on may go, or the frame on it alone. */
    @Test
    void the_others_may_be_removed() {
        Publication before = running(look(false, 10), 3, 1);
        Composer composer = new Composer(PressCondition.coated());
        parts(before, composer);
        for (Edit edit :
                List.of(
                        new PageEdit.RemovePages(List.of(page(3))),
                        new PageEdit.RemovePages(List.of(page(2), page(3))),
                        new FrameEdit.RemoveFrame(id("f2")))) {
            Publication after = Editing.edit(before, edit).publication();
            assertThat(parts(after, composer).stream().map(Item.TextFill::frame).toList())
                    .isEqualTo(parts(after).stream().map(Item.TextFill::frame).toList());
        }
    }
}
