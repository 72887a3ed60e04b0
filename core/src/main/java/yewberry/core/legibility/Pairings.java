package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Cancellation;
import yewberry.core.color.View;
import yewberry.core.publication.Level;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;

/**
 * Every text colour of a publication against every colour that lies behind something: where the
 * pair occurs, and what it would give where it does not.
 *
 * @param texts in the order they are met
 * @param backdrops in the order they are met; nothing is the bare stock; a sampled one stands for
 *     all the colours that one area comes to
 * @param cells row by row: for each text, one for each backdrop
 */
public record Pairings(List<Paint> texts, List<Optional<Paint>> backdrops, List<Cell> cells) {
    /**
     * @param ratio as seen in the view, which the pair passes or fails by
     * @param required by the smallest text set in it, or by normal text where there is none
     * @param occurrences the smallest text first
     */
    public record Cell(
            int text, int backdrop, double ratio, double required, List<Occurrence> occurrences) {
        public boolean passes() {
            return ratio >= required;
        }
    }

    /** A run of text set in a pair. */
    public record Occurrence(UUID page, Item.GlyphRun run) {}

    /**
     * @param more colours that might be used, against each other and against those that are
     * @param view that ratios are taken in
     */
    public static Pairings of(
            List<PageScene> scenes,
            Collection<Paint> more,
            Legibility legibility,
            Level level,
            View view) {
        Collected collected = new Collected();
        for (PageScene scene : scenes) {
            scene.on(view).fills().stream()
                    .flatMap(fill -> fill.solid().stream())
                    .forEach(paint -> collected.backdrop(Optional.of(paint)));
            for (RunContrast contrast : legibility.judge(scene, view)) {
                contrast.against().stream()
                        .filter(against -> !against.veiled())
                        .forEach(against ->
                                collected.use(
                                        against.paint(),
                                        new Occurrence(scene.page(), contrast.run())));
            }
        }
        more.stream()
                .map(paint -> paint.on(view.medium(), view.condition()))
                .forEach(collected::mightBeUsed);
        List<Paint> rows = List.copyOf(collected.texts);
        List<Optional<Paint>> columns = List.copyOf(collected.backdrops.keySet());
        List<Cell> cells = new ArrayList<>();
        for (int row = 0; row < rows.size(); row++) {
            Cancellation.check();
            for (int column = 0; column < columns.size(); column++) {
                Used used =
                        collected.uses.getOrDefault(
                                new Pair(rows.get(row), columns.get(column)),
                                new Used(collected.backdrops.get(columns.get(column)), Set.of()));
                cells.add(cell(row, column, rows.get(row), used, level, view));
            }
        }
        return new Pairings(rows, columns, List.copyOf(cells));
    }

    private record Pair(Paint text, Optional<Paint> column) {}

    /**
     * @param backdrops the colours of the column that the text stands on; all of them where it
     *     stands on none
     */
    private record Used(Set<Optional<Paint>> backdrops, Set<Occurrence> occurrences) {}

    /** What was met. The many colours that one area comes to share a column, that of the first. */
    private static final class Collected {
        private final SequencedSet<Paint> texts = new LinkedHashSet<>();
        private final Map<Optional<Paint>, Set<Optional<Paint>>> backdrops = new LinkedHashMap<>();
        private final Map<Pair, Used> uses = new LinkedHashMap<>();
        private final Map<String, Optional<Paint>> areas = new HashMap<>();

        Optional<Paint> backdrop(Optional<Paint> backdrop) {
            Optional<Paint> column =
                    backdrop.filter(Paint::sampled)
                            .map(paint -> areas.computeIfAbsent(paint.name(), name -> backdrop))
                            .orElse(backdrop);
            backdrops.computeIfAbsent(column, key -> new LinkedHashSet<>()).add(backdrop);
            return column;
        }

        void use(Optional<Paint> backdrop, Occurrence occurrence) {
            Paint text = occurrence.run().paint();
            texts.add(text);
            Used used =
                    uses.computeIfAbsent(
                            new Pair(text, backdrop(backdrop)),
                            pair -> new Used(new LinkedHashSet<>(), new LinkedHashSet<>()));
            used.backdrops().add(backdrop);
            used.occurrences().add(occurrence);
        }

        void mightBeUsed(Paint paint) {
            if (texts.stream().noneMatch(paint::looksLike)) {
                texts.add(paint);
            }
            if (backdrops.keySet().stream().flatMap(Optional::stream).noneMatch(paint::looksLike)) {
                backdrop(Optional.of(paint));
            }
        }
    }

    private static Cell cell(int row, int column, Paint text, Used used, Level level, View view) {
        List<Occurrence> found =
                used.occurrences().stream()
                        .sorted(Comparator.comparingDouble(each -> each.run().size()))
                        .toList();
        double required =
                found.stream()
                        .mapToDouble(
                                each -> level.required(SizeClass.of(each.run().type()).large()))
                        .max()
                        .orElse(level.required(false));
        return new Cell(
                row,
                column,
                used.backdrops().stream()
                        .mapToDouble(backdrop -> Legibility.against(text, backdrop, view).ratio())
                        .min()
                        .orElseThrow(),
                required,
                found);
    }
}
