package yewberry.core.text;

import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Language;
import yewberry.core.publication.Look;
import yewberry.core.publication.Run;

/** Where a typesetter finds looks. */
public interface Looks {
    Look paragraphs(UUID look);

    CharacterLook characters(UUID look);

    /** That of words that say no other. */
    Language language();

    /** What the characters of a run are set in. */
    default Type type(Look paragraph, Run run) {
        return Type.of(paragraph, run.look().map(this::characters));
    }
}
