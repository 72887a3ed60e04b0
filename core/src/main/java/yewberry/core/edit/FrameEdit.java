package yewberry.core.edit;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextBand;

/** A change of a text frame, or of what runs through it. */
public sealed interface FrameEdit extends Edit {
    /** Adds a frame with a story of its own: one empty paragraph of this id in this look. */
    record AddFrame(
            Owner owner, UUID frame, Sides sides, Box box, UUID story, UUID paragraph, UUID look)
            implements FrameEdit {}

    /** Adds a frame that another one's story goes on in, arranged like that one. */
    record ContinueFrame(UUID after, Owner owner, UUID frame, Sides sides, Box box)
            implements FrameEdit {}

    /** Adds a frame that a story runs through last, or first if it waited to be placed. */
    record PlaceStory(UUID story, Owner owner, UUID frame, Sides sides, Box box)
            implements FrameEdit {}

    /**
     * Changes when a frame is read: in the order of the frames of its page or parent, in which they
     * are painted, too.
     *
     * @param after the frame of the same page or parent that is read before it; nothing means that
     *     it is read first
     */
    record OrderFrame(UUID frame, Optional<UUID> after) implements FrameEdit {}

    /**
     * Lets the story of a frame go on in another one. What that one begins is put behind the text
     * there is; frames that come after it come along.
     */
    record JoinFrames(UUID after, UUID frame) implements FrameEdit {}

    /**
     * Cuts a chain before a frame; the text stays with the frames before.
     *
     * @param story the id of the one that begins in it
     * @param paragraph the id of the empty paragraph of that
     */
    record PartFrames(UUID frame, UUID story, UUID paragraph) implements FrameEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record PlaceFrame(UUID frame, Sides sides, Box box, Optional<Place> was) implements FrameEdit {
        public PlaceFrame(UUID frame, Sides sides, Box box) {
            this(frame, sides, box, Optional.empty());
        }
    }

    /**
     * Changes how text stands in a frame.
     *
     * @param was what it was made from; nothing means that all of it counts
     */
    record ArrangeFrame(UUID frame, FrameSetting setting, Optional<FrameSetting> was)
            implements FrameEdit {}

    /** Where a frame lies. */
    record Place(Sides sides, Box box) {}

    /**
     * Adds a band along an edge with a story of its own in it: one empty paragraph of this id in
     * this look.
     */
    record AddBand(
            Owner owner,
            UUID frame,
            Sides sides,
            TextBand band,
            UUID story,
            UUID paragraph,
            UUID look)
            implements FrameEdit {}

    /**
     * Changes the band that a frame's text stands in.
     *
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeBand(UUID frame, TextBand band, Optional<TextBand> was) implements FrameEdit {}

    /**
     * Says what a frame of a parent keeps to on pages of another size.
     *
     * @param was what it was made from; nothing means that all of it counts
     */
    record HoldFrame(UUID frame, Hold hold, Optional<Hold> was) implements FrameEdit {}

    /** Locks a frame as it is, or unlocks it. */
    record LockFrame(UUID frame, boolean locked) implements FrameEdit {}

    /** Puts a picture or a word in front, above those that are there. */
    record AddPicture(Owner owner, PictureFrame picture) implements FrameEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangePicture(PictureFrame picture, Optional<PictureFrame> was) implements FrameEdit {}

    /** Removes a frame; its story runs on without it, and goes with the last one. */
    record RemoveFrame(UUID frame) implements FrameEdit {}
}
