package yewberry.core.publication;

import java.util.UUID;

/**
 * What lies in front of the backgrounds of a page or parent: text, a picture, a word. Frames stand
 * in one order; the later ones lie above.
 */
public sealed interface Frame extends Element permits TextFrame, PictureFrame {
    Sides sides();

    /**
     * Where it lies before it is rotated. On a parent's left side, x counts from the right edge.
     */
    Box box();

    /** About its middle, in degrees clockwise. */
    double rotation();

    /** Whether it stays as it is until it is unlocked. */
    boolean locked();

    /** What it keeps to on pages of another size; on a page of its own it says nothing. */
    Hold hold();

    /**
     * What it keeps to on pages of a size: where text would have no room for that, its place.
     *
     * @param usual the size of the pages that it was placed on
     */
    default Hold holdOn(PageSize usual, PageSize page) {
        return this instanceof TextFrame text
                        && !text.setting().isRoomy(hold().on(box(), usual, page))
                ? Hold.TOP_LEFT
                : hold();
    }

    Frame withPlace(Sides sides, Box box);

    Frame withHold(Hold hold);

    Frame withLocked(boolean changed);

    /** This very object, if it does not refer to it. */
    @Override
    Frame withReference(UUID old, UUID replacement);
}
