package yewberry.server.view;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.scene.PageScene;
import yewberry.core.strata.ReadingOrder;
import yewberry.core.strata.ReadingOrder.Stop;

/**
 * A stop of a walk through a page by keys.
 *
 * @param label what is announced
 * @param x millimetres from the left edge of the trim to a point that the item paints
 * @param y millimetres from the top edge of the trim to it
 * @param frame of a paragraph
 * @param background of a background
 */
public record ItemView(
        String label,
        String origin,
        Extent where,
        double x,
        double y,
        Optional<UUID> frame,
        Optional<UUID> paragraph,
        Optional<UUID> background) {
    public static List<ItemView> of(PageScene scene) {
        return ReadingOrder.of(scene).stream().map(ItemView::of).toList();
    }

    private static ItemView of(Stop stop) {
        return switch (stop) {
            case Stop.Words words ->
                    new ItemView(
                            "Text in look %s: %s"
                                    .formatted(words.runs().getFirst().look().name(), words.text()),
                            words.runs().getFirst().origin().inWords(),
                            Extent.of(words.where()),
                            Extent.mm(words.at().x()),
                            Extent.mm(words.at().y()),
                            Optional.of(words.runs().getFirst().frame()),
                            Optional.of(words.runs().getFirst().paragraph()),
                            Optional.empty());
            case Stop.Picture(var fill) ->
                    new ItemView(
                            "%s %s".formatted(fill.kind(), fill.named()),
                            fill.origin().inWords(),
                            Extent.of(fill.bounds()),
                            Extent.mm(fill.bounds().x() + fill.bounds().width() / 2),
                            Extent.mm(fill.bounds().y() + fill.bounds().height() / 2),
                            Optional.of(fill.element()),
                            Optional.empty(),
                            Optional.empty());
            case Stop.Area(var fill) ->
                    new ItemView(
                            "Background in %s".formatted(fill.inWords()),
                            fill.origin().inWords(),
                            Extent.of(fill.rect()),
                            Extent.mm(fill.rect().x() + fill.rect().width() / 2),
                            Extent.mm(fill.rect().y() + fill.rect().height() / 2),
                            Optional.empty(),
                            Optional.empty(),
                            Optional.of(fill.background()));
        };
    }

    /** The words of a page in reading order, a line a paragraph. */
    static String text(PageScene scene) {
        return ReadingOrder.of(scene).stream()
                .filter(Stop.Words.class::isInstance)
                .map(stop -> ((Stop.Words) stop).text())
                .collect(Collectors.joining("\n"));
    }
}
