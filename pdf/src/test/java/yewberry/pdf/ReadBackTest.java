package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.scene.PageScene;
import yewberry.pdf.ReadBackReport.CornerCheck;
import yewberry.pdf.ReadBackReport.PageReport;

/** What is done to the file behind its back has to show in the read-back. */
class ReadBackTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final List<PageScene> SCENES = Leaflet.scenes();

    @TempDir Path folder;

    private Path pdf;

    private interface Harm {
        void to(PDDocument document) throws IOException;
    }

    @BeforeEach
    void write() throws IOException {
        pdf = folder.resolve("leaflet.pdf");
        PressPdf.write("Leaflet", SCENES, COATED, Instant.EPOCH, pdf, Progress.NONE);
    }

    private ReadBackReport readBack() throws IOException {
        return ReadBack.check(pdf, SCENES, COATED, Progress.NONE);
    }

    private ReadBackReport after(Harm harm) throws IOException {
        Path changed = folder.resolve("changed.pdf");
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            harm.to(document);
            document.save(changed.toFile());
        }
        return ReadBack.check(changed, SCENES, COATED, Progress.NONE);
    }

    private static Harm content(int page, UnaryOperator<String> change) {
        return document -> {
            PDPage changed = document.getPage(page - 1);
            String old =
                    new String(changed.getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
            String now = change.apply(old);
            assertThat(now).as("the harm changes something").isNotEqualTo(old);
            PDStream stream = new PDStream(document);
            try (OutputStream out = stream.createOutputStream()) {
                out.write(now.getBytes(StandardCharsets.ISO_8859_1));
            }
            changed.setContents(stream);
        };
    }

    private static PageReport page(ReadBackReport report, int number) {
        return report.pages().get(number - 1);
    }

    @Test
    void an_untouched_file_matches_with_every_corner_and_glyph_accounted_for() throws IOException {
        ReadBackReport report = readBack();
        assertThat(report.matches()).isTrue();
        assertThat(report.problems()).isEmpty();
        assertThat(report.pages()).hasSize(3).allMatch(PageReport::matches);
        assertThat(page(report, 1).boxes())
                .extracting("box")
                .containsExactly("MediaBox", "BleedBox", "TrimBox");
        assertThat(page(report, 1).corners())
                .extracting(CornerCheck::corner)
                .containsExactly("top left", "top right", "bottom left", "bottom right");
        assertThat(page(report, 1).corners().getFirst().found()).contains("C100 M86 Y42 K52");
        assertThat(page(report, 2).corners())
                .extracting(corner -> corner.found().isPresent())
                .containsExactly(true, false, true, false);
        assertThat(page(report, 3).corners()).allMatch(corner -> corner.found().isEmpty());
        int glyphs =
                SCENES.get(2).text().stream()
                        .flatMap(run -> run.lines().stream())
                        .mapToInt(line -> line.glyphs().size())
                        .sum();
        assertThat(page(report, 3).textColors())
                .singleElement()
                .satisfies(check -> {
                    assertThat(check.glyphs()).isEqualTo(glyphs).isEqualTo(check.found());
                    assertThat(check.color()).isEqualTo("C0 M0 Y0 K100");
                });
    }

    @Test
    void a_moved_trim_box_is_found() throws IOException {
        ReadBackReport report =
                after(document -> document.getPage(0).setTrimBox(new PDRectangle(5, 5, 100, 100)));
        assertThat(report.matches()).isFalse();
        assertThat(page(report, 1).boxes().get(2).matches()).isFalse();
        assertThat(page(report, 2).matches()).isTrue();
    }

    @Test
    void a_background_that_stops_at_the_trim_is_found() throws IOException {
        // the ground of page 1 shrinks by the bleed at its right and top
        ReadBackReport report =
                after(
                        content(
                                1,
                                text ->
                                        text.replaceFirst(
                                                "0 0 306\\.\\d+ 436\\.\\d+ re",
                                                "0 0 297.6 428 re")));
        assertThat(page(report, 1).matches()).isFalse();
        assertThat(page(report, 1).corners())
                .extracting(CornerCheck::matches)
                .containsExactly(false, false, true, true);
    }

    @Test
    void a_background_in_another_ink_is_found() throws IOException {
        ReadBackReport report =
                after(
                        content(
                                1,
                                text ->
                                        text.replaceFirst(
                                                "1 0\\.86 0\\.42 0\\.52 k", "1 0.86 0.42 0.5 k")));
        assertThat(page(report, 1).corners().getFirst().matches()).isFalse();
        assertThat(page(report, 1).corners().getFirst().found()).contains("C100 M86 Y42 K50");
    }

    @Test
    void a_background_in_no_process_colour_is_found() throws IOException {
        ReadBackReport report =
                after(
                        content(
                                1,
                                text ->
                                        text.replaceFirst(
                                                "1 0\\.86 0\\.42 0\\.52 k", "0 0 0.3 rg")));
        assertThat(page(report, 1).corners().getFirst().matches()).isFalse();
    }

    @Test
    void something_painted_over_a_bare_corner_is_found() throws IOException {
        ReadBackReport report = after(content(3, text -> "q 0 1 0 0 k 0 0 20 20 re f Q\n" + text));
        assertThat(page(report, 3).corners())
                .filteredOn(corner -> !corner.matches())
                .extracting(CornerCheck::corner)
                .containsExactly("bottom left");
    }

    @Test
    void text_in_another_colour_is_found() throws IOException {
        ReadBackReport report =
                after(content(3, text -> text.replaceFirst("0 0 0 1 k", "0 0 0 0.9 k")));
        assertThat(page(report, 3).matches()).isFalse();
        assertThat(page(report, 3).problems())
                .anyMatch(problem -> problem.contains("are not in C0 M0 Y0 K100"));
    }

    @Test
    void black_text_that_no_longer_overprints_is_found() throws IOException {
        ReadBackReport report = after(content(3, text -> text.replaceFirst("/Over gs", "")));
        assertThat(page(report, 3).matches()).isFalse();
        assertThat(page(report, 3).problems())
                .anyMatch(problem -> problem.contains("do not overprint"));
    }

    @Test
    void text_that_moved_is_found() throws IOException {
        ReadBackReport report = after(content(2, text -> "1 0 0 1 0 0.2 cm\n" + text));
        assertThat(page(report, 2).problems())
                .anyMatch(problem -> problem.contains("are not at their place"));
    }

    @Test
    void missing_text_is_found() throws IOException {
        ReadBackReport report = after(content(2, text -> text.replaceFirst("(?s)BT.*?ET", "")));
        assertThat(page(report, 2).matches()).isFalse();
        assertThat(page(report, 2).textColors()).allMatch(check -> check.found() < check.glyphs());
    }

    @Test
    void a_missing_page_and_a_missing_output_intent_are_found() throws IOException {
        assertThat(after(document -> document.removePage(2)).problems())
                .containsExactly("The file has 2 pages instead of 3.");
        ReadBackReport report =
                after(document -> document.getDocumentCatalog().setOutputIntents(List.of()));
        assertThat(report.matches()).isFalse();
        assertThat(report.problems()).singleElement().asString().contains("output intent");
    }
}
