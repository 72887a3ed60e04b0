package yewberry.core.color;

import java.util.UUID;
import yewberry.core.Names;

/** A named colour of a publication. Everything that is coloured refers to one by id. */
public record Swatch(UUID id, String name, Color color) {
    public Swatch {
        name = Names.checked("swatch", name);
    }

    public Swatch withName(String changed) {
        return new Swatch(id, changed, color);
    }

    public Swatch withColor(Color changed) {
        return new Swatch(id, name, changed);
    }
}
