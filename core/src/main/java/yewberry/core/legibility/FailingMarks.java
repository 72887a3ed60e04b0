package yewberry.core.legibility;

import java.awt.image.BufferedImage;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Lines around the places where text does not stand out from what is behind it: a dark line between
 * two light ones, so that it shows on any ground. What is marked stays as it is.
 *
 * @param image with nothing where there is no line
 * @param region of the page that it lies over
 */
public record FailingMarks(BufferedImage image, Rect region) {
    private static final double SCALE = LineField.PPI / 72;

    /** Pixels from what is marked to the line, and from there to its end. */
    private static final int GAP = 3;

    private static final int WIDTH = 3;
    private static final int DARK = 0xffc2183f;
    private static final int LIGHT = 0xffffffff;

    /**
     * @param run whose places they are
     * @param part of the page that is looked at
     * @return nothing where none of it fails there
     */
    public static Optional<FailingMarks> of(
            PageScene scene, View view, Demand demand, UUID run, Rect part) {
        Rect region = part.intersection(scene.boxes().bleed());
        if (region.isEmpty()) {
            return Optional.empty();
        }
        int width = PageRaster.pixels(region.width(), LineField.PPI);
        int height = PageRaster.pixels(region.height(), LineField.PPI);
        MediumScene on = scene.on(view);
        BitSet failing = new BitSet(width * height);
        for (Item.GlyphRun each : on.judged()) {
            if (each.run().equals(run) && !each.bounds().intersection(region).isEmpty()) {
                mark(failing, Backdrop.failing(on, each, view, demand), region, width, height);
            }
        }
        if (failing.isEmpty()) {
            return Optional.empty();
        }
        BitSet inner = wider(failing, GAP, width, height);
        BitSet dark = wider(inner, WIDTH, width, height);
        BitSet outer = wider(dark, 1, width, height);
        BitSet gap = wider(failing, GAP - 1, width, height);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
        for (int at = outer.nextSetBit(0); at >= 0; at = outer.nextSetBit(at + 1)) {
            if (!gap.get(at)) {
                boolean isDark = dark.get(at) && !inner.get(at);
                image.setRGB(at % width, at / width, isDark ? DARK : LIGHT);
            }
        }
        return Optional.of(new FailingMarks(image, region));
    }

    private static void mark(
            BitSet failing, List<double[]> places, Rect region, int width, int height) {
        for (double[] place : places) {
            int x = (int) Math.floor((place[0] - region.x()) * SCALE);
            int y = (int) Math.floor((place[1] - region.y()) * SCALE);
            if (x >= 0 && y >= 0 && x < width && y < height) {
                failing.set(y * width + x);
            }
        }
    }

    /** What lies within some pixels of others, across and down alike. */
    private static BitSet wider(BitSet narrow, int by, int width, int height) {
        BitSet across = new BitSet(width * height);
        for (int at = narrow.nextSetBit(0); at >= 0; at = narrow.nextSetBit(at + 1)) {
            int row = at / width * width;
            across.set(Math.max(row, at - by), Math.min(row + width, at + by + 1));
        }
        BitSet wide = new BitSet(width * height);
        for (int at = across.nextSetBit(0); at >= 0; at = across.nextSetBit(at + 1)) {
            for (int down = -by; down <= by; down++) {
                int to = at + down * width;
                if (to >= 0 && to < width * height) {
                    wide.set(to);
                }
            }
        }
        return wide;
    }
}
