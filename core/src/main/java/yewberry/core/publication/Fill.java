package yewberry.core.publication;

import java.util.UUID;

/** What an area is filled with. None is not white: it paints nothing. */
public sealed interface Fill {
    record None() implements Fill {}

    record Solid(UUID swatch) implements Fill {}
}
