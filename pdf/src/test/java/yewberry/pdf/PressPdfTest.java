package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Swatch;
import yewberry.core.scene.PageScene;

/** The press PDF, held against qpdf, poppler and ghostscript. */
class PressPdfTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final List<PageScene> SCENES = Leaflet.scenes();

    @TempDir static Path folder;

    private static Path pdf;
    private static List<BufferedImage> seen = List.of();

    @BeforeAll
    static void write() throws IOException {
        pdf = folder.resolve("leaflet.pdf");
        PdfWriter.write("Leaflet", SCENES, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
    }

    private static Programs.Result ran(String... command) {
        Programs.Result result = Programs.run(command);
        assertThat(result.status()).as(result.output()).isZero();
        return result;
    }

    @Test
    void qpdf_finds_nothing_wrong() {
        assertThat(ran("qpdf", "--check", pdf.toString()).output())
                .contains("No syntax or stream encoding errors found");
    }

    /** The boxes as poppler's pdfinfo reads them: left, bottom, right, top in points. */
    @Test
    void pdfinfo_reads_the_page_boxes() {
        String output = ran("pdfinfo", "-box", "-f", "1", "-l", "2", pdf.toString()).output();
        double bleed = 3 * 72 / 25.4;
        double width = 105 * 72 / 25.4;
        double height = 148 * 72 / 25.4;
        // page 1 is a right-hand page: no bleed at its left
        assertThat(box(output, 1, "MediaBox"))
                .containsExactly(0, 0, width + bleed, height + 2 * bleed);
        assertThat(box(output, 1, "BleedBox"))
                .containsExactly(0, 0, width + bleed, height + 2 * bleed);
        assertThat(box(output, 1, "TrimBox")).containsExactly(0, bleed, width, height + bleed);
        assertThat(box(output, 2, "TrimBox"))
                .containsExactly(bleed, bleed, width + bleed, height + bleed);
        assertThat(output).contains("Pages:           3").contains("PDF version:     1.7");
    }

    private static org.assertj.core.api.AbstractDoubleArrayAssert<?> assertThat(double[] box) {
        return org.assertj.core.api.Assertions.assertThat(box).usingComparatorWithPrecision(0.011);
    }

    private static <T> org.assertj.core.api.ListAssert<T> assertThat(List<T> list) {
        return org.assertj.core.api.Assertions.assertThat(list);
    }

    private static org.assertj.core.api.AbstractStringAssert<?> assertThat(String text) {
        return org.assertj.core.api.Assertions.assertThat(text);
    }

    private static org.assertj.core.api.AbstractIntegerAssert<?> assertThat(int number) {
        return org.assertj.core.api.Assertions.assertThat(number);
    }

    private static double[] box(String output, int page, String name) {
        var match =
                Pattern.compile("Page\\s+" + page + " " + name + ":((?:\\s+[-\\d.]+){4})")
                        .matcher(output);
        if (!match.find()) {
            throw new AssertionError(name + " of page " + page + " is not in:\n" + output);
        }
        return Pattern.compile("\\s+")
                .splitAsStream(match.group(1).strip())
                .mapToDouble(Double::parseDouble)
                .toArray();
    }

    @Test
    void pdffonts_finds_every_font_embedded_subset_and_readable() {
        List<String> fonts = ran("pdffonts", pdf.toString()).output().lines().skip(2).toList();
        assertThat(fonts).hasSize(1);
        assertThat(fonts.getFirst())
                .containsPattern("[A-Z]{6}\\+SourceSerif4")
                .containsPattern("CID TrueType\\s+Identity-H\\s+yes yes yes");
    }

    @Test
    void pdftotext_reads_the_words_ligatures_and_all() {
        String text = ran("pdftotext", "-l", "1", pdf.toString(), "-").output();
        String flowing = text.replaceAll("\\s+", " ").strip();
        assertThat(flowing)
                .isEqualTo(String.join(" ", Leaflet.WORDS, Leaflet.WORDS, Leaflet.WORDS));
    }

    /**
     * Ghostscript draws with the file's own output intent; each corner of the bleed has to have the
     * colour that our picture gives it. Sampled a pixel inside; tolerance 4 of 255.
     */
    @ParameterizedTest
    @CsvSource({
        "1, 0, 0, night",
        "1, 1, 0, night",
        "1, 0, 1, signal",
        "1, 1, 1, signal",
        "2, 0, 0, signal",
        "2, 1, 0, none",
        "2, 0, 1, signal",
        "2, 1, 1, none",
        "3, 0, 0, none",
    })
    void ghostscript_draws_the_corners_of_the_bleed(int page, int right, int bottom, String fill)
            throws IOException {
        BufferedImage image = seen().get(page - 1);
        int x = right == 0 ? 1 : image.getWidth() - 2;
        int y = bottom == 0 ? 1 : image.getHeight() - 2;
        int pixel = image.getRGB(x, y);
        Rgb expected =
                switch (fill) {
                    case "night" -> screen(Leaflet.NIGHT);
                    case "signal" -> screen(Leaflet.SIGNAL);
                    default -> Rgb.WHITE;
                };
        within(pixel >> 16 & 0xff, expected.red());
        within(pixel >> 8 & 0xff, expected.green());
        within(pixel & 0xff, expected.blue());
    }

    /** Drawn once for all corners. */
    private static List<BufferedImage> seen() throws IOException {
        if (seen.isEmpty()) {
            seen = Ghostscript.pages(pdf, 96);
        }
        return seen;
    }

    private static Rgb screen(Swatch swatch) {
        return COATED.toScreen(COATED.toInk(((Definition.Plain) swatch.definition()).color()));
    }

    private static void within(int found, int expected) {
        assertThat(found).isCloseTo(expected, org.assertj.core.api.Assertions.within(4));
    }

    @Test
    void the_press_condition_is_named_and_embedded_and_no_standard_is_claimed() throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            PDOutputIntent intent = document.getDocumentCatalog().getOutputIntents().getFirst();
            assertThat(intent.getCOSObject().getNameAsString(COSName.S)).isEqualTo("GTS_PDFX");
            assertThat(intent.getOutputConditionIdentifier()).isEqualTo("FOGRA39");
            byte[] profile = intent.getDestOutputIntent().createInputStream().readAllBytes();
            org.assertj.core.api.Assertions.assertThat(profile).isEqualTo(COATED.profile());
            assertThat(document.getDocumentInformation().getMetadataKeys().toString())
                    .doesNotContain("GTS_PDFXVersion");
        }
    }

    @Test
    void backgrounds_are_artifacts_in_cmyk_and_nothing_else_is_used() throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            String content =
                    new String(
                            document.getPage(0).getContents().readAllBytes(),
                            StandardCharsets.US_ASCII);
            assertThat(content.split("/Artifact <</Type /Background>> BDC", -1).length - 1)
                    .isEqualTo(2);
            assertThat(content).contains("1 0.86 0.42 0.52 k");
            assertThat(content).doesNotContainPattern("(?m)\\b(rg|RG|g|G|cs|scn)$");
        }
    }

    @Test
    void writing_can_be_cancelled() {
        Progress cancelling =
                (done, all) -> {
                    if (done == 1) {
                        throw new CancellationException();
                    }
                };
        assertThatThrownBy(() ->
                        PdfWriter.write(
                                "x",
                                SCENES,
                                Medium.PAPER,
                                COATED,
                                Instant.EPOCH,
                                folder.resolve("cancelled.pdf"),
                                cancelling))
                .isInstanceOf(CancellationException.class);
    }
}
