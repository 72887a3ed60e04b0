package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import yewberry.core.color.Contrast;
import yewberry.core.edit.Edit;
import yewberry.core.mends.Mend;
import yewberry.core.publication.Publication;

/**
 * A mend as it is offered; {@code edit} applies it.
 *
 * @param scope what it changes: the run, its look, a band behind it, a swatch, or what else of a
 *     remedy's kinds; {@code FINDING} where that is said by its name
 * @param name of the swatch that the text gets, of what the band is painted with, or what is done
 * @param values the colour's, or how deep the band becomes; may be empty
 * @param seen how text stands out then, where it is about that
 * @param tried whether all that it changes was judged, so that it is known what text fails
 * @param stays what of the finding would be there still
 * @param worse other text that would fail for it
 * @param comes what else would be found on the page, in words
 * @param overset whether text finds no room then that had some
 */
public record MendView(
        String scope,
        String name,
        String values,
        Optional<SeenView> seen,
        List<Integer> pages,
        boolean tried,
        Optional<String> stays,
        List<String> worse,
        List<String> comes,
        boolean overset,
        Edit edit) {
    /**
     * @param screen a colour as it is seen, {@code #rrggbb}
     * @param ratio cut to two decimals
     */
    public record SeenView(String screen, BigDecimal ratio, double required) {
        private static SeenView of(Mend.Seen seen) {
            return new SeenView(seen.screen().hex(), Contrast.cut(seen.ratio()), seen.required());
        }
    }

    public static MendView of(Mend mend, Publication publication) {
        return new MendView(
                mend.changes(),
                mend.words(),
                mend.detail(),
                mend.seen().map(SeenView::of),
                mend.pages().stream().map(page -> publication.indexOf(page) + 1).toList(),
                mend.isTried(),
                mend.stays(),
                mend.worse(),
                mend.comes(),
                mend.overset(),
                mend.edit());
    }
}
