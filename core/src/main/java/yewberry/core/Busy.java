package yewberry.core;

/**
 * Something that cannot be done at the moment and can be later, with a message for the person at
 * the screen. Unlike what is {@link Refused}, it is not remembered of a file that it could not be
 * read.
 */
public final class Busy extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Busy(String message) {
        super(message);
    }
}
