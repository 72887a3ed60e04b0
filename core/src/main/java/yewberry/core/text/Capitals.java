package yewberry.core.text;

import java.util.Locale;

/**
 * Some text in capitals; one letter may become several, as ß becomes SS.
 *
 * @param starts for each of its characters, the one that it is made from
 */
record Capitals(String text, int[] starts) {
    static Capitals of(String text) {
        StringBuilder capitals = new StringBuilder(text.length());
        int[] starts = new int[3 * text.length() + 1];
        for (int at = 0; at < text.length(); ) {
            int next = at + Character.charCount(text.codePointAt(at));
            String one = text.substring(at, next).toUpperCase(Locale.ROOT);
            for (int i = 0; i < one.length(); i++) {
                starts[capitals.length() + i] = one.length() == next - at ? at + i : at;
            }
            capitals.append(one);
            at = next;
        }
        return new Capitals(capitals.toString(), starts);
    }

    /** Glyphs of it, as those of what it is made from. */
    Glyphs of(Glyphs drawn) {
        int[] from = new int[drawn.starts().length];
        for (int i = 0; i < from.length; i++) {
            from[i] = starts[drawn.starts()[i]];
        }
        return new Glyphs(drawn.ids(), from, drawn.x(), drawn.y());
    }
}
