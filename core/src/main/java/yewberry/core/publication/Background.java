package yewberry.core.publication;

import java.util.UUID;

/** A fill on an area of a page or parent, behind its content. */
public record Background(UUID id, Sides sides, Area area, Fill fill) {
    public Background withFill(Fill changed) {
        return new Background(id, sides, area, changed);
    }
}
