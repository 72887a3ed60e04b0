package yewberry.core.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import yewberry.core.publication.Language;

/**
 * Where words may be divided: patterns as F. M. Liang described them (Word Hy-phen-a-tion by
 * Com-put-er, 1983), from the hyph-utf8 collection, with the words it excepts. Of the numbers that
 * patterns give a place between two letters the greatest counts, and an odd one divides.
 * Thread-safe.
 */
final class Hyphenation {
    private static final Map<Language, Hyphenation> KNOWN = new ConcurrentHashMap<>();
    private static final Pattern COMMENT = Pattern.compile("%.*");
    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final int[] NOWHERE = new int[0];

    /** The numbers before each letter and after the last, by the letters. */
    private final Map<String, byte[]> patterns = new HashMap<>();

    private final Map<String, int[]> exceptions = new HashMap<>();
    private final int longest;
    private final int left;
    private final int right;

    /**
     * @param tex a file of patterns
     * @param left so many letters stay before a division
     * @param right so many follow it
     */
    private Hyphenation(String tex, int left, int right) {
        this.left = left;
        this.right = right;
        String plain = COMMENT.matcher(tex).replaceAll("");
        for (String pattern : SPACES.split(braced(plain, "\\patterns"))) {
            patterns.put(pattern.replaceAll("[0-9]", ""), numbers(pattern));
        }
        for (String word : SPACES.split(braced(plain, "\\hyphenation"))) {
            exceptions.put(word.replace("-", ""), marks(word));
        }
        this.longest = patterns.keySet().stream().mapToInt(String::length).max().orElse(0);
    }

    static Hyphenation of(Language language) {
        return KNOWN.computeIfAbsent(language, Hyphenation::load);
    }

    /**
     * @param word of letters and apostrophes
     * @return positions within it that it may be divided at, ascending
     */
    int[] points(String word) {
        String plain = word.toLowerCase(Locale.ROOT).replace('\u2019', '\'');
        if (plain.length() != word.length() || word.length() < left + right) {
            return NOWHERE;
        }
        int[] excepted = exceptions.get(plain);
        return excepted == null ? patterned("." + plain + ".") : excepted;
    }

    /**
     * @param word between two full stops
     */
    private int[] patterned(String word) {
        byte[] most = new byte[word.length() + 1];
        for (int from = 0; from < word.length(); from++) {
            for (int to = from + 1; to <= Math.min(word.length(), from + longest); to++) {
                byte[] numbers = patterns.get(word.substring(from, to));
                for (int i = 0; numbers != null && i < numbers.length; i++) {
                    most[from + i] = (byte) Math.max(most[from + i], numbers[i]);
                }
            }
        }
        int letters = word.length() - 2;
        return IntStream.rangeClosed(left, letters - right)
                .filter(at -> most[at + 1] % 2 == 1)
                .toArray();
    }

    private static byte[] numbers(String pattern) {
        byte[] numbers = new byte[pattern.length() + 1];
        int letters = 0;
        for (char c : pattern.toCharArray()) {
            if (c >= '0' && c <= '9') {
                numbers[letters] = (byte) (c - '0');
            } else {
                letters++;
            }
        }
        return Arrays.copyOf(numbers, letters + 1);
    }

    /** Where hyphens stand in a word. */
    private static int[] marks(String word) {
        String[] parts = word.split("-");
        int[] marks = new int[parts.length - 1];
        int at = 0;
        for (int i = 0; i < marks.length; i++) {
            at += parts[i].length();
            marks[i] = at;
        }
        return marks;
    }

    /** How few letters stay on each side of a division is said in each file: hyphenmins. */
    private static Hyphenation load(Language language) {
        return switch (language) {
            case ENGLISH_BRITISH -> read("en-gb", 2, 3);
            case ENGLISH_AMERICAN -> read("en-us", 2, 3);
            case GERMAN -> read("de-1996", 2, 2);
            case FRENCH -> read("fr", 2, 2);
            case SPANISH -> read("es", 2, 2);
            case ITALIAN -> read("it", 2, 2);
            case DUTCH -> read("nl", 2, 2);
            // in which no word is divided
            case HEBREW, ARABIC -> new Hyphenation("", 2, 2);
        };
    }

    private static Hyphenation read(String name, int left, int right) {
        String file = "/yewberry/hyphenation/hyph-%s.tex".formatted(name);
        try (InputStream in = Hyphenation.class.getResourceAsStream(file)) {
            String tex = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            return new Hyphenation(tex, left, right);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What stands in braces after a command; empty where it is not there. */
    private static String braced(String text, String command) {
        int at = text.indexOf(command + "{");
        return at < 0
                ? ""
                : text.substring(at + command.length() + 1, text.indexOf('}', at)).strip();
    }
}
