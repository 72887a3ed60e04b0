package yewberry.server.view;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import yewberry.core.asset.PageText;
import yewberry.core.color.Difference;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/**
 * What a file is painted in.
 *
 * @param colors those that can be others, the most used first
 * @param others what stays as it is, whatever is chosen
 * @param read of how many pages this is
 * @param pages how many the file has
 */
public record FileColors(List<OfFile> colors, List<Other> others, int read, int pages) {
    /**
     * @param what is painted in it
     * @param color as a screen shows it, {@code #rrggbb}
     * @param count how many glyphs, lines or shapes
     * @param pages their numbers
     * @param difference from the colour that was asked for, as CIEDE2000; 0 where none was
     */
    public record OfFile(
            PageText.Painted what,
            String color,
            int count,
            List<Integer> pages,
            double difference) {}

    /**
     * @param count how many pictures, patterns, gradients or annotations
     */
    public record Other(PageText.Painted what, int count) {}

    private record Key(PageText.Painted what, Rgb seen) {}

    /**
     * @param read the pages that were read, by their numbers
     * @param near the colour that was asked for
     */
    public static FileColors of(
            Map<Integer, PageText> read, int pages, Optional<Rgb> near, PressCondition press) {
        Map<Key, Integer> counts = new LinkedHashMap<>();
        Map<Key, TreeSet<Integer>> on = new LinkedHashMap<>();
        Map<PageText.Painted, Integer> others = new LinkedHashMap<>();
        read.forEach((number, text) -> {
            for (PageText.Used used : text.colors()) {
                if (used.seen().isEmpty() || used.what().what().isEmpty()) {
                    others.merge(used.what(), used.count(), Integer::sum);
                } else {
                    Key key = new Key(used.what(), used.seen().get());
                    counts.merge(key, used.count(), Integer::sum);
                    on.computeIfAbsent(key, _ -> new TreeSet<>()).add(number);
                }
            }
        });
        List<OfFile> colors = new ArrayList<>();
        counts.forEach((key, count) ->
                colors.add(
                        new OfFile(
                                key.what(),
                                key.seen().hex(),
                                count,
                                List.copyOf(on.get(key)),
                                near.map(to -> difference(key.seen(), to, press)).orElse(0.0))));
        colors.sort(Comparator.comparingInt(OfFile::count).reversed());
        return new FileColors(
                colors,
                others.entrySet().stream()
                        .map(each -> new Other(each.getKey(), each.getValue()))
                        .toList(),
                read.size(),
                pages);
    }

    private static double difference(Rgb one, Rgb other, PressCondition press) {
        return one.equals(other) ? 0 : Difference.ciede2000(press.lab(one), press.lab(other));
    }
}
