package yewberry.core.press;

import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import yewberry.core.color.Color;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.PressChecks;
import yewberry.core.scene.Item;

/**
 * Small type whose edges several plates have to meet in: each plate that is a hair off leaves a
 * fringe; and thin lines that are printed as dots. Common practice, no source.
 */
public final class SmallType {
    private static final double TOLERANCE = 1e-9;

    /** Less than this many percent of ink is lost between plate and paper. */
    private static final double NOTHING = 0.5;

    private SmallType() {}

    public static boolean isSmall(Item.GlyphRun run, PressChecks checks) {
        return run.size() < checks.smallType().points() - TOLERANCE;
    }

    /** The inks that the type itself is made of. */
    public static Set<String> inks(Item.GlyphRun run, PressCondition condition) {
        return Plate.of(run.paint().color(), condition).entrySet().stream()
                .filter(each -> each.getValue() >= NOTHING)
                .map(Map.Entry::getKey)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** The inks of a colour that are printed as dots: neither none nor all of them. */
    public static Set<String> screened(Color color, PressCondition condition) {
        return Plate.of(color, condition).entrySet().stream()
                .filter(each -> each.getValue() >= NOTHING && each.getValue() <= 100 - NOTHING)
                .map(Map.Entry::getKey)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /**
     * The inks that lighter type leaves open in a backdrop: those it has none or less of. Type that
     * overprints or is darker than the backdrop is not reversed and leaves none open.
     */
    public static Set<String> open(Item.GlyphRun run, Color backdrop, PressCondition condition) {
        Color type = run.paint().color();
        Set<String> open = new TreeSet<>();
        if (run.paint().overprints()
                || condition.lab(type).lightness() <= condition.lab(backdrop).lightness()) {
            return open;
        }
        Map<String, Double> over = Plate.of(type, condition);
        Plate.of(backdrop, condition)
                .forEach((ink, percent) -> {
                    if (over.getOrDefault(ink, 0.0) + NOTHING <= percent) {
                        open.add(ink);
                    }
                });
        return open;
    }
}
