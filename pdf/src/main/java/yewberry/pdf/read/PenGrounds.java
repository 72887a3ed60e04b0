package yewberry.pdf.read;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yewberry.core.asset.PageText;

/** What glyphs of a page stand on. */
final class PenGrounds {
    private final PaintGrid page;
    private final PaintGrid top;
    private final List<Rectangle2D> lines = new ArrayList<>();

    /**
     * @param page what the page paints besides its text
     * @param top what its annotations paint over that
     */
    PenGrounds(PaintGrid page, PaintGrid top) {
        this.page = page;
        this.top = top;
    }

    /** Nothing for one that something covers. */
    Optional<Pen.Grounds> of(Pen pen) {
        List<OtherPaint> below = touching(pen, page);
        List<OtherPaint> above = touching(pen, top);
        boolean covered =
                Stream.concat(below.stream(), above.stream())
                        .filter(other -> pen.annotates() || other.veil().isEmpty())
                        .anyMatch(other -> other.order() > pen.order() && other.touches(pen.ink()));
        return covered
                ? Optional.empty()
                : Optional.of(
                        new Pen.Grounds(
                                ground(pen, below),
                                pen.annotates()
                                        ? Optional.of(ground(pen, above))
                                        : Optional.empty()));
    }

    /** Around the paths of all lines that belong to glyphs that were asked for. */
    List<Rectangle2D> lines() {
        return lines.stream().distinct().toList();
    }

    /** What else is painted around a glyph, but for lines that belong to it. */
    private List<OtherPaint> touching(Pen pen, PaintGrid grid) {
        List<OtherPaint> touching = new ArrayList<>();
        for (OtherPaint other : grid.at(pen.around())) {
            if (other.isLineOf(pen)) {
                lines.add(other.path());
            } else {
                touching.add(other);
            }
        }
        return touching;
    }

    /** What is below it, from the topmost down. */
    private static PageText.Ground ground(Pen pen, List<OtherPaint> touching) {
        Rectangle2D box = pen.around();
        boolean pictured = false;
        boolean any = false;
        for (OtherPaint other : touching.reversed()) {
            if (other.order() > pen.order() || !other.touches(box)) {
                continue;
            }
            if (other.hides() && other.holds(box)) {
                return any
                        ? new PageText.Ground.Mixed(pictured)
                        : new PageText.Ground.Flat(other.color().orElseThrow());
            }
            any = true;
            pictured |= other.picture();
        }
        return any ? new PageText.Ground.Mixed(pictured) : new PageText.Ground.Bare();
    }
}
