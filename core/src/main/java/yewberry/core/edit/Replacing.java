package yewberry.core.edit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/** Replaces one swatch or look by another wherever it is used; the rest stays the same object. */
final class Replacing {
    private Replacing() {}

    static Publication swatch(Publication in, UUID old, UUID replacement) {
        UnaryOperator<Run> run =
                each ->
                        each.color().filter(color -> color.swatch().equals(old)).isPresent()
                                ? each.withColor(
                                        each.color().map(color -> color.withSwatch(replacement)))
                                : each;
        UnaryOperator<TextFrame> frame =
                each -> {
                    List<Paragraph> paragraphs =
                            mapped(
                                    each.paragraphs(),
                                    paragraph -> {
                                        List<Run> runs = mapped(paragraph.runs(), run);
                                        return runs == paragraph.runs()
                                                ? paragraph
                                                : paragraph.withRuns(runs);
                                    });
                    return paragraphs == each.paragraphs() ? each : each.withParagraphs(paragraphs);
                };
        UnaryOperator<Background> background =
                each ->
                        each.fill().colors().stream().anyMatch(color -> color.swatch().equals(old))
                                ? each.withFill(
                                        colors(
                                                each.fill(),
                                                is -> is.equals(old) ? replacement : is))
                                : each;
        return layers(in, background, frame)
                .withLooks(
                        mapped(
                                in.looks(),
                                look ->
                                        look.color().swatch().equals(old)
                                                ? look.withColor(
                                                        look.color().withSwatch(replacement))
                                                : look))
                .withSwatches(
                        mapped(
                                in.swatches(),
                                swatch ->
                                        swatch.definition().bases().contains(old)
                                                ? swatch.withDefinition(
                                                        swatch.definition().with(old, replacement))
                                                : swatch));
    }

    /** A fill with other swatches, all of them exchanged at once. */
    static Fill colors(Fill fill, UnaryOperator<UUID> swatch) {
        return switch (fill) {
            case Fill.None none -> none;
            case Fill.Picture picture -> picture;
            case Fill.PdfPage page -> page;
            case Fill.Solid(Tinted color) -> new Fill.Solid(color(color, swatch));
            case Fill.Gradient gradient ->
                    gradient.withStops(
                            gradient.stops().stream()
                                    .map(stop ->
                                            new Fill.Gradient.Stop(
                                                    stop.position(),
                                                    color(stop.color(), swatch),
                                                    stop.opacity()))
                                    .toList());
        };
    }

    private static Tinted color(Tinted color, UnaryOperator<UUID> swatch) {
        return color.withSwatch(swatch.apply(color.swatch()));
    }

    /** A fill made from another asset, if it is made from any. */
    static Fill madeFrom(Fill fill, UnaryOperator<UUID> asset) {
        return switch (fill) {
            case Fill.None none -> none;
            case Fill.Solid solid -> solid;
            case Fill.Gradient gradient -> gradient;
            case Fill.Picture picture ->
                    new Fill.Picture(
                            asset.apply(picture.asset()),
                            picture.placing(),
                            picture.runOut(),
                            picture.seeThrough());
            case Fill.PdfPage page ->
                    new Fill.PdfPage(asset.apply(page.asset()), page.number(), page.placing());
        };
    }

    static Publication asset(Publication in, UUID old, UUID replacement) {
        return layers(
                in,
                background ->
                        background.fill().madeFrom().equals(Optional.of(old))
                                ? background.withFill(
                                        madeFrom(background.fill(), any -> replacement))
                                : background,
                UnaryOperator.identity());
    }

    static Publication look(Publication in, UUID old, UUID replacement) {
        return layers(
                in,
                UnaryOperator.identity(),
                frame -> {
                    List<Paragraph> paragraphs =
                            mapped(
                                    frame.paragraphs(),
                                    paragraph ->
                                            paragraph.look().equals(old)
                                                    ? paragraph.withLook(replacement)
                                                    : paragraph);
                    return paragraphs == frame.paragraphs()
                            ? frame
                            : frame.withParagraphs(paragraphs);
                });
    }

    private static Publication layers(
            Publication in, UnaryOperator<Background> background, UnaryOperator<TextFrame> frame) {
        UnaryOperator<Layer> layer =
                each -> {
                    List<Background> backgrounds = mapped(each.backgrounds(), background);
                    List<TextFrame> frames = mapped(each.frames(), frame);
                    return backgrounds == each.backgrounds() && frames == each.frames()
                            ? each
                            : new Layer(backgrounds, frames);
                };
        return in.withPages(
                        mapped(
                                in.pages(),
                                page -> {
                                    Layer changed = layer.apply(page.layer());
                                    return changed == page.layer() ? page : page.withLayer(changed);
                                }))
                .withRecipes(
                        mapped(
                                in.recipes(),
                                recipe -> {
                                    Layer changed = layer.apply(recipe.layer());
                                    return changed == recipe.layer()
                                            ? recipe
                                            : recipe.withLayer(changed);
                                }))
                .withParents(
                        mapped(
                                in.parents(),
                                parent -> {
                                    Layer changed = layer.apply(parent.layer());
                                    return changed == parent.layer()
                                            ? parent
                                            : parent.withLayer(changed);
                                }));
    }

    /** The same list where nothing changed, so that identity tells what did. */
    private static <T> List<T> mapped(List<T> list, UnaryOperator<T> change) {
        List<T> changed = list.stream().map(change).toList();
        for (int i = 0; i < list.size(); i++) {
            if (list.get(i) != changed.get(i)) {
                return changed;
            }
        }
        return list;
    }
}
