package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/**
 * A change of a swatch that makes a use of it pass against another colour: of its own values, of
 * its percentage where it derives from others, or of what it derives from.
 *
 * @param swatch that is changed
 * @param definition it gets
 * @param screen what is seen of the use then
 * @param ratio that the use has then
 * @param required the least that passes
 * @param pages that it changes, in order; empty until it is looked at where it is used
 * @param trial what comes of it there; nothing where it was not tried
 */
public record SwatchMend(
        Swatch swatch,
        Definition definition,
        Rgb screen,
        double ratio,
        double required,
        List<UUID> pages,
        Optional<Trial> trial)
        implements ContrastMend {
    public SwatchMend {
        pages = List.copyOf(pages);
    }

    /**
     * The same, composed and judged wherever the swatch is used, so that it is known what else
     * would fail.
     *
     * @param isTried whether there is time for that; the pages are named in any case
     */
    public SwatchMend on(
            Publication publication, Composer composer, Legibility legibility, boolean isTried) {
        return new SwatchMend(
                swatch,
                definition,
                screen,
                ratio,
                required,
                Trial.pages(edit(), publication, composer),
                isTried ? Trial.of(edit(), publication, composer, legibility) : Optional.empty());
    }

    @Override
    public String changes() {
        return "SWATCH";
    }

    @Override
    public String words() {
        return swatch.name();
    }

    @Override
    public String detail() {
        return switch (definition) {
            case Definition.Plain(Color color) -> color.toString();
            case Definition.SpotInk(Color color) -> color.toString();
            case Definition.Tint(UUID base, double percent) ->
                    "%s %% of its base".formatted(Numbers.plain(percent));
            case Definition.Lighter(UUID base, double percent) ->
                    "%s %% lighter than its base".formatted(Numbers.plain(percent));
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    "%s %% of its first colour".formatted(Numbers.plain(percent));
            case Definition.Legible legible ->
                    "the first of %d that is legible".formatted(legible.swatches().size());
        };
    }

    @Override
    public boolean isTried() {
        return trial.isPresent();
    }

    @Override
    public List<String> worse() {
        return trial.map(Trial::worse).orElse(List.of());
    }

    @Override
    public boolean overset() {
        return trial.filter(Trial::overset).isPresent();
    }

    @Override
    public Edit edit() {
        return new SwatchEdit.ChangeSwatch(swatch.id(), definition);
    }

    /**
     * @param against what the use is seen next to
     * @param required the least ratio to that
     * @param medium that both are seen on
     */
    public static List<SwatchMend> of(
            Tinted use,
            Rgb against,
            double required,
            Medium medium,
            Publication publication,
            PressCondition condition) {
        Search search = new Search(use, against, required, medium, publication, condition);
        Swatch swatch = publication.swatch(use.swatch());
        List<SwatchMend> mends = new ArrayList<>();
        search.percent(swatch).ifPresent(mends::add);
        for (Swatch root : search.roots(swatch)) {
            search.values(root).ifPresent(mends::add);
        }
        return List.copyOf(mends);
    }

    private record Search(
            Tinted use,
            Rgb against,
            double required,
            Medium medium,
            Publication publication,
            PressCondition condition) {
        /** The nearest passing percentage of a tint or mix, in whole percent. */
        Optional<SwatchMend> percent(Swatch swatch) {
            return swatch.definition()
                    .share()
                    .flatMap(now ->
                            IntStream.rangeClosed(0, 100)
                                    .boxed()
                                    .sorted(
                                            Comparator.comparingDouble(
                                                    each -> Math.abs(each - now)))
                                    .map(each -> swatch.definition().withPercent(each))
                                    .map(definition -> mend(swatch, definition))
                                    .filter(mend -> mend.ratio() >= required)
                                    .findFirst());
        }

        Optional<SwatchMend> values(Swatch root) {
            if (!(root.definition() instanceof Definition.Plain(Color old))) {
                return Optional.empty();
            }
            return NearestLegible.to(
                            old,
                            List.of(new NearestLegible.Need(against, required, medium)),
                            condition,
                            color -> seen(root, new Definition.Plain(color)))
                    .map(found -> mend(root, new Definition.Plain(found.color())));
        }

        /** The swatch itself or, where it derives from others, those at the ends of its chains. */
        Set<Swatch> roots(Swatch swatch) {
            Set<UUID> bases = swatch.definition().bases();
            if (bases.isEmpty()) {
                return Set.of(swatch);
            }
            Set<Swatch> roots = new LinkedHashSet<>();
            bases.forEach(base -> roots.addAll(roots(publication.swatch(base))));
            return roots;
        }

        private SwatchMend mend(Swatch swatch, Definition definition) {
            Rgb screen = condition.seen(seen(swatch, definition), medium);
            return new SwatchMend(
                    swatch,
                    definition,
                    screen,
                    Contrast.ratio(screen, against),
                    required,
                    List.of(),
                    Optional.empty());
        }

        /** The color of the use if a swatch were defined like this. */
        private Color seen(Swatch changed, Definition definition) {
            Palette palette =
                    new Palette(
                            id ->
                                    id.equals(changed.id())
                                            ? changed.withDefinition(definition)
                                            : publication.swatch(id),
                            condition);
            return Palette.tint(palette.color(use.swatch()), use.tint());
        }
    }
}
