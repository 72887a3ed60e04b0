package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.color.Definition;

/**
 * A colour behind words of a page of a file: over all that the page paints before them, a picture
 * or a box, and below the words. The file itself stays as it is.
 *
 * @param id what it is known by, wherever it is put
 * @param page the number of the page in its file, from 1
 * @param area that it covers, of the page as it is seen, from its top left; it lies behind the text
 *     that begins there
 * @param radius of its corners
 * @param opacity in percent, above 0; 100 covers
 * @throws Refused if there is no such page, or nothing would be seen of it
 */
public record Backing(UUID id, int page, Box area, Length radius, Tinted color, double opacity) {
    public Backing {
        if (page < 1) {
            throw new Refused("There is no page %d; the first one is page 1.".formatted(page));
        }
        Definition.checkPercent("An opacity", opacity);
        if (opacity == 0) {
            throw new Refused("An opacity of 0 % shows nothing; choose more, or take it back.");
        }
        if (radius.points() < 0) {
            throw new Refused("A radius is 0 or more.");
        }
    }

    /** As opaque as told, in percent. */
    public Backing withOpacity(double changed) {
        return new Backing(id, page, area, radius, color, changed);
    }

    /** Whether another one is behind just the same words. */
    public boolean isForTheSameAs(Backing other) {
        return page == other.page && area.equals(other.area);
    }

    Backing withReference(UUID old, UUID replacement) {
        return new Backing(id, page, area, radius, color.withReference(old, replacement), opacity);
    }
}
