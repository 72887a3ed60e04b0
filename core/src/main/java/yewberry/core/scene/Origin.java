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

    /**
     * An annotation or a form field of the page of a file that a page is.
     *
     * @param name of the file
     */
    record FromAnnotation(UUID page, String name) implements Origin {}

    /** Whether it is something of a file, which paints it. */
    default boolean isInFile() {
        return switch (this) {
            case FromFile _, FromAnnotation _ -> true;
            case FromPage _, FromParent _ -> false;
        };
    }

    default Owner owner() {
        return switch (this) {
            case FromPage(UUID page) -> new Owner.OnPage(page);
            case FromFile(UUID page, String name) -> new Owner.OnPage(page);
            case FromAnnotation(UUID page, String name) -> new Owner.OnPage(page);
            case FromParent(UUID parent, String name) -> new Owner.OnParent(parent);
        };
    }

    default String inWords() {
        return switch (this) {
            case FromPage page -> "this page";
            case FromFile(UUID page, String name) -> "the file “%s”".formatted(name);
            case FromAnnotation(UUID page, String name) ->
                    "an annotation or a form field of “%s”".formatted(name);
            case FromParent(UUID parent, String name) -> "parent “%s”".formatted(name);
        };
    }
}
