package yewberry.core.publication;

/** Between text and the border around it, or the edge of what is behind it. */
public record Padding(Distance top, Distance right, Distance bottom, Distance left) {
    public static final Padding NONE = all(Distance.NONE);

    public static Padding all(Distance each) {
        return new Padding(each, each, each, each);
    }
}
