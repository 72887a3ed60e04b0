package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;

/**
 * A page in the order of pages. Its number, its side and its spread follow from its place there.
 *
 * @param part the name of the part that begins with it
 * @param size its own, where it is not that of the publication
 * @param imported the page of a file that it is
 * @param backgrounds how many it has of its own
 */
public record PageEntry(
        UUID id,
        Optional<UUID> parent,
        boolean parentShown,
        Optional<String> part,
        Optional<PageSize> size,
        Optional<Imported> imported,
        int backgrounds) {
    static PageEntry of(Page page) {
        return new PageEntry(
                page.id(),
                page.parent(),
                page.parentShown(),
                page.part(),
                page.size(),
                page.imported(),
                page.layer().backgrounds().size());
    }

    public static List<PageEntry> of(List<Page> pages) {
        return pages.stream().map(PageEntry::of).toList();
    }
}
