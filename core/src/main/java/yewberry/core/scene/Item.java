package yewberry.core.scene;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.publication.Look;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/** One thing painted on a page, in points from the top left corner of its trim. */
public sealed interface Item {
    Origin origin();

    Paint paint();

    /** A rectangle around all it paints. */
    Rect bounds();

    /** A background: a rectangle in one colour. */
    record AreaFill(Origin origin, UUID background, Paint paint, Rect rect) implements Item {
        @Override
        public Rect bounds() {
            return rect;
        }
    }

    /** A run of text in all the lines it stands on. */
    record GlyphRun(
            Origin origin,
            UUID frame,
            UUID paragraph,
            UUID run,
            Look look,
            Face face,
            Paint paint,
            double size,
            List<Line> lines)
            implements Item {
        public GlyphRun {
            lines = List.copyOf(lines);
        }

        /** As it reads; where a line ends, a space stands. */
        public String text() {
            return lines.stream().map(Line::text).collect(Collectors.joining(" "));
        }

        @Override
        public Rect bounds() {
            return lines.stream().map(this::box).reduce(Rect::union).orElseThrow();
        }

        /** The box of one line: its advance width, from ascent to descent. */
        public Rect box(Line line) {
            double scale = size / Face.UNITS;
            double ascent = face.ascent() * scale;
            return new Rect(
                    line.x(),
                    line.baseline() - ascent,
                    line.width(),
                    ascent + face.descent() * scale);
        }

        /** Thousandths of the type size to points. */
        public double scale() {
            return size / Face.UNITS;
        }
    }

    /** A stretch of a run on one line; its glyphs stand relative to {@code x} and the baseline. */
    record Line(String text, double x, double baseline, double width, List<Segment.Glyph> glyphs) {}
}
