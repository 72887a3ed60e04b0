package yewberry.core;

/** A file that opens with a password only, and came without it or with another one. */
public final class Locked extends Refused {
    private static final long serialVersionUID = 1;

    public Locked(String message) {
        super(message);
    }
}
