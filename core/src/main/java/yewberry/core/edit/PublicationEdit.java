package yewberry.core.edit;

import java.util.Optional;
import yewberry.core.publication.Setup;

/** A change of the publication as a whole. */
public sealed interface PublicationEdit extends Edit {
    record RenamePublication(String name) implements PublicationEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeSetup(Setup setup, Optional<Setup> was) implements PublicationEdit {
        public ChangeSetup(Setup setup) {
            this(setup, Optional.empty());
        }
    }
}
