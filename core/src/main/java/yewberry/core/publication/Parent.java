package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Names;

/**
 * A page that others inherit from.
 *
 * @param base the parent that it is based on: what lies on that lies below what lies on this
 */
public record Parent(UUID id, String name, Optional<UUID> base, Layer layer) implements Carrier {
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

    /** This very object where the layer is. */
    @Override
    public Parent withLayer(Layer changed) {
        return changed == layer ? this : new Parent(id, name, base, changed);
    }

    @Override
    public Owner asOwner() {
        return new Owner.OnParent(id);
    }

    @Override
    public List<Reference> references() {
        return base.map(Reference::parent).stream().toList();
    }

    @Override
    public Parent withReference(UUID old, UUID replacement) {
        return base.equals(Optional.of(old)) ? withBase(Optional.of(replacement)) : this;
    }
}
