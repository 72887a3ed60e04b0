package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Definition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/**
 * One thing a designer does. What an edit adds brings its id along, so that sending it twice cannot
 * add it twice. {@link Editing} applies it.
 */
public sealed interface Edit {
    /** Several edits as one step: all of them or none. */
    record Several(List<Edit> edits) implements Edit {}

    record RenamePublication(String name) implements Edit {}

    record ChangeSetup(Setup setup) implements Edit {}

    /**
     * @param after the page they come after; nothing means at the front
     */
    record AddPages(List<UUID> pages, Optional<UUID> after, Optional<UUID> parent)
            implements Edit {}

    /**
     * @param size nothing means that of the publication
     */
    record SizePages(List<UUID> pages, Optional<PageSize> size) implements Edit {}

    /**
     * @param after the page they come after; nothing means at the front
     */
    record MovePages(List<UUID> pages, Optional<UUID> after) implements Edit {}

    record RemovePages(List<UUID> pages) implements Edit {}

    record AssignParent(List<UUID> pages, Optional<UUID> parent) implements Edit {}

    /** Shows or hides the backgrounds that these pages have from their parent. */
    record ShowParent(List<UUID> pages, boolean shown) implements Edit {}

    record AddParent(UUID parent, String name, Optional<UUID> base) implements Edit {}

    /**
     * @param base what it is based on; nothing means that it stands by itself
     */
    record SetParentBase(UUID parent, Optional<UUID> base) implements Edit {}

    record RenameParent(UUID parent, String name) implements Edit {}

    /**
     * @param replacement what the pages that use it get instead, and parents are based on that were
     *     based on it; nothing means no parent
     */
    record RemoveParent(UUID parent, Optional<UUID> replacement) implements Edit {}

    record AddSwatch(Swatch swatch) implements Edit {}

    record ChangeSwatch(UUID swatch, Definition definition) implements Edit {}

    /**
     * @param after the swatch it comes after; nothing means at the front
     */
    record MoveSwatch(UUID swatch, Optional<UUID> after) implements Edit {}

    record RenameSwatch(UUID swatch, String name) implements Edit {}

    /**
     * @param replacement what takes its place; needed where the swatch is in use
     */
    record RemoveSwatch(UUID swatch, Optional<UUID> replacement) implements Edit {}

    record AddLook(Look look) implements Edit {}

    record ChangeLook(Look look) implements Edit {}

    /**
     * @param replacement what its paragraphs get instead; needed where the look is in use
     */
    record RemoveLook(UUID look, Optional<UUID> replacement) implements Edit {}

    record AddAsset(Asset asset) implements Edit {}

    record RenameAsset(UUID asset, String name) implements Edit {}

    /** Puts another file in the place of one, wherever it is placed. */
    record ReplaceAsset(UUID asset, String sha256, Asset.Content content) implements Edit {}

    /**
     * @param replacement what takes its place; needed where the asset is in use
     */
    record RemoveAsset(UUID asset, Optional<UUID> replacement) implements Edit {}

    /**
     * Names the part of the publication that begins with a page.
     *
     * @param name nothing means that it goes on in the part before it
     */
    record NamePart(UUID page, Optional<String> name) implements Edit {}

    /** Saves the backgrounds of a page or a parent under a name. */
    record SaveRecipe(UUID recipe, String name, Owner from) implements Edit {}

    /** Brings a recipe along from elsewhere. */
    record AddRecipe(Recipe recipe) implements Edit {}

    record RenameRecipe(UUID recipe, String name) implements Edit {}

    /**
     * Puts the backgrounds of a recipe on pages and parents, fitted to their size; where it is
     * there already, it is put there anew.
     *
     * @param opacity what all of them get, in percent; nothing means that each has its own
     * @param colors swatches that take the place of others
     */
    record ApplyRecipe(
            UUID recipe, List<Owner> owners, Optional<Double> opacity, List<Instead> colors)
            implements Edit {}

    /** One swatch in the place of another. */
    record Instead(UUID swatch, UUID replacement) {}

    /** Takes a recipe off pages and parents; on all of them where none are named. */
    record TakeOffRecipe(UUID recipe, List<Owner> owners) implements Edit {}

    /**
     * @param takeOff whether what it put on pages and parents goes, too; else it stays there and is
     *     no longer changed with anything
     */
    record RemoveRecipe(UUID recipe, boolean takeOff) implements Edit {}

    /** Takes off all backgrounds that these pages have of their own. */
    record ClearBackgrounds(List<UUID> pages) implements Edit {}

    /** Puts a background on top of those that are there. */
    record AddBackground(Owner owner, Background background) implements Edit {}

    record ChangeBackground(Background background) implements Edit {}

    /**
     * @param steps how many others to pass, upwards above zero and downwards below
     */
    record RestackBackground(UUID background, int steps) implements Edit {}

    record RemoveBackground(UUID background) implements Edit {}

    /** Adds an empty frame with one paragraph of this id in this look. */
    record AddFrame(Owner owner, UUID frame, Sides sides, Box box, UUID paragraph, UUID look)
            implements Edit {}

    record PlaceFrame(UUID frame, Sides sides, Box box) implements Edit {}

    record RemoveFrame(UUID frame) implements Edit {}

    /** Gives a frame this text; paragraphs and runs that were there keep their ids and colours. */
    record WriteText(UUID frame, List<WrittenParagraph> paragraphs) implements Edit {}

    /** A paragraph as typed. */
    record WrittenParagraph(UUID paragraph, UUID look, String text) {}

    /**
     * @param color nothing means the colour of its look again
     */
    record ColorRun(UUID run, Optional<Tinted> color) implements Edit {}
}
