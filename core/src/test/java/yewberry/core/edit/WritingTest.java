package yewberry.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.paragraph;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.edit.StoryEdit.WriteText;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.edit.StoryEdit.WrittenRun;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.publication.Tinted;

class WritingTest {
    private static final Story PLAIN = story("One two three");

    private static Story story(String... text) {
        return new Story(
                id("s"),
                List.of(),
                IntStream.range(0, text.length)
                        .mapToObj(i -> paragraph(String.valueOf(i), BODY, text[i]))
                        .toList());
    }

    private static WrittenParagraph written(Paragraph paragraph, String text) {
        return new WrittenParagraph(paragraph.id(), paragraph.look(), text);
    }

    private static List<WrittenParagraph> all(Story story) {
        return story.paragraphs().stream().map(WrittenParagraph::of).toList();
    }

    /** In the place of everything. */
    private static WriteText write(Story story, WrittenParagraph... paragraphs) {
        return new WriteText(story.id(), Optional.empty(), List.of(paragraphs), all(story));
    }

    /** "One ", "two" in a colour of its own, " three". */
    private static Story colored() {
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

    /** With these runs, of which those with a star have the colour. */
    private static List<Run> typed(Story story, String... runs) {
        List<WrittenRun> written =
                Arrays.stream(runs)
                        .map(run ->
                                new WrittenRun(
                                        run.replace("*", ""),
                                        run.contains("*")
                                                ? Optional.of(Tinted.full(SIGNAL.id()))
                                                : Optional.empty()))
                        .toList();
        WrittenParagraph paragraph =
                new WrittenParagraph(story.paragraphs().getFirst().id(), BODY.id(), written);
        return Writing.write(story, write(story, paragraph)).paragraphs().getFirst().runs();
    }

    private static List<String> texts(List<Run> runs) {
        return runs.stream().map(Run::text).toList();
    }

    @Test
    void typing_within_a_run_keeps_the_runs_around_it() {
        List<Run> runs = typed(colored(), "One ", "*twenty", " three");
        assertThat(texts(runs)).containsExactly("One ", "twenty", " three");
        assertThat(runs.get(1).color()).contains(Tinted.full(SIGNAL.id()));
        assertThat(runs).extracting(Run::id).containsExactly(id("a"), id("b"), id("c"));
    }

    @Test
    void what_is_typed_over_a_border_joins_the_run_it_begins_in() {
        List<Run> runs = typed(colored(), "One ", "*twX", "ree");
        assertThat(texts(runs)).containsExactly("One ", "twX", "ree");
        assertThat(runs).extracting(Run::id).containsExactly(id("a"), id("b"), id("c"));
    }

    @Test
    void a_run_that_is_deleted_is_gone_and_an_emptied_paragraph_keeps_one() {
        List<Run> without = typed(colored(), "One  three");
        assertThat(texts(without)).containsExactly("One  three");
        assertThat(without.getFirst().id()).as("that of most of it").isEqualTo(id("c"));
        assertThat(texts(typed(colored()))).containsExactly("");
        assertThat(texts(typed(colored(), ""))).containsExactly("");
    }

    @Test
    void text_at_the_end_joins_the_last_run() {
        List<Run> runs = typed(colored(), "One ", "*two", " three!");
        assertThat(texts(runs)).containsExactly("One ", "two", " three!");
        assertThat(runs).extracting(Run::id).containsExactly(id("a"), id("b"), id("c"));
    }

    @Test
    void a_run_that_is_divided_stays_one_and_the_others_are_new_each_by_itself() {
        List<Run> runs = typed(PLAIN, "One ", "*two", " three");
        assertThat(runs.get(2).id())
                .as("that of most of it")
                .isEqualTo(PLAIN.paragraphs().getFirst().runs().getFirst().id());
        assertThat(runs).extracting(Run::id).doesNotHaveDuplicates();
        List<Run> more = typed(PLAIN, "O", "*n", "e", "*t", "w", "*o");
        assertThat(more).extracting(Run::id).doesNotHaveDuplicates();
        assertThat(typed(PLAIN, "*Quite other").getFirst().id())
                .as("all of it replaced")
                .isEqualTo(PLAIN.paragraphs().getFirst().runs().getFirst().id());
    }

    @Test
    void a_new_look_leaves_the_runs_alone() {
        WrittenParagraph written =
                new WrittenParagraph(
                        colored().paragraphs().getFirst().id(),
                        HEADING.id(),
                        all(colored()).getFirst().runs());
        Paragraph paragraph =
                Writing.write(colored(), write(colored(), written)).paragraphs().getFirst();
        assertThat(paragraph.look()).isEqualTo(HEADING.id());
        assertThat(paragraph.runs()).isEqualTo(colored().paragraphs().getFirst().runs());
    }

    @Test
    void a_story_keeps_at_least_one_paragraph_and_none_twice() {
        assertThatThrownBy(() -> Writing.write(PLAIN, write(PLAIN))).isInstanceOf(Refused.class);
        WrittenParagraph same = new WrittenParagraph(id("p"), BODY.id(), "x");
        assertThatThrownBy(() -> Writing.write(PLAIN, write(PLAIN, same, same)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("twice");
    }

    private static List<String> lines(Story story) {
        return story.paragraphs().stream().map(Paragraph::text).toList();
    }

    @Test
    void one_paragraph_of_many_is_written_by_itself() {
        Story three = story("One", "Two", "Three");
        Paragraph second = three.paragraphs().get(1);
        Story typed =
                Writing.write(
                        three,
                        new WriteText(
                                three.id(),
                                Optional.of(three.paragraphs().getFirst().id()),
                                List.of(written(second, "Second")),
                                List.of(written(second, "Two"))));
        assertThat(lines(typed)).containsExactly("One", "Second", "Three");
        assertThat(typed.paragraphs().get(2)).isSameAs(three.paragraphs().get(2));
    }

    @Test
    void paragraphs_are_divided_joined_and_put_in_where_they_belong() {
        Story three = story("One", "Two", "Three");
        List<WrittenParagraph> was = all(three);
        WrittenParagraph fresh = new WrittenParagraph(id("fresh"), BODY.id(), "o");
        WriteText divide =
                new WriteText(
                        three.id(),
                        Optional.of(was.get(0).paragraph()),
                        List.of(written(three.paragraphs().get(1), "Tw"), fresh),
                        was.subList(1, 2));
        assertThat(lines(Writing.write(three, divide))).containsExactly("One", "Tw", "o", "Three");
        WriteText join =
                new WriteText(
                        three.id(),
                        Optional.empty(),
                        List.of(written(three.paragraphs().getFirst(), "OneTwo")),
                        was.subList(0, 2));
        assertThat(lines(Writing.write(three, join))).containsExactly("OneTwo", "Three");
        WriteText first = new WriteText(three.id(), Optional.empty(), List.of(fresh), List.of());
        assertThat(lines(Writing.write(three, first))).containsExactly("o", "One", "Two", "Three");
        WriteText behind =
                new WriteText(
                        three.id(), Optional.of(was.get(1).paragraph()), List.of(fresh), List.of());
        assertThat(lines(Writing.write(three, behind))).containsExactly("One", "Two", "o", "Three");
    }

    @Test
    void a_paragraph_of_more_characters_than_are_allowed_is_refused() {
        Publication in =
                Sample.withText(
                        Sample.withPage(
                                new Layer(
                                        List.of(),
                                        List.of(frame("f", 10, 10, 50, 50, BODY, "a")))));
        Story story = in.stories().getFirst();
        String much = "a".repeat(Limits.CHARACTERS + 1);
        assertThatThrownBy(() ->
                        Editing.edit(
                                in, write(story, written(story.paragraphs().getFirst(), much))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("50001")
                .hasMessageContaining("divide it");
    }

    @Test
    void a_control_character_is_refused() {
        assertThatThrownBy(() -> typed(PLAIN, "One\u0007")).isInstanceOf(Refused.class);
    }

    private static String together(String was, String made, String here) {
        Story before = story(was);
        Story now =
                Writing.write(before, write(before, written(before.paragraphs().getFirst(), here)));
        WriteText late = write(before, written(before.paragraphs().getFirst(), made));
        return Writing.write(now, late).paragraphs().getFirst().text();
    }

    /** What came from the server meanwhile is in no field of whoever still types. */
    @ParameterizedTest
    @CsvSource(
            quoteCharacter = '"',
            value = {
                "One two three, One two three four, Zero One two three, Zero One two three four",
                "One two three, One TWO three, One two THREE, One TWO THREE",
                "One two three, One three, One two three four, One three four",
                "One two three, One two three, \"\", \"\"",
                "One two three, One 2 three, One II three, One II 2 three",
                "One, One and more, One, One and more",
            })
    void what_two_type_into_one_paragraph_is_put_together(
            String was, String made, String here, String both) {
        assertThat(together(was, made, here)).isEqualTo(both);
    }

    @Test
    void other_words_of_a_paragraph_are_apart_and_the_same_are_not() {
        Paragraph paragraph = PLAIN.paragraphs().getFirst();
        Story now = Writing.write(PLAIN, write(PLAIN, written(paragraph, "One two 3")));
        assertThat(Writing.isApart(write(PLAIN, written(paragraph, "1 two three")), now)).isTrue();
        assertThat(Writing.isApart(write(PLAIN, written(paragraph, "One two III")), now)).isFalse();
    }

    /** Nothing of what either typed is missing, wherever they typed. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void no_word_that_was_typed_is_lost(long seed) {
        Random random = new Random(seed);
        for (int turn = 0; turn < 50; turn++) {
            List<String> was =
                    IntStream.range(0, 1 + random.nextInt(12))
                            .mapToObj(i -> "w" + random.nextInt(5))
                            .toList();
            List<String> one = new ArrayList<>(was);
            List<String> other = new ArrayList<>(was);
            one.add(random.nextInt(one.size() + 1), "mine" + turn);
            other.add(random.nextInt(other.size() + 1), "theirs" + turn);
            String both =
                    together(String.join(" ", was), String.join(" ", one), String.join(" ", other));
            assertThat(both.split(" ")).contains("mine" + turn, "theirs" + turn);
        }
    }

    @Test
    void what_is_divided_off_a_shaded_paragraph_is_shaded_as_well() {
        Panel panel = Panel.shaded(Tinted.full(SIGNAL.id()), Panel.Reach.MEASURE, Padding.NONE);
        Paragraph shaded = PLAIN.paragraphs().getFirst().withPanel(Optional.of(panel));
        Story story = PLAIN.withParagraphs(List.of(shaded));
        Story divided =
                Writing.write(
                        story,
                        write(
                                story,
                                written(shaded, "One "),
                                new WrittenParagraph(id("second"), BODY.id(), "two three"),
                                new WrittenParagraph(id("third"), HEADING.id(), "four")));
        assertThat(divided.paragraphs())
                .extracting(Paragraph::panel)
                .containsExactly(Optional.of(panel), Optional.of(panel), Optional.empty());
    }
}
