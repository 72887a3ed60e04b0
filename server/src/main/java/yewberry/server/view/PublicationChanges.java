package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.DifferingRange;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * What became of a publication since a revision.
 *
 * @param pages what took the place of some pages; nothing where all are as they were
 * @param known whether that revision is still known; if not, the pages are to be read anew
 */
public record PublicationChanges(
        PublicationView publication, Optional<PageSplice> pages, boolean known) {
    /**
     * Pages that took the place of others.
     *
     * @param from the position of the first of them, from 0
     * @param removed how many stood there before
     * @param entries those that stand there now
     */
    public record PageSplice(int from, int removed, List<PageEntry> entries) {}

    /**
     * @param before as it was at that revision; nothing if that is not known any more
     */
    public static PublicationChanges of(
            Optional<Publication> before,
            Publication now,
            long revision,
            Uses uses,
            PressCondition press) {
        return new PublicationChanges(
                PublicationView.of(now, revision, uses, press),
                before.flatMap(was -> splice(was.pages(), now.pages())),
                before.isPresent());
    }

    /** All between what both begin with and what both end with. */
    private static Optional<PageSplice> splice(List<Page> before, List<Page> now) {
        DifferingRange range = DifferingRange.of(before, now);
        List<Page> gone = range.of(before);
        List<Page> come = range.of(now);
        return gone.isEmpty() && come.isEmpty()
                ? Optional.empty()
                : Optional.of(new PageSplice(range.from(), gone.size(), PageEntry.of(come)));
    }
}
