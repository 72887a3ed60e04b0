package yewberry.core.mends;

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
import yewberry.core.edit.Edit;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Offer;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Box;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Length;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;

/**
 * Another colour for text that is written in a file: for these words only, or in all of the file.
 *
 * @param words what it does
 * @param ratio that the text comes to
 * @param difference from what it is, CIEDE2000
 */
public record FileMend(String words, Edit edit, double ratio, double difference) {
    /** What rounding may cost, in points. */
    private static final double HAIR = 0.1;

    private record Candidate(Swatch swatch, double ratio, double difference) {}

    /** What would mend text of a file, and what it comes to; nothing for other text. */
    static List<Offer> offers(
            Finding.TooLittleContrast low, Publication publication, PressCondition condition) {
        return low.contrast().run().isInFile()
                ? publication
                        .page(low.page())
                        .imported()
                        .map(file -> of(low.contrast(), file, publication, condition))
                        .orElse(List.of())
                        .stream()
                        .map(mend -> new Offer(mend.words(), mend.edit()))
                        .toList()
                : List.of();
    }

    /** The swatch that passes and is nearest to what it is, and the one that reads best. */
    public static List<FileMend> of(
            RunContrast contrast,
            Imported file,
            Publication publication,
            PressCondition condition) {
        if (contrast.veiled() || !(contrast.run().paint().defined() instanceof Rgb own)) {
            return List.of(); // what a colour comes to through what lies over it is not known here
        }
        if (contrast.run().origin() instanceof Origin.FromAnnotation) {
            return List.of(); // annotations are not painted anew
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
        List<Candidate> offered =
                Stream.of(nearest, best).flatMap(Optional::stream).distinct().toList();
        boolean knowsWhere = isPlainly(contrast.run(), file, publication);
        return Stream.concat(
                        offered.stream().map(each -> mend(each, own, asset)),
                        offered.stream()
                                .filter(_ -> knowsWhere)
                                .map(each -> here(each, own, asset, file, contrast)))
                .toList();
    }

    /** Where the page is as large as the page of its file, what lies on it lies there, too. */
    static boolean isPlainly(Item.GlyphRun run, Imported file, Publication publication) {
        return isNearly(
                publication.trim(run.origin().owner()),
                file.sizeIn(publication.asset(file.asset())));
    }

    private static boolean isNearly(PageSize page, PageSize file) {
        return Math.abs(page.width().points() - file.width().points()) < HAIR
                && Math.abs(page.height().points() - file.height().points()) < HAIR;
    }

    /** These words alone, and what else begins between them in the same colour. */
    private static FileMend here(
            Candidate candidate, Rgb own, Asset asset, Imported file, RunContrast contrast) {
        Rect words = contrast.run().bounds().inset(-HAIR, -HAIR, -HAIR, -HAIR);
        Recolor recolor =
                new Recolor(
                        own,
                        0,
                        Set.of(Recolor.What.TEXT),
                        List.of(file.number()),
                        Optional.of(Tinted.full(candidate.swatch().id())),
                        Optional.of(
                                new Box(
                                        Length.pt(words.x()),
                                        Length.pt(words.y()),
                                        Length.pt(words.width()),
                                        Length.pt(words.height()))));
        return new FileMend(
                "Paint these words only in “%s”".formatted(candidate.swatch().name()),
                new AssetEdit.RecolorAsset(asset.id(), recolor),
                candidate.ratio(),
                candidate.difference());
    }

    private static FileMend mend(Candidate candidate, Rgb own, Asset asset) {
        Recolor recolor =
                new Recolor(
                        own,
                        0,
                        Set.of(Recolor.What.TEXT),
                        List.of(),
                        Optional.of(Tinted.full(candidate.swatch().id())));
        return new FileMend(
                "Paint all text of “%s” in %s in “%s”"
                        .formatted(asset.name(), own, candidate.swatch().name()),
                new AssetEdit.RecolorAsset(asset.id(), recolor),
                candidate.ratio(),
                candidate.difference());
    }
}
