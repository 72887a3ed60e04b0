package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.graphics.pattern.PDTilingPattern;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationWidget;
import org.apache.pdfbox.pdmodel.interactive.form.PDAcroForm;
import org.apache.pdfbox.pdmodel.interactive.form.PDTextField;
import org.openpdf.text.Document;
import org.openpdf.text.Rectangle;
import org.openpdf.text.pdf.BaseFont;
import org.openpdf.text.pdf.PdfContentByte;
import org.openpdf.text.pdf.PdfWriter;

/**
 * Files of one page with the words "Log sheet 7" and a red square, as several producers write them.
 */
final class FilesOfOthers {
    /** One page of letters and a filled square: what producers are given to make files of. */
    private static final String POSTSCRIPT =
            """
            %!PS
            << /PageSize [240 180] >> setpagedevice
            /Helvetica findfont 18 scalefont setfont
            0.1 0.1 0.3 setrgbcolor 30 90 moveto (Log sheet 7) show
            0.8 0.1 0.1 setrgbcolor 150 20 60 60 rectfill
            showpage
            """;

    private static final int PPI = 72;

    /** Poppler draws nothing of such a page, as it comes. */
    static final String RESTORES = "that restores more than it saves";

    private FilesOfOthers() {}

    static BufferedImage popplerDraws(Path pdf, Path folder) throws IOException {
        Path to = folder.resolve(pdf.getFileName() + ".drawn");
        Programs.Result result =
                Programs.run(
                        "pdftoppm",
                        "-cropbox",
                        "-png",
                        "-singlefile",
                        "-r",
                        "" + PPI,
                        "" + pdf,
                        "" + to);
        assertThat(result.status()).as(result.output()).isZero();
        return ImageIO.read(Path.of(to + ".png").toFile());
    }

    static BufferedImage ghostscriptDraws(Path pdf, Path folder) throws IOException {
        Path to = folder.resolve(pdf.getFileName() + ".gs.png");
        Ghostscript.draw(
                pdf,
                "png16m",
                PPI,
                to,
                "-dUseCropBox",
                "-dTextAlphaBits=1",
                "-dGraphicsAlphaBits=1");
        return ImageIO.read(to.toFile());
    }

    /**
     * @param change what is done to the page once it is drawn
     */
    interface Change {
        void to(PDDocument document, PDPage page) throws IOException;
    }

    static byte[] drawn(Change change) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(240, 180));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0.1f, 0.1f, 0.3f);
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 18);
                content.newLineAtOffset(30, 90);
                content.showText("Log sheet 7");
                content.endText();
                content.setNonStrokingColor(0.8f, 0.1f, 0.1f);
                content.addRect(150, 20, 60, 60);
                content.fill();
            }
            change.to(document, page);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private static byte[] drawn(int rotation) throws IOException {
        return drawn((document, page) -> {
            page.setMediaBox(new PDRectangle(-20, -10, 300, 220));
            page.setCropBox(new PDRectangle(10, 5, 220, 160));
            page.setRotation(rotation);
        });
    }

    /** What is made by a program from a file. */
    static byte[] by(byte[] from, String ending, String... command) {
        try {
            Path in = Files.createTempFile("yewberry", ending);
            Path out = Files.createTempFile("yewberry", ".pdf");
            Files.write(in, from);
            Programs.Result result =
                    Programs.run(
                            Stream.of(command)
                                    .map(part -> part.replace("IN", in.toString()))
                                    .map(part -> part.replace("OUT", out.toString()))
                                    .toArray(String[]::new));
            assertThat(result.status()).as(result.output()).isZero();
            byte[] file = Files.readAllBytes(out);
            Files.delete(in);
            Files.delete(out);
            return file;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static byte[] ghostscript(String... more) {
        List<String> command =
                Stream.of(
                                Stream.of("gs", "-q", "-dSAFER", "-sDEVICE=pdfwrite"),
                                Arrays.stream(more),
                                Stream.of("-o", "OUT", "IN"))
                        .flatMap(each -> each)
                        .toList();
        return by(
                POSTSCRIPT.getBytes(StandardCharsets.US_ASCII),
                ".ps",
                command.toArray(String[]::new));
    }

    private static final Map<String, byte[]> KNOWN = new LinkedHashMap<>();

    /** Made once, because programs are started for it. */
    static Map<String, byte[]> all() throws IOException {
        Map<String, byte[]> all = KNOWN;
        if (!all.isEmpty()) {
            return all;
        }
        all.put("PDFBox", drawn((document, page) -> {}));
        for (int rotation : new int[] {0, 90, 180, 270}) {
            all.put("cropped, shifted, rotated by " + rotation, drawn(rotation));
        }
        all.put(
                "of a larger user unit",
                drawn((document, page) ->
                        page.getCOSObject()
                                .setItem(COSName.getPDFName("UserUnit"), new COSFloat(2))));
        all.put(
                "with resources of its parent",
                drawn((document, page) -> {
                    COSDictionary tree = page.getCOSObject().getCOSDictionary(COSName.PARENT);
                    tree.setItem(COSName.RESOURCES, page.getResources().getCOSObject());
                    page.getCOSObject().removeItem(COSName.RESOURCES);
                }));
        all.put(
                "that restores more than it saves",
                drawn((document, page) ->
                        contents(document, page, "Q Q\n", "\nq 0.5 0 0 0.5 9 9 cm\n")));
        all.put("ghostscript", ghostscript());
        all.put("ghostscript, PDF 1.3", ghostscript("-dCompatibilityLevel=1.3"));
        byte[] plain = ghostscript();
        all.put("cairo", by(plain, ".pdf", "pdftocairo", "-pdf", "IN", "OUT"));
        all.put("qpdf, linearized", by(plain, ".pdf", "qpdf", "--linearize", "IN", "OUT"));
        all.put(
                "qpdf, object streams",
                by(plain, ".pdf", "qpdf", "--object-streams=generate", "IN", "OUT"));
        all.put("qpdf, readable", by(plain, ".pdf", "qpdf", "--qdf", "IN", "OUT"));
        all.put(
                "qpdf, encrypted",
                by(plain, ".pdf", "qpdf", "--encrypt", "", "owner", "256", "--", "IN", "OUT"));
        all.put("poppler, separated", by(plain, ".pdf", "pdfseparate", "-l", "1", "IN", "OUT"));
        all.put("ghostscript, PDF/A", ghostscript("-dPDFA=2", "-sColorConversionStrategy=RGB"));
        all.put("ghostscript, without compression", ghostscript("-dCompressPages=false"));
        all.put("Chromium", chromium());
        all.put("in a form", drawn(FilesOfOthers::inForm));
        all.put("on a layer", drawn(FilesOfOthers::onLayer));
        all.put("qpdf, many revisions", revised(plain));
        all.put(
                "mutool, cleaned",
                by(plain, ".pdf", "mutool", "clean", "-gggg", "-z", "IN", "OUT"));
        all.put(
                "mutool",
                by(
                        MUTOOL.getBytes(StandardCharsets.US_ASCII),
                        ".txt",
                        "mutool",
                        "create",
                        "-o",
                        "OUT",
                        "IN"));
        all.put("OpenPDF", openPdf());
        all.put("with a form field and a note", drawn(FilesOfOthers::withField));
        all.put("tagged", drawn(FilesOfOthers::tagged));
        all.put("behind a soft mask", drawn(FilesOfOthers::softlyMasked));
        all.put("with a pattern", drawn(FilesOfOthers::patterned));
        all.put("with a Type 3 font", drawn(FilesOfOthers::typeThree));
        all.put("with contents in many streams", drawn(FilesOfOthers::inManyStreams));
        return all;
    }

    /** As mutool takes a page: its operators after what they refer to. */
    private static final String MUTOOL =
            """
            %%MediaBox 0 0 240 180
            %%Font F1 Helvetica
            q 0.1 0.1 0.3 rg BT /F1 18 Tf 30 90 Td (Log sheet 7) Tj ET Q
            0.8 0.1 0.1 rg 150 20 60 60 re f
            """;

    /** Saved anew at its end, twice. */
    private static byte[] revised(byte[] plain) throws IOException {
        byte[] now = plain;
        for (int time = 0; time < 2; time++) {
            try (PDDocument document = Loader.loadPDF(now)) {
                document.getPage(0).getCOSObject().setInt("Revised", time);
                document.getPage(0).getCOSObject().setNeedToBeUpdated(true);
                document.getDocumentCatalog().getCOSObject().setNeedToBeUpdated(true);
                document.getDocumentCatalog().getPages().getCOSObject().setNeedToBeUpdated(true);
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                document.saveIncremental(out);
                now = out.toByteArray();
            }
        }
        return now;
    }

    private static byte[] openPdf() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (Document document = new Document(new Rectangle(240, 180))) {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.open();
            PdfContentByte content = writer.getDirectContent();
            content.setRGBColorFill(26, 26, 77);
            content.beginText();
            content.setFontAndSize(
                    BaseFont.createFont(BaseFont.HELVETICA, BaseFont.WINANSI, false), 18);
            content.setTextMatrix(30, 90);
            content.showText("Log sheet 7");
            content.endText();
            content.setRGBColorFill(204, 26, 26);
            content.rectangle(150, 20, 60, 60);
            content.fill();
        }
        return out.toByteArray();
    }

    private static void withField(PDDocument document, PDPage page) throws IOException {
        PDAcroForm form = new PDAcroForm(document);
        document.getDocumentCatalog().setAcroForm(form);
        form.setDefaultAppearance("/Helv 9 Tf 0 g");
        PDResources resources = new PDResources();
        resources.put(
                COSName.getPDFName("Helv"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
        form.setDefaultResources(resources);
        PDTextField field = new PDTextField(form);
        field.setPartialName("observer");
        form.getFields().add(field);
        PDAnnotationWidget widget = field.getWidgets().getFirst();
        widget.setRectangle(new PDRectangle(30, 130, 90, 16));
        widget.setPage(page);
        widget.setPrinted(true);
        page.getAnnotations().add(widget);
        field.setValue("E. Tern");
        PDAnnotationText note = new PDAnnotationText();
        note.setRectangle(new PDRectangle(200, 150, 16, 16));
        note.setContents("Look again");
        note.setHidden(true);
        page.getAnnotations().add(note);
    }

    private static void tagged(PDDocument document, PDPage page) throws IOException {
        PDStructureTreeRoot root = new PDStructureTreeRoot();
        document.getDocumentCatalog().setStructureTreeRoot(root);
        PDMarkInfo marked = new PDMarkInfo();
        marked.setMarked(true);
        document.getDocumentCatalog().setMarkInfo(marked);
        PDStructureElement paragraph = new PDStructureElement("P", root);
        paragraph.setPage(page);
        paragraph.appendKid(0);
        root.appendKid(paragraph);
        page.setStructParents(0);
        contents(document, page, "/P <</MCID 0>> BDC\n", "\nEMC\n");
    }

    /** All of it shows to seven tenths where a light grey group lets it. */
    private static void softlyMasked(PDDocument document, PDPage page) throws IOException {
        PDFormXObject group = new PDFormXObject(document);
        group.setBBox(page.getMediaBox());
        COSDictionary transparency = new COSDictionary();
        transparency.setItem(COSName.S, COSName.TRANSPARENCY);
        transparency.setItem(COSName.CS, COSName.DEVICEGRAY);
        group.getCOSObject().setItem(COSName.GROUP, transparency);
        try (var out = group.getStream().createOutputStream()) {
            out.write("1 g 0 0 240 180 re f".getBytes(StandardCharsets.US_ASCII));
        }
        COSDictionary mask = new COSDictionary();
        mask.setItem(COSName.S, COSName.LUMINOSITY);
        mask.setItem(COSName.G, group);
        COSDictionary state = new COSDictionary();
        state.setItem(COSName.SMASK, mask);
        COSDictionary states = new COSDictionary();
        states.setItem(COSName.getPDFName("Soft"), state);
        page.getResources().getCOSObject().setItem(COSName.EXT_G_STATE, states);
        contents(document, page, "q /Soft gs\n", "\nQ\n");
    }

    private static void patterned(PDDocument document, PDPage page) throws IOException {
        PDTilingPattern pattern = new PDTilingPattern();
        pattern.setBBox(new PDRectangle(6, 6));
        pattern.setXStep(6);
        pattern.setYStep(6);
        pattern.setPaintType(PDTilingPattern.PAINT_COLORED);
        pattern.setTilingType(PDTilingPattern.TILING_CONSTANT_SPACING);
        pattern.setResources(new PDResources());
        try (var out = ((COSStream) pattern.getCOSObject()).createOutputStream()) {
            out.write("0 0.4 0 rg 0 0 6 6 re f".getBytes(StandardCharsets.US_ASCII));
        }
        page.getResources().put(COSName.getPDFName("Squares"), pattern);
        contents(document, page, "", "\n/Pattern cs /Squares scn 36 24 48 36 re f\n");
    }

    /** A letter that is a square. */
    private static void typeThree(PDDocument document, PDPage page) throws IOException {
        COSDictionary font = new COSDictionary();
        font.setItem(COSName.TYPE, COSName.FONT);
        font.setItem(COSName.SUBTYPE, COSName.TYPE3);
        font.setItem(COSName.FONT_BBOX, array(0, 0, 1000, 1000));
        font.setItem(COSName.FONT_MATRIX, array(0.001f, 0, 0, 0.001f, 0, 0));
        font.setInt(COSName.FIRST_CHAR, 97);
        font.setInt(COSName.LAST_CHAR, 97);
        font.setItem(COSName.WIDTHS, array(1000));
        COSStream square = document.getDocument().createCOSStream();
        try (var out = square.createOutputStream()) {
            out.write(
                    "1000 0 0 0 1000 1000 d1 0 0 800 800 re f".getBytes(StandardCharsets.US_ASCII));
        }
        COSDictionary shapes = new COSDictionary();
        shapes.setItem(COSName.getPDFName("square"), square);
        font.setItem(COSName.CHAR_PROCS, shapes);
        COSDictionary encoding = new COSDictionary();
        encoding.setItem(COSName.TYPE, COSName.ENCODING);
        COSArray differences = new COSArray();
        differences.add(COSInteger.get(97));
        differences.add(COSName.getPDFName("square"));
        encoding.setItem(COSName.DIFFERENCES, differences);
        font.setItem(COSName.ENCODING, encoding);
        font.setItem(COSName.RESOURCES, new COSDictionary());
        COSDictionary fonts = page.getResources().getCOSObject().getCOSDictionary(COSName.FONT);
        fonts.setItem(COSName.getPDFName("T3"), font);
        contents(document, page, "", "\n0.1 0.1 0.3 rg BT /T3 20 Tf 36 24 Td (aa) Tj ET\n");
    }

    private static COSArray array(float... values) {
        COSArray array = new COSArray();
        for (float value : values) {
            array.add(new COSFloat(value));
        }
        return array;
    }

    /** Each operator of it in a stream of its own (ISO 32000-1, 7.8.2: split between tokens). */
    private static void inManyStreams(PDDocument document, PDPage page) throws IOException {
        String content = new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
        COSArray array = new COSArray();
        for (String line : content.split("\n")) {
            array.add(stream(document, line));
        }
        page.getCOSObject().setItem(COSName.CONTENTS, array);
    }

    /** Contents as an array of streams, with others around what was there. */
    private static void contents(PDDocument document, PDPage page, String before, String after)
            throws IOException {
        COSArray array = new COSArray();
        array.add(stream(document, before));
        array.add(page.getCOSObject().getItem(COSName.CONTENTS));
        array.add(stream(document, after));
        page.getCOSObject().setItem(COSName.CONTENTS, array);
    }

    private static PDStream stream(PDDocument document, String content) throws IOException {
        PDStream stream = new PDStream(document);
        try (var out = stream.createOutputStream()) {
            out.write(content.getBytes(StandardCharsets.US_ASCII));
        }
        return stream;
    }

    /** Its letters are what a browser sets, tagged as it tags them. */
    private static byte[] chromium() throws IOException {
        String html =
                """
                <!doctype html><html lang="en"><title>Log</title>
                <style>@page { size: 240pt 180pt; margin: 0 } body { margin: 0 }
                p { position: absolute; left: 30pt; top: 70pt; margin: 0; color: #1a1a4d;
                  font: 18pt Helvetica, Arial, sans-serif }
                div { position: absolute; left: 150pt; top: 100pt; width: 60pt; height: 60pt;
                  background: #cc1a1a; -webkit-print-color-adjust: exact }</style>
                <p>Log sheet 7</p><div></div></html>
                """;
        return by(
                html.getBytes(StandardCharsets.UTF_8),
                ".html",
                "chromium",
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--no-pdf-header-footer",
                "--print-to-pdf=OUT",
                "file://IN");
    }

    /** All that was drawn, drawn by a form. */
    private static void inForm(PDDocument document, PDPage page) throws IOException {
        PDFormXObject form = new PDFormXObject(document);
        form.setBBox(page.getMediaBox());
        form.setResources(page.getResources());
        try (var out = form.getStream().createOutputStream()) {
            page.getContents().transferTo(out);
        }
        PDResources resources = new PDResources();
        resources.put(COSName.getPDFName("All"), form);
        page.setResources(resources);
        page.setContents(stream(document, "/All Do"));
    }

    private static void onLayer(PDDocument document, PDPage page) throws IOException {
        PDOptionalContentProperties layers = new PDOptionalContentProperties();
        PDOptionalContentGroup on = new PDOptionalContentGroup("Sheet");
        layers.addGroup(on);
        document.getDocumentCatalog().setOCProperties(layers);
        page.getResources().put(COSName.getPDFName("On"), on);
        contents(document, page, "/OC /On BDC\n", "\nEMC\n");
    }
}
