package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.publication.Outline;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;
import yewberry.pdf.proof.PaintedPage.PaintedStroke;

/**
 * Holds every line around a letter against every line of the file: where it goes, how wide, in
 * which colour, and how it goes round corners.
 */
final class StrokeCheck {
    /** A hundredth of a millimetre, in points. */
    private static final double TOLERANCE = 0.01 * 72 / 25.4;

    /** In percent of ink: what writing five decimals of a fraction can cost, and a little more. */
    private static final double INK_TOLERANCE = 0.05;

    private StrokeCheck() {}

    static List<String> check(MediumScene scene, List<PaintedStroke> strokes) {
        List<PaintedStroke> left = new ArrayList<>(strokes);
        List<String> problems = new ArrayList<>();
        Rect bleed = scene.boxes().bleed();
        AffineTransform up = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        for (Item.Lettering letters : scene.letters()) {
            if (letters instanceof Item.GlyphStroke line) {
                int missing =
                        missing(line, Plates.of(line.paint().color(), scene.condition()), up, left);
                if (missing > 0) {
                    problems.add(
                            "“%s”: %d letters do not have their outline."
                                    .formatted(line.letters().text(), missing));
                }
            }
        }
        if (!left.isEmpty()) {
            problems.add(
                    "%d lines are in the file that the page does not have.".formatted(left.size()));
        }
        return problems;
    }

    /** Each that is found is taken out. */
    private static int missing(
            Item.GlyphStroke line, Plates color, AffineTransform up, List<PaintedStroke> left) {
        Item.GlyphRun run = line.letters();
        int missing = 0;
        for (Item.Line each : run.lines()) {
            for (Segment.Glyph glyph : each.glyphs()) {
                if (run.face().outline(glyph.id()).ink().isEmpty()) {
                    continue;
                }
                Rectangle2D wanted =
                        up.createTransformedShape(run.shape(each, glyph)).getBounds2D();
                int at = 0;
                while (at < left.size() && !matches(left.get(at), line, color, wanted)) {
                    at++;
                }
                if (at < left.size()) {
                    left.remove(at);
                } else {
                    missing++;
                }
            }
        }
        return missing;
    }

    private static boolean matches(
            PaintedStroke found, Item.GlyphStroke line, Plates color, Rectangle2D wanted) {
        return near(found.path().getMinX(), wanted.getMinX())
                && near(found.path().getMaxX(), wanted.getMaxX())
                && near(found.path().getMinY(), wanted.getMinY())
                && near(found.path().getMaxY(), wanted.getMaxY())
                && near(found.width(), line.width())
                && found.join() == number(line.join())
                && found.plates().filter(it -> it.matches(color, INK_TOLERANCE)).isPresent();
    }

    /** ISO 32000-1, table 55. */
    private static int number(Outline.Join join) {
        return switch (join) {
            case MITER -> 0;
            case ROUND -> 1;
            case BEVEL -> 2;
        };
    }

    private static boolean near(double one, double other) {
        return Math.abs(one - other) <= TOLERANCE;
    }
}
