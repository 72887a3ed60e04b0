package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.output.Node;
import yewberry.core.output.PdfProfile;
import yewberry.core.output.Structure;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Files with structure and claims, of publications of every make. */
class TaggedPdfTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static final Pattern WORDS = Pattern.compile("\\s+");
    private static final Pattern QUOTED = Pattern.compile("\\s*\"(.*)\"");

    @TempDir Path folder;

    static Stream<Long> seeds() {
        return Sweep.seeds(40);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void they_hold_what_they_claim(long seed) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        var scenes = guide.scenes(publication);
        // each in ink or in light
        PdfProfile inked = PdfProfile.ALL.with(Optional.empty(), false, seed % 4 == 1);
        PdfProfile profile = seed % 2 == 0 ? PdfProfile.READING : inked;
        PdfOutput output = PdfOutput.of(publication, scenes, profile, COATED, Instant.EPOCH);
        Path file = folder.resolve("guide.pdf");
        PdfWriter.write(output, file, Progress.NONE);
        assertThat(VeraPdf.broken(file, "2a")).isEmpty();
        assertThat(VeraPdf.broken(file, "ua1")).isEmpty();
        assertThat(Programs.run("qpdf", "--check", file.toString()).status()).isZero();
        ReadBackReport report = ReadBack.check(file, output, Progress.NONE);
        assertThat(report.problems()).isEmpty();
        assertThat(report.pages()).allSatisfy(page -> assertThat(page.problems()).isEmpty());
        assertThat(report.matches()).as(report.toString()).isTrue();
        List<String> words = words(output);
        List<String> byPoppler = wordsByPoppler(file);
        if (lettersReadAsOthers(file)) {
            // poppler takes the end of a letter's ActualText for the end of what is marked around
            // it
            assertThat(byPoppler).isNotEmpty();
        } else {
            assertThat(byPoppler).isEqualTo(words);
        }
        assertThat(Programs.run("pdffonts", file.toString()).output().lines().skip(2))
                .as("embedded, subset and readable")
                .isNotEmpty()
                .allMatch(font -> font.matches("[A-Z]{6}\\+.* yes yes yes .*"));
    }

    /**
     * What poppler reads by the structure alone, without what stands in place of pictures. It reads
     * nothing beside a page, so that words that run off are given larger pages.
     */
    private List<String> wordsByPoppler(Path file) throws IOException {
        Path large = folder.resolve("large.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            for (PDPage page : document.getPages()) {
                page.setMediaBox(new PDRectangle(-5_000, -5_000, 10_000, 10_000));
                page.setCropBox(page.getMediaBox());
            }
            document.save(large.toFile());
        }
        return Programs.run("pdfinfo", "-struct-text", large.toString())
                .output()
                .lines()
                .map(QUOTED::matcher)
                .filter(Matcher::matches)
                .flatMap(line -> WORDS.splitAsStream(line.group(1).strip()))
                .filter(word -> !word.isEmpty())
                .toList();
    }

    private boolean lettersReadAsOthers(Path file) throws IOException {
        Path plain = folder.resolve("plain.pdf");
        Programs.run("qpdf", "--qdf", file.toString(), plain.toString());
        return Files.readString(plain, StandardCharsets.ISO_8859_1).contains("/ActualText");
    }

    /** The words of the publication in the order in which it is read. */
    private static List<String> words(PdfOutput output) {
        Structure structure = output.structure().orElseThrow();
        for (int page = 0; page < output.scenes().size(); page++) {
            output.places(structure, page, output.scenes().get(page));
        }
        List<String> words = new ArrayList<>();
        collect(structure.root(), words);
        return words;
    }

    private static void collect(Node node, List<String> words) {
        for (Node.Part part : node.parts()) {
            switch (part) {
                case Node.Part.Within(Node within) -> collect(within, words);
                case Node.Part.Content content ->
                        WORDS.splitAsStream(content.text().strip())
                                .filter(word -> !word.isEmpty())
                                .forEach(words::add);
            }
        }
    }
}
