package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.publication.Language;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.Tinted;

/** A change of the text of a story. */
public sealed interface StoryEdit extends Edit {
    /**
     * Puts paragraphs in the place of others that follow each other. Of those that were there each
     * run keeps its id as long as any of its characters stay.
     *
     * @param was those in whose place they are put, as whoever wrote saw them
     * @param behind the paragraph before those; nothing where they are the first
     */
    record WriteText(
            UUID story,
            Optional<UUID> behind,
            List<WrittenParagraph> paragraphs,
            List<WrittenParagraph> was)
            implements StoryEdit {}

    /** A paragraph as typed. */
    record WrittenParagraph(
            UUID paragraph,
            UUID look,
            List<WrittenRun> runs,
            Optional<Integer> number,
            Optional<LocalSetting> local) {
        public WrittenParagraph {
            runs = List.copyOf(runs);
            local = local.filter(each -> !each.setsNothing());
        }

        public WrittenParagraph(UUID paragraph, UUID look, List<WrittenRun> runs) {
            this(paragraph, look, runs, Optional.empty(), Optional.empty());
        }

        /** One whose characters share everything. */
        public WrittenParagraph(UUID paragraph, UUID look, String text) {
            this(paragraph, look, List.of(new WrittenRun(text, Optional.empty())));
        }

        public static WrittenParagraph of(Paragraph paragraph) {
            return new WrittenParagraph(
                    paragraph.id(),
                    paragraph.look(),
                    paragraph.runs().stream().map(WrittenRun::of).toList(),
                    paragraph.number(),
                    paragraph.local());
        }

        WrittenParagraph withRuns(List<WrittenRun> changed) {
            return new WrittenParagraph(paragraph, look, changed, number, local);
        }

        String text() {
            return runs.stream().map(WrittenRun::text).collect(Collectors.joining());
        }
    }

    /** Characters as typed that share everything. */
    record WrittenRun(
            String text,
            Optional<Tinted> color,
            Optional<UUID> look,
            Optional<Language> language,
            Optional<LinkTo> link,
            Optional<LocalType> local) {
        public WrittenRun {
            local = local.filter(each -> !each.setsNothing());
        }

        /** Characters in the language around them, that lead nowhere. */
        public WrittenRun(String text, Optional<Tinted> color, Optional<UUID> look) {
            this(text, color, look, Optional.empty(), Optional.empty(), Optional.empty());
        }

        /** Characters that look as their paragraph says. */
        public WrittenRun(String text, Optional<Tinted> color) {
            this(text, color, Optional.empty());
        }

        /** Other characters that share the same. */
        WrittenRun withText(String changed) {
            return new WrittenRun(changed, color, look, language, link, local);
        }

        static WrittenRun of(Run run) {
            return new WrittenRun(
                    run.text(), run.color(), run.look(), run.language(), run.link(), run.local());
        }

        Run as(UUID id) {
            return new Run(id, text, color, look, language, link, local);
        }
    }

    /** Adds a story that waits to be placed: one empty paragraph of this id in this look. */
    record AddStory(UUID story, UUID paragraph, UUID look) implements StoryEdit {}

    /** Removes a story that runs through no frame. */
    record RemoveStory(UUID story) implements StoryEdit {}

    /**
     * Says the language of a story.
     *
     * @param language nothing means that of the publication
     */
    record SetStoryLanguage(UUID story, Optional<Language> language) implements StoryEdit {}

    /** Gives paragraphs of a story a look. */
    record WearLook(UUID story, List<UUID> paragraphs, UUID look) implements StoryEdit {
        public WearLook {
            paragraphs = List.copyOf(paragraphs);
        }
    }

    /**
     * Says what lies behind paragraphs of a story and around them.
     *
     * @param panel nothing means what their looks say again
     */
    record SetPanel(UUID story, List<UUID> paragraphs, Optional<Panel> panel) implements StoryEdit {
        public SetPanel {
            paragraphs = List.copyOf(paragraphs);
        }
    }

    /** Sets all that wears a look, of paragraphs or of characters, as that says. */
    record ClearDifferences(UUID look) implements StoryEdit {}

    /**
     * @param color nothing means the colour of its look again
     */
    record ColorRun(UUID run, Optional<Tinted> color) implements StoryEdit {}
}
