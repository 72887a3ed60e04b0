package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Definition;

/**
 * A fill on an area of a page or parent, behind its content.
 *
 * @param opacity in percent; 100 covers
 * @param goesTo where it is shown
 */
public record Background(
        UUID id,
        Sides sides,
        Area area,
        Fill fill,
        double opacity,
        BlendMode blend,
        GoesTo goesTo) {
    /** Two independent switches. */
    public record GoesTo(boolean screen, boolean paper) {
        public static final GoesTo BOTH = new GoesTo(true, true);
    }

    public Background {
        Definition.checkPercent("An opacity", opacity);
    }

    /** One that covers and goes everywhere. */
    public Background(UUID id, Sides sides, Area area, Fill fill) {
        this(id, sides, area, fill, 100, BlendMode.NORMAL, GoesTo.BOTH);
    }

    public Background withArea(Area changed) {
        return new Background(id, sides, changed, fill, opacity, blend, goesTo);
    }

    public Background withGoesTo(GoesTo changed) {
        return new Background(id, sides, area, fill, opacity, blend, changed);
    }

    public Background withBlend(BlendMode changed) {
        return new Background(id, sides, area, fill, opacity, changed, goesTo);
    }

    public Background withFill(Fill changed) {
        return new Background(id, sides, area, changed, opacity, blend, goesTo);
    }
}
