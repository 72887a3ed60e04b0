package yewberry.core.text;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Language;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;

/** Where a typesetter finds looks. */
public interface Looks {
    /** What differences are called where there is no look that they differ from. */
    String LOCAL = "local";

    Look paragraphs(UUID look);

    CharacterLook characters(UUID look);

    /** That of words that say no other. */
    Language language();

    /** The look of a paragraph as it is there. */
    default Look of(Paragraph paragraph) {
        return paragraph.as(paragraphs(paragraph.look()));
    }

    /** What a run sets otherwise than its paragraph does. */
    default Optional<CharacterLook> characters(Run run) {
        Optional<CharacterLook> look = run.look().map(this::characters);
        return run.local().isEmpty()
                ? look
                : run.local().map(each -> each.on(look.orElse(new CharacterLook(run.id(), LOCAL))));
    }

    /** What the characters of a run are set in. */
    default Type type(Look paragraph, Run run) {
        return Type.of(paragraph, characters(run));
    }
}
