package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * Something that is taken out of a publication; what used it gets another one.
 *
 * @param replacement needed where it is in use
 */
record Replacing(UUID gone, Optional<UUID> replacement) {
    Replacing {
        Lists.refuseSame(gone, replacement);
    }

    /**
     * @param without what remains of the publication
     * @param known looks the replacement up there, and refuses one that is not there
     * @param refusal what to say where there is no replacement, of the number of places
     */
    Publication in(
            Publication on,
            Publication without,
            BiFunction<Publication, UUID, UUID> known,
            UnaryOperator<String> refusal) {
        int uses = Uses.of(on).of(gone);
        if (uses == 0) {
            return without;
        }
        UUID instead =
                replacement.orElseThrow(
                        () -> new Refused(refusal.apply(uses == 1 ? "1 place" : uses + " places")));
        return without.withReference(gone, known.apply(without, instead));
    }
}
