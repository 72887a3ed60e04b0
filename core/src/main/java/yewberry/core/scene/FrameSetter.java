package yewberry.core.scene;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.SetText;
import yewberry.core.text.Typesetter;

/** Sets the text of frames and remembers it while frame and looks are the same objects. */
final class FrameSetter {
    /** More than the frames of any publication at hand. */
    private static final int REMEMBERED = 20_000;

    private record CachedText(TextFrame frame, Ingredients looks, SetText text) {}

    private final Cache<UUID, CachedText> memo =
            Caffeine.newBuilder().maximumSize(REMEMBERED).executor(Runnable::run).build();

    SetText set(TextFrame frame, Publication publication) {
        CachedText known = memo.getIfPresent(frame.id());
        if (known != null && known.frame() == frame && known.looks().unchangedIn(publication)) {
            return known.text();
        }
        Ingredients looks = new Ingredients(publication);
        SetText text = Typesetter.set(frame, looks::look);
        memo.put(frame.id(), new CachedText(frame, looks.sealed(), text));
        return text;
    }
}
