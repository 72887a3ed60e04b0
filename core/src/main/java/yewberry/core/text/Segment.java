package yewberry.core.text;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Look;
import yewberry.core.publication.Run;
import yewberry.core.publication.Side;

/**
 * A stretch of one run on one line, set and placed.
 *
 * @param paragraph the paragraph it belongs to
 * @param run the run it belongs to
 * @param look of the paragraph
 * @param characters the look of the run's characters
 * @param type what they are set in
 * @param begin the character of the paragraph that it begins with
 * @param text its characters
 * @param x where it begins, in points from the left of the frame
 * @param baseline in points from the top of the frame
 * @param width advance width in points
 * @param onLeft how far right it stands of that on left-hand pages, in points
 * @param glyphs in the order of the text
 */
public record Segment(
        UUID paragraph,
        Run run,
        Look look,
        Optional<CharacterLook> characters,
        Type type,
        int begin,
        String text,
        double x,
        double baseline,
        double width,
        double onLeft,
        List<Glyph> glyphs) {
    Segment movedBy(double dx, double dy) {
        return dx == 0 && dy == 0
                ? this
                : new Segment(
                        paragraph,
                        run,
                        look,
                        characters,
                        type,
                        begin,
                        text,
                        x + dx,
                        baseline + dy,
                        width,
                        onLeft,
                        glyphs);
    }

    /** Where it stands on a page of one hand. */
    public Segment on(Side side) {
        return side == Side.LEFT ? movedBy(onLeft, 0) : this;
    }

    /**
     * One glyph.
     *
     * @param id in the font program
     * @param text the characters it stands for; of several for the same ones the first says them,
     *     the others none
     * @param x origin in points from the beginning of the segment
     * @param y in points below the baseline
     */
    public record Glyph(int id, String text, double x, double y) {
        /** Whether it is wider or narrower in justified lines. */
        public boolean isWordSpace() {
            return text.length() == 1 && Characters.isWordSpace(text.charAt(0));
        }
    }
}
