package yewberry.pdf.read;

import java.awt.geom.AffineTransform;
import java.awt.geom.Point2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yewberry.core.asset.PageText;

/** Puts glyphs together to lines and those to stretches, in the order of the file. */
final class PenLines {
    /** A gap so wide is a space, in em: common practice, no source. */
    private static final double WORD_GAP = 0.2;

    /** One so wide is something else, such as the next column: common practice, no source. */
    private static final double WIDEST_GAP = 2;

    private static final double LEAST_LEADING = 0.7;
    private static final double MOST_LEADING = 2.2;

    /** Within a paragraph that the file tags. */
    private static final double MOST_TAGGED = 4;

    private final List<PageText.Stretch> done = new ArrayList<>();
    private final List<PageText.Line> lines = new ArrayList<>();
    private final List<PageText.Glyph> glyphs = new ArrayList<>();
    private Pen first;
    private int number;
    private Pen.Grounds grounds;
    private double x;
    private double baseline;
    private double end;

    /**
     * @param under nothing for a space, which stands on whatever is there
     */
    void add(int at, Pen pen, Optional<Pen.Grounds> under) {
        if (under.isEmpty() && glyphs.isEmpty()) {
            return;
        }
        double[] there = first == null ? new double[2] : unturned(pen);
        boolean alike = first != null && isAlike(pen, under);
        if (alike && Math.abs(there[1] - baseline) < 0.05 * pen.size()) {
            double gap = there[0] - end;
            if (gap > -0.5 * pen.size() && gap < WIDEST_GAP * pen.size()) {
                if (gap > WORD_GAP * pen.size() && !glyphs.getLast().text().isBlank()) {
                    glyphs.add(new PageText.Glyph(FileFaces.SPACE, " ", end - x));
                }
                put(pen, there[0]);
                return;
            }
        }
        if (under.isEmpty()) {
            return;
        }
        double down = first == null ? 0 : (there[1] - baseline) / pen.size();
        boolean tagged = first != null && pen.paragraph().isPresent();
        boolean below =
                tagged
                        ? down > 0
                                && down < MOST_TAGGED
                                && pen.paragraph().equals(first.paragraph())
                        : down > LEAST_LEADING
                                && down < MOST_LEADING
                                && Math.abs(there[0] - left()) < 3 * pen.size();
        if (alike && below) {
            line();
        } else {
            stretch();
            first = pen;
            number = at;
            grounds = under.get();
            there = new double[] {pen.x(), pen.y()};
        }
        x = there[0];
        baseline = there[1];
        put(pen, there[0]);
    }

    private double left() {
        return lines.isEmpty() ? x : lines.getFirst().x();
    }

    private void put(Pen pen, double at) {
        glyphs.add(new PageText.Glyph(pen.glyph(), pen.text(), at - x));
        end = at + pen.advance();
    }

    private boolean isAlike(Pen pen, Optional<Pen.Grounds> under) {
        return pen.annotates() == first.annotates()
                && (under.isEmpty() || pen.paragraph().equals(first.paragraph()))
                && pen.face() == first.face()
                && pen.size() == first.size()
                && pen.degrees() == first.degrees()
                && pen.overprints() == first.overprints()
                && (under.isEmpty()
                        || pen.color().equals(first.color())
                                && pen.seen().equals(first.seen())
                                && under.get().equals(grounds));
    }

    /** Where it stood before it was rotated about the first. */
    private double[] unturned(Pen pen) {
        Point2D.Double at = new Point2D.Double(pen.x(), pen.y());
        AffineTransform.getRotateInstance(-Math.toRadians(first.degrees()), first.x(), first.y())
                .transform(at, at);
        return new double[] {at.x, at.y};
    }

    private void line() {
        if (!glyphs.isEmpty()) {
            lines.add(new PageText.Line(x, baseline, end - x, glyphs));
            glyphs.clear();
        }
    }

    private void stretch() {
        line();
        if (!lines.isEmpty()) {
            done.add(
                    new PageText.Stretch(
                            number,
                            first.face().number(),
                            first.size(),
                            first.degrees(),
                            first.x(),
                            first.y(),
                            first.color(),
                            first.seen(),
                            first.overprints(),
                            grounds.page(),
                            grounds.annotation(),
                            lines));
            lines.clear();
        }
    }

    List<PageText.Stretch> stretches() {
        stretch();
        return List.copyOf(done);
    }
}
