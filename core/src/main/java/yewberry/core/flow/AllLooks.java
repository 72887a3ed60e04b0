package yewberry.core.flow;

import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;

/** All looks of a publication, without the rest of it. */
record AllLooks(Elements<Look> paragraphs, Elements<CharacterLook> characters) {
    static AllLooks of(Publication publication) {
        return new AllLooks(publication.looks(), publication.characterLooks());
    }
}
