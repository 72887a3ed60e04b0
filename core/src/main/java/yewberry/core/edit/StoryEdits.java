package yewberry.core.edit;

import java.util.UUID;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;

/** Applies edits of the text of stories. */
final class StoryEdits {
    private StoryEdits() {}

    static Publication apply(Publication on, StoryEdit edit) {
        return switch (edit) {
            case StoryEdit.WriteText write ->
                    on.withStories(
                            on.stories()
                                    .changed(
                                            on.story(write.story()).id(),
                                            story -> Writing.write(story, fitting(on, write))));
            case StoryEdit.ColorRun color -> colorRun(on, color);
        };
    }

    /**
     * What somebody typed on with while somebody else took a swatch or a look of characters away:
     * the words are not refused for it, they look as the rest does.
     */
    private static StoryEdit.WriteText fitting(Publication on, StoryEdit.WriteText write) {
        return new StoryEdit.WriteText(
                write.story(),
                write.behind(),
                write.paragraphs().stream()
                        .map(each ->
                                new StoryEdit.WrittenParagraph(
                                        each.paragraph(),
                                        each.look(),
                                        each.runs().stream().map(run -> fitting(on, run)).toList()))
                        .toList(),
                write.was());
    }

    private static StoryEdit.WrittenRun fitting(Publication on, StoryEdit.WrittenRun run) {
        return new StoryEdit.WrittenRun(
                run.text(),
                run.color().filter(color -> on.swatches().holds(color.swatch())),
                run.look().filter(on.characterLooks()::holds));
    }

    private static Publication colorRun(Publication on, StoryEdit.ColorRun color) {
        Story of = OwnerLookup.storyOfRun(on, color.run());
        UUID paragraph =
                of.paragraphs().stream()
                        .filter(each ->
                                each.runs().stream().anyMatch(run -> run.id().equals(color.run())))
                        .findFirst()
                        .orElseThrow()
                        .id();
        return on.withStories(
                on.stories()
                        .changed(
                                of.id(),
                                story ->
                                        story.withParagraph(
                                                paragraph, each -> colored(each, color))));
    }

    private static Paragraph colored(Paragraph paragraph, StoryEdit.ColorRun color) {
        return paragraph.withRuns(
                Lists.replacedWhere(
                        paragraph.runs(),
                        run -> run.id().equals(color.run()),
                        run -> run.withColor(color.color())));
    }
}
