package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.color.Definition;

/**
 * A use of a swatch, at a tint of its own.
 *
 * @param tint in percent of the swatch; 100 is the swatch itself
 */
public record Tinted(UUID swatch, double tint) {
    public Tinted {
        Definition.checkPercent("A tint", tint);
    }

    public static Tinted full(UUID swatch) {
        return new Tinted(swatch, 100);
    }

    Tinted withReference(UUID old, UUID replacement) {
        return swatch.equals(old) ? withSwatch(replacement) : this;
    }

    public Tinted withSwatch(UUID changed) {
        return new Tinted(changed, tint);
    }
}
