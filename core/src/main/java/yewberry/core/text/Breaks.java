package yewberry.core.text;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntFunction;
import yewberry.core.publication.Language;

/** Where a paragraph's lines may end. */
final class Breaks {
    /** To be cloned, which is quicker than asking for one. */
    private static final BreakIterator LINES = BreakIterator.getLineInstance(ULocale.ROOT);

    private Breaks() {}

    /**
     * One place.
     *
     * @param at before this character the next line begins
     * @param hyphenated whether a hyphen is drawn there
     * @param must whether a line ends there in any case: a line separator, or the end
     */
    record Break(int at, boolean hyphenated, boolean must) {}

    /**
     * Every place in order, the end of the text the last: where ICU finds that a line may end (UAX
     * #14), and where words may be divided.
     *
     * @param hyphenation for a character, the language that its word is divided in; nothing divides
     *     it only at soft hyphens
     */
    static List<Break> of(String text, IntFunction<Optional<Language>> hyphenation) {
        TreeMap<Integer, Break> breaks = new TreeMap<>();
        divide(text, hyphenation, breaks);
        BreakIterator lines = LINES.clone();
        lines.setText(text);
        lines.next();
        for (int at = lines.current(); at != BreakIterator.DONE; at = lines.next()) {
            if (at > 0) {
                boolean soft = text.charAt(at - 1) == Characters.SOFT_HYPHEN;
                boolean must = at == text.length() || Characters.isLineEnd(text.charAt(at - 1));
                breaks.put(at, new Break(at, soft && !must, must));
            }
        }
        breaks.putIfAbsent(text.length(), new Break(text.length(), false, true));
        return new ArrayList<>(breaks.values());
    }

    /** A word with a soft hyphen in it is divided nowhere else: common practice, no source. */
    private static void divide(
            String text,
            IntFunction<Optional<Language>> hyphenation,
            TreeMap<Integer, Break> breaks) {
        int from = 0;
        while (from < text.length()) {
            int to = from;
            while (to < text.length() && isInWord(text.charAt(to))) {
                to++;
            }
            String word = text.substring(from, to);
            if (word.indexOf(Characters.SOFT_HYPHEN) < 0 && !isInAddress(text, from, to)) {
                int begin = from;
                hyphenation
                        .apply(from)
                        .ifPresent(language -> {
                            for (int point : Hyphenation.of(language).points(word)) {
                                breaks.put(begin + point, new Break(begin + point, true, false));
                            }
                        });
            }
            from = Math.max(to, from + 1);
        }
    }

    /**
     * Whether a word is part of an address, such as example.org/night: a hyphen would change it.
     */
    private static boolean isInAddress(String text, int from, int to) {
        boolean goesOn =
                to + 1 < text.length()
                        && joins(text.charAt(to))
                        && Character.isLetterOrDigit(text.charAt(to + 1));
        boolean wentOn =
                from > 1
                        && joins(text.charAt(from - 1))
                        && !Character.isWhitespace(text.charAt(from - 2));
        return goesOn || wentOn;
    }

    private static boolean joins(char c) {
        return c == '.' || c == '/' || c == '@' || c == ':' || c == '_';
    }

    private static boolean isInWord(char c) {
        return Character.isLetter(c) || c == '\'' || c == '\u2019' || c == Characters.SOFT_HYPHEN;
    }
}
