package yewberry.core.flow;

import java.util.Collections;
import java.util.List;
import java.util.UUID;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Language;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Story;
import yewberry.core.text.ListMarks;
import yewberry.core.text.Looks;

/**
 * All looks of a publication, without the rest of it.
 *
 * @param language of words that say no other
 */
record AllLooks(Elements<Look> paragraphs, Elements<CharacterLook> characters, Language language)
        implements Looks {
    /** As a story sees them. */
    static AllLooks of(Publication publication, Story story) {
        return new AllLooks(
                publication.looks(),
                publication.characterLooks(),
                story.language().orElse(publication.setup().language()));
    }

    @Override
    public Look paragraphs(UUID look) {
        return paragraphs.find(look).orElseThrow();
    }

    @Override
    public CharacterLook characters(UUID look) {
        return characters.find(look).orElseThrow();
    }

    /** What stands before each paragraph of a story. */
    List<String> marks(Story story) {
        return paragraphs.stream().anyMatch(look -> look.list().isPresent())
                ? ListMarks.of(story.paragraphs(), this)
                : Collections.nCopies(story.paragraphs().size(), "");
    }
}
