package yewberry.server.view;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.findings.Exemptions;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;

/**
 * Text by viewings.
 *
 * @param level that text is held to
 * @param viewings in their order, the verdict's first
 * @param rows text that fails under one of them, the worst first; at most {@link #MOST}
 * @param failing how many there are
 * @param runs how much text was judged
 * @param checked how many pages were; the others come with the next request
 * @param pages how many there are
 */
public record ViewingTable(
        long revision,
        String level,
        List<ViewingColumn> viewings,
        List<ViewingRow> rows,
        int failing,
        int runs,
        int checked,
        int pages) {
    static final int MOST = 5_000;

    /**
     * @param failing how much text fails under it
     */
    public record ViewingColumn(Viewing viewing, int failing) {}

    /**
     * A run.
     *
     * @param page its number, from 1
     * @param required the least ratio that passes
     * @param reason why that is so
     * @param ratios cut to two decimals, in the order of the viewings; nothing where it has no ink
     * @param color of the text, in words
     * @param behind what is behind it where it is worst, in words
     * @param exemption the exception for it, whether it holds or ended
     */
    public record ViewingRow(
            int page,
            UUID pageId,
            UUID run,
            String text,
            Extent where,
            double required,
            String reason,
            List<Optional<BigDecimal>> ratios,
            String color,
            String behind,
            Optional<ExemptionView> exemption) {}

    /**
     * @param found on each page that was checked, by its position
     */
    public static ViewingTable of(
            long revision,
            Publication publication,
            PressCondition press,
            Map<Integer, ByViewing.Found> found) {
        List<Viewing> viewings =
                ByViewing.views(publication.setup(), press).stream().map(View::viewing).toList();
        Exemptions exemptions = Exemptions.of(publication);
        List<ViewingRow> rows =
                found.entrySet().stream()
                        .flatMap(page ->
                                page.getValue().failing().stream()
                                        .map(row -> Map.entry(page.getKey(), row)))
                        .sorted(Comparator.comparingDouble(each -> each.getValue().margin()))
                        .limit(MOST)
                        .map(each -> row(each.getKey() + 1, each.getValue(), viewings, exemptions))
                        .toList();
        Map<Viewing, Integer> failing = new EnumMap<>(Viewing.class);
        for (ByViewing.Found page : found.values()) {
            for (ByViewing.Row row : page.failing()) {
                row.ratios().keySet().stream()
                        .filter(viewing -> !row.passes(viewing))
                        .forEach(viewing -> failing.merge(viewing, 1, Integer::sum));
            }
        }
        return new ViewingTable(
                revision,
                publication.setup().level().name(),
                viewings.stream()
                        .map(each -> new ViewingColumn(each, failing.getOrDefault(each, 0)))
                        .toList(),
                rows,
                found.values().stream().mapToInt(each -> each.failing().size()).sum(),
                found.values().stream().mapToInt(ByViewing.Found::runs).sum(),
                found.size(),
                publication.pages().size());
    }

    private static ViewingRow row(
            int page, ByViewing.Row row, List<Viewing> viewings, Exemptions exemptions) {
        RunContrast contrast = row.worst();
        Item.GlyphRun run = contrast.run();
        RunContrast.Against worst = contrast.worst();
        return new ViewingRow(
                page,
                row.page(),
                run.run(),
                run.text(),
                Extent.of(run.bounds()),
                contrast.required(),
                contrast.sizeClass().reason(),
                viewings.stream()
                        .map(each -> Optional.ofNullable(row.ratios().get(each)).map(Contrast::cut))
                        .collect(Collectors.toList()),
                run.paint().inWords(),
                worst.name() + worst.behind().map(behind -> ", " + behind.words()).orElse(""),
                exemptions.of(run.run(), row.onPicture(), row.designed()).map(ExemptionView::of));
    }
}
