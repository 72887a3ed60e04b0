package yewberry.core.raster;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.geom.AffineTransform;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/**
 * What glyphs cover, for checks that meet the same letters again and again: placed on a grid of
 * quarters of a pixel, each is drawn once for all texts. Thread-safe.
 */
public final class GlyphMasks {
    /** The part of the heap that they may take. */
    private static final int PART = 64;

    /** Steps that a pixel is divided into. */
    private static final int STEPS = 4;

    /** Pixels to the em; a larger one is drawn where it stands. */
    private static final double LARGEST = 400;

    private static final Cache<Key, Coverage.Mask> KNOWN =
            Caffeine.newBuilder()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher((Key key, Coverage.Mask mask) -> 100 + mask.covered().length)
                    .executor(Runnable::run)
                    .build();

    private GlyphMasks() {}

    /**
     * @param scale pixels to a unit of the face
     * @param degrees that it is rotated by
     * @param around how far beyond its edge it goes, in pixels
     * @param across steps beyond a whole pixel
     * @param down likewise
     */
    private record Key(
            Face face,
            int glyph,
            double scale,
            double degrees,
            double around,
            int across,
            int down) {
        Coverage.Mask drawn() {
            AffineTransform place =
                    AffineTransform.getTranslateInstance(
                            (double) across / STEPS, (double) down / STEPS);
            place.rotate(Math.toRadians(degrees));
            place.scale(scale, scale);
            return Coverage.Mask.of(
                    place.createTransformedShape(face.outline(glyph).path()),
                    around,
                    Integer.MIN_VALUE / 4,
                    Integer.MIN_VALUE / 4,
                    Integer.MAX_VALUE / 4,
                    Integer.MAX_VALUE / 4);
        }
    }

    /**
     * A glyph and what is close around it on a raster of a part of a page, at most an eighth of a
     * pixel off its place.
     *
     * @param around how far beyond its edge it goes, in points
     * @param region of the page, whose top left is that of the raster
     * @param scale pixels to the point
     * @param width pixels of the raster
     * @param height likewise
     */
    public static Coverage of(
            Item.GlyphRun run,
            Item.Line line,
            Segment.Glyph glyph,
            double around,
            Rect region,
            double scale,
            int width,
            int height) {
        if (scale * run.scale() * Face.UNITS > LARGEST) {
            return Coverage.of(run, line, glyph, around, region, scale, width, height);
        }
        AffineTransform place = run.place(line, glyph);
        long x = Math.round((place.getTranslateX() - region.x()) * scale * STEPS);
        long y = Math.round((place.getTranslateY() - region.y()) * scale * STEPS);
        Key key =
                new Key(
                        run.face(),
                        glyph.id(),
                        scale * run.scale(),
                        run.turn().degrees(),
                        around * scale,
                        (int) Math.floorMod(x, (long) STEPS),
                        (int) Math.floorMod(y, (long) STEPS));
        return KNOWN.get(key, Key::drawn)
                .at(
                        (int) Math.floorDiv(x, (long) STEPS),
                        (int) Math.floorDiv(y, (long) STEPS),
                        width,
                        height);
    }
}
