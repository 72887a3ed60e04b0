package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Element;
import yewberry.core.publication.Holder;

/**
 * One element before and after. At least one of the two is there.
 *
 * @param placed whether it was added, removed or moved among its like, not only changed in itself
 */
public record Change(Optional<Placed> before, Optional<Placed> after, boolean placed) {
    /**
     * An element at its place, without what lies on it or is in it.
     *
     * @param owner what it lies on or is in; nothing for what a publication holds itself
     * @param index position in its list, from 0
     * @param predecessor the element before it in its list, if it is not the first
     */
    public record Placed(
            Element element, Optional<Holder> owner, int index, Optional<UUID> predecessor) {}

    public UUID id() {
        return element().id();
    }

    /** The element as it is now, or as it last was. */
    public Element element() {
        return last().element();
    }

    /** What the element lies on or is in. */
    public Optional<Holder> owner() {
        return last().owner();
    }

    private Placed last() {
        return after.or(() -> before).orElseThrow();
    }

    public Change inverse() {
        return new Change(after, before, placed);
    }
}
