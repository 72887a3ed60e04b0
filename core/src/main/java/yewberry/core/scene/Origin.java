package yewberry.core.scene;

import java.util.UUID;
import yewberry.core.publication.Owner;

/** Where something painted comes from. */
public sealed interface Origin {
    record FromPage(UUID page) implements Origin {}

    record FromParent(UUID parent, String name) implements Origin {}

    /**
     * The page of a file that a page is.
     *
     * @param name of the file
     */
    record FromFile(UUID page, String name) implements Origin {}

    default Owner owner() {
        return switch (this) {
            case FromPage(UUID page) -> new Owner.OnPage(page);
            case FromFile(UUID page, String name) -> new Owner.OnPage(page);
            case FromParent(UUID parent, String name) -> new Owner.OnParent(parent);
        };
    }

    default String inWords() {
        return switch (this) {
            case FromPage page -> "this page";
            case FromFile(UUID page, String name) -> "the file “%s”".formatted(name);
            case FromParent(UUID parent, String name) -> "parent “%s”".formatted(name);
        };
    }
}
