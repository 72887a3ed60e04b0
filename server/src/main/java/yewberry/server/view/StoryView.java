package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Language;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Story;

/**
 * A story, or what became of it since a revision.
 *
 * @param revision of the publication
 * @param order the ids of all its paragraphs; nothing where it is as it was
 * @param paragraphs those that are not as they were
 */
public record StoryView(
        UUID id,
        long revision,
        List<Story.Link> chain,
        Optional<Language> language,
        Optional<List<UUID>> order,
        List<Paragraph> paragraphs) {
    /**
     * @param before as it was at the revision it was read last; nothing if that is not known
     */
    public static StoryView of(Story now, Optional<Story> before, long revision) {
        Elements<Paragraph> were =
                before.map(Story::paragraphs).orElseGet(() -> Elements.of(List.of()));
        List<UUID> order = ids(now.paragraphs());
        return new StoryView(
                now.id(),
                revision,
                now.chain(),
                now.language(),
                order.equals(ids(were)) ? Optional.empty() : Optional.of(order),
                now.paragraphs().stream()
                        .filter(each -> were.find(each.id()).orElse(null) != each)
                        .toList());
    }

    private static List<UUID> ids(Elements<Paragraph> paragraphs) {
        return paragraphs.stream().map(Paragraph::id).toList();
    }
}
