package yewberry.core.text;

import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.ArrayList;
import java.util.List;

/** Breaks a paragraph into lines, each as full as it can be. */
final class LineBreaker {
    private final String text;
    private final double width;
    private final double[] edges;
    private final double hyphen;
    private final List<Line> lines = new ArrayList<>();
    private int start;

    /**
     * A line as positions of characters.
     *
     * @param end before what is left out at its end
     * @param next where the next line begins
     * @param hyphenated whether a hyphen is drawn at its end, for a soft one that stands there
     * @param last whether the paragraph, or what a line separator closes, ends with it
     */
    record Line(int start, int end, int next, boolean hyphenated, boolean last) {}

    private LineBreaker(String text, Face face, double size, double width) {
        this.text = text;
        this.width = width;
        this.edges = edges(text, face, size);
        this.hyphen =
                text.indexOf(Characters.SOFT_HYPHEN) < 0
                        ? 0
                        : face.shape(Characters.hyphen(face)).width() * size / Face.UNITS;
    }

    /**
     * At least one line.
     *
     * @param width that a line may have at most, in points
     */
    static List<Line> lines(String text, Face face, double size, double width) {
        LineBreaker breaker = new LineBreaker(text, face, size, width);
        breaker.run();
        return breaker.lines;
    }

    private void run() {
        BreakIterator breaks = BreakIterator.getLineInstance(ULocale.ROOT);
        breaks.setText(text);
        int fitting = 0;
        int next = breaks.next();
        while (next != BreakIterator.DONE) {
            if (fits(next)) {
                fitting = next;
                if (Characters.isLineEnd(text.charAt(next - 1))) {
                    add(next, true);
                }
                next = breaks.next();
            } else if (fitting > start) {
                add(fitting, false);
            } else {
                int forced = forced(trimmed(next));
                lines.add(new Line(start, forced, forced, false, false));
                start = forced;
                fitting = forced;
            }
        }
        if (start < text.length() || lines.isEmpty()) {
            add(text.length(), true);
        } else {
            Line last = lines.removeLast();
            lines.add(new Line(last.start(), last.end(), last.next(), last.hyphenated(), true));
        }
    }

    private void add(int next, boolean last) {
        int end = trimmed(next);
        boolean hyphenated = !last && isHyphenated(end);
        lines.add(new Line(start, end, next, hyphenated, last));
        start = next;
    }

    private boolean isHyphenated(int end) {
        return end > start && text.charAt(end - 1) == Characters.SOFT_HYPHEN;
    }

    private boolean fits(int next) {
        int end = trimmed(next);
        double mark = next < text.length() && isHyphenated(end) ? hyphen : 0;
        return edges[end] - edges[start] + mark <= width;
    }

    private int trimmed(int end) {
        int trimmed = end;
        while (trimmed > start && Characters.isTrimmed(text.charAt(trimmed - 1))) {
            trimmed--;
        }
        return trimmed;
    }

    private int forced(int end) {
        int forced = start + 1;
        while (forced < end && edges[forced + 1] - edges[start] <= width) {
            forced++;
        }
        return Character.isLowSurrogate(text.charAt(forced - 1)) || forced == text.length()
                ? forced
                : forced + (Character.isLowSurrogate(text.charAt(forced)) ? 1 : 0);
    }

    /**
     * Where each character begins, in points; those inside a ligature share its width, and what is
     * not drawn has none.
     */
    private static double[] edges(String text, Face face, double size) {
        String shown = Characters.shown(text);
        double[] of = edges(face.shape(shown), shown.length(), size);
        double[] edges = new double[text.length() + 1];
        int at = 0;
        for (int i = 0; i < text.length(); i++) {
            edges[i] = of[at];
            char c = text.charAt(i);
            at += Characters.isIgnorable(c) || Characters.isLineEnd(c) ? 0 : 1;
        }
        edges[text.length()] = of[at];
        return edges;
    }

    private static double[] edges(Glyphs glyphs, int length, double size) {
        double[] edges = new double[length + 1];
        for (int i = 0; i < glyphs.ids().length; i++) {
            int from = glyphs.starts()[i];
            int to = i + 1 < glyphs.ids().length ? glyphs.starts()[i + 1] : length;
            for (int c = from; c < to; c++) {
                double share = (double) (c - from) / (to - from);
                edges[c] = (glyphs.x()[i] + share * glyphs.advance(i)) * size / Face.UNITS;
            }
        }
        edges[length] = glyphs.width() * size / Face.UNITS;
        return edges;
    }
}
