package yewberry.core.strata;

import java.util.Optional;
import java.util.Set;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Edge;
import yewberry.core.scene.Item;

/** One layer of what is painted through a point. */
public sealed interface Stratum {
    /** What it shows on the screen. */
    Rgb screen();

    /**
     * Text whose line runs through the point.
     *
     * @param ratio contrast with what is below it here
     */
    record Text(Item.GlyphRun run, Rgb screen, double ratio, Rgb below) implements Stratum {}

    /**
     * @param bleeds the edges of the page, as top, bottom, left and right, where it reaches the
     *     bleed
     */
    record Fill(Item.AreaFill fill, Rgb screen, Set<Edge> bleeds) implements Stratum {}

    /** The paper; never output. */
    record Stock(Rgb screen) implements Stratum {}

    default Optional<Color> color() {
        return switch (this) {
            case Text text -> Optional.of(text.run().paint().color());
            case Fill fill -> Optional.of(fill.fill().paint().color());
            case Stock stock -> Optional.empty();
        };
    }
}
