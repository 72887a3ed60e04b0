package yewberry.core.legibility;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.color.Color;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.Edit;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * A way to make a run of text legible: a new swatch, and the edit that uses it.
 *
 * @param screen what is seen of it
 * @param ratio the least ratio that the new colour has anywhere it would be used
 * @param pages the pages it changes, in order
 */
public record Mend(
        Scope scope,
        String name,
        Color color,
        Rgb screen,
        double ratio,
        double required,
        List<UUID> pages,
        Edit edit) {
    /** What is given the new colour. */
    public enum Scope {
        RUN,
        LOOK
    }

    /**
     * What would mend this run, for the run alone and, where the colour is the look's, for all text
     * of the look; none where no colour of its hue passes on all it stands on.
     *
     * @param pages the scenes of the whole publication
     * @param swatch the id that the new swatch would get
     */
    public static List<Mend> of(
            UUID run,
            Publication publication,
            List<PageScene> pages,
            Legibility legibility,
            PressCondition condition,
            UUID swatch) {
        Collected forRun = collect(pages, legibility, contrast -> contrast.run().run().equals(run));
        if (forRun.contrasts().isEmpty()) {
            return List.of();
        }
        Paint paint = forRun.contrasts().getFirst().run().paint();
        Look look = publication.look(forRun.contrasts().getFirst().run().look().id());
        Stream<Optional<Mend>> mends =
                look.overprint() == Look.Overprint.ALWAYS
                        ? Stream.of()
                        : Stream.of(
                                mend(
                                        Scope.RUN,
                                        forRun,
                                        paint,
                                        publication,
                                        condition,
                                        swatch,
                                        new FrameEdit.ColorRun(
                                                run, Optional.of(Tinted.full(swatch)))));
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
            mends =
                    Stream.concat(
                            mends,
                            Stream.of(
                                    mend(
                                            Scope.LOOK,
                                            forLook,
                                            paint,
                                            publication,
                                            condition,
                                            swatch,
                                            new LookEdit.ChangeLook(
                                                    knockingOut(look)
                                                            .withColor(Tinted.full(swatch))))));
        }
        return mends.flatMap(Optional::stream).toList();
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

    private static Optional<Mend> mend(
            Scope scope,
            Collected of,
            Paint paint,
            Publication publication,
            PressCondition condition,
            UUID swatch,
            Edit use) {
        Set<NearestLegible.Need> needs =
                of.contrasts().stream()
                        .flatMap(contrast ->
                                contrast.against().stream()
                                        .map(against ->
                                                new NearestLegible.Need(
                                                        against.color(),
                                                        contrast.required(),
                                                        contrast.medium())))
                        .collect(Collectors.toSet());
        double required =
                needs.stream().mapToDouble(NearestLegible.Need::required).max().orElseThrow();
        return NearestLegible.to(paint.defined(), needs, condition)
                .map(found -> {
                    String name =
                            freeName(
                                    paint.name() + (found.lighter() ? ", lighter" : ", darker"),
                                    publication);
                    Edit add = new SwatchEdit.AddSwatch(new Swatch(swatch, name, found.color()));
                    return new Mend(
                            scope,
                            name,
                            found.color(),
                            found.screen(),
                            found.ratio(),
                            required,
                            of.pages(),
                            new Edit.Several(List.of(add, use)));
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
