package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Pictures that are see-through here and there, with every way to go on past their edges. */
class SeeThroughTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 0, 30, 10));

    @TempDir Path folder;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** Coarse noise that lets through what is below in waves, at its edges too. */
    private static byte[] noise() {
        Random random = new Random(7);
        BufferedImage image = new BufferedImage(120, 90, BufferedImage.TYPE_INT_ARGB);
        for (int y = 0; y < 90; y += 6) {
            for (int x = 0; x < 120; x += 6) {
                int alpha = (int) (127 + 127 * Math.sin(x / 9.0) * Math.cos(y / 7.0));
                int color = alpha << 24 | random.nextInt(0x1000000);
                for (int i = 0; i < 36; i++) {
                    image.setRGB(x + i % 6, y + i / 6, color);
                }
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** A page for each way to place the picture: by its fit, plain, turned and multiplied. */
    private static List<PageScene> scenes(RunOut runOut) {
        byte[] file = noise();
        PdfDocuments documents = new PdfDocuments();
        Asset asset =
                new Asset(
                        id("noise"),
                        "noise.png",
                        "noise",
                        new Intake(documents).look("noise.png", file));
        List<Page> pages = new ArrayList<>();
        for (Placing.Fit fit : Placing.Fit.values()) {
            for (double rotation : new double[] {0, 20}) {
                Placing placing =
                        new Placing(
                                fit,
                                70,
                                Placing.Base.OWN,
                                rotation,
                                Placing.COVER.anchor(),
                                Length.mm(2),
                                Length.mm(1),
                                Placing.Focus.MIDDLE);
                Fill fill = new Fill.Picture(asset.id(), placing, runOut, Optional.empty());
                boolean turned = rotation != 0;
                String name = fit + " " + rotation;
                List<Background> backgrounds =
                        List.of(
                                new Background(
                                        id("low " + name),
                                        Sides.BOTH,
                                        new Area.WholePage(),
                                        new Fill.Solid(Tinted.full(SEA.id()))),
                                new Background(
                                        id("picture " + name),
                                        Sides.BOTH,
                                        new Area.WholePage(),
                                        fill,
                                        turned ? 70 : 100,
                                        turned ? BlendMode.MULTIPLY : BlendMode.NORMAL,
                                        Background.GoesTo.BOTH));
                pages.add(
                        new Page(
                                id(name),
                                Optional.empty(),
                                true,
                                new Layer(backgrounds, List.of())));
            }
        }
        Publication publication =
                new Publication(
                                id("publication"),
                                "See-through",
                                Setup.of(new PageSize(Length.mm(90), Length.mm(60)), false)
                                        .withDestination(Destination.BOTH),
                                List.of(SEA),
                                List.of(),
                                List.of(),
                                pages)
                        .withAssets(List.of(asset));
        Map<String, byte[]> files = Map.of("noise.png", file, "noise", file);
        return new Composer(COATED, new Pictures(files::get, documents)).composeAll(publication);
    }

    private Path write(List<PageScene> scenes, Medium medium) throws IOException {
        Path pdf = folder.resolve(medium + ".pdf");
        PdfWriter.write("Noise", scenes, medium, COATED, Instant.EPOCH, pdf, Progress.NONE);
        return pdf;
    }

    @ParameterizedTest
    @EnumSource(RunOut.class)
    void a_right_file_is_not_blamed(RunOut runOut) throws IOException {
        List<PageScene> scenes = scenes(runOut);
        for (Medium medium : Medium.values()) {
            Path pdf = write(scenes, medium);
            ReadBackReport report = ReadBack.check(pdf, scenes, medium, COATED, Progress.NONE);
            assertThat(report.pages())
                    .allSatisfy(page ->
                            assertThat(page.matches())
                                    .as("%d %s %s", page.number(), page.painted(), page.problems())
                                    .isTrue());
        }
    }

    /** ghostscript takes the one pixel that it meets, and edges fall half a pixel off. */
    @Test
    void edge_colours_are_as_ghostscript_draws_them() throws IOException {
        List<PageScene> scenes = scenes(RunOut.EDGE_COLOR);
        List<BufferedImage> theirs = Ghostscript.pages(write(scenes, Medium.PAPER), 96);
        int from = 2 * Placing.Fit.CONTAIN.ordinal();
        for (int i = from; i < from + 2; i++) {
            PageScene scene = scenes.get(i);
            BufferedImage ours =
                    PageRaster.page(
                            scene, View.designed(Medium.PAPER, COATED), scene.boxes().bleed(), 96);
            assertThat(Ghostscript.off(ours, theirs.get(i)).mean())
                    .as("page %d", i + 1)
                    .isLessThanOrEqualTo(4);
        }
    }
}
