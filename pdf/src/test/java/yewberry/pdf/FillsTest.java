package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Progress;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Anchor;
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
import yewberry.core.scene.Painted;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/**
 * Press PDFs of every kind of fill, drawn by ghostscript with the output intent, held against
 * Yewberry's own picture of the same page.
 */
class FillsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final View DESIGNED = View.designed(Medium.PAPER, COATED);
    private static final int PPI = 72;
    static final Swatch NIGHT = new Swatch(id("night"), "Night", new Cmyk(90, 70, 30, 30));
    static final Swatch DAWN = new Swatch(id("dawn"), "Dawn", new Cmyk(5, 60, 80, 0));
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 10, 30, 5));
    private static final Swatch LANTERN =
            new Swatch(id("lantern"), "Lantern", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));

    @TempDir Path folder;

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    static Fill.Gradient.Stop stop(double position, Swatch swatch, double opacity) {
        return new Fill.Gradient.Stop(position, Tinted.full(swatch.id()), opacity);
    }

    static Fill gradient(Fill.Gradient.Kind kind, double angle, Fill.Gradient.Stop... stops) {
        return new Fill.Gradient(kind, angle, false, List.of(stops));
    }

    private static Fill solid(Swatch swatch) {
        return new Fill.Solid(Tinted.full(swatch.id()));
    }

    static Background wholePage(String name, Area area, Fill fill) {
        return new Background(id(name), Sides.BOTH, area, fill);
    }

    private static Background mixed(
            String name, Area area, Fill fill, double opacity, BlendMode blend) {
        return new Background(
                id(name), Sides.BOTH, area, fill, opacity, blend, Background.GoesTo.BOTH);
    }

    static List<PageScene> scenes(int pages, Background... backgrounds) {
        Layer layer = new Layer(List.of(backgrounds), List.of());
        List<Page> all = new ArrayList<>();
        for (int i = 0; i < pages; i++) {
            // ids of backgrounds are their own on each page
            List<Background> own = new ArrayList<>();
            for (Background each : layer.backgrounds()) {
                own.add(
                        new Background(
                                id(each.id() + " " + i),
                                each.sides(),
                                each.area(),
                                each.fill(),
                                each.opacity(),
                                each.blend(),
                                each.goesTo()));
            }
            all.add(new Page(id("page" + i), Optional.empty(), true, new Layer(own, List.of())));
        }
        return new Composer(COATED)
                .composeAll(
                        new Publication(
                                id("publication"),
                                "Fills",
                                Setup.of(new PageSize(Length.mm(90), Length.mm(60)), pages > 1),
                                List.of(NIGHT, DAWN, SEA, LANTERN),
                                List.of(),
                                List.of(),
                                all));
    }

    private List<Ghostscript.Off> compare(List<PageScene> scenes) throws IOException {
        Path pdf = folder.resolve("fills.pdf");
        PdfWriter.write("Fills", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        List<BufferedImage> theirs = Ghostscript.pages(pdf, PPI);
        List<Ghostscript.Off> offs = new ArrayList<>();
        for (int i = 0; i < scenes.size(); i++) {
            BufferedImage ours =
                    PageRaster.page(scenes.get(i), DESIGNED, scenes.get(i).boxes().bleed(), PPI);
            offs.add(Ghostscript.off(ours, theirs.get(i)));
        }
        return offs;
    }

    private void near(List<PageScene> scenes) throws IOException {
        for (Ghostscript.Off off : compare(scenes)) {
            assertThat(off.mean()).isLessThanOrEqualTo(2);
        }
    }

    @Test
    void linear_gradients_run_at_their_angle_through_all_stops() throws IOException {
        near(
                scenes(
                        1,
                        wholePage(
                                "g",
                                new Area.WholePage(),
                                gradient(
                                        Fill.Gradient.Kind.LINEAR,
                                        30,
                                        stop(10, NIGHT, 100),
                                        stop(55, DAWN, 100),
                                        stop(100, SEA, 100)))));
    }

    @Test
    void radial_gradients_run_from_the_middle_to_the_corners() throws IOException {
        near(
                scenes(
                        1,
                        wholePage("low", new Area.WholePage(), solid(SEA)),
                        wholePage(
                                "g",
                                new Area.Rectangle(
                                        new Anchor(Anchor.Across.RIGHT, Anchor.Down.TOP),
                                        Length.mm(10),
                                        Length.mm(10),
                                        Length.mm(40),
                                        Length.mm(30),
                                        java.util.Set.of()),
                                gradient(
                                        Fill.Gradient.Kind.RADIAL,
                                        0,
                                        stop(0, DAWN, 100),
                                        stop(100, NIGHT, 100)))));
    }

    @Test
    void gradients_with_a_spot_ink_keep_it() throws IOException {
        near(
                scenes(
                        1,
                        wholePage(
                                "g",
                                new Area.WholePage(),
                                gradient(
                                        Fill.Gradient.Kind.LINEAR,
                                        90,
                                        stop(0, LANTERN, 100),
                                        stop(100, NIGHT, 100)))));
    }

    @Test
    void one_gradient_goes_across_both_pages_of_a_spread() throws IOException {
        List<PageScene> scenes =
                scenes(
                        3,
                        wholePage(
                                "g",
                                new Area.WholeSpread(Length.ZERO),
                                gradient(
                                        Fill.Gradient.Kind.LINEAR,
                                        0,
                                        stop(0, NIGHT, 100),
                                        stop(100, DAWN, 100))));
        near(scenes);
        BufferedImage left =
                PageRaster.page(scenes.get(1), DESIGNED, scenes.get(1).boxes().trim(), PPI);
        BufferedImage right =
                PageRaster.page(scenes.get(2), DESIGNED, scenes.get(2).boxes().trim(), PPI);
        int edge = left.getRGB(left.getWidth() - 2, 50);
        int beyond = right.getRGB(1, 50);
        for (int shift = 0; shift <= 16; shift += 8) {
            assertThat(Math.abs((edge >> shift & 0xff) - (beyond >> shift & 0xff)))
                    .as("the halves meet at the spine")
                    .isLessThanOrEqualTo(4);
        }
    }

    @Test
    void opacity_and_stops_that_fade_out_let_through_what_is_below() throws IOException {
        near(
                scenes(
                        1,
                        wholePage("low", new Area.WholePage(), solid(DAWN)),
                        mixed(
                                "half",
                                new Area.Band(Edge.LEFT, Length.mm(30)),
                                solid(NIGHT),
                                55,
                                BlendMode.NORMAL),
                        wholePage(
                                "fade",
                                new Area.Band(Edge.BOTTOM, Length.mm(30)),
                                gradient(
                                        Fill.Gradient.Kind.LINEAR,
                                        0,
                                        stop(0, SEA, 0),
                                        stop(60, SEA, 100),
                                        stop(100, NIGHT, 40)))));
    }

    /** Blending happens in process ink; ghostscript blends CMYK groups in CMYK. */
    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void every_blend_mode_is_as_ghostscript_blends_it(BlendMode mode) throws IOException {
        Ghostscript.Off off =
                compare(
                                scenes(
                                        1,
                                        wholePage(
                                                "low",
                                                new Area.WholePage(),
                                                gradient(
                                                        Fill.Gradient.Kind.LINEAR,
                                                        0,
                                                        stop(0, NIGHT, 100),
                                                        stop(50, SEA, 100),
                                                        stop(100, DAWN, 100))),
                                        mixed(
                                                "above",
                                                new Area.Band(Edge.BOTTOM, Length.mm(35)),
                                                gradient(
                                                        Fill.Gradient.Kind.LINEAR,
                                                        90,
                                                        stop(0, DAWN, 100),
                                                        stop(100, SEA, 100)),
                                                80,
                                                mode)))
                        .getFirst();
        assertThat(off.mean()).isLessThanOrEqualTo(2);
    }

    /** The inks themselves, patch by patch, on ghostscript's device for four inks. */
    @ParameterizedTest
    @EnumSource(BlendMode.class)
    void every_blend_mode_comes_to_ghostscripts_inks(BlendMode mode) throws IOException {
        List<PageScene> scenes =
                scenes(
                        1,
                        wholePage("low", new Area.WholePage(), solid(SEA)),
                        wholePage("left", new Area.Band(Edge.LEFT, Length.mm(30)), solid(NIGHT)),
                        wholePage("right", new Area.Band(Edge.RIGHT, Length.mm(30)), solid(DAWN)),
                        mixed(
                                "above",
                                new Area.Band(Edge.TOP, Length.mm(30)),
                                solid(DAWN),
                                80,
                                mode),
                        mixed(
                                "below",
                                new Area.Band(Edge.BOTTOM, Length.mm(30)),
                                solid(NIGHT),
                                60,
                                mode));
        Path pdf = folder.resolve("inks.pdf");
        PdfWriter.write("Inks", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        Path tiff = folder.resolve("inks.tif");
        Ghostscript.draw(pdf, "tiff32nc", PPI, tiff);
        Raster theirs = ImageIO.read(tiff.toFile()).getRaster();
        PageScene scene = scenes.getFirst();
        Painted ours = new Painted(scene.on(Medium.PAPER), scene.on(Medium.PAPER).areas());
        for (double across : new double[] {15, 45, 75}) {
            for (double down : new double[] {15, 45}) {
                double x = Length.mm(across).points();
                double y = Length.mm(down).points();
                Cmyk ink = (Cmyk) ours.at(x, y);
                int[] found =
                        theirs.getPixel(
                                (int) (x - scene.boxes().bleed().x()),
                                (int) (y - scene.boxes().bleed().y()),
                                new int[4]);
                assertThat(found[0]).isCloseTo((int) Math.round(ink.cyan() * 2.55), within(2));
                assertThat(found[1]).isCloseTo((int) Math.round(ink.magenta() * 2.55), within(2));
                assertThat(found[2]).isCloseTo((int) Math.round(ink.yellow() * 2.55), within(2));
                assertThat(found[3]).isCloseTo((int) Math.round(ink.black() * 2.55), within(2));
            }
        }
    }

    @Test
    void what_does_not_go_to_paper_is_not_in_the_file() throws IOException {
        Background screen =
                new Background(
                        id("screen"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        solid(NIGHT),
                        100,
                        BlendMode.NORMAL,
                        new Background.GoesTo(true, false));
        List<PageScene> scenes = scenes(1, screen);
        Path pdf = folder.resolve("screen.pdf");
        PdfWriter.write("Screen", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).isTrue();
        assertThat(scenes.getFirst().on(Medium.PAPER).areas()).isEmpty();
    }
}
