package yewberry.core.legibility;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Stream;
import yewberry.core.color.View;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * What lies behind a run of text: every colour that any part of its ink stands on. The edges of the
 * areas cut the page into cells; within one, the same areas lie on each other everywhere, so that
 * its colour is exact where they are plain, and along a single gradient goes exactly as far as the
 * ink does. Only where pictures lie, or several gradients cross, pixels are looked at ({@link
 * BackdropPixels}). The runs of its own frame do not count as lying behind it.
 */
final class Backdrop {
    private final Item.GlyphRun run;
    private final MediumScene scene;
    private final View view;
    private final Rect bleed;
    private final List<Item.Filled> areas;

    private final List<Item> below;
    private final List<OtherText> text = new ArrayList<>();

    private final List<Item.Filled> veils;
    private final SequencedSet<RunContrast.Against> veiled = new LinkedHashSet<>();

    private final Painted painted;
    private final SequencedSet<Optional<Paint>> found = new LinkedHashSet<>();

    private Backdrop(
            MediumScene scene,
            List<Item> below,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view) {
        this.veils = veils;
        this.scene = scene;
        this.view = view;
        this.run = run;
        this.bleed = scene.boxes().bleed();
        this.below = below;
        this.areas = only(below, Item.Filled.class);
        for (int i = 0; i < below.size(); i++) {
            if (below.get(i) instanceof Item.Lettering other && isOther(other)) {
                text.add(new OtherText(other, i));
            }
        }
        this.painted = new Painted(scene, areas);
    }

    /**
     * Text of another frame below.
     *
     * @param index of it among what lies below
     */
    private record OtherText(Item.Lettering letters, int index) {}

    private boolean isOther(Item.Lettering text) {
        return !text.letters().frame().equals(run.frame());
    }

    private static <T extends Item> List<T> only(List<Item> items, Class<T> kind) {
        return items.stream().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** The paints behind the run, in the order they were met; empty stands for the bare stock. */
    static List<Optional<Paint>> behind(MediumScene scene, Item.GlyphRun run, View view) {
        return behind(scene, scene.below(run), run, view);
    }

    /**
     * The same of a run that might be there.
     *
     * @param below what would lie below it
     */
    static List<Optional<Paint>> behind(
            MediumScene scene, List<Item> below, Item.GlyphRun run, View view) {
        Optional<Paint> surround = surround(below, run);
        if (surround.isPresent()) {
            return List.of(surround);
        }
        Backdrop backdrop = new Backdrop(scene, below, List.of(), run, view);
        run.lines().forEach(backdrop::line);
        return List.copyOf(backdrop.found);
    }

    /**
     * A run held against all that it stands on, and where something lies over it, both as they are
     * seen through that.
     *
     * @param below what lies below it
     * @param veils above it that let it through
     */
    static List<RunContrast.Against> against(
            MediumScene scene,
            List<Item> below,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view) {
        Optional<Paint> surround = surround(below, run);
        if (surround.isPresent()) {
            return List.of(Legibility.against(run.paint(), surround, view));
        }
        Backdrop backdrop = new Backdrop(scene, below, veils, run, view);
        run.lines().forEach(backdrop::line);
        return Stream.concat(
                        backdrop.found.stream()
                                .map(paint -> Legibility.against(run.paint(), paint, view)),
                        backdrop.veiled.stream())
                .toList();
    }

    /**
     * An outline that is wide enough is all that letters stand on. How wide that is: common
     * practice, no source.
     */
    private static Optional<Paint> surround(List<Item> below, Item.GlyphRun run) {
        return only(below, Item.GlyphStroke.class).stream()
                .filter(line ->
                        line.letters().run().equals(run.run())
                                && line.letters().frame().equals(run.frame())
                                && line.width() / 2 >= Math.max(0.5, 0.03 * run.size()))
                .map(Item.GlyphStroke::paint)
                .findFirst();
    }

    private void line(Item.Line line) {
        // ink does not go farther beyond its line than its size; mostly that is all there is to
        // know
        double size = run.size();
        Rect roomy = run.box(line).inset(-size, -size, -size, -size);
        boolean veiledSomewhere = veils.stream().anyMatch(each -> each.touches(roomy));
        if (!line.text().isBlank() && !veiledSomewhere && oneBackground(roomy)) {
            return;
        }
        List<GlyphInk> inks =
                line.glyphs().stream()
                        .map(glyph -> GlyphInk.of(run, line, glyph))
                        .filter(ink -> !ink.box().intersection(bleed).isEmpty())
                        .toList();
        Optional<Rect> all = inks.stream().map(GlyphInk::box).reduce(Rect::union);
        if (all.isEmpty() || !veiledSomewhere && oneBackground(all.get())) {
            return;
        }
        BackdropPixels pixels =
                new BackdropPixels(
                        scene,
                        areas,
                        veiledSomewhere ? veils : List.of(),
                        run,
                        view,
                        inks,
                        all.get().intersection(bleed));
        inks.forEach(ink -> glyph(ink, pixels));
    }

    /** The common case: the first thing met below is a fill that lies under the whole line. */
    private boolean oneBackground(Rect line) {
        for (Item item : below.reversed()) {
            switch (item) {
                case Item.Filled fill -> {
                    if (fill.solid().isPresent() && fill.holds(line)) {
                        found.add(fill.solid());
                        return true;
                    }
                    if (fill.touches(line)) {
                        return false;
                    }
                }
                case Item.Lettering other -> {
                    if (isOther(other) && !other.inkBounds().intersection(line).isEmpty()) {
                        return false;
                    }
                }
            }
        }
        if (bleed.contains(line)) {
            found.add(Optional.empty());
            return true;
        }
        return false;
    }

    private void glyph(GlyphInk ink, BackdropPixels pixels) {
        text.forEach(other -> text(other.letters(), other.index(), ink));
        if (veils.stream().anyMatch(each -> each.touches(ink.box()))) {
            veiled.addAll(pixels.veiled(ink));
            return;
        }
        Rect box = ink.box().intersection(bleed);
        List<Item.Filled> here = areas.stream().filter(fill -> fill.touches(box)).toList();
        List<Rect> open = new ArrayList<>();
        for (Rect cell : cells(box, here)) {
            if (here.stream().anyMatch(fill -> fill.touches(cell) && !fill.holds(cell))) {
                open.add(cell); // the edge of something that is not a rectangle goes through it
                continue;
            }
            List<Item.Filled> stack = visible(here, cell);
            if (stack.isEmpty() || stack.stream().allMatch(Backdrop::isPlain)) {
                if (ink.touches(cell)) {
                    found.add(plain(stack, cell));
                }
            } else if (oneGradient(stack)) {
                gradient(stack, ink.within(cell));
            } else {
                open.add(cell);
            }
        }
        if (!open.isEmpty()) {
            found.addAll(pixels.behind(ink, open, cell -> named(here, cell)));
        }
    }

    /** The parts of a box that no edge of an area goes through. */
    private static List<Rect> cells(Rect box, List<Item.Filled> areas) {
        List<Double> across = cuts(box.x(), box.right(), areas, Rect::x, Rect::right);
        List<Double> down = cuts(box.y(), box.bottom(), areas, Rect::y, Rect::bottom);
        List<Rect> cells = new ArrayList<>();
        for (int row = 1; row < down.size(); row++) {
            for (int column = 1; column < across.size(); column++) {
                cells.add(
                        new Rect(
                                across.get(column - 1),
                                down.get(row - 1),
                                across.get(column) - across.get(column - 1),
                                down.get(row) - down.get(row - 1)));
            }
        }
        return cells.stream().filter(cell -> !cell.isEmpty()).toList();
    }

    private static List<Double> cuts(
            double from,
            double to,
            List<Item.Filled> areas,
            Function<Rect, Double> start,
            Function<Rect, Double> end) {
        TreeSet<Double> cuts = new TreeSet<>(List.of(from, to));
        for (Item.Filled fill : areas) {
            cuts.add(Math.clamp(start.apply(fill.bounds()), from, to));
            cuts.add(Math.clamp(end.apply(fill.bounds()), from, to));
        }
        return List.copyOf(cuts);
    }

    /** The areas of a cell from the lowest that shows up. */
    private static List<Item.Filled> visible(List<Item.Filled> areas, Rect cell) {
        double x = cell.x() + cell.width() / 2;
        double y = cell.y() + cell.height() / 2;
        List<Item.Filled> stack = new ArrayList<>();
        for (Item.Filled fill : areas) {
            if (fill.holds(x, y)) {
                if (fill.covers()) {
                    stack.clear();
                }
                stack.add(fill);
            }
        }
        return stack;
    }

    private static boolean isPlain(Item.Filled fill) {
        return fill.paint() instanceof AreaPaint.Solid;
    }

    private static boolean oneGradient(List<Item.Filled> stack) {
        return stack.stream().filter(fill -> !isPlain(fill)).count() == 1
                && stack.stream().noneMatch(fill -> fill.paint() instanceof AreaPaint.Picture);
    }

    /** What gives the colours of a cell their name. */
    private static Item.Filled named(List<Item.Filled> areas, Rect cell) {
        List<Item.Filled> there = areas.stream().filter(fill -> fill.touches(cell)).toList();
        return there.reversed().stream()
                .filter(fill -> !isPlain(fill))
                .findFirst()
                .orElse(there.getLast());
    }

    private static Item.Filled topmost(List<Item.Filled> stack) {
        return stack.reversed().stream().filter(fill -> !isPlain(fill)).findFirst().orElseThrow();
    }

    private Optional<Paint> plain(List<Item.Filled> stack, Rect cell) {
        if (stack.isEmpty()) {
            return Optional.empty();
        }
        Item.Filled top = stack.getLast();
        return top.solid()
                .or(() ->
                        Optional.of(
                                Paint.sampled(
                                        painted.of(
                                                stack,
                                                cell.x() + cell.width() / 2,
                                                cell.y() + cell.height() / 2),
                                        top)));
    }

    /** All colours that the one gradient of a stack goes through below the ink. */
    private void gradient(List<Item.Filled> stack, Area ink) {
        Item.Filled fill = topmost(stack);
        GradientReach.of((AreaPaint.Gradient) fill.paint(), fill.frame(), fill.turn(), ink).stream()
                .map(point -> painted.of(stack, point.getX(), point.getY()))
                .distinct()
                .map(color -> Optional.of(Paint.sampled(color, fill)))
                .forEach(found::add);
    }

    /** Text that overprints shows in as many colours as it lies on. */
    private void addText(Item.Lettering other) {
        if (!other.paint().overprints()) {
            found.add(Optional.of(other.paint()));
            return;
        }
        for (Optional<Paint> lower : behind(scene, other.letters(), view)) {
            found.add(
                    Optional.of(
                            other.paint()
                                    .withColor(
                                            other.paint()
                                                    .over(
                                                            lower.map(Paint::color),
                                                            view.condition()))));
        }
    }

    /**
     * @param index of it among what lies below
     */
    private void text(Item.Lettering other, int index, GlyphInk ink) {
        if (ink.box().intersection(other.inkBounds()).isEmpty()) {
            return;
        }
        for (Item.Line line : other.letters().lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Shape lower = other.shape(line, glyph);
                if (!ink.box().intersection(Rect.around(lower)).isEmpty()) {
                    Area shared = ink.shape();
                    shared.intersect(new Area(lower));
                    for (Item above : below.subList(index, below.size())) {
                        if (above instanceof Item.Filled fill
                                && fill.covers()
                                && fill.touches(ink.box())) {
                            shared.subtract(new Area(fill.shape().orElse(fill.bounds().shape())));
                        }
                    }
                    if (!shared.isEmpty()) {
                        addText(other);
                        return;
                    }
                }
            }
        }
    }

    /** A glyph's ink at its place on the page. */
    record GlyphInk(Item.GlyphRun run, Item.Line line, Segment.Glyph glyph, Rect box) {
        static GlyphInk of(Item.GlyphRun run, Item.Line line, Segment.Glyph glyph) {
            AffineTransform place = run.place(line, glyph);
            Rectangle2D units = run.face().outline(glyph.id()).ink();
            return new GlyphInk(run, line, glyph, Rect.around(place.createTransformedShape(units)));
        }

        boolean touches(Rect rect) {
            return rect.contains(box) || !within(rect).isEmpty();
        }

        Area within(Rect rect) {
            Area shape = shape();
            shape.intersect(
                    new Area(
                            new Rectangle2D.Double(
                                    rect.x(), rect.y(), rect.width(), rect.height())));
            return shape;
        }

        Area shape() {
            return new Area(run.shape(line, glyph));
        }
    }
}
