package yewberry.core.legibility;

import java.awt.Shape;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedSet;
import java.util.stream.IntStream;
import yewberry.core.color.Contrast;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * What lies behind a run of text: the colours behind its glyphs and close around them. Where one
 * plain colour lies behind all of a line, or of a glyph, that is exactly it; elsewhere all pixels
 * are looked at ({@link LineField}). The runs of its own frame do not count as lying behind it.
 */
final class Backdrop {
    /** How far around glyphs what lies behind them counts, in em, and at least in points. */
    private static final double AROUND = 0.05;

    private static final double LEAST_AROUND = 0.1 * 72 / 25.4;

    private final Item.GlyphRun run;
    private final MediumScene scene;
    private final View view;
    private final Rect bleed;
    private final List<Item> below;
    private final List<Item.Filled> fills;
    private final List<Item.Filled> veils;
    private final Demand demand;
    private final double around;
    private final Painted painted;
    private final Map<Item.Line, LineField.Painting> paintings;

    private final SequencedSet<RunContrast.Against> found = new LinkedHashSet<>();
    private final List<Part> plain = new ArrayList<>();
    private final Worst worst = new Worst();
    private double area;
    private double failingArea;

    /** Of the glyphs that stand on a picture. */
    private double picturedArea;

    private double variation;

    /** Where it fails, if somebody asks. */
    private Optional<List<double[]>> failing = Optional.empty();

    /**
     * What is behind a place.
     *
     * @param paint nothing is the bare stock
     * @param fill that paints it; nothing where that is the stock, or letters
     */
    private record Ground(Optional<Paint> paint, Optional<Item.Filled> fill) {
        static final Ground STOCK = new Ground(Optional.empty(), Optional.empty());
    }

    /** The glyphs of a line, by their places in it, that stand on one colour. */
    private record Part(Item.Line line, List<Integer> glyphs, double ratio) {}

    /** The glyph that is hardest to tell from what it stands on. */
    private static final class Worst {
        private double ratio = Double.MAX_VALUE;
        private Item.Line line;
        private int glyph;

        void meet(double met, Item.Line in, int at) {
            if (met < ratio) {
                ratio = met;
                line = in;
                glyph = at;
            }
        }
    }

    private Backdrop(
            MediumScene scene,
            List<Item> below,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view,
            Demand demand,
            Map<Item.Line, LineField.Painting> paintings) {
        this.scene = scene;
        this.paintings = paintings;
        this.run = run;
        this.view = view;
        this.demand = demand;
        this.bleed = scene.boxes().bleed();
        this.veils = veils;
        this.below =
                below.stream()
                        .filter(item ->
                                !(item instanceof Item.Lettering text
                                        && text.letters().frame().equals(run.frame())))
                        .toList();
        this.fills =
                this.below.stream()
                        .filter(Item.Filled.class::isInstance)
                        .map(Item.Filled.class::cast)
                        .toList();
        this.around = Math.max(LEAST_AROUND, AROUND * run.size());
        this.painted = new Painted(scene, fills);
    }

    /**
     * A run held against all that it stands on, and where something lies over it, both as they are
     * seen through that.
     *
     * @param below what lies below it
     * @param veils above it that let it through
     * @param paintings what its lines came to under another viewing of the same scene, by their
     *     identity; gets what is missing
     * @return nothing where none of it is on the page
     */
    static Optional<RunContrast> judge(
            MediumScene scene,
            List<Item> below,
            List<Item.Filled> veils,
            Item.GlyphRun run,
            View view,
            Demand demand,
            Map<Item.Line, LineField.Painting> paintings) {
        Backdrop backdrop = new Backdrop(scene, below, veils, run, view, demand, paintings);
        Optional<Paint> surround = surround(below, run);
        if (surround.isPresent()) {
            backdrop.found.add(Legibility.against(run.paint(), surround, view));
        } else {
            run.lines().forEach(backdrop::line);
        }
        return backdrop.found.isEmpty() ? Optional.empty() : Optional.of(backdrop.judged());
    }

    /**
     * An outline that is wide enough is all that letters stand on. How wide that is: common
     * practice, no source.
     */
    private static Optional<Paint> surround(List<Item> below, Item.GlyphRun run) {
        return below.stream()
                .filter(Item.GlyphStroke.class::isInstance)
                .map(Item.GlyphStroke.class::cast)
                .filter(line ->
                        line.letters().run().equals(run.run())
                                && line.letters().frame().equals(run.frame())
                                && line.width() / 2 >= Math.max(0.5, 0.03 * run.size()))
                .map(Item.GlyphStroke::paint)
                .findFirst();
    }

    /**
     * Where a run does not stand out from what is behind it and close around it.
     *
     * @return the middles of pixels of {@link LineField#PPI}, each x and y on the page
     */
    static List<double[]> failing(MediumScene scene, Item.GlyphRun run, View view, Demand demand) {
        Backdrop backdrop =
                new Backdrop(
                        scene,
                        scene.below(run),
                        scene.veils(run),
                        run,
                        view,
                        demand,
                        new IdentityHashMap<>());
        List<double[]> places = new ArrayList<>();
        backdrop.failing = Optional.of(places);
        if (surround(scene.below(run), run).isPresent()) {
            return places;
        }
        run.lines().forEach(backdrop::line);
        double required = backdrop.required();
        for (Part part : backdrop.plain) {
            for (int glyph : part.glyphs()) {
                if (part.ratio() < required) {
                    LineField.places(backdrop.ink(part.line(), glyph), places);
                }
            }
        }
        return places;
    }

    private RunContrast judged() {
        SizeClass sizeClass = SizeClass.of(run.type());
        List<RunContrast.Against> against = List.copyOf(found);
        boolean alike = against.stream().map(RunContrast.Against::ratio).distinct().count() == 1;
        return new RunContrast(
                run.withoutGlyphs(),
                sizeClass,
                required(),
                demand.isOwn(sizeClass.large()),
                scene.medium(),
                against,
                share(),
                alike || worst.line == null ? Optional.empty() : Optional.of(spot()),
                picturedArea == 0 ? 0 : variation / picturedArea);
    }

    private double required() {
        return demand.required(SizeClass.of(run.type()).large());
    }

    /** The part of what lies behind the run that it does not stand out from. */
    private double share() {
        double required = required();
        if (area == 0) {
            boolean allFail = found.stream().allMatch(each -> each.ratio() < required);
            boolean allPass = found.stream().allMatch(each -> each.ratio() >= required);
            if (allFail || allPass) {
                return allFail ? 1 : 0;
            }
        }
        for (Part part : plain) {
            for (int glyph : part.glyphs()) {
                double covered = LineField.area(ink(part.line(), glyph));
                area += covered;
                failingArea += part.ratio() < required ? covered : 0;
            }
        }
        return area == 0 ? 0 : failingArea / area;
    }

    /** The word around the worst glyph. */
    private RunContrast.Spot spot() {
        List<Segment.Glyph> glyphs = worst.line.glyphs();
        int from = worst.glyph;
        while (from > 0 && !isSpace(glyphs.get(from - 1))) {
            from--;
        }
        int to = worst.glyph + 1;
        while (to < glyphs.size() && !isSpace(glyphs.get(to))) {
            to++;
        }
        StringBuilder word = new StringBuilder();
        for (int i = from; i < to; i++) {
            word.append(glyphs.get(run.type().leftward() ? to - 1 - (i - from) : i).text());
        }
        Item.Line alone =
                run.type().leftward()
                        ? worst.line.partLeftward(from, to)
                        : worst.line.part(from, to);
        return new RunContrast.Spot(word.toString().strip(), run.box(alone));
    }

    private static boolean isSpace(Segment.Glyph glyph) {
        return glyph.isWordSpace() || glyph.text().isBlank();
    }

    private void line(Item.Line line) {
        // ink does not go farther beyond its line than its size; mostly that is all there is to
        // know
        double size = Math.max(run.size(), around);
        Rect roomy = run.box(line).inset(-size, -size, -size, -size);
        boolean isVeiled = veils.stream().anyMatch(each -> each.touches(roomy));
        if (!line.text().isBlank() && !isVeiled) {
            Optional<Ground> one = oneBackground(roomy);
            if (one.isPresent()) {
                plain(line, IntStream.range(0, line.glyphs().size()).boxed().toList(), one.get());
                return;
            }
        }
        List<GlyphInk> inks = new ArrayList<>();
        for (int i = 0; i < line.glyphs().size(); i++) {
            GlyphInk ink = ink(line, i);
            if (ink.hasInk() && !ink.box().intersection(bleed).isEmpty()) {
                inks.add(ink);
            }
        }
        List<GlyphInk> mixed = new ArrayList<>();
        for (GlyphInk ink : inks) {
            Optional<Ground> one =
                    veils.stream().anyMatch(each -> each.touches(ink.box()))
                            ? Optional.empty()
                            : oneBackground(ink.box());
            if (one.isPresent()) {
                plain(line, List.of(ink.index()), one.get());
            } else {
                mixed.add(ink);
            }
        }
        if (!mixed.isEmpty() && !alongGradient(line, mixed)) {
            field(line, mixed);
        }
    }

    private GlyphInk ink(Item.Line line, int glyph) {
        return GlyphInk.of(run, line, glyph, around);
    }

    private void plain(Item.Line line, List<Integer> glyphs, Ground ground) {
        RunContrast.Against against = against(ground);
        found.add(against);
        plain.add(new Part(line, glyphs, against.ratio()));
        glyphs.stream()
                .filter(each -> !isSpace(line.glyphs().get(each)))
                .findFirst()
                .ifPresent(each -> worst.meet(against.ratio(), line, each));
    }

    /**
     * Where one gradient alone changes, and no stop of it lies within the line, its colours go from
     * one end to the other: both are looked at. Where the text passes at one of them only, or more
     * is behind it, this says no.
     */
    private boolean alongGradient(Item.Line line, List<GlyphInk> inks) {
        Rect all = all(inks);
        if (veils.stream().anyMatch(each -> each.touches(all)) || !bleed.contains(all)) {
            return false;
        }
        List<Item.Filled> stack = new ArrayList<>();
        for (Item item : below) {
            if (item instanceof Item.Filled fill && fill.touches(all)) {
                if (!fill.holds(all) || fill.paint() instanceof AreaPaint.Picture) {
                    return false;
                }
                if (fill.covers()) {
                    stack.clear();
                }
                stack.add(fill);
            } else if (item instanceof Item.Lettering text
                    && !text.inkBounds().intersection(all).isEmpty()) {
                return false;
            }
        }
        List<Item.Filled> gradients = stack.stream().filter(each -> !isPlain(each)).toList();
        if (gradients.size() != 1) {
            return false;
        }
        Item.Filled fill = gradients.getFirst();
        GradientEnds ends = GradientEnds.of(fill, inks);
        if (ends.hasStopWithin()) {
            return false;
        }
        RunContrast.Against first = against(ends.from(), stack, fill);
        RunContrast.Against last = against(ends.to(), stack, fill);
        double required = required();
        boolean crosses = isLighter(first) != isLighter(last); // and is the text's own in between
        if (crosses || first.ratio() < required != last.ratio() < required) {
            return false;
        }
        found.add(first);
        found.add(last);
        worst.meet(first.ratio(), line, ends.from().ink().index());
        worst.meet(last.ratio(), line, ends.to().ink().index());
        plain.add(
                new Part(
                        line,
                        inks.stream().map(GlyphInk::index).toList(),
                        Math.min(first.ratio(), last.ratio())));
        return true;
    }

    private static boolean isLighter(RunContrast.Against against) {
        return Contrast.luminance(against.color()) > Contrast.luminance(against.foreground());
    }

    private RunContrast.Against against(
            GradientEnds.End end, List<Item.Filled> stack, Item.Filled fill) {
        return against(
                new Ground(
                        Optional.of(Paint.sampled(painted.of(stack, end.x(), end.y()), fill)),
                        Optional.of(fill)));
    }

    private void field(Item.Line line, List<GlyphInk> inks) {
        List<Item.Filled> over =
                veils.stream()
                        .filter(veil -> inks.stream().anyMatch(ink -> veil.touches(ink.box())))
                        .toList();
        LineField field =
                new LineField(paintings.computeIfAbsent(line, _ -> painting(inks, over)), view);
        boolean isVerdict = view.viewing() == Viewing.AS_DESIGNED; // only that is held to a rule
        double required = required();
        LineField.Colors all = field.new Colors();
        for (GlyphInk ink : inks) {
            LineField.Glyph glyph = field.glyph(ink, required);
            area += glyph.area();
            failingArea += glyph.failing();
            if (fills.stream().anyMatch(each -> isPicture(each) && each.touches(ink.box()))) {
                picturedArea += glyph.area();
                variation += isVerdict ? glyph.area() * field.variation(ink) : 0;
            }
            failing.ifPresent(places -> field.failing(ink, required, places));
            if (field.isOnOne()) {
                all.add(ink, demand.leftOut());
            } else {
                boolean isVeiled = over.stream().anyMatch(each -> each.touches(ink.box()));
                LineField.Colors own = field.new Colors();
                own.add(ink, demand.leftOut());
                meet(own, field, line, isVeiled);
            }
        }
        meet(all, field, line, false);
    }

    private void meet(LineField.Colors colors, LineField field, Item.Line line, boolean areVeiled) {
        for (LineField.Pixel pixel : colors.worstFirst()) {
            RunContrast.Against against =
                    areVeiled ? field.veiled(pixel) : against(behind(field, pixel));
            found.add(against);
            worst.meet(against.ratio(), line, pixel.glyph());
        }
    }

    private LineField.Painting painting(List<GlyphInk> inks, List<Item.Filled> over) {
        Rect all = all(inks);
        double ppi = // what is marked is marked finely
                failing.isPresent() ? LineField.PPI : LineField.fineEnough(below, over, all);
        return new LineField.Painting(scene, below, over, run, inks, ppi);
    }

    private static Rect all(List<GlyphInk> inks) {
        return inks.stream().map(GlyphInk::box).reduce(Rect::union).orElseThrow();
    }

    private RunContrast.Against against(Ground ground) {
        return Legibility.against(run.paint(), ground.paint(), view, ground.fill());
    }

    /** The common case: the first thing met below is a fill that lies under all of it. */
    private Optional<Ground> oneBackground(Rect box) {
        for (Item item : below.reversed()) {
            switch (item) {
                case Item.Filled fill -> {
                    if (fill.solid().isPresent() && fill.holds(box)) {
                        return Optional.of(new Ground(fill.solid(), Optional.of(fill)));
                    }
                    if (fill.touches(box)) {
                        return Optional.empty();
                    }
                }
                case Item.Lettering other -> {
                    if (!other.inkBounds().intersection(box).isEmpty()) {
                        return Optional.empty();
                    }
                }
            }
        }
        return bleed.contains(box) ? Optional.of(Ground.STOCK) : Optional.empty();
    }

    /** What lies behind a pixel: exactly, where only plain colours meet there. */
    private Ground behind(LineField field, LineField.Pixel pixel) {
        double x = pixel.x();
        double y = pixel.y();
        List<Item.Filled> stack = new ArrayList<>();
        Optional<Item.Lettering> letters = Optional.empty();
        for (Item item : below) {
            switch (item) {
                case Item.Filled fill -> {
                    if (fill.holds(x, y)) {
                        if (fill.covers()) {
                            stack.clear();
                            letters = Optional.empty();
                        }
                        stack.add(fill);
                    }
                }
                case Item.Lettering text -> {
                    if (text.inkBounds().contains(x, y) && inks(text, x, y)) {
                        letters = Optional.of(text);
                    }
                }
            }
        }
        if (letters.isPresent() && stack.stream().allMatch(Item.Filled::covers)) {
            return new Ground(Optional.of(lettered(letters.get(), stack, x, y)), Optional.empty());
        }
        if (stack.isEmpty()) {
            return Ground.STOCK;
        }
        Item.Filled top = stack.getLast();
        if (letters.isEmpty() && stack.stream().allMatch(Backdrop::isPlain)) {
            return new Ground(
                    top.solid().or(() -> Optional.of(Paint.sampled(painted.of(stack, x, y), top))),
                    Optional.of(top));
        }
        Item.Filled named =
                stack.reversed().stream().filter(fill -> !isPlain(fill)).findFirst().orElse(top);
        return new Ground(
                Optional.of(Paint.sampled(field.color(pixel), named)), Optional.of(named));
    }

    /** Text that overprints shows in as many colours as it lies on. */
    private Paint lettered(Item.Lettering text, List<Item.Filled> stack, double x, double y) {
        if (!text.paint().overprints()) {
            return text.paint();
        }
        return text.paint()
                .withColor(
                        text.paint()
                                .over(
                                        stack.isEmpty()
                                                ? Optional.empty()
                                                : Optional.of(painted.of(stack, x, y)),
                                        view.condition()));
    }

    private static boolean inks(Item.Lettering text, double x, double y) {
        for (Item.Line line : text.letters().lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Shape shape = text.shape(line, glyph);
                if (shape.contains(x, y)) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean isPicture(Item.Filled fill) {
        return fill.paint() instanceof AreaPaint.Picture;
    }

    private static boolean isPlain(Item.Filled fill) {
        return fill.paint() instanceof AreaPaint.Solid;
    }
}
