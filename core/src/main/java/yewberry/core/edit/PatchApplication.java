package yewberry.core.edit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import yewberry.core.edit.Change.Placed;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Element;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;

/** Puts the elements of a patch into a publication, each at its place. */
final class PatchApplication {
    private final List<Change> changes;

    PatchApplication(List<Change> changes) {
        this.changes = changes;
    }

    Publication to(Publication publication) {
        Publication result = publication;
        for (Change change : changes) {
            if (change.element() instanceof Heading heading) {
                result = result.withName(heading.name()).withSetup(heading.setup());
            }
        }
        for (Kind<Publication, ?> kind : Kind.OF_PUBLICATIONS) {
            result = merged(kind, result, changes);
        }
        Map<Owner, UnaryOperator<Layer>> layers = new HashMap<>();
        Map<UUID, UnaryOperator<Story>> stories = new HashMap<>();
        for (var within : byHolder(result).entrySet()) {
            switch (within.getKey()) {
                case Owner owner -> layers.put(owner, layer -> merged(layer, within.getValue()));
                case Holder.InStory(UUID id) ->
                        stories.put(id, story -> merged(Kind.OF_STORIES, story, within.getValue()));
            }
        }
        result = layers.isEmpty() ? result : result.withLayers(layers);
        return stories.isEmpty() ? result : result.withStories(result.stories().changed(stories));
    }

    /** The changes of what is in something that is there: what has gone took it with it. */
    private Map<Holder, List<Change>> byHolder(Publication in) {
        Map<Holder, List<Change>> byHolder =
                changes.stream()
                        .filter(change -> change.owner().isPresent())
                        .collect(Collectors.groupingBy(change -> change.owner().orElseThrow()));
        byHolder.keySet()
                .removeIf(holder ->
                        switch (holder) {
                            case Owner.OnPage(UUID page) -> !in.pages().holds(page);
                            case Owner.OnParent(UUID parent) -> !in.parents().holds(parent);
                            case Owner.OnRecipe(UUID recipe) -> !in.recipes().holds(recipe);
                            case Holder.InStory(UUID story) -> !in.stories().holds(story);
                        });
        return byHolder;
    }

    private static Layer merged(Layer layer, List<Change> changes) {
        Layer result = layer;
        for (Kind<Layer, ?> kind : Kind.OF_LAYERS) {
            result = merged(kind, result, changes);
        }
        return result;
    }

    private static <H, T extends Element> H merged(Kind<H, T> kind, H into, List<Change> changes) {
        List<Change> ofKind =
                changes.stream()
                        .filter(change -> kind.type().isInstance(change.element()))
                        .toList();
        return ofKind.isEmpty()
                ? into
                : kind.write().apply(into, merged(kind, kind.read().apply(into), ofKind));
    }

    /**
     * The list without what is removed or moved, with what changed, and then with what comes in.
     */
    private static <T extends Element> List<T> merged(
            Kind<?, T> kind, List<T> list, List<Change> changes) {
        Map<UUID, T> known = new HashMap<>();
        Map<UUID, Change> byId = new HashMap<>();
        changes.forEach(change -> byId.put(change.id(), change));
        List<T> result = new ArrayList<>(list.size());
        for (T each : list) {
            Change change = byId.get(each.id());
            if (change == null) {
                result.add(each);
                continue;
            }
            known.put(each.id(), each);
            if (!change.placed()) {
                result.add(rebuilt(kind, change, each));
            }
        }
        List<Placed> coming =
                changes.stream()
                        .filter(Change::placed)
                        .flatMap(change -> change.after().stream())
                        .sorted(Comparator.comparingInt(Placed::index))
                        .toList();
        return inserted(
                result,
                coming,
                placed -> {
                    UUID id = placed.element().id();
                    return rebuilt(kind, byId.get(id), known.get(id));
                });
    }

    /**
     * A list with more elements in it, in one pass: each behind the one that came before it, or, if
     * that has gone, at the position it had.
     */
    private static <T extends Element> List<T> inserted(
            List<T> list, List<Placed> coming, Function<Placed, T> element) {
        if (coming.isEmpty()) {
            return list;
        }
        Set<UUID> gone =
                coming.stream()
                        .flatMap(each -> each.predecessor().stream())
                        .collect(Collectors.toSet());
        list.forEach(each -> gone.remove(each.id()));
        coming.forEach(each -> gone.remove(each.element().id()));
        Map<UUID, Placed> behind = new HashMap<>();
        List<Placed> alone = new ArrayList<>();
        Placed first = null;
        for (Placed each : coming) {
            if (each.predecessor().isEmpty()) {
                first = each;
            } else if (gone.contains(each.predecessor().get())) {
                alone.add(each);
            } else {
                behind.put(each.predecessor().get(), each);
            }
        }
        List<T> result = new ArrayList<>(list.size() + coming.size());
        follow(first, behind, element, result);
        for (T each : list) {
            result.add(each);
            follow(behind.remove(each.id()), behind, element, result);
        }
        for (Placed each : alone) {
            List<T> row = new ArrayList<>(List.of(element.apply(each)));
            follow(behind.remove(each.element().id()), behind, element, row);
            result.addAll(Math.min(each.index(), result.size()), row);
        }
        return result;
    }

    /**
     * Adds an element, and what stands behind it, and behind that.
     *
     * @param first null for none
     */
    private static <T extends Element> void follow(
            Placed first, Map<UUID, Placed> behind, Function<Placed, T> element, List<T> result) {
        Placed next = first;
        while (next != null) {
            result.add(element.apply(next));
            next = behind.remove(next.element().id());
        }
    }

    /** The element as it is after the change, with what lies on it or is in it as it was. */
    private static <T extends Element> T rebuilt(Kind<?, T> kind, Change change, T was) {
        Element element = change.element();
        if (element instanceof Carrier carrier && was instanceof Carrier before) {
            element = carrier.withLayer(before.layer());
        }
        if (element instanceof Story story && was instanceof Story before) {
            element = story.withParagraphs(before.paragraphs());
        }
        return kind.type().cast(element);
    }
}
