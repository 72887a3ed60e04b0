package yewberry.core.publication;

import java.util.List;
import java.util.UUID;

/**
 * A rectangle that text runs in. On a parent's left side, x counts from the right edge.
 *
 * @param setting how its text stands in it
 * @param story that runs through it; its chain says in which turn
 */
public record TextFrame(UUID id, Sides sides, Box box, FrameSetting setting, UUID story)
        implements Element {
    public TextFrame {
        setting.check(box);
    }

    /** One whose text stands in it as usual. */
    public TextFrame(UUID id, Sides sides, Box box, UUID story) {
        this(id, sides, box, FrameSetting.USUAL, story);
    }

    public TextFrame withSetting(FrameSetting changed) {
        return new TextFrame(id, sides, box, changed, story);
    }

    public TextFrame withStory(UUID changed) {
        return new TextFrame(id, sides, box, setting, changed);
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
