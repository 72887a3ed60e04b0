package yewberry.core.legibility;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.scene.Item;
import yewberry.core.scene.Paint;

/**
 * A run of text held against everything it stands on.
 *
 * @param run without its glyphs
 * @param required the least ratio that passes
 * @param medium that it was judged on
 * @param against one for each colour behind it, at least one
 */
public record RunContrast(
        Item.GlyphRun run,
        SizeClass sizeClass,
        double required,
        Medium medium,
        List<Against> against) {
    /**
     * @param paint what is behind; nothing is the bare stock
     * @param foreground the text's colour on it, as it is seen
     * @param color that as it is seen
     * @param veiled whether something lies over both, through which they are seen
     */
    public record Against(
            Optional<Paint> paint, Rgb foreground, Rgb color, double ratio, boolean veiled) {
        public String name() {
            return paint.map(it -> "“%s”".formatted(it.inWords())).orElse("bare stock");
        }
    }

    /** Whether something lies over some of it; what its own colour comes to is not known then. */
    public boolean veiled() {
        return against.stream().anyMatch(Against::veiled);
    }

    public Against worst() {
        return against.stream().min(Comparator.comparingDouble(Against::ratio)).orElseThrow();
    }

    public boolean passes() {
        return worst().ratio() >= required;
    }
}
