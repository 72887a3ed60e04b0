package yewberry.core.publication;

/** Where the type area begins, measured from the trim. */
public record Margins(Length top, Length bottom, Length inside, Length outside) {}
