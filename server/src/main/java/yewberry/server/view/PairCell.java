package yewberry.server.view;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
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
 */
public record PairCell(
        int text,
        int backdrop,
        BigDecimal ratio,
        double required,
        boolean passes,
        List<Integer> pages,
        Optional<PairSample> sample) {
    static PairCell of(Pairings.Cell cell, Publication publication) {
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
                cell.occurrences().stream().findFirst().map(PairSample::of));
    }
}
