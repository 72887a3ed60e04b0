package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Pictures and words in front of the backgrounds, as other programs read and draw them. */
class FrontTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int PPI = 200;

    @TempDir Path folder;

    private final Map<String, byte[]> files = new HashMap<>();
    private final PdfDocuments documents = new PdfDocuments();
    private final Pictures pictures = new Pictures(files::get, documents);

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** A sky that grows lighter to one side; around a disc it is transparent. */
    private Asset picture(boolean transparent) {
        BufferedImage image =
                new BufferedImage(
                        480,
                        360,
                        transparent ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setPaint(
                new GradientPaint(0, 0, new Color(0x101c3c), 480, 0, new Color(0xd08858)));
        if (transparent) {
            graphics.fillOval(40, 40, 400, 280);
        } else {
            graphics.fillRect(0, 0, 480, 360);
        }
        graphics.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        String name = transparent ? "Disc" : "Sky";
        files.put(name, out.toByteArray());
        return new Asset(id(name), name, name, new Intake(documents).look(name, out.toByteArray()));
    }

    private static Fill picture(Asset asset, double rotation) {
        return new Fill.Picture(
                asset.id(), Placing.COVER.withRotation(rotation), RunOut.NONE, Optional.empty());
    }

    private static Fill word(String text) {
        return new Fill.Word(
                text,
                "Source Sans 3",
                700,
                false,
                Optional.empty(),
                Tinted.full(Leaflet.SIGNAL.id()));
    }

    private static PictureFrame front(PictureFrame.Level level, Fill fill) {
        return new PictureFrame(
                id("front"),
                Sides.BOTH,
                new Box(Length.mm(15), Length.mm(8), Length.mm(70), Length.mm(40)),
                level,
                fill);
    }

    /** The leaflet with something in front on every page, below its frames of text or above. */
    private List<PageScene> scenes(PictureFrame front, boolean below, Asset... assets) {
        Publication leaflet = Leaflet.publication();
        Publication changed =
                leaflet.withAssets(List.of(assets))
                        .withPages(
                                leaflet.pages().stream()
                                        .map(page -> with(page, front, below))
                                        .toList());
        return new Composer(COATED, pictures).composeAll(changed);
    }

    private static Page with(Page page, PictureFrame front, boolean below) {
        List<Frame> frames = new java.util.ArrayList<>(page.layer().frames());
        frames.add(below ? 0 : frames.size(), front);
        return page.withLayer(page.layer().withFrames(frames));
    }

    private Path write(List<PageScene> scenes, Medium medium) throws IOException {
        Path pdf = folder.resolve("front.pdf");
        PdfWriter.write("Front", scenes, medium, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        return pdf;
    }

    private void agrees(Path pdf, List<PageScene> scenes) throws IOException {
        List<BufferedImage> theirs = Ghostscript.pages(pdf, PPI);
        View view = View.designed(Medium.PAPER, COATED);
        for (int i = 0; i < scenes.size(); i++) {
            Rect bleed = scenes.get(i).boxes().bleed();
            BufferedImage ours = PageRaster.page(scenes.get(i), view, bleed, PPI);
            List<Item.FrontFill> fronts =
                    scenes.get(i).on(Medium.PAPER).items().stream()
                            .filter(Item.FrontFill.class::isInstance)
                            .map(Item.FrontFill.class::cast)
                            .toList();
            assertThat(fronts).hasSize(1);
            Item.FrontFill front = fronts.getFirst();
            byte[] covered =
                    BehindTextTest.covered(front, bleed, ours.getWidth(), ours.getHeight());
            scenes.get(i).on(Medium.PAPER).letters().stream()
                    .forEach(text ->
                            BehindTextTest.withoutEdges(
                                    covered, text, bleed, ours.getWidth(), ours.getHeight()));
            Ghostscript.agrees(ours, theirs.get(i), covered);
        }
    }

    /** Opacities and blend modes as ISO 32000-1, 11.3 has them, in the inks of the page. */
    @ParameterizedTest
    @CsvSource({
        "CONTENT, sky, 100, NORMAL, 0, true",
        "CONTENT, sky, 100, NORMAL, 12, false",
        "CONTENT, sky, 55, NORMAL, -30, true",
        "CONTENT, disc, 100, NORMAL, 0, true",
        "CONTENT, disc, 70, MULTIPLY, 20, true",
        "BEHIND, PROOF, 100, NORMAL, -35, false",
        "BEHIND, PROOF, 20, NORMAL, 90, false",
        "OVER, PROOF, 25, NORMAL, -35, false",
        "OVER, Für alle, 60, MULTIPLY, 10, false",
        "OVER, sky, 30, SCREEN, 0, false",
    })
    void ghostscript_draws_them_where_yewberry_does(
            PictureFrame.Level level,
            String what,
            double opacity,
            BlendMode blend,
            double degrees,
            boolean below)
            throws IOException {
        Asset sky = picture(false);
        Asset disc = picture(true);
        Fill fill =
                switch (what) {
                    case "sky" -> picture(sky, 0);
                    case "disc" -> picture(disc, 0);
                    default -> word(what);
                };
        PictureFrame front =
                front(level, fill).withOpacity(opacity).withBlend(blend).withRotation(degrees);
        List<PageScene> scenes = scenes(front, below, sky, disc);
        Path pdf = write(scenes, Medium.PAPER);
        agrees(pdf, scenes);
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
    }

    /** ISO 32000-1, 14.9.3 for the text that stands for a picture, table 330 for watermarks. */
    @Test
    void a_word_in_front_is_not_read_and_a_picture_has_its_text() throws IOException {
        PictureFrame proof = front(PictureFrame.Level.OVER, word("PROOF")).withOpacity(30);
        Path marked = write(scenes(proof, false), Medium.SCREEN);
        try (PDDocument document = Loader.loadPDF(marked.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("fjord")
                    .doesNotContain("PROOF");
            assertThat(content(document)).contains("/Subtype /Watermark");
        }
        Asset sky = picture(false);
        PictureFrame told =
                front(PictureFrame.Level.CONTENT, picture(sky, 0))
                        .withMeaning(new PictureFrame.Meaning(false, "Dusk"));
        Path read = write(scenes(told, true, sky), Medium.SCREEN);
        try (PDDocument document = Loader.loadPDF(read.toFile())) {
            assertThat(content(document)).contains("/Span <</Alt <FEFF004400750073006B>>> BDC");
        }
    }

    private static String content(PDDocument document) throws IOException {
        return new String(
                document.getPage(0).getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
    }

    @Test
    void what_goes_to_the_screen_only_is_not_printed() throws IOException {
        PictureFrame screen =
                front(PictureFrame.Level.OVER, word("SCREEN"))
                        .withGoesTo(new Background.GoesTo(true, false));
        List<PageScene> scenes = scenes(screen, false);
        for (Medium medium : Medium.values()) {
            Path pdf = write(scenes, medium);
            try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
                assertThat(content(document).contains("/Subtype /Watermark"))
                        .isEqualTo(medium == Medium.SCREEN);
            }
            ReadBackReport report = ReadBack.check(pdf, scenes, medium, COATED, Progress.NONE);
            assertThat(report.matches()).as(report.toString()).isTrue();
        }
    }
}
