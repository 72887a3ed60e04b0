package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Edit;
import yewberry.core.mends.BandMend;
import yewberry.core.mends.Mend;
import yewberry.core.publication.Publication;

/**
 * A mend as it is offered; {@code edit} applies it.
 *
 * @param scope what it changes: the run, its look, or a band behind it
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
        Edit edit) {
    public static MendView of(Mend mend, Publication publication) {
        return new MendView(
                mend.scope().name(),
                mend.name(),
                mend.color().toString(),
                mend.screen().hex(),
                Contrast.cut(mend.ratio()),
                mend.required(),
                numbers(mend.pages(), publication),
                mend.edit());
    }

    public static MendView of(BandMend mend, Publication publication, PressCondition condition) {
        Medium medium = publication.setup().destination().media().getFirst();
        return new MendView(
                "BAND",
                mend.fill().inWords(),
                "Band %s deep instead of %s%s"
                        .formatted(
                                mend.now().depth(),
                                mend.was().depth(),
                                mend.textColor()
                                        .map(name -> ", and the text in “%s”".formatted(name))
                                        .orElse("")),
                condition.seen(mend.fill().paints().getFirst().color(), medium).hex(),
                Contrast.cut(mend.ratio()),
                mend.required(),
                numbers(mend.pages(), publication),
                mend.edit());
    }

    private static List<Integer> numbers(List<UUID> pages, Publication publication) {
        return pages.stream().map(page -> publication.indexOf(page) + 1).toList();
    }
}
