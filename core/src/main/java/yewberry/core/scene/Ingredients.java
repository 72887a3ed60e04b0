package yewberry.core.scene;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import yewberry.core.color.Swatch;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;

/** Hands out swatches and looks, and notes which ones a page was made from. */
final class Ingredients {
    private final Map<UUID, Swatch> swatches = new LinkedHashMap<>();
    private final Map<UUID, Look> looks = new LinkedHashMap<>();
    private Publication source;

    Ingredients(Publication source) {
        this.source = source;
    }

    Swatch swatch(UUID id) {
        return swatches.computeIfAbsent(id, source::swatch);
    }

    Look look(UUID id) {
        return looks.computeIfAbsent(id, source::look);
    }

    /** Lets go of the publication, so that remembering a page does not keep an old one alive. */
    Ingredients sealed() {
        source = null;
        return this;
    }

    boolean unchangedIn(Publication publication) {
        return swatches.values().stream()
                        .allMatch(s -> publication.findSwatch(s.id()).orElse(null) == s)
                && looks.values().stream()
                        .allMatch(l -> publication.findLook(l.id()).orElse(null) == l);
    }
}
