package yewberry.core.mends;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.function.Supplier;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Difference;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Background;
import yewberry.core.publication.Look;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;

/**
 * Text that fails, and what may be done about it: tried on its page while it is looked for, and on
 * all that it changes when it is found.
 */
abstract sealed class TriedOut permits BehindWords, OtherGround, OtherType {
    /**
     * @param contrast that is too low
     * @param scene of the page where it is
     * @param ids for what is new
     */
    record Failing(
            Publication publication,
            Composer composer,
            Legibility legibility,
            PressCondition condition,
            Supplier<UUID> ids,
            RunContrast contrast,
            PageScene scene) {}

    /** A swatch, and how text stands out from it. */
    record Named(UUID id, String name, Rgb seen, double ratio) {}

    final Publication publication;
    final Composer composer;
    final Legibility legibility;
    final PressCondition condition;
    final Supplier<UUID> ids;
    final RunContrast contrast;
    final PageScene scene;

    TriedOut(Failing failing) {
        this.publication = failing.publication();
        this.composer = failing.composer();
        this.legibility = failing.legibility();
        this.condition = failing.condition();
        this.ids = failing.ids();
        this.contrast = failing.contrast();
        this.scene = failing.scene();
    }

    final Item.GlyphRun run() {
        return contrast.run();
    }

    final Look look() {
        return publication.look(run().look().id());
    }

    final Medium medium() {
        return contrast.medium();
    }

    /** The swatches that hold a colour, with their contrast to what is seen of another. */
    final List<Named> swatches(Rgb to) {
        Palette palette = new Palette(publication::swatch, condition);
        return publication.swatches().stream()
                .filter(each -> !(each.definition() instanceof Definition.Legible))
                .map(each -> {
                    Color color = palette.color(each.id());
                    double least =
                            publication.setup().destination().media().stream()
                                    .mapToDouble(
                                            on -> Contrast.ratio(condition.seen(color, on), to))
                                    .min()
                                    .orElseThrow();
                    return new Named(
                            each.id(), each.name(), condition.seen(color, medium()), least);
                })
                .toList();
    }

    final Rgb text() {
        return contrast.worst().foreground();
    }

    final Optional<Remedy> tried(
            Remedy.Kind kind, String words, String detail, Rgb screen, Edit edit) {
        return tried(kind, words, detail, screen, contrast.required(), edit);
    }

    final Optional<Remedy> tried(
            Remedy.Kind kind, String words, String detail, Rgb screen, double required, Edit edit) {
        return trial(edit)
                .filter(trial -> !trial.failing().contains(run().run()))
                .filter(trial -> trial.ratios().containsKey(run().run()))
                .map(trial ->
                        new Remedy(
                                kind,
                                words,
                                detail,
                                screen,
                                trial.ratios().get(run().run()),
                                required,
                                trial.pages(),
                                trial.worse(),
                                trial.overset(),
                                edit,
                                trial));
    }

    final Optional<Trial> trial(Edit edit) {
        try {
            return Trial.of(edit, publication, composer, legibility);
        } catch (Refused impossible) {
            return Optional.empty();
        }
    }

    /** The swatch that the text has most contrast to. */
    final Named farthest() {
        return swatches(text()).stream()
                .max(Comparator.comparingDouble(Named::ratio))
                .orElseThrow();
    }

    /** Of those that the text reads on, the nearest to what is there. */
    final Optional<Named> nearest(Rgb there) {
        return swatches(text()).stream()
                .filter(each -> each.ratio() >= contrast.required())
                .min(
                        Comparator.comparingDouble(each ->
                                Difference.ciede2000(
                                        condition.lab(each.seen()), condition.lab(there))));
    }

    /** The background behind it where it is worst. */
    final Optional<Background> behind() {
        return contrast.worst().behind().stream()
                .flatMap(each ->
                        publication.layer(each.origin().owner()).backgrounds().stream()
                                .filter(area -> area.id().equals(each.element())))
                .findFirst();
    }

    /** Where that lies. */
    final String where() {
        return contrast.worst()
                .behind()
                .map(each ->
                        each.origin() instanceof Origin.FromParent
                                ? "On " + each.origin().inWords()
                                : "On this page only")
                .orElse("");
    }

    /**
     * By halves between what is near and what is far, looking at this run on its page only; then
     * all that the edit changes is tried. Where the far end does not help, nothing on the way is
     * looked for.
     *
     * @param near from 1 to 100, or there is nothing
     */
    final Optional<Remedy> nearest(
            int near, int far, IntFunction<Optional<Remedy>> tried, IntFunction<Edit> edit) {
        if (near < 1 || near > 100 || !passes(edit.apply(far))) {
            return Optional.empty();
        }
        int passes = far;
        int fails = far < near ? near + 1 : near - 1;
        while (Math.abs(passes - fails) > 1) {
            int middle = (passes + fails) / 2;
            if (passes(edit.apply(middle))) {
                passes = middle;
            } else {
                fails = middle;
            }
        }
        Optional<Remedy> found = tried.apply(passes);
        // elsewhere the same run may need more
        return found.isPresent() || passes == far ? found : tried.apply(far);
    }

    /** Whether the run passes on this page after an edit. */
    final boolean passes(Edit edit) {
        Cancellation.check();
        PageScene after;
        try {
            Publication there = Editing.edit(publication, edit).publication();
            after = composer.compose(there, there.indexOf(scene.page()));
        } catch (Refused impossible) {
            return false;
        }
        for (Medium medium : legibility.destination().media()) {
            View view = View.designed(medium, condition);
            MediumScene on = after.on(view);
            for (Item.GlyphRun each : on.judged()) {
                if (each.run().equals(run().run())
                        && !legibility
                                .judge(on, on.below(each), on.veils(each), each, view)
                                .map(RunContrast::passes)
                                .orElse(true)) {
                    return false;
                }
            }
        }
        return true;
    }
}
