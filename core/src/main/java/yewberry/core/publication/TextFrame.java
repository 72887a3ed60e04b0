package yewberry.core.publication;

import java.util.List;
import java.util.UUID;

/**
 * A rectangle that text runs in. On a parent's left side, x counts from the right edge.
 *
 * @param story that runs through it; its chain says in which turn
 */
public record TextFrame(UUID id, Sides sides, Box box, UUID story) implements Element {
    public TextFrame withStory(UUID changed) {
        return new TextFrame(id, sides, box, changed);
    }

    @Override
    public List<Reference> references() {
        return List.of(Reference.story(story));
    }

    @Override
    public TextFrame withReference(UUID old, UUID replacement) {
        return story.equals(old) ? withStory(replacement) : this;
    }
}
