package yewberry.core.publication;

/**
 * A point of the trim that something is measured from: a corner, the middle of an edge, or the
 * centre.
 */
public record Anchor(Across across, Down down) {
    /** Inside is the spine edge; without facing pages it is the left one. */
    public enum Across {
        LEFT,
        MIDDLE,
        RIGHT,
        INSIDE,
        OUTSIDE;

        /** This on a page of that hand, as left, middle or right. */
        public Across on(Side side) {
            return switch (this) {
                case LEFT, MIDDLE, RIGHT -> this;
                case INSIDE -> side == Side.RIGHT ? LEFT : RIGHT;
                case OUTSIDE -> side == Side.RIGHT ? RIGHT : LEFT;
            };
        }
    }

    public enum Down {
        TOP,
        MIDDLE,
        BOTTOM
    }
}
