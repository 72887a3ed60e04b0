package yewberry.core.picture;

import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.Base64;
import java.util.Deque;
import java.util.Map;
import java.util.WeakHashMap;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** Remembers the painted areas of a scene for as long as the scene itself is remembered. */
final class PaintedAreas {
    /** The page by itself, its part of a spread, and either in another viewing. */
    private static final int VARIANTS = 4;

    private static final Map<PageScene, Deque<Known>> MEMO = new WeakHashMap<>();

    /**
     * A PNG file.
     *
     * @param width pixels
     * @param height pixels
     */
    record Picture(int width, int height, String base64) {}

    private record Known(View view, Rect region, int ppi, Picture picture) {}

    private PaintedAreas() {}

    static Picture of(PageScene scene, View view, Rect region, int ppi) {
        synchronized (MEMO) {
            for (Known known : MEMO.getOrDefault(scene, new ArrayDeque<>())) {
                if (known.view().equals(view)
                        && known.region().equals(region)
                        && known.ppi() == ppi) {
                    return known.picture();
                }
            }
        }
        Picture picture = picture(PageRaster.areas(scene, view, region, ppi));
        synchronized (MEMO) {
            Deque<Known> known = MEMO.computeIfAbsent(scene, key -> new ArrayDeque<>());
            if (known.size() == VARIANTS) {
                known.removeLast();
            }
            known.addFirst(new Known(view, region, ppi, picture));
        }
        return picture;
    }

    static Picture picture(BufferedImage image) {
        return new Picture(
                image.getWidth(),
                image.getHeight(),
                Base64.getEncoder().encodeToString(Png.quick(image)));
    }
}
