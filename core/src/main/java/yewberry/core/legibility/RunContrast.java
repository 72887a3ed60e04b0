package yewberry.core.legibility;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;

/**
 * A run of text held against everything it stands on.
 *
 * @param run without its glyphs
 * @param required the least ratio that passes
 * @param byOwnRule whether that is the publication's own rule, and not WCAG's
 * @param medium that it was judged on
 * @param against one for each colour behind it and close around it, at least one
 * @param failing the part of what lies behind it that it has too little contrast to, 0 to 1
 * @param spot where it is worst, if it is not the same all over
 * @param variation how far the lightness L* of a picture changes behind and close around a glyph:
 *     its standard deviation, over all glyphs that stand on one; 0 where none does
 */
public record RunContrast(
        Item.GlyphRun run,
        SizeClass sizeClass,
        double required,
        boolean byOwnRule,
        Medium medium,
        List<Against> against,
        double failing,
        Optional<Spot> spot,
        double variation) {
    /**
     * A word of the run.
     *
     * @param where it stands on the page
     */
    public record Spot(String word, Rect where) {}

    /**
     * @param paint what is behind; nothing is the bare stock
     * @param foreground the text's colour on it, as it is seen
     * @param color that as it is seen
     * @param veiled whether something lies over both, through which they are seen
     * @param behind what paints it; nothing is the bare stock, or letters
     */
    public record Against(
            Optional<Paint> paint,
            Rgb foreground,
            Rgb color,
            double ratio,
            boolean veiled,
            Optional<Behind> behind) {
        public String name() {
            return paint.map(it -> "“%s”".formatted(it.inWords())).orElse("bare stock");
        }
    }

    /**
     * The topmost thing behind text that shows there.
     *
     * @param element the background, the frame in front, or the look that has the shading
     * @param words what it is, such as "background of parent “Night”"
     * @param origin where it lies
     * @param isPicture whether it is a picture or a page of a PDF
     */
    public record Behind(UUID element, String words, Origin origin, boolean isPicture) {
        static Behind of(Item.Filled fill) {
            boolean isPicture =
                    fill.paint() instanceof AreaPaint.Picture picture
                            && picture.pixels().isPicture();
            String from = " of " + fill.origin().inWords();
            return switch (fill) {
                case Item.AreaFill area ->
                        new Behind(
                                area.background(), "background" + from, area.origin(), isPicture);
                case Item.FrontFill front ->
                        new Behind(
                                front.element(),
                                switch (front.origin()) {
                                    case Origin.FromFile _ -> "page" + from;
                                    case Origin.FromAnnotation there -> there.inWords();
                                    default -> front.kind().toLowerCase(Locale.ROOT) + from;
                                },
                                front.origin(),
                                isPicture);
                case Item.TextFill text ->
                        new Behind(
                                text.kind() == Item.TextFill.Kind.BAND
                                        ? text.textFrame()
                                        : text.look(),
                                text.kind() == Item.TextFill.Kind.BAND
                                        ? "band" + from
                                        : "%s of look “%s”"
                                                .formatted(
                                                        text.kind()
                                                                .inWords()
                                                                .toLowerCase(Locale.ROOT),
                                                        text.lookName()),
                                text.origin(),
                                isPicture);
            };
        }
    }

    /** Whether it stands on a picture anywhere. */
    public boolean onPicture() {
        return against.stream()
                .anyMatch(each -> each.behind().filter(Behind::isPicture).isPresent());
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
