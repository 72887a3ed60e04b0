package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
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
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;

/** The PDF for the screen, drawn by poppler, held against Yewberry's own picture of its pages. */
class ScreenPdfTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int PPI = 72;
    private static final Swatch BLUE = new Swatch(id("blue"), "Blue", new Rgb(0, 0, 149));
    private static final Swatch MAGENTA = new Swatch(id("m"), "Magenta", new Rgb(255, 0, 255));
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 10, 30, 5));

    @TempDir Path folder;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Background wholePage(
            String name, Area area, Fill fill, double opacity, BlendMode blend) {
        return new Background(
                id(name), Sides.BOTH, area, fill, opacity, blend, Background.GoesTo.BOTH);
    }

    private static Fill solid(Swatch swatch) {
        return new Fill.Solid(Tinted.full(swatch.id()));
    }

    private static PageScene scene() {
        Fill fade =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        30,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(SEA.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(MAGENTA.id()), 30)));
        Layer layer =
                new Layer(
                        List.of(
                                wholePage(
                                        "g",
                                        new Area.WholePage(),
                                        solid(BLUE),
                                        100,
                                        BlendMode.NORMAL),
                                wholePage(
                                        "top",
                                        new Area.Band(Edge.TOP, Length.mm(20)),
                                        fade,
                                        100,
                                        BlendMode.NORMAL),
                                wholePage(
                                        "left",
                                        new Area.Band(Edge.LEFT, Length.mm(15)),
                                        solid(SEA),
                                        40,
                                        BlendMode.SCREEN),
                                wholePage(
                                        "bottom",
                                        new Area.Band(Edge.BOTTOM, Length.mm(15)),
                                        solid(MAGENTA),
                                        100,
                                        BlendMode.LUMINOSITY)),
                        List.of());
        return new Composer(COATED)
                .compose(
                        new Publication(
                                id("p"),
                                "Screen",
                                Setup.of(new PageSize(Length.mm(90), Length.mm(60)), false),
                                List.of(BLUE, MAGENTA, SEA),
                                List.of(),
                                List.of(),
                                List.of(new Page(id("page"), Optional.empty(), true, layer))),
                        0);
    }

    private Path write(PageScene scene) throws IOException {
        Path pdf = folder.resolve("screen.pdf");
        PdfWriter.write(
                "Screen", List.of(scene), Medium.SCREEN, COATED, Instant.EPOCH, pdf, Progress.NONE);
        return pdf;
    }

    @Test
    void it_is_seen_as_yewberry_draws_it() throws IOException {
        PageScene scene = scene();
        Path pdf = write(scene);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        Programs.Result drawn =
                Programs.run(
                        "pdftoppm",
                        "-cropbox",
                        "-png",
                        "-r",
                        "" + PPI,
                        pdf.toString(),
                        folder.resolve("page").toString());
        assertThat(drawn.status()).as(drawn.output()).isZero();
        Path picture;
        try (var files = Files.list(folder)) {
            picture =
                    files.filter(file -> file.toString().endsWith(".png"))
                            .findFirst()
                            .orElseThrow();
        }
        BufferedImage theirs = ImageIO.read(picture.toFile());
        BufferedImage ours =
                PageRaster.page(
                        scene, View.designed(Medium.SCREEN, COATED), scene.boxes().trim(), PPI);
        Ghostscript.Off off = Ghostscript.off(ours, theirs);
        assertThat(off.mean()).isLessThan(1);
    }

    @Test
    void it_is_in_srgb_alone_cropped_to_the_trim_and_reads_back_right() throws IOException {
        PageScene scene = scene();
        Path pdf = write(scene);
        assertThat(
                        ReadBack.check(pdf, List.of(scene), Medium.SCREEN, COATED, Progress.NONE)
                                .matches())
                .isTrue();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getPage(0).getCropBox().getWidth())
                    .isEqualTo(document.getPage(0).getTrimBox().getWidth());
        }
        Path plain = folder.resolve("plain.pdf");
        Programs.run("qpdf", "--qdf", "--stream-data=uncompress", pdf.toString(), plain.toString());
        String text = Files.readString(plain, StandardCharsets.ISO_8859_1);
        assertThat(text).contains("/DeviceRGB").doesNotContain("/DeviceCMYK");
    }
}
