package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.edit.Edit;
import yewberry.core.mends.WholeMend;
import yewberry.core.publication.Publication;

/**
 * Changes after which no text fails that can be mended.
 *
 * @param left text that none of them mends
 * @param more whether there was more than could be tried in the time there is
 */
public record WholeMendView(
        long revision, List<ProposedChange> changes, List<LeftText> left, boolean more) {
    /**
     * @param texts how much text it mends
     * @param pages that it changes, in order
     */
    public record ProposedChange(String words, int texts, List<UUID> pages, Edit edit) {}

    /**
     * @param page its number, from 1
     */
    public record LeftText(
            int page, UUID pageId, UUID run, String text, BigDecimal ratio, double required) {}

    public static WholeMendView of(long revision, WholeMend mend, Publication publication) {
        return new WholeMendView(
                revision,
                mend.changes().stream()
                        .map(each ->
                                new ProposedChange(
                                        each.words(),
                                        each.runs().size(),
                                        each.pages(),
                                        each.edit()))
                        .toList(),
                mend.left().stream()
                        .map(each ->
                                new LeftText(
                                        publication.indexOf(each.page()) + 1,
                                        each.page(),
                                        each.run(),
                                        each.text(),
                                        Contrast.cut(each.ratio()),
                                        each.required()))
                        .toList(),
                mend.more());
    }
}
