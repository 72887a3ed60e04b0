package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Box;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;

/** A change of a text frame, or of the text in it. */
public sealed interface FrameEdit extends Edit {
    /** Adds an empty frame with one paragraph of this id in this look. */
    record AddFrame(Owner owner, UUID frame, Sides sides, Box box, UUID paragraph, UUID look)
            implements FrameEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record PlaceFrame(UUID frame, Sides sides, Box box, Optional<Place> was) implements FrameEdit {
        public PlaceFrame(UUID frame, Sides sides, Box box) {
            this(frame, sides, box, Optional.empty());
        }
    }

    /** Where a frame lies. */
    record Place(Sides sides, Box box) {}

    record RemoveFrame(UUID frame) implements FrameEdit {}

    /**
     * Gives a frame this text; paragraphs and runs that were there keep their ids and colours.
     *
     * @param was what it was made from; nothing means that all of it counts
     */
    record WriteText(
            UUID frame, List<WrittenParagraph> paragraphs, Optional<List<WrittenParagraph>> was)
            implements FrameEdit {
        public WriteText(UUID frame, List<WrittenParagraph> paragraphs) {
            this(frame, paragraphs, Optional.empty());
        }
    }

    /** A paragraph as typed. */
    record WrittenParagraph(UUID paragraph, UUID look, String text) {}

    /**
     * @param color nothing means the colour of its look again
     */
    record ColorRun(UUID run, Optional<Tinted> color) implements FrameEdit {}
}
