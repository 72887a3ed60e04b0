package yewberry.core.compose;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.Look;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.ColorChoice;
import yewberry.core.scene.Paint;
import yewberry.core.scene.TextOverprint;

/** Hands out swatches and files, and notes which ones a page was made from. */
final class Ingredients {
    private final Map<UUID, Swatch> swatches = new LinkedHashMap<>();
    private final Map<UUID, Asset> assets = new LinkedHashMap<>();
    private final Map<LeafUse, Asset> leaves = new LinkedHashMap<>();
    private final Map<LinkTo, Boolean> links = new HashMap<>();
    private Publication source;

    /** A page of a file that is a page. */
    private record LeafUse(UUID asset, int page) {}

    Ingredients(Publication source) {
        this.source = source;
    }

    /** The paint of an area; the swatches that its swatch derives from are noted too. */
    Paint paint(Tinted use, PressCondition condition) {
        return paint(use, color(use, condition), false);
    }

    /** The paint of text in a look; where it has an outline, it does not print over that. */
    Paint paint(Tinted use, Look look, boolean outlined, PressCondition condition) {
        Color color = color(use, condition);
        boolean overprints = !outlined && TextOverprint.prints(look.overprint(), color, condition);
        return paint(use, color, overprints);
    }

    /** What a use of a legible colour chooses from; nothing for any other swatch. */
    Optional<ColorChoice> choice(
            Tinted use, Look look, boolean outlined, PressCondition condition) {
        Swatch swatch = swatch(use.swatch());
        return swatch.definition() instanceof Definition.Legible legible
                ? Optional.of(
                        new ColorChoice(
                                swatch.id(),
                                swatch.name(),
                                legible.swatches().stream()
                                        .map(each ->
                                                paint(
                                                        new Tinted(each, use.tint()),
                                                        look,
                                                        outlined,
                                                        condition))
                                        .toList(),
                                legible.viewings(),
                                true,
                                ColorChoice.Extent.ALL))
                : Optional.empty();
    }

    private Color color(Tinted use, PressCondition condition) {
        return Palette.tint(new Palette(this::swatch, condition).color(use.swatch()), use.tint());
    }

    private Paint paint(Tinted use, Color color, boolean overprints) {
        return new Paint(
                color,
                color,
                Optional.of(use.swatch()),
                swatch(use.swatch()).name(),
                use.tint(),
                overprints,
                false);
    }

    private Swatch swatch(UUID id) {
        return swatches.computeIfAbsent(id, source::swatch);
    }

    Asset asset(UUID id) {
        return assets.computeIfAbsent(id, source::asset);
    }

    /** A file of which one page only counts. */
    Asset leaf(UUID id, int page) {
        return leaves.computeIfAbsent(new LeafUse(id, page), use -> source.asset(use.asset()));
    }

    /** Whether a link leads anywhere. */
    boolean leads(LinkTo link) {
        return links.computeIfAbsent(link, source::holds);
    }

    /** Lets go of the publication, so that remembering a page does not keep an old one alive. */
    Ingredients sealed() {
        source = null;
        return this;
    }

    boolean unchangedIn(Publication publication) {
        return swatches.values().stream()
                        .allMatch(s -> publication.findSwatch(s.id()).orElse(null) == s)
                && assets.values().stream()
                        .allMatch(a -> publication.findAsset(a.id()).orElse(null) == a)
                && leaves.entrySet().stream()
                        .allMatch(leaf ->
                                publication
                                        .findAsset(leaf.getKey().asset())
                                        .filter(now ->
                                                now.isSameOn(leaf.getKey().page(), leaf.getValue()))
                                        .isPresent())
                && links.entrySet().stream()
                        .allMatch(link -> publication.holds(link.getKey()) == link.getValue());
    }
}
