package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import yewberry.core.color.Contrast;
import yewberry.core.edit.Edit;
import yewberry.core.legibility.Mend;
import yewberry.core.publication.Publication;

/** A mend as it is offered; {@code edit} applies it. */
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
                mend.pages().stream().map(page -> publication.indexOf(page) + 1).toList(),
                mend.edit());
    }
}
