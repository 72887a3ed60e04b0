package yewberry.server.publications;

/** Something asked for by an id that is not there. The message is for people. */
public final class Missing extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Missing(String what) {
        super("There is no such %s; it may have been removed. Go back and reload.".formatted(what));
    }
}
