package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.Claim;
import yewberry.core.output.Loss;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.PlacedPages;
import yewberry.pdf.proof.ReadBack;

/** A page of a PDF that is placed in a file that claims more than it holds. */
class PlacedPagesTest {
    private static final PressCondition COATED = PressCondition.coated();

    @TempDir Path folder;

    private final Map<String, byte[]> files = new HashMap<>();
    private final PdfDocuments documents = new PdfDocuments();

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** Red words in a font that is not in the file. */
    private static byte[] placed() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(200, 100));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0.8f, 0.1f, 0.1f);
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 20);
                content.newLineAtOffset(20, 40);
                content.showText("Tide table");
                content.endText();
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private Publication publication() throws IOException {
        byte[] file = placed();
        files.put("Tides", file);
        Asset tides =
                new Asset(id("tides"), "Tides", "Tides", new Intake(documents).look("Tides", file));
        Frame frame =
                new PictureFrame(
                                id("frame"),
                                Sides.BOTH,
                                new Box(Length.mm(20), Length.mm(90), Length.mm(60), Length.mm(30)),
                                PictureFrame.Level.CONTENT,
                                new Fill.PdfPage(tides.id(), 1, Placing.COVER))
                        .withMeaning(new PictureFrame.Meaning(false, "When the tide is high"));
        Publication leaflet = Leaflet.publication();
        return leaflet.withAssets(List.of(tides))
                .withPages(
                        leaflet.pages().stream()
                                .map(page ->
                                        page.withLayer(
                                                page.layer()
                                                        .withFrames(
                                                                List.of(
                                                                        page.layer()
                                                                                .frames()
                                                                                .getFirst(),
                                                                        frame))))
                                .limit(1)
                                .toList());
    }

    private List<PageScene> scenes(Publication publication) {
        return new Composer(COATED, new Pictures(files::get, documents)).composeAll(publication);
    }

    @Test
    void what_it_breaks_is_named_before_the_file_is_written() throws IOException {
        Publication publication = publication();
        List<Loss> losses = PlacedPages.breaking(publication, scenes(publication), PdfProfile.ALL);
        assertThat(losses).allSatisfy(loss -> assertThat(loss.pages()).containsExactly(1));
        assertThat(losses.stream().map(Loss::text))
                .anySatisfy(text -> assertThat(text).contains("“Tides”").contains("a font is not"))
                .anySatisfy(
                        text -> assertThat(text).contains("colours that its profile is not for"));
        assertThat(losses.stream().map(Loss::breaks))
                .contains(Optional.of(Claim.PDF_X_4), Optional.of(Claim.PDF_A_2A));
        assertThat(
                        PlacedPages.breaking(
                                publication,
                                scenes(publication),
                                PdfProfile.ALL.with(Optional.empty(), true, false)))
                .isEmpty();
    }

    /** Which spot inks it has is not known before; a color with all of its ink takes none away. */
    @ParameterizedTest
    @CsvSource({"75, true", "100, false"})
    void what_text_that_is_blended_takes_from_it_is_told(double tint, boolean told)
            throws IOException {
        Publication publication = publication();
        UUID tides = publication.assets().getFirst().id();
        Background behind =
                new Background(
                        id("behind"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.PdfPage(tides, 1, Placing.COVER));
        Publication over =
                publication
                        .withLooks(
                                publication.looks().stream()
                                        .map(look ->
                                                look.withColor(new Tinted(Leaflet.INK.id(), tint))
                                                        .withOverprint(Look.Overprint.ALWAYS))
                                        .toList())
                        .withPages(
                                publication.pages().stream()
                                        .map(page ->
                                                page.withLayer(
                                                        new Layer(
                                                                List.of(behind),
                                                                page.layer().frames())))
                                        .toList());
        OutputSettings settings = OutputSettings.of(OutputKind.PRESS_PDF);
        assertThat(Loss.of(over, scenes(over), settings.withOverprintShown(true)))
                .extracting(Loss::text)
                .filteredOn(text -> text.contains("a spot ink of its own is left out"))
                .hasSize(told ? 1 : 0);
        assertThat(Loss.of(over, scenes(over), settings))
                .extracting(Loss::text)
                .noneMatch(text -> text.contains("blended"));
    }

    /** By veraPDF: as it is it breaks both, as a picture neither. */
    @Test
    void as_a_picture_with_its_text_it_breaks_nothing() throws IOException {
        Publication publication = publication();
        for (boolean flattened : new boolean[] {false, true}) {
            PdfOutput output =
                    PdfOutput.of(
                            publication,
                            scenes(publication),
                            PdfProfile.ALL.with(Optional.empty(), flattened, false),
                            COATED,
                            Instant.EPOCH);
            Path file = folder.resolve("placed-%s.pdf".formatted(flattened));
            PdfWriter.write(output, file, Progress.NONE);
            assertThat(VeraPdf.broken(file, "2a").isEmpty()).isEqualTo(flattened);
            assertThat(VeraPdf.broken(file, "ua1").isEmpty()).isEqualTo(flattened);
            assertThat(ReadBack.check(file, output, Progress.NONE).matches()).isEqualTo(flattened);
        }
        assertThat(
                        Programs.run("qpdf", "--json", folder.resolve("placed-true.pdf").toString())
                                .output())
                .contains("\"/Alt\": \"u:When the tide is high\"");
    }
}
