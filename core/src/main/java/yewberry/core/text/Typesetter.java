package yewberry.core.text;

import java.text.BreakIterator;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;

/**
 * Breaks paragraphs into lines and places their glyphs. Lines are broken greedily at the
 * opportunities of Unicode's UAX #14, as the JDK's {@link BreakIterator} finds them; a word wider
 * than the frame is broken where it must be. The first baseline lies one ascent below the top.
 */
public final class Typesetter {
    /** What rounding may cost before a line counts as too long, in points. */
    private static final double TOLERANCE = 1e-6;

    private final TextFrame frame;
    private final Function<UUID, Look> looks;
    private final double width;
    private final double height;
    private final List<Segment> segments = new ArrayList<>();
    private double previousBaseline = Double.NaN;

    private Typesetter(TextFrame frame, Function<UUID, Look> looks) {
        this.frame = frame;
        this.looks = looks;
        this.width = frame.box().width().points();
        this.height = frame.box().height().points();
    }

    public static SetText set(TextFrame frame, Function<UUID, Look> looks) {
        return new Typesetter(frame, looks).set();
    }

    private SetText set() {
        List<Paragraph> paragraphs = frame.paragraphs();
        for (int i = 0; i < paragraphs.size(); i++) {
            int set = setParagraph(paragraphs.get(i));
            String text = paragraphs.get(i).text();
            if (set < text.length()) {
                String rest =
                        paragraphs.subList(i + 1, paragraphs.size()).stream()
                                .map(Paragraph::text)
                                .collect(Collectors.joining("\n"));
                String overset = (text.substring(set) + "\n" + rest).strip();
                return new SetText(List.copyOf(segments), overset);
            }
        }
        return new SetText(List.copyOf(segments), "");
    }

    /** A line as character positions within its paragraph: {@code end} is before trailing space. */
    private record Line(int start, int end, int next) {}

    /** How many characters of the paragraph found room. */
    private int setParagraph(Paragraph paragraph) {
        Look look = looks.apply(paragraph.look());
        Face face = FontLibrary.face(look.family(), look.weight());
        String text = paragraph.text();
        double before = Double.isNaN(previousBaseline) ? 0 : look.before().points();
        List<Line> lines = lines(text, face, look.size().points());
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            double baseline = nextBaseline(face, look, i == 0 ? before : 0);
            double bottom = baseline + face.descent() * look.size().points() / Face.UNITS;
            if (bottom > height + TOLERANCE && !text.isBlank()) {
                return line.start();
            }
            place(paragraph, look, face, line, baseline, i == lines.size() - 1);
            previousBaseline = baseline;
        }
        return text.length();
    }

    private double nextBaseline(Face face, Look look, double before) {
        return Double.isNaN(previousBaseline)
                ? face.ascent() * look.size().points() / Face.UNITS
                : previousBaseline + before + look.leading().points();
    }

    private List<Line> lines(String text, Face face, double size) {
        double[] edges = edges(face.shape(text), text.length(), size);
        BreakIterator breaks = BreakIterator.getLineInstance(Locale.ROOT);
        breaks.setText(text);
        List<Line> lines = new ArrayList<>();
        int start = 0;
        int fitting = 0;
        int next = breaks.next();
        while (next != BreakIterator.DONE) {
            int end = trimmed(text, start, next);
            if (edges[end] - edges[start] <= width + TOLERANCE) {
                fitting = next;
                next = breaks.next();
            } else if (fitting > start) {
                lines.add(new Line(start, trimmed(text, start, fitting), fitting));
                start = fitting;
            } else {
                int forced = forced(text, edges, start, end);
                lines.add(new Line(start, forced, forced));
                start = forced;
                fitting = forced;
            }
        }
        if (start < text.length() || lines.isEmpty()) {
            lines.add(new Line(start, trimmed(text, start, text.length()), text.length()));
        }
        return lines;
    }

    /** Where each character begins, in points; those inside a ligature share its width. */
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

    private static int trimmed(String text, int start, int end) {
        int trimmed = end;
        while (trimmed > start && Character.isWhitespace(text.charAt(trimmed - 1))) {
            trimmed--;
        }
        return trimmed;
    }

    private int forced(String text, double[] edges, int start, int end) {
        int forced = start + 1;
        while (forced < end && edges[forced + 1] - edges[start] <= width + TOLERANCE) {
            forced++;
        }
        return Character.isLowSurrogate(text.charAt(forced - 1)) || forced == text.length()
                ? forced
                : forced + (Character.isLowSurrogate(text.charAt(forced)) ? 1 : 0);
    }

    private record Piece(Run run, String text, Glyphs glyphs) {}

    private void place(
            Paragraph paragraph, Look look, Face face, Line line, double baseline, boolean last) {
        double size = look.size().points();
        List<Piece> pieces = pieces(paragraph, face, line);
        double natural =
                pieces.stream().mapToDouble(piece -> piece.glyphs().width()).sum()
                        * size
                        / Face.UNITS;
        double room = width - natural;
        long spaces =
                pieces.stream().flatMapToInt(p -> p.text().chars()).filter(c -> c == ' ').count();
        boolean stretched =
                look.alignment() == Look.Alignment.JUSTIFIED && !last && spaces > 0 && room > 0;
        double perSpace = stretched ? room / spaces : 0;
        double x =
                switch (look.alignment()) {
                    case LEFT, JUSTIFIED -> 0;
                    case CENTER -> room / 2;
                    case RIGHT -> room;
                };
        for (Piece piece : pieces) {
            Segment segment = segment(paragraph.id(), piece, look, face, x, baseline, perSpace);
            segments.add(segment);
            x += segment.width();
        }
    }

    private static List<Piece> pieces(Paragraph paragraph, Face face, Line line) {
        List<Piece> pieces = new ArrayList<>();
        int start = 0;
        for (Run run : paragraph.runs()) {
            int end = start + run.text().length();
            int from = Math.clamp(line.start(), start, end);
            int to = Math.clamp(line.end(), start, end);
            if (from < to) {
                String text = run.text().substring(from - start, to - start);
                pieces.add(new Piece(run, text, face.shape(text)));
            }
            start = end;
        }
        return pieces;
    }

    private static Segment segment(
            UUID paragraph,
            Piece piece,
            Look look,
            Face face,
            double x,
            double baseline,
            double perSpace) {
        Glyphs glyphs = piece.glyphs();
        double scale = look.size().points() / Face.UNITS;
        List<Segment.Glyph> placed = new ArrayList<>(glyphs.ids().length);
        double stretch = 0;
        for (int i = 0; i < glyphs.ids().length; i++) {
            int from = glyphs.starts()[i];
            int to = i + 1 < glyphs.ids().length ? glyphs.starts()[i + 1] : piece.text().length();
            String text = piece.text().substring(from, to);
            placed.add(
                    new Segment.Glyph(
                            glyphs.ids()[i],
                            text,
                            glyphs.x()[i] * scale + stretch,
                            glyphs.y()[i] * scale));
            stretch += text.equals(" ") ? perSpace : 0;
        }
        return new Segment(
                paragraph,
                piece.run(),
                look,
                face,
                piece.text(),
                look.size().points(),
                x,
                baseline,
                glyphs.width() * scale + stretch,
                List.copyOf(placed));
    }
}
