package yewberry.core.scene;

import java.util.UUID;
import yewberry.core.color.Color;
import yewberry.core.color.Numbers;

/**
 * The colour something is painted in, and the swatch that gave it.
 *
 * @param tint of the swatch in this use, in percent
 */
public record Paint(Color color, UUID swatch, String name, double tint) {
    /** The swatch's name, with the tint where it is not full. */
    public String inWords() {
        return tint == 100 ? name : "%s, %s %%".formatted(name, Numbers.plain(tint));
    }
}
