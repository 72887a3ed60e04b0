package yewberry.core.publication;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/** How often each swatch, look and parent of a publication is used. */
public final class Uses {
    private final Map<UUID, Integer> counts = new HashMap<>();

    private Uses() {}

    public static Uses of(Publication publication) {
        Uses uses = new Uses();
        publication.elements().forEach(uses::count);
        publication.layers().forEach(uses::count);
        return uses;
    }

    /** Where a swatch is used, in words, each place once. */
    public static List<String> where(Publication publication, UUID swatch) {
        Set<String> places = new LinkedHashSet<>();
        publication.swatches().stream()
                .filter(each -> refers(each, swatch))
                .forEach(each -> places.add("swatch “%s”".formatted(each.name())));
        publication.looks().stream()
                .filter(look -> refers(look, swatch))
                .forEach(look -> places.add("look “%s”".formatted(look.name())));
        publication.parents().stream()
                .filter(parent -> uses(parent.layer(), swatch))
                .forEach(parent -> places.add("parent “%s”".formatted(parent.name())));
        publication.recipes().stream()
                .filter(recipe -> uses(recipe.layer(), swatch))
                .forEach(recipe -> places.add("recipe “%s”".formatted(recipe.name())));
        for (int i = 0; i < publication.pages().size(); i++) {
            if (uses(publication.pages().get(i).layer(), swatch)) {
                places.add("page " + (i + 1));
            }
        }
        return List.copyOf(places);
    }

    private static boolean refers(Element element, UUID to) {
        return element.references().stream().anyMatch(each -> each.id().equals(to));
    }

    private static boolean uses(Layer layer, UUID swatch) {
        return Stream.concat(layer.backgrounds().stream(), layer.frames().stream())
                .anyMatch(each -> refers(each, swatch));
    }

    private void count(Layer layer) {
        layer.backgrounds().forEach(this::count);
        layer.frames().forEach(this::count);
    }

    private void count(Element element) {
        element.references().forEach(each -> counts.merge(each.id(), 1, Integer::sum));
    }

    /** The same after some elements were changed, added or removed. */
    public Uses after(Stream<Element> before, Stream<Element> after) {
        Uses uses = new Uses();
        uses.counts.putAll(counts);
        before.flatMap(each -> each.references().stream())
                .forEach(each -> uses.counts.merge(each.id(), -1, Integer::sum));
        after.forEach(uses::count);
        return uses;
    }

    /** How often anything refers to an element. */
    public int of(UUID element) {
        return counts.getOrDefault(element, 0);
    }
}
