package yewberry.core.publication;

/** How a picture goes on past its own edge, to the edges of its area. */
public enum RunOut {
    NONE,
    /** Each of its edges goes on in the mean colour along it. */
    EDGE_COLOR,
    MIRROR,
    /** It is made as much larger as it takes. */
    ENLARGE
}
