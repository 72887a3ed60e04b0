package yewberry.pdf.read;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.asset.PageText;
import yewberry.core.color.Rgb;

/** What a page paints, in which colours, how often, and how much of it changes. */
final class UsedColors {
    private final Map<Key, Count> counts = new LinkedHashMap<>();

    private record Key(PageText.Painted what, Optional<Rgb> seen) {}

    private record Count(int all, int changed) {
        Count and(Count other) {
            return new Count(all + other.all, changed + other.changed);
        }
    }

    /**
     * @param seen its one colour as a screen shows it, before it is another one
     * @param changes whether it becomes another one
     */
    void add(PageText.Painted what, Optional<Rgb> seen, boolean changes) {
        counts.merge(new Key(what, seen), new Count(1, changes ? 1 : 0), Count::and);
    }

    List<PageText.Used> all() {
        return counts.entrySet().stream()
                .map(each ->
                        new PageText.Used(
                                each.getKey().what(),
                                each.getKey().seen(),
                                each.getValue().all(),
                                each.getValue().changed()))
                .toList();
    }
}
