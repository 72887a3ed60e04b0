package yewberry.core.scene;

import java.util.List;
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

    PageScene(UUID page, PageBoxes boxes, List<Item> items, List<Overset> overset) {
        this.page = page;
        this.boxes = boxes;
        this.items = List.copyOf(items);
        this.overset = List.copyOf(overset);
    }

    /** Text of a frame that found no room in it. */
    public record Overset(Origin origin, UUID frame, Rect where, String text) {}

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
