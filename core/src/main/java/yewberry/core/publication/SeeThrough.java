package yewberry.core.publication;

import yewberry.core.Refused;
import yewberry.core.color.Numbers;
import yewberry.core.color.Rgb;

/**
 * A colour of a picture that is made transparent.
 *
 * @param tolerance how far from it a colour may be, as a difference in CIELAB
 * @param fromEdges whether only what is joined to an edge of the picture goes
 * @throws Refused if the tolerance is not within 0 to 60
 */
public record SeeThrough(Rgb color, double tolerance, boolean fromEdges) {
    public SeeThrough {
        if (!(tolerance >= 0 && tolerance <= 60)) {
            throw new Refused(
                    "A tolerance of %s is not possible; choose from 0 to 60."
                            .formatted(Numbers.plain(tolerance)));
        }
    }
}
