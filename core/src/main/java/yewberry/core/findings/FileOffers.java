package yewberry.core.findings;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yewberry.core.asset.PageText;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.Edit;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;

/** What would mend text that is written in a file: its colour, there and in all of the file. */
final class FileOffers {
    /** So near to white others go along; common practice, no source. */
    private static final double NEARLY = 1;

    /** So near to white is the paper of a scan; common practice, no source. */
    private static final double PAPER = 12;

    private FileOffers() {}

    /**
     * White fills of a page that can be made see-through, so that what lies behind it shows there.
     *
     * @param fills how many there are
     * @param pictures how many there are, which stay
     * @param edit that does it
     */
    record White(int fills, int pictures, Edit edit) {
        /**
         * @return nothing where there are no such fills
         */
        static Optional<White> of(AreaPaint.Picture page, Imported file, Publication publication) {
            Asset asset = publication.asset(file.asset());
            List<PageText.Used> colors = page.pixels().text().colors();
            Recolor white =
                    new Recolor(
                            Rgb.WHITE,
                            NEARLY,
                            Set.of(Recolor.What.FILLS),
                            List.of(file.number()),
                            Optional.empty());
            int fills = count(colors, PageText.Painted.FILLS, Optional.of(Rgb.WHITE));
            if (fills == 0 || asset.recolored().contains(white)) {
                return Optional.empty();
            }
            return Optional.of(
                    new White(
                            fills,
                            FileOffers.pictures(page),
                            new AssetEdit.RecolorAsset(asset.id(), white)));
        }
    }

    /** How many pictures are on a page of a file. */
    static int pictures(AreaPaint.Picture page) {
        List<PageText.Used> colors = page.pixels().text().colors();
        return count(colors, PageText.Painted.PICTURES, Optional.empty())
                + count(colors, PageText.Painted.OTHER_PICTURES, Optional.empty());
    }

    /** White fills of a page, and the white of its pictures, made see-through. */
    static List<Offer> seeThrough(Item.FrontFill page, Imported file, Publication publication) {
        if (!(page.paint() instanceof AreaPaint.Picture picture)) {
            return List.of();
        }
        return Stream.of(
                        White.of(picture, file, publication)
                                .map(white -> fills(white, file, publication)),
                        whitePictures(picture, file, publication))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Offer fills(White white, Imported file, Publication publication) {
        String stays =
                switch (white.pictures()) {
                    case 0 -> "";
                    case 1 -> "; its picture stays";
                    default -> "; its %d pictures stay".formatted(white.pictures());
                };
        return new Offer(
                "Make %s of page %d of “%s” see-through%s"
                        .formatted(
                                white.fills() == 1
                                        ? "the white fill"
                                        : "%d white fills".formatted(white.fills()),
                                file.number(),
                                publication.asset(file.asset()).name(),
                                stays),
                white.edit());
    }

    /**
     * All that is nearly as light as paper, in pictures, too: a scan lets through what is behind.
     */
    private static Optional<Offer> whitePictures(
            AreaPaint.Picture page, Imported file, Publication publication) {
        Asset asset = publication.asset(file.asset());
        int pictures =
                count(page.pixels().text().colors(), PageText.Painted.PICTURES, Optional.empty());
        Recolor white =
                new Recolor(
                        Rgb.WHITE,
                        PAPER,
                        Set.of(Recolor.What.FILLS, Recolor.What.PICTURES),
                        List.of(file.number()),
                        Optional.empty());
        return pictures == 0 || asset.recolored().contains(white)
                ? Optional.empty()
                : Optional.of(
                        new Offer(
                                "Make all that is nearly white on page %d of “%s” see-through, %s included"
                                        .formatted(
                                                file.number(),
                                                asset.name(),
                                                pictures == 1
                                                        ? "its picture"
                                                        : "its %d pictures".formatted(pictures)),
                                new AssetEdit.RecolorAsset(asset.id(), white)));
    }

    private static int count(
            List<PageText.Used> colors, PageText.Painted what, Optional<Rgb> seen) {
        return colors.stream()
                .filter(each -> each.what() == what && each.seen().equals(seen))
                .mapToInt(PageText.Used::count)
                .sum();
    }
}
