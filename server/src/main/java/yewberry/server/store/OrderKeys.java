package yewberry.server.store;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.IntStream;
import yewberry.core.publication.Element;

/**
 * The positions of elements that come into a list: numbers between those of their neighbours, so
 * that the neighbours keep theirs.
 */
final class OrderKeys {
    /** So far apart are positions in a list that is numbered anew. */
    static final long APART = 1L << 20;

    private final List<? extends Element> list;
    private final Set<Integer> coming;

    /**
     * @param list with all that comes in
     * @param coming where in it that stands, from 0
     */
    OrderKeys(List<? extends Element> list, Set<Integer> coming) {
        this.list = list;
        this.coming = coming;
    }

    /**
     * @param stored the positions of those of these elements that are stored
     * @return a position for each that comes in; nothing if there is no room between the others
     */
    Optional<Map<UUID, Long>> between(Function<Set<UUID>, Map<UUID, Long>> stored) {
        Set<UUID> neighbours = new HashSet<>();
        for (int at : coming) {
            neighbour(at - 1).ifPresent(neighbours::add);
            neighbour(at + 1).ifPresent(neighbours::add);
        }
        Map<UUID, Long> keys = neighbours.isEmpty() ? Map.of() : stored.apply(neighbours);
        Map<UUID, Long> found = new HashMap<>();
        for (int from : coming) {
            if (coming.contains(from - 1)) {
                continue;
            }
            int to = IntStream.iterate(from, coming::contains, at -> at + 1).max().orElseThrow();
            int count = to - from + 1;
            Optional<Long> low = neighbour(from - 1).map(keys::get);
            Optional<Long> high = neighbour(to + 1).map(keys::get);
            long first = low.orElse(high.map(key -> key - (count + 1) * APART).orElse(0L));
            long last = high.orElse(first + (count + 1) * APART);
            if (last - first <= count) {
                return Optional.empty();
            }
            for (int i = 0; i < count; i++) {
                // of two numbers of 64 bits the product could be too large
                long step = (last - first) / (count + 1);
                found.put(list.get(from + i).id(), first + step * (i + 1));
            }
        }
        return Optional.of(found);
    }

    /** What stands there and is stored already. */
    private Optional<UUID> neighbour(int at) {
        return at < 0 || at >= list.size() || coming.contains(at)
                ? Optional.empty()
                : Optional.of(list.get(at).id());
    }
}
