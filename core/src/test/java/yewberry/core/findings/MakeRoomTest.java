package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.frame;

import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.flow.FlowMemory;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

class MakeRoomTest {
    private static final String WORDS =
            "Where the reeds begin there is no street lamp for eleven miles. ".repeat(6);

    private final Flows flows = new Flows(new FlowMemory(10_000_000));

    private static Publication written(double height, String... text) {
        return Sample.withPage(
                new Layer(List.of(), List.of(frame("f", 20, 20, 80, height, BODY, text))));
    }

    private Offer offer(Publication in) {
        return MakeRoom.of(in, in.stories().getFirst().id(), flows, UUID::randomUUID);
    }

    @Test
    void pages_are_added_behind_the_last_until_all_text_has_room() {
        Publication before = written(40, WORDS, WORDS, WORDS, WORDS);
        Offer offer = offer(before);
        Publication after = Editing.edit(before, offer.edit()).publication();
        Story story = after.stories().getFirst();
        int added = after.pages().size() - before.pages().size();
        assertThat(added).isGreaterThan(1);
        assertThat(offer.label()).isEqualTo("Add %d pages for the rest".formatted(added));
        assertThat(story.chain()).hasSize(added + 1);
        assertThat(after.indexOf(story.chain().getLast().owner().id())).isEqualTo(added);
        assertThat(flows.places(story.id(), after).getLast().paragraph()).isEqualTo(4);
        assertThat(flows.places(story.id(), after).get(added).paragraph())
                .as("the last one is needed")
                .isLessThan(4);
        assertThatThrownBy(() -> offer(after))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has room already");
    }

    private static Publication waiting(Publication in, String... text) {
        Publication begun =
                Editing.edit(
                                in,
                                new StoryEdit.AddStory(
                                        Sample.id("waits"), Sample.id("its first"), BODY.id()))
                        .publication();
        return begun.withStories(
                begun.stories()
                        .mapped(story ->
                                story.id().equals(Sample.id("waits"))
                                        ? story.withParagraphs(
                                                Stream.of(text)
                                                        .map(each ->
                                                                Sample.paragraph(each, BODY, each))
                                                        .toList())
                                        : story));
    }

    private static String[] many(int paragraphs) {
        return IntStream.range(0, paragraphs)
                .mapToObj(i -> i + ". " + WORDS)
                .toArray(String[]::new);
    }

    @Test
    void text_that_waits_is_dealt_into_frames_and_new_pages_as_one_step() {
        Publication before = waiting(Sample.withPage(new Layer(List.of(), List.of())), many(60));
        UUID page = before.pages().getFirst().id();
        Offer offer = MakeRoom.place(before, Sample.id("waits"), page, flows, UUID::randomUUID);
        Publication after = Editing.edit(before, offer.edit()).publication();
        int added = after.pages().size() - before.pages().size();
        assertThat(added).isGreaterThan(1);
        assertThat(offer.label()).isEqualTo("Placed on this page and %d new ones".formatted(added));
        Story story = after.story(Sample.id("waits"));
        assertThat(story.chain()).hasSize(added + 1);
        assertThat(story.chain().getFirst().owner().id()).isEqualTo(page);
        assertThat(flows.places(story.id(), after).getLast().paragraph()).isEqualTo(60);
        assertThat(after.frame(story.chain().getFirst()).box())
                .as("within the margins")
                .isEqualTo(new Box(Length.mm(12), Length.mm(12), Length.mm(124), Length.mm(186)));
        assertThatThrownBy(() -> MakeRoom.place(after, story.id(), page, flows, UUID::randomUUID))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("placed already");
    }

    @Test
    void a_short_text_is_placed_on_the_page_alone_and_not_over_what_is_there() {
        Publication before = waiting(written(40, "Tides"), "A note");
        Offer offer =
                MakeRoom.place(
                        before,
                        Sample.id("waits"),
                        before.pages().getFirst().id(),
                        flows,
                        UUID::randomUUID);
        assertThat(offer.label()).isEqualTo("Placed on this page");
        Publication after = Editing.edit(before, offer.edit()).publication();
        assertThat(after.pages()).hasSameSizeAs(before.pages());
        assertThat(after.frame(after.story(Sample.id("waits")).chain().getFirst()).box().width())
                .isEqualTo(Length.mm(80));
    }

    @Test
    void on_the_facing_page_the_frame_stands_as_far_from_the_spine() {
        Publication before = written(40, WORDS, WORDS);
        Publication after = Editing.edit(before, offer(before).edit()).publication();
        List<TextFrame> frames =
                after.stories().getFirst().chain().stream().map(after::frame).toList();
        assertThat(frames.get(0).box().x().millimetres()).isEqualTo(20);
        assertThat(frames.get(1).box().x().millimetres()).isEqualTo(148 - 20 - 80);
    }

    /** A band has its depth and its page's edge, which is no measure for a whole text. */
    @Test
    void what_a_band_leaves_goes_on_within_the_margins_of_the_next_page() {
        Publication plain = written(40, "Tides");
        Publication banded =
                Editing.edit(
                                plain,
                                new FrameEdit.AddBand(
                                        plain.pages().getFirst().asOwner(),
                                        Sample.id("band"),
                                        Sides.BOTH,
                                        new TextBand(
                                                Edge.TOP,
                                                Length.mm(12),
                                                Padding.NONE,
                                                new Fill.Solid(Tinted.full(Sample.NIGHT.id()))),
                                        Sample.id("its story"),
                                        Sample.id("its paragraph"),
                                        BODY.id()))
                        .publication();
        Publication before =
                banded.withStories(
                        banded.stories()
                                .mapped(story ->
                                        story.id().equals(Sample.id("its story"))
                                                ? story.withParagraphs(
                                                        List.of(
                                                                Sample.paragraph(
                                                                        "words", BODY, WORDS)))
                                                : story));
        Offer offer = MakeRoom.of(before, Sample.id("its story"), flows, UUID::randomUUID);
        Publication after = Editing.edit(before, offer.edit()).publication();
        TextFrame next = after.frame(after.story(Sample.id("its story")).chain().getLast());
        assertThat(next.band()).isEmpty();
        assertThat(next.box())
                .isEqualTo(new Box(Length.mm(12), Length.mm(12), Length.mm(124), Length.mm(186)));
    }

    @Test
    void what_no_page_helps_is_refused_with_the_reason() {
        assertThatThrownBy(() -> offer(written(2, WORDS)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Not even the next line");
        Publication plain = Sample.publication();
        Publication onParent =
                Sample.withText(
                        plain.withParents(
                                List.of(
                                        plain.parents()
                                                .getFirst()
                                                .withLayer(
                                                        new Layer(
                                                                List.of(),
                                                                List.of(
                                                                        frame(
                                                                                "f", 20, 20, 80, 5,
                                                                                BODY, WORDS)))))));
        assertThatThrownBy(() -> offer(onParent))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("frame on the parent larger");
    }
}
