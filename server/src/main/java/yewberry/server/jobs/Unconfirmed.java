package yewberry.server.jobs;

/** Something that is done only when a person has said so. The message says what it is. */
public final class Unconfirmed extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unconfirmed(String message) {
        super(message);
    }
}
