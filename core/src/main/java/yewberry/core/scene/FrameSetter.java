package yewberry.core.scene;

import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.SetText;
import yewberry.core.text.Typesetter;

/** Sets the text of frames, unless frame and looks are the same objects as before. */
final class FrameSetter {
    private final SceneMemory memory;

    FrameSetter(SceneMemory memory) {
        this.memory = memory;
    }

    /**
     * @param looks that it was set in
     */
    record CachedText(Ingredients looks, SetText text) {}

    SetText set(TextFrame frame, Publication publication) {
        return memory.text(frame)
                .filter(known -> known.looks().unchangedIn(publication))
                .map(CachedText::text)
                .orElseGet(() -> fresh(frame, publication));
    }

    private SetText fresh(TextFrame frame, Publication publication) {
        Ingredients looks = new Ingredients(publication);
        SetText text = Typesetter.set(frame, looks::look);
        memory.keep(frame, new CachedText(looks.sealed(), text));
        return text;
    }
}
