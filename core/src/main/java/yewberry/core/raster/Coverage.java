package yewberry.core.raster;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/** How much of each pixel of a raster a shape covers. */
public final class Coverage {
    /** Gets the pixels that are covered at all. */
    public interface Each {
        /**
         * @param at the index of the pixel, row by row
         * @param covered how much of it, above 0 and up to 1
         */
        void pixel(int at, double covered);
    }

    private final int left;
    private final int top;
    private final int across;
    private final int stride;
    private final byte[] covered;

    private Coverage(int left, int top, int across, int stride, byte[] covered) {
        this.left = left;
        this.top = top;
        this.across = across;
        this.stride = stride;
        this.covered = covered;
    }

    /**
     * A glyph on a raster of a part of a page.
     *
     * @param region of the page, whose top left is that of the raster
     * @param scale pixels to the point
     * @param width pixels of the raster
     * @param height likewise
     */
    public static Coverage of(
            Item.GlyphRun run,
            Item.Line line,
            Segment.Glyph glyph,
            Rect region,
            double scale,
            int width,
            int height) {
        AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
        place.translate(
                line.x() + glyph.x() - region.x(), line.baseline() + glyph.y() - region.y());
        place.scale(run.scale(), run.scale());
        return of(
                place.createTransformedShape(run.face().outline(glyph.id()).path()), width, height);
    }

    /**
     * @param shape in pixels of the raster
     */
    public static Coverage of(Shape shape, int width, int height) {
        Rectangle2D bounds = shape.getBounds2D();
        int left = Math.clamp((long) Math.floor(bounds.getMinX()), 0, width);
        int top = Math.clamp((long) Math.floor(bounds.getMinY()), 0, height);
        int right = Math.clamp((long) Math.ceil(bounds.getMaxX()), left, width);
        int bottom = Math.clamp((long) Math.ceil(bounds.getMaxY()), top, height);
        if (bounds.isEmpty() || right == left || bottom == top) {
            return new Coverage(0, 0, 1, width, new byte[0]);
        }
        BufferedImage mask =
                new BufferedImage(right - left, bottom - top, BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D graphics = mask.createGraphics();
        graphics.setRenderingHint(
                RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setRenderingHint(
                RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        graphics.setColor(Color.WHITE);
        graphics.translate(-left, -top);
        graphics.fill(shape);
        graphics.dispose();
        return new Coverage(
                left,
                top,
                right - left,
                width,
                ((DataBufferByte) mask.getRaster().getDataBuffer()).getData());
    }

    /** Of each pixel of the raster how much is covered, 255 for all of it. */
    public byte[] whole(int pixels) {
        byte[] whole = new byte[pixels];
        for (int i = 0; i < covered.length; i++) {
            whole[(top + i / across) * stride + left + i % across] = covered[i];
        }
        return whole;
    }

    public void forEach(Each each) {
        int row = top * stride + left;
        for (int i = 0; i < covered.length; row += stride) {
            for (int at = row; at < row + across; at++, i++) {
                if (covered[i] != 0) {
                    each.pixel(at, (covered[i] & 0xff) / 255.0);
                }
            }
        }
    }
}
