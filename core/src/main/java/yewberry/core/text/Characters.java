package yewberry.core.text;

/** What characters are to a typesetter. */
public final class Characters {
    static final char SOFT_HYPHEN = '\u00ad';

    private Characters() {}

    /**
     * Whether a character is never drawn and takes no room, though it may allow or forbid a break:
     * Unicode's Default_Ignorable_Code_Point, as far as it is of use in text.
     */
    static boolean isIgnorable(char c) {
        return c == SOFT_HYPHEN
                || c == '\u034f'
                || c == '\u061c'
                || c >= '\u200b' && c <= '\u200f'
                || c >= '\u202a' && c <= '\u202e'
                || c >= '\u2060' && c <= '\u206f'
                || c >= '\ufe00' && c <= '\ufe0f'
                || c == '\ufeff';
    }

    /** Whether it needs no shape of a face: it is not drawn, or as a space. */
    static boolean isDrawnByAll(int codePoint) {
        return Character.isISOControl(codePoint)
                || Character.isBmpCodePoint(codePoint)
                        && (isIgnorable((char) codePoint)
                                || isLineEnd((char) codePoint)
                                || Character.isWhitespace(codePoint)
                                || isWordSpace((char) codePoint));
    }

    /** Whether a line ends after it wherever it stands: UAX #14, classes BK, LF, CR and NL. */
    static boolean isLineEnd(char c) {
        return c >= '\n' && c <= '\r' || c == '\u0085' || c == '\u2028' || c == '\u2029';
    }

    /** Whether it is left out at the end of a line. */
    static boolean isTrimmed(char c) {
        return Character.isWhitespace(c) || isLineEnd(c) || isIgnorable(c) && c != SOFT_HYPHEN;
    }

    /**
     * Whether it is wider or narrower in justified lines: a space, also one that does not break.
     */
    static boolean isWordSpace(char c) {
        return c == ' ' || c == '\u00a0';
    }

    /** What is drawn of a stretch of text. */
    public static String shown(String text) {
        StringBuilder shown = new StringBuilder(text.length());
        for (char c : text.toCharArray()) {
            if (!isIgnorable(c) && !isLineEnd(c)) {
                shown.append(c);
            }
        }
        return shown.toString();
    }

    /** The mark that is drawn where a soft hyphen breaks a line. */
    static String hyphen(Face face) {
        return face.shape("\u2010").ids()[0] == 0 ? "-" : "\u2010";
    }
}
