package yewberry.core.findings;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** What would mend text that is written in a file: its colour, there and in all of the file. */
final class FileOffers {
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

    private static Offer offer(Candidate candidate, Rgb own, Asset asset) {
        Recolor recolor =
                new Recolor(
                        own,
                        0,
                        Set.of(Recolor.What.TEXT),
                        List.of(),
                        Tinted.full(candidate.swatch().id()));
        List<Recolor> all = new ArrayList<>();
        all.add(recolor);
        asset.recolored().stream().filter(each -> !isFor(each, own)).forEach(all::add);
        return new Offer(
                "Paint all text of “%s” in %s in “%s” (%s : 1 here)"
                        .formatted(
                                asset.name(),
                                own,
                                candidate.swatch().name(),
                                Contrast.cut(candidate.ratio())),
                new AssetEdit.RecolorAsset(asset.id(), all));
    }

    /** One that did just the same with another swatch. */
    private static boolean isFor(Recolor other, Rgb own) {
        return other.from().equals(own)
                && other.within() == 0
                && other.pages().isEmpty()
                && other.what().equals(Set.of(Recolor.What.TEXT));
    }
}
