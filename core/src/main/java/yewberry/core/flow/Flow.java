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
import yewberry.core.publication.Field;
import yewberry.core.publication.Paragraph;
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
    private final List<OnPage> pages;
    private final List<Integer> fields = new ArrayList<>();
    private final AllLooks looks;
    private final List<String> marks;
    private final List<TextFrame> frames;
    private final FlowMemory memory;
    private final Map<UUID, Integer> turns = new HashMap<>();
    private final List<FilledFrame> filled = new ArrayList<>();
    private final List<StoryPlace> places = new ArrayList<>(List.of(StoryPlace.BEGINNING));

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

    /**
     * @param pages for each frame what the page decides that it is seen on
     */
    Flow(Story story, Publication in, List<OnPage> pages, FlowMemory memory) {
        this.story = story;
        this.pages = pages;
        this.looks = AllLooks.of(in, story);
        this.marks = looks.marks(story);
        this.frames = story.chain().stream().map(in::frame).toList();
        this.memory = memory;
        for (int i = 0; i < frames.size(); i++) {
            turns.put(frames.get(i).id(), i);
        }
        for (int i = 0; i < story.paragraphs().size(); i++) {
            if (Field.isIn(story.paragraphs().get(i))) {
                fields.add(i);
            }
        }
    }

    /** The text as it reads in a frame. */
    private List<Paragraph> read(int turn) {
        return pages.get(turn).fields().in(story.paragraphs(), fields);
    }

    /** Where a frame's text ends as the one behind it reads; behind the last as it does itself. */
    private StoryPlace onward(StoryPlace end, int turn) {
        if (turn + 1 == frames.size() || fields.isEmpty() || end.character() == 0) {
            return end;
        }
        return new StoryPlace(
                end.paragraph(),
                pages.get(turn)
                        .fields()
                        .onward(
                                story.paragraphs().get(end.paragraph()).text(),
                                end.character(),
                                pages.get(turn + 1).fields()));
    }

    FilledFrame through(UUID frame) {
        return at(turns.get(frame));
    }

    private synchronized FilledFrame at(int turn) {
        while (filled.size() <= turn) {
            Cancellation.check();
            FilledFrame one = fill(frames.get(filled.size()), places.getLast());
            filled.add(one);
            places.add(onward(one.next(places.getLast()), filled.size() - 1));
        }
        return filled.get(turn);
    }

    /**
     * Where each frame begins in the text as that reads there, and last where it ends or finds no
     * more room.
     */
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
        if (index < 0) {
            return Optional.empty();
        }
        String text = story.paragraphs().get(index).text();
        List<StoryPlace> begins = places();
        StoryPlace end = begins.getLast();
        for (int i = frames.size() - 1; i >= 0; i--) {
            int place = pages.get(i).fields().place(text, character);
            if (i == frames.size() - 1
                    && (index > end.paragraph()
                            || index == end.paragraph() && place >= end.character())) {
                return Optional.empty();
            }
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
                                read(i).get(index).text(),
                                place)
                        .map(position -> new Flows.CharacterPlace(frame, position));
            }
        }
        return Optional.empty();
    }

    private FilledFrame fill(TextFrame frame, StoryPlace begin) {
        int turn = filled.size();
        List<Paragraph> text = read(turn);
        boolean isLast = turn == frames.size() - 1;
        return memory.known(
                        frame,
                        pages.get(turn),
                        each -> each.holds(text, marks, begin, isLast, looks))
                .orElseGet(() ->
                        FilledFrame.fill(
                                memory, frame, pages.get(turn), text, marks, begin, isLast, looks));
    }
}
