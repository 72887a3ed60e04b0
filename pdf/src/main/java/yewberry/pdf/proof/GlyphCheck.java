package yewberry.pdf.proof;

import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.BlendMode;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;
import yewberry.pdf.proof.PaintedPage.PaintedGlyph;
import yewberry.pdf.proof.ReadBackReport.TextColorCheck;

/**
 * Holds every glyph of a page against every glyph of the file: its place, size and shape, its
 * colour, how it is set, and the characters that it reads as.
 */
final class GlyphCheck {
    /** A hundredth of a millimetre, in points. */
    private static final double PLACE_TOLERANCE = 0.01 * 72 / 25.4;

    /** In percent of ink: what writing five decimals of a fraction can cost, and a little more. */
    private static final double INK_TOLERANCE = 0.05;

    /** Of the type size: two thousandths, and single precision. */
    private static final double SHAPE_TOLERANCE = 0.003;

    private final MediumScene scene;
    private final Map<Cell, List<PaintedGlyph>> places = new HashMap<>();
    private final List<String> problems = new ArrayList<>();
    private final Map<Plates, int[]> counts = new LinkedHashMap<>();

    private final boolean overprintShown;

    private GlyphCheck(MediumScene scene, List<PaintedGlyph> glyphs, boolean overprintShown) {
        this.scene = scene;
        this.overprintShown = overprintShown;
        glyphs.forEach(glyph ->
                places.computeIfAbsent(Cell.of(glyph.x(), glyph.y()), cell -> new ArrayList<>())
                        .add(glyph));
    }

    /** What was found of the text of a page. */
    record Found(List<TextColorCheck> colors, List<String> problems) {}

    /**
     * @param overprintShown whether text that overprints is blended instead
     */
    static Found check(MediumScene scene, List<PaintedGlyph> glyphs, boolean overprintShown) {
        GlyphCheck check = new GlyphCheck(scene, glyphs, overprintShown);
        scene.text().forEach(check::run);
        long left = check.left();
        if (left > 0) {
            check.problems.add(
                    "%d glyphs are in the file that the page does not have.".formatted(left));
        }
        return new Found(
                check.counts.entrySet().stream()
                        .map(entry ->
                                new TextColorCheck(
                                        entry.getKey().inWords(),
                                        entry.getValue()[0],
                                        entry.getValue()[1],
                                        entry.getValue()[0] == entry.getValue()[1]))
                        .toList(),
                check.problems);
    }

    /** But for spaces, which may stand where lines end. */
    private long left() {
        return places.values().stream()
                .flatMap(List::stream)
                .filter(glyph -> !glyph.text().equals(" ") || !glyph.ink().isEmpty())
                .count();
    }

    /** Glyphs by the place they stand at, to a tenth of a point. */
    private record Cell(long x, long y) {
        static Cell of(double x, double y) {
            return new Cell(Math.round(x * 10), Math.round(y * 10));
        }
    }

    private void run(Item.GlyphRun run) {
        Plates wanted = Plates.of(run.paint().color(), scene.condition());
        int[] count = counts.computeIfAbsent(wanted, color -> new int[2]);
        Map<String, Integer> wrong = new LinkedHashMap<>();
        for (Item.Line line : run.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                count[0]++;
                Rect bleed = scene.boxes().bleed();
                AffineTransform place = inFile(bleed, run, line, glyph);
                Optional<PaintedGlyph> here =
                        take(place.getTranslateX(), place.getTranslateY(), glyph.text());
                here.ifPresentOrElse(
                        found -> {
                            List<String> off = off(run, line, glyph, wanted, found);
                            off.forEach(what -> wrong.merge(what, 1, Integer::sum));
                            boolean colored =
                                    found.plates()
                                            .filter(it -> it.matches(wanted, INK_TOLERANCE))
                                            .isPresent();
                            count[1] += colored ? 1 : 0;
                        },
                        () -> wrong.merge("are not at their place", 1, Integer::sum));
            }
        }
        wrong.forEach((what, times) -> note(run, times, what));
    }

    private List<String> off(
            Item.GlyphRun run,
            Item.Line line,
            Segment.Glyph glyph,
            Plates wanted,
            PaintedGlyph found) {
        List<String> off = new ArrayList<>();
        if (found.plates().filter(it -> it.matches(wanted, INK_TOLERANCE)).isEmpty()) {
            off.add("are not in " + wanted.inWords());
        }
        boolean over = run.paint().overprints() && !overprintShown;
        if (found.overprints() != over) {
            off.add(over ? "do not overprint" : "overprint");
        }
        boolean blended = run.paint().overprints() && overprintShown;
        BlendMode mode = blended ? BlendMode.DARKEN : BlendMode.NORMAL;
        if (!found.blend().equals(mode.standardName())) {
            off.add(blended ? "are not blended as if they overprinted" : "are blended");
        }
        if (!found.how().isEmpty()) {
            off.add(found.how());
        }
        if (!found.text().equals(glyph.text())
                && !(glyph.text().isBlank() && found.text().isBlank())) {
            off.add("do not read as their characters");
        }
        if (!hasShape(run, line, glyph, found)) {
            off.add("do not have their shape");
        }
        return off;
    }

    /** Its ink lies in the same box. */
    private boolean hasShape(
            Item.GlyphRun run, Item.Line line, Segment.Glyph glyph, PaintedGlyph found) {
        Rect bleed = scene.boxes().bleed();
        AffineTransform place = inFile(bleed, run, line, glyph);
        Rectangle2D units = run.face().outline(glyph.id()).ink();
        if (units.isEmpty()) {
            return found.ink().isEmpty();
        }
        // around a shape that is rotated lies less than around its box
        Shape whole = run.turn().isNone() ? units : run.face().outline(glyph.id()).path();
        Rectangle2D wanted = place.createTransformedShape(whole).getBounds2D();
        double most = SHAPE_TOLERANCE * run.size();
        return Math.abs(wanted.getMinX() - found.ink().getMinX()) <= most
                && Math.abs(wanted.getMaxX() - found.ink().getMaxX()) <= most
                && Math.abs(wanted.getMinY() - found.ink().getMinY()) <= most
                && Math.abs(wanted.getMaxY() - found.ink().getMaxY()) <= most;
    }

    /** From the units of its outline to the space of the file, whose y goes up. */
    private static AffineTransform inFile(
            Rect bleed, Item.GlyphRun run, Item.Line line, Segment.Glyph glyph) {
        AffineTransform place = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        place.concatenate(run.place(line, glyph));
        return place;
    }

    private void note(Item.GlyphRun run, int count, String what) {
        String text = run.text();
        String shown = text.length() > 40 ? text.substring(0, 39) + "…" : text;
        problems.add("“%s”: letters that %s: %d.".formatted(shown, what, count));
    }

    /** The glyph at a place, each once; of several that which reads as it should. */
    private Optional<PaintedGlyph> take(double x, double y, String text) {
        Cell middle = Cell.of(x, y);
        PaintedGlyph best = null;
        List<PaintedGlyph> from = null;
        for (long dx = -1; dx <= 1; dx++) {
            for (long dy = -1; dy <= 1; dy++) {
                List<PaintedGlyph> there =
                        places.getOrDefault(new Cell(middle.x() + dx, middle.y() + dy), List.of());
                for (PaintedGlyph glyph : there) {
                    boolean near = Math.hypot(glyph.x() - x, glyph.y() - y) <= PLACE_TOLERANCE;
                    if (near && (best == null || glyph.text().equals(text))) {
                        best = glyph;
                        from = there;
                    }
                }
            }
        }
        if (best != null) {
            from.remove(best);
        }
        return Optional.ofNullable(best);
    }
}
