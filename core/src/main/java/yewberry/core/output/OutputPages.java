package yewberry.core.output;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.NearestLegible;
import yewberry.core.publication.Bleed;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.JoinedPages;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/** The pages of a publication as an output has them. */
public final class OutputPages {
    private static final Rgb BLACK = new Rgb(0, 0, 0);
    private static final Rgb WHITE = new Rgb(255, 255, 255);

    private OutputPages() {}

    /** The publication as it is for an output: with its bleed, and without backgrounds or with. */
    public static Publication of(Publication publication, OutputSettings settings) {
        Publication changed = publication;
        Optional<Bleed> bleed = bleed(settings);
        if (bleed.isPresent()) {
            changed = changed.withSetup(changed.setup().withBleed(bleed.get()));
        }
        if (settings.kind() == OutputKind.SCREEN_AND_PAPER_PDF) {
            changed = changed.withSetup(changed.setup().withDestination(Destination.BOTH));
        }
        if (settings.kind() == OutputKind.OFFICE_PDF) {
            // it is chosen and judged in the colours that an office printer is sent
            changed = changed.withSetup(changed.setup().withDestination(Destination.SCREEN));
        }
        if (!settings.backgrounds()) {
            changed =
                    changed.withPages(changed.pages().stream().map(OutputPages::bare).toList())
                            .withParents(
                                    changed.parents().stream().map(OutputPages::bare).toList());
        }
        return changed;
    }

    private static Optional<Bleed> bleed(OutputSettings settings) {
        return settings.kind() == OutputKind.OFFICE_PDF
                ? Optional.of(new Bleed(Length.ZERO, Length.ZERO, Length.ZERO, Length.ZERO))
                : settings.bleed();
    }

    @SuppressWarnings("unchecked")
    private static <T extends Carrier> T bare(T carrier) {
        return (T) carrier.withLayer(carrier.layer().withBackgrounds(List.of()));
    }

    /**
     * The scenes of its pages, in order, each made when it is asked for: never are all in memory.
     * In a PDF of spreads pages that face each other are one.
     *
     * @param publication as {@link #of} gives it
     */
    public static List<PageScene> scenes(
            Publication publication, OutputSettings settings, Composer composer) {
        if (settings.spreads() && settings.kind().isPdf()) {
            List<List<Integer>> leaves = settings.leaves(publication);
            return MadeInTurn.of(
                    leaves.size(),
                    at ->
                            JoinedPages.scene(
                                    leaves.get(at).stream()
                                            .map(page ->
                                                    scene(publication, settings, composer, page))
                                            .toList()));
        }
        List<Integer> pages = settings.pages(publication);
        return MadeInTurn.of(
                pages.size(), at -> scene(publication, settings, composer, pages.get(at)));
    }

    private static PageScene scene(
            Publication publication, OutputSettings settings, Composer composer, int page) {
        PageScene scene = composer.compose(publication, page);
        return settings.backgrounds()
                ? scene
                : legible(scene, publication, settings.kind().medium());
    }

    /**
     * The same for a file that shows one thing on a screen and prints another; made again they are
     * the same, but not the same objects.
     */
    public static List<ScreenAndPaper> layered(
            Publication publication, OutputSettings settings, Composer composer) {
        List<List<Integer>> leaves = settings.leaves(publication);
        return MadeInTurn.kept(
                leaves.size(),
                at ->
                        leaves.get(at).stream()
                                .map(page -> scene(publication, settings, composer, page))
                                .map(scene -> ScreenAndPaper.of(scene, publication))
                                .reduce(ScreenAndPaper::besides)
                                .orElseThrow());
    }

    /** With text in other colours where it cannot be read as it is. */
    static PageScene legible(PageScene scene, Publication publication, Medium medium) {
        PressCondition condition = scene.condition();
        Destination destination = medium == Medium.PAPER ? Destination.PAPER : Destination.SCREEN;
        Legibility legibility =
                new Legibility(condition, Demand.of(publication.setup()), destination);
        Map<Item, RunContrast> failing = failing(scene, legibility, medium);
        return failing.isEmpty()
                ? scene
                : scene.withItems(
                        scene.items().stream()
                                .map(item ->
                                        failing.containsKey(item)
                                                ? readable(
                                                        (Item.GlyphRun) item,
                                                        failing.get(item),
                                                        condition)
                                                : item)
                                .toList());
    }

    /** What cannot be read on a medium, by the very runs of the scene as it was composed. */
    static Map<Item, RunContrast> failing(PageScene scene, Legibility legibility, Medium medium) {
        Map<Item, RunContrast> failing = judged(scene, legibility, medium);
        failing.values().removeIf(RunContrast::passes);
        return failing;
    }

    /** All verdicts on a medium, by the very runs of the scene as it was composed. */
    static Map<Item, RunContrast> judged(PageScene scene, Legibility legibility, Medium medium) {
        Map<Item, RunContrast> judged = new IdentityHashMap<>();
        List<Item> there = scene.allOn(medium);
        for (RunContrast each : legibility.judge(scene, View.designed(medium, scene.condition()))) {
            for (int i = 0; i < there.size(); i++) {
                if (there.get(i) instanceof Item.GlyphRun run && isSame(run, each.run())) {
                    judged.put(scene.items().get(i), each);
                }
            }
        }
        return judged;
    }

    /** Verdicts tell of runs without their glyphs. */
    private static boolean isSame(Item.GlyphRun run, Item.GlyphRun judged) {
        Item.Line one = run.lines().getFirst();
        Item.Line other = judged.lines().getFirst();
        return run.run().equals(judged.run())
                && run.frame().equals(judged.frame())
                && one.text().equals(other.text())
                && one.x() == other.x()
                && one.baseline() == other.baseline();
    }

    /** A run in the nearest colour in which it can be read; black or white where none is. */
    static Item.GlyphRun readable(
            Item.GlyphRun run, RunContrast contrast, PressCondition condition) {
        return run.withPaint(readable(run.paint(), contrast, condition), Optional.empty());
    }

    private static Paint readable(Paint paint, RunContrast contrast, PressCondition condition) {
        List<NearestLegible.Need> needs =
                contrast.against().stream()
                        .map(against ->
                                new NearestLegible.Need(
                                        against.color(), contrast.required(), contrast.medium()))
                        .toList();
        return NearestLegible.to(paint.color(), needs, condition)
                .map(found -> Paint.plain(found.color(), "Legible here"))
                .orElseGet(() -> {
                    boolean dark = least(BLACK, needs) >= least(WHITE, needs);
                    return Paint.plain(dark ? BLACK : WHITE, "Legible here");
                });
    }

    private static double least(Rgb color, List<NearestLegible.Need> needs) {
        return needs.stream()
                .mapToDouble(need -> Contrast.ratio(color, need.backdrop()))
                .min()
                .orElse(1);
    }
}
