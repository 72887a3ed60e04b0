package yewberry.core.edit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** A longest ascending subsequence, by patience sorting (C. Schensted, 1961): O(n log n). */
final class LongestAscending {
    private LongestAscending() {}

    /** Indexes, ascending, of one longest strictly ascending subsequence of distinct values. */
    static List<Integer> of(int[] values) {
        int[] tails = new int[values.length];
        int[] previous = new int[values.length];
        int[] tailIndexes = new int[values.length];
        int length = 0;
        for (int i = 0; i < values.length; i++) {
            int found = Arrays.binarySearch(tails, 0, length, values[i]);
            int at = found < 0 ? -found - 1 : found;
            tails[at] = values[i];
            tailIndexes[at] = i;
            previous[i] = at == 0 ? -1 : tailIndexes[at - 1];
            length = Math.max(length, at + 1);
        }
        List<Integer> result = new ArrayList<>();
        for (int i = length == 0 ? -1 : tailIndexes[length - 1]; i >= 0; i = previous[i]) {
            result.addFirst(i);
        }
        return result;
    }
}
