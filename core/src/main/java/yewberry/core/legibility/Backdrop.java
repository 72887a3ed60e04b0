package yewberry.core.legibility;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.PressCondition;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/**
 * What lies behind a run of text: every colour that any part of its ink stands on, found exactly
 * from the scene. The runs of its own frame do not count as lying behind it.
 */
final class Backdrop {
    /** In each direction over a glyph. */
    private static final int SAMPLES = 6;

    private final Item.GlyphRun run;
    private final PageScene scene;
    private final PressCondition condition;
    private final Rect bleed;
    private final List<Item> below;
    private final SequencedSet<Optional<Paint>> found = new LinkedHashSet<>();

    private Backdrop(PageScene scene, Item.GlyphRun run, PressCondition condition) {
        this.scene = scene;
        this.condition = condition;
        this.run = run;
        this.bleed = scene.boxes().bleed();
        this.below =
                scene.items().subList(0, scene.items().indexOf(run)).reversed().stream()
                        .filter(item -> !isOfSameFrame(item))
                        .toList();
    }

    private boolean isOfSameFrame(Item item) {
        return item instanceof Item.GlyphRun other && other.frame().equals(run.frame());
    }

    /** The paints behind the run, in the order they were met; empty stands for the bare stock. */
    static SequencedSet<Optional<Paint>> behind(
            PageScene scene, Item.GlyphRun run, PressCondition condition) {
        Backdrop backdrop = new Backdrop(scene, run, condition);
        run.lines().forEach(backdrop::line);
        return backdrop.found;
    }

    private void line(Item.Line line) {
        List<Ink> inks = line.glyphs().stream().map(glyph -> ink(line, glyph)).toList();
        Optional<Rect> all =
                inks.stream().map(Ink::box).filter(box -> !box.isEmpty()).reduce(Rect::union);
        if (all.isEmpty() || oneBackground(all.get())) {
            return;
        }
        inks.stream().filter(ink -> !ink.box().isEmpty()).forEach(this::glyph);
    }

    /** The common case: the first thing met below is a fill that lies under the whole line. */
    private boolean oneBackground(Rect line) {
        for (Item item : below) {
            if (item instanceof Item.AreaFill fill
                    && fill.solid().isPresent()
                    && fill.rect().contains(line)) {
                found.add(fill.solid());
                return true;
            }
            if (!item.bounds().intersection(line).isEmpty()) {
                return false;
            }
        }
        if (bleed.contains(line)) {
            found.add(Optional.empty());
            return true;
        }
        return false;
    }

    /** A glyph's place on the page. */
    private record Ink(Face face, int glyph, AffineTransform place, Rect box) {
        boolean touches(Rect rect) {
            Rect part = rect.intersection(box);
            if (part.isEmpty()) {
                return false;
            }
            Area shape = shape();
            shape.intersect(
                    new Area(
                            new Rectangle2D.Double(
                                    part.x(), part.y(), part.width(), part.height())));
            return !shape.isEmpty();
        }

        Area shape() {
            return new Area(place.createTransformedShape(face.outline(glyph).path()));
        }
    }

    private Ink ink(Item.Line line, Segment.Glyph glyph) {
        return ink(run, line, glyph);
    }

    private static Ink ink(Item.GlyphRun of, Item.Line line, Segment.Glyph glyph) {
        AffineTransform place =
                new AffineTransform(
                        of.scale(),
                        0,
                        0,
                        of.scale(),
                        line.x() + glyph.x(),
                        line.baseline() + glyph.y());
        Rectangle2D units = of.face().outline(glyph.id()).ink();
        Rectangle2D box = place.createTransformedShape(units).getBounds2D();
        return new Ink(
                of.face(),
                glyph.id(),
                place,
                new Rect(box.getX(), box.getY(), box.getWidth(), box.getHeight()));
    }

    private void glyph(Ink ink) {
        List<Rect> open = List.of(ink.box().intersection(bleed));
        if (open.getFirst().isEmpty()) {
            return;
        }
        for (Item item : below) {
            switch (item) {
                case Item.AreaFill fill ->
                        open =
                                fill.solid().isPresent()
                                        ? under(fill, ink, open)
                                        : mixed(fill, ink, open);
                case Item.GlyphRun other -> text(other, ink, open);
            }
            if (open.isEmpty()) {
                return;
            }
        }
        if (open.stream().anyMatch(ink::touches)) {
            found.add(Optional.empty());
        }
    }

    private List<Rect> under(Item.AreaFill fill, Ink ink, List<Rect> open) {
        List<Rect> rest = new ArrayList<>();
        for (Rect part : open) {
            Rect covered = part.intersection(fill.rect());
            if (covered.isEmpty()) {
                rest.add(part);
            } else {
                if (covered.contains(ink.box()) || ink.touches(covered)) {
                    found.add(fill.solid());
                }
                rest.addAll(part.minus(fill.rect()));
            }
        }
        return rest;
    }

    /**
     * Where an area is not one colour that covers, the colours that all areas come to there are
     * taken from a grid over the glyph's ink.
     */
    private List<Rect> mixed(Item.AreaFill fill, Ink ink, List<Rect> open) {
        List<Rect> rest = new ArrayList<>();
        Area shape = ink.shape();
        Painted painted =
                new Painted(
                        scene,
                        scene.items().subList(0, scene.items().indexOf(fill) + 1),
                        condition);
        for (Rect part : open) {
            Rect covered = part.intersection(fill.rect());
            for (int column = 0; column < SAMPLES && !covered.isEmpty(); column++) {
                for (int row = 0; row < SAMPLES; row++) {
                    double x = covered.x() + covered.width() * (column + 0.5) / SAMPLES;
                    double y = covered.y() + covered.height() * (row + 0.5) / SAMPLES;
                    if (shape.contains(x, y)) {
                        found.add(Optional.of(Paint.sampled(rounded(painted.at(x, y)), fill)));
                    }
                }
            }
            rest.addAll(part.minus(fill.rect()));
        }
        return rest;
    }

    /** To whole percent, so that a gradient is some dozens of colours and not thousands. */
    private static Color rounded(Color color) {
        return color instanceof Cmyk ink ? ink.rounded() : color;
    }

    /** Text that overprints shows in as many colours as it lies on. */
    private void addText(Item.GlyphRun other) {
        if (!other.paint().overprints()) {
            found.add(Optional.of(other.paint()));
            return;
        }
        for (Optional<Paint> lower : behind(scene, other, condition)) {
            found.add(
                    Optional.of(
                            other.paint()
                                    .withColor(
                                            other.paint()
                                                    .over(lower.map(Paint::color), condition))));
        }
    }

    private void text(Item.GlyphRun other, Ink ink, List<Rect> open) {
        if (open.stream().allMatch(part -> part.intersection(other.bounds()).isEmpty())) {
            return;
        }
        for (Item.Line line : other.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Ink lower = ink(other, line, glyph);
                if (open.stream().anyMatch(part -> !part.intersection(lower.box()).isEmpty())) {
                    Area shared = ink.shape();
                    shared.intersect(lower.shape());
                    if (!shared.isEmpty()) {
                        addText(other);
                        return;
                    }
                }
            }
        }
    }
}
