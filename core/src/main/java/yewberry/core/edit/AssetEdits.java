package yewberry.core.edit;

import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;

/** Applies edits of files that are placed. */
final class AssetEdits {
    private AssetEdits() {}

    static Publication apply(Publication on, AssetEdit edit) {
        return switch (edit) {
            case AssetEdit.AddAsset(var asset) -> on.withAssets(on.assets().plus(asset));
            case AssetEdit.RenameAsset(UUID id, String name) ->
                    change(on, id, asset -> asset.withName(name));
            case AssetEdit.ReplaceAsset(UUID id, String sha256, Asset.Content content) ->
                    change(on, id, asset -> new Asset(asset.id(), asset.name(), sha256, content));
            case AssetEdit.RemoveAsset remove -> remove(on, remove);
        };
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
