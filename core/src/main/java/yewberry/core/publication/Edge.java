package yewberry.core.publication;

/** An edge of a page. Inside is the spine edge; without facing pages it is the left one. */
public enum Edge {
    TOP,
    BOTTOM,
    INSIDE,
    OUTSIDE,
    LEFT,
    RIGHT;

    /** This edge of a page on that hand, as one of top, bottom, left and right. */
    public Edge on(Side side) {
        return switch (this) {
            case TOP, BOTTOM, LEFT, RIGHT -> this;
            case INSIDE -> side == Side.RIGHT ? LEFT : RIGHT;
            case OUTSIDE -> side == Side.RIGHT ? RIGHT : LEFT;
        };
    }
}
