package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Shadings, borders and highlights as other programs read and draw them. */
class BehindTextTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int PPI = 200;
    private static final CharacterLook MARKED =
            new CharacterLook(UUID.nameUUIDFromBytes(new byte[] {1}), "Marked")
                    .withHighlight(
                            Optional.of(
                                    new Highlight(
                                            Tinted.full(Leaflet.PALE.id()),
                                            -0.1,
                                            0.05,
                                            0.15,
                                            0.2,
                                            false)));

    @TempDir Path folder;

    private static Panel panel(Panel.Reach reach, Border.Style style, Fill shading) {
        return Panel.NONE
                .withShading(Optional.of(shading))
                .withBorder(
                        Optional.of(
                                new Border(
                                        Border.ALL,
                                        Length.pt(9),
                                        Tinted.full(Leaflet.SIGNAL.id()),
                                        style)))
                .withReach(reach)
                .withPadding(Padding.all(Distance.em(0.4)))
                .withRadius(Distance.of(Length.mm(2)));
    }

    private static Fill gradient(double opacity) {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                30,
                false,
                List.of(
                        new Fill.Gradient.Stop(0, Tinted.full(Leaflet.PALE.id()), 100),
                        new Fill.Gradient.Stop(100, Tinted.full(Leaflet.NIGHT.id()), opacity)));
    }

    /** The leaflet with a panel behind all paragraphs, and the second of each page highlighted. */
    private static Publication leaflet(Panel panel, double degrees) {
        Publication leaflet = Leaflet.publication();
        Publication colored =
                leaflet.withCharacterLooks(List.of(MARKED))
                        .withLooks(
                                leaflet.looks().stream()
                                        .map(look ->
                                                look.withOverprint(Look.Overprint.NEVER)
                                                        .withPanel(Optional.of(panel)))
                                        .toList())
                        .withStories(
                                leaflet.stories().stream().map(BehindTextTest::marked).toList());
        return Leaflet.rotated(colored, degrees);
    }

    private static Story marked(Story story) {
        Paragraph second = story.paragraphs().get(1);
        return story.withParagraph(
                second.id(),
                each ->
                        each.withRuns(
                                each.runs().stream()
                                        .map(run ->
                                                new Run(
                                                        run.id(),
                                                        run.text(),
                                                        run.color(),
                                                        Optional.of(MARKED.id())))
                                        .toList()));
    }

    private Path write(List<PageScene> scenes, Medium medium) throws IOException {
        Path pdf = folder.resolve("behind.pdf");
        PdfWriter.write("Behind", scenes, medium, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        return pdf;
    }

    static byte[] covered(Item.Formed fill, Rect bleed, int width, int height) {
        AffineTransform place = AffineTransform.getScaleInstance(PPI / 72.0, PPI / 72.0);
        place.translate(-bleed.x(), -bleed.y());
        return Coverage.of(
                        place.createTransformedShape(fill.shape().orElse(fill.bounds().shape())),
                        width,
                        height)
                .whole(width * height);
    }

    @ParameterizedTest
    @CsvSource({
        "MEASURE, SOLID, 0",
        "MEASURE, DOUBLE, 0",
        "LINES, SOLID, 0",
        "LINES, TRIPLE, -20",
        "FRAME, DASHED, 0",
        "MEASURE, DOTTED, 33",
    })
    void ghostscript_draws_them_where_yewberry_does(
            Panel.Reach reach, Border.Style style, double degrees) throws IOException {
        Fill pale = new Fill.Solid(new Tinted(Leaflet.NIGHT.id(), 20));
        List<PageScene> scenes =
                new Composer(COATED).composeAll(leaflet(panel(reach, style, pale), degrees));
        Path pdf = write(scenes, Medium.PAPER);
        agrees(pdf, scenes);
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
    }

    private void agrees(Path pdf, List<PageScene> scenes) throws IOException {
        List<BufferedImage> theirs = Ghostscript.pages(pdf, PPI);
        for (int i = 0; i < scenes.size(); i++) {
            PageScene scene = scenes.get(i);
            Rect bleed = scene.boxes().bleed();
            BufferedImage ours =
                    PageRaster.page(scene, View.designed(Medium.PAPER, COATED), bleed, PPI);
            List<Item> items = scene.on(Medium.PAPER).items();
            for (int k = 0; k < items.size(); k++) {
                if (items.get(k) instanceof Item.TextFill fill) {
                    byte[] covered = covered(fill, bleed, ours.getWidth(), ours.getHeight());
                    for (Item upper : items.subList(k + 1, items.size())) {
                        withoutEdges(covered, upper, bleed, ours.getWidth(), ours.getHeight());
                    }
                    Ghostscript.agrees(ours, theirs.get(i), covered);
                }
            }
        }
    }

    /** Where the edge of what lies above goes through a pixel, each smooths in its own way. */
    static void withoutEdges(byte[] covered, Item upper, Rect bleed, int width, int height) {
        switch (upper) {
            case Item.Formed fill -> {
                byte[] own = covered(fill, bleed, width, height);
                for (int at = 0; at < own.length; at++) {
                    covered[at] = own[at] == 0 || own[at] == -1 ? covered[at] : 0;
                }
            }
            case Item.Lettering text ->
                    text.letters()
                            .lines()
                            .forEach(line ->
                                    line.glyphs()
                                            .forEach(glyph ->
                                                    Coverage.of(
                                                                    text,
                                                                    line,
                                                                    glyph,
                                                                    bleed,
                                                                    PPI / 72.0,
                                                                    width,
                                                                    height)
                                                            .forEach((at, part) ->
                                                                    covered[at] = 0)));
            case Item.AreaFill fill -> {}
        }
    }

    @ParameterizedTest
    @CsvSource({"100, 0, PAPER", "100, 25, PAPER", "40, 0, PAPER", "40, -70, SCREEN"})
    void gradients_behind_text_are_read_back(double opacity, double degrees, Medium medium)
            throws IOException {
        List<PageScene> scenes =
                new Composer(COATED)
                        .composeAll(
                                leaflet(
                                        panel(
                                                Panel.Reach.MEASURE,
                                                Border.Style.SOLID,
                                                gradient(opacity)),
                                        degrees));
        Path pdf = write(scenes, medium);
        ReadBackReport report = ReadBack.check(pdf, scenes, medium, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
    }

    @Test
    void a_shading_that_is_off_is_found() throws IOException {
        Fill pale = new Fill.Solid(new Tinted(Leaflet.NIGHT.id(), 20));
        Panel panel = panel(Panel.Reach.MEASURE, Border.Style.SOLID, pale);
        Path pdf = write(new Composer(COATED).composeAll(leaflet(panel, 0)), Medium.PAPER);
        List<PageScene> others =
                new Composer(COATED)
                        .composeAll(leaflet(panel.withRadius(Distance.of(Length.mm(4))), 0));
        ReadBackReport report = ReadBack.check(pdf, others, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).isFalse();
    }

    @Test
    void they_are_not_read_as_text() throws IOException {
        Fill pale = new Fill.Solid(new Tinted(Leaflet.NIGHT.id(), 20));
        Panel panel = panel(Panel.Reach.LINES, Border.Style.DOTTED, pale).withHeld(false);
        Path pdf = write(new Composer(COATED).composeAll(leaflet(panel, 0)), Medium.SCREEN);
        assertThat(Programs.run("pdftotext", pdf.toString(), "-").output()).contains("waffles");
        assertThat(Programs.run("pdfimages", "-list", pdf.toString()).output().lines().count())
                .isEqualTo(2); // nothing but the head of the list
    }
}
