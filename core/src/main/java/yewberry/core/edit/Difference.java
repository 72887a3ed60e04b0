package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import yewberry.core.edit.Change.Placed;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Element;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;

/**
 * Finds what differs between two publications. What is the same object in both is passed over, so
 * that it costs by what differs.
 */
final class Difference {
    private final List<Change> changes = new ArrayList<>();

    private Difference() {}

    static List<Change> between(Publication before, Publication after) {
        Difference difference = new Difference();
        Element was = before.heading();
        Element is = after.heading();
        if (!was.equals(is)) {
            difference.changes.add(
                    new Change(
                            Optional.of(new Placed(was, Optional.empty(), 0, Optional.empty())),
                            Optional.of(new Placed(is, Optional.empty(), 0, Optional.empty())),
                            false));
        }
        for (Kind<Publication, ?> kind : Kind.OF_PUBLICATIONS) {
            difference.compare(kind, before, after, Optional.empty());
        }
        difference.layers(before.recipes(), after.recipes());
        difference.layers(before.parents(), after.parents());
        difference.layers(before.pages(), after.pages());
        difference.stories(before.stories(), after.stories());
        return difference.changes;
    }

    private <T extends Carrier> void layers(List<T> before, List<T> after) {
        eachDiffering(
                before,
                after,
                (was, is) -> {
                    Layer old = was.map(Carrier::layer).orElse(Layer.EMPTY);
                    Layer now = is.map(Carrier::layer).orElse(Layer.EMPTY);
                    layer(old, now, is.or(() -> was).orElseThrow().asOwner());
                });
    }

    private void stories(List<Story> before, List<Story> after) {
        eachDiffering(
                before,
                after,
                (was, is) -> {
                    List<Paragraph> old =
                            was.<List<Paragraph>>map(Story::paragraphs).orElse(List.of());
                    List<Paragraph> now =
                            is.<List<Paragraph>>map(Story::paragraphs).orElse(List.of());
                    UUID story = is.or(() -> was).orElseThrow().id();
                    compare(Kind.OF_STORIES, old, now, Optional.of(new Holder.InStory(story)));
                });
    }

    /** Hands on what is not the same object in both, as it was and as it is. */
    private static <T extends Element> void eachDiffering(
            List<T> before, List<T> after, BiConsumer<Optional<T>, Optional<T>> differing) {
        DifferingRange range = DifferingRange.of(before, after);
        Map<UUID, T> old = new HashMap<>();
        range.of(before).forEach(each -> old.put(each.id(), each));
        for (T each : range.of(after)) {
            T was = old.remove(each.id());
            if (was != each) {
                differing.accept(Optional.ofNullable(was), Optional.of(each));
            }
        }
        for (T each : range.of(before)) {
            if (old.containsKey(each.id())) {
                differing.accept(Optional.of(each), Optional.empty());
            }
        }
    }

    private void layer(Layer was, Layer is, Owner owner) {
        if (was != is) {
            for (Kind<Layer, ?> kind : Kind.OF_LAYERS) {
                compare(kind, was, is, Optional.of(owner));
            }
        }
    }

    private <H, T extends Element> void compare(
            Kind<H, T> kind, H before, H after, Optional<Holder> owner) {
        compare(kind, kind.read().apply(before), kind.read().apply(after), owner);
    }

    private <T extends Element> void compare(
            Kind<?, T> kind, List<T> before, List<T> after, Optional<Holder> owner) {
        if (before == after) {
            return;
        }
        DifferingRange range = DifferingRange.of(before, after);
        Map<UUID, Integer> old = range.positions(before);
        Map<UUID, Integer> now = range.positions(after);
        Set<UUID> moved = moved(range.of(before), range.of(after), old, now);
        for (int i = range.from(); i < range.to(after); i++) {
            T each = after.get(i);
            Integer at = old.get(each.id());
            boolean placed = at == null || moved.contains(each.id());
            if (placed || each != before.get(at) && !isSame(kind, each, before.get(at))) {
                changes.add(
                        new Change(
                                Optional.ofNullable(at).map(j -> placed(kind, before, j, owner)),
                                Optional.of(placed(kind, after, i, owner)),
                                placed));
            }
        }
        for (int i = range.from(); i < range.to(before); i++) {
            if (!now.containsKey(before.get(i).id())) {
                changes.add(
                        new Change(
                                Optional.of(placed(kind, before, i, owner)),
                                Optional.empty(),
                                true));
            }
        }
    }

    private static <T extends Element> boolean isSame(Kind<?, T> kind, T one, T other) {
        return kind.alone().apply(one).equals(kind.alone().apply(other));
    }

    private static <T extends Element> Placed placed(
            Kind<?, T> kind, List<T> list, int index, Optional<Holder> owner) {
        Optional<UUID> predecessor =
                index == 0 ? Optional.empty() : Optional.of(list.get(index - 1).id());
        return new Placed(kind.alone().apply(list.get(index)), owner, index, predecessor);
    }

    /** Of what is in both lists, the fewest that have to move: all but a longest ascending row. */
    private static <T extends Element> Set<UUID> moved(
            List<T> before, List<T> after, Map<UUID, Integer> old, Map<UUID, Integer> now) {
        List<UUID> common = after.stream().map(T::id).filter(old::containsKey).toList();
        List<UUID> were = before.stream().map(T::id).filter(now::containsKey).toList();
        if (common.equals(were)) {
            return Set.of();
        }
        Set<UUID> moved = new HashSet<>(common);
        LongestAscending.of(common.stream().mapToInt(old::get).toArray())
                .forEach(index -> moved.remove(common.get(index)));
        return moved;
    }
}
