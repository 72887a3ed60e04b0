package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDMetadata;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/** What files claim to hold to, by veraPDF's verdict before and after something was added. */
class ClaimsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Instant NOW = Instant.parse("2026-01-01T00:00:00Z");
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Rgb(190, 220, 255));
    private static final Swatch INK = new Swatch(id("ink"), "Ink", new Rgb(20, 30, 60));

    @TempDir Path folder;

    @BeforeAll
    static void provider() {
        VeraGreenfieldFoundryProvider.initialise();
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static String xmp(String properties) {
        return """
        <?xpacket begin="\ufeff" id="W5M0MpCehiHzreSzNTczkc9d"?>
        <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF
          xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
        <rdf:Description rdf:about="" xmlns:pdfaid="http://www.aiim.org/pdfa/ns/id/"
          xmlns:pdfuaid="http://www.aiim.org/pdfua/ns/id/">%s</rdf:Description>
        </rdf:RDF></x:xmpmeta><?xpacket end="w"?>
        """
                .formatted(properties);
    }

    /**
     * One page with pale words.
     *
     * @param intent whether the profile of its colours is named
     */
    private static byte[] archived(String properties, boolean intent) throws IOException {
        try (PDDocument document = new PDDocument();
                InputStream program =
                        ClaimsTest.class.getResourceAsStream(
                                "/yewberry/fonts/source-sans-3/SourceSans3_400Regular.ttf")) {
            PDPage page = new PDPage(new PDRectangle(240, 180));
            document.addPage(page);
            PDType0Font font = PDType0Font.load(document, program);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0.8f, 0.8f, 0.8f);
                content.beginText();
                content.setFont(font, 18);
                content.newLineAtOffset(30, 90);
                content.showText("Log sheet 7");
                content.endText();
            }
            PDMetadata metadata = new PDMetadata(document);
            metadata.importXMPMetadata(xmp(properties).getBytes(StandardCharsets.UTF_8));
            document.getDocumentCatalog().setMetadata(metadata);
            if (intent) {
                byte[] profile = ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
                PDOutputIntent srgb =
                        new PDOutputIntent(document, new ByteArrayInputStream(profile));
                srgb.setInfo("sRGB");
                srgb.setOutputConditionIdentifier("sRGB");
                document.getDocumentCatalog().addOutputIntent(srgb);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private static final String SECOND =
            "<pdfaid:part>2</pdfaid:part><pdfaid:conformance>B</pdfaid:conformance>";

    private static List<String> failed(byte[] file) {
        try (var parser =
                        Foundries.defaultInstance()
                                .createParser(
                                        new ByteArrayInputStream(file), PDFAFlavour.PDFA_2_B);
                var validator =
                        Foundries.defaultInstance().createValidator(PDFAFlavour.PDFA_2_B, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .map(Object::toString)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    /** A colour behind it, a see-through word over it, and its text in another colour. */
    private PageScene scene(byte[] file) {
        PdfDocuments documents = new PdfDocuments();
        Recolor darker =
                new Recolor(
                        new Rgb(204, 204, 204),
                        0,
                        Set.of(Recolor.What.TEXT),
                        List.of(),
                        Optional.of(Tinted.full(INK.id())));
        Asset asset =
                new Asset(
                        id("asset"),
                        "log",
                        "file",
                        new Intake(documents).look("a.pdf", file),
                        List.of(darker),
                        List.of(
                                new Backing(
                                        UUID.randomUUID(),
                                        1,
                                        new Box(
                                                Length.pt(20),
                                                Length.pt(60),
                                                Length.pt(150),
                                                Length.pt(40)),
                                        Length.pt(3),
                                        Tinted.full(SEA.id()),
                                        60)));
        Background behind =
                new Background(
                        id("behind"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(SEA.id())));
        PictureFrame word =
                new PictureFrame(
                        id("word"),
                        Sides.BOTH,
                        new Box(Length.pt(40), Length.pt(10), Length.pt(90), Length.pt(30)),
                        0,
                        PictureFrame.Level.OVER,
                        new Fill.Word(
                                "Void",
                                "Source Serif 4",
                                700,
                                false,
                                Optional.empty(),
                                Tinted.full(INK.id())),
                        30,
                        BlendMode.NORMAL,
                        Background.GoesTo.BOTH,
                        new PictureFrame.Meaning(true, ""),
                        List.of(),
                        false);
        Imported imported = new Imported(asset.id(), 1);
        Page page =
                new Page(
                                id("page"),
                                Optional.empty(),
                                true,
                                new Layer(List.of(behind), List.of(word)))
                        .withSize(Optional.of(imported.sizeIn(asset)))
                        .withImported(Optional.of(imported));
        Publication set =
                new Publication(
                                id("set"),
                                "Log",
                                Setup.of(imported.sizeIn(asset), false)
                                        .withDestination(Destination.SCREEN),
                                List.of(SEA, INK),
                                List.of(),
                                List.of(),
                                List.of(page))
                        .withAssets(List.of(asset));
        return new Composer(COATED, new Pictures(sha256 -> file, documents)).compose(set, 0);
    }

    @Test
    void a_claim_that_is_said_to_hold_does_by_verapdfs_verdict() throws IOException {
        byte[] file = archived(SECOND, true);
        assertThat(failed(file)).as("before").isEmpty();
        assertThat(AddedLayers.claims(KnownFile.of(file), Medium.SCREEN, true, false))
                .containsExactly(new Claims("PDF/A-2b", Optional.empty()));
        Path to = folder.resolve("added.pdf");
        AddedLayers.Outcome outcome =
                AddedLayers.add(
                        KnownFile.of(file),
                        Map.of(1, scene(file)),
                        Medium.SCREEN,
                        COATED,
                        NOW,
                        to,
                        Progress.NONE);
        assertThat(outcome.pages()).isEqualTo(1);
        assertThat(AddedLayers.added(KnownFile.of(Files.readAllBytes(to))).get(1))
                .anySatisfy(each -> assertThat(each.name()).contains("behind words"));
        assertThat(failed(Files.readAllBytes(to))).as("after").isEmpty();
        Path back = folder.resolve("back.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(to)),
                each -> true,
                Set.of(),
                NOW,
                back,
                Progress.NONE);
        assertThat(failed(Files.readAllBytes(back))).as("taken off again").isEmpty();
    }

    /** Of the configuration of layers PDF/A allows no automatic states (ISO 19005-2, 6.9). */
    @Test
    void a_claim_does_not_hold_with_what_is_only_printed_by_verapdfs_verdict() throws IOException {
        byte[] file = archived(SECOND, true);
        PageScene plain = scene(file);
        PageScene printed =
                plain.withItems(
                        plain.items().stream()
                                .map(item ->
                                        item instanceof Item.AreaFill fill
                                                ? fill.withGoesTo(
                                                        new Background.GoesTo(false, true))
                                                : item)
                                .toList());
        Path to = folder.resolve("switched.pdf");
        AddedLayers.add(
                KnownFile.of(file),
                Map.of(1, printed),
                Medium.SCREEN,
                COATED,
                NOW,
                to,
                Progress.NONE);
        assertThat(failed(Files.readAllBytes(to)))
                .isNotEmpty()
                .allMatch(each -> each.contains("6.9"));
    }

    @Test
    void a_claim_that_is_doubted_does_not_hold_by_verapdfs_verdict() throws IOException {
        byte[] file = archived(SECOND, false);
        assertThat(AddedLayers.claims(KnownFile.of(file), Medium.SCREEN, false, false))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.doubt().orElseThrow())
                                .contains("no profile for colours in RGB"));
        assertThat(failed(file)).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<pdfaid:part>2</pdfaid:part><pdfaid:conformance>U</pdfaid:conformance> | PAPER | true | false | PDF/A-2u | It names no profile for colours in CMYK",
                "<pdfaid:part>1</pdfaid:part><pdfaid:conformance>B</pdfaid:conformance> | SCREEN | true | false | PDF/A-1b | PDF/A-1 allows nothing that is see-through",
                "<pdfaid:part>1</pdfaid:part><pdfaid:conformance>B</pdfaid:conformance> | SCREEN | false | false | PDF/A-1b | ",
                "<pdfaid:part>4</pdfaid:part> | SCREEN | true | false | PDF/A-4 | ",
                "<pdfaid:part>2</pdfaid:part><pdfaid:conformance>B</pdfaid:conformance> | SCREEN | false | true | PDF/A-2b | PDF/A allows nothing that is only seen",
                "<pdfuaid:part>1</pdfuaid:part> | PAPER | true | false | PDF/UA-1 | ",
            })
    void claims_are_read_and_doubted_for_a_reason(
            String properties,
            Medium medium,
            boolean seeThrough,
            boolean switched,
            String standard,
            String doubt)
            throws IOException {
        assertThat(
                        AddedLayers.claims(
                                KnownFile.of(archived(properties, true)),
                                medium,
                                seeThrough,
                                switched))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.standard()).isEqualTo(standard);
                    if (doubt == null) {
                        assertThat(each.doubt()).isEmpty();
                    } else {
                        assertThat(each.doubt().orElseThrow()).startsWith(doubt);
                    }
                });
    }

    @Test
    void metadata_that_cannot_be_read_claims_nothing() throws IOException {
        byte[] file = archived("<broken", true);
        assertThat(AddedLayers.claims(KnownFile.of(file), Medium.SCREEN, false, false)).isEmpty();
        byte[] silent = archived("", true);
        assertThat(AddedLayers.claims(KnownFile.of(silent), Medium.SCREEN, false, false)).isEmpty();
        byte[] endless = archived(SECOND + " ".repeat(50 << 20), true); // it packs to 50 kB
        assertThat(AddedLayers.claims(KnownFile.of(endless), Medium.SCREEN, false, false))
                .isEmpty();
    }
}
