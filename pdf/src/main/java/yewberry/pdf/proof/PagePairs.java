package yewberry.pdf.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Which pages of two files are the same page, wherever it stands: those that read the same but for
 * numbers, which change when a page is put in before them; and of the others between two of these,
 * those that have the most words in common, in their order.
 */
final class PagePairs {
    /** A page that shares nothing with another may still be it, written anew. */
    private static final double LEAST = 0.01;

    private static final double SAME_KIND = 0.05;
    private static final double SAME_LABEL = 0.02;

    /** Pages that are compared with each other one by one; more are taken in their order. */
    private static final int MOST = 20_000;

    private final List<Leaf> first;
    private final List<Leaf> second;

    /** By the page of the second file. */
    private final Map<Integer, Integer> pairs = new TreeMap<>();

    private final Set<Integer> taken = new HashSet<>();

    /**
     * A page, as it is known again.
     *
     * @param label that is shown for it, such as its number
     * @param kind what it is like beside its words, such as its size
     */
    record Leaf(String label, String kind, List<String> words) {
        Leaf {
            words = words.stream().map(word -> word.replaceAll("\\d+", "0")).toList();
        }

        private List<String> key() {
            return words.isEmpty() ? List.of(kind) : words;
        }

        /** The part of the words of both that both have, and a little for what else is the same. */
        private double alike(Leaf other) {
            Set<String> all = new HashSet<>(words);
            Set<String> both = new HashSet<>(all);
            both.retainAll(Set.copyOf(other.words));
            all.addAll(other.words);
            double shared = all.isEmpty() ? 0 : (double) both.size() / all.size();
            return shared
                    + LEAST
                    + (kind.equals(other.kind) ? SAME_KIND : 0)
                    + (label.equals(other.label) ? SAME_LABEL : 0);
        }
    }

    /** Two pages by their indices, from 0. */
    record Pair(int first, int second) {}

    private PagePairs(List<Leaf> first, List<Leaf> second) {
        this.first = first;
        this.second = second;
    }

    /**
     * @return the pairs, in the order of the second file
     */
    static List<Pair> of(List<Leaf> first, List<Leaf> second) {
        PagePairs pairs = new PagePairs(first, second);
        List<Pair> unmistakable = pairs.unmistakable();
        unmistakable.forEach(pairs::take);
        int from = 0;
        int other = 0;
        for (Pair anchor : inOrder(unmistakable)) {
            pairs.between(from, anchor.first, other, anchor.second);
            from = anchor.first + 1;
            other = anchor.second + 1;
        }
        pairs.between(from, first.size(), other, second.size());
        return pairs.pairs.entrySet().stream()
                .map(pair -> new Pair(pair.getValue(), pair.getKey()))
                .toList();
    }

    private void take(Pair pair) {
        pairs.put(pair.second, pair.first);
        taken.add(pair.first);
    }

    /** Pages of which each file has one only. */
    private List<Pair> unmistakable() {
        Map<List<String>, Integer> there = single(first);
        return single(second).entrySet().stream()
                .filter(page -> there.containsKey(page.getKey()))
                .map(page -> new Pair(there.get(page.getKey()), page.getValue()))
                .sorted(Comparator.comparingInt(Pair::second))
                .toList();
    }

    private static Map<List<String>, Integer> single(List<Leaf> pages) {
        Map<List<String>, Integer> found = new HashMap<>();
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < pages.size(); i++) {
            List<String> key = pages.get(i).key();
            if (seen.add(key)) {
                found.put(key, i);
            } else {
                found.remove(key);
            }
        }
        return found;
    }

    /** As many of them as follow each other in both files: the others have been moved. */
    private static List<Pair> inOrder(List<Pair> pairs) {
        // the last of the lowest row of each length, and what comes before each
        int[] ends = new int[pairs.size()];
        int[] before = new int[pairs.size()];
        int length = 0;
        for (int i = 0; i < pairs.size(); i++) {
            int value = pairs.get(i).first;
            int low = 0;
            int high = length;
            while (low < high) {
                int middle = (low + high) / 2;
                if (pairs.get(ends[middle]).first < value) {
                    low = middle + 1;
                } else {
                    high = middle;
                }
            }
            before[i] = low == 0 ? -1 : ends[low - 1];
            ends[low] = i;
            length = Math.max(length, low + 1);
        }
        List<Pair> row = new ArrayList<>();
        for (int i = length == 0 ? -1 : ends[length - 1]; i >= 0; i = before[i]) {
            row.addFirst(pairs.get(i));
        }
        return row;
    }

    /** Pairs what is left between two pages that are known again. */
    private void between(int from, int to, int otherFrom, int otherTo) {
        int[] left = open(from, to, true);
        int[] right = open(otherFrom, otherTo, false);
        if ((long) left.length * right.length > MOST) {
            for (int i = 0; i < Math.min(left.length, right.length); i++) {
                take(new Pair(left[i], right[i]));
            }
            return;
        }
        double[][] best = new double[left.length + 1][right.length + 1];
        for (int i = 1; i <= left.length; i++) {
            for (int j = 1; j <= right.length; j++) {
                double paired =
                        best[i - 1][j - 1] + first.get(left[i - 1]).alike(second.get(right[j - 1]));
                best[i][j] = Math.max(paired, Math.max(best[i - 1][j], best[i][j - 1]));
            }
        }
        int i = left.length;
        int j = right.length;
        while (i > 0 && j > 0) {
            if (best[i][j] == best[i - 1][j]) {
                i--;
            } else if (best[i][j] == best[i][j - 1]) {
                j--;
            } else {
                take(new Pair(left[--i], right[--j]));
            }
        }
    }

    private int[] open(int from, int to, boolean ofFirst) {
        return IntStream.range(from, to)
                .filter(at -> ofFirst ? !taken.contains(at) : !pairs.containsKey(at))
                .toArray();
    }
}
