package yewberry.core.publication;

/**
 * Which pages something on a parent shows on. With {@code BOTH}, what is on the right-hand side
 * stands mirrored about the spine on the left. Things on a page itself are always {@code BOTH}.
 */
public enum Sides {
    BOTH,
    LEFT,
    RIGHT;

    public boolean include(Side side) {
        return switch (this) {
            case BOTH -> true;
            case LEFT -> side == Side.LEFT;
            case RIGHT -> side == Side.RIGHT;
        };
    }
}
