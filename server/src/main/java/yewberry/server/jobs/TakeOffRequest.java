package yewberry.server.jobs;

import java.util.Arrays;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.pdf.AddedItem;
import yewberry.server.view.AddedBefore;

/**
 * What comes off the files of a set.
 *
 * @param what kinds of things by their names, single ones by their element, and those of other
 *     programs by {@link AddedBefore#BY_OTHERS} and their kind
 * @param from the files that it comes off; none for all
 */
public record TakeOffRequest(Set<String> what, Set<UUID> from) {
    public static final TakeOffRequest NOTHING = new TakeOffRequest(Set.of(), Set.of());

    public TakeOffRequest {
        what = Set.copyOf(what);
        from = Set.copyOf(from);
    }

    boolean takes(AddedItem item) {
        return what.contains(item.kind().name()) || what.contains(item.element().toString());
    }

    boolean takesFrom(UUID file) {
        return from.isEmpty() || from.contains(file);
    }

    /** What other programs put there. */
    Set<AddedItem.Kind> ofOthers() {
        return Arrays.stream(AddedItem.Kind.values())
                .filter(kind -> what.contains(AddedBefore.BY_OTHERS + kind.name()))
                .collect(Collectors.toSet());
    }
}
