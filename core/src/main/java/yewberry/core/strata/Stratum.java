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
     * @param result the colour it comes to here: with what it prints over
     * @param ratio contrast with what is below it here
     */
    record Text(Item.GlyphRun run, Color result, Rgb screen, double ratio, Rgb below)
            implements Stratum {}

    /**
     * @param bleeds the edges of the page, as top, bottom, left and right, where it reaches the
     *     bleed
     * @param result the colour that it and all below it come to here
     * @param shown whether it is there in this viewing
     */
    record Fill(Item.AreaFill fill, Color result, Rgb screen, Set<Edge> bleeds, boolean shown)
            implements Stratum {}

    /** A shading, a border or a highlight. */
    record BehindText(Item.TextFill fill, Color result, Rgb screen) implements Stratum {}

    /**
     * A picture or a word in front of the backgrounds.
     *
     * @param shown whether it is there in this viewing
     */
    record Front(Item.FrontFill fill, Color result, Rgb screen, boolean shown) implements Stratum {}

    /** The line around letters. */
    record Stroke(Item.GlyphStroke stroke, Color result, Rgb screen) implements Stratum {}

    /** The paper; never output. */
    record Stock(Rgb screen) implements Stratum {}

    /** The ink it comes to, with what it prints over; nothing for the stock. */
    default Optional<Color> inked() {
        return switch (this) {
            case Text text -> Optional.of(text.result());
            case Fill fill -> Optional.of(fill.result());
            case BehindText behind -> Optional.of(behind.result());
            case Front front -> Optional.of(front.result());
            case Stroke stroke -> Optional.of(stroke.result());
            case Stock stock -> Optional.empty();
        };
    }
}
