package yewberry.core.findings;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Element;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * A picture or a PDF that is shown on pages, and what is written in it: that is drawn and not read,
 * so it can be neither judged nor passed. What is decoration is not counted.
 *
 * @param asset the picture or the PDF
 * @param where it is used
 */
public record NotJudged(UUID asset, String name, Uses.Places where) {
    /** All of a publication, by their names. */
    public static List<NotJudged> of(Publication publication) {
        return publication.assets().stream()
                .filter(asset ->
                        publication.layers().anyMatch(layer -> shows(layer, asset))
                                || publication.pages().stream().anyMatch(page -> isOf(page, asset)))
                .map(asset ->
                        new NotJudged(
                                asset.id(), asset.name(), Uses.places(publication, asset.id())))
                .sorted((one, other) -> one.name().compareTo(other.name()))
                .toList();
    }

    private static boolean isOf(Page page, Asset asset) {
        return page.imported().filter(file -> file.asset().equals(asset.id())).isPresent();
    }

    private static boolean shows(Layer layer, Asset asset) {
        Stream<Element> all =
                Stream.concat(
                        layer.backgrounds().stream(),
                        layer.frames().stream()
                                .filter(frame ->
                                        !(frame instanceof PictureFrame picture
                                                && (picture.isRunningItem()
                                                        || picture.meaning().decoration()))));
        return all.anyMatch(
                each -> each.references().stream().anyMatch(to -> to.id().equals(asset.id())));
    }
}
