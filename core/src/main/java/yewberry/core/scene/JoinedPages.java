package yewberry.core.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Two pages that face each other as one, side by side at the spine, in the space of the left one.
 * Neither goes beyond the spine; those that differ in height stand at the same top.
 *
 * @param scene of both
 * @param from for each of its items, where it came from
 */
public record JoinedPages(PageScene scene, List<From> from) {
    /**
     * An item of one of the pages.
     *
     * @param left whether of the left one
     * @param at in the order of its items, from 0
     */
    public record From(boolean left, int at) {}

    public JoinedPages {
        from = List.copyOf(from);
    }

    /** One page as it is, or two that face each other as one. */
    public static PageScene scene(List<PageScene> pages) {
        return pages.size() == 1 ? pages.getFirst() : of(pages.getFirst(), pages.getLast()).scene();
    }

    public static JoinedPages of(PageScene left, PageScene right) {
        PageSide one = new PageSide(left, left.boxes().upToSpine(), 0);
        PageSide other =
                new PageSide(right, right.boxes().upToSpine(), left.boxes().trim().width());
        List<Item> items = new ArrayList<>();
        List<From> from = new ArrayList<>();
        // the backgrounds of both lie below all else
        int leftLower = lower(left);
        int rightLower = lower(right);
        add(one, 0, leftLower, items, from);
        add(other, 0, rightLower, items, from);
        add(one, leftLower, left.items().size(), items, from);
        add(other, rightLower, right.items().size(), items, from);
        PageScene joined =
                new PageScene(
                        new SceneKey(),
                        List.of(one.part(), other.part()),
                        boxes(one, other),
                        items,
                        both(one, other, PageScene::frames, PageSide::frame),
                        both(one, other, PageScene::pictures, PageSide::picture),
                        both(one, other, PageScene::overset, PageSide::overset),
                        both(one, other, PageScene::links, PageSide::link),
                        left.condition());
        return new JoinedPages(joined, from);
    }

    private static int lower(PageScene scene) {
        int count = 0;
        while (count < scene.items().size() && scene.items().get(count) instanceof Item.AreaFill) {
            count++;
        }
        return count;
    }

    private static void add(PageSide side, int first, int end, List<Item> items, List<From> from) {
        boolean left = side.by() == 0;
        for (int i = first; i < end; i++) {
            int at = i;
            side.item(side.scene().items().get(i))
                    .ifPresent(item -> {
                        items.add(item);
                        from.add(new From(left, at));
                    });
        }
    }

    private static PageBoxes boxes(PageSide one, PageSide other) {
        PageBoxes left = one.scene().boxes();
        PageBoxes right = other.scene().boxes();
        Function<Rect, Rect> moved = rect -> rect.movedBy(other.by(), 0);
        return new PageBoxes(
                left.side(),
                left.trim().union(moved.apply(right.trim())),
                one.seen().union(moved.apply(other.seen())),
                left.safe().union(moved.apply(right.safe())),
                left.type().union(moved.apply(right.type())));
    }

    private static <T> List<T> both(
            PageSide one,
            PageSide other,
            Function<PageScene, List<T>> of,
            BiFunction<PageSide, T, T> moved) {
        return Stream.of(one, other)
                .flatMap(side ->
                        of.apply(side.scene()).stream().map(each -> moved.apply(side, each)))
                .toList();
    }
}
