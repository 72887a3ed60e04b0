package yewberry.core.publication;

import yewberry.core.Refused;

/** Where a background lies. An area that touches an edge of the page goes on to its bleed. */
public sealed interface Area {
    /** All of the page, out to the bleed on every side. */
    record WholePage() implements Area {}

    /**
     * A band along one edge, from end to end.
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
}
