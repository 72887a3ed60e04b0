package yewberry.core.edit;

import yewberry.core.Refused;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Publication;

/** A publication after a step, and what the step changed. */
public record Edited(Publication publication, Patch patch) {
    /**
     * @throws Refused if something would refer to what is not there
     */
    static Edited checked(Publication before, Publication after) {
        Limits.check(before, after);
        Patch patch = Patch.between(before, after);
        FreshIds.check(before, patch);
        Integrity.check(after, patch);
        return new Edited(after, patch);
    }

    /**
     * Applies a patch made at another time, such as the inverse of one to undo it.
     *
     * @throws Refused if that would leave something referring to what is not there
     */
    public static Edited by(Patch patch, Publication before) {
        return checked(before, patch.applyTo(before));
    }
}
