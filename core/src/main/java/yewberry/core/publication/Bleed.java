package yewberry.core.publication;

/** How far the page is printed beyond the trim, edge by edge. */
public record Bleed(Length top, Length bottom, Length outside, Length spine) {
    /** 3 mm, and none at the spine: common practice, no source. */
    public static final Bleed USUAL =
            new Bleed(Length.mm(3), Length.mm(3), Length.mm(3), Length.ZERO);
}
