package yewberry.core.publication;

/** What an area is filled with. None is not white: it paints nothing. */
public sealed interface Fill {
    record None() implements Fill {}

    record Solid(Tinted color) implements Fill {}
}
