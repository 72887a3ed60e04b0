package yewberry.core.strata;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Edge;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;

/** Everything painted through one point of a page, from the top down to the stock. */
public final class Strata {
    private static final double TOLERANCE = 1e-6;

    private Strata() {}

    /**
     * @param x points from the left edge of the trim
     * @param y points from its top edge
     */
    public static List<Stratum> at(PageScene scene, double x, double y, View view) {
        List<Stratum> up = new ArrayList<>();
        up.add(new Stratum.Stock(view.bare()));
        MediumScene shown = scene.on(view);
        List<Item> areas = new ArrayList<>();
        Optional<Color> painted = Optional.empty();
        for (Item item : scene.allOn(view.medium())) {
            boolean here = shown.items().stream().anyMatch(each -> each == item);
            switch (item) {
                case Item.AreaFill fill -> {
                    if (fill.isAt(x, y)) {
                        if (here) {
                            areas.add(fill);
                            painted = Optional.of(new Painted(shown, areas).at(x, y));
                        }
                        Color result =
                                here
                                        ? painted.orElseThrow()
                                        : new Painted(shown, List.of(fill)).at(x, y);
                        up.add(
                                new Stratum.Fill(
                                        fill,
                                        result,
                                        view.see(result),
                                        bleeds(scene, fill.painted()),
                                        here));
                    }
                }
                case Item.TextFill fill -> {
                    if (fill.holds(x, y)) {
                        areas.add(fill);
                        Color result = new Painted(shown, areas).at(x, y);
                        painted = Optional.of(result);
                        up.add(new Stratum.BehindText(fill, result, view.see(result)));
                    }
                }
                case Item.FrontFill fill -> {
                    if (fill.isAt(x, y)) {
                        List<Item> with = here ? areas : new ArrayList<>(areas);
                        with.add(fill);
                        Color result = new Painted(shown, with).at(x, y);
                        painted = here ? Optional.of(result) : painted;
                        up.add(new Stratum.Front(fill, result, view.see(result), here));
                    }
                    if (fill.isImported() && here) {
                        up.addAll(inFile(shown, view, x, y));
                    }
                }
                case Item.GlyphStroke stroke -> {
                    if (stroke.isAt(x, y)) {
                        Color color = stroke.paint().color();
                        up.add(new Stratum.Stroke(stroke, color, view.see(color)));
                    }
                }
                case Item.GlyphRun run -> {
                    if (run.isAt(x, y)) {
                        up.add(
                                text(
                                        run,
                                        painted,
                                        here ? shown.veils(run) : List.of(),
                                        shown,
                                        view,
                                        x,
                                        y));
                    }
                }
            }
        }
        return List.copyOf(up.reversed());
    }

    /** What is written in the page of a file, on what it stands on by itself. */
    private static List<Stratum> inFile(MediumScene shown, View view, double x, double y) {
        List<Stratum> found = new ArrayList<>();
        for (Item.GlyphRun run : shown.judged()) {
            if (run.isInFile() && run.isAt(x, y)) {
                List<Item> below = shown.below(run);
                Optional<Color> painted =
                        below.isEmpty()
                                ? Optional.empty()
                                : Optional.of(new Painted(shown, below).at(x, y));
                found.add(text(run, painted, shown.veils(run), shown, view, x, y));
            }
        }
        return found;
    }

    /**
     * @param painted what is below it here; nothing is the bare stock
     * @param veils what lies over it and lets it through
     */
    private static Stratum.Text text(
            Item.GlyphRun run,
            Optional<Color> painted,
            List<Item.Filled> veils,
            MediumScene shown,
            View view,
            double x,
            double y) {
        Color color = run.paint().over(painted, view.condition());
        Rgb below = painted.map(view::see).orElseGet(view::bare);
        Rgb screen = view.see(color);
        if (veils.stream().anyMatch(each -> each.holds(x, y))) {
            // both are seen through what lies over them
            Painted over = new Painted(shown, List.of());
            screen = view.see(over.below(color, veils, x, y));
            below = view.see(over.below(painted.orElseGet(() -> over.at(x, y)), veils, x, y));
        }
        return new Stratum.Text(run, color, screen, Contrast.ratio(screen, below), below);
    }

    /** The edges of the bleed box that a rectangle reaches. */
    static Set<Edge> bleeds(PageScene scene, Rect rect) {
        Rect bleed = scene.boxes().bleed();
        Set<Edge> edges = EnumSet.noneOf(Edge.class);
        if (rect.y() <= bleed.y() + TOLERANCE) {
            edges.add(Edge.TOP);
        }
        if (rect.bottom() >= bleed.bottom() - TOLERANCE) {
            edges.add(Edge.BOTTOM);
        }
        if (rect.x() <= bleed.x() + TOLERANCE) {
            edges.add(Edge.LEFT);
        }
        if (rect.right() >= bleed.right() - TOLERANCE) {
            edges.add(Edge.RIGHT);
        }
        return edges;
    }
}
