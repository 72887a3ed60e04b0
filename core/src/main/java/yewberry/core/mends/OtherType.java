package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.Names;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.Numbers;
import yewberry.core.edit.Edit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.edit.TypeChange;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.text.FontLibrary;

/**
 * What the letters themselves may be: outlined, larger, bolder, of a colour that chooses itself.
 */
final class OtherType extends TriedOut {
    /** So many swatches are tried, the nearest first. */
    private static final int MOST = 12;

    private static final double LARGE = 18;

    private static final double LARGE_BOLD = 14;

    private static final int BOLD = 700;

    OtherType(Failing failing) {
        super(failing);
    }

    /**
     * The nearest swatch that reads through what lies over the text: all text of the look gets it,
     * or where that does not do, this text alone. Where nothing lies over it, a {@link ColorMend}
     * knows without trying.
     */
    Optional<Remedy> color() {
        if (!contrast.veiled()) {
            return Optional.empty();
        }
        Optional<UUID> own = run().paint().swatch();
        return swatches(contrast.worst().color()).stream()
                .filter(each ->
                        !own.equals(Optional.of(each.id())) && each.ratio() >= contrast.required())
                .sorted(
                        Comparator.comparingDouble(each ->
                                Difference.ciede2000(
                                        condition.lab(each.seen()), condition.lab(text()))))
                .limit(MOST)
                .flatMap(each -> inLook(each).or(() -> inRun(each)).stream())
                .findFirst();
    }

    private Optional<Remedy> inLook(Named color) {
        Look look = look();
        boolean isLooks =
                run().paint().swatch().equals(Optional.of(look.color().swatch()))
                        && run().paint().tint() == look.color().tint();
        Look changed =
                (look.overprint() == Look.Overprint.ALWAYS
                                ? look.withOverprint(Look.Overprint.BLACK)
                                : look)
                        .withColor(Tinted.full(color.id()));
        Edit edit = new LookEdit.ChangeLook(changed, Optional.of(look));
        return isLooks && passes(edit)
                ? colored(color, "All text of the look “%s”".formatted(look.name()), edit)
                        .filter(remedy -> remedy.worse().isEmpty())
                : Optional.empty();
    }

    private Optional<Remedy> inRun(Named color) {
        Edit edit = new StoryEdit.ColorRun(run().run(), Optional.of(Tinted.full(color.id())));
        return look().overprint() != Look.Overprint.ALWAYS && passes(edit)
                ? colored(color, "This text only", edit)
                : Optional.empty();
    }

    private Optional<Remedy> colored(Named color, String detail, Edit edit) {
        return tried(
                Remedy.Kind.COLOR,
                "The letters in “%s”".formatted(color.name()),
                detail + ", seen through what lies over it",
                color.seen(),
                edit);
    }

    /** As wide as it has to be to count, in a colour that reads against the letters. */
    Optional<Remedy> outline() {
        Look look = look();
        Optional<Named> color = nearest(contrast.worst().color());
        if (look.outline().isPresent() || color.isEmpty()) {
            return Optional.empty();
        }
        double width = Math.ceil(Math.max(1, 0.06 * run().size()) * 100) / 100;
        Outline outline =
                new Outline(
                        Tinted.full(color.get().id()), Length.pt(width), Outline.Join.ROUND, false);
        return tried(
                Remedy.Kind.OUTLINE,
                "An outline in “%s”".formatted(color.get().name()),
                "%s pt around the letters of the look “%s”"
                        .formatted(Numbers.plain(width), look.name()),
                color.get().seen(),
                new LookEdit.ChangeLook(look.withOutline(Optional.of(outline)), Optional.of(look)));
    }

    /** Large text needs less; so does bold text that is nearly as large. */
    Optional<Remedy> larger() {
        boolean isBold = run().face().weight() >= BOLD;
        return TypeChange.size(
                        publication,
                        run().paragraph(),
                        run().run(),
                        run().size(),
                        isBold ? LARGE_BOLD : LARGE)
                .flatMap(change ->
                        asLarge(
                                "Larger: %s".formatted(change.value()),
                                Remedy.Kind.LARGER,
                                change));
    }

    Optional<Remedy> bolder() {
        boolean hasBold =
                FontLibrary.families().stream()
                        .anyMatch(each ->
                                each.name().equals(run().face().family())
                                        && each.weights().contains(BOLD));
        boolean helps = run().face().weight() < BOLD && run().size() >= LARGE_BOLD;
        return hasBold && helps
                ? TypeChange.weight(publication, run().paragraph(), run().run(), BOLD)
                        .flatMap(change ->
                                asLarge(
                                        "Bolder: weight %d".formatted(BOLD),
                                        Remedy.Kind.BOLDER,
                                        change))
                : Optional.empty();
    }

    private Optional<Remedy> asLarge(String words, Remedy.Kind kind, TypeChange change) {
        double large = legibility.demand().required(true);
        if (contrast.sizeClass().large() || contrast.worst().ratio() < large) {
            return Optional.empty();
        }
        return tried(
                kind,
                words,
                "%s; such text needs %s : 1"
                        .formatted(
                                change.isOfLook()
                                        ? "All text of " + change.of()
                                        : "Of %s only".formatted(change.of()),
                                Numbers.plain(large)),
                text(),
                large,
                change.edit());
    }

    /** Its own colour where that reads, and otherwise the one that reads best. */
    Optional<Remedy> legible() {
        Look look = look();
        boolean isLooks = run().paint().swatch().equals(Optional.of(look.color().swatch()));
        boolean chooses =
                publication.swatch(look.color().swatch()).definition()
                        instanceof Definition.Legible;
        if (!isLooks || chooses || look.color().tint() != 100) {
            return Optional.empty();
        }
        List<UUID> list = new ArrayList<>(List.of(look.color().swatch()));
        swatches(contrast.worst().color()).stream()
                .sorted(Comparator.comparingDouble(Named::ratio).reversed())
                .limit(1)
                .forEach(each -> list.add(each.id()));
        Named best =
                swatches(contrast.worst().color()).stream()
                        .max(Comparator.comparingDouble(Named::ratio))
                        .orElseThrow();
        if (list.stream().distinct().count() < list.size()) {
            return Optional.empty();
        }
        String name =
                Names.free(
                        "%s or %s"
                                .formatted(
                                        publication.swatch(look.color().swatch()).name(),
                                        best.name()),
                        publication.swatches().stream()
                                .map(Swatch::name)
                                .collect(Collectors.toSet()));
        Swatch swatch = new Swatch(ids.get(), name, new Definition.Legible(list, List.of()));
        return tried(
                Remedy.Kind.LEGIBLE,
                "A legible colour: “%s”".formatted(name),
                "All text of the look “%s” takes the first that reads where it stands"
                        .formatted(look.name()),
                best.seen(),
                new Edit.Several(
                        List.of(
                                new SwatchEdit.AddSwatch(swatch),
                                new LookEdit.ChangeLook(
                                        look.withColor(Tinted.full(swatch.id())),
                                        Optional.of(look)))));
    }
}
