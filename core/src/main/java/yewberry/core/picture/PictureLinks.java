package yewberry.core.picture;

import java.util.Optional;
import yewberry.core.scene.AreaPaint;

/** Where the pixels of placed pictures can be read, as they are seen. */
@FunctionalInterface
public interface PictureLinks {
    /** They cannot; whatever is drawn holds its own pixels. */
    PictureLinks NONE = (picture, factor) -> Optional.empty();

    /**
     * The address of a picture, which stands for the very same pixels for good.
     *
     * @param factor by which it is smaller than its file, a power of two
     */
    Optional<String> of(AreaPaint.Picture picture, int factor);
}
