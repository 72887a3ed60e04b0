package yewberry.core.text;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import yewberry.core.publication.Box;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.TextSetting;

/**
 * Breaks paragraphs into lines ({@link LineBreaker}) and places their glyphs. A word wider than the
 * frame is broken where it must be. A soft hyphen is seen only where it breaks a line. A line is
 * shaped as a whole, so that kerning goes on over runs. The first baseline lies one ascent below
 * the top.
 */
public final class Typesetter {
    /** What rounding may cost before a line counts as too long, in points. */
    private static final double TOLERANCE = 1e-6;

    private final Function<UUID, Look> looks;
    private final double width;
    private final double height;
    private final List<Segment> segments = new ArrayList<>();
    private double previousBaseline = Double.NaN;
    private double after;

    private Typesetter(Box box, Function<UUID, Look> looks) {
        this.looks = looks;
        this.width = box.width().points();
        this.height = box.height().points();
    }

    /**
     * Sets as much text as a frame takes.
     *
     * @param paragraphs of the story
     * @param begin where in them
     */
    public static SetFrame set(
            List<Paragraph> paragraphs, StoryPlace begin, Box box, Function<UUID, Look> looks) {
        return new Typesetter(box, looks).set(paragraphs, begin);
    }

    private SetFrame set(List<Paragraph> paragraphs, StoryPlace begin) {
        int from = begin.character();
        for (int i = begin.paragraph(); i < paragraphs.size(); i++) {
            int set = setParagraph(paragraphs.get(i), from);
            if (set < paragraphs.get(i).text().length()) {
                return new SetFrame(List.copyOf(segments), new StoryPlace(i, set));
            }
            from = 0;
        }
        return new SetFrame(List.copyOf(segments), new StoryPlace(paragraphs.size(), 0));
    }

    /** Up to which character of the paragraph there is room, from one of them on. */
    private int setParagraph(Paragraph paragraph, int from) {
        Look look = looks.apply(paragraph.look());
        Face face = FontLibrary.face(look.family(), look.weight());
        String text = paragraph.text();
        TextSetting setting = look.setting();
        double before = Double.isNaN(previousBaseline) ? 0 : after + look.before().points();
        double room = width - setting.left().points() - setting.right().points();
        double indent = from == 0 ? setting.first().points() : 0;
        LineBreaker.Room each =
                new LineBreaker.Room(
                        Math.max(0, room - indent) + TOLERANCE, Math.max(0, room) + TOLERANCE);
        List<LineBreaker.Line> lines = LineBreaker.lines(text, from, face, look, each);
        for (int i = 0; i < lines.size(); i++) {
            LineBreaker.Line line = lines.get(i);
            double baseline = nextBaseline(face, look, i == 0 ? before : 0);
            double bottom = baseline + face.descent() * look.size().points() / Face.UNITS;
            if (bottom > height + TOLERANCE && !text.isBlank()) {
                return line.start();
            }
            place(paragraph, look, face, line, baseline, i == 0 && from == 0);
            previousBaseline = baseline;
        }
        after = setting.after().points();
        return text.length();
    }

    private double nextBaseline(Face face, Look look, double before) {
        return Double.isNaN(previousBaseline)
                ? face.ascent() * look.size().points() / Face.UNITS
                : previousBaseline + before + look.leading().points();
    }

    private void place(
            Paragraph paragraph,
            Look look,
            Face face,
            LineBreaker.Line line,
            double baseline,
            boolean isFirst) {
        TextSetting setting = look.setting();
        double begin = setting.left().points() + (isFirst ? setting.first().points() : 0);
        double end = width - setting.right().points();
        double scale = look.size().points() / Face.UNITS;
        List<ShapedLine.Piece> pieces =
                ShapedLine.of(paragraph, line, face, setting.tracking()).pieces();
        // what follows the last character is not seen
        double natural =
                (pieces.stream().mapToDouble(ShapedLine.Piece::width).sum() - setting.tracking())
                        * scale;
        double room = end - begin - natural;
        long spaces =
                pieces.stream()
                        .flatMap(piece -> piece.glyphs().stream())
                        .filter(Segment.Glyph::isWordSpace)
                        .count();
        boolean stretched =
                look.alignment() == Look.Alignment.JUSTIFIED
                        && (!line.last() || room < 0)
                        && spaces > 0;
        double perSpace = stretched ? room / spaces : 0;
        double x =
                switch (look.alignment()) {
                    case LEFT, JUSTIFIED -> begin;
                    case CENTER -> begin + room / 2;
                    case RIGHT -> begin + room;
                };
        for (ShapedLine.Piece piece : pieces) {
            Segment segment = segment(paragraph.id(), piece, look, face, x, baseline, perSpace);
            segments.add(segment);
            x += segment.width();
        }
    }

    private static Segment segment(
            UUID paragraph,
            ShapedLine.Piece piece,
            Look look,
            Face face,
            double x,
            double baseline,
            double perSpace) {
        double scale = look.size().points() / Face.UNITS;
        List<Segment.Glyph> placed = new ArrayList<>(piece.glyphs().size());
        double stretch = 0;
        for (Segment.Glyph glyph : piece.glyphs()) {
            placed.add(
                    new Segment.Glyph(
                            glyph.id(),
                            glyph.text(),
                            glyph.x() * scale + stretch,
                            glyph.y() * scale));
            stretch += glyph.isWordSpace() ? perSpace : 0;
        }
        return new Segment(
                paragraph,
                piece.run(),
                look,
                face,
                piece.begin(),
                piece.text(),
                look.size().points(),
                x,
                baseline,
                piece.width() * scale + stretch,
                List.copyOf(placed));
    }
}
