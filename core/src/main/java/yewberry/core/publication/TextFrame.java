package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A rectangle that text runs in. On a parent's left side, x counts from the right edge.
 *
 * @param setting how its text stands in it
 * @param story that runs through it; its chain says in which turn
 * @param band that it stands in, where it is the text of one; then that says where it lies
 * @param hold what it keeps to on pages of another size, where it is on a parent
 */
public record TextFrame(
        UUID id,
        Sides sides,
        Box box,
        FrameSetting setting,
        UUID story,
        boolean locked,
        Optional<TextBand> band,
        Hold hold)
        implements Frame {
    public TextFrame {
        setting.check(box);
    }

    public TextFrame(UUID id, Sides sides, Box box, FrameSetting setting, UUID story) {
        this(id, sides, box, setting, story, false, Optional.empty(), Hold.TOP_LEFT);
    }

    /** One whose text stands in it as usual. */
    public TextFrame(UUID id, Sides sides, Box box, UUID story) {
        this(id, sides, box, FrameSetting.USUAL, story);
    }

    public TextFrame withSetting(FrameSetting changed) {
        return new TextFrame(id, sides, box, changed, story, locked, band, hold);
    }

    public TextFrame withStory(UUID changed) {
        return new TextFrame(id, sides, box, setting, changed, locked, band, hold);
    }

    @Override
    public TextFrame withPlace(Sides changed, Box to) {
        return new TextFrame(id, changed, to, setting, story, locked, band, hold);
    }

    @Override
    public TextFrame withLocked(boolean changed) {
        return new TextFrame(id, sides, box, setting, story, changed, band, hold);
    }

    @Override
    public TextFrame withHold(Hold changed) {
        return new TextFrame(id, sides, box, setting, story, locked, band, changed);
    }

    @Override
    public double rotation() {
        return setting.rotation();
    }

    /** Along an edge of the page. */
    public TextFrame withBand(Optional<TextBand> changed) {
        return new TextFrame(id, sides, box, setting, story, locked, changed, hold);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>(List.of(Reference.story(story)));
        band.ifPresent(each -> references.addAll(each.references()));
        return references;
    }

    @Override
    public TextFrame withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        return withStory(story.equals(old) ? replacement : story)
                .withBand(band.map(each -> each.withReference(old, replacement)));
    }
}
