package yewberry.server.publications;

/** A step that cannot be made because of what changed meanwhile. The message is for people. */
public final class Conflict extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Conflict(String message) {
        super(message);
    }
}
