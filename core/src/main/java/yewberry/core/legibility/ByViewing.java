package yewberry.core.legibility;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.publication.Setup;
import yewberry.core.scene.PageScene;

/**
 * The runs of a page under every viewing: what fails only as printed, or only without backgrounds,
 * shows here.
 */
public final class ByViewing {
    private ByViewing() {}

    /** The viewings that make sense for where a publication goes; the verdict's comes first. */
    public static List<View> views(Setup setup, PressCondition condition) {
        List<View> views = new ArrayList<>();
        for (Viewing viewing : Viewing.values()) {
            boolean makesSense =
                    switch (viewing) {
                        case ON_SCREEN -> setup.destination().media().size() > 1;
                        case ON_PRESS -> setup.destination().has(Medium.PAPER);
                        case ON_STOCK ->
                                setup.destination().has(Medium.PAPER)
                                        && setup.press().stock().isPresent();
                        case AS_DESIGNED, BACKGROUNDS_OFF, GREY_COPY, PROTAN, DEUTAN, TRITAN ->
                                true;
                    };
            if (makesSense) {
                views.add(
                        new View(
                                viewing,
                                setup.destination().medium(viewing),
                                condition,
                                setup.press().stock().orElseGet(condition::paper)));
            }
        }
        return views;
    }

    /**
     * A run under every viewing.
     *
     * @param worst its contrast under the viewing where it lacks most
     * @param ratios the worst ratio under each viewing
     * @param onPicture whether it stands on a picture under any of them
     */
    public record Row(
            UUID page, RunContrast worst, Map<Viewing, Double> ratios, boolean onPicture) {
        /** The worst ratio that gives the verdict. */
        public double designed() {
            return Math.min(
                    ratios.getOrDefault(Viewing.AS_DESIGNED, 21.0),
                    ratios.getOrDefault(Viewing.ON_SCREEN, 21.0));
        }

        public boolean passes(Viewing viewing) {
            return ratios.getOrDefault(viewing, 21.0) >= worst.required();
        }

        public boolean passes() {
            return ratios.keySet().stream().allMatch(this::passes);
        }

        /** The least of its ratios, as a part of what is required. */
        public double margin() {
            return ratios.values().stream()
                    .mapToDouble(each -> each / worst.required())
                    .min()
                    .orElse(1);
        }
    }

    /**
     * What was found on a page.
     *
     * @param runs how many it has
     * @param failing those that fail under a viewing, the worst first
     */
    public record Found(int runs, List<Row> failing) {}

    public static Found on(PageScene scene, Legibility legibility, List<View> views) {
        Map<UUID, Map<Viewing, Double>> ratios = new LinkedHashMap<>();
        Map<UUID, RunContrast> worst = new LinkedHashMap<>();
        Set<UUID> onPictures = new HashSet<>();
        Map<View, List<RunContrast>> judged = legibility.judge(scene, views);
        for (View view : views) {
            for (RunContrast contrast : judged.get(view)) {
                UUID run = contrast.run().run();
                ratios.computeIfAbsent(run, each -> new EnumMap<>(Viewing.class))
                        .merge(view.viewing(), contrast.worst().ratio(), Math::min);
                worst.merge(run, contrast, ByViewing::worse);
                if (contrast.onPicture()) {
                    onPictures.add(run);
                }
            }
        }
        List<Row> failing =
                ratios.entrySet().stream()
                        .map(each ->
                                new Row(
                                        scene.page(),
                                        worst.get(each.getKey()),
                                        each.getValue(),
                                        onPictures.contains(each.getKey())))
                        .filter(row -> !row.passes())
                        .sorted(Comparator.comparingDouble(Row::margin))
                        .toList();
        return new Found(ratios.size(), failing);
    }

    private static RunContrast worse(RunContrast one, RunContrast other) {
        return one.worst().ratio() <= other.worst().ratio() ? one : other;
    }
}
