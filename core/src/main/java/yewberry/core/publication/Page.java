package yewberry.core.publication;

import java.util.Optional;
import java.util.UUID;

/**
 * One page.
 *
 * @param parentShown whether the parent's backgrounds show; its text always does
 */
public record Page(UUID id, Optional<UUID> parent, boolean parentShown, Layer layer) {
    public Page withParent(Optional<UUID> changed) {
        return new Page(id, changed, parentShown, layer);
    }

    public Page withParentShown(boolean changed) {
        return new Page(id, parent, changed, layer);
    }

    public Page withLayer(Layer changed) {
        return new Page(id, parent, parentShown, changed);
    }
}
