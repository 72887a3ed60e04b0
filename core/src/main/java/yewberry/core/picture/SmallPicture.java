package yewberry.core.picture;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;

/** Pages as small PNG files, remembered at most for as long as their scenes are. */
public final class SmallPicture {
    /** The part of the heap that they may take. */
    private static final int PART = 32;

    /** By the very scene. */
    private static final Cache<PageScene, CachedPicture> MEMO =
            Caffeine.newBuilder()
                    .weakKeys()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher((PageScene scene, CachedPicture known) -> known.file().length)
                    .executor(Runnable::run)
                    .build();

    private record CachedPicture(View view, int ppi, byte[] file) {}

    private SmallPicture() {}

    /** A page out to its bleed. */
    public static byte[] of(PageScene scene, View view, int ppi) {
        CachedPicture known = MEMO.getIfPresent(scene);
        if (known != null && known.ppi() == ppi && known.view().equals(view)) {
            return known.file();
        }
        byte[] file = Png.quick(PageRaster.page(scene, view, scene.boxes().bleed(), ppi));
        MEMO.put(scene, new CachedPicture(view, ppi, file));
        return file;
    }
}
