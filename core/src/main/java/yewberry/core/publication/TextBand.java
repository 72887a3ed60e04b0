package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import yewberry.core.Refused;

/**
 * A band along an edge of a page, out to the bleed, with the text of its frame in it.
 *
 * @param depth how far it reaches into the page, from the trim
 * @param padding between the trim, or the inner edge of the band, and its text; as on a right-hand
 *     page, and mirrored on a left-hand one; em are those of its first look
 * @param fill a colour or a gradient
 * @throws Refused if the depth is not above zero, or it is filled with something else
 */
public record TextBand(Edge edge, Length depth, Padding padding, Fill fill) {
    public TextBand {
        if (depth.value() <= 0) {
            throw new Refused(
                    "A band %s deep would not be seen; make it deeper than 0 mm."
                            .formatted(depth.inWords()));
        }
        if (!(fill instanceof Fill.Solid || fill instanceof Fill.Gradient)) {
            throw new Refused("A band has a colour or a gradient behind its text; choose one.");
        }
    }

    List<Reference> references() {
        return fill.colors().stream().map(color -> Reference.swatch(color.swatch())).toList();
    }

    TextBand withReference(UUID old, UUID replacement) {
        return new TextBand(
                edge, depth, padding, fill.withSwatches(id -> id.equals(old) ? replacement : id));
    }
}
