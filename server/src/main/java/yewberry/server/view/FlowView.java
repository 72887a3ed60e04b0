package yewberry.server.view;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.UUID;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.core.text.StoryPlace;

/**
 * How a story runs.
 *
 * @param marks what stands before paragraphs of lists, by their ids
 * @param rest where its text finds no more room; nothing where all of it has found some
 */
public record FlowView(List<Part> parts, Map<UUID, String> marks, Optional<Rest> rest) {
    /**
     * What stands in one frame.
     *
     * @param where that is, in words
     * @param page its number; nothing on a parent
     * @param words how many begin in it
     */
    public record Part(
            UUID frame,
            Owner owner,
            String where,
            Optional<Integer> page,
            TextPlace begin,
            int words) {}

    /**
     * A place in a text.
     *
     * @param character from 0
     */
    public record TextPlace(UUID paragraph, int character) {}

    /** What finds no room. */
    public record Rest(TextPlace begin, int words) {}

    /**
     * @param places where each frame begins, and last where the room ends
     * @param marks what stands before each paragraph; empty for nothing
     */
    public static FlowView of(
            Story story, List<StoryPlace> places, List<String> marks, Publication in) {
        List<Part> parts = new ArrayList<>();
        for (int i = 0; i < story.chain().size(); i++) {
            Story.Link link = story.chain().get(i);
            Optional<Integer> page =
                    link.owner() instanceof Owner.OnPage(UUID id)
                            ? Optional.of(in.indexOf(id) + 1)
                            : Optional.empty();
            parts.add(
                    new Part(
                            link.frame(),
                            link.owner(),
                            page.map(number -> "page " + number)
                                    .orElseGet(() ->
                                            "parent “%s”"
                                                    .formatted(
                                                            in.parent(link.owner().id()).name())),
                            page,
                            place(story, places.get(i)),
                            words(story, places.get(i), places.get(i + 1))));
        }
        Map<UUID, String> byParagraph = new LinkedHashMap<>();
        for (int i = 0; i < marks.size(); i++) {
            if (!marks.get(i).isEmpty()) {
                byParagraph.put(story.paragraphs().get(i).id(), marks.get(i));
            }
        }
        StoryPlace all = new StoryPlace(story.paragraphs().size(), 0);
        int rest = words(story, places.getLast(), all);
        return new FlowView(
                parts,
                byParagraph,
                rest == 0
                        ? Optional.empty()
                        : Optional.of(new Rest(place(story, places.getLast()), rest)));
    }

    private static TextPlace place(Story story, StoryPlace at) {
        List<Paragraph> paragraphs = story.paragraphs();
        if (at.paragraph() < paragraphs.size()) {
            return new TextPlace(paragraphs.get(at.paragraph()).id(), at.character());
        }
        Paragraph last = paragraphs.getLast();
        return new TextPlace(last.id(), last.text().length());
    }

    private static int words(Story story, StoryPlace from, StoryPlace to) {
        StringJoiner text = new StringJoiner(" ");
        for (int i = from.paragraph(); i < story.paragraphs().size(); i++) {
            String paragraph = story.paragraphs().get(i).text();
            int begin = i == from.paragraph() ? from.character() : 0;
            int end = i < to.paragraph() ? paragraph.length() : to.character();
            if (i > to.paragraph() || begin >= end) {
                continue;
            }
            text.add(paragraph.substring(begin, end));
        }
        String plain = text.toString().strip();
        return plain.isEmpty() ? 0 : plain.split("\\s+").length;
    }
}
