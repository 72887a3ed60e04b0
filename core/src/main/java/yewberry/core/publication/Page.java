package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.Names;

/**
 * One page.
 *
 * @param parentShown whether the parent's backgrounds show; its text always does
 * @param part the name of the part of the publication that begins with it
 * @param size its own, where it is not that of the publication
 */
public record Page(
        UUID id,
        Optional<UUID> parent,
        boolean parentShown,
        Optional<String> part,
        Optional<PageSize> size,
        Layer layer)
        implements Carrier {
    public Page {
        part = part.map(name -> Names.checked("part", name));
    }

    /** One of the size of the publication, that no part begins with. */
    public Page(UUID id, Optional<UUID> parent, boolean parentShown, Layer layer) {
        this(id, parent, parentShown, Optional.empty(), Optional.empty(), layer);
    }

    public Page withParent(Optional<UUID> changed) {
        return new Page(id, changed, parentShown, part, size, layer);
    }

    public Page withParentShown(boolean changed) {
        return new Page(id, parent, changed, part, size, layer);
    }

    public Page withPart(Optional<String> changed) {
        return new Page(id, parent, parentShown, changed, size, layer);
    }

    public Page withSize(Optional<PageSize> changed) {
        return new Page(id, parent, parentShown, part, changed, layer);
    }

    /** This very object where the layer is. */
    @Override
    public Page withLayer(Layer changed) {
        return changed == layer ? this : new Page(id, parent, parentShown, part, size, changed);
    }

    @Override
    public Owner asOwner() {
        return new Owner.OnPage(id);
    }

    @Override
    public List<Reference> references() {
        return parent.map(Reference::parent).stream().toList();
    }

    @Override
    public Page withReference(UUID old, UUID replacement) {
        return parent.equals(Optional.of(old)) ? withParent(Optional.of(replacement)) : this;
    }
}
