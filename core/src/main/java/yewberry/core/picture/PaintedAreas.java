package yewberry.core.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.awt.image.BufferedImage;
import java.util.Base64;
import java.util.List;
import java.util.stream.Stream;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.scene.SceneKey;

/** Remembers the painted areas of pages, at most for as long as those are made from the same. */
final class PaintedAreas {
    /** The page by itself, its part of a spread, and either in another viewing. */
    private static final int VARIANTS = 4;

    /** The part of the heap that they may take. */
    private static final int PART = 16;

    /** By what they were made from; those made last first. */
    private static final Cache<SceneKey, List<CachedAreas>> MEMO =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher((SceneKey page, List<CachedAreas> known) ->
                            known.stream().mapToInt(each -> each.picture().base64().length()).sum())
                    .executor(Runnable::run)
                    .build();

    /**
     * A PNG file.
     *
     * @param width pixels
     * @param height pixels
     */
    record Picture(int width, int height, String base64) {}

    private record CachedAreas(View view, Rect region, int ppi, Picture picture) {}

    private PaintedAreas() {}

    static Picture of(PageScene scene, View view, Rect region, int ppi) {
        List<CachedAreas> before = known(scene);
        for (CachedAreas known : before) {
            if (known.view().equals(view) && known.region().equals(region) && known.ppi() == ppi) {
                return known.picture();
            }
        }
        CachedAreas made =
                new CachedAreas(
                        view, region, ppi, picture(PageRaster.areas(scene, view, region, ppi)));
        MEMO.put(
                scene.key(),
                Stream.concat(Stream.of(made), known(scene).stream()).limit(VARIANTS).toList());
        return made.picture();
    }

    private static List<CachedAreas> known(PageScene scene) {
        List<CachedAreas> known = MEMO.getIfPresent(scene.key());
        return known == null ? List.of() : known;
    }

    static Picture picture(BufferedImage image) {
        return new Picture(
                image.getWidth(),
                image.getHeight(),
                Base64.getEncoder().encodeToString(Png.quick(image)));
    }
}
