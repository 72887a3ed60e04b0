package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.Coverage;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Text that is rotated, and text with an outline, as other programs read and draw it. */
class LetteringTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int PPI = 300;

    @TempDir Path folder;

    private Path pdf;

    private static Outline outline(double points, Outline.Join join, boolean centered) {
        return new Outline(Tinted.full(Leaflet.SIGNAL.id()), Length.pt(points), join, centered);
    }

    /** Its text does not overprint, which ghostscript does not show on this device. */
    private static Publication leaflet(double degrees, Optional<Outline> outline) {
        Publication leaflet = Leaflet.publication();
        Publication publication =
                leaflet.withLooks(
                        leaflet.looks().stream()
                                .map(look ->
                                        look.withOverprint(Look.Overprint.NEVER)
                                                .withSize(Length.pt(outline.isEmpty() ? 10 : 24))
                                                .withOutline(outline))
                                .toList());
        return Leaflet.rotated(publication, degrees);
    }

    private List<PageScene> written(double degrees, Medium medium) throws IOException {
        return written(degrees, Optional.empty(), medium);
    }

    private List<PageScene> written(double degrees, Optional<Outline> outline, Medium medium)
            throws IOException {
        List<PageScene> scenes = new Composer(COATED).composeAll(leaflet(degrees, outline));
        pdf = folder.resolve("turned.pdf");
        PdfWriter.write("Turned", scenes, medium, COATED, Instant.EPOCH, pdf, Progress.NONE);
        assertThat(Programs.run("qpdf", "--check", pdf.toString()).status()).isZero();
        return scenes;
    }

    @ParameterizedTest
    @EnumSource
    void what_was_written_is_read_back_as_it_should_be(Medium medium) throws IOException {
        List<PageScene> scenes = written(-37.5, medium);
        ReadBackReport report = ReadBack.check(pdf, scenes, medium, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        ReadBackReport upright =
                ReadBack.check(pdf, Leaflet.scenes(), medium, COATED, Progress.NONE);
        assertThat(upright.matches()).isFalse();
    }

    @ParameterizedTest
    @EnumSource
    void outlines_are_read_back_line_by_line(Outline.Join join) throws IOException {
        List<PageScene> scenes = written(12, Optional.of(outline(0.8, join, false)), Medium.PAPER);
        ReadBackReport report = ReadBack.check(pdf, scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();

        List<PageScene> thinner =
                new Composer(COATED)
                        .composeAll(leaflet(12, Optional.of(outline(0.75, join, false))));
        assertThat(ReadBack.check(pdf, thinner, Medium.PAPER, COATED, Progress.NONE).pages())
                .allSatisfy(page ->
                        assertThat(page.problems())
                                .anyMatch(each -> each.contains("do not have their outline"))
                                .anyMatch(each -> each.contains("lines are in the file")));
    }

    @ParameterizedTest
    @EnumSource
    void outlines_are_not_read_as_text_again(Medium medium) throws IOException {
        written(0, Optional.empty(), medium);
        String plain = Programs.run("pdftotext", pdf.toString(), "-").output();
        Publication thin = leaflet(0, Optional.of(outline(0.5, Outline.Join.ROUND, true)));
        Publication small =
                thin.withLooks(
                        thin.looks().stream().map(look -> look.withSize(Length.pt(10))).toList());
        pdf = folder.resolve("outlined.pdf");
        PdfWriter.write(
                "Outlined",
                new Composer(COATED).composeAll(small),
                medium,
                COATED,
                Instant.EPOCH,
                pdf,
                Progress.NONE);
        assertThat(Programs.run("pdftotext", pdf.toString(), "-").output())
                .contains("waffles")
                .isEqualTo(plain);
    }

    @ParameterizedTest
    @CsvSource({"ROUND, false, 0", "MITER, false, 33", "BEVEL, true, -90", "MITER, true, 0"})
    void ghostscript_draws_outlines_where_yewberry_does(
            Outline.Join join, boolean centered, double degrees) throws IOException {
        List<PageScene> scenes =
                written(degrees, Optional.of(outline(1.4, join, centered)), Medium.PAPER);
        nearGhostscript(scenes);
    }

    /**
     * Within the letters, and away from their edges, where each smooths in its own way: ghostscript
     * draws the file with the press condition it names.
     */
    @ParameterizedTest
    @ValueSource(doubles = {17, -123.4})
    void ghostscript_draws_the_letters_where_yewberry_does(double degrees) throws IOException {
        nearGhostscript(written(degrees, Medium.PAPER));
    }

    private void nearGhostscript(List<PageScene> scenes) throws IOException {
        List<BufferedImage> theirs = Ghostscript.pages(pdf, PPI);
        for (int i = 0; i < scenes.size(); i++) {
            PageScene scene = scenes.get(i);
            Rect bleed = scene.boxes().bleed();
            BufferedImage ours =
                    PageRaster.page(scene, View.designed(Medium.PAPER, COATED), bleed, PPI);
            Ghostscript.agrees(
                    ours, theirs.get(i), inked(scene, ours.getWidth(), ours.getHeight()));
        }
    }

    /** Of each pixel how much letters and outlines cover, 255 for all of it. */
    private static byte[] inked(PageScene scene, int width, int height) {
        byte[] inked = new byte[width * height];
        for (Item.Lettering run : scene.on(Medium.PAPER).letters()) {
            for (Item.Line line : run.letters().lines()) {
                for (Segment.Glyph glyph : line.glyphs()) {
                    Coverage.of(run, line, glyph, scene.boxes().bleed(), PPI / 72.0, width, height)
                            .forEach((at, part) -> inked[at] = (byte) Math.round(part * 255));
                }
            }
        }
        return inked;
    }

    /** Poppler says where each word begins, from the top left of the page. */
    @Test
    void poppler_finds_upright_words_where_they_were_set() throws IOException {
        List<PageScene> scenes = written(0, Medium.PAPER);
        List<Double> expected = new ArrayList<>();
        for (Item.GlyphRun run : scenes.getFirst().text()) {
            for (Item.Line line : run.lines()) {
                boolean begins = true;
                for (Segment.Glyph glyph : line.glyphs()) {
                    boolean space = glyph.text().isBlank();
                    if (!space && begins) {
                        expected.add(line.x() + glyph.x() - scenes.getFirst().boxes().bleed().x());
                    }
                    begins = space;
                }
            }
        }
        List<Double> found = words(1).stream().map(word -> word[0]).toList();
        assertThat(found).hasSameSizeAs(expected);
        for (int i = 0; i < found.size(); i++) {
            assertThat(found.get(i)).as("word " + i).isCloseTo(expected.get(i), within(0.05));
        }
    }

    /** A word that is rotated by a quarter reads downward from where its first letter stands. */
    @Test
    void poppler_finds_rotated_words_where_they_were_set() throws IOException {
        PageScene scene = written(90, Medium.PAPER).getFirst();
        Rect bleed = scene.boxes().bleed();
        Item.GlyphRun run = scene.text().getFirst();
        AffineTransform place =
                run.place(run.lines().getFirst(), run.lines().getFirst().glyphs().getFirst());
        double[] first = words(1).getFirst();
        assertThat(first[1]).isCloseTo(place.getTranslateY() - bleed.y(), within(0.05));
        assertThat(place.getTranslateX() - bleed.x()).isBetween(first[0], first[2]);
        assertThat(Programs.run("pdftotext", "-l", "1", pdf.toString(), "-").output())
                .contains("waffles");
    }

    /** Left, top, right and bottom of each word of a page, in the order of the file. */
    private List<double[]> words(int page) {
        String number = String.valueOf(page);
        String xml =
                Programs.run("pdftotext", "-bbox", "-f", number, "-l", number, pdf.toString(), "-")
                        .output();
        return Pattern.compile(
                        "<word xMin=\"([\\d.]+)\" yMin=\"([\\d.]+)\" xMax=\"([\\d.]+)\" yMax=\"([\\d.]+)\"")
                .matcher(xml)
                .results()
                .map(LetteringTest::numbers)
                .toList();
    }

    private static double[] numbers(MatchResult found) {
        double[] numbers = new double[found.groupCount()];
        for (int i = 0; i < numbers.length; i++) {
            numbers[i] = Double.parseDouble(found.group(i + 1));
        }
        return numbers;
    }
}
