package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Numbers;
import yewberry.core.edit.Edit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.mends.SwatchMend;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Uses;

/**
 * The nearest passing change of one side.
 *
 * @param name of the swatch that changes: that side's own, or what it derives from
 * @param changes what else has that swatch, in words
 */
public record PairMend(
        String side,
        String name,
        String values,
        String screen,
        BigDecimal ratio,
        List<String> changes,
        Edit edit) {
    /**
     * @param side that changes: text or backdrop
     */
    public static PairMend of(String side, SwatchMend mend, Publication publication) {
        return new PairMend(
                side,
                mend.swatch().name(),
                values(mend.definition()),
                mend.screen().hex(),
                Contrast.cut(mend.ratio()),
                Uses.where(publication, mend.swatch().id()),
                new SwatchEdit.ChangeSwatch(mend.swatch().id(), mend.definition()));
    }

    private static String values(Definition definition) {
        return switch (definition) {
            case Definition.Plain(Color color) -> color.toString();
            case Definition.SpotInk(Color color) -> color.toString();
            case Definition.Tint(UUID base, double percent) ->
                    "%s %% of its base".formatted(Numbers.plain(percent));
            case Definition.Lighter(UUID base, double percent) ->
                    "%s %% lighter than its base".formatted(Numbers.plain(percent));
            case Definition.Mix(UUID one, UUID other, double percent) ->
                    "%s %% of its first colour".formatted(Numbers.plain(percent));
            case Definition.Legible legible ->
                    "the first of %d that is legible".formatted(legible.swatches().size());
        };
    }
}
