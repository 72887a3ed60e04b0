package yewberry.core.scene;

import java.util.UUID;
import yewberry.core.color.Color;
import yewberry.core.color.Swatch;

/** The colour something is painted in, and the swatch that gave it. */
public record Paint(Color color, UUID swatch, String name) {
    public static Paint of(Swatch swatch) {
        return new Paint(swatch.color(), swatch.id(), swatch.name());
    }
}
