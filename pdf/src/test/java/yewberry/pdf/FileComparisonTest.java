package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.function.UnaryOperator;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.FileComparison;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.pdf.proof.ReadBackReport.OtherPage;
import yewberry.pdf.proof.ReadBackReport.PageReport;

/** Two files against each other: what was changed with PDFBox and qpdf, and nothing else. */
class FileComparisonTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final List<String> SPOTS = List.of("Lantern");

    @TempDir Path folder;

    private Path written(long seed, PdfProfile profile) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        Path file = folder.resolve("guide %d %s.pdf".formatted(seed, profile.hashCode()));
        PdfWriter.write(
                PdfOutput.of(
                        publication, guide.scenes(publication), profile, COATED, Instant.EPOCH),
                file,
                Progress.NONE);
        return file;
    }

    private ReadBackReport compared(Path first, Path second) throws IOException {
        return FileComparison.of(first, second, SPOTS, COATED, Progress.NONE);
    }

    private interface Change {
        void to(PDDocument document) throws IOException;
    }

    private Path changed(Path file, Change change) throws IOException {
        Path changed = folder.resolve("changed.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            change.to(document);
            document.save(changed.toFile());
        }
        return changed;
    }

    /** With the operators of its first page in plain text and written otherwise. */
    private Path rewritten(Path file, UnaryOperator<String> change) throws IOException {
        return changed(
                file,
                document -> {
                    PDPage page = document.getPage(0);
                    String content;
                    try (var in = page.getContents()) {
                        content = new String(in.readAllBytes(), StandardCharsets.ISO_8859_1);
                    }
                    String now = change.apply(content);
                    assertThat(now).isNotEqualTo(content);
                    var stream = new org.apache.pdfbox.pdmodel.common.PDStream(document);
                    try (var out = stream.createOutputStream()) {
                        out.write(now.getBytes(StandardCharsets.ISO_8859_1));
                    }
                    page.setContents(stream);
                });
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void a_file_and_the_same_written_otherwise_are_the_same(long seed) throws IOException {
        Path file = written(seed, seed % 2 == 0 ? PdfProfile.PRESS : PdfProfile.READING);
        Path other = folder.resolve("other.pdf");
        Programs.run("qpdf", "--qdf", file.toString(), other.toString());
        assertThat(Files.size(other)).isNotEqualTo(Files.size(file));
        ReadBackReport report = compared(file, other);
        assertThat(report.matches()).as(report.toString()).isTrue();
        assertThat(report.pages()).allSatisfy(page -> assertThat(page.other()).isPresent());
    }

    /** What was sent as a reading PDF and what as a press PDF are the same in colour and text. */
    @Test
    void profiles_that_state_other_colours_are_compared_as_they_are_seen() throws IOException {
        ReadBackReport report = compared(written(6, PdfProfile.ALL), written(6, PdfProfile.PRESS));
        assertThat(report.matches()).as(report.toString()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({"1 0 0 1 3 0, 3 mm to the right", "1 0 0 1 0 0.4, 0.14 mm up"})
    void letters_that_moved_are_told(String matrix, String how) throws IOException {
        Path file = written(1, PdfProfile.READING);
        PageReport page =
                compared(file, rewritten(file, content -> matrix + " cm\n" + content))
                        .pages()
                        .getFirst();
        assertThat(page.matches()).as(how).isFalse();
        assertThat(page.problems().getFirst()).contains("letters stand elsewhere, from “");
    }

    @Test
    void another_colour_is_told_with_the_plate() throws IOException {
        Path file = written(2, PdfProfile.PRESS);
        ReadBackReport report =
                compared(
                        file,
                        rewritten(file, content -> content + "\nq 0 1 0 0 k 9 30 90 70 re f Q\n"));
        PageReport page = report.pages().getFirst();
        assertThat(page.painted().matches()).isFalse();
        assertThat(page.painted().picture()).isPresent();
        assertThat(page.painted().plate()).isNotEqualTo("Lantern");
        assertThat(report.wrong()).containsExactly(1);
    }

    @Test
    void words_that_read_otherwise_are_told() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path other = written(5, PdfProfile.READING);
        assertThat(compared(file, other).pages().getFirst().problems())
                .anyMatch(problem -> problem.contains("in the second file"));
    }

    @Test
    void pages_that_only_one_of_them_has_are_told() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path shorter = changed(file, document -> document.removePage(0));
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            assertThat(document.getNumberOfPages()).isGreaterThan(1);
        }
        assertThat(compared(file, shorter).problems())
                .containsExactly("Page 1 is only in the first file.");
        assertThat(compared(shorter, file).problems())
                .containsExactly("Page 1 is only in the second file.");
        assertThat(compared(file, shorter).wrong()).isEmpty();
    }

    private static PDPage blank(PDDocument document) {
        PDPage like = document.getPage(0);
        PDPage blank = new PDPage(like.getMediaBox());
        blank.setTrimBox(like.getTrimBox());
        blank.setBleedBox(like.getBleedBox());
        return blank;
    }

    /** All after it have other numbers, and are the same. */
    @Test
    void a_page_that_was_put_in_is_the_only_one_that_is_told() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path longer =
                changed(
                        file,
                        document ->
                                document.getPages()
                                        .insertBefore(blank(document), document.getPage(1)));
        ReadBackReport report = compared(file, longer);
        assertThat(report.problems()).containsExactly("Page 2 is only in the second file.");
        assertThat(report.wrong()).isEmpty();
        assertThat(report.pages().get(1).number()).isEqualTo(3);
        assertThat(report.pages().get(1).other()).contains(new OtherPage(2, "2"));
    }

    @Test
    void a_page_that_was_moved_is_known_again() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path moved =
                changed(
                        file,
                        document -> {
                            PDPage last = document.getPage(document.getNumberOfPages() - 1);
                            document.getPages().remove(last);
                            document.getPages().insertBefore(last, document.getPage(0));
                        });
        ReadBackReport report = compared(file, moved);
        assertThat(report.problems()).isEmpty();
        assertThat(report.wrong()).isEmpty();
        assertThat(report.pages().getFirst().other().orElseThrow().number()).isGreaterThan(1);
    }

    /** What was written anew is found by the words that it kept, not by its number. */
    @Test
    void a_page_that_was_changed_and_has_another_number_is_still_compared() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path recolored = folder.resolve("recolored.pdf");
        Files.move(
                rewritten(file, content -> content + "\nq 0 1 0 rg 9 30 90 70 re f Q\n"),
                recolored);
        Path other =
                changed(
                        recolored,
                        document ->
                                document.getPages()
                                        .insertBefore(blank(document), document.getPage(0)));
        ReadBackReport report = compared(file, other);
        assertThat(report.problems()).containsExactly("Page 1 is only in the second file.");
        assertThat(report.wrong()).containsExactly(2);
        assertThat(report.pages().getFirst().other()).contains(new OtherPage(1, "1"));
    }

    /** Poppler draws light as it is; away from edges. */
    @Test
    void a_picture_of_a_page_is_what_poppler_draws() throws IOException {
        Path file = written(1, PdfProfile.READING);
        BufferedImage own = FileComparison.picture(file, 1, 420, COATED);
        Path drawn = folder.resolve("drawn");
        Programs.run(
                "pdftoppm",
                "-r",
                "72",
                "-f",
                "1",
                "-l",
                "1",
                "-png",
                "-singlefile",
                "-cropbox",
                file.toString(),
                drawn.toString());
        BufferedImage poppler = ImageIO.read(folder.resolve("drawn.png").toFile());
        assertThat(own.getHeight()).isBetween(poppler.getHeight() - 1, poppler.getHeight() + 1);
        int compared = 0;
        for (int y = 1; y < Math.min(own.getHeight(), poppler.getHeight()) - 1; y++) {
            for (int x = 1; x < Math.min(own.getWidth(), poppler.getWidth()) - 1; x++) {
                if (isFlat(poppler, x, y) && isFlat(own, x, y)) {
                    compared++;
                    for (int shift = 0; shift < 24; shift += 8) {
                        assertThat(own.getRGB(x, y) >> shift & 255)
                                .isCloseTo(poppler.getRGB(x, y) >> shift & 255, within(2));
                    }
                }
            }
        }
        assertThat(compared).isGreaterThan(own.getWidth() * own.getHeight() / 2);
    }

    private static boolean isFlat(BufferedImage image, int x, int y) {
        for (int row = y - 1; row <= y + 1; row++) {
            for (int column = x - 1; column <= x + 1; column++) {
                if (image.getRGB(column, row) != image.getRGB(x, y)) {
                    return false;
                }
            }
        }
        return true;
    }

    @Test
    void another_size_is_told() throws IOException {
        Path file = written(1, PdfProfile.READING);
        Path smaller =
                changed(
                        file,
                        document -> {
                            PDPage page = document.getPage(0);
                            PDRectangle trim = page.getTrimBox();
                            page.setTrimBox(
                                    new PDRectangle(
                                            trim.getLowerLeftX(),
                                            trim.getLowerLeftY() + 20,
                                            trim.getWidth(),
                                            trim.getHeight() - 20));
                        });
        PageReport page = compared(file, smaller).pages().getFirst();
        assertThat(page.boxes().getFirst().matches()).isFalse();
        assertThat(page.painted().matches()).as("from the same corner").isTrue();
    }
}
