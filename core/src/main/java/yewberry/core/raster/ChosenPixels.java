package yewberry.core.raster;

import java.awt.geom.Rectangle2D;
import java.util.Arrays;
import java.util.BitSet;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * Those pixels of a part of a page that are painted, numbered from 0, row by row: all of them, or
 * the few that matter.
 */
public final class ChosenPixels {
    /** Where a picture is drawn larger, its pixels are mixed with those beside them. */
    private static final int AROUND = 2;

    private final int width;
    private final int height;

    /** Of each its place among all; nothing where all are chosen. */
    private final int[] places;

    /** For each row the number of its first, and at last their count. */
    private final int[] starts;

    private ChosenPixels(int width, int height, int[] places, int[] starts) {
        this.width = width;
        this.height = height;
        this.places = places;
        this.starts = starts;
    }

    static ChosenPixels all(int width, int height) {
        return new ChosenPixels(width, height, new int[0], new int[0]);
    }

    /**
     * @param chosen row by row from the top left
     */
    public static ChosenPixels of(int width, int height, BitSet chosen) {
        int[] places = new int[chosen.cardinality()];
        for (int number = 0, at = -1; number < places.length; number++) {
            at = chosen.nextSetBit(at + 1);
            places[number] = at;
        }
        return of(width, height, places);
    }

    /**
     * @param places of those that are chosen, in their order, row by row from the top left; not to
     *     be changed
     */
    public static ChosenPixels of(int width, int height, int[] places) {
        int[] starts = new int[height + 1];
        for (int row = 0, number = 0; row <= height; row++) {
            while (number < places.length && places[number] < row * width) {
                number++;
            }
            starts[row] = number;
        }
        return new ChosenPixels(width, height, places, starts);
    }

    private boolean areAll() {
        return starts.length == 0;
    }

    /**
     * Those that letters have a part in, and some around them.
     *
     * @param region of the page that the pixels are of, from its top left
     * @param ppi pixels per inch
     */
    public static ChosenPixels around(Item.GlyphRun run, Rect region, double ppi) {
        int width = PageRaster.pixels(region.width(), ppi);
        int height = PageRaster.pixels(region.height(), ppi);
        BitSet chosen = new BitSet(width * height);
        for (Item.Line line : run.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Rectangle2D ink = run.face().outline(glyph.id()).ink();
                if (ink.isEmpty()) {
                    continue;
                }
                Rectangle2D on = run.place(line, glyph).createTransformedShape(ink).getBounds2D();
                int left = edge(on.getMinX() - region.x(), -AROUND, ppi, width);
                int right = edge(on.getMaxX() - region.x(), AROUND, ppi, width);
                int bottom = edge(on.getMaxY() - region.y(), AROUND, ppi, height);
                for (int y = edge(on.getMinY() - region.y(), -AROUND, ppi, height);
                        y < bottom;
                        y++) {
                    chosen.set(y * width + left, y * width + right);
                }
            }
        }
        return of(width, height, chosen);
    }

    private static int edge(double points, int around, double ppi, int count) {
        return Math.clamp(Math.round(points * ppi / 72) + around, 0, count);
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    public int count() {
        return areAll() ? width * height : places.length;
    }

    /** The number of the first pixel of a row; of the row after the last, their count. */
    int start(int row) {
        return areAll() ? row * width : starts[row];
    }

    /** The most in a row. */
    int widest() {
        if (areAll()) {
            return width;
        }
        int widest = 0;
        for (int row = 0; row < height; row++) {
            widest = Math.max(widest, starts[row + 1] - starts[row]);
        }
        return widest;
    }

    /** The number of a pixel of the region; below 0 where it is not chosen. */
    int number(int at) {
        return areAll() ? at : Arrays.binarySearch(places, at);
    }

    /** All pixels row by row, from one value for each that is chosen; the others have none. */
    int[] spread(int[] values) {
        if (areAll()) {
            return values;
        }
        int[] all = new int[width * height];
        for (int number = 0; number < places.length; number++) {
            all[places[number]] = values[number];
        }
        return all;
    }

    int column(int number, int row) {
        return (areAll() ? number : places[number]) - row * width;
    }
}
