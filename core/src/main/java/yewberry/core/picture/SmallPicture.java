package yewberry.core.picture;

import java.util.Map;
import java.util.WeakHashMap;
import yewberry.core.color.View;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;

/** Pages as small PNG files, remembered for as long as their scenes are. */
public final class SmallPicture {
    private static final Map<PageScene, Known> MEMO = new WeakHashMap<>();

    private record Known(View view, int ppi, byte[] file) {}

    private SmallPicture() {}

    /** A page out to its bleed. */
    public static byte[] of(PageScene scene, View view, int ppi) {
        synchronized (MEMO) {
            Known known = MEMO.get(scene);
            if (known != null && known.ppi() == ppi && known.view().equals(view)) {
                return known.file();
            }
        }
        byte[] file = Png.quick(PageRaster.page(scene, view, scene.boxes().bleed(), ppi));
        synchronized (MEMO) {
            MEMO.put(scene, new Known(view, ppi, file));
        }
        return file;
    }
}
