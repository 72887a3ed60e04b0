package yewberry.core.publication;

import java.util.EnumSet;
import java.util.Set;
import yewberry.core.Refused;

/**
 * Where a background lies. It is kept as it was meant, measured from the trim, and placed anew when
 * trim, bleed or margins change: {@code scene.PageBoxes} does that.
 */
public sealed interface Area {
    /** All of the page, out to the bleed on every side. */
    record WholePage() implements Area {}

    /**
     * All of the page, as its half of one ground across both pages of a spread, which meet at the
     * spine; on a page that stands alone, all of that page.
     *
     * @param spineLoss how much of each page the binding swallows; what is placed across both pages
     *     is moved outwards by as much
     * @throws Refused if the loss is negative or over 50 mm
     */
    record WholeSpread(Length spineLoss) implements Area {
        public WholeSpread {
            if (!(spineLoss.millimetres() >= 0 && spineLoss.millimetres() <= 50)) {
                throw new Refused(
                        "A loss of %s at the spine is not possible; choose from 0 mm to 50 mm."
                                .formatted(spineLoss.inWords()));
            }
        }
    }

    /**
     * A band along one edge, from end to end, out to the bleed on the three sides that it touches.
     *
     * @param depth how far the band reaches into the page, measured from the trim
     * @throws Refused if the depth is not above zero
     */
    record Band(Edge edge, Length depth) implements Area {
        public Band {
            if (depth.value() <= 0) {
                throw new Refused(
                        "A band %s deep would not be seen; make it deeper than 0 mm."
                                .formatted(depth.inWords()));
            }
        }
    }

    /** The zone that text is safe in; it never bleeds. */
    record SafeArea() implements Area {}

    /**
     * A rectangle measured from a point of the trim: its own corresponding point lies that far
     * inwards from there, to the right and down from a middle.
     *
     * @param across from the anchor, to the middle of the page; from a middle to the right
     * @param down from the anchor, to the middle of the page; from a middle downwards
     * @param bleeds the edges of the page that it goes on to the bleed at, wherever its own edge is
     * @throws Refused if the width or height is not above zero
     */
    record Rectangle(
            Anchor anchor,
            Length across,
            Length down,
            Length width,
            Length height,
            Set<Edge> bleeds)
            implements Area {
        public Rectangle {
            if (width.value() <= 0 || height.value() <= 0) {
                throw new Refused(
                        "A rectangle of %s by %s would not be seen; make both sides larger than 0 mm."
                                .formatted(width.inWords(), height.inWords()));
            }
            bleeds = bleeds.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(bleeds));
        }

        public Rectangle withBleeds(Set<Edge> changed) {
            return new Rectangle(anchor, across, down, width, height, changed);
        }
    }
}
