package yewberry.core.text;

import java.util.ArrayList;
import java.util.List;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;

/**
 * A line, shaped as a whole as far as it is set in one type, and cut into the pieces of its runs. A
 * ligature would have two colours where a run ends within it; there both are shaped by themselves.
 *
 * @param pieces in the order of the text, those without a glyph left out
 */
record ShapedLine(List<Piece> pieces) {
    /**
     * @param begin the character of the paragraph that it begins with
     * @param text as it reads; a soft hyphen stands only where it breaks the line
     * @param width in points
     * @param glyphs relative to the beginning of the piece, in points: to its right end where it
     *     runs leftward
     */
    record Piece(
            Run run, Type type, int begin, String text, double width, List<Segment.Glyph> glyphs) {}

    /** A run's part of the line, as it is drawn. */
    private record Part(Run run, Type type, int begin, String text, String shown) {}

    /**
     * @param shaped the paragraph as a whole, which lines are cut out of
     */
    static ShapedLine of(Paragraph paragraph, LineBreaker.Line line, ShapedText shaped) {
        List<Part> parts = parts(paragraph, line, shaped);
        List<Piece> pieces = new ArrayList<>();
        int from = 0;
        while (from < parts.size()) {
            int to = from + 1;
            while (to < parts.size() && parts.get(to).type().equals(parts.get(from).type())) {
                to++;
            }
            while (!shape(parts.subList(from, to), shaped, pieces)) {
                to--;
            }
            from = to;
        }
        return new ShapedLine(List.copyOf(pieces));
    }

    /** What follows the last character is not seen. */
    double width() {
        double trailing =
                pieces.isEmpty()
                        ? 0
                        : pieces.getLast().type().tracking() * pieces.getLast().type().scale();
        return pieces.stream().mapToDouble(Piece::width).sum() - trailing;
    }

    private static List<Part> parts(Paragraph paragraph, LineBreaker.Line line, ShapedText shaped) {
        List<Part> parts = new ArrayList<>();
        int start = 0;
        for (Run run : paragraph.runs()) {
            int end = start + run.text().length();
            int from = Math.clamp(line.start(), start, end);
            int to = Math.clamp(line.end(), start, end);
            while (from < to) {
                int next = oneType(from, to, shaped);
                boolean broken = line.hyphenated() && next == line.end();
                add(
                        run,
                        shaped.type(from),
                        from,
                        run.text().substring(from - start, next - start),
                        broken,
                        parts);
                from = next;
            }
            start = end;
        }
        return parts;
    }

    /** Up to where text is set in the type that it begins in. */
    private static int oneType(int from, int to, ShapedText shaped) {
        int at = from + 1;
        while (at < to && shaped.type(at).equals(shaped.type(from))) {
            at++;
        }
        return at;
    }

    private static void add(
            Run run, Type type, int begin, String text, boolean broken, List<Part> parts) {
        String shown = Characters.shown(text);
        String read = shown + (broken ? String.valueOf(Characters.SOFT_HYPHEN) : "");
        if (!read.isEmpty()) {
            parts.add(
                    new Part(
                            run,
                            type,
                            begin,
                            read,
                            broken ? shown + Characters.hyphen(type.face()) : shown));
        }
    }

    /**
     * Shapes some runs as one.
     *
     * @return false, and nothing is added, where a glyph stands for characters of two runs
     */
    private static boolean shape(List<Part> parts, ShapedText shaped, List<Piece> pieces) {
        Type type = parts.getFirst().type();
        StringBuilder all = new StringBuilder();
        List<Integer> ends = new ArrayList<>();
        for (Part part : parts) {
            all.append(part.shown());
            ends.add(all.length());
        }
        int first = parts.getFirst().begin();
        Glyphs glyphs =
                shaped.part(first, first + all.length(), all.toString())
                        .orElseGet(() -> type.shape(all.toString()));
        int count = glyphs.ids().length;
        List<Piece> made = new ArrayList<>();
        int glyph = 0;
        int begin = 0;
        for (int i = 0; i < parts.size(); i++) {
            int end = ends.get(i);
            List<Segment.Glyph> own = new ArrayList<>();
            double x = at(glyphs, glyph, type);
            while (glyph < count && glyphs.starts()[glyph] < end) {
                int from = glyphs.starts()[glyph];
                int to = end(glyphs, glyph, all.length());
                boolean says = glyph == 0 || glyphs.starts()[glyph - 1] < from;
                if (to > end && parts.size() > 1) {
                    return false;
                }
                own.add(
                        new Segment.Glyph(
                                glyphs.ids()[glyph],
                                says ? read(parts.get(i), from - begin, to - begin) : "",
                                at(glyphs, glyph, type) - x,
                                glyphs.y()[glyph] * type.scale()));
                glyph++;
            }
            double after = at(glyphs, glyph, type);
            if (!own.isEmpty()) {
                Part part = parts.get(i);
                made.add(
                        new Piece(
                                part.run(),
                                type,
                                part.begin(),
                                part.text(),
                                after - x,
                                List.copyOf(own)));
            }
            begin = end;
        }
        pieces.addAll(made);
        return true;
    }

    /** Where the characters end that a glyph, maybe with others, stands for. */
    private static int end(Glyphs glyphs, int glyph, int length) {
        int next = glyph + 1;
        while (next < glyphs.ids().length && glyphs.starts()[next] == glyphs.starts()[glyph]) {
            next++;
        }
        return next < glyphs.ids().length ? glyphs.starts()[next] : length;
    }

    /** Where a glyph begins; behind the last one, where all end. */
    private static double at(Glyphs glyphs, int glyph, Type type) {
        return (glyphs.x()[Math.min(glyph, glyphs.ids().length)] + glyph * type.tracking())
                * type.scale();
    }

    /** What some drawn characters read as: all as they are but for a hyphen that is soft. */
    private static String read(Part part, int from, int to) {
        return part.text().substring(from, Math.min(to, part.text().length()));
    }
}
