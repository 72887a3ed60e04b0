package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Overlay;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/**
 * Heavy black letters across a spot ink on the left and process colour on the right. Ghostscript
 * says what comes on each plate (tiffsep), and how it looks (png16m, simulating overprint).
 */
class OverprintTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch INK = new Swatch(id("ink"), "Ink", new Cmyk(0, 0, 0, 100));
    private static final Swatch NIGHT = new Swatch(id("night"), "Night", new Cmyk(70, 60, 20, 10));
    private static final Swatch LANTERN =
            new Swatch(id("lantern"), "Lantern", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));

    private static final Swatch LEAF = new Swatch(id("leaf"), "Leaf", new Cmyk(40, 80, 50, 0));
    private static final Swatch MARSH =
            new Swatch(id("marsh"), "Marsh", new Definition.SpotInk(new Cmyk(80, 60, 40, 40)));
    private static final Swatch DUSK =
            new Swatch(id("dusk"), "Dusk", new Definition.Mix(MARSH.id(), NIGHT.id(), 40));

    @TempDir Path folder;

    private static final List<Background> BELOW =
            List.of(
                    wholePage("all", new Area.WholePage(), NIGHT, 100),
                    wholePage("left", new Area.Band(Edge.LEFT, Length.mm(45)), LANTERN, 80));

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    static List<PageScene> scenes(Look.Overprint overprint) {
        return scenes(overprint, Tinted.full(INK.id()), BELOW);
    }

    private static List<PageScene> scenes(
            Look.Overprint overprint, Tinted color, List<Background> backgrounds) {
        Look heavy =
                new Look(
                        id("look"),
                        "Heavy",
                        "Source Serif 4",
                        700,
                        Length.pt(80),
                        Length.pt(84),
                        Length.pt(0),
                        Look.Alignment.LEFT,
                        color,
                        overprint);
        TextFrame frame =
                new TextFrame(
                        id("frame"),
                        Sides.BOTH,
                        new Box(Length.mm(4), Length.mm(1), Length.mm(95), Length.mm(48)),
                        Leaflet.storyOf(id("frame")));
        Paragraph text =
                new Paragraph(
                        id("paragraph"),
                        heavy.id(),
                        List.of(new Run(id("run"), "HHH", Optional.empty())));
        Publication publication =
                new Publication(
                        id("publication"),
                        "Overprint",
                        Setup.of(new PageSize(Length.mm(100), Length.mm(50)), false),
                        List.of(INK, NIGHT, LANTERN, LEAF, MARSH, DUSK),
                        List.of(heavy),
                        List.of(),
                        List.of(
                                new Page(
                                        id("page"),
                                        Optional.empty(),
                                        true,
                                        new Layer(backgrounds, List.of(frame)))));
        Story story = Leaflet.story(new Owner.OnPage(id("page")), id("frame"), List.of(text));
        return new Composer(COATED).composeAll(publication.withStories(List.of(story)));
    }

    private static Background wholePage(String name, Area area, Swatch swatch, double tint) {
        return new Background(
                id(name), Sides.BOTH, area, new Fill.Solid(new Tinted(swatch.id(), tint)));
    }

    private Path write(List<PageScene> scenes) throws IOException {
        Path pdf = folder.resolve("overprint.pdf");
        PdfWriter.write(
                "Overprint", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
        return pdf;
    }

    private void ghostscript(Path pdf, String device, String file, String... more) {
        Ghostscript.draw(pdf, device, 72, folder.resolve(file), more);
    }

    /** Ink in percent, least and most, in the left or the right part of the page. */
    private record Range(double least, double most) {}

    private Range plate(String name, boolean left) throws IOException {
        Path file = folder.resolve("plate(" + name + ").tif");
        assertThat(Files.exists(file)).as(name).isTrue();
        BufferedImage image = ImageIO.read(file.toFile());
        int spine = (int) (48 / 106.0 * image.getWidth());
        int from = left ? 2 : spine + 2;
        int to = left ? spine - 2 : image.getWidth() - 2;
        int[] inks =
                IntStream.range(from, to)
                        .flatMap(x ->
                                IntStream.range(2, image.getHeight() - 2)
                                        .map(y -> 255 - image.getRaster().getSample(x, y, 0)))
                        .sorted()
                        .toArray();
        return new Range(inks[0] / 2.55, inks[inks.length - 1] / 2.55);
    }

    private void is(Range found, double least, double most) {
        assertThat(found.least()).isCloseTo(least, within(1.0));
        assertThat(found.most()).isCloseTo(most, within(1.0));
    }

    @Test
    void black_leaves_every_other_plate_whole() throws IOException {
        ghostscript(write(scenes(Look.Overprint.BLACK)), "tiffsep", "plate.tif");
        is(plate("Cyan", false), 70, 70);
        is(plate("Magenta", false), 60, 60);
        is(plate("Yellow", false), 20, 20);
        is(plate("Black", false), 10, 100);
        is(plate("Lantern", true), 80, 80);
        is(plate("Black", true), 0, 100);
        is(plate("Cyan", true), 0, 0);
    }

    @Test
    void black_that_may_not_overprint_leaves_every_other_plate_open() throws IOException {
        ghostscript(write(scenes(Look.Overprint.NEVER)), "tiffsep", "plate.tif");
        is(plate("Cyan", false), 0, 70);
        is(plate("Lantern", true), 0, 80);
        is(plate("Black", true), 0, 100);
    }

    @Test
    void the_picture_shows_what_ghostscript_shows() throws IOException {
        List<PageScene> scenes = scenes(Look.Overprint.BLACK);
        ghostscript(
                write(scenes),
                "png16m",
                "page.png",
                "-dOverprint=/simulate",
                "-dUsePDFX3Profile=0",
                "-dRenderIntent=1",
                "-dBlackPtComp=1");
        BufferedImage image = ImageIO.read(folder.resolve("page.png").toFile());
        MediumScene scene = scenes.getFirst().on(Medium.PAPER);
        List<Overlay.Part> parts = Overlay.of(scene, scene.text().getFirst());
        assertThat(parts).hasSize(2);
        for (Overlay.Part part : parts) {
            Rgb wanted = COATED.toScreen(part.color());
            assertThat(nearest(image, wanted)).as(part.color().toString()).isLessThanOrEqualTo(4);
        }
        assertThat(parts.get(0).color()).isNotEqualTo(parts.get(1).color());
    }

    /** How far the most alike pixel is from a colour, of 255, in its worst component. */
    private static int nearest(BufferedImage image, Rgb wanted) {
        return IntStream.range(0, image.getWidth() * image.getHeight())
                .map(i -> image.getRGB(i % image.getWidth(), i / image.getWidth()))
                .map(pixel ->
                        Math.max(
                                Math.abs((pixel >> 16 & 0xff) - wanted.red()),
                                Math.max(
                                        Math.abs((pixel >> 8 & 0xff) - wanted.green()),
                                        Math.abs((pixel & 0xff) - wanted.blue()))))
                .boxed()
                .min(Comparator.naturalOrder())
                .orElseThrow();
    }

    /**
     * Blended instead, each plate has the same ink for those who know no overprint: black, a colour
     * with less of an ink than is below it, a spot ink, and one mixed with process inks.
     */
    @ParameterizedTest
    @CsvSource({
        "ink, 100, true", "ink, 75, true", "leaf, 100, true", "marsh, 100, true",
        "marsh, 80, true", "dusk, 100, true", "ink, 100, false", "ink, 75, false",
        "leaf, 100, false", "marsh, 80, false", "dusk, 100, false"
    })
    void blended_it_comes_to_the_same(String swatch, double tint, boolean over) throws IOException {
        Background foot = wholePage("foot", new Area.Band(Edge.BOTTOM, Length.mm(25)), MARSH, 100);
        List<Background> all = Stream.concat(BELOW.stream(), Stream.of(foot)).toList();
        List<PageScene> scenes =
                scenes(
                        Look.Overprint.ALWAYS,
                        new Tinted(id(swatch), tint),
                        over ? all : all.subList(1, 3));

        assertThat(scenes.getFirst().text()).allMatch(run -> run.paint().overprints());
        ghostscript(write(scenes), "tiffsep", "kept.tif");
        PdfProfile shown = PdfProfile.PRESS.with(Optional.empty(), false, true);
        PdfOutput output =
                new PdfOutput(
                        Optional.empty(),
                        "Overprint",
                        Language.ENGLISH_BRITISH,
                        scenes,
                        shown,
                        COATED,
                        Instant.EPOCH,
                        List.of());
        Path pdf = folder.resolve("shown.pdf");
        PdfWriter.write(output, pdf, Progress.NONE);
        ReadBackReport report = ReadBack.check(pdf, output, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        ghostscript(pdf, "tiffsep", "shown.tif", "-dOverprint=/disable");
        assertThat(differing("shown")).isEmpty();
        if (over) {
            Path kept = folder.resolve("overprint.pdf");
            ghostscript(kept, "tiffsep", "lost.tif", "-dOverprint=/disable");
            assertThat(differing("lost")).isNotEmpty();
        }
    }

    /** The plates that are not as where overprint is kept. */
    private List<String> differing(String file) throws IOException {
        List<String> plates = new ArrayList<>();
        for (String plate : List.of("Cyan", "Magenta", "Yellow", "Black", "Lantern", "Marsh")) {
            BufferedImage one = plateOf("kept", plate);
            BufferedImage other = plateOf(file, plate);
            int width = one.getWidth();
            long off =
                    IntStream.range(0, width * one.getHeight())
                            .map(at -> sample(one, at) - sample(other, at))
                            .filter(by -> Math.abs(by) > 3)
                            .count();
            if (off > width) {
                plates.add(plate);
            }
        }
        return plates;
    }

    private static int sample(BufferedImage image, int at) {
        return image.getRaster().getSample(at % image.getWidth(), at / image.getWidth(), 0);
    }

    private BufferedImage plateOf(String file, String plate) throws IOException {
        return ImageIO.read(folder.resolve("%s(%s).tif".formatted(file, plate)).toFile());
    }

    @Test
    void text_that_is_to_be_blended_and_overprints_is_told() throws IOException {
        List<PageScene> scenes = scenes(Look.Overprint.BLACK);
        PdfOutput kept = PdfOutput.plain("Overprint", scenes, Medium.PAPER, COATED, Instant.EPOCH);
        PdfOutput shown =
                new PdfOutput(
                        Optional.empty(),
                        "Overprint",
                        Language.ENGLISH_BRITISH,
                        scenes,
                        kept.profile().with(Optional.empty(), false, true),
                        COATED,
                        Instant.EPOCH,
                        List.of());
        Path pdf = folder.resolve("one.pdf");
        PdfWriter.write(kept, pdf, Progress.NONE);
        assertThat(ReadBack.check(pdf, shown, Progress.NONE).pages().getFirst().problems())
                .anyMatch(problem -> problem.contains("not blended as if they overprinted"));
        PdfWriter.write(shown, pdf, Progress.NONE);
        assertThat(ReadBack.check(pdf, kept, Progress.NONE).pages().getFirst().problems())
                .anyMatch(problem -> problem.contains("do not overprint"));
    }

    @Test
    void the_read_back_finds_it_as_it_should_be() throws IOException {
        List<PageScene> scenes = scenes(Look.Overprint.BLACK);
        assertThat(
                        ReadBack.check(write(scenes), scenes, Medium.PAPER, COATED, Progress.NONE)
                                .matches())
                .isTrue();
    }
}
