package yewberry.core.publication;

import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** How often each swatch, look and parent of a publication is used. */
public final class Uses {
    private final Map<UUID, Integer> counts = new HashMap<>();

    private Uses() {}

    public static Uses of(Publication publication) {
        Uses uses = new Uses();
        publication.looks().forEach(look -> uses.count(look.color().swatch()));
        publication.swatches().forEach(swatch -> swatch.definition().bases().forEach(uses::count));
        publication.pages().forEach(page -> page.parent().ifPresent(uses::count));
        publication.parents().forEach(parent -> parent.base().ifPresent(uses::count));
        publication.layers().forEach(uses::count);
        return uses;
    }

    /** Where a swatch is used, in words, each place once. */
    public static List<String> where(Publication publication, UUID swatch) {
        Set<String> places = new LinkedHashSet<>();
        publication.swatches().stream()
                .filter(each -> each.definition().bases().contains(swatch))
                .forEach(each -> places.add("swatch “%s”".formatted(each.name())));
        publication.looks().stream()
                .filter(look -> look.color().swatch().equals(swatch))
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

    private static boolean uses(Layer layer, UUID swatch) {
        Uses uses = new Uses();
        uses.count(layer);
        return uses.swatch(swatch) > 0;
    }

    private void count(Layer layer) {
        for (Background background : layer.backgrounds()) {
            background.fill().colors().forEach(color -> count(color.swatch()));
            background.fill().madeFrom().ifPresent(this::count);
            background.madeBy().ifPresent(made -> count(made.recipe()));
        }
        for (TextFrame frame : layer.frames()) {
            for (Paragraph paragraph : frame.paragraphs()) {
                count(paragraph.look());
                paragraph
                        .runs()
                        .forEach(run -> run.color().map(Tinted::swatch).ifPresent(this::count));
            }
        }
    }

    private void count(UUID used) {
        counts.merge(used, 1, Integer::sum);
    }

    /** In backgrounds, looks, runs with a colour of their own, and swatches that derive from it. */
    public int swatch(UUID swatch) {
        return counts.getOrDefault(swatch, 0);
    }

    /** In backgrounds. */
    public int asset(UUID asset) {
        return counts.getOrDefault(asset, 0);
    }

    /** By backgrounds of pages and parents that are uses of one of its own. */
    public int recipe(UUID recipe) {
        return counts.getOrDefault(recipe, 0);
    }

    /** In paragraphs. */
    public int look(UUID look) {
        return counts.getOrDefault(look, 0);
    }

    /** On pages, and by parents that are based on it. */
    public int parent(UUID parent) {
        return counts.getOrDefault(parent, 0);
    }
}
