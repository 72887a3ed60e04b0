package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import yewberry.core.color.Contrast;
import yewberry.core.color.View;
import yewberry.core.publication.Level;
import yewberry.core.scene.Item;
import yewberry.core.scene.Medium;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * Every text colour of a publication against every colour that lies behind something: where the
 * pair occurs, and what it would give where it does not.
 *
 * @param texts in the order they are met
 * @param grounds in the order they are met; nothing is the bare stock
 * @param cells row by row: for each text, one for each ground
 */
public record Pairings(List<Paint> texts, List<Optional<Paint>> grounds, List<Cell> cells) {
    /**
     * @param ratio as seen in the view
     * @param required by the smallest text set in it, or by normal text where there is none
     * @param designed the ratio that the verdict goes by
     * @param occurrences the smallest text first
     */
    public record Cell(
            int text,
            int ground,
            double ratio,
            double designed,
            double required,
            List<Occurrence> occurrences) {
        public boolean passes() {
            return designed >= required;
        }
    }

    /** A run of text set in a pair. */
    public record Occurrence(PageScene scene, Item.GlyphRun run) {}

    private record Pair(Paint text, Optional<Paint> ground) {}

    /**
     * @param more colours that might be used, against each other and against those that are
     * @param view that ratios are taken in besides the verdict's
     */
    public static Pairings of(
            List<PageScene> scenes,
            Collection<Paint> more,
            Legibility legibility,
            Level level,
            View view) {
        SequencedSet<Paint> texts = new LinkedHashSet<>();
        SequencedSet<Optional<Paint>> grounds = new LinkedHashSet<>();
        Map<Pair, List<Occurrence>> occurrences = new LinkedHashMap<>();
        for (PageScene scene : scenes) {
            scene.on(Medium.SCREEN).areas().stream()
                    .flatMap(fill -> fill.solid().stream())
                    .forEach(paint -> grounds.add(Optional.of(paint)));
            for (RunContrast contrast : legibility.judge(scene)) {
                texts.add(contrast.run().paint());
                for (RunContrast.Against against : worstOfMany(contrast.against())) {
                    grounds.add(against.paint());
                    occurrences
                            .computeIfAbsent(
                                    new Pair(contrast.run().paint(), against.paint()),
                                    pair -> new ArrayList<>())
                            .add(new Occurrence(scene, contrast.run()));
                }
            }
        }
        for (Paint paint : more) {
            addNew(texts, paint);
            if (grounds.stream().flatMap(Optional::stream).noneMatch(paint::looksLike)) {
                grounds.add(Optional.of(paint));
            }
        }
        List<Paint> rows = List.copyOf(texts);
        List<Optional<Paint>> columns = List.copyOf(grounds);
        List<Cell> cells = new ArrayList<>();
        for (int row = 0; row < rows.size(); row++) {
            for (int column = 0; column < columns.size(); column++) {
                List<Occurrence> found =
                        occurrences
                                .getOrDefault(
                                        new Pair(rows.get(row), columns.get(column)), List.of())
                                .stream()
                                .sorted(Comparator.comparingDouble(each -> each.run().size()))
                                .toList();
                cells.add(
                        cell(
                                row,
                                column,
                                rows.get(row),
                                columns.get(column),
                                found,
                                legibility,
                                level,
                                view));
            }
        }
        return new Pairings(rows, columns, List.copyOf(cells));
    }

    /** Of the many colours that one area comes to, only the worst. */
    private static List<RunContrast.Against> worstOfMany(List<RunContrast.Against> against) {
        Map<String, RunContrast.Against> worst = new LinkedHashMap<>();
        for (RunContrast.Against each : against) {
            String key =
                    each.paint()
                            .map(paint -> paint.sampled() ? paint.name() : paint.toString())
                            .orElse("");
            worst.merge(key, each, (a, b) -> a.ratio() <= b.ratio() ? a : b);
        }
        return List.copyOf(worst.values());
    }

    private static void addNew(SequencedSet<Paint> texts, Paint paint) {
        if (texts.stream().noneMatch(paint::looksLike)) {
            texts.add(paint);
        }
    }

    private static Cell cell(
            int row,
            int column,
            Paint text,
            Optional<Paint> ground,
            List<Occurrence> found,
            Legibility legibility,
            Level level,
            View view) {
        double required =
                found.stream()
                        .mapToDouble(
                                each -> level.required(SizeClass.of(each.run().look()).large()))
                        .max()
                        .orElse(level.required(false));
        return new Cell(
                row,
                column,
                Contrast.ratio(
                        view.see(text.over(ground.map(Paint::color), view.condition())),
                        ground.map(paint -> view.see(paint.color())).orElseGet(view::bare)),
                legibility.ratio(text, ground),
                required,
                found);
    }
}
