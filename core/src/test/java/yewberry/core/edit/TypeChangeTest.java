package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.scene.Item;

/** What words are set in is changed where it is said: for them, their paragraph, or in the look. */
class TypeChangeTest {
    private static final UUID RUN = id("run f 0");
    private static final UUID OTHER = id("run f 1");
    private static final Composer COMPOSER = new Composer(PressCondition.coated());

    /** Two paragraphs of one look. */
    private static Publication plain() {
        return Sample.withPage(
                new Layer(
                        List.of(), List.of(frame("f", 10, 10, 100, 40, BODY, "Comets", "Moons"))));
    }

    private static Publication with(Paragraph changed, Publication in) {
        Story story = in.stories().getFirst();
        return in.withStories(
                List.of(
                        story.withParagraphs(
                                story.paragraphs()
                                        .mapped(each ->
                                                each.id().equals(changed.id()) ? changed : each))));
    }

    private static Paragraph first(Publication in) {
        return in.stories().getFirst().paragraphs().getFirst();
    }

    private static Publication local(LocalSetting setting) {
        Publication plain = plain();
        return with(first(plain).withLocal(Optional.of(setting)), plain);
    }

    private static Publication local(LocalType type) {
        Publication plain = plain();
        Run run = first(plain).runs().getFirst();
        return with(first(plain).withRuns(List.of(run.withLocal(Optional.of(type)))), plain);
    }

    private static Item.GlyphRun run(Publication in, UUID run) {
        return COMPOSER.compose(in, 0).text().stream()
                .filter(each -> each.run().equals(run))
                .findFirst()
                .orElseThrow();
    }

    private static Optional<TypeChange> sized(Publication in, double wanted) {
        return TypeChange.size(in, first(in).id(), RUN, run(in, RUN).size(), wanted);
    }

    private static Publication after(Publication in, TypeChange change) {
        return Editing.edit(in, change.edit()).publication();
    }

    @Test
    void a_look_that_says_it_all_is_changed_with_all_that_wears_it() {
        TypeChange change = sized(plain(), 18).orElseThrow();
        Publication then = after(plain(), change);
        assertThat(change.isOfLook()).isTrue();
        assertThat(change.of()).isEqualTo("the look “%s”".formatted(BODY.name()));
        assertThat(change.value()).isEqualTo("18 pt");
        assertThat(run(then, RUN).size()).isEqualTo(18);
        assertThat(run(then, OTHER).size()).isEqualTo(18);
    }

    @Test
    void a_paragraph_with_a_size_of_its_own_gets_another_and_all_else_stays() {
        Publication before = local(LocalSetting.NONE.withSize(Length.pt(7.3)));
        TypeChange change = sized(before, 9).orElseThrow();
        Publication then = after(before, change);
        assertThat(change.isOfLook()).isFalse();
        assertThat(change.of()).isEqualTo("this paragraph");
        assertThat(run(then, RUN).size()).isEqualTo(9);
        assertThat(run(then, OTHER).size()).isEqualTo(BODY.size().points());
        assertThat(then.looks()).isEqualTo(before.looks());
    }

    @Test
    void words_with_a_size_of_their_own_get_at_least_what_is_wanted() {
        Publication before = local(LocalType.NONE.withSize(61));
        TypeChange change = sized(before, 9).orElseThrow();
        Publication then = after(before, change);
        assertThat(change.of()).isEqualTo("these words");
        assertThat(run(then, RUN).size()).isBetween(9.0, 9.0 + BODY.size().points() / 10_000);
        assertThat(run(then, OTHER).size()).isEqualTo(BODY.size().points());
    }

    @Test
    void words_of_a_part_of_their_paragraphs_own_size_are_still_theirs() {
        Publication before =
                with(
                        first(local(LocalType.NONE.withSize(50)))
                                .withLocal(Optional.of(LocalSetting.NONE.withSize(Length.pt(12)))),
                        plain());
        Publication then = after(before, sized(before, 9).orElseThrow());
        assertThat(run(before, RUN).size()).isCloseTo(6, within(1e-9));
        assertThat(run(then, RUN).size()).isCloseTo(9, within(1e-9));
        assertThat(first(then).local()).isEqualTo(first(before).local());
    }

    @Test
    void what_no_type_can_have_is_not_said_to_be_possible() {
        assertThat(sized(local(LocalType.NONE.withSize(50)), 5 * BODY.size().points())).isEmpty();
        assertThat(sized(local(LocalSetting.NONE.withSize(Length.pt(9))), Look.LARGEST + 1))
                .isEmpty();
        assertThat(sized(plain(), Look.LARGEST + 1)).isEmpty();
        assertThat(TypeChange.size(plain(), id("gone"), RUN, 9, 10)).isEmpty();
    }

    @Test
    void a_weight_and_an_alignment_are_changed_where_they_are_said() {
        Publication light = local(LocalType.NONE.withWeight(300));
        Publication bold =
                after(light, TypeChange.weight(light, first(light).id(), RUN, 700).orElseThrow());
        assertThat(run(bold, RUN).face().weight()).isEqualTo(700);
        assertThat(run(bold, OTHER).face().weight()).isEqualTo(BODY.weight());

        Publication justified = local(LocalSetting.NONE.withAlignment(Look.Alignment.JUSTIFIED));
        Publication ragged =
                after(
                        justified,
                        TypeChange.alignment(
                                        justified, first(justified).id(), RUN, Look.Alignment.LEFT)
                                .orElseThrow());
        assertThat(run(ragged, RUN).look().alignment()).isEqualTo(Look.Alignment.LEFT);
        assertThat(ragged.looks()).isEqualTo(justified.looks());
    }
}
