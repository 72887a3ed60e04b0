package yewberry.pdf;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.GregorianCalendar;
import java.util.List;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Language;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Writes a PDF, one page after the other, each out to its bleed: for the press process colour as
 * DeviceCMYK and spot inks on plates of their own, for the screen sRGB, cropped to the trim. It
 * claims conformance to no standard.
 */
public final class PdfWriter {
    private final Medium medium;
    private final PressCondition condition;
    private final PDDocument document;
    private final Materials materials;
    private final Links links = new Links();

    private PdfWriter(Medium medium, PressCondition condition, PDDocument document) {
        this.medium = medium;
        this.condition = condition;
        this.document = document;
        this.materials = new Materials(document, condition);
    }

    /**
     * What a file says of itself.
     *
     * @param title as readers show it
     * @param language of its text
     */
    public record About(String title, Language language, Instant created) {
        public static About of(Publication publication, Instant created) {
            Setup setup = publication.setup();
            return new About(setup.title().orElse(publication.name()), setup.language(), created);
        }
    }

    /** A file of British text. */
    public static void write(
            String title,
            List<PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Instant created,
            Path file,
            Progress progress)
            throws IOException {
        About about = new About(title, Language.ENGLISH_BRITISH, created);
        write(about, scenes, medium, condition, file, progress);
    }

    /**
     * @param about goes into the document's information
     * @throws IOException if the file cannot be written; what was there may be gone then
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    public static void write(
            About about,
            List<PageScene> scenes,
            Medium medium,
            PressCondition condition,
            Path file,
            Progress progress)
            throws IOException {
        try (PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache())) {
            PdfWriter pdf = new PdfWriter(medium, condition, document);
            pdf.describe(about);
            for (int i = 0; i < scenes.size(); i++) {
                progress.at(i, scenes.size());
                pdf.page(scenes.get(i));
            }
            pdf.links.finish();
            pdf.materials.finish();
            document.save(file.toFile());
            pdf.materials.close();
        }
    }

    private void describe(About about) throws IOException {
        document.getDocument().setVersion(1.7f);
        var information = document.getDocumentInformation();
        information.setTitle(about.title());
        information.setProducer("Yewberry");
        information.setCreationDate(GregorianCalendar.from(about.created().atZone(ZoneOffset.UTC)));
        PDDocumentCatalog catalog = document.getDocumentCatalog();
        catalog.setLanguage(about.language().tag());
        PDViewerPreferences shown = new PDViewerPreferences(new COSDictionary());
        shown.setDisplayDocTitle(true);
        catalog.setViewerPreferences(shown);
        catalog.addOutputIntent(new PDOutputIntent(outputIntent()));
    }

    /** ISO 32000-1, 14.11.5; the profile byte for byte, which PDFBox's own way would not keep. */
    private COSDictionary outputIntent() throws IOException {
        OutputCondition wanted = OutputCondition.of(medium, condition);
        COSDictionary intent = new COSDictionary();
        intent.setItem(COSName.TYPE, COSName.OUTPUT_INTENT);
        intent.setName(COSName.S, wanted.kind());
        intent.setString(COSName.OUTPUT_CONDITION_IDENTIFIER, wanted.identifier());
        intent.setString(COSName.REGISTRY_NAME, "http://www.color.org");
        intent.setString(COSName.INFO, wanted.name());
        intent.setItem(COSName.DEST_OUTPUT_PROFILE, wanted.stream(document));
        return intent;
    }

    private void page(PageScene all) throws IOException {
        MediumScene scene = all.on(medium);
        PageBoxes boxes = scene.boxes();
        Rect bleed = boxes.bleed();
        PDPage page = new PDPage(rectangle(boxes, bleed));
        page.setBleedBox(rectangle(boxes, bleed));
        page.setTrimBox(rectangle(boxes, boxes.trim()));
        if (medium == Medium.SCREEN) {
            page.setCropBox(rectangle(boxes, boxes.trim()));
        }
        PDResources resources = new PDResources();
        page.setResources(resources);
        Sheet sheet = new Sheet(materials, resources, bleed);
        if (scene.fills().stream().anyMatch(Shadings::mixes)) {
            page.getCOSObject().setItem(COSName.GROUP, transparencyGroup(medium));
        }
        for (Item item : scene.items()) {
            sheet.draw(item);
        }
        PDStream stream = new PDStream(document);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(sheet.bytes());
        }
        page.setContents(stream);
        document.addPage(page);
        if (medium == Medium.SCREEN) {
            links.page(page, all);
        }
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
