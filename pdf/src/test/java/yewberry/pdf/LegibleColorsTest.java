package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.Coverage;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Words that chose their colours, as other programs read and draw them. */
class LegibleColorsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int PPI = 300;

    @TempDir Path folder;

    /** On each page an upright band goes through all lines, dark beside bare paper. */
    private static Publication leaflet() {
        Publication leaflet = Leaflet.publication();
        Swatch reading =
                new Swatch(
                        new UUID(1, 1),
                        "Reading",
                        new Definition.Legible(
                                List.of(Leaflet.INK.id(), Leaflet.PALE.id()), List.of()));
        return leaflet.withSwatches(
                        Stream.concat(leaflet.swatches().stream(), Stream.of(reading)).toList())
                .withLooks(
                        leaflet.looks().stream()
                                .map(look ->
                                        look.withOverprint(Look.Overprint.NEVER)
                                                .withColor(Tinted.full(reading.id())))
                                .toList())
                .withPages(
                        leaflet.pages().stream()
                                .map(page ->
                                        page.withLayer(
                                                new Layer(
                                                        List.of(band(page.id())),
                                                        page.layer().frames())))
                                .toList());
    }

    private static Background band(UUID page) {
        return new Background(
                UUID.nameUUIDFromBytes(("band " + page).getBytes()),
                Sides.BOTH,
                new Area.Band(Edge.RIGHT, Length.mm(52)),
                new Fill.Solid(Tinted.full(Leaflet.NIGHT.id())));
    }

    private List<PageScene> written() throws IOException {
        List<PageScene> scenes = new Composer(COATED).composeAll(leaflet());
        PdfWriter.write(
                "Chosen", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf(), Progress.NONE);
        return scenes;
    }

    private Path pdf() {
        return folder.resolve("chosen.pdf");
    }

    @Test
    void the_file_is_read_back_and_reads_as_it_was_written() throws IOException {
        List<PageScene> scenes = written();
        assertThat(scenes.getFirst().text()).hasSizeGreaterThan(6);
        ReadBackReport report = ReadBack.check(pdf(), scenes, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        String read =
                Programs.run("pdftotext", "-l", "1", pdf().toString(), "-")
                        .output()
                        .replaceAll("\\s+", " ");
        assertThat(read).contains(Leaflet.WORDS + " " + Leaflet.WORDS);
    }

    /**
     * The contrast (WCAG 2.2, 1.4.3) worked out anew from ghostscript's drawing: of the letters of
     * a stretch with what is around them, for each that the edge of the band does not go through.
     * What rounding costs in the drawing is a tenth at most.
     */
    @Test
    void ghostscript_draws_words_that_can_be_read() throws IOException {
        List<PageScene> scenes = written();
        List<BufferedImage> drawn = Ghostscript.pages(pdf(), PPI);
        List<Double> ratios = new ArrayList<>();
        for (int i = 0; i < scenes.size(); i++) {
            PageScene scene = scenes.get(i);
            double edge = scene.boxes().trim().right() - 52 * 72 / 25.4;
            for (Item.GlyphRun run : scene.text()) {
                for (Item.Line line : run.lines()) {
                    Rect box = run.box(line);
                    if (box.right() < edge - 1 || box.x() > edge + 1) {
                        ratio(run, line, scene, drawn.get(i)).ifPresent(ratios::add);
                    }
                }
            }
        }
        assertThat(ratios).hasSizeGreaterThan(15).allMatch(each -> each >= 4.4);
        Set<String> taken =
                scenes.stream()
                        .flatMap(scene -> scene.text().stream())
                        .map(run -> run.paint().name())
                        .collect(Collectors.toSet());
        assertThat(taken).containsExactlyInAnyOrder("Ink", "Pale");
    }

    private static Optional<Double> ratio(
            Item.GlyphRun run, Item.Line line, PageScene scene, BufferedImage drawn) {
        Rect bleed = scene.boxes().bleed();
        byte[] ink = new byte[drawn.getWidth() * drawn.getHeight()];
        for (Segment.Glyph glyph : line.glyphs()) {
            Coverage.of(run, line, glyph, bleed, PPI / 72.0, drawn.getWidth(), drawn.getHeight())
                    .forEach((at, part) -> ink[at] = (byte) Math.round(part * 255));
        }
        Rect box = run.box(line);
        int width = drawn.getWidth();
        double letters = 0;
        double around = 0;
        int inside = 0;
        int outside = 0;
        for (int y = pixel(box.y(), bleed.y()); y < pixel(box.bottom(), bleed.y()); y++) {
            for (int x = pixel(box.x(), bleed.x()); x < pixel(box.right(), bleed.x()); x++) {
                double light = Contrast.luminance(drawn.getRGB(x, y) & 0xffffff);
                if (Ghostscript.isInside(ink, width, x, y)) {
                    letters += light;
                    inside++;
                } else if (isClear(ink, width, x, y)) {
                    around += light;
                    outside++;
                }
            }
        }
        return inside == 0 || outside == 0
                ? Optional.empty()
                : Optional.of(Contrast.ratio(letters / inside, around / outside));
    }

    private static int pixel(double at, double from) {
        return (int) Math.round((at - from) * PPI / 72);
    }

    /** Two pixels away from all ink of the line. */
    private static boolean isClear(byte[] ink, int width, int x, int y) {
        for (int dy = -2; dy <= 2; dy++) {
            for (int dx = -2; dx <= 2; dx++) {
                if (ink[(y + dy) * width + x + dx] != 0) {
                    return false;
                }
            }
        }
        return true;
    }
}
