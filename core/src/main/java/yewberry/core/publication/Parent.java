package yewberry.core.publication;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.Names;

/**
 * A page that others inherit from.
 *
 * @param base the parent that it is based on: what lies on that lies below what lies on this
 */
public record Parent(UUID id, String name, Optional<UUID> base, Layer layer) {
    public Parent {
        name = Names.checked("parent", name);
    }

    /** One that is based on no other. */
    public Parent(UUID id, String name, Layer layer) {
        this(id, name, Optional.empty(), layer);
    }

    public Parent withName(String changed) {
        return new Parent(id, changed, base, layer);
    }

    public Parent withBase(Optional<UUID> changed) {
        return new Parent(id, name, changed, layer);
    }

    public Parent withLayer(Layer changed) {
        return new Parent(id, name, base, changed);
    }
}
