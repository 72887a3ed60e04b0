package yewberry.core.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.scene.SceneKey;

/** Pages as small PNG files, remembered at most for as long as they are made from the same. */
public final class SmallPicture {
    /** The part of the heap that they may take. */
    private static final int PART = 32;

    /** By what they were made from. */
    private static final Cache<SceneKey, CachedPicture> MEMO =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher((SceneKey page, CachedPicture known) -> known.file().length)
                    .executor(Runnable::run)
                    .build();

    private record CachedPicture(View view, int ppi, byte[] file) {}

    private SmallPicture() {}

    /** A page as it is once it is cut; not remembered. */
    public static byte[] trimmed(PageScene scene, View view, int ppi) {
        return drawn(scene, view, scene.boxes().trim(), ppi);
    }

    /** A page out to its bleed. */
    public static byte[] of(PageScene scene, View view, int ppi) {
        CachedPicture known = MEMO.getIfPresent(scene.key());
        if (known != null && known.ppi() == ppi && known.view().equals(view)) {
            return known.file();
        }
        byte[] file = drawn(scene, view, scene.boxes().bleed(), ppi);
        MEMO.put(scene.key(), new CachedPicture(view, ppi, file));
        return file;
    }

    private static byte[] drawn(PageScene scene, View view, Rect region, int ppi) {
        MediumScene shown = scene.on(view);
        return Png.quick(
                shown.annotations().isEmpty()
                        ? PageRaster.page(scene, view, region, ppi)
                        : PageRaster.of(shown, shown.annotated(), region, ppi).image(view));
    }
}
