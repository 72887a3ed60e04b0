package yewberry.server.view;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.View;
import yewberry.core.legibility.Pairings;
import yewberry.core.publication.Publication;

/**
 * Every text colour against every colour behind it.
 *
 * @param cells row by row: for each text, one for each colour behind it
 */
public record PairMatrix(List<PairSide> texts, List<PairSide> backdrops, List<PairCell> cells) {
    /**
     * @param excepted the runs that an exception holds for
     */
    public static PairMatrix of(
            Pairings pairings, Publication publication, View view, Set<UUID> excepted) {
        return new PairMatrix(
                pairings.texts().stream().map(paint -> PairSide.of(paint, view)).toList(),
                pairings.backdrops().stream()
                        .map(backdrop ->
                                backdrop.map(paint -> PairSide.of(paint, view))
                                        .orElseGet(() -> PairSide.bare(view)))
                        .toList(),
                pairings.cells().stream()
                        .map(cell -> PairCell.of(cell, publication, excepted))
                        .toList());
    }
}
