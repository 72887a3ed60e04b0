package yewberry.core.strata;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * The items of a page in the order they are read: paragraphs, frame by frame, pictures in front,
 * then backgrounds.
 */
public final class ReadingOrder {
    private ReadingOrder() {}

    /** A point in the space of the page, in points from the top left corner of the trim. */
    public record Spot(double x, double y) {}

    /** One stop of a walk through the page. */
    public sealed interface Stop {
        Rect where();

        /** A paragraph, with its runs. */
        record Words(List<Item.GlyphRun> runs, Rect where) implements Stop {
            public String text() {
                return runs.stream().map(Item.GlyphRun::text).collect(Collectors.joining());
            }

            /** The middle of its first line, where a point goes through the text itself. */
            public Spot at() {
                Item.GlyphRun first = runs.getFirst();
                Rect line = first.box(first.lines().getFirst());
                return new Spot(line.x() + line.width() / 2, line.y() + line.height() / 2);
            }
        }

        /** A picture or a word in front of the backgrounds. */
        record Picture(Item.FrontFill fill) implements Stop {
            @Override
            public Rect where() {
                return fill.bounds();
            }
        }

        record Area(Item.AreaFill fill) implements Stop {
            @Override
            public Rect where() {
                return fill.rect();
            }
        }
    }

    public static List<Stop> of(PageScene scene) {
        Map<UUID, List<Item.GlyphRun>> frames =
                scene.text().stream()
                        .collect(
                                Collectors.groupingBy(
                                        Item.GlyphRun::frame,
                                        LinkedHashMap::new,
                                        Collectors.toList()));
        List<Stop> stops = new ArrayList<>();
        frames.values().stream()
                .sorted(
                        Comparator.comparingDouble((List<Item.GlyphRun> runs) -> around(runs).y())
                                .thenComparingDouble(runs -> around(runs).x()))
                .forEach(runs -> stops.addAll(paragraphs(runs)));
        scene.items().reversed().stream()
                .filter(Item.FrontFill.class::isInstance)
                .map(Item.FrontFill.class::cast)
                .map(Stop.Picture::new)
                .forEach(stops::add);
        scene.areas().reversed().stream().map(Stop.Area::new).forEach(stops::add);
        return List.copyOf(stops);
    }

    private static List<Stop> paragraphs(List<Item.GlyphRun> runs) {
        return runs.stream()
                .collect(
                        Collectors.groupingBy(
                                Item.GlyphRun::paragraph, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .map(paragraph -> (Stop) new Stop.Words(paragraph, around(paragraph)))
                .toList();
    }

    private static Rect around(List<Item.GlyphRun> runs) {
        return runs.stream().map(Item.GlyphRun::bounds).reduce(Rect::union).orElseThrow();
    }
}
