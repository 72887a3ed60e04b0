package yewberry.core.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yewberry.core.asset.PageText;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;

/** What would mend text that is written in a file: its colour, there and in all of the file. */
final class FileOffers {
    /** So near to white others go along; common practice, no source. */
    private static final double NEARLY = 1;

    private FileOffers() {}

    private record Candidate(Swatch swatch, double ratio, double difference) {}

    /** The swatch that passes and is nearest to what it is, and the one that reads best. */
    static List<Offer> of(
            RunContrast contrast,
            Imported file,
            Publication publication,
            PressCondition condition) {
        if (contrast.veiled() || !(contrast.run().paint().defined() instanceof Rgb own)) {
            return List.of(); // what a colour comes to through what lies over it is not known here
        }
        Palette palette = new Palette(publication::swatch, condition);
        Rgb now = contrast.worst().foreground();
        List<Candidate> passing = new ArrayList<>();
        for (Swatch swatch : publication.swatches()) {
            if (swatch.definition() instanceof Definition.Legible) {
                continue;
            }
            Rgb seen = condition.seen(palette.color(swatch), contrast.medium());
            double least =
                    contrast.against().stream()
                            .mapToDouble(each -> Contrast.ratio(seen, each.color()))
                            .min()
                            .orElse(0);
            if (least >= contrast.required()) {
                passing.add(
                        new Candidate(
                                swatch,
                                least,
                                Difference.ciede2000(condition.lab(seen), condition.lab(now))));
            }
        }
        Optional<Candidate> nearest =
                passing.stream().min(Comparator.comparingDouble(Candidate::difference));
        Optional<Candidate> best =
                passing.stream().max(Comparator.comparingDouble(Candidate::ratio));
        Asset asset = publication.asset(file.asset());
        return Stream.of(nearest, best)
                .flatMap(Optional::stream)
                .distinct()
                .map(each -> offer(each, own, asset))
                .toList();
    }

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
        return count(page.pixels().text().colors(), PageText.Painted.PICTURES, Optional.empty());
    }

    /** White fills of a page made see-through; nothing where it has none. */
    static Optional<Offer> seeThrough(Item.FrontFill page, Imported file, Publication publication) {
        return page.paint() instanceof AreaPaint.Picture picture
                ? White.of(picture, file, publication)
                        .map(white ->
                                new Offer(
                                        "Make %s of page %d of “%s” see-through%s"
                                                .formatted(
                                                        white.fills() == 1
                                                                ? "the white fill"
                                                                : "%d white fills"
                                                                        .formatted(white.fills()),
                                                        file.number(),
                                                        publication.asset(file.asset()).name(),
                                                        switch (white.pictures()) {
                                                            case 0 -> "";
                                                            case 1 -> "; its picture stays";
                                                            default ->
                                                                    "; its %d pictures stay"
                                                                            .formatted(
                                                                                    white
                                                                                            .pictures());
                                                        }),
                                        white.edit()))
                : Optional.empty();
    }

    private static int count(
            List<PageText.Used> colors, PageText.Painted what, Optional<Rgb> seen) {
        return colors.stream()
                .filter(each -> each.what() == what && each.seen().equals(seen))
                .mapToInt(PageText.Used::count)
                .sum();
    }

    private static Offer offer(Candidate candidate, Rgb own, Asset asset) {
        Recolor recolor =
                new Recolor(
                        own,
                        0,
                        Set.of(Recolor.What.TEXT),
                        List.of(),
                        Optional.of(Tinted.full(candidate.swatch().id())));
        return new Offer(
                "Paint all text of “%s” in %s in “%s” (%s : 1 here)"
                        .formatted(
                                asset.name(),
                                own,
                                candidate.swatch().name(),
                                Contrast.cut(candidate.ratio())),
                new AssetEdit.RecolorAsset(asset.id(), recolor));
    }
}
