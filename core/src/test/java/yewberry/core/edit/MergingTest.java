package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Margins;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/** Values that are typed in a row, each sent before the answer to the one before it was seen. */
class MergingTest {
    private static Publication after(Publication before, Edit... edits) {
        Publication result = before;
        for (Edit edit : edits) {
            result = Editing.edit(result, edit).publication();
        }
        return result;
    }

    private static Definition plain(double cyan, double magenta, double yellow, double black) {
        return new Definition.Plain(new Cmyk(cyan, magenta, yellow, black));
    }

    @Test
    void four_inks_typed_in_a_row_all_stay() {
        Definition was = NIGHT.definition();
        Publication typed =
                after(
                        Sample.publication(),
                        new SwatchEdit.ChangeSwatch(
                                NIGHT.id(), plain(10, 86, 42, 52), Optional.of(was)),
                        new SwatchEdit.ChangeSwatch(
                                NIGHT.id(), plain(100, 20, 42, 52), Optional.of(was)),
                        new SwatchEdit.ChangeSwatch(
                                NIGHT.id(), plain(100, 86, 30, 52), Optional.of(was)),
                        new SwatchEdit.ChangeSwatch(
                                NIGHT.id(), plain(100, 86, 42, 40), Optional.of(was)));
        assertThat(typed.swatch(NIGHT.id()).definition()).isEqualTo(plain(10, 20, 30, 40));
    }

    @Test
    void margins_typed_in_a_row_all_stay_and_a_length_is_taken_as_a_whole() {
        Setup was = Sample.publication().setup();
        Margins margins = was.margins();
        Publication typed =
                after(
                        Sample.publication(),
                        new PublicationEdit.ChangeSetup(
                                withMargins(
                                        was,
                                        new Margins(
                                                Length.pt(30),
                                                margins.bottom(),
                                                margins.inside(),
                                                margins.outside())),
                                Optional.of(was)),
                        new PublicationEdit.ChangeSetup(
                                withMargins(
                                        was,
                                        new Margins(
                                                margins.top(),
                                                Length.mm(33),
                                                margins.inside(),
                                                margins.outside())),
                                Optional.of(was)));
        assertThat(typed.setup().margins())
                .isEqualTo(
                        new Margins(
                                Length.pt(30), Length.mm(33), margins.inside(), margins.outside()));
        assertThat(withMargins(typed.setup(), margins)).as("nothing else").isEqualTo(was);
    }

    private static Setup withMargins(Setup setup, Margins margins) {
        return new Setup(
                setup.destination(),
                setup.trim(),
                setup.facing(),
                setup.bleed(),
                setup.safe(),
                margins,
                setup.unit(),
                setup.level(),
                setup.press(),
                setup.checks());
    }

    @Test
    void a_frame_that_is_placed_by_four_numbers_gets_all_four() {
        Publication before =
                Sample.withPage(
                        new Layer(List.of(), List.of(frame("f", 10, 20, 30, 40, BODY, "A"))));
        Box was = box(10, 20, 30, 40);
        Publication typed =
                after(
                        before,
                        placed(box(11, 20, 30, 40), was),
                        placed(box(10, 21, 30, 40), was),
                        placed(box(10, 20, 31, 40), was),
                        placed(box(10, 20, 30, 41), was));
        assertThat(frameOf(typed).box()).isEqualTo(box(11, 21, 31, 41));
    }

    private static Box box(double x, double y, double width, double height) {
        return new Box(Length.mm(x), Length.mm(y), Length.mm(width), Length.mm(height));
    }

    private static Edit placed(Box box, Box was) {
        return new FrameEdit.PlaceFrame(
                id("f"), Sides.BOTH, box, Optional.of(new FrameEdit.Place(Sides.BOTH, was)));
    }

    private static TextFrame frameOf(Publication publication) {
        return publication.pages().getFirst().layer().textFrames().getFirst();
    }

    @Test
    void a_background_keeps_what_others_made_of_it() {
        Background was = wholePage("g", NIGHT);
        Publication before = Sample.withPage(new Layer(List.of(was), List.of()));
        Edit opacity = new BackgroundEdit.ChangeBackground(was.withOpacity(60), Optional.of(was));
        Edit fill =
                new BackgroundEdit.ChangeBackground(
                        was.withFill(new Fill.Solid(new Tinted(SIGNAL.id(), 40))),
                        Optional.of(was));
        assertThat(after(before, opacity, fill))
                .as("in either order")
                .isEqualTo(after(before, fill, opacity));
        Background both =
                after(before, opacity, fill).pages().getFirst().layer().backgrounds().getFirst();
        assertThat(both.opacity()).isEqualTo(60);
        assertThat(both.fill()).isEqualTo(new Fill.Solid(new Tinted(SIGNAL.id(), 40)));
        assertThat(Editing.isApart(after(before, opacity), fill)).isTrue();
        assertThat(Editing.isApart(after(before, opacity), opacity)).as("the same twice").isTrue();
        assertThat(
                        Editing.isApart(
                                after(before, opacity),
                                new BackgroundEdit.ChangeBackground(
                                        was.withOpacity(30), Optional.of(was))))
                .as("another opacity than somebody gave it")
                .isFalse();
        assertThat(Editing.isApart(before, new BackgroundEdit.ChangeBackground(was)))
                .as("an edit that does not say what it was made from")
                .isFalse();
    }

    @Test
    void edges_that_bleed_are_set_one_by_one() {
        Background was = wholePage("g", NIGHT).withArea(rectangle(Set.of(Edge.TOP)));
        Publication before = Sample.withPage(new Layer(List.of(was), List.of()));
        Background typed =
                after(
                                before,
                                bleeding(was, EnumSet.of(Edge.TOP, Edge.LEFT)),
                                bleeding(was, EnumSet.noneOf(Edge.class)),
                                bleeding(was, EnumSet.of(Edge.TOP, Edge.BOTTOM)))
                        .pages()
                        .getFirst()
                        .layer()
                        .backgrounds()
                        .getFirst();
        assertThat(typed.area()).isEqualTo(rectangle(Set.of(Edge.LEFT, Edge.BOTTOM)));
    }

    private static Edit bleeding(Background was, Set<Edge> edges) {
        return new BackgroundEdit.ChangeBackground(
                was.withArea(rectangle(edges)), Optional.of(was));
    }

    private static Area.Rectangle rectangle(Set<Edge> bleeds) {
        return new Area.Rectangle(
                new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                Length.mm(1),
                Length.mm(2),
                Length.mm(30),
                Length.mm(40),
                bleeds);
    }

    @Test
    void another_kind_of_area_takes_the_place_of_the_one_before() {
        Background was = Sample.band("b", Edge.TOP, 20, NIGHT);
        Publication before = Sample.withPage(new Layer(List.of(was), List.of()));
        Publication typed =
                after(
                        before,
                        new BackgroundEdit.ChangeBackground(
                                was.withArea(new Area.SafeArea()), Optional.of(was)),
                        new BackgroundEdit.ChangeBackground(
                                was.withArea(new Area.Band(Edge.TOP, Length.mm(30))),
                                Optional.of(was)));
        assertThat(typed.pages().getFirst().layer().backgrounds().getFirst().area())
                .isEqualTo(new Area.Band(Edge.TOP, Length.mm(30)));
    }

    @Test
    void paragraphs_are_written_one_by_one() {
        Publication before =
                Sample.withPage(
                        new Layer(
                                List.of(),
                                List.of(frame("f", 10, 20, 30, 40, BODY, "One", "Two", "Three"))));
        List<WrittenParagraph> was =
                storyOf(before).paragraphs().stream().map(WrittenParagraph::of).toList();
        UUID added = id("added");
        List<WrittenParagraph> longer = new ArrayList<>(was);
        longer.add(1, new WrittenParagraph(added, HEADING.id(), "Between"));
        Publication typed =
                after(
                        before,
                        written(was, 0, "First"),
                        written(was, 2, "Third"),
                        written(was, longer),
                        written(was, List.of(was.get(0), was.get(2))));
        assertThat(storyOf(typed).paragraphs().stream().map(Paragraph::text))
                .containsExactly("First", "Between", "Third");
        assertThat(Editing.isApart(typed, written(was, 1, "Second")))
                .as("somebody removed it")
                .isFalse();
        assertThat(Editing.isApart(typed, written(was, 0, "Again"))).isFalse();
        assertThat(
                        Editing.isApart(
                                after(before, written(was, 0, "First")), written(was, 1, "Second")))
                .isTrue();
    }

    private static Edit written(List<WrittenParagraph> was, int index, String text) {
        List<WrittenParagraph> changed = new ArrayList<>(was);
        WrittenParagraph old = was.get(index);
        changed.set(index, new WrittenParagraph(old.paragraph(), old.look(), text));
        return written(was, changed);
    }

    private static Edit written(List<WrittenParagraph> was, List<WrittenParagraph> made) {
        UUID story = frame("f", 10, 20, 30, 40, BODY, "One", "Two", "Three").story();
        return new StoryEdit.WriteText(story, Optional.empty(), made, was);
    }

    private static Story storyOf(Publication publication) {
        return publication.stories().getFirst();
    }

    @Test
    void what_each_fits_but_does_not_fit_together_is_refused_with_the_reason() {
        Setup was = Sample.publication().setup();
        Margins margins = was.margins();
        Margins top =
                new Margins(Length.mm(150), margins.bottom(), margins.inside(), margins.outside());
        Margins bottom =
                new Margins(margins.top(), Length.mm(150), margins.inside(), margins.outside());
        Edit one = new PublicationEdit.ChangeSetup(withMargins(was, top), Optional.of(was));
        Edit other = new PublicationEdit.ChangeSetup(withMargins(was, bottom), Optional.of(was));
        assertThat(after(Sample.publication(), one).setup().margins()).isEqualTo(top);
        assertThat(after(Sample.publication(), other).setup().margins()).isEqualTo(bottom);
        assertThatThrownBy(() -> after(Sample.publication(), one, other))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("leave no room");
    }
}
