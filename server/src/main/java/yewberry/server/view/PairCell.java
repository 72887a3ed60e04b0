package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.legibility.Pairings;
import yewberry.core.publication.Publication;

/**
 * What a pair of colours comes to.
 *
 * @param text the position of the text's colour in the matrix, from 0
 * @param backdrop the position of the colour behind it, from 0
 * @param ratio as seen in the viewing, cut to two decimals
 * @param pages numbers of the pages where the pair occurs
 * @param excepted whether it fails, and an exception holds for all text that is set in it
 */
public record PairCell(
        int text,
        int backdrop,
        BigDecimal ratio,
        double required,
        boolean passes,
        List<Integer> pages,
        boolean excepted,
        Optional<PairSample> sample) {
    /**
     * @param excepted the runs that an exception holds for
     */
    static PairCell of(Pairings.Cell cell, Publication publication, Set<UUID> excepted) {
        return new PairCell(
                cell.text(),
                cell.backdrop(),
                Contrast.cut(cell.ratio()),
                cell.required(),
                cell.passes(),
                cell.occurrences().stream()
                        .map(each -> publication.indexOf(each.page()) + 1)
                        .distinct()
                        .sorted()
                        .toList(),
                !cell.passes()
                        && !cell.occurrences().isEmpty()
                        && cell.occurrences().stream()
                                .allMatch(each -> excepted.contains(each.run().run())),
                cell.occurrences().stream().findFirst().map(PairSample::of));
    }
}
