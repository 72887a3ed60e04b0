package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.GregorianCalendar;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import yewberry.core.Progress;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Language;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Cubics;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Turn;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/**
 * Writes a PDF, one page after the other, each out to its bleed: for the press process colour as
 * DeviceCMYK and spot inks on plates of their own, for the screen sRGB, cropped to the trim. It
 * claims conformance to no standard.
 */
public final class PdfWriter {
    private final Medium medium;
    private final PressCondition condition;
    private final PDDocument document;
    private final InkSpaces spaces;
    private final PlacedFiles placed;
    private final Links links = new Links();
    private final Map<Face, EmbeddedFont> fonts = new LinkedHashMap<>();

    private PdfWriter(Medium medium, PressCondition condition, PDDocument document) {
        this.medium = medium;
        this.condition = condition;
        this.document = document;
        this.spaces = new InkSpaces(document, condition);
        this.placed = new PlacedFiles(document, condition);
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
            for (EmbeddedFont font : pdf.fonts.values()) {
                font.finish();
            }
            document.save(file.toFile());
            pdf.placed.close();
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
        ContentWriter content = new ContentWriter();
        Shadings shadings = new Shadings(document, spaces, resources, bleed);
        if (scene.fills().stream().anyMatch(Shadings::mixes)) {
            page.getCOSObject().setItem(COSName.GROUP, transparencyGroup(medium));
        }
        boolean overprinting = false;
        for (Item item : scene.items()) {
            boolean overprints = item instanceof Item.GlyphRun run && run.paint().overprints();
            if (overprints != overprinting) {
                overprinting = overprints;
                String state = overprinting ? "Over" : "Out";
                resources.put(COSName.getPDFName(state), overprint(overprinting));
                content.graphicsState(state);
            }
            switch (item) {
                case Item.AreaFill fill -> {
                    content.beginBackgroundArtifact();
                    area(content, resources, shadings, fill, bleed);
                    content.endMarkedContent();
                }
                case Item.TextFill fill -> {
                    content.beginArtifact();
                    formed(content, resources, shadings, fill, bleed);
                    content.endMarkedContent();
                }
                case Item.FrontFill fill -> {
                    if (fill.source().isRunningItem()) {
                        content.beginWatermarkArtifact();
                    } else if (fill.source().meaning().text().isEmpty()
                            || !fill.source().isRead()) {
                        content.beginArtifact();
                    } else {
                        content.beginPicture(fill.source().meaning().text());
                    }
                    formed(content, resources, shadings, fill, bleed);
                    content.endMarkedContent();
                }
                case Item.GlyphStroke line -> {
                    content.beginArtifact();
                    stroke(content, resources, line, bleed);
                    content.endMarkedContent();
                }
                case Item.GlyphRun run -> {
                    fillColor(content, resources, run.paint().color());
                    EmbeddedFont font = font(run.face());
                    resources.put(COSName.getPDFName(font.name()), font.font());
                    text(content, run, font, bleed);
                }
            }
        }
        PDStream stream = new PDStream(document);
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(content.bytes());
        }
        page.setContents(stream);
        document.addPage(page);
        if (medium == Medium.SCREEN) {
            links.page(page, all);
        }
    }

    private void area(
            ContentWriter content,
            PDResources resources,
            Shadings shadings,
            Item.AreaFill fill,
            Rect bleed)
            throws IOException {
        Rect rect = fill.rect();
        double x = rect.x() - bleed.x();
        double y = bleed.bottom() - rect.bottom();
        boolean mixes = Shadings.mixes(fill);
        boolean own = mixes || !(fill.paint() instanceof AreaPaint.Solid);
        if (own) {
            content.save();
        }
        if (mixes) {
            content.graphicsState(shadings.state(fill));
        }
        switch (fill.paint()) {
            case AreaPaint.Solid(Paint paint) -> {
                fillColor(content, resources, paint.color());
                content.fillRectangle(x, y, rect.width(), rect.height());
            }
            case AreaPaint.Gradient gradient -> {
                content.clipRectangle(x, y, rect.width(), rect.height());
                content.shading(shadings.shading(gradient, fill.frame()));
            }
            case AreaPaint.Picture picture ->
                    placed.paint(content, resources, picture, rect, bleed, !mixes);
        }
        if (own) {
            content.restore();
        }
    }

    /** What has a form of its own, as a path or within it. */
    private void formed(
            ContentWriter content,
            PDResources resources,
            Shadings shadings,
            Item.Formed fill,
            Rect bleed)
            throws IOException {
        Path2D path = Cubics.of(fill.shape().orElse(fill.bounds().shape()));
        path.transform(new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom()));
        switch (fill.paint()) {
            case AreaPaint.Solid(Paint paint) -> {
                if (Shadings.mixes(fill)) {
                    content.save();
                    content.graphicsState(shadings.state(fill));
                }
                fillColor(content, resources, paint.color());
                content.fill(path);
                if (Shadings.mixes(fill)) {
                    content.restore();
                }
            }
            case AreaPaint.Gradient gradient -> {
                content.save();
                content.clip(path);
                if (!fill.turn().isNone()) {
                    AffineTransform turned = turned(fill.turn(), bleed);
                    double[] matrix = new double[6];
                    turned.getMatrix(matrix);
                    content.rotate(matrix);
                }
                if (Shadings.mixes(fill)) {
                    content.graphicsState(shadings.state(fill));
                }
                content.shading(shadings.shading(gradient, fill.frame()));
                content.restore();
            }
            case AreaPaint.Picture picture -> {
                content.save();
                if (Shadings.mixes(fill)) {
                    content.graphicsState(shadings.state(fill));
                }
                content.clip(path);
                placed.paint(
                        content, resources, picture, fill.bounds(), bleed, !Shadings.mixes(fill));
                content.restore();
            }
        }
    }

    /** A rotation in the space of the file, where y goes up. */
    private static AffineTransform turned(Turn turn, Rect bleed) {
        return AffineTransform.getRotateInstance(
                Math.toRadians(-turn.degrees()), turn.x() - bleed.x(), bleed.bottom() - turn.y());
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

    /** ISO 32000-1, 8.6.7: with mode 1, process inks at zero leave what is below. */
    private static PDExtendedGraphicsState overprint(boolean on) {
        PDExtendedGraphicsState state = new PDExtendedGraphicsState();
        state.setStrokingOverprintControl(on);
        state.setNonStrokingOverprintControl(on);
        state.setOverprintMode(on ? 1 : 0);
        return state;
    }

    /** The line around letters, glyph by glyph, as paths, which do not read as text again. */
    private void stroke(
            ContentWriter content, PDResources resources, Item.GlyphStroke line, Rect bleed)
            throws IOException {
        strokeColor(content, resources, line.paint().color());
        int join =
                switch (line.join()) {
                    case MITER -> 0;
                    case ROUND -> 1;
                    case BEVEL -> 2;
                };
        content.lines(line.width(), join, Outline.MITER_LIMIT);
        Item.GlyphRun run = line.letters();
        AffineTransform up = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        for (Item.Line each : run.lines()) {
            for (Segment.Glyph glyph : each.glyphs()) {
                if (!run.face().outline(glyph.id()).ink().isEmpty()) {
                    Path2D path = line.path(each, glyph);
                    path.transform(up);
                    content.stroke(path);
                }
            }
        }
    }

    private void strokeColor(ContentWriter content, PDResources resources, Color color)
            throws IOException {
        if (color instanceof Rgb light) {
            content.strokeColor(light);
        } else if (color instanceof Inks inks) {
            InkSpaces.Use use = named(resources, inks);
            content.strokeColor(use.space().resource().getName(), use.fractions());
        } else {
            content.strokeColor(condition.toInk(color));
        }
    }

    private void fillColor(ContentWriter content, PDResources resources, Color color)
            throws IOException {
        if (color instanceof Rgb light) {
            content.fillColor(light);
        } else if (color instanceof Inks inks) {
            InkSpaces.Use use = named(resources, inks);
            content.fillColor(use.space().resource().getName(), use.fractions());
        } else {
            content.fillColor(condition.toInk(color));
        }
    }

    /** A colour of inks, whose space the page's resources then have. */
    private InkSpaces.Use named(PDResources resources, Inks inks) throws IOException {
        InkSpaces.Use use = spaces.use(inks);
        COSDictionary named = resources.getCOSObject().getCOSDictionary(COSName.COLORSPACE);
        if (named == null) {
            named = new COSDictionary();
            resources.getCOSObject().setItem(COSName.COLORSPACE, named);
        }
        named.setItem(use.space().resource(), use.space().array());
        return use;
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

    private EmbeddedFont font(Face face) throws IOException {
        EmbeddedFont known = fonts.get(face);
        if (known == null) {
            known = new EmbeddedFont(document, face, "F" + (fonts.size() + 1));
            fonts.put(face, known);
        }
        return known;
    }

    private static double[] textMatrix(
            Item.GlyphRun run, Item.Line line, Segment.Glyph glyph, Rect bleed) {
        double angle = Math.toRadians(run.turn().degrees());
        AffineTransform place = run.place(line, glyph);
        return new double[] {
            Math.cos(angle),
            -Math.sin(angle),
            Math.sin(angle),
            Math.cos(angle),
            place.getTranslateX() - bleed.x(),
            bleed.bottom() - place.getTranslateY()
        };
    }

    private static void text(
            ContentWriter content, Item.GlyphRun run, EmbeddedFont font, Rect bleed)
            throws IOException {
        content.beginText(font.name(), run.size());
        for (Item.Line line : run.lines()) {
            double level = Double.NaN;
            double pen = 0;
            List<Segment.Glyph> glyphs = line.glyphs();
            boolean marked = false;
            for (int i = 0; i < glyphs.size(); i++) {
                Segment.Glyph glyph = glyphs.get(i);
                if (glyph.y() != level) {
                    if (!Double.isNaN(level)) {
                        content.endGlyphs();
                    }
                    content.textMatrix(textMatrix(run, line, glyph, bleed));
                    content.beginGlyphs();
                    level = glyph.y();
                    pen = glyph.x();
                }
                double behind = (pen - glyph.x()) * Face.UNITS / run.size();
                if (Math.abs(behind) > 0.01) {
                    content.adjust(behind);
                }
                // those that say nothing belong to the one before them
                boolean goesOn = i + 1 < glyphs.size() && glyphs.get(i + 1).text().isEmpty();
                boolean reads = font.reads(glyph.id(), glyph.text());
                if (!marked && (!reads || goesOn)) {
                    content.endGlyphs();
                    content.beginActualText(glyph.text());
                    content.beginGlyphs();
                    marked = true;
                }
                content.glyph(font.encode(glyph.id()));
                if (marked && !goesOn) {
                    content.endGlyphs();
                    content.endMarkedContent();
                    content.beginGlyphs();
                    marked = false;
                }
                pen = glyph.x() + font.width(glyph.id()) * run.size() / Face.UNITS;
            }
            if (!line.glyphs().isEmpty()) {
                content.endGlyphs();
            }
        }
        content.endText();
    }
}
