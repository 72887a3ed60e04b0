package yewberry.core.edit;

import java.util.Optional;
import yewberry.core.Refused;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Publication;

/** Applies edits. Everything here is a pure function of the publication and the edit. */
public final class Editing {
    private Editing() {}

    /**
     * The publication after an edit, and what the edit changed.
     *
     * @throws Refused if the edit is not possible; the message says why and what to do
     */
    public static Edited edit(Publication before, Edit edit) {
        return Edited.checked(before, apply(before, edit));
    }

    /**
     * Whether an edit says what it was made from, and changes nothing that was changed otherwise
     * since: then nothing is lost if it is made on what is there now.
     *
     * @throws Refused if what it changes is gone
     */
    public static boolean isApart(Publication now, Edit edit) {
        return switch (edit) {
            case Edit.Several several ->
                    several.edits().stream().allMatch(each -> isApart(now, each));
            case PublicationEdit.ChangeSetup(var setup, var was) ->
                    isApart(was, setup, now.setup());
            case SwatchEdit.ChangeSwatch(var id, var definition, var was) ->
                    isApart(was, definition, now.swatch(id).definition());
            case LookEdit.ChangeLook(var look, var was) -> isApart(was, look, now.look(look.id()));
            case BackgroundEdit.ChangeBackground(var background, var was) ->
                    isApart(was, background, OwnerLookup.background(now, background.id()));
            case BackgroundEdit.ChangeBackgrounds many ->
                    many.also().isEmpty()
                            && many.backgrounds().stream()
                                    .map(each -> OwnerLookup.background(now, each))
                                    .noneMatch(
                                            is -> Merging.clash(many.was(), many.background(), is));
            case FrameEdit.PlaceFrame place -> {
                Frame frame = OwnerLookup.anyFrame(now, place.frame());
                yield isApart(
                        place.was(),
                        new FrameEdit.Place(place.sides(), place.box()),
                        new FrameEdit.Place(frame.sides(), frame.box()));
            }
            case FrameEdit.ArrangeFrame(var id, var setting, var was) ->
                    isApart(was, setting, OwnerLookup.frame(now, id).setting());
            case FrameEdit.ChangeBand(var id, var band, var was) ->
                    OwnerLookup.frame(now, id)
                            .band()
                            .filter(is -> isApart(was, band, is))
                            .isPresent();
            case FrameEdit.ChangePicture(var picture, var was) ->
                    isApart(was, picture, OwnerLookup.pictureFrame(now, picture.id()));
            case StoryEdit.WriteText write -> Writing.isApart(write, now.story(write.story()));
            default -> false;
        };
    }

    private static <T> boolean isApart(Optional<T> was, T made, T is) {
        return was.isPresent() && !Merging.clash(was.get(), made, is);
    }

    private static Publication apply(Publication on, Edit edit) {
        return switch (edit) {
            case Edit.Several several -> {
                Publication result = on;
                for (Edit each : several.edits()) {
                    result = apply(result, each);
                }
                yield result;
            }
            case PublicationEdit.RenamePublication(String name) -> on.withName(name);
            case PublicationEdit.ChangeSetup(var setup, var was) ->
                    on.withSetup(Merging.onto(on.setup(), setup, was));
            case PageEdit page -> PageEdits.apply(on, page);
            case ParentEdit parent -> ParentEdits.apply(on, parent);
            case SwatchEdit swatch -> SwatchEdits.apply(on, swatch);
            case LookEdit look -> LookEdits.apply(on, look);
            case AssetEdit asset -> AssetEdits.apply(on, asset);
            case CharacterLookEdit look -> CharacterLookEdits.apply(on, look);
            case RecipeEdit recipe -> Recipes.apply(on, recipe);
            case BackgroundEdit background -> BackgroundEdits.apply(on, background);
            case FrameEdit frame -> FrameEdits.apply(on, frame);
            case StoryEdit story -> StoryEdits.apply(on, story);
            case ExemptionEdit exemption -> ExemptionEdits.apply(on, exemption);
        };
    }
}
