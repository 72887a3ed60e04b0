package yewberry.pdf.proof;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import yewberry.core.color.View;
import yewberry.core.picture.SvgPicture.PlacedScene;
import yewberry.core.publication.Outline;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.SvgMarks.Mark;

/**
 * Holds what an SVG file paints against the items of the scenes, one after the other: that each is
 * there in its order, at its place, of its shape and in its colour, and nothing besides. What is
 * painted as pixels is there with its edges; what they show is seen by drawing the file.
 */
final class SvgItemCheck {
    /** A hundredth of a millimetre, in points. */
    static final double TOLERANCE = 0.01 * 72 / 25.4;

    private final View view;
    private final int ppi;
    private final List<Mark> marks;
    private int at;

    /** Where what comes next stands that is not as it should be, in words. */
    private static final class Differs extends Exception {
        private static final long serialVersionUID = 1;

        Differs(String what) {
            super(what, null, false, false);
        }
    }

    private SvgItemCheck(List<Mark> marks, View view, int ppi) {
        this.marks = marks;
        this.view = view;
        this.ppi = ppi;
    }

    /**
     * @param pages that the file shows, from left to right
     * @param ppi how fine what is painted as pixels is
     * @return the first thing that is not as it should be
     */
    static Optional<String> problem(List<Mark> marks, List<PlacedScene> pages, View view, int ppi) {
        SvgItemCheck check = new SvgItemCheck(marks, view, ppi);
        try {
            for (PlacedScene page : pages) {
                check.page(page);
            }
            check.nothingMore();
        } catch (Differs differs) {
            return Optional.of(differs.getMessage());
        }
        return Optional.empty();
    }

    private void nothingMore() throws Differs {
        if (at < marks.size()) {
            throw new Differs("something on top that the page does not have");
        }
    }

    /** One thing that a page has to have. */
    private record Wanted(String name, Shape path, PlacedScene page) {}

    private void page(PlacedScene page) throws Differs {
        MediumScene shown = page.scene().on(view);
        filled(wanted("the paper", page, page.visible().shape()), view.bare().hex());
        List<Item.AreaFill> lower = shown.lower();
        if (lower.stream().allMatch(SvgItemCheck::isShape)) {
            for (Item.AreaFill fill : lower) {
                filled(wanted("a background", page, fill.rect().shape()), color(fill));
            }
        } else {
            pixels(wanted("the backgrounds", page, page.visible().shape()), List.of());
        }
        for (Item item : shown.items().subList(lower.size(), shown.items().size())) {
            switch (item) {
                case Item.Filled fill -> fill(page, fill);
                case Item.GlyphRun run -> letters(page, run);
                case Item.GlyphStroke stroke -> lines(page, stroke);
            }
        }
    }

    private static Wanted wanted(String name, PlacedScene page, Shape path) {
        return new Wanted(
                name,
                AffineTransform.getTranslateInstance(page.x(), 0).createTransformedShape(path),
                page);
    }

    private static boolean isShape(Item.Filled fill) {
        return fill.covers() && !(fill.paint() instanceof AreaPaint.Picture);
    }

    /** "url(" for a gradient. */
    private String color(Item.Filled fill) {
        return fill.solid().map(paint -> view.see(paint.color()).hex()).orElse("url(");
    }

    private void fill(PlacedScene page, Item.Filled fill) throws Differs {
        String name = "a " + PlaceCheck.kind(fill);
        Shape path = fill.shape().orElseGet(() -> fill.bounds().shape());
        if (isShape(fill) && !(fill instanceof Item.AreaFill)) {
            filled(wanted(name, page, path), color(fill));
            return;
        }
        Rect region = fill.bounds().intersection(page.scene().boxes().bleed());
        if (!region.isEmpty()) {
            List<Shape> cut =
                    fill instanceof Item.AreaFill
                            ? List.of()
                            : List.of(wanted(name, page, path).path);
            pixels(wanted(name, page, region.shape()), cut);
        }
    }

    private void letters(PlacedScene page, Item.GlyphRun run) throws Differs {
        List<Wanted> glyphs = glyphs("a letter", page, run);
        if (!run.paint().overprints()) {
            for (Wanted glyph : glyphs) {
                filled(glyph, view.see(run.paint().color()).hex());
            }
            return;
        }
        List<Shape> shapes = glyphs.stream().map(Wanted::path).toList();
        Rect region = run.bounds().intersection(page.scene().boxes().bleed());
        if (!region.isEmpty() && isNextOfPixels(shapes)) {
            pixels(wanted("a letter of " + shortened(run), page, region.shape()), shapes);
            return;
        }
        // once in each colour that it comes to with what it lies on; beyond the page in none
        boolean isWanted = !region.isEmpty();
        while (!glyphs.isEmpty() && (isWanted || isNext(shapes))) {
            for (Wanted glyph : glyphs) {
                colored(glyph, "#");
            }
            isWanted = false;
        }
    }

    /** Whether the next mark is pixels that are cut to letters; spaces are cut to nothing. */
    private boolean isNextOfPixels(List<Shape> letters) {
        return at < marks.size()
                && marks.get(at).image()
                && (!letters.isEmpty() || marks.get(at).clips().getLast().isEmpty());
    }

    /** Whether the next marks are the same shapes again. */
    private boolean isNext(List<Shape> shapes) {
        return at + shapes.size() <= marks.size()
                && Stream.iterate(0, i -> i < shapes.size(), i -> i + 1)
                        .allMatch(i -> isSame(shapes.get(i), marks.get(at + i).path()));
    }

    /** Those that have ink. */
    private List<Wanted> glyphs(String name, PlacedScene page, Item.GlyphRun run) {
        return run.lines().stream()
                .flatMap(line ->
                        line.glyphs().stream()
                                .filter(glyph -> !run.face().outline(glyph.id()).ink().isEmpty())
                                .map(glyph -> run.shape(line, glyph)))
                .map(path -> wanted(name + " of " + shortened(run), page, path))
                .toList();
    }

    private static String shortened(Item.GlyphRun run) {
        String text = run.text();
        return "“%s”".formatted(text.length() > 40 ? text.substring(0, 39) + "…" : text);
    }

    private void lines(PlacedScene page, Item.GlyphStroke stroke) throws Differs {
        for (Wanted wanted : glyphs("the outline of a letter", page, stroke.letters())) {
            Mark found = next(wanted);
            String color = view.see(stroke.paint().color()).hex();
            boolean like =
                    found.fill().equals("none")
                            && found.clips().size() == 1
                            && Math.abs(found.width() - stroke.width()) < TOLERANCE
                            && found.join().equalsIgnoreCase(stroke.join().name())
                            && found.miterLimit().equals(Long.toString((long) Outline.MITER_LIMIT));
            if (!like) {
                throw differs(wanted, "drawn otherwise");
            }
            if (!found.stroke().equals(color)) {
                throw differs(wanted, "in another colour");
            }
        }
    }

    /**
     * @param color that it begins with
     */
    private void filled(Wanted wanted, String color) throws Differs {
        if (colored(wanted, color).clips().size() > 1) {
            throw differs(wanted, "cut otherwise");
        }
    }

    /** The same of what may be cut to parts, each of another colour. */
    private Mark colored(Wanted wanted, String color) throws Differs {
        Mark found = next(wanted);
        if (!found.stroke().equals("none") || found.image()) {
            throw differs(wanted, "drawn otherwise");
        }
        if (!found.fill().startsWith(color)) {
            throw differs(wanted, "in another colour");
        }
        return found;
    }

    /**
     * @param cut the shapes that the pixels are cut to
     */
    private void pixels(Wanted wanted, List<Shape> cut) throws Differs {
        Rectangle2D box = wanted.path.getBounds2D();
        double pixel = 72.0 / ppi;
        Rectangle2D painted =
                new Rectangle2D.Double(
                        box.getX(),
                        box.getY(),
                        Math.ceil(box.getWidth() / pixel - 1e-6) * pixel,
                        Math.ceil(box.getHeight() / pixel - 1e-6) * pixel);
        Mark found = next(new Wanted(wanted.name, painted, wanted.page));
        List<Shape> last = found.clips().getLast();
        // the page alone, or what it is cut to besides; spaces are cut to nothing
        int count = cut.isEmpty() && !last.isEmpty() ? 1 : 2;
        boolean isCut =
                found.clips().size() == count
                        && (count == 1
                                || last.size() == cut.size()
                                        && Stream.iterate(0, i -> i < cut.size(), i -> i + 1)
                                                .allMatch(i -> isSame(cut.get(i), last.get(i))));
        if (!found.image()) {
            throw differs(wanted, "drawn otherwise");
        }
        if (!isCut) {
            throw differs(wanted, "cut otherwise");
        }
    }

    /** The next mark, if it has the shape and place that it should. */
    private Mark next(Wanted wanted) throws Differs {
        if (at == marks.size()) {
            throw differs(wanted, "missing");
        }
        Mark found = marks.get(at);
        at++;
        if (!found.odd().isEmpty()) {
            throw differs(wanted, "changed by “%s”".formatted(found.odd()));
        }
        if (!isSame(wanted.path, found.path())) {
            throw differs(wanted, moved(wanted.path, found.path()));
        }
        Shape visible = wanted(wanted.name, wanted.page, wanted.page.visible().shape()).path;
        boolean onPage =
                !found.clips().isEmpty()
                        && found.clips().getFirst().size() == 1
                        && isSame(visible, found.clips().getFirst().getFirst());
        if (!onPage) {
            throw differs(wanted, "cut otherwise");
        }
        return found;
    }

    /** How something differs from what should be there. */
    private static String moved(Shape wanted, Shape found) {
        Rectangle2D one = wanted.getBounds2D();
        Rectangle2D other = found.getBounds2D();
        double across = other.getX() - one.getX();
        double down = other.getY() - one.getY();
        Shape back =
                AffineTransform.getTranslateInstance(-across, -down).createTransformedShape(found);
        double far = Math.hypot(across, down) * 25.4 / 72;
        return isSame(wanted, back) && far < 100
                ? "%.2f mm from its place".formatted(far)
                : "missing, of another shape or not in its order";
    }

    private Differs differs(Wanted wanted, String how) {
        Rectangle2D box = wanted.path.getBounds2D();
        return new Differs(
                "%s %s, at %s mm, %s mm"
                        .formatted(
                                wanted.name,
                                how,
                                PlateComparison.millimetres(box.getCenterX() - wanted.page.x()),
                                PlateComparison.millimetres(box.getCenterY())));
    }

    /** Whether two paths take the same steps. */
    private static boolean isSame(Shape one, Shape other) {
        PathIterator here = one.getPathIterator(null);
        PathIterator there = other.getPathIterator(null);
        double[] from = new double[6];
        double[] to = new double[6];
        while (!here.isDone() && !there.isDone()) {
            int step = here.currentSegment(from);
            if (step != there.currentSegment(to)) {
                return false;
            }
            for (int i = 0; i < numbers(step); i++) {
                if (!(Math.abs(from[i] - to[i]) <= TOLERANCE)) {
                    return false;
                }
            }
            here.next();
            there.next();
        }
        return here.isDone() && there.isDone();
    }

    private static int numbers(int step) {
        return switch (step) {
            case PathIterator.SEG_MOVETO, PathIterator.SEG_LINETO -> 2;
            case PathIterator.SEG_QUADTO -> 4;
            case PathIterator.SEG_CUBICTO -> 6;
            default -> 0;
        };
    }
}
