package yewberry.server.view;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import yewberry.core.asset.PageText;

/**
 * What a change of a colour of a file would change, and what it would not.
 *
 * @param changed by kind
 * @param pages their numbers, of those that change
 * @param stays by kind what never changes, and pictures that do not
 * @param read how many of the pages that were asked for could be read in time
 * @param asked how many those are
 */
public record FileMatches(
        List<Match> changed, List<Integer> pages, List<Match> stays, int read, int asked) {
    /**
     * @param count how many glyphs, lines, shapes, pictures and so on
     */
    public record Match(PageText.Painted what, int count) {}

    /**
     * @param read the pages as they are with the change, by their numbers
     */
    public static FileMatches of(Map<Integer, PageText> read, int asked) {
        Map<PageText.Painted, Integer> changed = new TreeMap<>();
        Map<PageText.Painted, Integer> stays = new TreeMap<>();
        Set<Integer> pages = new TreeSet<>();
        read.forEach((number, text) -> {
            for (PageText.Used used : text.colors()) {
                if (used.changed() > 0) {
                    changed.merge(used.what(), used.changed(), Integer::sum);
                    pages.add(number);
                }
                boolean wouldBeMissed =
                        used.what().what().isEmpty() || used.what() == PageText.Painted.PICTURES;
                if (wouldBeMissed && used.count() > used.changed()) {
                    stays.merge(used.what(), used.count() - used.changed(), Integer::sum);
                }
            }
        });
        return new FileMatches(
                listed(changed), new ArrayList<>(pages), listed(stays), read.size(), asked);
    }

    private static List<Match> listed(Map<PageText.Painted, Integer> counts) {
        return counts.entrySet().stream()
                .map(each -> new Match(each.getKey(), each.getValue()))
                .toList();
    }
}
