package yewberry.pdf;

import yewberry.core.scene.AreaPaint;

/** How fine pictures are in a file. */
public final class PlacedImages {
    /** Drawings have no pixels of their own. */
    private static final double DRAWING_PPI = 400;

    private static final int WIDEST_DRAWING = 8192;

    private PlacedImages() {}

    /** The pixels across that a drawing is in the file in, where it lies like this first. */
    public static int width(AreaPaint.Picture picture) {
        double wanted = picture.place().width() / 72 * DRAWING_PPI;
        return (int) Math.ceil(Math.min(WIDEST_DRAWING, wanted));
    }
}
