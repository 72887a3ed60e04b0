package yewberry.core.edit;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.edit.Change.Placed;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * The difference of two publications, element by element: what storage writes, what conflicts are
 * found by, and, turned round, what undoes an edit.
 */
public record Patch(List<Change> changes) {
    public Patch {
        changes = List.copyOf(changes);
    }

    /** What turns {@code before} into {@code after}; costs by what differs, through identity. */
    public static Patch between(Publication before, Publication after) {
        return new Patch(Difference.between(before, after));
    }

    /** Ids of all elements it touches. */
    public Set<UUID> touched() {
        return changes.stream().map(Change::id).collect(Collectors.toSet());
    }

    /** How often elements are used after it, given how often they were before. */
    public Uses applyTo(Uses uses) {
        return uses.after(
                changes.stream().flatMap(change -> change.before().stream()).map(Placed::element),
                changes.stream().flatMap(change -> change.after().stream()).map(Placed::element));
    }

    public boolean isEmpty() {
        return changes.isEmpty();
    }

    public Patch inverse() {
        return new Patch(changes.stream().map(Change::inverse).toList());
    }

    /** The publication with every element of this patch as it is after it. */
    public Publication applyTo(Publication on) {
        return new PatchApplication(changes).to(on);
    }
}
