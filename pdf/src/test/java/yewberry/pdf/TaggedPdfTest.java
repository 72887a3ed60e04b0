package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;

/** Files with structure and claims, of publications of every make. */
class TaggedPdfTest {
    private static final PressCondition COATED = PressCondition.coated();

    @TempDir Path folder;

    static Stream<Long> seeds() {
        return LongStream.range(0, 40).boxed();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void they_hold_what_they_claim(long seed) throws IOException {
        SeededGuide guide = new SeededGuide(seed);
        Publication publication = guide.publication();
        var scenes = guide.scenes(publication);
        // each in ink or in light
        PdfProfile profile = seed % 2 == 0 ? PdfProfile.READING : PdfProfile.ALL;
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
    }
}
