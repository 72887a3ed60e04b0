package yewberry.core.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.paragraph;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.publication.Box;
import yewberry.core.publication.Field;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;
import yewberry.core.text.Segment;

/** How a story runs from frame to frame, and what of it is set again after an edit. */
class FlowsTest {
    private static final String WORDS =
            "Where the sea wall ends and the reeds begin, there is no street lamp for eleven miles.";

    private final Flows flows = new Flows(new FlowMemory(10_000_000));

    /** A frame of 60 by 30 mm on each of four pages, and so many paragraphs that run through. */
    private static Publication story(Look look, int paragraphs) {
        return story(
                IntStream.range(0, paragraphs)
                        .mapToObj(i -> paragraph("p" + i, look, i + ". " + WORDS))
                        .toList());
    }

    private static Publication story(List<Paragraph> text) {
        Publication plain = Sample.publication();
        List<Page> pages = new ArrayList<>();
        List<Story.Link> chain = new ArrayList<>();
        for (int number = 1; number <= 4; number++) {
            TextFrame frame = new TextFrame(id("f" + number), Sides.BOTH, box(60, 30), id("story"));
            pages.add(plain.page(page(number)).withLayer(new Layer(List.of(), List.of(frame))));
            chain.add(new Story.Link(new Owner.OnPage(page(number)), frame.id()));
        }
        return plain.withPages(pages).withStories(List.of(new Story(id("story"), chain, text)));
    }

    private static Box box(double width, double height) {
        return new Box(Length.mm(20), Length.mm(20), Length.mm(width), Length.mm(height));
    }

    private static TextFrame frame(Publication in, int number) {
        return in.page(page(number)).layer().textFrames().getFirst();
    }

    private FilledFrame filled(Publication in, int number) {
        return flows.through(frame(in, number), in, in.pages().getFirst().id(), Optional.empty());
    }

    private List<FilledFrame> all(Publication in) {
        return IntStream.rangeClosed(1, 4).mapToObj(number -> filled(in, number)).toList();
    }

    /** Lines with a space between them; a paragraph ends with a bar. */
    private static String read(List<FilledFrame> frames) {
        StringBuilder text = new StringBuilder();
        Paragraph last = null;
        for (FilledFrame frame : frames) {
            for (Segment segment : frame.segments()) {
                text.append(last == null ? "" : last.id().equals(segment.paragraph()) ? " " : "|");
                text.append(segment.text());
                last = new Paragraph(segment.paragraph(), BODY.id(), List.of());
            }
        }
        return text.toString();
    }

    private static Publication after(Publication before, Edit edit) {
        return Editing.edit(before, edit).publication();
    }

    private static StoryEdit.WriteText typed(Publication in, int paragraph, String text) {
        Paragraph old = in.story(id("story")).paragraphs().get(paragraph);
        return new StoryEdit.WriteText(
                id("story"),
                Optional.empty(),
                List.of(new StoryEdit.WrittenParagraph(old.id(), old.look(), text)),
                List.of(new StoryEdit.WrittenParagraph(old.id(), old.look(), old.text())));
    }

    /** The part's name is short on some pages and long on others, so that lines end elsewhere. */
    @Test
    void a_story_with_fields_reads_each_on_its_frames_page_and_loses_and_doubles_no_word() {
        List<Paragraph> text =
                IntStream.range(0, 30)
                        .mapToObj(i ->
                                paragraph(
                                        "p" + i,
                                        BODY,
                                        i
                                                + ". "
                                                + Field.PART.character()
                                                + " on "
                                                + Field.PAGE.character()
                                                + ": "
                                                + WORDS))
                        .toList();
        Publication publication = story(text);
        List<String> parts = List.of("A", "The long nights of the season", "B", "Booking a seat");
        List<Page> pages = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            pages.add(publication.pages().get(i).withPart(Optional.of(parts.get(i))));
        }
        Publication named = publication.withPages(pages);
        List<FilledFrame> frames = all(named);
        String plain = String.join("|", text.stream().map(Paragraph::text).toList());
        StringBuilder written = new StringBuilder();
        for (int i = 0; i < 4; i++) {
            String here = read(frames.subList(i, i + 1));
            assertThat(here).contains(parts.get(i) + " on " + (i + 1) + ":");
            for (int other = 0; other < 4; other++) {
                assertThat(here.contains(" on " + (other + 1) + ":")).isEqualTo(other == i);
            }
            boolean goesOn = here.charAt(0) < '0' || here.charAt(0) > '9';
            written.append(i == 0 ? "" : goesOn ? " " : "|");
            written.append(
                    here.replace(parts.get(i) + " on", Field.PART.character() + " on")
                            .replace(
                                    " on " + (i + 1) + ":", " on " + Field.PAGE.character() + ":"));
        }
        assertThat(plain).startsWith(written.toString());
        assertThat(written.length() + frames.getLast().overset().length())
                .isGreaterThan(plain.length() / 2);
    }

    @Test
    void every_word_stands_in_one_frame_in_order_and_the_last_says_what_finds_no_room() {
        for (int paragraphs : List.of(1, 5, 9, 11, 12, 13, 40)) {
            Publication publication = story(BODY, paragraphs);
            List<FilledFrame> frames = all(publication);
            String whole =
                    publication.story(id("story")).paragraphs().stream()
                            .map(Paragraph::text)
                            .collect(Collectors.joining("|"));
            String rest = frames.getLast().overset().replace('\n', '|');
            assertThat(whole).startsWith(read(frames));
            String unread = whole.substring(read(frames).length());
            assertThat(unread.replaceFirst("^[ |]", "")).isEqualTo(rest);
            assertThat(frames.subList(0, 3)).allMatch(frame -> frame.overset().isEmpty());
        }
        assertThat(all(story(BODY, 40)).getLast().overset()).isNotEmpty();
        assertThat(all(story(BODY, 5)).getLast().overset()).isEmpty();
    }

    @Test
    void a_paragraph_goes_on_in_the_next_frame_at_its_top_and_without_its_first_indent() {
        Look indented =
                BODY.withSetting(
                        new TextSetting(Length.ZERO, Length.mm(5), Length.ZERO, Length.ZERO, 0));
        Publication plain = story(List.of(paragraph("long", BODY, (WORDS + " ").repeat(4))));
        Publication publication = after(plain, new LookEdit.ChangeLook(indented));
        List<Segment> first = filled(publication, 1).segments();
        Segment next = filled(publication, 2).segments().getFirst();
        assertThat(first.getFirst().x()).isCloseTo(5 * 72 / 25.4, within(1e-6));
        assertThat(next.paragraph()).isEqualTo(first.getLast().paragraph());
        assertThat(next.baseline()).isEqualTo(first.getFirst().baseline());
        assertThat(next.x()).isZero();
    }

    @Test
    void frames_of_other_widths_are_filled_to_their_own() {
        Publication narrow =
                after(story(BODY, 8), new FrameEdit.PlaceFrame(id("f2"), Sides.BOTH, box(30, 30)));
        assertThat(filled(narrow, 2).segments())
                .isNotEmpty()
                .allMatch(segment -> segment.x() + segment.width() <= 30 * 72 / 25.4 + 1e-6);
        assertThat(filled(narrow, 3).segments())
                .anyMatch(segment -> segment.width() > 31 * 72 / 25.4);
    }

    @Test
    void typing_sets_only_the_frames_whose_text_is_another() {
        Publication before = story(BODY, 11);
        List<FilledFrame> old = all(before);
        Paragraph within = before.story(id("story")).paragraphs().get(5);
        // as long as before, so that nothing behind it moves
        Publication typed = after(before, typed(before, 5, within.text().replace("lamp", "lump")));
        List<FilledFrame> now = all(typed);
        assertThat(now.get(0)).isSameAs(old.get(0));
        assertThat(now.get(3)).isSameAs(old.get(3));
        assertThat(now).doesNotContainSequence(old);
        assertThat(all(before)).as("a preview's way back").isEqualTo(old);

        Publication longer = after(before, typed(before, 0, WORDS + " " + WORDS + " " + WORDS));
        assertThat(all(longer)).doesNotContainAnyElementsOf(old);
        assertThat(read(all(longer))).contains("4. Where");
    }

    @Test
    void another_look_or_size_sets_what_it_touches() {
        Publication before = story(BODY, 11);
        List<FilledFrame> old = all(before);
        Publication heading =
                after(before, new LookEdit.ChangeLook(HEADING.withSize(Length.pt(30))));
        assertThat(all(heading)).as("a look that is not worn").isEqualTo(old);
        Publication body = after(before, new LookEdit.ChangeLook(BODY.withSize(Length.pt(9))));
        assertThat(all(body)).doesNotContainAnyElementsOf(old);
        Publication placed =
                after(before, new FrameEdit.PlaceFrame(id("f4"), Sides.BOTH, box(60, 90)));
        assertThat(all(placed).subList(0, 3)).isEqualTo(old.subList(0, 3));
        assertThat(all(placed).getLast()).isNotSameAs(old.getLast());
    }

    @Test
    void frames_are_joined_and_parted_and_no_word_is_lost() {
        Publication whole = story(BODY, 11);
        Publication parted =
                after(whole, new FrameEdit.PartFrames(id("f3"), id("other"), id("empty")));
        assertThat(filled(parted, 3).segments()).isEmpty();
        assertThat(filled(parted, 2).overset()).isNotEmpty();
        assertThat(filled(parted, 2).overset()).endsWith("miles.");
        Publication again = after(parted, new FrameEdit.JoinFrames(id("f2"), id("f3")));
        assertThat(read(all(again))).isEqualTo(read(all(whole)));
        assertThat(again.stories()).hasSize(1);
        Publication without = after(whole, new FrameEdit.RemoveFrame(id("f2")));
        assertThat(without.story(id("story")).text()).isEqualTo(whole.story(id("story")).text());
        assertThat(filled(without, 3).segments().getFirst().text())
                .isEqualTo(filled(whole, 2).segments().getFirst().text());
    }

    @Test
    void a_character_stands_where_its_glyph_is_drawn() {
        Publication publication = story(BODY, 11);
        Story story = publication.story(id("story"));
        for (Paragraph paragraph : story.paragraphs()) {
            for (int number = 1; number <= 4; number++) {
                for (Segment segment : filled(publication, number).segments()) {
                    if (segment.paragraph().equals(paragraph.id())) {
                        placed(publication, segment, number);
                    }
                }
            }
        }
        assertThat(flows.place(story.id(), id("nowhere"), 0, publication)).isEmpty();
    }

    /** Every glyph of a stretch is where the first of its characters is. */
    private void placed(Publication publication, Segment segment, int number) {
        int character = segment.begin();
        for (Segment.Glyph glyph : segment.glyphs()) {
            Flows.CharacterPlace place =
                    flows.place(id("story"), segment.paragraph(), character, publication)
                            .orElseThrow();
            assertThat(place.frame().frame()).isEqualTo(id("f" + number));
            assertThat(place.position().x()).isCloseTo(segment.x() + glyph.x(), within(1e-6));
            assertThat(place.position().top()).isLessThan(segment.baseline());
            assertThat(place.position().top() + place.position().height())
                    .isGreaterThan(segment.baseline());
            character += glyph.text().length();
        }
    }

    @Test
    void text_cannot_run_in_a_circle_nor_between_pages_and_parents() {
        Publication whole = story(BODY, 3);
        refused(whole, new FrameEdit.JoinFrames(id("f1"), id("f1")), "in a circle");
        refused(whole, new FrameEdit.JoinFrames(id("f4"), id("f1")), "in a circle");
        Publication two =
                after(
                        whole,
                        new FrameEdit.AddFrame(
                                new Owner.OnPage(page(1)),
                                id("alone"),
                                Sides.BOTH,
                                box(20, 20),
                                id("other"),
                                id("empty"),
                                BODY.id()));
        refused(two, new FrameEdit.JoinFrames(id("alone"), id("f2")), "goes on from another");
        refused(whole, new FrameEdit.PartFrames(id("f1"), id("s"), id("p")), "begins in this");
        refused(
                whole,
                new FrameEdit.ContinueFrame(
                        id("f1"),
                        new Owner.OnParent(Sample.PARENT),
                        id("fresh"),
                        Sides.BOTH,
                        box(20, 20)),
                "within one parent");
        assertThat(after(two, new FrameEdit.JoinFrames(id("f2"), id("alone"))).stories())
                .singleElement()
                .satisfies(story ->
                        assertThat(story.chain().stream().map(Story.Link::frame))
                                .containsExactly(
                                        id("f1"), id("f2"), id("alone"), id("f3"), id("f4")));
    }

    private static void refused(Publication on, Edit edit, String reason) {
        assertThatThrownBy(() -> Editing.edit(on, edit))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(reason);
    }

    @Test
    void pages_that_go_take_no_text_with_them_but_the_last_frame_does() {
        Publication whole = story(BODY, 11);
        Publication fewer = after(whole, new PageEdit.RemovePages(List.of(page(2), page(4))));
        assertThat(fewer.story(id("story")).text()).isEqualTo(whole.story(id("story")).text());
        assertThat(fewer.story(id("story")).chain()).hasSize(2);
        Publication alone =
                after(whole, new FrameEdit.PartFrames(id("f4"), id("other"), id("empty")));
        assertThat(after(alone, new PageEdit.RemovePages(List.of(page(4)))).stories())
                .extracting(Story::id)
                .containsExactly(id("story"));
    }

    @Test
    void a_frame_too_small_for_a_line_is_passed_over() {
        Publication small =
                after(story(BODY, 4), new FrameEdit.PlaceFrame(id("f1"), Sides.BOTH, box(60, 2)));
        assertThat(filled(small, 1).segments()).isEmpty();
        assertThat(filled(small, 2).segments().getFirst().text()).startsWith("0. Where");
    }

    @Test
    void text_that_was_forgotten_is_set_as_it_was() {
        Publication publication = story(BODY, 11);
        FlowMemory memory = new FlowMemory(10_000_000);
        Flows remembered = new Flows(memory);
        FilledFrame second =
                remembered.through(
                        frame(publication, 2),
                        publication,
                        publication.pages().getFirst().id(),
                        Optional.empty());
        List<Segment> text = second.segments();
        memory.forget();
        assertThat(
                        remembered.through(
                                frame(publication, 2),
                                publication,
                                publication.pages().getFirst().id(),
                                Optional.empty()))
                .isSameAs(second);
        assertThat(second.segments()).isEqualTo(text).isNotSameAs(text);
    }
}
