package yewberry.core.scene;

import java.awt.Shape;
import java.util.Optional;

/**
 * What is filled, in points of the page.
 *
 * @param path by the rule of the even and odd, where it goes round something more than once
 * @param rectangle where it is no more than one
 */
public record Form(Shape path, Rect bounds, Optional<Rect> rectangle) {
    public static Form of(Rect rect) {
        return new Form(rect.shape(), rect, Optional.of(rect));
    }

    public static Form of(Shape path) {
        return new Form(path, Rect.around(path), Optional.empty());
    }
}
