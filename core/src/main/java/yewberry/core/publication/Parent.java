package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.Names;

/** A page that others inherit from. */
public record Parent(UUID id, String name, Layer layer) {
    public Parent {
        name = Names.checked("parent", name);
    }

    public Parent withName(String changed) {
        return new Parent(id, changed, layer);
    }

    public Parent withLayer(Layer changed) {
        return new Parent(id, name, changed);
    }
}
