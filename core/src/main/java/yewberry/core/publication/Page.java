package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.Names;

/**
 * One page.
 *
 * @param parentShown whether the parent's backgrounds show; its text always does
 * @param part the name of the part of the publication that begins with it
 * @param size its own, where it is not that of the publication
 * @param imported the page of a file that it is; nothing where all of it is made here
 */
public record Page(
        UUID id,
        Optional<UUID> parent,
        boolean parentShown,
        Optional<String> part,
        Optional<PageSize> size,
        Optional<Imported> imported,
        Layer layer)
        implements Carrier {
    public Page {
        part = part.map(name -> Names.checked("part", name));
    }

    /** One of the size of the publication, that no part begins with. */
    public Page(UUID id, Optional<UUID> parent, boolean parentShown, Layer layer) {
        this(id, parent, parentShown, Optional.empty(), Optional.empty(), Optional.empty(), layer);
    }

    public Page withParent(Optional<UUID> changed) {
        return new Page(id, changed, parentShown, part, size, imported, layer);
    }

    public Page withParentShown(boolean changed) {
        return new Page(id, parent, changed, part, size, imported, layer);
    }

    public Page withPart(Optional<String> changed) {
        return new Page(id, parent, parentShown, changed, size, imported, layer);
    }

    public Page withSize(Optional<PageSize> changed) {
        return new Page(id, parent, parentShown, part, changed, imported, layer);
    }

    public Page withImported(Optional<Imported> changed) {
        return new Page(id, parent, parentShown, part, size, changed, layer);
    }

    /** This very object where the layer is. */
    @Override
    public Page withLayer(Layer changed) {
        return changed == layer
                ? this
                : new Page(id, parent, parentShown, part, size, imported, changed);
    }

    @Override
    public Owner asOwner() {
        return new Owner.OnPage(id);
    }

    @Override
    public List<Reference> references() {
        return Stream.concat(
                        parent.map(Reference::parent).stream(),
                        imported.map(each -> Reference.asset(each.asset())).stream())
                .toList();
    }

    @Override
    public Page withReference(UUID old, UUID replacement) {
        Page changed =
                parent.equals(Optional.of(old)) ? withParent(Optional.of(replacement)) : this;
        return imported.filter(each -> each.asset().equals(old))
                .map(each ->
                        changed.withImported(Optional.of(new Imported(replacement, each.number()))))
                .orElse(changed);
    }
}
