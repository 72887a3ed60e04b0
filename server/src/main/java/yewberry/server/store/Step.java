package yewberry.server.store;

import java.util.Optional;

/**
 * One revision of a publication.
 *
 * @param author who made it: a random name that a browser gave itself
 * @param reverses the edit that an undo takes back or a redo brings back
 */
public record Step(String author, Kind kind, Optional<Long> reverses) {
    public enum Kind {
        EDIT,
        UNDO,
        REDO
    }

    public static Step edit(String author) {
        return new Step(author, Kind.EDIT, Optional.empty());
    }
}
