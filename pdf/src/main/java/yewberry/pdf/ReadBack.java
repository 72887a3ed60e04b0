package yewberry.pdf;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.scene.InkPlanes;
import yewberry.core.scene.Item;
import yewberry.core.scene.Medium;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Shade;
import yewberry.core.text.Segment;
import yewberry.pdf.PaintedPage.PaintedGlyph;
import yewberry.pdf.ReadBackReport.BoxCheck;
import yewberry.pdf.ReadBackReport.CornerCheck;
import yewberry.pdf.ReadBackReport.Extent;
import yewberry.pdf.ReadBackReport.PageReport;
import yewberry.pdf.ReadBackReport.TextColorCheck;

/** Opens an exported file again and holds what is in it against the scenes it was made from. */
public final class ReadBack {
    /** Page boxes are written with five decimals of a point and read as single precision. */
    private static final double BOX_TOLERANCE = 0.01;

    /** A hundredth of a millimetre, in points. */
    private static final double PLACE_TOLERANCE = 0.01 * 72 / 25.4;

    /** In percent of ink: what writing five decimals of a fraction can cost, and a little more. */
    private static final double INK_TOLERANCE = 0.05;

    /** Single precision of a number in the file. */
    private static final double OPACITY_TOLERANCE = 1e-4;

    /** How far inside the corner of the bleed the sample is taken, in points. */
    private static final double CORNER_INSET = 0.25;

    private final PressCondition condition;

    private ReadBack(PressCondition condition) {
        this.condition = condition;
    }

    private final PlacedFilesCheck files = new PlacedFilesCheck();

    /**
     * @param scenes what the file was made from, page by page
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport check(
            Path file, List<PageScene> scenes, PressCondition condition, Progress progress)
            throws IOException {
        ReadBack readBack = new ReadBack(condition);
        try (PDDocument document =
                Loader.loadPDF(file.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            List<String> problems = new ArrayList<>();
            if (document.getNumberOfPages() != scenes.size()) {
                problems.add(
                        "The file has %d pages instead of %d."
                                .formatted(document.getNumberOfPages(), scenes.size()));
            }
            if (document.getDocumentCatalog().getOutputIntents().isEmpty()) {
                problems.add("The file names no press condition (output intent).");
            }
            List<PageReport> pages = new ArrayList<>();
            int both = Math.min(document.getNumberOfPages(), scenes.size());
            for (int i = 0; i < both; i++) {
                progress.at(i, both);
                pages.add(readBack.page(i + 1, document.getPage(i), scenes.get(i)));
            }
            return ReadBackReport.of(pages, problems);
        }
    }

    private PageReport page(int number, PDPage page, PageScene all) throws IOException {
        PageScene scene = all.on(Medium.PAPER);
        List<BoxCheck> boxes =
                List.of(
                        box("MediaBox", page.getMediaBox(), scene, scene.boxes().bleed()),
                        box("BleedBox", page.getBleedBox(), scene, scene.boxes().bleed()),
                        box("TrimBox", page.getTrimBox(), scene, scene.boxes().trim()));
        PaintedPage painted = PaintedPage.read(page);
        List<String> problems = new ArrayList<>();
        List<TextColorCheck> text = text(scene, page, painted, problems);
        files.check(scene, page, painted.files(), problems);
        return PageReport.of(number, boxes, corners(page, scene, painted), text, problems);
    }

    private static BoxCheck box(String name, PDRectangle found, PageScene scene, Rect rect) {
        Extent wanted = extent(PressPdf.rectangle(scene, rect));
        Extent is = extent(found);
        boolean same =
                Math.abs(wanted.x() - is.x()) <= BOX_TOLERANCE
                        && Math.abs(wanted.y() - is.y()) <= BOX_TOLERANCE
                        && Math.abs(wanted.width() - is.width()) <= BOX_TOLERANCE
                        && Math.abs(wanted.height() - is.height()) <= BOX_TOLERANCE;
        return new BoxCheck(name, wanted, is, same);
    }

    private static Extent extent(PDRectangle rectangle) {
        return new Extent(
                rectangle.getLowerLeftX(),
                rectangle.getLowerLeftY(),
                rectangle.getWidth(),
                rectangle.getHeight());
    }

    private List<CornerCheck> corners(PDPage page, PageScene scene, PaintedPage painted) {
        List<CornerCheck> checks = new ArrayList<>();
        PDRectangle bleed = page.getBleedBox();
        for (boolean top : new boolean[] {true, false}) {
            for (boolean left : new boolean[] {true, false}) {
                double x =
                        left
                                ? bleed.getLowerLeftX() + CORNER_INSET
                                : bleed.getUpperRightX() - CORNER_INSET;
                double y =
                        top
                                ? bleed.getUpperRightY() - CORNER_INSET
                                : bleed.getLowerLeftY() + CORNER_INSET;
                Optional<Corner> expected = expectedAt(scene, left, top);
                Optional<Corner> found =
                        painted.areas().reversed().stream()
                                .filter(each -> each.shape().contains(x, y))
                                .findFirst()
                                .map(area ->
                                        new Corner(
                                                area.plates(x, y), area.opacity(), area.blend()));
                boolean matches =
                        expected.isPresent() == found.isPresent()
                                && (expected.isEmpty() || expected.get().matches(found.get()));
                checks.add(
                        new CornerCheck(
                                (top ? "top " : "bottom ") + (left ? "left" : "right"),
                                expected.map(Corner::inWords),
                                found.map(Corner::inWords),
                                matches));
            }
        }
        return List.copyOf(checks);
    }

    /** What is painted last at a corner; a picture in no plates, which are looked at elsewhere. */
    private record Corner(Optional<Plates> plates, double opacity, String blend) {
        boolean matches(Corner found) {
            boolean sameInk =
                    plates.isEmpty()
                            || found.plates().isPresent()
                                    && plates.get().matches(found.plates().get(), INK_TOLERANCE);
            return sameInk
                    && Math.abs(opacity - found.opacity()) < OPACITY_TOLERANCE
                    && blend.equals(found.blend());
        }

        String inWords() {
            String ink = plates.map(Plates::inWords).orElse("a picture");
            String covering =
                    opacity == 1 ? ink : "%s at %d %%".formatted(ink, Math.round(opacity * 100));
            return blend.equals("Normal") ? covering : covering + ", " + blend;
        }
    }

    private Optional<Corner> expectedAt(PageScene scene, boolean left, boolean top) {
        Rect bleed = scene.boxes().bleed();
        double x = left ? bleed.x() + CORNER_INSET : bleed.right() - CORNER_INSET;
        double y = top ? bleed.y() + CORNER_INSET : bleed.bottom() - CORNER_INSET;
        InkPlanes planes = InkPlanes.of(scene, condition);
        for (Item.AreaFill fill : scene.areas().reversed()) {
            if (fill.shade() instanceof Shade.Picture picture) {
                if (fill.rect().contains(x, y) && picture.reaches(new Rect(x, y, 0, 0))) {
                    return Optional.of(corner(Optional.empty(), fill));
                }
            } else if (fill.rect().contains(x, y)) {
                double[] ink = Painted.source(fill, planes, Painted.POINTS_PPI).ink(x, y);
                return Optional.of(
                        corner(Optional.of(Plates.of(planes.color(ink), condition)), fill));
            }
        }
        return Optional.empty();
    }

    private static Corner corner(Optional<Plates> plates, Item.AreaFill fill) {
        return new Corner(plates, fill.opacity(), fill.blend().standardName());
    }

    /** Glyphs by the place they stand at, to a tenth of a point. */
    private record Cell(long x, long y) {
        static Cell of(double x, double y) {
            return new Cell(Math.round(x * 10), Math.round(y * 10));
        }
    }

    private List<TextColorCheck> text(
            PageScene scene, PDPage page, PaintedPage painted, List<String> problems) {
        Map<Cell, List<PaintedGlyph>> places = new HashMap<>();
        for (PaintedGlyph glyph : painted.glyphs()) {
            places.computeIfAbsent(Cell.of(glyph.x(), glyph.y()), cell -> new ArrayList<>())
                    .add(glyph);
        }
        Map<Plates, int[]> counts = new LinkedHashMap<>();
        PDRectangle bleedBox = page.getBleedBox();
        for (Item.GlyphRun run : scene.text()) {
            Plates wanted = Plates.of(run.paint().color(), condition);
            int[] count = counts.computeIfAbsent(wanted, color -> new int[2]);
            int missing = 0;
            int miscolored = 0;
            int misread = 0;
            int misprinted = 0;
            for (Item.Line line : run.lines()) {
                for (Segment.Glyph glyph : line.glyphs()) {
                    count[0]++;
                    Rect bleed = scene.boxes().bleed();
                    double x = bleedBox.getLowerLeftX() + line.x() + glyph.x() - bleed.x();
                    double y =
                            bleedBox.getLowerLeftY() + bleed.bottom() - line.baseline() - glyph.y();
                    List<PaintedGlyph> here = near(places, x, y);
                    boolean colored =
                            here.stream()
                                    .anyMatch(each ->
                                            each.plates()
                                                    .filter(plates ->
                                                            plates.matches(wanted, INK_TOLERANCE))
                                                    .isPresent());
                    boolean read =
                            glyph.text().isBlank()
                                    || here.stream()
                                            .anyMatch(each -> each.text().equals(glyph.text()));
                    boolean overprints =
                            here.stream()
                                    .anyMatch(
                                            each -> each.overprints() == run.paint().overprints());
                    misprinted += !here.isEmpty() && !overprints ? 1 : 0;
                    missing += here.isEmpty() ? 1 : 0;
                    miscolored += !here.isEmpty() && !colored ? 1 : 0;
                    misread += !here.isEmpty() && !read ? 1 : 0;
                    count[1] += colored ? 1 : 0;
                }
            }
            note(problems, run, missing, "are not at their place");
            note(problems, run, miscolored, "are not in " + wanted.inWords());
            note(
                    problems,
                    run,
                    misprinted,
                    run.paint().overprints() ? "do not overprint" : "overprint");
            note(problems, run, misread, "do not read as their characters");
        }
        return counts.entrySet().stream()
                .map(entry ->
                        new TextColorCheck(
                                entry.getKey().inWords(),
                                entry.getValue()[0],
                                entry.getValue()[1],
                                entry.getValue()[0] == entry.getValue()[1]))
                .toList();
    }

    private static void note(List<String> problems, Item.GlyphRun run, int count, String what) {
        if (count > 0) {
            String text = run.text();
            String shown = text.length() > 40 ? text.substring(0, 39) + "…" : text;
            problems.add("“%s”: %d glyphs %s.".formatted(shown, count, what));
        }
    }

    private static List<PaintedGlyph> near(
            Map<Cell, List<PaintedGlyph>> places, double x, double y) {
        Cell middle = Cell.of(x, y);
        List<PaintedGlyph> near = new ArrayList<>();
        for (long dx = -1; dx <= 1; dx++) {
            for (long dy = -1; dy <= 1; dy++) {
                Cell cell = new Cell(middle.x() + dx, middle.y() + dy);
                for (PaintedGlyph glyph : places.getOrDefault(cell, List.of())) {
                    if (Math.hypot(glyph.x() - x, glyph.y() - y) <= PLACE_TOLERANCE) {
                        near.add(glyph);
                    }
                }
            }
        }
        return near;
    }
}
