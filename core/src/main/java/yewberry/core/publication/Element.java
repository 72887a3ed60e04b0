package yewberry.core.publication;

import java.util.List;
import java.util.UUID;

/**
 * What can be changed by itself: the unit in which edits meet, are stored and are undone. Two edits
 * conflict if they touch the same element. What lies on a {@link Carrier} is not part of it, nor
 * are the paragraphs part of a {@link Story}.
 */
public sealed interface Element
        permits Heading,
                Swatch,
                Look,
                CharacterLook,
                Asset,
                Carrier,
                Background,
                Frame,
                Story,
                Paragraph,
                Exemption {
    UUID id();

    /** What it needs to be there, each as often as it refers to it. */
    List<Reference> references();

    /**
     * The same with another element in the place of one that it refers to.
     *
     * @return this very object, if it does not refer to it
     */
    Element withReference(UUID old, UUID replacement);
}
