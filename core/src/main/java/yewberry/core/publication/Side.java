package yewberry.core.publication;

/** The hand a page is on: on a right-hand page the spine is at its left. */
public enum Side {
    LEFT,
    RIGHT;

    public Side opposite() {
        return this == LEFT ? RIGHT : LEFT;
    }
}
