package yewberry.pdf.read;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.util.Matrix;
import yewberry.core.raster.PlaneRaster;

/**
 * Where the cells of a pattern lie (ISO 32000-1, 8.7.3).
 *
 * @param full from the space of the pattern to that of the page
 * @param box of a cell, in the space of the pattern
 * @param stepX from one cell to the next
 * @param left column that is needed, counted from the cell at the origin
 * @param low row, likewise
 */
record Tiling(
        Matrix full,
        Rectangle2D box,
        double stepX,
        double stepY,
        long left,
        long right,
        long low,
        long high) {
    /** Cells that are painted one by one; of more, one is painted and looked up. */
    private static final long MOST_CELLS = 2500;

    /** Pixels across one cell that is looked up. */
    private static final int WIDEST_CELL = 1024;

    /**
     * Nothing for a pattern that has no cells, or none within.
     *
     * @param needed a part of the page, in its space
     */
    static Optional<Tiling> of(PDTilingPattern pattern, Matrix full, Shape needed) {
        double stepX = Math.abs(pattern.getXStep());
        double stepY = Math.abs(pattern.getYStep());
        if (stepX == 0 || stepY == 0 || pattern.getBBox() == null) {
            return Optional.empty();
        }
        Rectangle2D within;
        try {
            within =
                    full.createAffineTransform()
                            .createInverse()
                            .createTransformedShape(needed)
                            .getBounds2D();
        } catch (NoninvertibleTransformException flat) {
            return Optional.empty();
        }
        if (within.isEmpty()) {
            return Optional.empty();
        }
        Rectangle2D box = SeenPage.rectangle(pattern.getBBox());
        return Optional.of(
                new Tiling(
                        full,
                        box,
                        stepX,
                        stepY,
                        (long) Math.floor((within.getMinX() - box.getMaxX()) / stepX),
                        (long) Math.ceil((within.getMaxX() - box.getMinX()) / stepX),
                        (long) Math.floor((within.getMinY() - box.getMaxY()) / stepY),
                        (long) Math.ceil((within.getMaxY() - box.getMinY()) / stepY)));
    }

    /** Of a hostile file there may be more than a long can count. */
    boolean isFew() {
        return (right - left + 1.0) * (high - low + 1.0) <= MOST_CELLS;
    }

    /** From the space of each cell to that of the page. */
    Stream<Matrix> cells() {
        return LongStream.rangeClosed(low, high)
                .boxed()
                .flatMap(row ->
                        LongStream.rangeClosed(left, right).mapToObj(column -> cell(column, row)));
    }

    private Matrix cell(long column, long row) {
        Matrix cell = full.clone();
        cell.translate(column * (float) stepX, row * (float) stepY);
        return cell;
    }

    /**
     * One cell as a raster, about twice as fine as it is on the page.
     *
     * @param place from the space of the pattern to pixels of the page
     * @param across pixels of the cell
     */
    record Sample(Tiling tiling, AffineTransform place, int across, int down) {
        /** From the space of the pattern to pixels of the cell. */
        AffineTransform toCell() {
            Rectangle2D box = tiling.box;
            return new AffineTransform(
                    across / tiling.stepX,
                    0,
                    0,
                    -down / tiling.stepY,
                    -box.getMinX() * across / tiling.stepX,
                    down + box.getMinY() * down / tiling.stepY);
        }

        /** What it comes to on the page. */
        Ink ink(PlaneRaster raster) {
            AffineTransform back;
            try {
                back = place.createInverse();
            } catch (NoninvertibleTransformException flat) {
                return (x, y, planes) -> 0;
            }
            Rectangle2D box = tiling.box;
            Point2D.Double point = new Point2D.Double();
            return (x, y, planes) -> {
                point.setLocation(x + 0.5, y + 0.5);
                back.transform(point, point);
                double u = (point.x - box.getMinX()) / tiling.stepX;
                double v = (point.y - box.getMinY()) / tiling.stepY;
                int column = Math.min(across - 1, (int) ((u - Math.floor(u)) * across));
                int row = down - 1 - Math.min(down - 1, (int) ((v - Math.floor(v)) * down));
                return Ink.pixel(raster, row * across + column, planes);
            };
        }
    }

    /**
     * @param toPixels from the space of the page to its pixels
     */
    Sample sample(AffineTransform toPixels) {
        AffineTransform place = new AffineTransform(toPixels);
        place.concatenate(full.createAffineTransform());
        return new Sample(
                this,
                place,
                pixels(stepX * Math.hypot(place.getScaleX(), place.getShearY())),
                pixels(stepY * Math.hypot(place.getShearX(), place.getScaleY())));
    }

    private static int pixels(double onPage) {
        return Math.clamp((long) Math.ceil(2 * onPage), 1, WIDEST_CELL);
    }
}
