package yewberry.server.view;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.View;
import yewberry.core.picture.PictureLinks;
import yewberry.core.picture.SceneStamp;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.core.scene.AreaPaint;

/** Where the interface reads the pixels of pictures that it moves itself. */
public final class PictureAddresses {
    private PictureAddresses() {}

    /**
     * @param stored as it can be read; a picture that is only tried out has no address
     */
    public static PictureLinks of(Publication stored, View view) {
        return (picture, factor) -> address(stored, view, picture, factor);
    }

    private static Optional<String> address(
            Publication stored, View view, AreaPaint.Picture picture, int factor) {
        UUID asset = picture.asset().id();
        return stored.findAsset(asset)
                .filter(each -> each.sha256().equals(picture.asset().sha256()))
                .filter(each -> picture.pixels().problem().isEmpty())
                .map(each ->
                        "/api/publications/%s/pictures/%s/seen?viewing=%s&amp;factor=%d&amp;stamp=%s"
                                .formatted(
                                        stored.id(),
                                        asset,
                                        view.viewing(),
                                        factor,
                                        stamp(each, view)));
    }

    /** Stands for all that is seen of a picture. */
    public static String stamp(Asset asset, View view) {
        return SceneStamp.of(asset.sha256(), view);
    }
}
