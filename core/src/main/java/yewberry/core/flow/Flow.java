package yewberry.core.flow;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.Cancellation;
import yewberry.core.publication.Box;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.StoryPlace;

/**
 * A story as it runs through its chain: set from frame to frame, as far as it is asked for. A frame
 * that begins where it began before, with the same text, is taken as it was.
 */
final class Flow {
    private final Story story;
    private final AllLooks looks;
    private final List<String> marks;
    private final List<TextFrame> frames;
    private final FlowMemory memory;
    private final Map<UUID, Integer> turns = new HashMap<>();
    private final List<FilledFrame> filled = new ArrayList<>();
    private final List<StoryPlace> places = new ArrayList<>(List.of(StoryPlace.BEGINNING));

    private final Story written;
    private final OnPage page;

    /** Where a frame lies on a page. */
    record Place(UUID frame, Box box) {}

    /**
     * What a page decides of how a story runs.
     *
     * @param fields what those of the story come to
     * @param place of one of its frames, if the page decides that
     */
    record OnPage(PageFields fields, Optional<Place> place) {
        static final OnPage ANY = new OnPage(PageFields.NONE, Optional.empty());
    }

    Flow(Story written, Publication in, OnPage page, FlowMemory memory) {
        this.written = written;
        this.story = page.fields().in(written);
        this.page = page;
        this.looks = AllLooks.of(in, story);
        this.marks = looks.marks(story);
        this.frames = story.chain().stream().map(in::frame).toList();
        this.memory = memory;
        for (int i = 0; i < frames.size(); i++) {
            turns.put(frames.get(i).id(), i);
        }
    }

    FilledFrame through(UUID frame) {
        return at(turns.get(frame));
    }

    private synchronized FilledFrame at(int turn) {
        while (filled.size() <= turn) {
            Cancellation.check();
            FilledFrame one = fill(frames.get(filled.size()), places.getLast());
            filled.add(one);
            places.add(one.next(places.getLast()));
        }
        return filled.get(turn);
    }

    /** Where each frame begins in the text, and last where it ends or finds no more room. */
    List<StoryPlace> places() {
        if (!frames.isEmpty()) {
            at(frames.size() - 1);
        }
        synchronized (this) {
            return List.copyOf(places);
        }
    }

    /** What stands before each paragraph; empty for nothing. */
    List<String> marks() {
        return marks;
    }

    /**
     * @param sides on which side each frame stands
     */
    Optional<Flows.CharacterPlace> place(
            UUID paragraph, int character, Function<Story.Link, Side> sides) {
        int index = story.paragraphs().position(paragraph).orElse(-1);
        int place =
                index < 0
                        ? character
                        : page.fields().place(written.paragraphs().get(index).text(), character);
        List<StoryPlace> begins = places();
        StoryPlace end = begins.getLast();
        if (index > end.paragraph() || index == end.paragraph() && place >= end.character()) {
            return Optional.empty();
        }
        for (int i = frames.size() - 1; i >= 0 && index >= 0; i--) {
            StoryPlace begin = begins.get(i);
            boolean isIn =
                    begin.paragraph() < index
                            || begin.paragraph() == index && begin.character() <= place;
            if (isIn) {
                Story.Link frame = story.chain().get(i);
                return TextPosition.of(
                                at(i).segments().stream()
                                        .map(each -> each.on(sides.apply(frame)))
                                        .toList(),
                                paragraph,
                                story.paragraphs().get(index).text(),
                                place)
                        .map(position -> new Flows.CharacterPlace(frame, position));
            }
        }
        return Optional.empty();
    }

    private FilledFrame fill(TextFrame frame, StoryPlace begin) {
        boolean isLast = filled.size() == frames.size() - 1;
        return memory.known(
                        frame,
                        page,
                        each -> each.holds(story.paragraphs(), marks, begin, isLast, looks))
                .orElseGet(() ->
                        FilledFrame.fill(
                                memory,
                                frame,
                                page,
                                story.paragraphs(),
                                marks,
                                begin,
                                isLast,
                                looks));
    }
}
