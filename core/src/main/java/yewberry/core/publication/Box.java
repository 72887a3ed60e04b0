package yewberry.core.publication;

import yewberry.core.Refused;

/**
 * A rectangle measured from the top left corner of the trim, x to the right and y down.
 *
 * @throws Refused if the width or height is not above zero
 */
public record Box(Length x, Length y, Length width, Length height) {
    public Box {
        if (width.value() <= 0 || height.value() <= 0) {
            throw new Refused(
                    "A frame of %s by %s holds nothing; make both sides larger than 0 mm."
                            .formatted(width.inWords(), height.inWords()));
        }
    }
}
