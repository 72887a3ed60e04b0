package yewberry.core.scene;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.SetText;
import yewberry.core.text.Typesetter;

/** Sets the text of frames and remembers it while frame and looks are the same objects. */
final class FrameSetter {
    /** More than the frames of any publication at hand; beyond it the memory begins anew. */
    private static final int REMEMBERED = 20_000;

    private record Known(TextFrame frame, Ingredients looks, SetText text) {}

    private final Map<UUID, Known> memo = new ConcurrentHashMap<>();

    SetText set(TextFrame frame, Publication publication) {
        Known known = memo.get(frame.id());
        if (known != null && known.frame() == frame && known.looks().unchangedIn(publication)) {
            return known.text();
        }
        Ingredients looks = new Ingredients(publication);
        SetText text = Typesetter.set(frame, looks::look);
        if (memo.size() >= REMEMBERED) {
            memo.clear();
        }
        memo.put(frame.id(), new Known(frame, looks.sealed(), text));
        return text;
    }
}
