package yewberry.core.legibility;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;
import yewberry.core.color.PressCondition;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/**
 * What lies behind a run of text: every colour that any part of its ink stands on, found exactly
 * from the scene. The runs of its own frame do not count as lying behind it.
 */
final class Backdrop {
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
            if (item instanceof Item.AreaFill fill && fill.rect().contains(line)) {
                found.add(Optional.of(fill.paint()));
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
                case Item.AreaFill fill -> open = under(fill, ink, open);
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
                    found.add(Optional.of(fill.paint()));
                }
                rest.addAll(part.minus(fill.rect()));
            }
        }
        return rest;
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
