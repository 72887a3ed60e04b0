package yewberry.core.legibility;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.WeakHashMap;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Level;
import yewberry.core.scene.Item;
import yewberry.core.scene.Medium;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * Holds every run of text of a scene against what is really behind it, as designed: where there is
 * no fill, the stock counts as white. Remembers what it found for a scene. Thread-safe.
 */
public final class Legibility {
    private final PressCondition condition;
    private final Level level;
    private final Map<PageScene, List<RunContrast>> memo = new WeakHashMap<>();

    public Legibility(PressCondition condition, Level level) {
        this.condition = condition;
        this.level = level;
    }

    public Level level() {
        return level;
    }

    /** One result for each run that has ink on the page. */
    public List<RunContrast> judge(PageScene all) {
        return judge(all, Medium.SCREEN);
    }

    /** The same on another medium. */
    public List<RunContrast> judge(PageScene all, Medium medium) {
        PageScene scene = all.on(medium);
        synchronized (memo) {
            List<RunContrast> known = memo.get(scene);
            if (known != null) {
                return known;
            }
        }
        List<RunContrast> judged =
                scene.text().stream()
                        .map(run -> judge(scene, run))
                        .flatMap(Optional::stream)
                        .toList();
        synchronized (memo) {
            memo.put(scene, judged);
        }
        return judged;
    }

    private Optional<RunContrast> judge(PageScene scene, Item.GlyphRun run) {
        SequencedSet<Optional<Paint>> behind = Backdrop.behind(scene, run, condition);
        if (behind.isEmpty()) {
            return Optional.empty();
        }
        SizeClass sizeClass = SizeClass.of(run.look());
        List<RunContrast.Against> against =
                behind.stream()
                        .map(paint -> {
                            Rgb foreground = screen(run.paint(), paint);
                            Rgb color = screen(paint);
                            return new RunContrast.Against(
                                    paint, foreground, color, Contrast.ratio(foreground, color));
                        })
                        .toList();
        return Optional.of(
                new RunContrast(run, sizeClass, level.required(sizeClass.large()), against));
    }

    /** The ratio of a text colour on what is behind it, as designed. */
    double ratio(Paint text, Optional<Paint> ground) {
        return Contrast.ratio(screen(text, ground), screen(ground));
    }

    private Rgb screen(Paint text, Optional<Paint> ground) {
        return condition.toScreen(text.over(ground.map(Paint::color), condition));
    }

    private Rgb screen(Optional<Paint> paint) {
        return paint.map(it -> condition.toScreen(it.color())).orElse(Rgb.WHITE);
    }
}
