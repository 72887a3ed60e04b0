package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import yewberry.core.Cancellation;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Level;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * Holds every run of text of a scene against what is really behind it. The verdict is as designed:
 * where there is no fill, the stock counts as white. Under any other viewing it is as seen there.
 * Remembers what it found for a scene. Thread-safe.
 */
public final class Legibility {
    private final PressCondition condition;
    private final Demand demand;
    private final Destination destination;
    private final Map<MediumScene, Map<View, List<RunContrast>>> memo = new WeakHashMap<>();

    public Legibility(PressCondition condition, Demand demand, Destination destination) {
        this.condition = condition;
        this.demand = demand;
        this.destination = destination;
    }

    /** Held to a level of WCAG 2.2. */
    public Legibility(PressCondition condition, Level level, Destination destination) {
        this(condition, Demand.of(level), destination);
    }

    public Demand demand() {
        return demand;
    }

    public Destination destination() {
        return destination;
    }

    /**
     * The verdict: one result for each run that has ink on the page, as designed, on what the
     * publication goes to; on several the worse.
     */
    public List<RunContrast> judge(PageScene scene) {
        if (destination.media().size() == 1) {
            return on(scene, destination.media().getFirst());
        }
        Map<UUID, RunContrast> worst = new LinkedHashMap<>();
        judgeEach(scene).forEach(each -> worst.merge(each.run().run(), each, Legibility::worse));
        return List.copyOf(worst.values());
    }

    /** The same on each medium by itself, one after the other. */
    public List<RunContrast> judgeEach(PageScene scene) {
        return destination.media().stream().flatMap(medium -> on(scene, medium).stream()).toList();
    }

    private List<RunContrast> on(PageScene scene, Medium medium) {
        return judge(scene, View.designed(medium, condition));
    }

    private static RunContrast worse(RunContrast one, RunContrast other) {
        return Stream.of(one, other)
                .min(Comparator.comparingDouble(each -> each.worst().ratio()))
                .orElseThrow();
    }

    /** One result for each run that has ink on the page, as it is seen under a viewing. */
    public List<RunContrast> judge(PageScene all, View view) {
        return judge(all, List.of(view)).get(view);
    }

    /** The same under several; what viewings share is painted once for all of them. */
    public Map<View, List<RunContrast>> judge(PageScene all, List<View> views) {
        Map<MediumScene, List<View>> byScene = new LinkedHashMap<>();
        views.forEach(
                view -> byScene.computeIfAbsent(all.on(view), _ -> new ArrayList<>()).add(view));
        Map<View, List<RunContrast>> judged = new LinkedHashMap<>();
        byScene.forEach((scene, its) -> judged.putAll(judge(scene, its)));
        return judged;
    }

    private Map<View, List<RunContrast>> judge(MediumScene scene, List<View> views) {
        Map<View, List<RunContrast>> known;
        synchronized (memo) {
            known = memo.computeIfAbsent(scene, each -> new ConcurrentHashMap<>());
        }
        Map<View, List<RunContrast>> judged = new LinkedHashMap<>();
        Map<View, List<RunContrast>> missing = new LinkedHashMap<>();
        for (View view : views) {
            List<RunContrast> before = known.get(view);
            if (before == null) {
                missing.put(view, new ArrayList<>());
            } else {
                judged.put(view, before);
            }
        }
        if (missing.isEmpty()) {
            return judged;
        }
        for (Item.GlyphRun run : scene.judged()) {
            Cancellation.check();
            List<Item> below = scene.below(run);
            List<Item.Filled> veils = scene.veils(run);
            Map<Item.Line, LineField.Painting> paintings = new IdentityHashMap<>();
            missing.forEach((view, found) ->
                    Backdrop.judge(scene, below, veils, run, view, demand, paintings)
                            .ifPresent(found::add));
        }
        missing.forEach((view, found) -> {
            known.put(view, List.copyOf(found));
            judged.put(view, List.copyOf(found));
        });
        return judged;
    }

    /**
     * The result for one run, whether it is on the page already or might be; nothing where none of
     * its ink is on the page.
     *
     * @param below what lies below it, from the lowest up
     * @param veils what lies above it and lets it through, from the lowest up
     * @param run in the colours of the scene's medium
     */
    public Optional<RunContrast> judge(
            MediumScene scene,
            List<Item> below,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view) {
        return Backdrop.judge(scene, below, veils, run, view, demand, new IdentityHashMap<>());
    }

    /** A text colour on what is behind it, as it is seen. */
    static RunContrast.Against against(Paint text, Optional<Paint> backdrop, View view) {
        return against(text, backdrop, view, Optional.empty());
    }

    /**
     * The same.
     *
     * @param fill that paints what is behind it
     */
    static RunContrast.Against against(
            Paint text, Optional<Paint> backdrop, View view, Optional<Item.Filled> fill) {
        Rgb foreground = view.see(text.over(backdrop.map(Paint::color), view.condition()));
        Rgb color = backdrop.map(paint -> view.see(paint.color())).orElseGet(view::bare);
        return new RunContrast.Against(
                backdrop,
                foreground,
                color,
                Contrast.ratio(foreground, color),
                false,
                fill.map(RunContrast.Behind::of));
    }
}
