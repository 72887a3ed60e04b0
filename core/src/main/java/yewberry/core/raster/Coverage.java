package yewberry.core.raster;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.util.Arrays;
import java.util.stream.IntStream;
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

        /**
         * Pixels side by side that are covered wholly.
         *
         * @param to behind the last of them
         */
        default void whole(int from, int to) {
            for (int at = from; at < to; at++) {
                pixel(at, 1);
            }
        }
    }

    /** Of each byte of a mask how much of a pixel it is. */
    private static final double[] PARTS =
            IntStream.range(0, 256).mapToDouble(each -> each / 255.0).toArray();

    private final Mask mask;
    private final int left;
    private final int top;
    private final int width;
    private final int height;

    private Coverage(Mask mask, int left, int top, int width, int height) {
        this.mask = mask;
        this.left = left;
        this.top = top;
        this.width = width;
        this.height = height;
    }

    /**
     * What is covered around a shape, wherever it lies.
     *
     * @param left of its own origin, in pixels
     * @param top of its own origin, in pixels
     * @param across pixels of a row
     * @param covered row by row, 255 for a whole pixel
     */
    record Mask(int left, int top, int across, byte[] covered) {
        private static final Mask EMPTY = new Mask(0, 0, 1, new byte[0]);

        /**
         * A shape in pixels, cut at the edges of a rectangle of them.
         *
         * @param around how far beyond its edge it goes
         */
        static Mask of(Shape shape, double around, int fromX, int fromY, int toX, int toY) {
            Rectangle2D bounds = shape.getBounds2D();
            int left = Math.clamp((long) Math.floor(bounds.getMinX() - around), fromX, toX);
            int top = Math.clamp((long) Math.floor(bounds.getMinY() - around), fromY, toY);
            int right = Math.clamp((long) Math.ceil(bounds.getMaxX() + around), left, toX);
            int bottom = Math.clamp((long) Math.ceil(bounds.getMaxY() + around), top, toY);
            if (bounds.isEmpty() || right == left || bottom == top) {
                return EMPTY;
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
            if (around > 0) {
                graphics.setStroke(
                        new BasicStroke(
                                (float) (2 * around),
                                BasicStroke.CAP_ROUND,
                                BasicStroke.JOIN_ROUND));
                graphics.draw(shape);
            }
            graphics.dispose();
            byte[] covered = ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
            return new Mask(left, top, right - left, covered);
        }

        int down() {
            return covered.length / across;
        }

        /** It on a raster, with its origin at a pixel. */
        Coverage at(int x, int y, int width, int height) {
            return new Coverage(this, x + left, y + top, width, height);
        }
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
            Item.Lettering text,
            Item.Line line,
            Segment.Glyph glyph,
            Rect region,
            double scale,
            int width,
            int height) {
        AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
        place.translate(-region.x(), -region.y());
        return of(place.createTransformedShape(text.shape(line, glyph)), width, height);
    }

    /**
     * The same with what is close around it.
     *
     * @param around how far beyond its edge it goes, in points
     */
    static Coverage of(
            Item.GlyphRun text,
            Item.Line line,
            Segment.Glyph glyph,
            double around,
            Rect region,
            double scale,
            int width,
            int height) {
        AffineTransform place = AffineTransform.getScaleInstance(scale, scale);
        place.translate(-region.x(), -region.y());
        return Mask.of(
                        place.createTransformedShape(text.shape(line, glyph)),
                        around * scale,
                        0,
                        0,
                        width,
                        height)
                .at(0, 0, width, height);
    }

    /**
     * @param shape in pixels of the raster
     */
    public static Coverage of(Shape shape, int width, int height) {
        return Mask.of(shape, 0, 0, 0, width, height).at(0, 0, width, height);
    }

    /** Of each pixel of the raster how much is covered, 255 for all of it. */
    public byte[] whole(int pixels) {
        byte[] whole = new byte[pixels];
        forEach((at, covered) -> whole[at] = (byte) Math.round(covered * 255));
        return whole;
    }

    /**
     * The pixels that are covered at all.
     *
     * @param at the index of each, row by row
     * @param part how much of it, above 0 and up to 1
     */
    public record Pixels(int[] at, double[] part) {}

    /** The same as of {@link #forEach}, for who goes through them more than once. */
    public Pixels pixels() {
        int right = Math.min(width, left + mask.across());
        int bottom = Math.min(height, top + mask.down());
        int from = Math.max(0, left);
        byte[] covered = mask.covered();
        int[] at = new int[covered.length];
        double[] part = new double[covered.length];
        int count = 0;
        for (int row = Math.max(0, top); row < bottom; row++) {
            int i = (row - top) * mask.across() + from - left;
            for (int column = from; column < right; column++, i++) {
                if (covered[i] != 0) {
                    at[count] = row * width + column;
                    part[count++] = PARTS[covered[i] & 0xff];
                }
            }
        }
        return new Pixels(Arrays.copyOf(at, count), Arrays.copyOf(part, count));
    }

    public void forEach(Each each) {
        int right = Math.min(width, left + mask.across());
        int bottom = Math.min(height, top + mask.down());
        int from = Math.max(0, left);
        byte[] covered = mask.covered();
        for (int row = Math.max(0, top); row < bottom; row++) {
            int end = row * width + right;
            // from a pixel to its byte of the mask
            int shift = (row - top) * mask.across() - left - row * width;
            for (int at = row * width + from; at < end; at++) {
                int begun = at;
                while (at < end && covered[at + shift] == -1) {
                    at++;
                }
                if (at > begun) {
                    each.whole(begun, at);
                }
                if (at < end && covered[at + shift] != 0) {
                    each.pixel(at, PARTS[covered[at + shift] & 0xff]);
                }
            }
        }
    }
}
