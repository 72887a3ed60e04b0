package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Swatch;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Setup;
import yewberry.core.publication.TextFrame;

/**
 * What can be changed on its own: the unit in which edits meet, are stored and are undone. Two
 * edits conflict if they touch the same element.
 */
public sealed interface Element {
    UUID id();

    record WholePublication(UUID id, String name, Setup setup) implements Element {}

    record OneSwatch(Swatch swatch) implements Element {
        @Override
        public UUID id() {
            return swatch.id();
        }
    }

    record OneLook(Look look) implements Element {
        @Override
        public UUID id() {
            return look.id();
        }
    }

    record OneAsset(Asset asset) implements Element {
        @Override
        public UUID id() {
            return asset.id();
        }
    }

    /** A parent without what lies on it. */
    record OneParent(UUID id, String name, Optional<UUID> base) implements Element {}

    /** A page without what lies on it. */
    record OnePage(UUID id, Optional<UUID> parent, boolean parentShown, Optional<String> part)
            implements Element {}

    /** A recipe without its backgrounds. */
    record OneRecipe(UUID id, String name, PageSize trim) implements Element {}

    record OneBackground(Owner owner, Background background) implements Element {
        @Override
        public UUID id() {
            return background.id();
        }
    }

    record OneFrame(Owner owner, TextFrame frame) implements Element {
        @Override
        public UUID id() {
            return frame.id();
        }
    }
}
