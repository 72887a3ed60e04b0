package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.List;
import yewberry.core.output.PrinterMarks;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.Rect;
import yewberry.pdf.SheetMarks;

/** Holds the lines around a page of a file against its printer's marks. */
final class SheetCheck {
    /** A hundredth of a millimetre, in points. */
    private static final double TOLERANCE = 0.01 * 72 / 25.4;

    private SheetCheck() {}

    /**
     * @param found lines that are drawn around the page
     */
    static List<String> check(
            PrinterMarks marks, PageBoxes boxes, List<PaintedPage.PaintedStroke> found) {
        List<PaintedPage.PaintedStroke> left = new ArrayList<>(found);
        Rect bleed = boxes.bleed();
        AffineTransform inFile = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        int missing = 0;
        for (Path2D line : SheetMarks.lines(marks, boxes)) {
            Rectangle2D wanted = inFile.createTransformedShape(line).getBounds2D();
            boolean there =
                    left.stream()
                            .filter(each -> isAt(each.path(), wanted))
                            .filter(each ->
                                    Math.abs(each.width() - marks.weight().points()) <= TOLERANCE)
                            .findFirst()
                            .map(left::remove)
                            .orElse(false);
            missing += there ? 0 : 1;
        }
        List<String> problems = new ArrayList<>();
        if (missing > 0) {
            problems.add(
                    "%d lines of the printer's marks are not at their place.".formatted(missing));
        }
        if (!left.isEmpty()) {
            problems.add("%d lines around the page are no printer's marks.".formatted(left.size()));
        }
        return problems;
    }

    private static boolean isAt(Rectangle2D found, Rectangle2D wanted) {
        return Math.abs(found.getMinX() - wanted.getMinX()) <= TOLERANCE
                && Math.abs(found.getMaxX() - wanted.getMaxX()) <= TOLERANCE
                && Math.abs(found.getMinY() - wanted.getMinY()) <= TOLERANCE
                && Math.abs(found.getMaxY() - wanted.getMaxY()) <= TOLERANCE;
    }
}
