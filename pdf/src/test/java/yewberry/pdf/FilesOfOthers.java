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
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;

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
        return all;
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
