package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.publication.Background;
import yewberry.core.publication.Owner;

/** A change of backgrounds. */
public sealed interface BackgroundEdit extends Edit {
    /** Takes off all backgrounds that these pages have of their own. */
    record ClearBackgrounds(List<UUID> pages) implements BackgroundEdit {}

    /** Puts a background on top of those that are there. */
    record AddBackground(Owner owner, Background background) implements BackgroundEdit {}

    /**
     * @param was what it was made from; nothing means that all of it counts
     */
    record ChangeBackground(Background background, Optional<Background> was)
            implements BackgroundEdit {
        public ChangeBackground(Background background) {
            this(background, Optional.empty());
        }
    }

    /**
     * Changes some backgrounds alike: of each what {@code background} has otherwise than {@code
     * was}, and nothing else.
     *
     * @param was one of them, which {@code background} was made from
     * @param also properties that all of them get from {@code background}, although it has them as
     *     {@code was} had, named as in JSON, such as {@code fill.color.tint}
     */
    record ChangeBackgrounds(
            List<UUID> backgrounds, Background background, Background was, Set<String> also)
            implements BackgroundEdit {
        public ChangeBackgrounds {
            backgrounds = List.copyOf(backgrounds);
            also = Set.copyOf(also);
        }
    }

    /**
     * @param steps how many others to pass, upwards above zero and downwards below
     */
    record RestackBackground(UUID background, int steps) implements BackgroundEdit {}

    record RemoveBackground(UUID background) implements BackgroundEdit {}
}
