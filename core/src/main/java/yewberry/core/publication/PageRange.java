package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yewberry.core.Refused;

/**
 * Pages as people write them: {@code 3-7, 12}, {@code odd}, {@code even}, {@code all}, and {@code
 * last} for the last number.
 */
public final class PageRange {
    private static final Pattern PART =
            Pattern.compile("(\\d{1,9}|last)(?:\\s*[-–]\\s*(\\d{1,9}|last)?)?");

    private PageRange() {}

    /**
     * @param text as written; parts are parted by commas, semicolons or spaces
     * @param count how many pages there are
     * @return positions from 0, in order, each once
     * @throws Refused if it says no page, one that does not exist, or a range backwards
     */
    public static List<Integer> of(String text, int count) {
        SortedSet<Integer> pages = new TreeSet<>();
        // a space beside a hyphen parts nothing
        String joined = text.strip().toLowerCase(Locale.ROOT).replaceAll("\\s*([-–])\\s*", "$1");
        for (String part : joined.split("[,;\\s]+")) {
            switch (part) {
                case "" -> {}
                case "all" -> add(pages, 1, count, 1);
                case "odd" -> add(pages, 1, count, 2);
                case "even" -> add(pages, 2, count, 2);
                default -> add(pages, part, count);
            }
        }
        if (pages.isEmpty()) {
            throw new Refused(
                    "“%s” names no page; write pages such as 3-7, 12, odd, even or all."
                            .formatted(text.strip()));
        }
        return new ArrayList<>(pages);
    }

    private static void add(SortedSet<Integer> pages, int from, int to, int step) {
        for (int number = from; number <= to; number += step) {
            pages.add(number - 1);
        }
    }

    private static void add(SortedSet<Integer> pages, String part, int count) {
        Matcher matcher = PART.matcher(part);
        if (!matcher.matches()) {
            throw new Refused(
                    "“%s” is neither a page nor a range; write pages such as 3-7, 12, odd, even or all."
                            .formatted(part));
        }
        int from = number(matcher.group(1), count);
        boolean open = part.endsWith("-") || part.endsWith("–");
        int to = matcher.group(2) != null ? number(matcher.group(2), count) : open ? count : from;
        if (to < from) {
            throw new Refused("“%s” runs backwards; write %d-%d.".formatted(part, to, from));
        }
        add(pages, from, to, 1);
    }

    private static int number(String text, int count) {
        int number = text.equals("last") ? count : Integer.parseInt(text);
        if (number < 1 || number > count) {
            throw new Refused(
                    "There is no page %d; this publication has pages 1 to %d."
                            .formatted(number, count));
        }
        return number;
    }
}
