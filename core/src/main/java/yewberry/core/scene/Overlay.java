package yewberry.core.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import yewberry.core.color.Color;
import yewberry.core.color.PressCondition;
import yewberry.core.text.Segment;

/**
 * What a run of text that overprints comes to, part by part: one part for each backdrop it lies on,
 * and one for each run of other text that it prints over. Runs of one frame never lie on each
 * other. What is not a rectangle counts as the one around it.
 */
public final class Overlay {
    private final MediumScene scene;
    private final PressCondition condition;

    private Overlay(MediumScene scene) {
        this.scene = scene;
        this.condition = scene.condition();
    }

    /**
     * @param rect that the part lies in
     * @param within the glyphs that it is limited to, if any
     * @param backdrop what it is printed on; nothing is the bare stock
     * @param color that it comes to
     */
    public record Part(
            Rect rect, Optional<Item.Lettering> within, Optional<Item> backdrop, Color color) {}

    /** Parts that cover the run as far as it is on the page; later ones lie over earlier ones. */
    public static List<Part> of(MediumScene scene, Item.GlyphRun run) {
        return new Overlay(scene).parts(run);
    }

    private List<Part> parts(Item.GlyphRun run) {
        List<Part> backdrops = new ArrayList<>();
        List<Part> text = new ArrayList<>();
        List<Rect> open = List.of(run.bounds().intersection(scene.boxes().bleed()));
        List<Item> below = scene.below(run).reversed();
        for (Item item : below) {
            switch (item) {
                case Item.Filled fill -> {
                    List<Rect> rest = new ArrayList<>();
                    for (Rect part : open) {
                        Rect covered = part.intersection(fill.bounds());
                        if (!fill.touches(part)) {
                            rest.add(part);
                        } else {
                            backdrops.add(part(run, covered, item, color(fill, covered)));
                            rest.addAll(part.minus(fill.bounds()));
                        }
                    }
                    open = rest;
                }
                case Item.Lettering other -> {
                    if (!other.letters().frame().equals(run.frame())) {
                        over(run, other, open, text);
                    }
                }
            }
        }
        for (Rect bare : open) {
            if (!bare.isEmpty()) {
                backdrops.add(
                        new Part(bare, Optional.empty(), Optional.empty(), run.paint().color()));
            }
        }
        backdrops.addAll(text.reversed());
        if (backdrops.size() > 1) {
            backdrops.removeIf(part -> !reaches(run, part.rect()));
        }
        return backdrops;
    }

    /** Whether letters of a run stand in a rectangle; what is not known may. */
    private static boolean reaches(Item.GlyphRun run, Rect rect) {
        if (!run.turn().isNone() || run.type().leftward()) {
            return true;
        }
        for (Item.Line line : run.lines()) {
            if (run.box(line).intersection(rect).isEmpty()) {
                continue;
            }
            List<Segment.Glyph> glyphs = line.glyphs();
            for (int i = 0; i < glyphs.size(); i++) {
                double left = line.x() + glyphs.get(i).x();
                double right =
                        line.x() + (i + 1 < glyphs.size() ? glyphs.get(i + 1).x() : line.width());
                if (!glyphs.get(i).text().isBlank() && left < rect.right() && right > rect.x()) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Where it is not the same everywhere, that of the middle. */
    private Color color(Item.Filled fill, Rect covered) {
        return fill.solid()
                .map(Paint::color)
                .orElseGet(() ->
                        new Painted(scene, scene.upTo(fill))
                                .at(
                                        covered.x() + covered.width() / 2,
                                        covered.y() + covered.height() / 2));
    }

    private Part part(Item.GlyphRun run, Rect rect, Item backdrop, Color below) {
        return new Part(
                rect,
                Optional.empty(),
                Optional.of(backdrop),
                run.paint().over(Optional.of(below), condition));
    }

    private void over(Item.GlyphRun run, Item.Lettering other, List<Rect> open, List<Part> text) {
        List<Part> lower =
                other.paint().overprints()
                        ? parts(other.letters())
                        : List.of(
                                new Part(
                                        other.bounds(),
                                        Optional.empty(),
                                        Optional.empty(),
                                        other.paint().color()));
        for (Part each : lower) {
            for (Rect part : open) {
                Rect shared = part.intersection(each.rect());
                if (!shared.isEmpty() && each.within().isEmpty()) {
                    text.add(
                            new Part(
                                    shared,
                                    Optional.of(other),
                                    Optional.of(other),
                                    run.paint().over(Optional.of(each.color()), condition)));
                }
            }
        }
    }
}
