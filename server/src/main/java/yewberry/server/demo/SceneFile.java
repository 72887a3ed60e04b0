package yewberry.server.demo;

import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.press.Plate;
import yewberry.core.publication.Background;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** Scenes as a file that anyone can check an output against; docs/formats.md describes it. */
final class SceneFile {
    private SceneFile() {}

    /** A rectangle in points from the top left of the trim, y down. */
    record Box(double x, double y, double width, double height) {
        static Box of(Rect rect) {
            return new Box(
                    rounded(rect.x()),
                    rounded(rect.y()),
                    rounded(rect.width()),
                    rounded(rect.height()));
        }
    }

    record PageOf(int number, UUID id, Box trim, Box bleed, Box safe, List<ItemOf> items) {}

    /**
     * @param outline corners of what is painted, or the origin of each glyph, x and y in turn
     * @param colors in percent of each plate, by its name
     */
    record ItemOf(
            String kind,
            String origin,
            List<Double> outline,
            List<Map<String, Double>> colors,
            double opacity,
            String blend,
            boolean overprints,
            String medium,
            Optional<String> text,
            Optional<String> glyphs,
            Optional<String> file) {}

    static void write(List<PageScene> scenes, JsonMapper json, Path file) throws IOException {
        List<PageOf> pages = new ArrayList<>();
        for (int i = 0; i < scenes.size(); i++) {
            pages.add(page(i + 1, scenes.get(i)));
        }
        json.writeValue(file.toFile(), pages);
    }

    private static PageOf page(int number, PageScene all) {
        MediumScene scene = all.on(Medium.PAPER);
        return new PageOf(
                number,
                scene.page(),
                Box.of(scene.boxes().trim()),
                Box.of(scene.boxes().bleed()),
                Box.of(scene.boxes().safe()),
                all.allOn(Medium.PAPER).stream().map(item -> item(item, scene)).toList());
    }

    private static ItemOf item(Item item, MediumScene scene) {
        return switch (item) {
            case Item.AreaFill fill ->
                    new ItemOf(
                            kind(fill.paint()),
                            fill.origin().inWords(),
                            corners(fill.rect()),
                            colors(fill, scene),
                            fill.opacity(),
                            fill.blend().standardName(),
                            false,
                            medium(fill.goesTo()),
                            Optional.empty(),
                            Optional.empty(),
                            fill.paint() instanceof AreaPaint.Picture picture
                                    ? Optional.of(picture.inWords())
                                    : Optional.empty());
            case Item.TextFill fill ->
                    new ItemOf(
                            fill.kind().inWords().toLowerCase(Locale.ROOT),
                            fill.origin().inWords(),
                            corners(fill),
                            colors(fill, scene),
                            1,
                            "Normal",
                            false,
                            "screen and paper",
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty());
            case Item.FrontFill fill ->
                    new ItemOf(
                            fill.source().isRunningItem() ? "running item" : "picture in front",
                            fill.origin().inWords(),
                            corners(fill),
                            colors(fill, scene),
                            fill.opacity(),
                            fill.blend().standardName(),
                            false,
                            medium(fill.goesTo()),
                            fill.source().isRead() && !fill.source().meaning().isOpen()
                                    ? Optional.of(fill.source().meaning().text())
                                    : Optional.empty(),
                            Optional.empty(),
                            Optional.of(fill.named()));
            case Item.GlyphStroke line ->
                    new ItemOf(
                            "outline of text",
                            line.origin().inWords(),
                            origins(line.letters()),
                            colors(line, scene),
                            1,
                            "Normal",
                            false,
                            "screen and paper",
                            Optional.of(line.letters().text()),
                            Optional.of(
                                    "%s pt wide, %s joins"
                                            .formatted(
                                                    rounded(line.width()),
                                                    line.join().name().toLowerCase(Locale.ROOT))),
                            Optional.empty());
            case Item.GlyphRun run ->
                    new ItemOf(
                            "text",
                            run.origin().inWords(),
                            origins(run),
                            colors(run, scene),
                            1,
                            "Normal",
                            run.paint().overprints(),
                            "screen and paper",
                            Optional.of(run.text()),
                            Optional.of(
                                    "%s, %s pt"
                                            .formatted(run.face().inWords(), rounded(run.size()))),
                            Optional.empty());
        };
    }

    private static String kind(AreaPaint paint) {
        return switch (paint) {
            case AreaPaint.Solid solid -> "area";
            case AreaPaint.Gradient gradient -> "gradient";
            case AreaPaint.Picture picture -> "picture";
        };
    }

    private static String medium(Background.GoesTo to) {
        return to.screen()
                ? to.paper() ? "screen and paper" : "screen"
                : to.paper() ? "paper" : "none";
    }

    private static List<Map<String, Double>> colors(Item item, MediumScene scene) {
        return item.paints().stream().map(paint -> plates(paint.color(), scene)).toList();
    }

    private static Map<String, Double> plates(Color color, MediumScene scene) {
        Map<String, Double> plates = new TreeMap<>();
        Plate.of(color, scene.condition())
                .forEach((name, percent) -> plates.put(name, rounded(percent)));
        return plates;
    }

    /** The corners of what has a form of its own, flattened to a thousandth of a point. */
    private static List<Double> corners(Item.Formed fill) {
        if (fill.shape().isEmpty()) {
            return corners(fill.bounds());
        }
        List<Double> corners = new ArrayList<>();
        double[] at = new double[6];
        PathIterator path = fill.shape().get().getPathIterator(null, 0.001);
        for (; !path.isDone(); path.next()) {
            if (path.currentSegment(at) != PathIterator.SEG_CLOSE) {
                corners.add(rounded(at[0]));
                corners.add(rounded(at[1]));
            }
        }
        return corners;
    }

    private static List<Double> corners(Rect rect) {
        return List.of(
                rounded(rect.x()),
                rounded(rect.y()),
                rounded(rect.right()),
                rounded(rect.y()),
                rounded(rect.right()),
                rounded(rect.bottom()),
                rounded(rect.x()),
                rounded(rect.bottom()));
    }

    private static List<Double> origins(Item.GlyphRun run) {
        List<Double> origins = new ArrayList<>();
        run.lines()
                .forEach(line ->
                        line.glyphs()
                                .forEach(glyph -> {
                                    AffineTransform place = run.place(line, glyph);
                                    origins.add(rounded(place.getTranslateX()));
                                    origins.add(rounded(place.getTranslateY()));
                                }));
        return origins;
    }

    private static double rounded(double value) {
        return Math.rint(value * 1000) / 1000;
    }
}
