package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDPageLabelRange;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.output.Claim;
import yewberry.core.output.PdfProfile;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.ScreenAndPaper.Where;
import yewberry.core.output.Structure;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Writes a PDF, one page after the other, each out to its bleed: for the press process colour as
 * DeviceCMYK and spot inks on plates of their own, for the screen sRGB, cropped to the trim.
 */
public final class PdfWriter {
    private final PdfOutput output;
    private final Medium medium;
    private final PDDocument document;
    private final Materials materials;
    private final Optional<Tags> tags;
    private final Links links;
    private final Optional<SwitchedLayers> switched;

    private PdfWriter(PdfOutput output, PDDocument document) {
        this.output = output;
        this.medium = output.medium();
        this.document = document;
        this.materials = new Materials(document, output.condition(), output.profile().flattened());
        this.tags = output.structure().map(structure -> new Tags(document, structure));
        this.links = new Links(tags);
        this.switched =
                output.layered().isEmpty()
                        ? Optional.empty()
                        : Optional.of(SwitchedLayers.of(document));
    }

    /** A file of British text, without structure and claims. */
    public static void write(
            String title,
            List<PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Instant created,
            Path file,
            Progress progress)
            throws IOException {
        write(PdfOutput.plain(title, scenes, medium, condition, created), file, progress);
    }

    /**
     * @throws IOException if the file cannot be written; what was there may be gone then
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static void write(PdfOutput output, Path file, Progress progress) throws IOException {
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            PdfWriter pdf = new PdfWriter(output, document);
            try (Materials materials = pdf.materials) {
                pdf.describe();
                int pages = output.scenes().size();
                for (int i = 0; i < pages; i++) {
                    progress.at(i, pages);
                    pdf.page(output.scenes().get(i), i);
                }
                pdf.links.finish();
                materials.finish();
                if (pdf.tags.isPresent()) {
                    pdf.tags.get().finish();
                    Bookmarks.add(document, pdf.tags.get().structure());
                }
                document.save(file.toFile());
            }
        }
    }

    private void describe() throws IOException {
        // ISO 15930-7 goes by PDF 1.6, ISO 19005-2 and 14289-1 by any up to 1.7
        document.getDocument().setVersion(output.profile().claims(Claim.PDF_X_4) ? 1.6f : 1.7f);
        Metadata.describe(output, document);
        PDDocumentCatalog catalog = document.getDocumentCatalog();
        // else it says 1.4 there
        catalog.getCOSObject().removeItem(COSName.VERSION);
        catalog.setLanguage(output.language().tag());
        PDViewerPreferences shown = new PDViewerPreferences(new COSDictionary());
        shown.setDisplayDocTitle(true);
        catalog.setViewerPreferences(shown);
        COSStream profile = null;
        for (OutputCondition wanted : OutputCondition.of(output)) {
            profile = profile == null ? wanted.stream(document) : profile;
            catalog.addOutputIntent(new PDOutputIntent(intent(wanted, profile)));
        }
        output.publication().ifPresent(each -> catalog.setPageLabels(numbers(each)));
    }

    /** ISO 32000-1, 12.4.2: pages are named as they are numbered in the publication. */
    private PDPageLabels numbers(Publication publication) {
        PDPageLabels labels = new PDPageLabels(document);
        int last = -1;
        for (int i = 0; i < output.scenes().size(); i++) {
            PageScene scene = output.scenes().get(i);
            if (scene.pages().size() > 1) {
                PDPageLabelRange both = new PDPageLabelRange();
                both.setPrefix(output.label(i));
                labels.setLabelItem(i, both);
                last = -2; // a page after it is numbered anew
                continue;
            }
            int at = publication.pages().position(scene.page()).orElse(last + 1);
            if (at != last + 1 || i == 0) {
                PDPageLabelRange range = new PDPageLabelRange();
                range.setStyle(PDPageLabelRange.STYLE_DECIMAL);
                range.setStart(at + 1);
                labels.setLabelItem(i, range);
            }
            last = at;
        }
        return labels;
    }

    /**
     * ISO 32000-1, 14.11.5; the profile byte for byte, which PDFBox's own way would not keep.
     *
     * @param profile that all intents of a file share: ISO 19005-2, 6.2.3
     */
    private static COSDictionary intent(OutputCondition wanted, COSStream profile) {
        COSDictionary intent = new COSDictionary();
        intent.setItem(COSName.TYPE, COSName.OUTPUT_INTENT);
        intent.setName(COSName.S, wanted.kind());
        intent.setString(COSName.OUTPUT_CONDITION_IDENTIFIER, wanted.identifier());
        intent.setString(COSName.REGISTRY_NAME, "http://www.color.org");
        intent.setString(COSName.INFO, wanted.name());
        intent.setItem(COSName.DEST_OUTPUT_PROFILE, profile);
        return intent;
    }

    private void page(PageScene all, int index) throws IOException {
        MediumScene scene = all.on(medium);
        PageBoxes boxes = scene.boxes();
        Rect bleed = boxes.bleed();
        Rect paper = paper(boxes, output.profile());
        PDPage page = new PDPage(rectangle(boxes, paper));
        page.setBleedBox(rectangle(boxes, bleed));
        page.setTrimBox(rectangle(boxes, boxes.trim()));
        if (medium == Medium.SCREEN) {
            page.setCropBox(rectangle(boxes, boxes.trim()));
        }
        PDResources resources = new PDResources();
        page.setResources(resources);
        Sheet sheet = new Sheet(materials, resources, bleed);
        boolean shown = output.profile().overprintShown() && overprints(scene);
        if (shown || scene.fills().stream().anyMatch(Shadings::mixes)) {
            page.getCOSObject().setItem(COSName.GROUP, transparencyGroup(medium));
        }
        Map<Item, Structure.Place> places =
                tags.map(each -> output.places(each.structure(), index, all)).orElse(Map.of());
        Optional<List<ScreenAndPaper.Where>> where = output.where(index);
        if (switched.isPresent()) {
            switched.get().name(resources, Where.SCREEN, Where.PAPER);
        }
        boolean marked = output.profile().marks().isPresent();
        if (marked) {
            sheet.beginPage(); // there is paper beyond its bleed
        }
        if (shown) {
            sheet.showOverprint(scene);
        }
        for (int i = 0; i < scene.items().size(); i++) {
            Item item = scene.items().get(i);
            sheet.draw(
                    item,
                    Optional.ofNullable(places.get(item)),
                    where.isPresent() ? where.get().get(i) : ScreenAndPaper.Where.BOTH);
        }
        if (marked) {
            sheet.endPage();
            new SheetMarks(output.profile().marks().get(), boxes)
                    .draw(sheet, jobLine(document.getNumberOfPages()));
        }
        PDStream stream = new PDStream(document);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(sheet.bytes());
        }
        page.setContents(stream);
        document.addPage(page);
        tags.ifPresent(each -> each.page(page, bleed));
        if (output.profile().linked()) {
            links.page(page, all);
        }
    }

    private static boolean overprints(MediumScene scene) {
        return scene.text().stream().anyMatch(run -> run.paint().overprints());
    }

    /** ISO 32000-1, 11.6.6: what is painted is mixed in process ink, or in light. */
    static COSDictionary transparencyGroup(Medium medium) {
        COSDictionary group = new COSDictionary();
        group.setItem(COSName.TYPE, COSName.GROUP);
        group.setItem(COSName.S, COSName.TRANSPARENCY);
        group.setItem(COSName.CS, deviceSpace(medium));
        group.setBoolean(COSName.I, true);
        return group;
    }

    static COSName deviceSpace(Medium medium) {
        return switch (medium) {
            case PAPER -> COSName.DEVICECMYK;
            case SCREEN -> COSName.DEVICERGB;
        };
    }

    /** What file it is of, which page, and when it was made. */
    private String jobLine(int index) {
        return "%s · %d / %d · %s"
                .formatted(
                        output.title(),
                        index + 1,
                        output.scenes().size(),
                        output.created().truncatedTo(ChronoUnit.MINUTES));
    }

    /** All that is printed: the bleed, and what lies around it. */
    public static Rect paper(PageBoxes boxes, PdfProfile profile) {
        return profile.marks()
                .map(marks -> {
                    double beyond = marks.beyond(SheetMarks.bleed(boxes));
                    return boxes.trim().inset(-beyond, -beyond, -beyond, -beyond);
                })
                .orElse(boxes.bleed());
    }

    /** In the space of the file, where the bottom left corner of the bleed is the origin. */
    public static PDRectangle rectangle(PageBoxes boxes, Rect rect) {
        Rect bleed = boxes.bleed();
        return new PDRectangle(
                (float) (rect.x() - bleed.x()),
                (float) (bleed.bottom() - rect.bottom()),
                (float) rect.width(),
                (float) rect.height());
    }
}
