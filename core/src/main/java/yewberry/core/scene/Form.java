package yewberry.core.scene;

import java.awt.Shape;
import java.util.Optional;

/**
 * What is filled, in points of the page.
 *
 * @param path that is filled by the rule of the winding number that is not zero
 * @param rectangle where it is no more than one
 */
public record Form(Shape path, Rect bounds, Optional<Rect> rectangle) {
    public static Form of(Rect rect) {
        return new Form(rect.shape(), rect, Optional.of(rect));
    }

    public static Form of(Shape path) {
        return new Form(path, Rect.around(path), Optional.empty());
    }

    /** The same, rotated. */
    public Form turned(Turn turn) {
        return turn.isNone() ? this : of(turn.transform().createTransformedShape(path));
    }
}
