package yewberry.core;

import java.text.Normalizer;
import java.util.Locale;
import java.util.Set;

/** Names that people give to things: any printable characters, on one line. */
public final class Names {
    private static final int LONGEST = 120;

    private Names() {}

    /**
     * The name, without space around it.
     *
     * @param what the kind of thing, for the message: "swatch"
     * @throws Refused if nothing is left, it is over 120 characters, or it holds characters that
     *     cannot be printed
     */
    public static String checked(String what, String name) {
        String stripped = name.strip();
        if (stripped.codePoints().noneMatch(Names::isSeen)) {
            throw new Refused(
                    "A %s needs a name; type at least one character that can be seen."
                            .formatted(what));
        }
        if (stripped.codePointCount(0, stripped.length()) > LONGEST) {
            throw new Refused(
                    "This name of a %s has %d characters; use at most %d."
                            .formatted(
                                    what, stripped.codePointCount(0, stripped.length()), LONGEST));
        }
        if (stripped.codePoints().anyMatch(Names::unprintable)) {
            throw new Refused(
                    ("This name of a %s holds a character that cannot be printed, such as a line"
                                    + " break or a tab; take it out.")
                            .formatted(what));
        }
        return stripped;
    }

    /** Blank letters are those that Unicode calls fillers, and the empty Braille pattern. */
    private static boolean isSeen(int codePoint) {
        return switch (Character.getType(codePoint)) {
            case Character.FORMAT,
                    Character.SPACE_SEPARATOR,
                    Character.CONTROL,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR,
                    Character.NON_SPACING_MARK,
                    Character.ENCLOSING_MARK ->
                    false;
            default -> "\u115f\u1160\u3164\uffa0\u2800".indexOf(codePoint) < 0;
        };
    }

    private static boolean unprintable(int codePoint) {
        return switch (Character.getType(codePoint)) {
            case Character.CONTROL,
                    Character.SURROGATE,
                    Character.UNASSIGNED,
                    Character.LINE_SEPARATOR,
                    Character.PARAGRAPH_SEPARATOR ->
                    true;
            default -> false;
        };
    }

    /**
     * A name that is still free: this one, or this one with a number behind it, which takes the
     * place of its end where both would be too long.
     *
     * @param name one that was checked
     */
    public static String free(String name, Set<String> taken) {
        String candidate = name;
        for (int number = 2; taken.contains(candidate); number++) {
            String end = " " + number;
            candidate = cut(name, LONGEST - end.length()) + end;
        }
        return candidate;
    }

    /** At most so many characters from its start. */
    public static String cut(String name, int longest) {
        return name.codePointCount(0, name.length()) <= longest
                ? name
                : name.substring(0, name.offsetByCodePoints(0, longest)).strip();
    }

    /**
     * A file name for something of this name: lower-case ASCII letters, digits and hyphens, at most
     * 60 characters, never empty, never a path or a name a file system reserves.
     */
    public static String fileStem(String name) {
        String plain =
                Normalizer.normalize(name, Normalizer.Form.NFKD)
                        .replaceAll("\\p{M}", "")
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^a-z0-9]+", "-")
                        .replaceAll("^-|-$", "");
        String cut = plain.substring(0, Math.min(60, plain.length())).replaceAll("-$", "");
        boolean reserved = cut.matches("con|prn|aux|nul|com[0-9]|lpt[0-9]");
        return cut.isEmpty() || reserved ? ("publication-" + cut).replaceAll("-$", "") : cut;
    }
}
