package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/**
 * A page in thirds: a spot ink, a tint of it, a mix of it with process colour. Ghostscript's
 * tiffsep device says what comes on which plate.
 */
class SpotInksTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch LANTERN =
            new Swatch(
                    id("lantern"), "Lantern glow", new Definition.SpotInk(new Cmyk(0, 60, 100, 0)));
    private static final Swatch DEEP = new Swatch(id("deep"), "Deep", new Cmyk(80, 40, 0, 20));
    private static final Swatch DUSK =
            new Swatch(id("dusk"), "Dusk", new Definition.Mix(LANTERN.id(), DEEP.id(), 50));

    @TempDir static Path folder;

    private static Path pdf;
    private static List<PageScene> scenes;
    private static Publication publication;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Background wholePage(String name, Area area, Swatch swatch, double tint) {
        return new Background(
                id(name), Sides.BOTH, area, new Fill.Solid(new Tinted(swatch.id(), tint)));
    }

    @BeforeAll
    static void write() throws IOException {
        Layer layer =
                new Layer(
                        List.of(
                                wholePage("all", new Area.WholePage(), LANTERN, 100),
                                wholePage(
                                        "top", new Area.Band(Edge.TOP, Length.mm(30)), LANTERN, 40),
                                wholePage(
                                        "foot",
                                        new Area.Band(Edge.BOTTOM, Length.mm(30)),
                                        DUSK,
                                        100)),
                        List.of());
        publication =
                new Publication(
                        id("publication"),
                        "Spot",
                        Setup.of(new PageSize(Length.mm(90), Length.mm(90)), false),
                        List.of(LANTERN, DEEP, DUSK),
                        List.of(),
                        List.of(),
                        List.of(new Page(id("page"), Optional.empty(), true, layer)));
        scenes = new Composer(COATED).composeAll(publication);
        pdf = folder.resolve("spot.pdf");
        PdfWriter.write("Spot", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        Ghostscript.draw(pdf, "tiffsep", 36, folder.resolve("plate.tif"));
    }

    /** Ink in percent in the middle of a third, from 0 at the top. */
    private static double ink(String plate, int third) throws IOException {
        BufferedImage image = ImageIO.read(folder.resolve("plate(" + plate + ").tif").toFile());
        int y = (2 * third + 1) * image.getHeight() / 6;
        int grey = image.getRaster().getSample(image.getWidth() / 2, y, 0);
        return 100 - grey * 100 / 255.0;
    }

    @Test
    void the_spot_ink_has_a_plate_of_its_own_with_its_tint() throws IOException {
        assertThat(ink("Lantern glow", 1))
                .isCloseTo(100, org.assertj.core.api.Assertions.within(1.0));
        assertThat(ink("Lantern glow", 0))
                .isCloseTo(40, org.assertj.core.api.Assertions.within(1.0));
        for (String process : List.of("Cyan", "Magenta", "Yellow", "Black")) {
            assertThat(ink(process, 0))
                    .as(process)
                    .isCloseTo(0, org.assertj.core.api.Assertions.within(0.5));
            assertThat(ink(process, 1))
                    .as(process)
                    .isCloseTo(0, org.assertj.core.api.Assertions.within(0.5));
        }
    }

    @Test
    void a_mix_keeps_the_spot_and_the_process_inks() throws IOException {
        var near = org.assertj.core.api.Assertions.within(1.0);
        assertThat(ink("Lantern glow", 2)).isCloseTo(50, near);
        assertThat(ink("Cyan", 2)).isCloseTo(40, near);
        assertThat(ink("Magenta", 2)).isCloseTo(20, near);
        assertThat(ink("Yellow", 2)).isCloseTo(0, near);
        assertThat(ink("Black", 2)).isCloseTo(10, near);
    }

    @Test
    void a_pdf_for_all_comes_on_the_very_same_plates() throws IOException {
        Path all = folder.resolve("all.pdf");
        PdfOutput output = PdfOutput.of(publication, scenes, PdfProfile.ALL, COATED, Instant.EPOCH);
        PdfWriter.write(output, all, Progress.NONE);
        Ghostscript.draw(all, "tiffsep", 36, folder.resolve("forall.tif"));
        for (String plate : List.of("Lantern glow", "Cyan", "Magenta", "Yellow", "Black")) {
            assertThat(samples("forall(" + plate + ").tif"))
                    .as(plate)
                    .isEqualTo(samples("plate(" + plate + ").tif"));
        }
    }

    private static int[] samples(String file) throws IOException {
        Raster raster = ImageIO.read(folder.resolve(file).toFile()).getRaster();
        return raster.getSamples(0, 0, raster.getWidth(), raster.getHeight(), 0, (int[]) null);
    }

    @Test
    void the_read_back_knows_the_inks_by_name() throws IOException {
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).isTrue();
        assertThat(report.pages().getFirst().painted().matches()).isTrue();
        assertThat(without("/Lantern#20glow").matches()).isFalse();
    }

    /** The report of the same file with a spot ink called otherwise. */
    private ReadBackReport without(String spot) throws IOException {
        Path plain = folder.resolve("plain.pdf");
        Programs.run("qpdf", "--qdf", pdf.toString(), plain.toString());
        String text = Files.readString(plain, StandardCharsets.ISO_8859_1);
        assertThat(text).contains(spot);
        Path other = folder.resolve("other.pdf");
        Files.writeString(
                other, text.replace(spot, "/Lantern#20grow"), StandardCharsets.ISO_8859_1);
        return ReadBack.check(other, scenes, Medium.PAPER, COATED, Progress.NONE);
    }

    @Test
    void qpdf_and_the_screen_preview_agree() throws IOException {
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        BufferedImage image = Ghostscript.pages(pdf, 36).getFirst();
        for (int third = 0; third < 3; third++) {
            int pixel = image.getRGB(image.getWidth() / 2, (2 * third + 1) * image.getHeight() / 6);
            double x = scenes.getFirst().boxes().trim().width() / 2;
            double y = scenes.getFirst().boxes().trim().height() * (2 * third + 1) / 6;
            var screen =
                    scenes.getFirst().items().reversed().stream()
                            .filter(item -> item.bounds().contains(x, y))
                            .findFirst()
                            .map(item -> COATED.toScreen(item.paints().getFirst().color()))
                            .orElseThrow();
            var near = org.assertj.core.api.Assertions.within(4);
            assertThat(pixel >> 16 & 0xff).isCloseTo(screen.red(), near);
            assertThat(pixel >> 8 & 0xff).isCloseTo(screen.green(), near);
            assertThat(pixel & 0xff).isCloseTo(screen.blue(), near);
        }
    }
}
