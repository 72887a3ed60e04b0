package yewberry.core.mends;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Length;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Unit;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * A band whose edge text stands across, made to end beyond all of the text or before it, so that
 * the text has one ground; with a colour that passes there, where its own does not.
 *
 * @param fill what the band is painted with
 * @param textColor the name of the swatch that the text is given, if it is given another
 * @param ratio the least ratio that the text has then
 * @param pages that the band is on, in order
 * @param screen what the band is painted with, as it is seen
 */
public record BandMend(
        Item.AreaFill fill,
        Area.Band was,
        Area.Band now,
        Optional<String> textColor,
        double ratio,
        double required,
        List<UUID> pages,
        Edit edit,
        Rgb screen)
        implements ContrastMend {
    @Override
    public String changes() {
        return "BAND";
    }

    @Override
    public String words() {
        return fill.inWords();
    }

    @Override
    public String detail() {
        return "Band %s deep instead of %s%s"
                .formatted(
                        now.depth(),
                        was.depth(),
                        textColor.map(name -> ", and the text in “%s”".formatted(name)).orElse(""));
    }

    /** Between the text and where the band ends, in points. */
    private static final double CLEAR = Unit.MM.points();

    /**
     * A band on more pages is left as it is: all of them would be composed and judged for each
     * place that it could end at, and who asks is waiting.
     */
    private static final int MOST_PAGES = 1000;

    /** Everything that one search goes by. */
    private record Search(
            UUID run,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            UUID swatch) {}

    /** What the text comes to after an edit, and all that is done. */
    private record Reached(Publication after, double ratio, Optional<String> color, Edit edit) {}

    /**
     * The ways to mend a run so; none where it stands on no edge of a band. What would make other
     * text fail is left out, and so is a band on more than a thousand pages.
     *
     * @param swatch the id that a new swatch would get
     */
    public static List<BandMend> of(
            UUID run,
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            UUID swatch) {
        Search search = new Search(run, publication, composer, legibility, condition, swatch);
        for (PageScene scene : composer.composeAll(publication)) {
            for (RunContrast contrast : legibility.judgeEach(scene)) {
                if (contrast.run().run().equals(run) && !contrast.passes()) {
                    return on(scene, contrast, search);
                }
            }
        }
        return List.of();
    }

    private static List<BandMend> on(PageScene scene, RunContrast contrast, Search search) {
        List<BandMend> mends = new ArrayList<>();
        Rect text = contrast.run().bounds();
        for (Item.AreaFill fill : scene.areas()) {
            Rect shared = fill.rect().intersection(text);
            boolean colored = !fill.paints().isEmpty();
            if (!colored || shared.isEmpty() || fill.rect().contains(text)) {
                continue;
            }
            List<UUID> pages = pages(fill.background(), search.publication(), search.composer());
            band(fill, search.publication())
                    .filter(background -> pages.size() <= MOST_PAGES)
                    .ifPresent(background -> {
                        Area.Band band = (Area.Band) background.area();
                        for (Length depth : depths(band, text, scene)) {
                            Area.Band now = new Area.Band(band.edge(), depth);
                            ended(fill, background, now, pages, contrast, search)
                                    .ifPresent(mends::add);
                        }
                    });
        }
        return List.copyOf(mends);
    }

    private static Optional<Background> band(Item.AreaFill fill, Publication publication) {
        return publication.layer(fill.origin().owner()).backgrounds().stream()
                .filter(each -> each.id().equals(fill.background()))
                .filter(each -> each.area() instanceof Area.Band)
                .findFirst();
    }

    /** How deep it is beyond the text, then before it, where anything remains of it. */
    private static List<Length> depths(Area.Band band, Rect text, PageScene scene) {
        Rect trim = scene.boxes().trim();
        double beyond;
        double before;
        switch (band.edge().on(scene.boxes().side())) {
            case TOP -> {
                beyond = text.bottom() - trim.y();
                before = text.y() - trim.y();
            }
            case BOTTOM -> {
                beyond = trim.bottom() - text.y();
                before = trim.bottom() - text.bottom();
            }
            case LEFT -> {
                beyond = text.right() - trim.x();
                before = text.x() - trim.x();
            }
            default -> {
                beyond = trim.right() - text.x();
                before = trim.right() - text.right();
            }
        }
        Unit unit = band.depth().unit();
        double step = unit == Unit.IN ? 1 / 16.0 : 0.5;
        List<Length> depths = new ArrayList<>();
        depths.add(new Length(Math.ceil((beyond + CLEAR) / unit.points() / step) * step, unit));
        double less = Math.floor((before - CLEAR) / unit.points() / step) * step;
        if (less > 0) {
            depths.add(new Length(less, unit));
        }
        return depths;
    }

    private static Optional<BandMend> ended(
            Item.AreaFill fill,
            Background background,
            Area.Band now,
            List<UUID> pages,
            RunContrast contrast,
            Search search) {
        Edit moved =
                new BackgroundEdit.ChangeBackground(
                        background.withArea(now), Optional.of(background));
        return reached(moved, search)
                .filter(each -> worse(pages, each.after(), search).isEmpty())
                .map(each ->
                        new BandMend(
                                fill,
                                (Area.Band) background.area(),
                                now,
                                each.color(),
                                each.ratio(),
                                contrast.required(),
                                pages,
                                each.edit(),
                                search.condition()
                                        .seen(
                                                fill.paints().getFirst().color(),
                                                contrast.medium())));
    }

    /** With the band moved, and if that does not do, the text in a colour that passes. */
    private static Optional<Reached> reached(Edit moved, Search search) {
        Publication after = Editing.edit(search.publication(), moved).publication();
        List<PageScene> scenes = search.composer().composeAll(after);
        List<RunContrast> judged =
                scenes.stream()
                        .flatMap(scene -> search.legibility().judgeEach(scene).stream())
                        .filter(each -> each.run().run().equals(search.run()))
                        .toList();
        if (judged.stream().allMatch(RunContrast::passes)) {
            double ratio =
                    judged.stream().mapToDouble(each -> each.worst().ratio()).min().orElse(21);
            return Optional.of(new Reached(after, ratio, Optional.empty(), moved));
        }
        return ColorMend.of(
                        search.run(),
                        after,
                        scenes,
                        search.legibility(),
                        search.condition(),
                        search.swatch())
                .stream()
                .findFirst()
                .map(mend -> {
                    Edit both = new Edit.Several(List.of(moved, mend.edit()));
                    return new Reached(
                            Editing.edit(search.publication(), both).publication(),
                            mend.ratio(),
                            Optional.of(mend.name()),
                            both);
                });
    }

    private static List<UUID> pages(UUID background, Publication publication, Composer composer) {
        return composer.composeAll(publication).stream()
                .filter(scene ->
                        scene.areas().stream()
                                .anyMatch(each -> each.background().equals(background)))
                .map(PageScene::page)
                .toList();
    }

    /** The runs on some pages that fail then and do not now. */
    private static Set<UUID> worse(List<UUID> pages, Publication after, Search search) {
        Set<UUID> failing = failing(pages, after, search);
        failing.removeAll(failing(pages, search.publication(), search));
        return failing;
    }

    private static Set<UUID> failing(List<UUID> pages, Publication of, Search search) {
        Set<UUID> runs = new HashSet<>();
        for (UUID page : pages) {
            PageScene scene = search.composer().compose(of, of.indexOf(page));
            search.legibility().judgeEach(scene).stream()
                    .filter(Predicate.not(RunContrast::passes))
                    .forEach(each -> runs.add(each.run().run()));
        }
        return runs;
    }
}
