package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import yewberry.core.color.Contrast;
import yewberry.core.edit.Edit;
import yewberry.core.mends.Mend;
import yewberry.core.publication.Publication;

/**
 * A mend as it is offered; {@code edit} applies it.
 *
 * @param scope what it changes: the run, its look, a band behind it, a swatch, or what else of a
 *     remedy's kinds
 * @param tried whether all that it changes was judged, so that the next two are known
 * @param worse other text that would fail for it
 * @param overset whether text finds no room then that had some
 * @param name of the swatch that the text gets, or of what the band is painted with
 * @param values the colour's, or how deep the band becomes
 * @param screen the colour as it is seen
 */
public record MendView(
        String scope,
        String name,
        String values,
        String screen,
        BigDecimal ratio,
        double required,
        List<Integer> pages,
        boolean tried,
        List<String> worse,
        boolean overset,
        Edit edit) {
    public static MendView of(Mend mend, Publication publication) {
        return new MendView(
                mend.changes(),
                mend.words(),
                mend.detail(),
                mend.screen().hex(),
                Contrast.cut(mend.ratio()),
                mend.required(),
                mend.pages().stream().map(page -> publication.indexOf(page) + 1).toList(),
                mend.isTried(),
                mend.worse(),
                mend.overset(),
                mend.edit());
    }
}
