package yewberry.core.flow;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.text.Characters;
import yewberry.core.text.Segment;

/**
 * Where a character stands in its frame, in points from the top left corner of that.
 *
 * @param top of its line's box
 */
public record TextPosition(double x, double top, double height) {
    /**
     * Before a character; behind the last one of its line, where a space that ends a line has no
     * place of its own.
     *
     * @param character of the paragraph
     * @return nothing if that has no line among these
     */
    static Optional<TextPosition> of(
            List<Segment> segments, UUID paragraph, String text, int character) {
        Segment last = null;
        for (Segment segment : segments) {
            if (segment.paragraph().equals(paragraph) && segment.begin() <= character) {
                last = segment;
            }
        }
        return Optional.ofNullable(last)
                .map(segment -> at(segment, shown(text, segment.begin(), character)));
    }

    /** How many of some characters are drawn. */
    private static int shown(String text, int from, int to) {
        return Characters.shown(text.substring(from, Math.min(to, text.length()))).length();
    }

    private static TextPosition at(Segment segment, int shown) {
        // where it runs leftward a character begins at its right
        boolean leftward = segment.type().leftward();
        double x = leftward ? 0 : segment.width();
        double right = segment.width();
        int passed = 0;
        for (Segment.Glyph glyph : segment.glyphs()) {
            if (passed >= shown && !glyph.text().isEmpty()) {
                x = leftward ? right : glyph.x();
                break;
            }
            right = glyph.x();
            passed += glyph.text().length();
        }
        double ascent = segment.type().ascent();
        return new TextPosition(
                segment.x() + x, segment.baseline() - ascent, ascent + segment.type().descent());
    }
}
