package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;

/**
 * How text differs from the look that it wears: paragraphs from theirs, and words without a look of
 * characters with them; words that have one from that. A colour, a shading and a border of their
 * own are differences, too.
 */
public final class LocalDifferences {
    private LocalDifferences() {}

    /** In how many paragraphs something differs from a look. */
    public static int count(Publication in, UUID look) {
        return in.stories().stream()
                .mapToInt(story ->
                        (int)
                                story.paragraphs().stream()
                                        .filter(each -> cleared(each, look) != each)
                                        .count())
                .sum();
    }

    /** With all that wears a look as that says. */
    static Publication cleared(Publication on, UUID look) {
        return on.withStories(
                on.stories()
                        .mapped(story -> {
                            var paragraphs = story.paragraphs().mapped(each -> cleared(each, look));
                            return paragraphs == story.paragraphs()
                                    ? story
                                    : story.withParagraphs(paragraphs);
                        }));
    }

    /** The same paragraph where nothing of it differs. */
    private static Paragraph cleared(Paragraph paragraph, UUID look) {
        boolean wears = paragraph.look().equals(look);
        List<Run> runs =
                paragraph.runs().stream()
                        .map(run -> run.look().map(look::equals).orElse(wears) ? cleared(run) : run)
                        .toList();
        Paragraph plain = paragraph.withRuns(runs);
        if (wears) {
            plain = plain.withLocal(Optional.empty()).withPanel(Optional.empty());
        }
        return plain.equals(paragraph) ? paragraph : plain;
    }

    private static Run cleared(Run run) {
        return run.withLocal(Optional.empty()).withColor(Optional.empty());
    }
}
