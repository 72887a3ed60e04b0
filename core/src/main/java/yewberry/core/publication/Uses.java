package yewberry.core.publication;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How often each swatch, look and parent of a publication is used. */
public final class Uses {
    /** So many counts may differ from those that are shared. */
    private static final int FEW = 500;

    /** What was counted once and for all; not changed any more. */
    private final Map<UUID, Integer> counted;

    /** The counts that have changed since. */
    private final Map<UUID, Integer> changed;

    private Uses(Map<UUID, Integer> counted, Map<UUID, Integer> changed) {
        this.counted = counted;
        this.changed = changed;
    }

    public static Uses of(Publication publication) {
        Uses uses = new Uses(Map.of(), new HashMap<>());
        publication.elements().forEach(uses::count);
        publication.layers().forEach(uses::count);
        publication.stories().forEach(story -> story.paragraphs().forEach(uses::count));
        return uses;
    }

    /**
     * Where an element is used.
     *
     * @param names of what uses it that is no page, in words
     * @param pages their numbers, in order
     */
    public record Places(List<String> names, List<Integer> pages) {
        public Places {
            names = List.copyOf(names);
            pages = List.copyOf(pages);
        }
    }

    /** Where a swatch, a look, a picture, a parent or a recipe is used, each place once. */
    public static Places places(Publication publication, UUID element) {
        List<String> names = new ArrayList<>();
        publication.swatches().stream()
                .filter(each -> refers(each, element))
                .forEach(each -> names.add("swatch “%s”".formatted(each.name())));
        publication.looks().stream()
                .filter(look -> refers(look, element))
                .forEach(look -> names.add("look “%s”".formatted(look.name())));
        publication.characterLooks().stream()
                .filter(look -> refers(look, element))
                .forEach(look -> names.add("character look “%s”".formatted(look.name())));
        publication.assets().stream()
                .filter(asset -> refers(asset, element))
                .forEach(asset -> names.add("the colours of “%s”".formatted(asset.name())));
        Set<UUID> with = holdersOfText(publication, element);
        publication.parents().stream()
                .filter(parent ->
                        refers(parent, element)
                                || holds(parent.layer(), element)
                                || with.contains(parent.id()))
                .forEach(parent -> names.add("parent “%s”".formatted(parent.name())));
        publication.recipes().stream()
                .filter(recipe -> holds(recipe.layer(), element))
                .forEach(recipe -> names.add("recipe “%s”".formatted(recipe.name())));
        List<Integer> pages = new ArrayList<>();
        int number = 0;
        for (Page page : publication.pages()) {
            number++;
            if (refers(page, element) || holds(page.layer(), element) || with.contains(page.id())) {
                pages.add(number);
            }
        }
        return new Places(names, pages);
    }

    /** The same in words, each place by itself. */
    public static List<String> where(Publication publication, UUID element) {
        Places places = places(publication, element);
        return Stream.concat(
                        places.names().stream(),
                        places.pages().stream().map(number -> "page " + number))
                .toList();
    }

    /** The pages and parents with a frame of a story that uses an element. */
    private static Set<UUID> holdersOfText(Publication publication, UUID element) {
        return publication.stories().stream()
                .filter(story ->
                        story.paragraphs().stream().anyMatch(each -> refers(each, element)))
                .flatMap(story -> story.chain().stream())
                .map(link -> link.owner().id())
                .collect(Collectors.toSet());
    }

    private static boolean refers(Element element, UUID to) {
        return element.references().stream().anyMatch(each -> each.id().equals(to));
    }

    private static boolean holds(Layer layer, UUID element) {
        return Stream.concat(layer.backgrounds().stream(), layer.frames().stream())
                .anyMatch(each -> refers(each, element));
    }

    private void count(Layer layer) {
        layer.backgrounds().forEach(this::count);
        layer.frames().forEach(this::count);
    }

    private void count(Element element) {
        element.references().forEach(each -> add(each.id(), 1));
    }

    private void add(UUID element, int uses) {
        changed.put(element, of(element) + uses);
    }

    /** The same, to be changed: all is not copied for a few that differ. */
    private Uses shared() {
        if (changed.size() <= FEW) {
            return new Uses(counted, new HashMap<>(changed));
        }
        Map<UUID, Integer> all = new HashMap<>(counted);
        all.putAll(changed);
        return new Uses(all, new HashMap<>());
    }

    /** The same after some elements were changed, added or removed. */
    public Uses after(Stream<Element> before, Stream<Element> after) {
        Uses uses = shared();
        before.flatMap(each -> each.references().stream()).forEach(each -> uses.add(each.id(), -1));
        after.forEach(uses::count);
        return uses;
    }

    /** How often anything refers to an element. */
    public int of(UUID element) {
        return changed.getOrDefault(element, counted.getOrDefault(element, 0));
    }
}
