package yewberry.core.mends;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Sample;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.edit.StoryEdit;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/** Text that is reversed out of a ground in one step. */
class ReversalTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Tinted NIGHT = Tinted.full(Sample.NIGHT.id());

    private static Publication publication() {
        return Sample.withPage(
                new Layer(
                        List.of(),
                        List.of(Sample.frame("f", 20, 40, 80, 60, Sample.BODY, "Reeds", "Mud"))));
    }

    private static Story story(Publication in) {
        return in.stories().stream()
                .filter(each -> each.paragraphs().getFirst().text().equals("Reeds"))
                .findFirst()
                .orElseThrow();
    }

    private static Reversal reversal(Publication in, Tinted ground, boolean own) {
        Story story = story(in);
        Paragraph first = story.paragraphs().getFirst();
        return Reversal.ofParagraphs(
                in,
                new StoryEdit.WearLook(story.id(), List.of(first.id()), first.look()),
                ground,
                own,
                COATED,
                UUID::randomUUID);
    }

    private static PageScene scene(Publication of) {
        return new Composer(COATED).compose(of, 0);
    }

    private static List<String> colors(Publication of) {
        return scene(of).text().stream().map(run -> run.paint().name()).toList();
    }

    private static List<Item.TextFill> fills(Publication of) {
        return scene(of).items().stream()
                .filter(Item.TextFill.class::isInstance)
                .map(Item.TextFill.class::cast)
                .toList();
    }

    /** The ratio that was told is the one that is seen. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void text_gets_a_ground_and_a_colour_that_reads_on_it(boolean own) {
        Publication before = publication();
        Reversal reversal = reversal(before, NIGHT, own);
        assertThat(reversal.ratio())
                .isEqualTo(Contrast.ratio(reversal.screen(), reversal.ground()))
                .isGreaterThanOrEqualTo(reversal.required());
        Publication after = Editing.edit(before, reversal.edit()).publication();
        assertThat(fills(after)).hasSize(1);
        assertThat(colors(after)).containsExactly("White", own ? "Ink" : "White");
        Item.GlyphRun first = scene(after).text().getFirst();
        assertThat(Sample.asDesigned().see(first.paint().color())).isEqualTo(reversal.screen());
    }

    @Test
    void when_the_ground_goes_the_text_has_its_colour_back() {
        Publication before = publication();
        Publication after =
                Editing.edit(before, reversal(before, NIGHT, false).edit()).publication();
        Look look = after.look(Sample.BODY.id()).withPanel(Optional.empty());
        Publication without =
                after.withLooks(
                        after.looks().stream()
                                .map(each -> each.id().equals(look.id()) ? look : each)
                                .toList());
        assertThat(colors(without)).containsExactly("Ink", "Ink");
    }

    @Test
    void a_colour_that_reads_on_the_ground_stays() {
        Publication before = publication();
        Reversal reversal = reversal(before, new Tinted(Sample.NIGHT.id(), 10), false);
        Publication after = Editing.edit(before, reversal.edit()).publication();
        assertThat(reversal.text()).isEqualTo("Ink");
        assertThat(after.swatches()).hasSameSizeAs(before.swatches());
        assertThat(after.look(Sample.BODY.id()).color()).isEqualTo(Sample.BODY.color());
    }

    @Test
    void twice_on_the_same_ground_makes_no_second_swatch() {
        Publication before = publication();
        Publication once =
                Editing.edit(before, reversal(before, NIGHT, false).edit()).publication();
        Publication twice = Editing.edit(once, reversal(once, NIGHT, false).edit()).publication();
        assertThat(twice.swatches()).hasSameSizeAs(once.swatches());
        assertThat(colors(twice)).isEqualTo(colors(once));
    }

    @Test
    void words_get_a_highlight_in_a_look_of_their_own() {
        Publication before = publication();
        Reversal reversal =
                Reversal.ofCharacters(
                        before,
                        Sample.BODY.id(),
                        Optional.empty(),
                        NIGHT,
                        true,
                        COATED,
                        UUID::randomUUID);
        Publication after = Editing.edit(before, reversal.edit()).publication();
        CharacterLook made = after.characterLook(reversal.look());
        assertThat(made.highlight().orElseThrow().color()).isEqualTo(NIGHT);
        assertThat(made.color()).isPresent();
    }
}
