package yewberry.pdf.read;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Finds what is near a place without looking at all. */
final class PaintGrid {
    private static final int CELLS = 24;

    private final Rectangle2D seen;
    private final List<List<OtherPaint>> cells;

    PaintGrid(Rectangle2D seen, List<OtherPaint> others) {
        this.seen = seen;
        this.cells = new ArrayList<>(Collections.nCopies(CELLS * CELLS, List.of()));
        for (int i = 0; i < cells.size(); i++) {
            cells.set(i, new ArrayList<>());
        }
        for (OtherPaint other : others) {
            Rectangle2D at = other.bounds();
            for (int row = row(at.getMinY()); row <= row(at.getMaxY()); row++) {
                for (int column = column(at.getMinX()); column <= column(at.getMaxX()); column++) {
                    cells.get(row * CELLS + column).add(other);
                }
            }
        }
    }

    private int column(double x) {
        return Math.clamp((long) (x / seen.getWidth() * CELLS), 0, CELLS - 1);
    }

    private int row(double y) {
        return Math.clamp((long) (y / seen.getHeight() * CELLS), 0, CELLS - 1);
    }

    /** In the order in which they are painted, each once. */
    List<OtherPaint> at(Rectangle2D box) {
        List<OtherPaint> found = new ArrayList<>();
        for (int row = row(box.getMinY()); row <= row(box.getMaxY()); row++) {
            for (int column = column(box.getMinX()); column <= column(box.getMaxX()); column++) {
                for (OtherPaint other : cells.get(row * CELLS + column)) {
                    if (other.bounds().intersects(box)) {
                        found.add(other);
                    }
                }
            }
        }
        return found.stream()
                .distinct()
                .sorted((one, next) -> Integer.compare(one.order(), next.order()))
                .toList();
    }
}
