package yewberry.core;

/**
 * Input that cannot be accepted. The message is written for the person at the screen: it names the
 * thing, the value and the way out, and nothing has been changed when it is thrown.
 */
public sealed class Refused extends RuntimeException permits Locked {
    private static final long serialVersionUID = 1L;

    public Refused(String message) {
        super(message);
    }
}
