package yewberry.core.publication;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;

/** How often each swatch, look and parent of a publication is used. */
public final class Uses {
    private final Map<UUID, Integer> counts = new HashMap<>();

    private Uses() {}

    public static Uses of(Publication publication) {
        Uses uses = new Uses();
        publication.looks().forEach(look -> uses.count(look.color().swatch()));
        publication.swatches().forEach(swatch -> swatch.definition().bases().forEach(uses::count));
        publication.pages().forEach(page -> page.parent().ifPresent(uses::count));
        Stream.concat(
                        publication.pages().stream().map(Page::layer),
                        publication.parents().stream().map(Parent::layer))
                .forEach(uses::count);
        return uses;
    }

    private void count(Layer layer) {
        for (Background background : layer.backgrounds()) {
            if (background.fill() instanceof Fill.Solid(Tinted color)) {
                count(color.swatch());
            }
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

    /** In paragraphs. */
    public int look(UUID look) {
        return counts.getOrDefault(look, 0);
    }

    /** On pages. */
    public int parent(UUID parent) {
        return counts.getOrDefault(parent, 0);
    }
}
