package yewberry.pdf.proof;

import java.awt.geom.AffineTransform;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import yewberry.core.Progress;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.ScreenAndPaper.Where;
import yewberry.core.raster.PlaneRaster;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.Opening;
import yewberry.pdf.OutputCondition;
import yewberry.pdf.PageIndex;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.PdfWriter;
import yewberry.pdf.SwitchedLayers;
import yewberry.pdf.proof.ReadBackReport.BoxCheck;
import yewberry.pdf.proof.ReadBackReport.Extent;
import yewberry.pdf.proof.ReadBackReport.PageReport;
import yewberry.pdf.proof.ReadBackReport.PaintCheck;
import yewberry.pdf.proof.SincePages.Held;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.ImageCache;
import yewberry.pdf.read.PagePlates;

/**
 * Opens an exported file again and holds what is in it against the scenes it was made from: by
 * number, and painted anew from its operators over all of every page.
 */
public final class ReadBack implements AutoCloseable {
    static final int PPI = 144;
    private static final String OTHER_IN_PRINT = "As it is printed, the page has other colours.";

    private static final double SCALE = PPI / 72.0;

    /** Page boxes are written with five decimals of a point and read as single precision. */
    static final double BOX_TOLERANCE = 0.01;

    /** A file whose pages all differ is not told page by page in pictures. */
    static final int MOST_PICTURES = 20;

    private final PDDocument document;
    private final PdfOutput output;
    private final List<PageScene> scenes;
    private final Medium medium;
    private final PressCondition condition;
    private final PageIndex pages;
    private final OwnDrawing own = new OwnDrawing();
    private final ImageCache images = new ImageCache();
    private final AtomicInteger pictures;
    private Optional<SecondDrawing> witness = Optional.empty();
    private Optional<StructureCheck> structure = Optional.empty();

    private final LinkCheck links;

    private ReadBack(
            PDDocument document, PdfOutput output, List<Held> held, AtomicInteger pictures) {
        this.document = document;
        this.pages = PageIndex.of(document);
        this.output = output;
        this.scenes = output.scenes();
        this.links = new LinkCheck(document, scenes, held);
        this.medium = output.medium();
        this.condition = output.condition();
        this.pictures = pictures;
    }

    /**
     * @param scenes what the file was made from, page by page
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport check(
            Path file,
            List<PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Progress progress)
            throws IOException {
        return check(file, PdfOutput.plain("", scenes, medium, condition, Instant.EPOCH), progress);
    }

    /**
     * @param output what the file was made from
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport check(Path file, PdfOutput output, Progress progress)
            throws IOException {
        return check(file, output, Held.inPlace(output), Optional.empty(), progress);
    }

    /**
     * The same of a file that was made before, whose pages may be in another order now, and some of
     * them gone or new.
     *
     * @param output what the file would be made from now
     * @param made what was found of each page of the file when it was made
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport checkLater(
            Path file, PdfOutput output, List<PageReport> made, Progress progress)
            throws IOException {
        SincePages since = new SincePages(output, made);
        return since.areInPlace()
                ? check(file, output, progress)
                : check(file, output, since.held(), Optional.of(since), progress);
    }

    private static ReadBackReport check(
            Path file,
            PdfOutput output,
            List<Held> held,
            Optional<SincePages> since,
            Progress progress)
            throws IOException {
        AtomicInteger pictures = new AtomicInteger();
        Optional<StructureCheck> structure = StructureCheck.of(output);
        List<String> problems = new ArrayList<>();
        List<Held> there;
        try (PDDocument document = Opening.of(file, "");
                ReadBack readBack = new ReadBack(document, output, held, pictures)) {
            if (since.isPresent()) {
                problems.addAll(since.get().problems());
            } else {
                problems.addAll(readBack.count());
            }
            problems.addAll(readBack.conditions(OutputCondition.of(output)));
            if (since.isEmpty()) {
                if (structure.isPresent()) {
                    problems.addAll(structure.get().file(document));
                }
                problems.addAll(new NavigationCheck(document).numbers(output));
            }
            if (!output.layered().isEmpty() && !SwitchedLayers.areAsViewed(document)) {
                problems.add("Readers that do not switch by themselves show what is printed.");
            }
            problems.addAll(ClaimCheck.check(document, output.profile()));
            int pages = document.getNumberOfPages();
            there = held.stream().filter(each -> each.page() < pages).toList();
        }
        PageReaders.Opener opener =
                document -> {
                    ReadBack reader = new ReadBack(document, output, held, pictures);
                    if (problems.isEmpty()) {
                        reader.witness =
                                Optional.of(
                                        new SecondDrawing(document, reader.pages, output.medium()));
                    }
                    reader.structure = structure;
                    return reader.reading(at -> reader.page(there.get(at), since));
                };
        return ReadBackReport.of(
                PageReaders.read(file, "", opener, there.size(), progress), problems);
    }

    /**
     * The same of a file that something was added to: what it paints on pages that were changed, as
     * they are seen, against their scenes, in which the page as it came is one item.
     *
     * @param password that opens it; empty where it needs none
     * @param scenes by the number of the page, from 1
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static ReadBackReport checkAdded(
            Path file,
            String password,
            Map<Integer, PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Progress progress)
            throws IOException {
        List<Map.Entry<Integer, PageScene>> wanted = List.copyOf(scenes.entrySet());
        List<PageScene> of = wanted.stream().map(Map.Entry::getValue).toList();
        PdfOutput output = PdfOutput.plain("", of, medium, condition, Instant.EPOCH);
        AtomicInteger pictures = new AtomicInteger();
        PageReaders.Opener opener =
                document -> {
                    ReadBack reader = new ReadBack(document, output, List.of(), pictures);
                    return reader.reading(
                            at -> reader.added(wanted.get(at).getKey(), of.get(at), medium));
                };
        return ReadBackReport.of(
                PageReaders.read(file, password, opener, wanted.size(), progress), List.of());
    }

    private interface Reading {
        PageReport page(int at) throws IOException;
    }

    private PageReaders.Reader reading(Reading reading) {
        return new PageReaders.Reader() {
            @Override
            public PageReport page(int at) throws IOException {
                return reading.page(at);
            }

            @Override
            public void close() throws IOException {
                ReadBack.this.close();
            }
        };
    }

    private PageReport added(int number, PageScene of, Medium medium) throws IOException {
        PDPage page = pages.page(number);
        PaintCheck usual =
                added(
                        page,
                        of.on(medium),
                        Optional.ofNullable(document.getDocumentCatalog().getOCProperties()));
        ScreenAndPaper both = ScreenAndPaper.of(of);
        if (!both.switches() || !usual.matches()) {
            return PageReport.of(number, List.of(), usual, List.of(), List.of());
        }
        PaintCheck viewed =
                added(
                        page,
                        both.seen(Where.SCREEN).on(medium),
                        SwitchedLayers.addedSwitched(document, "View"));
        if (!viewed.matches()) {
            List<String> problems = List.of("As it is viewed, the page has other colours.");
            return PageReport.of(number, List.of(), viewed, List.of(), problems);
        }
        PaintCheck printed =
                added(
                        page,
                        both.seen(Where.PAPER).on(medium),
                        SwitchedLayers.addedSwitched(document, "Print"));
        List<String> problems = printed.matches() ? List.of() : List.of(OTHER_IN_PRINT);
        return PageReport.of(number, List.of(), printed, List.of(), problems);
    }

    private PaintCheck added(
            PDPage page, MediumScene scene, Optional<PDOptionalContentProperties> layers)
            throws IOException {
        Rect shown = scene.boxes().trim();
        AffineTransform toPixels =
                AffineTransform.getScaleInstance(shown.width() * SCALE, shown.height() * SCALE);
        toPixels.concatenate(PagePlates.unit(page));
        return painted(page, scene, shown, own.draw(scene, shown, PPI), toPixels, layers);
    }

    private List<String> count() {
        int pages = scenes.size();
        return document.getNumberOfPages() == pages
                ? List.of()
                : List.of(
                        "The file has %d pages instead of %d."
                                .formatted(document.getNumberOfPages(), pages));
    }

    /** What is wrong with what the file says it is made for. */
    private List<String> conditions(List<OutputCondition> conditions) throws IOException {
        List<String> problems = new ArrayList<>();
        List<PDOutputIntent> intents = document.getDocumentCatalog().getOutputIntents();
        if (intents.size() != conditions.size()) {
            problems.add(
                    intents.isEmpty()
                            ? "The file names no output condition (output intent)."
                            : "The file names %d output conditions instead of %d."
                                    .formatted(intents.size(), conditions.size()));
            return problems;
        }
        for (int i = 0; i < intents.size(); i++) {
            problems.addAll(intent(intents.get(i), conditions.get(i)));
        }
        return problems;
    }

    private static List<String> intent(PDOutputIntent found, OutputCondition wanted)
            throws IOException {
        List<String> problems = new ArrayList<>();
        COSDictionary intent = found.getCOSObject();
        if (!wanted.kind().equals(intent.getNameAsString(COSName.S))
                || !wanted.identifier()
                        .equals(intent.getString(COSName.OUTPUT_CONDITION_IDENTIFIER))
                || !wanted.name().equals(intent.getString(COSName.INFO))) {
            problems.add(
                    "The file names another output condition than %s."
                            .formatted(wanted.identifier()));
        }
        var profile = found.getDestOutputIntent();
        if (profile == null) {
            problems.add("The file holds no profile of its output condition.");
        } else {
            try (var in = profile.createInputStream()) {
                if (!Arrays.equals(in.readAllBytes(), wanted.profile())) {
                    problems.add("The file holds another profile than its output condition's.");
                }
            }
        }
        return problems;
    }

    /**
     * @throws IOException if the page cannot be read
     */
    private PageReport page(Held held, Optional<SincePages> since) throws IOException {
        int index = held.scene();
        PDPage page = pages.page(held.page() + 1);
        MediumScene scene = scenes.get(index).on(medium);
        Rect bleed = scene.boxes().bleed();
        Rect shown = medium == Medium.SCREEN ? scene.boxes().trim() : bleed;
        Rect paper = PdfWriter.paper(scene.boxes(), output.profile());
        Rect cropped = medium == Medium.SCREEN ? shown : paper;
        List<BoxCheck> boxes =
                List.of(
                        box("MediaBox", page.getMediaBox(), scene, paper),
                        box("CropBox", page.getCropBox(), scene, cropped),
                        box("BleedBox", page.getBleedBox(), scene, bleed),
                        box("TrimBox", page.getTrimBox(), scene, scene.boxes().trim()));
        List<String> problems = setting(page, scene);
        problems.addAll(links.check(page, scenes.get(index), medium));
        PaintedPage painted = PaintedPage.read(page);
        MediumScene viewed =
                output.layered().isEmpty()
                        ? scene
                        : output.layered().get(index).seen(Where.SCREEN).on(medium);
        GlyphCheck.Found text =
                GlyphCheck.check(viewed, painted.glyphs(), output.profile().overprintShown());
        problems.addAll(text.problems());
        structure.ifPresent(each -> problems.addAll(each.page(index, painted)));
        problems.addAll(StrokeCheck.check(scene, painted.strokes()));
        output.profile()
                .marks()
                .ifPresent(marks ->
                        problems.addAll(SheetCheck.check(marks, scene.boxes(), painted.around())));
        problems.addAll(PlaceCheck.check(scene, shown, painted));
        PlaneRaster wanted = own.draw(viewed, shown, PPI);
        if (witness.isPresent()
                && output.layered().isEmpty()
                && page.getResources() != null
                && page.getRotation() == 0
                && SecondDrawing.isOfUse(scene)) {
            page.setCropBox(PdfWriter.rectangle(scene.boxes(), shown));
            witness.get()
                    .differs(held.page(), wanted, PPI)
                    .ifPresent(place ->
                            problems.add(
                                    "A second drawing shows another colour at %s mm, %s mm."
                                            .formatted(
                                                    x(place, wanted, shown),
                                                    y(place, wanted, shown))));
        }
        AffineTransform toPixels =
                new AffineTransform(
                        SCALE,
                        0,
                        0,
                        -SCALE,
                        (bleed.x() - shown.x()) * SCALE,
                        (bleed.bottom() - shown.y()) * SCALE);
        PaintCheck comparison = painted(page, viewed, shown, wanted, toPixels, switched("View"));
        if (!output.layered().isEmpty() && comparison.matches()) {
            MediumScene printed = output.layered().get(index).seen(Where.PAPER).on(medium);
            comparison =
                    painted(
                            page,
                            printed,
                            shown,
                            own.draw(printed, shown, PPI),
                            toPixels,
                            switched("Print"));
            if (!comparison.matches()) {
                problems.add(OTHER_IN_PRINT);
            }
        }
        PageReport report =
                PageReport.of(index + 1, boxes, comparison, text.colors(), problems)
                        .labelled(output.label(index))
                        .heldAgainst(scenes.get(index).pages());
        return since.map(it -> report.withOther(it.before(held))).orElse(report);
    }

    private Optional<PDOptionalContentProperties> switched(String event) {
        return SwitchedLayers.switched(document, event);
    }

    private static BoxCheck box(String name, PDRectangle found, MediumScene scene, Rect rect) {
        Extent wanted = extent(PdfWriter.rectangle(scene.boxes(), rect));
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

    /** How the page as such is set: turned, scaled, grouped, and with which fonts. */
    private List<String> setting(PDPage page, MediumScene scene) throws IOException {
        List<String> problems = new ArrayList<>();
        if (page.getRotation() != 0) {
            problems.add("The page is turned by %d degrees.".formatted(page.getRotation()));
        }
        if (page.getUserUnit() != 1) {
            problems.add("The page is scaled by a UserUnit of %s.".formatted(page.getUserUnit()));
        }
        boolean mixes =
                scene.fills().stream().anyMatch(fill -> !fill.covers())
                        || output.profile().overprintShown()
                                && scene.text().stream().anyMatch(run -> run.paint().overprints());
        COSDictionary group = page.getCOSObject().getCOSDictionary(COSName.GROUP);
        if (mixes && !isMixedIn(group)) {
            problems.add(
                    medium == Medium.PAPER
                            ? "The page does not say that it is mixed in process ink."
                            : "The page does not say that it is mixed in light.");
        }
        if (page.getResources() != null) {
            for (COSName name : page.getResources().getFontNames()) {
                PDFont font = page.getResources().getFont(name);
                if (font == null || !font.isEmbedded() || font.isDamaged()) {
                    problems.add(
                            "The font %s is missing or damaged."
                                    .formatted(font == null ? name.getName() : font.getName()));
                }
            }
        }
        return problems;
    }

    private boolean isMixedIn(COSDictionary group) {
        COSName space = medium == Medium.PAPER ? COSName.DEVICECMYK : COSName.DEVICERGB;
        return group != null
                && COSName.TRANSPARENCY.equals(group.getCOSName(COSName.S))
                && space.equals(group.getCOSName(COSName.CS));
    }

    /** Painted from the file's operators, and from the scene. */
    private PaintCheck painted(
            PDPage page,
            MediumScene scene,
            Rect shown,
            PlaneRaster wanted,
            AffineTransform toPixels,
            Optional<PDOptionalContentProperties> layers)
            throws IOException {
        List<String> spots = scene.planes().spots().stream().map(Inks.Spot::name).toList();
        PlaneRaster found =
                PagePlates.of(
                                page,
                                layers,
                                new DeviceColors(medium, condition, spots),
                                images,
                                toPixels,
                                wanted.width(),
                                wanted.height())
                        .paint();
        PlateComparison comparison = PlateComparison.of(wanted, found);
        boolean pictured = !comparison.matches() && pictures.getAndIncrement() < MOST_PICTURES;
        return comparison.told(
                PlateComparison.planes(medium, spots),
                shown,
                PPI,
                Optional.of(wanted).filter(_ -> pictured));
    }

    private static double x(int place, PlaneRaster drawing, Rect shown) {
        return PlateComparison.millimetres(shown.x() + (place % drawing.width() + 0.5) / SCALE);
    }

    private static double y(int place, PlaneRaster drawing, Rect shown) {
        return PlateComparison.millimetres(shown.y() + (place / drawing.width() + 0.5) / SCALE);
    }

    @Override
    public void close() throws IOException {
        own.close();
    }
}
