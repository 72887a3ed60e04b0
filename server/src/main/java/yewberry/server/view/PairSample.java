package yewberry.server.view;

import java.util.UUID;
import yewberry.core.legibility.Pairings;
import yewberry.core.scene.Item;

/** The smallest text that is set in a pair. */
public record PairSample(UUID page, String words, Extent where, double size) {
    static PairSample of(Pairings.Occurrence occurrence) {
        Item.GlyphRun run = occurrence.run();
        return new PairSample(occurrence.page(), run.text(), Extent.of(run.bounds()), run.size());
    }
}
