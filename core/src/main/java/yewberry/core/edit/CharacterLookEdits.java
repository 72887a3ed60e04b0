package yewberry.core.edit;

import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;

/** Applies edits of looks of characters. */
final class CharacterLookEdits {
    private CharacterLookEdits() {}

    static Publication apply(Publication on, CharacterLookEdit edit) {
        return switch (edit) {
            case CharacterLookEdit.AddCharacterLook(var look) ->
                    on.withCharacterLooks(
                            Inheritance.OF_CHARACTERS.plus(on.characterLooks(), look));
            case CharacterLookEdit.ChangeCharacterLook(var look, var was) ->
                    on.withCharacterLooks(
                            Inheritance.OF_CHARACTERS.changed(
                                    on.characterLooks(),
                                    uncircled(
                                            on,
                                            Merging.onto(on.characterLook(look.id()), look, was))));
            case CharacterLookEdit.TakeIntoCharacterLook(var id, var type) ->
                    on.withCharacterLooks(
                            Inheritance.OF_CHARACTERS.changed(
                                    on.characterLooks(), type.on(on.characterLook(id))));
            case CharacterLookEdit.RemoveCharacterLook remove -> remove(on, remove);
        };
    }

    private static CharacterLook uncircled(Publication on, CharacterLook look) {
        Inheritance.OF_CHARACTERS.refuseCircle(on.characterLooks(), look);
        return look;
    }

    private static Publication remove(
            Publication on, CharacterLookEdit.RemoveCharacterLook remove) {
        CharacterLook gone = on.characterLook(remove.look());
        Lists.refuseSame(gone.id(), remove.replacement());
        Publication without =
                on.withCharacterLooks(Inheritance.OF_CHARACTERS.without(on.characterLooks(), gone));
        return remove.replacement()
                .map(other -> without.withReference(gone.id(), without.characterLook(other).id()))
                .orElseGet(() -> takenOff(without, gone.id()));
    }

    private static Publication takenOff(Publication on, UUID look) {
        return offLists(on, look)
                .withStories(
                        on.stories()
                                .mapped(story -> {
                                    var paragraphs =
                                            story.paragraphs().mapped(each -> takenOff(each, look));
                                    return paragraphs == story.paragraphs()
                                            ? story
                                            : story.withParagraphs(paragraphs);
                                }));
    }

    /** With the marks of lists as their paragraphs are. */
    private static Publication offLists(Publication on, UUID look) {
        return on.withLooks(
                on.looks()
                        .mapped(each ->
                                each.list().flatMap(ListMark::look).filter(look::equals).isPresent()
                                        ? each.withList(each.list().map(ListMark::withoutLook))
                                        : each));
    }

    private static Paragraph takenOff(Paragraph paragraph, UUID look) {
        return paragraph.runs().stream()
                        .anyMatch(run -> run.look().filter(look::equals).isPresent())
                ? paragraph.withRuns(
                        paragraph.runs().stream().map(run -> takenOff(run, look)).toList())
                : paragraph;
    }

    private static Run takenOff(Run run, UUID look) {
        return run.withLook(run.look().filter(each -> !each.equals(look)));
    }
}
