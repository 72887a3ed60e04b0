package yewberry.core.scene;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * What is painted on one page, in order from the lowest to the topmost, and where each thing came
 * from. Two scenes are equal only if they are the same object, which is what memoised readers go
 * by.
 */
public final class PageScene {
    private final UUID page;
    private final PageBoxes boxes;
    private final List<Item> items;
    private final List<Overset> overset;
    private final Map<Medium, PageScene> shown = new EnumMap<>(Medium.class);

    PageScene(UUID page, PageBoxes boxes, List<Item> items, List<Overset> overset) {
        this.page = page;
        this.boxes = boxes;
        this.items = List.copyOf(items);
        this.overset = List.copyOf(overset);
    }

    /** Text of a frame that found no room in it. */
    public record Overset(Origin origin, UUID frame, Rect where, String text) {}

    /**
     * The scene as it is on a medium; the same object each time, this one where nothing is left
     * out.
     */
    public PageScene on(Medium medium) {
        synchronized (shown) {
            return shown.computeIfAbsent(
                    medium,
                    each -> {
                        List<Item> there = items.stream().filter(each::has).toList();
                        return there.size() == items.size()
                                ? this
                                : new PageScene(page, boxes, there, overset);
                    });
        }
    }

    /** The areas, from the lowest to the topmost; they lie below all text. */
    public List<Item.AreaFill> areas() {
        return items.stream()
                .filter(Item.AreaFill.class::isInstance)
                .map(Item.AreaFill.class::cast)
                .toList();
    }

    public UUID page() {
        return page;
    }

    public PageBoxes boxes() {
        return boxes;
    }

    public List<Item> items() {
        return items;
    }

    public List<Overset> overset() {
        return overset;
    }

    /** The text runs, from the lowest to the topmost. */
    public List<Item.GlyphRun> text() {
        return items.stream()
                .filter(Item.GlyphRun.class::isInstance)
                .map(Item.GlyphRun.class::cast)
                .toList();
    }
}
