package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/**
 * Placed pictures and pages in the exported file, held against Yewberry's own picture: ghostscript
 * for colour, poppler for where they lie.
 */
class PicturesTest {
    private static final int PPI = 96;
    private static final PressCondition COATED = PressCondition.coated();

    /**
     * Of 255, in the mean: ghostscript takes the one pixel that it meets, and the seams of copies
     * fall half a pixel off.
     */
    private static final double NEAR = 2.5;

    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 0, 30, 10));

    @TempDir Path folder;

    private final Map<String, byte[]> files = new HashMap<>();
    private final PdfDocuments documents = new PdfDocuments();
    private final Pictures pictures = new Pictures(files::get, documents);

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private Asset asset(String name, byte[] file) {
        files.put(name, file);
        return new Asset(id(name), name, name, new Intake(documents).look(name, file));
    }

    /** A sky that grows lighter downwards, with a moon left of the middle. */
    private static BufferedImage sky(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setPaint(
                new GradientPaint(0, 0, new Color(0x101c3c), 0, height, new Color(0xd08858)));
        graphics.fillRect(0, 0, width, height);
        graphics.setColor(new Color(0xf4ecc8));
        graphics.fillOval(width / 5, height / 4, height / 3, height / 3);
        graphics.dispose();
        return image;
    }

    private static byte[] png(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private List<PageScene> scenes(Asset asset, Background... backgrounds) {
        return scenes(pictures, asset, backgrounds);
    }

    private static List<PageScene> scenes(
            Pictures pictures, Asset asset, Background... backgrounds) {
        List<Background> all = new ArrayList<>();
        all.add(
                new Background(
                        id("low"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(SEA.id()))));
        all.addAll(List.of(backgrounds));
        return new Composer(COATED, pictures).composeAll(publicationOf(asset, all));
    }

    private static Background whole(Fill fill) {
        return new Background(id("picture"), Sides.BOTH, new Area.WholePage(), fill);
    }

    private static Fill.Picture placed(Asset asset, Placing placing) {
        return new Fill.Picture(asset.id(), placing, RunOut.NONE, Optional.empty());
    }

    private Path write(List<PageScene> scenes) throws IOException {
        Path pdf = folder.resolve("pictures.pdf");
        PdfWriter.write(
                "Pictures", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        return pdf;
    }

    private static BufferedImage ours(PageScene scene) {
        return PageRaster.page(scene, DESIGNED, scene.boxes().bleed(), PPI);
    }

    private void near(List<PageScene> scenes) throws IOException {
        Path pdf = write(scenes);
        BufferedImage theirs = Ghostscript.pages(pdf, PPI).getFirst();
        assertThat(Ghostscript.off(ours(scenes.getFirst()), theirs).mean())
                .isLessThanOrEqualTo(NEAR);
    }

    @ParameterizedTest
    @CsvSource({
        "COVER, 0",
        "COVER, 20",
        "COVER, 90",
        "CONTAIN, 0",
        "CONTAIN, -30",
        "STRETCH, 0",
        "STRETCH, 90",
        "TILE, 0",
        "TILE, 15",
        "SIZED, 0",
        "SIZED, 180",
    })
    void a_picture_lies_as_it_is_placed(Placing.Fit fit, double rotation) throws IOException {
        Placing placing =
                new Placing(
                        fit,
                        60,
                        Placing.Base.OWN,
                        rotation,
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.BOTTOM),
                        Length.mm(7),
                        Length.mm(5),
                        new Placing.Focus(20, 40));
        Asset sky = asset("sky.png", png(sky(160, 120)));
        near(scenes(sky, whole(placed(sky, placing))));
    }

    @ParameterizedTest
    @EnumSource(RunOut.class)
    void a_picture_that_is_too_small_goes_on_to_the_bleed(RunOut runOut) throws IOException {
        Asset sky = asset("sky.png", png(sky(160, 60)));
        Fill.Picture contained = placed(sky, Placing.COVER.withFit(Placing.Fit.CONTAIN));
        near(scenes(sky, whole(contained.withRunOut(runOut))));
    }

    @ParameterizedTest
    @EnumSource(
            value = BlendMode.class,
            names = {"MULTIPLY", "SCREEN", "LUMINOSITY"})
    void a_picture_blends_with_what_is_below(BlendMode mode) throws IOException {
        Asset sky = asset("sky.png", png(sky(160, 120)));
        near(
                scenes(
                        sky,
                        new Background(
                                id("picture"),
                                Sides.BOTH,
                                new Area.WholePage(),
                                placed(sky, Placing.COVER),
                                70,
                                mode,
                                Background.GoesTo.BOTH)));
    }

    @Test
    void a_see_through_colour_lets_through_what_is_below() throws IOException {
        BufferedImage logo = new BufferedImage(200, 120, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = logo.createGraphics();
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, 200, 120);
        graphics.setColor(new Color(0x202060));
        graphics.fillOval(40, 20, 120, 80);
        graphics.dispose();
        Asset asset = asset("logo.png", png(logo));
        near(
                scenes(
                        asset,
                        whole(
                                placed(asset, Placing.COVER.withFit(Placing.Fit.CONTAIN))
                                        .withSeeThrough(
                                                Optional.of(
                                                        new SeeThrough(
                                                                new Rgb(255, 255, 255),
                                                                5,
                                                                true))))));
    }

    @Test
    void a_drawing_is_placed() throws IOException {
        byte[] svg =
                ("<svg xmlns='http://www.w3.org/2000/svg' width='200' height='120'>"
                                + "<circle cx='100' cy='60' r='50' fill='#f0e0a0'/></svg>")
                        .getBytes(StandardCharsets.UTF_8);
        Asset asset = asset("moon.svg", svg);
        near(scenes(asset, whole(placed(asset, Placing.COVER.withFit(Placing.Fit.CONTAIN)))));
    }

    /** poppler knows nothing of the press condition, so only where something lies is compared. */
    @Test
    void poppler_finds_a_picture_where_it_was_placed() throws IOException {
        Asset white =
                asset("black.png", png(new BufferedImage(40, 20, BufferedImage.TYPE_INT_RGB)));
        Placing placing =
                new Placing(
                        Placing.Fit.SIZED,
                        40,
                        Placing.Base.PAGE,
                        30,
                        new Anchor(Anchor.Across.MIDDLE, Anchor.Down.MIDDLE),
                        Length.mm(4),
                        Length.mm(-3),
                        Placing.Focus.MIDDLE);
        List<PageScene> scenes = scenes(white, whole(placed(white, placing)));
        Path pdf = write(scenes);
        Programs.run(
                "pdftoppm",
                "-r",
                String.valueOf(PPI),
                "-png",
                "-singlefile",
                pdf.toString(),
                folder.resolve("poppler").toString());
        BufferedImage theirs = ImageIO.read(folder.resolve("poppler.png").toFile());
        BufferedImage ours = ours(scenes.getFirst());
        int differ = 0;
        for (int y = 0; y < ours.getHeight(); y++) {
            for (int x = 0; x < ours.getWidth(); x++) {
                differ += dark(ours, x, y) == dark(theirs, x, y) ? 0 : 1;
            }
        }
        // the outline is some 240 pixels long
        assertThat(differ).isLessThan(200);
        assertThat(dark(theirs, ours.getWidth() / 2 + 15, ours.getHeight() / 2 - 11)).isTrue();
    }

    private static boolean dark(BufferedImage image, int x, int y) {
        return (image.getRGB(x, y) >> 8 & 0xff) < 110;
    }

    private static byte[] pdf(boolean ownFonts) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(10, 20, 200, 120));
            page.setRotation(90);
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0f, 0.6f, 0.9f, 0.1f);
                content.addRect(20, 30, 100, 40);
                content.fill();
                if (ownFonts) {
                    content.setNonStrokingColor(0.1f, 0.2f, 0.4f);
                    content.beginText();
                    content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 20);
                    content.newLineAtOffset(30, 100);
                    content.showText("Comet");
                    content.endText();
                }
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void a_page_of_a_pdf_is_placed_as_it_is() throws IOException {
        Asset asset = asset("page.pdf", pdf(false));
        assertThat(asset.extent(1)).isEqualTo(new Asset.Extent(120, 200));
        List<PageScene> scenes =
                scenes(
                        asset,
                        whole(
                                new Fill.PdfPage(
                                        asset.id(),
                                        1,
                                        Placing.COVER.withFit(Placing.Fit.CONTAIN))));
        Path pdf = write(scenes);
        BufferedImage theirs = Ghostscript.pages(pdf, PPI).getFirst();
        assertThat(Ghostscript.off(ours(scenes.getFirst()), theirs).mean()).isLessThanOrEqualTo(4);
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getPage(0).getResources().getXObjectNames()).hasSize(1);
            assertThat(
                            document.getPage(0)
                                    .getResources()
                                    .isImageXObject(
                                            document.getPage(0)
                                                    .getResources()
                                                    .getXObjectNames()
                                                    .iterator()
                                                    .next()))
                    .as("kept as vectors")
                    .isFalse();
        }
    }

    @Test
    void what_a_page_must_not_bring_along_is_noticed() throws IOException {
        Asset.Document plain = documents.read(KnownFile.of(pdf(false)));
        assertThat(plain.pages().getFirst().screenColor()).isFalse();
        assertThat(plain.pages().getFirst().missingFonts()).isEmpty();
        Asset.Document with = documents.read(KnownFile.of(pdf(true)));
        assertThat(with.pages().getFirst().screenColor()).isTrue();
        assertThat(with.pages().getFirst().missingFonts()).containsExactly("Helvetica");
    }

    @Test
    void an_encrypted_pdf_is_refused() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (PDDocument document = Loader.loadPDF(pdf(false))) {
            document.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            document.save(out);
        }
        assertThatThrownBy(() -> documents.read(KnownFile.of(out.toByteArray())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("encrypted");
    }

    @Test
    void a_damaged_pdf_is_refused() {
        assertThatThrownBy(() ->
                        documents.read(
                                KnownFile.of("%PDF-1.7\nnothing".getBytes(StandardCharsets.UTF_8))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("damaged");
    }

    @Test
    void a_picture_in_other_inks_is_found_by_reading_back() throws IOException {
        Asset sky = asset("sky.png", png(sky(160, 120)));
        List<PageScene> scenes = scenes(sky, whole(placed(sky, Placing.COVER)));
        Path pdf = write(scenes);
        files.put("sky.png", png(new BufferedImage(160, 120, BufferedImage.TYPE_INT_RGB)));
        List<PageScene> others =
                scenes(new Pictures(files::get, documents), sky, whole(placed(sky, Placing.COVER)));
        ReadBackReport report = ReadBack.check(pdf, others, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.pages().getFirst().painted().matches()).isFalse();
    }

    private static Publication publicationOf(Asset asset, List<Background> backgrounds) {
        return new Publication(
                        id("publication"),
                        "Pictures",
                        Setup.of(new PageSize(Length.mm(90), Length.mm(60)), false),
                        List.of(SEA),
                        List.of(),
                        List.of(),
                        List.of(
                                new Page(
                                        id("page"),
                                        Optional.empty(),
                                        true,
                                        new Layer(backgrounds, List.of()))))
                .withAssets(List.of(asset));
    }

    /**
     * The same page as ghostscript writes it: JPEG as YCCK with Adobe's marker, TIFF as plain inks.
     */
    @Test
    void a_jpeg_and_a_tiff_of_inks_come_to_the_same() throws IOException {
        Asset sky = asset("sky.png", png(sky(160, 120)));
        Path pdf = write(scenes(sky, whole(placed(sky, Placing.COVER))));
        PlaneImage tiff = drawn(pdf, "tiff32nc", "page.tif");
        PlaneImage jpeg = drawn(pdf, "jpegcmyk", "page.jpg");
        double off = 0;
        for (int i = 0; i < tiff.samples().length; i++) {
            off += Math.abs((tiff.samples()[i] & 0xff) - (jpeg.samples()[i] & 0xff));
        }
        assertThat(off / tiff.samples().length).isLessThan(2);
    }

    private PlaneImage drawn(Path pdf, String device, String name) throws IOException {
        Path file = folder.resolve(name);
        Ghostscript.draw(pdf, device, 72, file, "-dJPEGQ=95");
        Asset asset = asset(name, Files.readAllBytes(file));
        assertThat(((Asset.Pixels) asset.content()).colors()).isEqualTo(Asset.Colors.CMYK);
        return pictures.of(asset, 1, Optional.empty(), COATED, Medium.PAPER).whole(0);
    }

    @Test
    void one_picture_on_many_pages_is_in_the_file_once() throws IOException {
        Asset sky = asset("sky.png", png(sky(600, 400)));
        List<PageScene> one = scenes(sky, whole(placed(sky, Placing.COVER)));
        Path pdf = folder.resolve("many.pdf");
        List<PageScene> many = new ArrayList<>();
        for (int i = 0; i < 20; i++) {
            many.addAll(one);
        }
        PdfWriter.write("Many", one, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        long alone = Files.size(pdf);
        PdfWriter.write("Many", many, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Files.size(pdf)).isLessThan(alone * 2);
    }
}
