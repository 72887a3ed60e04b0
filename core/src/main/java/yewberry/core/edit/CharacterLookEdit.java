package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.LocalType;

/** A change of a look of characters. */
public sealed interface CharacterLookEdit extends Edit {
    record AddCharacterLook(CharacterLook look) implements CharacterLookEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeCharacterLook(CharacterLook look, Optional<CharacterLook> was)
            implements CharacterLookEdit {}

    /** Takes differences of words that wear a look into that. */
    record TakeIntoCharacterLook(UUID look, LocalType words) implements CharacterLookEdit {}

    /**
     * @param replacement what its characters get instead; nothing lets them look as their paragraph
     */
    record RemoveCharacterLook(UUID look, Optional<UUID> replacement)
            implements CharacterLookEdit {}
}
