package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Recolor;

/** A change of a file that is placed. */
public sealed interface AssetEdit extends Edit {
    record AddAsset(Asset asset) implements AssetEdit {}

    record RenameAsset(UUID asset, String name) implements AssetEdit {}

    /** Puts another file in the place of one, wherever it is placed. */
    record ReplaceAsset(UUID asset, String sha256, Asset.Content content) implements AssetEdit {}

    /**
     * Makes a colour of a PDF another one. It counts before those that are there, and takes the
     * place of one for just the same.
     */
    record RecolorAsset(UUID asset, Recolor recolor) implements AssetEdit {}

    /** Takes one of them back. */
    record TakeBackColor(UUID asset, Recolor recolor) implements AssetEdit {}

    /**
     * Puts a colour behind words of a PDF. It takes the place of one behind just the same words.
     */
    record BackWords(UUID asset, Backing backing) implements AssetEdit {}

    /**
     * Makes one of them another one, in its place among them: what differs from what it was made
     * from.
     */
    record ChangeBacking(UUID asset, Backing from, Backing to) implements AssetEdit {}

    /** Takes one of them back. */
    record TakeBackBacking(UUID asset, Backing backing) implements AssetEdit {}

    /**
     * @param replacement what takes its place; needed where the asset is in use
     */
    record RemoveAsset(UUID asset, Optional<UUID> replacement) implements AssetEdit {}
}
