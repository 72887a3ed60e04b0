package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.edit.Edit;
import yewberry.core.mends.Reversal;
import yewberry.core.publication.Tinted;

/**
 * Text on a ground, as it would be.
 *
 * @param look that has the ground then
 * @param ratio cut to two decimals
 */
public record ReversalView(
        Edit edit,
        UUID look,
        String text,
        String screen,
        String ground,
        BigDecimal ratio,
        double required,
        boolean passes) {
    /**
     * What is to be reversed.
     *
     * @param look of the paragraphs
     * @param words whether it is only some of their characters
     * @param characters the look that those wear
     * @param own whether they get a look of their own
     */
    public record Wanted(
            UUID story,
            List<UUID> paragraphs,
            UUID look,
            boolean words,
            Optional<UUID> characters,
            Tinted ground,
            boolean own) {}

    public static ReversalView of(Reversal reversal) {
        return new ReversalView(
                reversal.edit(),
                reversal.look(),
                reversal.text(),
                reversal.screen().hex(),
                reversal.ground().hex(),
                Contrast.cut(reversal.ratio()),
                reversal.required(),
                reversal.ratio() >= reversal.required());
    }
}
