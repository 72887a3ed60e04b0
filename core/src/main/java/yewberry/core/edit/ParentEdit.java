package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;

/** A change of a parent. */
public sealed interface ParentEdit extends Edit {
    record AddParent(UUID parent, String name, Optional<UUID> base) implements ParentEdit {}

    /**
     * @param base what it is based on; nothing means that it stands by itself
     */
    record SetParentBase(UUID parent, Optional<UUID> base) implements ParentEdit {}

    record RenameParent(UUID parent, String name) implements ParentEdit {}

    /**
     * @param replacement what the pages that use it get instead, and parents are based on that were
     *     based on it; nothing means no parent
     */
    record RemoveParent(UUID parent, Optional<UUID> replacement) implements ParentEdit {}
}
