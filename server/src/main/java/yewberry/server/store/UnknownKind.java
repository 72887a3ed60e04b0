package yewberry.server.store;

/** Something in the database that this version cannot read. The message is for people. */
public final class UnknownKind extends RuntimeException {
    private static final long serialVersionUID = 1L;

    UnknownKind(String what, String kind) {
        super(
                ("The database holds a %s of the kind “%s”, which this version of Yewberry does not"
                                + " know. Open it with the version that wrote it; nothing was changed.")
                        .formatted(what, kind));
    }
}
