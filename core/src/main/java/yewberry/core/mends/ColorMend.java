package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.Edit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Look;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * A way to make a run of text legible: a swatch of the publication that passes, or a new one, and
 * the edit that uses it.
 *
 * @param screen what is seen of it
 * @param ratio the least ratio that the new colour has anywhere it would be used
 * @param pages the pages it changes, in order
 */
public record ColorMend(
        Scope scope,
        String name,
        Color color,
        Rgb screen,
        double ratio,
        double required,
        List<UUID> pages,
        Edit edit)
        implements ContrastMend {
    /** What is given the new colour. */
    public enum Scope {
        RUN,
        LOOK
    }

    @Override
    public String changes() {
        return scope.name();
    }

    @Override
    public String words() {
        return name;
    }

    @Override
    public String detail() {
        return color.toString();
    }

    /** So many swatches that are there already are offered at most. */
    private static final int MOST_THERE = 2;

    /**
     * What would mend this run, for the run alone and, where the colour is the look's, for all text
     * of the look: first swatches that are there and pass on all it stands on, those with the
     * highest ratio before others; then the nearest colour of its own hue as a new one. None where
     * nothing passes.
     *
     * @param pages the scenes of the whole publication
     * @param swatch the id that the new swatch would get
     */
    public static List<ColorMend> of(
            UUID run,
            Publication publication,
            List<PageScene> pages,
            Legibility legibility,
            PressCondition condition,
            UUID swatch) {
        Collected forRun = collect(pages, legibility, contrast -> contrast.run().run().equals(run));
        if (forRun.contrasts().stream().allMatch(each -> each.run().isInFile())) {
            return List.of();
        }
        Paint paint = forRun.contrasts().getFirst().run().paint();
        Look look = publication.look(forRun.contrasts().getFirst().run().look().id());
        List<Use> uses = new ArrayList<>();
        if (look.overprint() != Look.Overprint.ALWAYS) {
            uses.add(
                    new Use(
                            Scope.RUN,
                            forRun,
                            id -> new StoryEdit.ColorRun(run, Optional.of(Tinted.full(id)))));
        }
        if (paint.swatch().equals(Optional.of(look.color().swatch()))
                && look.color().tint() == paint.tint()) {
            Collected forLook =
                    collect(
                            pages,
                            legibility,
                            contrast ->
                                    contrast.run().look().id().equals(look.id())
                                            && contrast.run()
                                                    .paint()
                                                    .swatch()
                                                    .equals(paint.swatch()));
            uses.add(
                    new Use(
                            Scope.LOOK,
                            forLook,
                            id ->
                                    new LookEdit.ChangeLook(
                                            knockingOut(look).withColor(Tinted.full(id)))));
        }
        // what a colour comes to through what lies over it is not worked out here
        uses.removeIf(use -> use.of().contrasts().stream().anyMatch(RunContrast::veiled));
        List<ColorMend> mends = new ArrayList<>();
        for (Use use : uses) {
            mends.addAll(there(use, paint, publication, condition));
        }
        for (Use use : uses) {
            mend(use, paint, publication, condition, swatch).ifPresent(mends::add);
        }
        return List.copyOf(mends);
    }

    /** What a colour would be given to, and the edit that gives it a swatch. */
    private record Use(Scope scope, Collected of, Function<UUID, Edit> edit) {
        Set<NearestLegible.Need> needs() {
            return of.contrasts().stream()
                    .flatMap(contrast ->
                            contrast.against().stream()
                                    .map(against ->
                                            new NearestLegible.Need(
                                                    against.color(),
                                                    contrast.required(),
                                                    contrast.medium())))
                    .collect(Collectors.toSet());
        }

        double required() {
            return needs().stream().mapToDouble(NearestLegible.Need::required).max().orElseThrow();
        }
    }

    /** Swatches of the publication that pass on everything. */
    private static List<ColorMend> there(
            Use use, Paint paint, Publication publication, PressCondition condition) {
        Set<NearestLegible.Need> needs = use.needs();
        Palette palette = new Palette(publication::swatch, condition);
        return publication.swatches().stream()
                .filter(each -> !paint.swatch().equals(Optional.of(each.id())))
                .filter(each -> {
                    Color color = palette.color(each.id());
                    return needs.stream()
                            .allMatch(need -> contrast(color, need, condition) >= need.required());
                })
                .map(each -> {
                    Color color = palette.color(each.id());
                    return new ColorMend(
                            use.scope(),
                            each.name(),
                            color,
                            condition.seen(color, needs.iterator().next().medium()),
                            needs.stream()
                                    .mapToDouble(need -> contrast(color, need, condition))
                                    .min()
                                    .orElseThrow(),
                            use.required(),
                            use.of().pages(),
                            use.edit().apply(each.id()));
                })
                .sorted(Comparator.<ColorMend>comparingDouble(ColorMend::ratio).reversed())
                .limit(MOST_THERE)
                .toList();
    }

    private static double contrast(
            Color color, NearestLegible.Need need, PressCondition condition) {
        return Contrast.ratio(condition.seen(color, need.medium()), need.backdrop());
    }

    /** A colour that is to pass must not take on what is below it. */
    private static Look knockingOut(Look look) {
        return look.overprint() == Look.Overprint.ALWAYS
                ? look.withOverprint(Look.Overprint.BLACK)
                : look;
    }

    private record Collected(List<RunContrast> contrasts, List<UUID> pages) {}

    private static Collected collect(
            List<PageScene> scenes, Legibility legibility, Predicate<RunContrast> of) {
        List<RunContrast> contrasts =
                scenes.stream()
                        .flatMap(scene -> legibility.judgeEach(scene).stream())
                        .filter(of)
                        .toList();
        List<UUID> pages =
                scenes.stream()
                        .filter(scene -> legibility.judge(scene).stream().anyMatch(of))
                        .map(PageScene::page)
                        .toList();
        return new Collected(contrasts, pages);
    }

    private static Optional<ColorMend> mend(
            Use use, Paint paint, Publication publication, PressCondition condition, UUID swatch) {
        return NearestLegible.to(paint.defined(), use.needs(), condition)
                .map(found -> {
                    String name =
                            freeName(
                                    paint.name() + (found.lighter() ? ", lighter" : ", darker"),
                                    publication);
                    Edit add = new SwatchEdit.AddSwatch(new Swatch(swatch, name, found.color()));
                    return new ColorMend(
                            use.scope(),
                            name,
                            found.color(),
                            found.screen(),
                            found.ratio(),
                            use.required(),
                            use.of().pages(),
                            new Edit.Several(List.of(add, use.edit().apply(swatch))));
                });
    }

    private static String freeName(String wanted, Publication publication) {
        String base = wanted.substring(0, Math.min(wanted.length(), 110));
        Set<String> taken =
                publication.swatches().stream().map(Swatch::name).collect(Collectors.toSet());
        String name = base;
        for (int i = 2; taken.contains(name); i++) {
            name = base + " " + i;
        }
        return name;
    }
}
