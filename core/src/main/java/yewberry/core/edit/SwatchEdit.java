package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Definition;
import yewberry.core.publication.Swatch;

/** A change of a swatch. */
public sealed interface SwatchEdit extends Edit {
    record AddSwatch(Swatch swatch) implements SwatchEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeSwatch(UUID swatch, Definition definition, Optional<Definition> was)
            implements SwatchEdit {
        public ChangeSwatch(UUID swatch, Definition definition) {
            this(swatch, definition, Optional.empty());
        }
    }

    /**
     * @param after the swatch it comes after; nothing means at the front
     */
    record MoveSwatch(UUID swatch, Optional<UUID> after) implements SwatchEdit {}

    record RenameSwatch(UUID swatch, String name) implements SwatchEdit {}

    /**
     * @param replacement what takes its place; needed where the swatch is in use
     */
    record RemoveSwatch(UUID swatch, Optional<UUID> replacement) implements SwatchEdit {}
}
