package yewberry.core.publication;

/** An element that backgrounds and text frames lie on. */
public sealed interface Carrier extends Element permits Page, Parent, Recipe {
    Layer layer();

    Carrier withLayer(Layer changed);

    /** How it is named as what something lies on. */
    Owner asOwner();
}
