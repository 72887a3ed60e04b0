package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;

/** Applies edits of files that are placed. */
final class AssetEdits {
    private AssetEdits() {}

    static Publication apply(Publication on, AssetEdit edit) {
        return switch (edit) {
            case AssetEdit.AddAsset(var asset) -> on.withAssets(on.assets().plus(asset));
            case AssetEdit.RenameAsset(UUID id, String name) ->
                    change(on, id, asset -> asset.withName(name));
            case AssetEdit.ReplaceAsset(UUID id, String sha256, Asset.Content content) ->
                    change(on, id, asset -> replaced(asset, sha256, content));
            case AssetEdit.RecolorAsset(UUID id, Recolor recolor) ->
                    change(on, id, asset -> recolored(asset, recolor));
            case AssetEdit.TakeBackColor(UUID id, Recolor recolor) ->
                    change(on, id, asset -> takenBack(asset, recolor));
            case AssetEdit.BackWords(UUID id, Backing backing) ->
                    change(on, id, asset -> backed(asset, backing));
            case AssetEdit.ChangeBacking(UUID id, Backing from, Backing to) ->
                    change(on, id, asset -> changed(asset, from, to));
            case AssetEdit.TakeBackBacking(UUID id, Backing backing) ->
                    change(on, id, asset -> takenBack(asset, backing));
            case AssetEdit.RemoveAsset remove -> remove(on, remove);
        };
    }

    private static Asset recolored(Asset asset, Recolor recolor) {
        return asset.withRecolored(
                Stream.concat(
                                Stream.of(recolor),
                                asset.recolored().stream()
                                        .filter(each -> !each.isForTheSameAs(recolor)))
                        .toList());
    }

    private static Asset takenBack(Asset asset, Recolor recolor) {
        if (!asset.recolored().contains(recolor)) {
            throw Publication.gone("change of a colour");
        }
        return asset.withRecolored(
                asset.recolored().stream().filter(each -> !each.equals(recolor)).toList());
    }

    private static Asset backed(Asset asset, Backing backing) {
        check(asset, backing);
        return asset.withBackings(
                Stream.concat(
                                asset.backings().stream()
                                        .filter(each ->
                                                !each.id().equals(backing.id())
                                                        && !each.isForTheSameAs(backing)),
                                Stream.of(backing))
                        .toList());
    }

    private static Asset changed(Asset asset, Backing from, Backing to) {
        check(asset, to);
        Backing there = backing(asset, from.id());
        Backing changed = Merging.onto(there, to, Optional.of(from), Set.of());
        return asset.withBackings(
                asset.backings().stream()
                        .filter(each -> each == there || !each.isForTheSameAs(changed))
                        .map(each -> each == there ? changed : each)
                        .toList());
    }

    private static void check(Asset asset, Backing backing) {
        if (asset.content() instanceof Asset.Document document
                && backing.page() > document.pages().size()) {
            throw new Refused(
                    "“%s” has no page %d; its last one is page %d."
                            .formatted(asset.name(), backing.page(), document.pages().size()));
        }
    }

    private static Asset takenBack(Asset asset, Backing backing) {
        Backing there = backing(asset, backing.id());
        return asset.withBackings(asset.backings().stream().filter(each -> each != there).toList());
    }

    private static Backing backing(Asset asset, UUID id) {
        return asset.backings().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> Publication.gone("colour behind words"));
    }

    /** A picture in the place of a PDF has no colours that could be others, and no words. */
    private static Asset replaced(Asset asset, String sha256, Asset.Content content) {
        return new Asset(
                asset.id(),
                asset.name(),
                sha256,
                content,
                content instanceof Asset.Document ? asset.recolored() : List.of(),
                content instanceof Asset.Document ? asset.backings() : List.of());
    }

    private static Publication change(Publication on, UUID id, UnaryOperator<Asset> change) {
        return on.withAssets(on.assets().changed(on.asset(id).id(), change));
    }

    private static Publication remove(Publication on, AssetEdit.RemoveAsset remove) {
        Asset gone = on.asset(remove.asset());
        return new Replacing(gone.id(), remove.replacement())
                .in(
                        on,
                        on.withAssets(on.assets().without(gone.id())),
                        (without, id) -> without.asset(id).id(),
                        uses ->
                                "“%s” is placed in %s; choose what takes its place."
                                        .formatted(gone.name(), uses));
    }
}
