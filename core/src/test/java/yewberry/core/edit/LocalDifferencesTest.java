package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.publication.Basis;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Unit;

/** Text that differs from its looks, and comes to be as they say, or they as it is. */
class LocalDifferencesTest {
    private static final Optional<LocalSetting> WIDE =
            Optional.of(
                    setting(
                            Optional.of(Length.pt(30)),
                            Optional.of(Look.Alignment.RIGHT),
                            Optional.of(Length.mm(4))));
    private static final Optional<LocalType> LARGE = Optional.of(type(150.0, 700));

    private static LocalSetting setting(
            Optional<Length> size, Optional<Look.Alignment> alignment, Optional<Length> before) {
        return new LocalSetting(
                size,
                Optional.empty(),
                alignment,
                before,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static LocalSetting indented(Length first, Length left) {
        return new LocalSetting(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(first),
                Optional.of(left),
                Optional.empty(),
                Optional.empty());
    }

    private static LocalType type(double size, int weight) {
        return new LocalType(
                Optional.empty(),
                Optional.of(weight),
                Optional.empty(),
                Optional.of(size),
                Optional.empty(),
                Optional.of(Letters.Capitals.ALL),
                Optional.empty());
    }

    private static final CharacterLook STRONG = new CharacterLook(id("strong"), "Strong");

    /** With a paragraph that differs in all ways, and one that does not. */
    private static Publication differing() {
        Publication sample =
                Editing.edit(
                                Sample.publication(),
                                new Edit.Several(
                                        List.of(
                                                new CharacterLookEdit.AddCharacterLook(STRONG),
                                                new StoryEdit.AddStory(
                                                        id("story"), id("begun"), BODY.id()))))
                        .publication();
        Story story = sample.stories().getFirst();
        UUID swatch = sample.swatches().getFirst().id();
        Paragraph first =
                new Paragraph(
                                id("first"),
                                BODY.id(),
                                List.of(
                                        new Run(
                                                        id("one"),
                                                        "Come ",
                                                        Optional.of(Tinted.full(swatch)))
                                                .withLocal(LARGE),
                                        new Run(
                                                        id("two"),
                                                        "early",
                                                        Optional.empty(),
                                                        Optional.of(STRONG.id()))
                                                .withLocal(LARGE)))
                        .withLocal(WIDE);
        Paragraph second =
                new Paragraph(
                        id("second"),
                        BODY.id(),
                        List.of(new Run(id("three"), "or late", Optional.empty())));
        return sample.withStories(
                sample.stories()
                        .changed(story.id(), each -> each.withParagraphs(List.of(first, second))));
    }

    private static Paragraph paragraph(Publication in, String name) {
        return in.stories().getFirst().paragraphs().stream()
                .filter(each -> each.id().equals(id(name)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_look_is_as_its_text_and_what_is_cleared_is_as_its_look() {
        Publication differing = differing();
        assertThat(LocalDifferences.count(differing, BODY.id())).isEqualTo(1);
        assertThat(LocalDifferences.count(differing, STRONG.id())).isEqualTo(1);
        Publication ofParagraphs =
                Editing.edit(differing, new StoryEdit.ClearDifferences(BODY.id())).publication();
        Paragraph cleared = paragraph(ofParagraphs, "first");
        assertThat(cleared.local()).isEmpty();
        assertThat(cleared.runs().getFirst().color()).isEmpty();
        assertThat(cleared.runs().getFirst().local()).isEmpty();
        assertThat(cleared.runs().getLast().local())
                .as("what wears a look of characters differs from that")
                .isEqualTo(LARGE);
        assertThat(LocalDifferences.count(ofParagraphs, BODY.id())).isZero();
        Publication all =
                Editing.edit(ofParagraphs, new StoryEdit.ClearDifferences(STRONG.id()))
                        .publication();
        assertThat(paragraph(all, "first").runs().getLast().local()).isEmpty();
        assertThat(paragraph(all, "second")).isEqualTo(paragraph(differing, "second"));
    }

    @Test
    void what_differs_is_taken_into_the_look_and_only_that() {
        Look before = differing().look(BODY.id());
        Publication made =
                Editing.edit(
                                differing(),
                                new LookEdit.TakeIntoLook(BODY.id(), WIDE, Optional.empty()))
                        .publication();
        assertThat(made.look(BODY.id()))
                .isEqualTo(
                        before.withSize(Length.pt(30))
                                .withAlignment(Look.Alignment.RIGHT)
                                .withBefore(Length.mm(4)));
        Look words =
                Editing.edit(
                                differing(),
                                new LookEdit.TakeIntoLook(BODY.id(), Optional.empty(), LARGE))
                        .publication()
                        .look(BODY.id());
        assertThat(words.size().points())
                .as("in percent of its size")
                .isCloseTo(before.size().points() * 1.5, within(1e-9));
        assertThat(words.weight()).isEqualTo(700);
        assertThat(words.setting().letters().capitals()).isEqualTo(Letters.Capitals.ALL);
        CharacterLook strong =
                Editing.edit(
                                differing(),
                                new CharacterLookEdit.TakeIntoCharacterLook(
                                        STRONG.id(), LARGE.get()))
                        .publication()
                        .characterLook(STRONG.id());
        assertThat(strong.size()).contains(150.0);
        assertThat(strong.weight()).contains(700);
    }

    /** In its own unit: another one would be rounded when it is stored, and hang out again. */
    @ParameterizedTest
    @ValueSource(strings = {"1 mm", "0.1 in", "7 pt", "3.333333 mm", "0.123457 in"})
    void what_hangs_out_further_than_all_lines_are_indented_is_taken_in_as_far_as_it_may(
            String left) {
        LocalSetting hanging = indented(Length.mm(-20), Length.parse(left));
        Look made =
                Editing.edit(
                                differing(),
                                new LookEdit.TakeIntoLook(
                                        BODY.id(), Optional.of(hanging), Optional.empty()))
                        .publication()
                        .look(BODY.id());
        assertThat(made.setting().first()).hasToString("-" + left);
        assertThat(indented(Length.parse("-" + left), Length.parse(left)).on(BODY))
                .as("what is written of it, read again")
                .isEqualTo(made);
    }

    @Test
    void a_first_line_that_hangs_as_far_in_another_unit_is_no_further_out() {
        for (int i = 1; i <= 400; i++) {
            Length inches = new Length(i / 8.0, Unit.IN);
            Length exactly = Length.mm(i * 3.175);
            assertThat(indented(exactly.negative(), inches).on(BODY).setting().first())
                    .isEqualTo(exactly.negative());
            assertThat(indented(inches.negative(), exactly).on(BODY).setting().first())
                    .isEqualTo(inches.negative());
        }
    }

    @Test
    void a_look_that_is_based_on_another_sets_itself_what_it_takes_in() {
        Look based =
                BODY.copy(id("based"), "Based")
                        .withBasis(Optional.of(new Basis(BODY.id(), Set.of())));
        Publication on = Editing.edit(differing(), new LookEdit.AddLook(based)).publication();
        Publication made =
                Editing.edit(on, new LookEdit.TakeIntoLook(based.id(), WIDE, Optional.empty()))
                        .publication();
        assertThat(made.look(based.id()).basis().orElseThrow().own())
                .containsExactlyInAnyOrder("size", "alignment", "before");
        Publication followed =
                Editing.edit(
                                made,
                                new LookEdit.ChangeLook(
                                        made.look(BODY.id()).withSize(Length.pt(7))))
                        .publication();
        assertThat(followed.look(based.id()).size()).isEqualTo(Length.pt(30));
    }

    @ParameterizedTest
    @EnumSource(Look.Alignment.class)
    void two_who_set_different_things_of_a_paragraph_both_have_them(Look.Alignment alignment) {
        Publication on = differing();
        Story story = on.stories().getFirst();
        Paragraph second = paragraph(on, "second");
        StoryEdit.WrittenParagraph was = StoryEdit.WrittenParagraph.of(second);
        Optional<LocalSetting> sized =
                Optional.of(setting(Optional.of(Length.pt(9)), Optional.empty(), Optional.empty()));
        Optional<LocalSetting> aligned =
                Optional.of(setting(Optional.empty(), Optional.of(alignment), Optional.empty()));
        StoryEdit.WriteText late = write(story, second, aligned, was);
        Publication first = Editing.edit(on, write(story, second, sized, was)).publication();
        assertThat(Editing.isApart(first, late)).isTrue();
        Publication made = Editing.edit(first, late).publication();
        assertThat(paragraph(made, "second").local())
                .contains(
                        setting(
                                Optional.of(Length.pt(9)),
                                Optional.of(alignment),
                                Optional.empty()));
        StoryEdit.WriteText otherwise =
                write(
                        story,
                        second,
                        Optional.of(
                                setting(
                                        Optional.of(Length.pt(11)),
                                        Optional.empty(),
                                        Optional.empty())),
                        was);
        assertThat(Editing.isApart(first, otherwise)).as("the same of both").isFalse();
    }

    private static StoryEdit.WriteText write(
            Story story,
            Paragraph paragraph,
            Optional<LocalSetting> local,
            StoryEdit.WrittenParagraph was) {
        return new StoryEdit.WriteText(
                story.id(),
                Optional.of(id("first")),
                List.of(StoryEdit.WrittenParagraph.of(paragraph.withLocal(local))),
                List.of(was));
    }

    @Test
    void a_difference_that_no_look_can_have_is_refused() {
        assertThatThrownBy(() ->
                        setting(Optional.of(Length.pt(1)), Optional.empty(), Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("from 2 pt to 1000 pt");
        assertThatThrownBy(() ->
                        setting(Optional.empty(), Optional.empty(), Optional.of(Length.mm(-1))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("0 mm or more");
        assertThatThrownBy(() -> type(9, 400))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("from 10 to 400");
    }

    @Test
    void what_sets_nothing_is_no_difference() {
        LocalSetting none = setting(Optional.empty(), Optional.empty(), Optional.empty());
        assertThat(paragraph(differing(), "second").withLocal(Optional.of(none)).local()).isEmpty();
    }
}
