package yewberry.core.edit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.core.text.FontLibrary;

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
            case StoryEdit.AddStory(UUID id, UUID paragraph, UUID look) ->
                    on.withStories(
                            on.stories()
                                    .plus(
                                            new Story(
                                                    id,
                                                    List.of(),
                                                    List.of(Writing.empty(paragraph, look)))));
            case StoryEdit.RemoveStory(UUID id) -> remove(on, on.story(id));
            case StoryEdit.ColorRun color -> colorRun(on, color);
            case StoryEdit.SetPanel set ->
                    each(
                            on,
                            set.story(),
                            set.paragraphs(),
                            paragraph -> paragraph.withPanel(set.panel()));
            case StoryEdit.ClearDifferences(UUID look) -> LocalDifferences.cleared(on, look);
            case StoryEdit.WearLook wear ->
                    each(
                            on,
                            wear.story(),
                            wear.paragraphs(),
                            paragraph -> paragraph.withLook(wear.look()));
            case StoryEdit.SetStoryLanguage set ->
                    on.withStories(
                            on.stories()
                                    .changed(
                                            on.story(set.story()).id(),
                                            story -> story.withLanguage(set.language())));
        };
    }

    private static Publication each(
            Publication on, UUID of, List<UUID> paragraphs, UnaryOperator<Paragraph> change) {
        Story story = on.story(of);
        Map<UUID, UnaryOperator<Paragraph>> changes = new HashMap<>();
        for (UUID each : paragraphs) {
            if (!story.paragraphs().holds(each)) {
                throw new Refused("This paragraph is not there any more; reload to see what is.");
            }
            changes.put(each, change);
        }
        return on.withStories(
                on.stories()
                        .changed(of, one -> one.withParagraphs(one.paragraphs().changed(changes))));
    }

    private static Publication remove(Publication on, Story gone) {
        if (!gone.chain().isEmpty()) {
            throw new Refused(
                    "This story runs through frames; remove those, and it goes with the last one.");
        }
        return on.withStories(on.stories().without(gone.id()));
    }

    /**
     * What somebody typed on with while somebody else took a swatch, a look of characters or a font
     * away: the words are not refused for it, they look as the rest does.
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
                                        each.runs().stream().map(run -> fitting(on, run)).toList(),
                                        each.number(),
                                        each.local()))
                        .toList(),
                write.was());
    }

    private static StoryEdit.WrittenRun fitting(Publication on, StoryEdit.WrittenRun run) {
        return new StoryEdit.WrittenRun(
                run.text(),
                run.color().filter(color -> on.swatches().holds(color.swatch())),
                run.look().filter(on.characterLooks()::holds),
                run.language(),
                run.link(),
                run.local().map(StoryEdits::fitting));
    }

    /** Without a font that is not here. */
    private static LocalType fitting(LocalType local) {
        return local.family().filter(each -> !FontLibrary.has(each)).isPresent()
                ? local.withoutFamily()
                : local;
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
