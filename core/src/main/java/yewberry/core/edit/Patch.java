package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.color.Swatch;
import yewberry.core.edit.Change.Placed;
import yewberry.core.edit.Element.*;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.TextFrame;

/**
 * The difference of two publications, element by element: what storage writes, what conflicts are
 * found by, and, turned round, what undoes an edit.
 */
public record Patch(List<Change> changes) {
    public Patch {
        changes = List.copyOf(changes);
    }

    /** Ids of all elements it touches. */
    public Set<UUID> touched() {
        return changes.stream().map(Change::id).collect(Collectors.toSet());
    }

    public boolean isEmpty() {
        return changes.isEmpty();
    }

    public Patch inverse() {
        return new Patch(changes.stream().map(Change::inverse).toList());
    }

    /** What turns {@code before} into {@code after}; costs by what differs, through identity. */
    public static Patch between(Publication before, Publication after) {
        List<Change> changes = new ArrayList<>();
        WholePublication was = whole(before);
        WholePublication is = whole(after);
        if (!was.equals(is)) {
            changes.add(
                    new Change(
                            Optional.of(new Placed(was, 0, Optional.empty())),
                            Optional.of(new Placed(is, 0, Optional.empty())),
                            false));
        }
        compare(changes, before.swatches(), after.swatches(), Swatch::id, OneSwatch::new);
        compare(changes, before.looks(), after.looks(), Look::id, OneLook::new);
        compare(changes, before.assets(), after.assets(), Asset::id, OneAsset::new);
        compare(changes, before.recipes(), after.recipes(), Recipe::id, Patch::bare);
        compare(changes, before.parents(), after.parents(), Parent::id, Patch::bare);
        compare(changes, before.pages(), after.pages(), Page::id, Patch::bare);
        compareLayers(
                changes,
                before.recipes(),
                after.recipes(),
                recipe -> new Owner.OnRecipe(recipe.id()),
                Recipe::layer);
        compareLayers(
                changes,
                before.parents(),
                after.parents(),
                parent -> new Owner.OnParent(parent.id()),
                Parent::layer);
        compareLayers(
                changes,
                before.pages(),
                after.pages(),
                page -> new Owner.OnPage(page.id()),
                Page::layer);
        return new Patch(changes);
    }

    private static WholePublication whole(Publication publication) {
        return new WholePublication(publication.id(), publication.name(), publication.setup());
    }

    private static Element bare(Parent parent) {
        return new OneParent(parent.id(), parent.name(), parent.base());
    }

    private static Element bare(Recipe recipe) {
        return new OneRecipe(recipe.id(), recipe.name(), recipe.trim());
    }

    private static Element bare(Page page) {
        return new OnePage(page.id(), page.parent(), page.parentShown(), page.part());
    }

    private static <T> void compareLayers(
            List<Change> changes,
            List<T> before,
            List<T> after,
            Function<T, Owner> owner,
            Function<T, Layer> layer) {
        if (before == after) {
            return;
        }
        Map<UUID, T> old = new HashMap<>();
        before.forEach(each -> old.put(owner.apply(each).id(), each));
        for (T each : after) {
            T was = old.remove(owner.apply(each).id());
            if (was != each) {
                Layer from = was == null ? Layer.EMPTY : layer.apply(was);
                compareLayer(changes, owner.apply(each), from, layer.apply(each));
            }
        }
        for (T gone : before) {
            if (old.containsKey(owner.apply(gone).id())) {
                compareLayer(changes, owner.apply(gone), layer.apply(gone), Layer.EMPTY);
            }
        }
    }

    private static void compareLayer(List<Change> changes, Owner owner, Layer was, Layer is) {
        compare(
                changes,
                was.backgrounds(),
                is.backgrounds(),
                Background::id,
                background -> new OneBackground(owner, background));
        compare(
                changes,
                was.frames(),
                is.frames(),
                TextFrame::id,
                frame -> new OneFrame(owner, frame));
    }

    private static <T> void compare(
            List<Change> changes,
            List<T> before,
            List<T> after,
            Function<T, UUID> id,
            Function<T, Element> element) {
        if (before == after) {
            return;
        }
        Map<UUID, Integer> old = indexes(before, id);
        Map<UUID, Integer> now = indexes(after, id);
        Set<UUID> moved = moved(before, old, now, after, id);
        for (int i = 0; i < after.size(); i++) {
            T each = after.get(i);
            Integer at = old.get(id.apply(each));
            boolean placed = at == null || moved.contains(id.apply(each));
            if (!placed
                    && (each == before.get(at)
                            || element.apply(each).equals(element.apply(before.get(at))))) {
                continue;
            }
            changes.add(
                    new Change(
                            Optional.ofNullable(at).map(j -> place(before, j, id, element)),
                            Optional.of(place(after, i, id, element)),
                            placed));
        }
        for (int i = 0; i < before.size(); i++) {
            if (!now.containsKey(id.apply(before.get(i)))) {
                changes.add(
                        new Change(
                                Optional.of(place(before, i, id, element)),
                                Optional.empty(),
                                true));
            }
        }
    }

    private static <T> Map<UUID, Integer> indexes(List<T> list, Function<T, UUID> id) {
        Map<UUID, Integer> indexes = HashMap.newHashMap(list.size());
        for (int i = 0; i < list.size(); i++) {
            indexes.put(id.apply(list.get(i)), i);
        }
        return indexes;
    }

    private static <T> Placed place(
            List<T> list, int index, Function<T, UUID> id, Function<T, Element> element) {
        Optional<UUID> predecessor =
                index == 0 ? Optional.empty() : Optional.of(id.apply(list.get(index - 1)));
        return new Placed(element.apply(list.get(index)), index, predecessor);
    }

    /** Of what is in both lists, the fewest that have to move: all but a longest ascending row. */
    private static <T> Set<UUID> moved(
            List<T> before,
            Map<UUID, Integer> old,
            Map<UUID, Integer> now,
            List<T> after,
            Function<T, UUID> id) {
        List<UUID> common = after.stream().map(id).filter(old::containsKey).toList();
        List<UUID> were = before.stream().map(id).filter(now::containsKey).toList();
        if (common.equals(were)) {
            return Set.of();
        }
        Set<UUID> moved = new HashSet<>(common);
        LongestAscending.of(common.stream().mapToInt(old::get).toArray())
                .forEach(index -> moved.remove(common.get(index)));
        return moved;
    }

    /** The publication with every element of this patch as it is after it. */
    public Publication applyTo(Publication on) {
        return new Restoring(changes).on(on);
    }
}
