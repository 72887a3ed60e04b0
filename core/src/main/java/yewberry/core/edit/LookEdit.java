package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;

/** A change of a look. */
public sealed interface LookEdit extends Edit {
    record AddLook(Look look) implements LookEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeLook(Look look, Optional<Look> was) implements LookEdit {
        public ChangeLook(Look look) {
            this(look, Optional.empty());
        }
    }

    /** Takes differences of paragraphs, or of words, that wear a look into that. */
    record TakeIntoLook(UUID look, Optional<LocalSetting> setting, Optional<LocalType> words)
            implements LookEdit {}

    /**
     * @param replacement what its paragraphs get instead; needed where the look is in use
     */
    record RemoveLook(UUID look, Optional<UUID> replacement) implements LookEdit {}
}
