package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.PageSize;

/** A change of pages, one or many at once. */
public sealed interface PageEdit extends Edit {
    /**
     * @param after the page they come after; nothing means at the front
     */
    record AddPages(List<UUID> pages, Optional<UUID> after, Optional<UUID> parent)
            implements PageEdit {}

    /**
     * Adds pages that are those of a file, one after the other.
     *
     * @param asset of the publication; one that is a document
     * @param first the number of the first of them in it, from 1
     * @param after the page they come after; nothing means at the front
     */
    record AddImported(
            UUID asset, int first, List<UUID> pages, Optional<UUID> after, Optional<UUID> parent)
            implements PageEdit {}

    /**
     * @param size nothing means that of the publication
     */
    record SizePages(List<UUID> pages, Optional<PageSize> size) implements PageEdit {}

    /**
     * @param after the page they come after; nothing means at the front
     */
    record MovePages(List<UUID> pages, Optional<UUID> after) implements PageEdit {}

    record RemovePages(List<UUID> pages) implements PageEdit {}

    record AssignParent(List<UUID> pages, Optional<UUID> parent) implements PageEdit {}

    /** Shows or hides the backgrounds that these pages have from their parent. */
    record ShowParent(List<UUID> pages, boolean shown) implements PageEdit {}

    /**
     * Names the part of the publication that begins with a page.
     *
     * @param name nothing means that it goes on in the part before it
     */
    record NamePart(UUID page, Optional<String> name) implements PageEdit {}
}
