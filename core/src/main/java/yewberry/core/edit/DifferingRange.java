package yewberry.core.edit;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import yewberry.core.publication.Element;

/**
 * The part of two lists between what both begin and what both end with, object by object.
 *
 * @param from the position where it begins in both, from 0
 * @param behind how many elements both end with
 */
public record DifferingRange(int from, int behind) {
    public static <T> DifferingRange of(List<T> before, List<T> after) {
        // of thousands each would be asked for by itself
        return before == after
                ? new DifferingRange(before.size(), 0)
                : between(before.toArray(), after.toArray());
    }

    private static DifferingRange between(Object[] before, Object[] after) {
        int shorter = Math.min(before.length, after.length);
        int from = 0;
        while (from < shorter && before[from] == after[from]) {
            from++;
        }
        int behind = 0;
        while (behind < shorter - from
                && before[before.length - 1 - behind] == after[after.length - 1 - behind]) {
            behind++;
        }
        return new DifferingRange(from, behind);
    }

    /** The position behind its last element in one of the lists. */
    public int to(List<?> list) {
        return list.size() - behind;
    }

    /** The part of one of the lists. */
    public <T> List<T> of(List<T> list) {
        return list.subList(from, to(list));
    }

    <T extends Element> Map<UUID, Integer> positions(List<T> list) {
        Map<UUID, Integer> positions = HashMap.newHashMap(to(list) - from);
        for (int i = from; i < to(list); i++) {
            positions.put(list.get(i).id(), i);
        }
        return positions;
    }
}
