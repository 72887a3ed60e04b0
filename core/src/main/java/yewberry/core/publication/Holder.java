package yewberry.core.publication;

import java.util.UUID;

/** What an element is in, if not in the publication itself: what it lies on, or a story. */
public sealed interface Holder permits Owner, Holder.InStory {
    UUID id();

    /** That of a paragraph. */
    record InStory(UUID id) implements Holder {}
}
