package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationRubberStamp;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Anchor;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.pdf.proof.ReadBackReport.PageReport;

/** What is done to a file behind its back has to show in the read-back. */
class ReadBackTest {
    private static final PressCondition COATED = PressCondition.coated();

    @TempDir static Path folder;

    private static List<PageScene> scenes;
    private static Path pdf;

    private interface Harm {
        void to(PDDocument document) throws IOException;
    }

    /**
     * A page with a background, a panel, a veil, a multiplied band, a gradient, one that fades, and
     * text on all of it.
     */
    private static Publication publication() {
        Publication leaflet = Leaflet.publication();
        Page first = leaflet.pages().getFirst();
        List<Background> backgrounds = new ArrayList<>(first.layer().backgrounds());
        backgrounds.add(rectangle("panel", 30, 25, 40, 20, solid(Leaflet.PALE)));
        backgrounds.add(rectangle("veil", 10, 60, 40, 30, solid(Leaflet.SIGNAL)).withOpacity(60));
        backgrounds.add(
                rectangle("band", 55, 60, 40, 30, solid(Leaflet.SIGNAL))
                        .withBlend(BlendMode.MULTIPLY));
        backgrounds.add(rectangle("fade", 10, 95, 40, 15, gradient(100)));
        backgrounds.add(rectangle("mask", 55, 95, 40, 15, gradient(0)));
        List<Page> pages = new ArrayList<>(leaflet.pages());
        pages.set(0, first.withLayer(new Layer(backgrounds, first.layer().frames())));
        return leaflet.withPages(pages);
    }

    private static Fill solid(Swatch swatch) {
        return new Fill.Solid(Tinted.full(swatch.id()));
    }

    private static Fill gradient(double last) {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                0,
                false,
                List.of(
                        new Fill.Gradient.Stop(0, Tinted.full(Leaflet.SIGNAL.id()), 100),
                        new Fill.Gradient.Stop(100, Tinted.full(Leaflet.PALE.id()), last)));
    }

    private static Background rectangle(
            String name, double x, double y, double width, double height, Fill fill) {
        return new Background(
                UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)),
                Sides.BOTH,
                new Area.Rectangle(
                        new Anchor(Anchor.Across.LEFT, Anchor.Down.TOP),
                        Length.mm(x),
                        Length.mm(y),
                        Length.mm(width),
                        Length.mm(height),
                        Set.<Edge>of()),
                fill);
    }

    @BeforeAll
    static void write() throws IOException {
        scenes = new Composer(COATED).composeAll(publication());
        pdf = folder.resolve("leaflet.pdf");
        PdfWriter.write("Leaflet", scenes, Medium.PAPER, COATED, Instant.EPOCH, pdf, Progress.NONE);
    }

    private static ReadBackReport check(Path file) throws IOException {
        return ReadBack.check(file, scenes, Medium.PAPER, COATED, Progress.NONE);
    }

    private ReadBackReport after(Harm harm) throws IOException {
        Path changed = folder.resolve(UUID.randomUUID() + ".pdf");
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            harm.to(document);
            document.save(changed.toFile());
        }
        return check(changed);
    }

    private static String content(PDPage page) throws IOException {
        return new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
    }

    private static Harm content(UnaryOperator<String> change) {
        return document -> {
            PDPage changed = document.getPage(0);
            String old = content(changed);
            String now = change.apply(old);
            assertThat(now).as("the harm changes something in\n" + old).isNotEqualTo(old);
            PDStream stream = new PDStream(document);
            try (OutputStream out = stream.createOutputStream()) {
                out.write(now.getBytes(StandardCharsets.ISO_8859_1));
            }
            changed.setContents(stream);
        };
    }

    private static Harm first(String pattern, String by) {
        return content(text -> text.replaceFirst("(?s)" + pattern, by));
    }

    private static COSDictionary state(PDDocument document, COSName key) {
        COSDictionary states =
                document.getPage(0)
                        .getResources()
                        .getCOSObject()
                        .getCOSDictionary(COSName.EXT_G_STATE);
        for (COSName name : states.keySet()) {
            COSDictionary state = states.getCOSDictionary(name);
            if (state.containsKey(key) && (!key.equals(COSName.CA_NS) || state.getFloat(key) < 1)) {
                return state;
            }
        }
        throw new AssertionError("no such state");
    }

    private static PDType0Font font(PDDocument document) throws IOException {
        var resources = document.getPage(0).getResources();
        return (PDType0Font) resources.getFont(resources.getFontNames().iterator().next());
    }

    private static void put(COSStream stream, byte[] bytes) throws IOException {
        try (OutputStream out = stream.createOutputStream()) {
            out.write(bytes);
        }
    }

    /** The one operator that fills the panel: PALE ink, 40 mm wide. */
    private static final String PANEL =
            "0\\.05 0\\.03 0\\.12 0 k\\s+(\\S+) (\\S+) (113\\.\\d+) (56\\.\\d+) re f";

    static Stream<Arguments> harms() {
        return Stream.of(
                harm("a panel missing", first(PANEL, "")),
                harm("a panel moved", first(PANEL, "0.05 0.03 0.12 0 k 90 $2 $3 $4 re f")),
                harm(
                        "a panel moved by a hair",
                        first(PANEL, "0.05 0.03 0.12 0 k 1 0 0 1 0.1 0 cm $1 $2 $3 $4 re f")),
                harm(
                        "a panel recoloured in the middle",
                        first(PANEL, "$0 0.05 0.03 0.2 0 k 110 300 10 5 re f")),
                harm(
                        "the ground cut to four corner squares",
                        first(
                                "0 0 (30\\d\\.\\d+) (43\\d\\.\\d+) re f",
                                "0 0 30 30 re f 276 0 31 30 re f 0 400 30 37 re f 276 400 31 37 re f")),
                harm(
                        "an opacity of 60 % become 5 %",
                        document ->
                                state(document, COSName.CA_NS)
                                        .setItem(COSName.CA_NS, new COSFloat(0.05f))),
                harm(
                        "another blend mode",
                        document ->
                                state(document, COSName.BM)
                                        .setItem(COSName.BM, COSName.getPDFName("Screen"))),
                harm(
                        "a mask removed",
                        document -> state(document, COSName.SMASK).removeItem(COSName.SMASK)),
                harm("a gradient turned", ReadBackTest::turned),
                harm("the stacking changed", ReadBackTest::restacked),
                harm(
                        "white over all but the corners",
                        content(text -> text + "\n0 0 0 0 k 20 20 260 390 re f\n")),
                harm(
                        "white over the middle below the text",
                        first("BT ", "0 0 0 0 k 100 150 80 80 re f BT ")),
                harm("text clipped", first("BT ", "0 0 100 500 re W n BT ")),
                harm("text clipped away", first("BT ", "0 0 1 1 re W n BT ")),
                harm("text invisible", first("BT ", "BT 3 Tr ")),
                harm("text stroked instead of filled", first("BT ", "BT 1 Tr ")),
                harm("text stroked, too", first("BT ", "BT 2 Tr 0.2 w ")),
                harm("text faint", ReadBackTest::faint),
                harm(
                        "text under the background",
                        content(text -> {
                            int at = text.indexOf("BT ");
                            String color = "0.05 0.03 0.12 0 k ";
                            return color + text.substring(at) + text.substring(0, at);
                        })),
                harm("text a little larger", first("(BT /F1 )(\\S+)", "$111.1")),
                harm(
                        "text in another ink",
                        first("0\\.05 0\\.03 0\\.12 0 k\\s+BT", "0 0.1 0 0 k BT")),
                harm("text that moved", first("BT ", "1 0 0 1 0 0.2 cm BT ")),
                harm("text slanted", first("1 0 0 1 (\\S+ \\S+) Tm", "1 0 0.2 1 $1 Tm")),
                harm("a line of text missing", first("\\[[^\\]]*\\] TJ", "")),
                harm(
                        "extra glyphs",
                        content(text ->
                                text.replaceFirst(
                                        "(?s)(BT .*?ET)",
                                        "$1 BT /F1 8 Tf 1 0 0 1 30 30 Tm <0024> Tj ET"))),
                harm(
                        "the same text twice",
                        content(text -> text.replaceFirst("(?s)(BT .*?ET)", "$1 $1"))),
                harm("a font program emptied", ReadBackTest::emptied),
                harm("a glyph map mixed up", ReadBackTest::mixedUp),
                harm("a map of characters mixed up", ReadBackTest::misread),
                harm(
                        "another profile",
                        document ->
                                put(
                                        document.getDocumentCatalog()
                                                .getOutputIntents()
                                                .getFirst()
                                                .getDestOutputIntent(),
                                        PressCondition.shipped().get(1).profile())),
                harm(
                        "another condition's name",
                        document ->
                                document.getDocumentCatalog()
                                        .getOutputIntents()
                                        .getFirst()
                                        .setOutputConditionIdentifier("FOGRA29")),
                harm(
                        "no output intent",
                        document -> document.getDocumentCatalog().setOutputIntents(List.of())),
                harm(
                        "the page group removed",
                        document -> document.getPage(0).getCOSObject().removeItem(COSName.GROUP)),
                harm(
                        "the page group in light",
                        document ->
                                document.getPage(0)
                                        .getCOSObject()
                                        .getCOSDictionary(COSName.GROUP)
                                        .setItem(COSName.CS, COSName.DEVICERGB)),
                harm("the page rotated", document -> document.getPage(0).setRotation(180)),
                harm("a UserUnit", document -> document.getPage(0).setUserUnit(2)),
                harm(
                        "another trim box",
                        document -> document.getPage(0).setTrimBox(new PDRectangle(5, 5, 99, 99))),
                harm(
                        "a crop box",
                        document ->
                                document.getPage(0).setCropBox(new PDRectangle(9, 9, 280, 400))),
                harm(
                        "an annotation over the page",
                        document -> {
                            var stamp = new PDAnnotationRubberStamp();
                            stamp.setRectangle(new PDRectangle(50, 50, 100, 100));
                            document.getPage(0).setAnnotations(List.of(stamp));
                        }),
                harm("a page missing", document -> document.removePage(2)));
    }

    private static Arguments harm(String name, Harm harm) {
        return Arguments.of(org.junit.jupiter.api.Named.of(name, harm));
    }

    private static void turned(PDDocument document) {
        COSDictionary shadings =
                document.getPage(0)
                        .getResources()
                        .getCOSObject()
                        .getCOSDictionary(COSName.getPDFName("Shading"));
        COSDictionary shading = shadings.getCOSDictionary(shadings.keySet().iterator().next());
        COSArray coords = shading.getCOSArray(COSName.COORDS);
        COSArray turned = new COSArray();
        turned.add(coords.get(2));
        turned.add(coords.get(3));
        turned.add(coords.get(0));
        turned.add(coords.get(1));
        shading.setItem(COSName.COORDS, turned);
    }

    /** The panel comes to lie below the background. */
    private static void restacked(PDDocument document) throws IOException {
        content(
                        text -> {
                            var panel =
                                    java.util.regex.Pattern.compile("(?s)" + PANEL).matcher(text);
                            assertThat(panel.find()).isTrue();
                            return panel.group() + "\n" + text.replaceFirst("(?s)" + PANEL, "");
                        })
                .to(document);
    }

    private static void faint(PDDocument document) throws IOException {
        COSDictionary states =
                document.getPage(0)
                        .getResources()
                        .getCOSObject()
                        .getCOSDictionary(COSName.EXT_G_STATE);
        COSDictionary faint = new COSDictionary();
        faint.setItem(COSName.CA_NS, new COSFloat(0.9f));
        states.setItem(COSName.getPDFName("Faint"), faint);
        first("BT ", "/Faint gs BT ").to(document);
    }

    /** A font that has all its tables and no outlines. */
    private static void emptied(PDDocument document) throws IOException {
        COSStream program =
                font(document)
                        .getDescendantFont()
                        .getFontDescriptor()
                        .getFontFile2()
                        .getCOSObject();
        byte[] bytes = program.createInputStream().readAllBytes();
        int tables = (bytes[4] & 0xff) << 8 | bytes[5] & 0xff;
        for (int i = 0; i < tables; i++) {
            int at = 12 + 16 * i;
            String tag = new String(bytes, at, 4, StandardCharsets.US_ASCII);
            if (tag.equals("loca")) {
                int offset = java.nio.ByteBuffer.wrap(bytes).getInt(at + 8);
                int length = java.nio.ByteBuffer.wrap(bytes).getInt(at + 12);
                java.util.Arrays.fill(bytes, offset, offset + length, (byte) 0);
            }
        }
        put(program, bytes);
    }

    private static void mixedUp(PDDocument document) throws IOException {
        COSDictionary cid = font(document).getDescendantFont().getCOSObject();
        byte[] map = new byte[2 * 2000];
        for (int i = 0; i < 2000; i++) {
            int other = i ^ 1;
            map[2 * i] = (byte) (other >> 8);
            map[2 * i + 1] = (byte) other;
        }
        COSStream stream = document.getDocument().createCOSStream();
        put(stream, map);
        cid.setItem(COSName.CID_TO_GID_MAP, stream);
    }

    private static void misread(PDDocument document) throws IOException {
        COSStream map = font(document).getCOSObject().getCOSStream(COSName.TO_UNICODE);
        String text = new String(map.createInputStream().readAllBytes(), StandardCharsets.US_ASCII);
        put(map, text.replace("<0065>", "<0066>").getBytes(StandardCharsets.US_ASCII));
    }

    @ParameterizedTest
    @MethodSource("harms")
    void harm_is_noticed(Harm harm) throws IOException {
        ReadBackReport report = after(harm);
        assertThat(report.matches()).isFalse();
        assertThat(report.problems().isEmpty() && report.pages().getFirst().matches()).isFalse();
    }

    @Test
    void an_untouched_file_matches_over_all_of_every_page() throws IOException {
        ReadBackReport report = check(pdf);
        assertThat(report.problems()).isEmpty();
        assertThat(report.pages())
                .hasSize(3)
                .allSatisfy(page -> {
                    assertThat(page.problems()).isEmpty();
                    assertThat(page.painted().matches()).as(page.painted().toString()).isTrue();
                    assertThat(page.painted().ppi()).isGreaterThanOrEqualTo(144);
                    assertThat(page.matches()).isTrue();
                });
        PageReport last = report.pages().get(2);
        int glyphs =
                scenes.get(2).text().stream()
                        .flatMap(run -> run.lines().stream())
                        .mapToInt(line -> line.glyphs().size())
                        .sum();
        assertThat(last.textColors())
                .singleElement()
                .satisfies(check -> {
                    assertThat(check.glyphs()).isEqualTo(glyphs).isEqualTo(check.found());
                    assertThat(check.color()).isEqualTo("C0 M0 Y0 K100");
                });
    }

    @Test
    void the_largest_difference_is_told_with_its_place_and_a_picture() throws IOException {
        ReadBackReport report =
                after(content(text -> text + "\n0 1 0 0 k 141.73 141.73 28 28 re f\n"));
        var painted = report.pages().getFirst().painted();
        assertThat(painted.matches()).isFalse();
        assertThat(painted.largest()).isGreaterThan(10);
        // 50 mm from the left of the trim, where the bleed is at the outside only; 8.9 mm across
        assertThat(painted.x()).isBetween(50.0, 60.0);
        assertThat(painted.picture()).isPresent();
        assertThat(painted.share()).isBetween(0.3, 0.8);
    }

    /**
     * Of a page on which nothing mixes: PDFBox's renderer draws it by other code than the plates.
     */
    @Test
    void a_second_drawing_bears_witness_where_nothing_mixes() throws IOException {
        List<PageScene> plain = Leaflet.scenes();
        Path file = folder.resolve("plain.pdf");
        PdfWriter.write("Plain", plain, Medium.PAPER, COATED, Instant.EPOCH, file, Progress.NONE);
        assertThat(ReadBack.check(file, plain, Medium.PAPER, COATED, Progress.NONE).matches())
                .isTrue();
        Path changed = folder.resolve("plain-changed.pdf");
        try (PDDocument document = Loader.loadPDF(file.toFile())) {
            content(text -> text + "\n0 0.1 0 0 k 60 20 20 20 re f").to(document);
            document.save(changed.toFile());
        }
        PageReport first =
                ReadBack.check(changed, plain, Medium.PAPER, COATED, Progress.NONE)
                        .pages()
                        .getFirst();
        assertThat(first.problems()).anyMatch(problem -> problem.contains("second drawing"));
    }

    /** Pages are read by several threads, and each is told of where it stands. */
    @Test
    void many_pages_are_told_in_their_order() throws IOException {
        List<PageScene> many = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            many.addAll(Leaflet.scenes());
        }
        Path file = folder.resolve("many.pdf");
        PdfWriter.write("Many", many, Medium.PAPER, COATED, Instant.EPOCH, file, Progress.NONE);
        List<Integer> told = new ArrayList<>();
        ReadBackReport report =
                ReadBack.check(file, many, Medium.PAPER, COATED, (done, all) -> told.add(done));
        assertThat(report.matches()).as(report.problems().toString()).isTrue();
        assertThat(report.pages())
                .extracting(PageReport::number)
                .containsExactlyElementsOf(told)
                .hasSize(30)
                .isSorted();
    }

    @Test
    void reading_back_is_given_up_when_it_is_not_wanted() {
        assertThatThrownBy(() ->
                        ReadBack.check(
                                pdf,
                                scenes,
                                Medium.PAPER,
                                COATED,
                                (done, all) -> {
                                    throw new CancellationException();
                                }))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void pages_of_five_sizes_are_written_and_read_back_each_as_large_as_it_is() throws IOException {
        Publication sized = Leaflet.publication();
        List<Page> pages = new ArrayList<>(sized.pages());
        double[][] sizes = {{210, 148}, {60, 148}, {105, 105}, {106, 150}};
        for (double[] size : sizes) {
            pages.add(
                    new Page(
                                    UUID.randomUUID(),
                                    Optional.empty(),
                                    true,
                                    new Layer(
                                            List.of(
                                                    new Background(
                                                            UUID.randomUUID(),
                                                            Sides.BOTH,
                                                            new Area.WholeSpread(Length.mm(1)),
                                                            gradient(100))),
                                            List.of()))
                            .withSize(
                                    Optional.of(
                                            new PageSize(Length.mm(size[0]), Length.mm(size[1])))));
        }
        List<PageScene> five = new Composer(COATED).composeAll(sized.withPages(pages));
        Path file = folder.resolve("sizes.pdf");
        PdfWriter.write("Sizes", five, Medium.PAPER, COATED, Instant.EPOCH, file, Progress.NONE);
        ReadBackReport report = ReadBack.check(file, five, Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.problems().toString()).isTrue();
        // poppler says the sizes, in points
        String info = Programs.run("pdfinfo", "-box", "-l", "7", file.toString()).output();
        assertThat(info.replaceAll(" +", " "))
                .contains("Page 4 size: 603.78 x 436.535 pts")
                .contains("Page 5 size: 178.583 x 436.535 pts");
    }
}
