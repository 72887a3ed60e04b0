package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.edit.FrameEdit.WriteText;
import yewberry.core.edit.FrameEdit.WrittenParagraph;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

class WritingTest {
    private static final TextFrame PLAIN = frame("f", 0, 0, 80, 50, BODY, "One two three");

    /** "One ", "two" in a colour of its own, " three". */
    private static TextFrame colored() {
        Paragraph paragraph = PLAIN.paragraphs().getFirst();
        return PLAIN.withParagraphs(
                List.of(
                        paragraph.withRuns(
                                List.of(
                                        new Run(id("a"), "One ", Optional.empty()),
                                        new Run(
                                                id("b"),
                                                "two",
                                                Optional.of(Tinted.full(SIGNAL.id()))),
                                        new Run(id("c"), " three", Optional.empty())))));
    }

    private static List<Run> typed(TextFrame frame, String text) {
        WrittenParagraph written =
                new WrittenParagraph(frame.paragraphs().getFirst().id(), BODY.id(), text);
        return Writing.write(frame, new WriteText(frame.id(), List.of(written)))
                .paragraphs()
                .getFirst()
                .runs();
    }

    private static List<String> texts(List<Run> runs) {
        return runs.stream().map(Run::text).toList();
    }

    @Test
    void typing_within_a_run_keeps_the_runs_around_it() {
        List<Run> runs = typed(colored(), "One twenty three");
        assertThat(texts(runs)).containsExactly("One ", "twenty", " three");
        assertThat(runs.get(1).color()).contains(Tinted.full(SIGNAL.id()));
        assertThat(runs).extracting(Run::id).containsExactly(id("a"), id("b"), id("c"));
    }

    @Test
    void what_is_typed_over_a_border_joins_the_run_it_begins_in() {
        assertThat(texts(typed(colored(), "One twXree"))).containsExactly("One ", "twX", "ree");
    }

    @Test
    void a_run_that_is_deleted_is_gone_and_an_emptied_paragraph_keeps_one() {
        assertThat(texts(typed(colored(), "One  three"))).containsExactly("One ", " three");
        assertThat(texts(typed(colored(), ""))).containsExactly("");
    }

    @Test
    void text_at_the_end_joins_the_last_run() {
        assertThat(texts(typed(colored(), "One two three!")))
                .containsExactly("One ", "two", " three!");
    }

    @Test
    void a_new_look_leaves_the_runs_alone() {
        WrittenParagraph written =
                new WrittenParagraph(
                        colored().paragraphs().getFirst().id(), HEADING.id(), "One two three");
        Paragraph paragraph =
                Writing.write(colored(), new WriteText(PLAIN.id(), List.of(written)))
                        .paragraphs()
                        .getFirst();
        assertThat(paragraph.look()).isEqualTo(HEADING.id());
        assertThat(paragraph.runs()).isEqualTo(colored().paragraphs().getFirst().runs());
    }

    @Test
    void a_frame_keeps_at_least_one_paragraph_and_none_twice() {
        assertThatThrownBy(() -> Writing.write(PLAIN, new WriteText(PLAIN.id(), List.of())))
                .isInstanceOf(Refused.class);
        WrittenParagraph same = new WrittenParagraph(id("p"), BODY.id(), "x");
        assertThatThrownBy(
                        () -> Writing.write(PLAIN, new WriteText(PLAIN.id(), List.of(same, same))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("twice");
    }

    @Test
    void a_control_character_is_refused() {
        assertThatThrownBy(() -> typed(PLAIN, "One\u0007")).isInstanceOf(Refused.class);
    }
}
