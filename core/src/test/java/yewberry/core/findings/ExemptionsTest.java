package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.ExemptionEdit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Publication;

/** Text whose contrast somebody accepts, and when that ends by itself. */
class ExemptionsTest {
    private static final PressCondition COATED = PressCondition.coated();

    /** Black on a dark ground, which is far from legible. */
    private static Publication dark() {
        return Sample.withPage(
                new Layer(
                        List.of(wholePage("g", NIGHT)),
                        List.of(frame("f", 10, 10, 100, 30, BODY, "Saltmarsh", "Observatory"))));
    }

    private static Exemption exemption(String name, double ratio) {
        return new Exemption(
                id(name),
                id("run f 0"),
                Exemption.Why.LOGOTYPE,
                "The word mark of the house",
                "Saltmarsh",
                ratio);
    }

    private static Publication after(Publication before, Edit edit) {
        return Editing.edit(before, edit).publication();
    }

    private static RunContrast contrast(Publication in) {
        return new Legibility(COATED, Demand.of(in.setup()), in.setup().destination())
                .judge(new Composer(COATED).compose(in, 0)).stream()
                        .filter(each -> each.run().run().equals(id("run f 0")))
                        .findFirst()
                        .orElseThrow();
    }

    private static Optional<Exemptions.Held> held(Publication in) {
        return Exemptions.of(in).of(contrast(in));
    }

    private static Publication exempted() {
        Publication before = dark();
        return after(
                before,
                new ExemptionEdit.AddExemption(exemption("e", contrast(before).worst().ratio())));
    }

    @Test
    void an_exception_holds_for_its_text_alone_until_it_is_ended() {
        Publication exempted = exempted();
        assertThat(held(exempted).orElseThrow().holds()).isTrue();
        List<RunContrast> others =
                new Legibility(COATED, Demand.of(exempted.setup()), exempted.setup().destination())
                        .judge(new Composer(COATED).compose(exempted, 0)).stream()
                                .filter(each -> !each.run().run().equals(id("run f 0")))
                                .toList();
        assertThat(others)
                .isNotEmpty()
                .allMatch(each -> Exemptions.of(exempted).of(each).isEmpty());
        Publication ended = after(exempted, new ExemptionEdit.EndExemption(id("e")));
        assertThat(held(ended)).isEmpty();
        assertThatThrownBy(() -> after(ended, new ExemptionEdit.EndExemption(id("e"))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no such exception");
    }

    @Test
    void one_id_stands_for_one_exception() {
        Publication exempted = exempted();
        Exemption other =
                new Exemption(
                        id("e"),
                        id("run f 1"),
                        Exemption.Why.DECORATION,
                        "Of the same id",
                        "Observatory",
                        1);
        assertThatThrownBy(() -> after(exempted, new ExemptionEdit.AddExemption(other)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("added already");
        assertThat(
                        after(exempted, new ExemptionEdit.AddExemption(exemption("again", 1)))
                                .exemptions())
                .as("another takes its place")
                .extracting(Exemption::id)
                .containsExactly(id("again"));
    }

    @Test
    void it_ends_by_itself_when_the_text_changes_and_is_back_when_that_is_undone() {
        Publication exempted = exempted();
        var paragraph = exempted.stories().getFirst().paragraphs().getFirst();
        Publication changed =
                after(
                        exempted,
                        new StoryEdit.WriteText(
                                exempted.stories().getFirst().id(),
                                Optional.empty(),
                                List.of(
                                        new StoryEdit.WrittenParagraph(
                                                paragraph.id(), BODY.id(), "Saltmarshes")),
                                List.of(
                                        new StoryEdit.WrittenParagraph(
                                                paragraph.id(), BODY.id(), "Saltmarsh"))));
        assertThat(held(changed).flatMap(Exemptions.Held::ended))
                .hasValueSatisfying(why -> assertThat(why).contains("another"));
        assertThat(held(exempted).orElseThrow().holds()).isTrue();
    }

    /** The ground under black text, and whether its contrast is lower then. */
    @ParameterizedTest
    @CsvSource({"100, false", "0, true"})
    void it_ends_when_the_contrast_falls_below_what_was_accepted(int black, boolean holds) {
        Publication other = Sample.withColor(exempted(), NIGHT, new Cmyk(100, 86, 42, black));
        assertThat(held(other).orElseThrow().holds()).isEqualTo(holds);
    }

    @Test
    void one_whose_text_is_gone_stays_in_the_list_and_says_so() {
        Publication without = after(exempted(), new FrameEdit.RemoveFrame(id("f")));
        Publication gone =
                without.findRun(id("run f 0")).isEmpty()
                        ? without
                        : after(
                                without,
                                new StoryEdit.RemoveStory(without.stories().getFirst().id()));
        assertThat(Exemptions.of(gone).all(gone, Stream.empty()))
                .singleElement()
                .satisfies(each -> assertThat(each.ended()).hasValue("The text is gone."));
    }

    @Test
    void what_cannot_be_accepted_is_refused() {
        Publication before = dark();
        assertThatThrownBy(() ->
                        after(
                                before,
                                new ExemptionEdit.AddExemption(
                                        new Exemption(
                                                id("e"),
                                                id("nobody"),
                                                Exemption.Why.DECORATION,
                                                "Any",
                                                "Saltmarsh",
                                                2))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("gone");
        assertThatThrownBy(() ->
                        after(
                                before,
                                new ExemptionEdit.AddExemption(
                                        new Exemption(
                                                id("e"),
                                                id("run f 0"),
                                                Exemption.Why.DECORATION,
                                                "Any",
                                                "Something else",
                                                2))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("changed");
        assertThatThrownBy(() -> exemption("e", Double.NaN)).isInstanceOf(Refused.class);
        assertThatThrownBy(() ->
                        new Exemption(
                                id("e"),
                                id("run f 0"),
                                Exemption.Why.INACTIVE,
                                "  ",
                                "Saltmarsh",
                                2))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("reason");
    }
}
