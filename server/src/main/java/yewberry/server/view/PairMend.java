package yewberry.server.view;

import java.util.List;
import yewberry.core.mends.SwatchMend;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * The nearest passing change of one side: of that side's own swatch, or of what it derives from.
 *
 * @param side that changes: text or backdrop
 * @param changes what else has that swatch, in words
 */
public record PairMend(String side, MendView mend, List<String> changes) {
    public static PairMend of(String side, SwatchMend mend, Publication publication) {
        return new PairMend(
                side, MendView.of(mend, publication), Uses.where(publication, mend.swatch().id()));
    }
}
