package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.blend.BlendMode;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentGroup;
import org.apache.pdfbox.pdmodel.graphics.optionalcontent.PDOptionalContentProperties;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

/** What is read of the text of files; what it comes to is held against poppler's reading. */
class PageWordsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final PdfDocuments DOCUMENTS = new PdfDocuments();

    @TempDir Path folder;

    private static PageText read(byte[] file, Medium medium) {
        return DOCUMENTS.text(KnownFile.of(file), FilePage.of(1, COATED, medium));
    }

    private static String text(PageText.Line line) {
        return line.glyphs().stream().map(PageText.Glyph::text).collect(Collectors.joining());
    }

    private static String text(PageText.Stretch stretch) {
        return stretch.lines().stream().map(PageWordsTest::text).collect(Collectors.joining("/"));
    }

    private static List<String> texts(PageText read) {
        return read.stretches().stream().map(PageWordsTest::text).toList();
    }

    /** A page of 200 by 100 pt with fonts, states, a picture and a layer that is off. */
    private static byte[] page(String content) {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(200, 100));
            document.addPage(page);
            PDResources resources = new PDResources();
            resources.put(
                    COSName.getPDFName("F"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
            resources.put(
                    COSName.getPDFName("B"),
                    new PDType1Font(Standard14Fonts.FontName.HELVETICA_BOLD_OBLIQUE));
            PDExtendedGraphicsState half = new PDExtendedGraphicsState();
            half.setNonStrokingAlphaConstant(0.5f);
            resources.put(COSName.getPDFName("Half"), half);
            PDExtendedGraphicsState five = new PDExtendedGraphicsState();
            five.setNonStrokingAlphaConstant(5f);
            five.setBlendMode(BlendMode.MULTIPLY);
            resources.put(COSName.getPDFName("Five"), five);
            PDExtendedGraphicsState multiply = new PDExtendedGraphicsState();
            multiply.setBlendMode(BlendMode.MULTIPLY);
            resources.put(COSName.getPDFName("Multiply"), multiply);
            PDExtendedGraphicsState overprint = new PDExtendedGraphicsState();
            overprint.setNonStrokingOverprintControl(true);
            overprint.setOverprintMode(1);
            resources.put(COSName.getPDFName("Over"), overprint);
            BufferedImage image = new BufferedImage(4, 4, BufferedImage.TYPE_INT_RGB);
            resources.put(
                    COSName.getPDFName("Im"), LosslessFactory.createFromImage(document, image));
            PDOptionalContentProperties layers = new PDOptionalContentProperties();
            PDOptionalContentGroup off = new PDOptionalContentGroup("Notes");
            layers.addGroup(off);
            layers.setGroupEnabled(off, false);
            document.getDocumentCatalog().setOCProperties(layers);
            resources.put(COSName.getPDFName("Off"), off);
            resources
                    .getCOSObject()
                    .getCOSDictionary(COSName.FONT)
                    .setItem(COSName.getPDFName("T"), type3(document));
            page.setResources(resources);
            PDStream stream = new PDStream(document);
            try (var out = stream.createOutputStream()) {
                out.write(content.getBytes(StandardCharsets.US_ASCII));
            }
            page.setContents(stream);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** ISO 32000-1, 9.6.5: a font of one letter, a box of 600 by 700 thousandths. */
    private static COSDictionary type3(PDDocument document) throws IOException {
        COSStream box = document.getDocument().createCOSStream();
        try (var out = box.createOutputStream()) {
            out.write("700 0 0 0 600 700 d1 0 0 600 700 re f".getBytes(StandardCharsets.US_ASCII));
        }
        COSDictionary procedures = new COSDictionary();
        procedures.setItem(COSName.getPDFName("box"), box);
        COSArray differences = new COSArray();
        differences.add(COSInteger.get('x'));
        differences.add(COSName.getPDFName("box"));
        COSDictionary encoding = new COSDictionary();
        encoding.setItem(COSName.TYPE, COSName.ENCODING);
        encoding.setItem(COSName.DIFFERENCES, differences);
        COSDictionary font = new COSDictionary();
        font.setItem(COSName.TYPE, COSName.FONT);
        font.setItem(COSName.SUBTYPE, COSName.TYPE3);
        font.setItem(COSName.FONT_BBOX, numbers(0, 0, 600, 700));
        font.setItem(COSName.FONT_MATRIX, numbers(0.001, 0, 0, 0.001, 0, 0));
        font.setItem(COSName.CHAR_PROCS, procedures);
        font.setItem(COSName.ENCODING, encoding);
        font.setInt(COSName.FIRST_CHAR, 'x');
        font.setInt(COSName.LAST_CHAR, 'x');
        font.setItem(COSName.WIDTHS, numbers(700));
        return font;
    }

    private static COSArray numbers(double... values) {
        COSArray array = new COSArray();
        for (double value : values) {
            array.add(new COSFloat((float) value));
        }
        return array;
    }

    // what is written

    @Test
    void glyphs_stand_where_the_operators_put_them_in_the_size_and_colour_they_have() {
        PageText read =
                read(
                        page("0 0 0 0.4 k BT /F 12 Tf 20 70 Td (Log) Tj 0 -14 Td (sheet) Tj ET"),
                        Medium.PAPER);
        PageText.Stretch all = read.stretches().getFirst();
        assertThat(texts(read)).containsExactly("Log/sheet");
        assertThat(all.size()).isEqualTo(12);
        assertThat(all.degrees()).isZero();
        assertThat(all.color()).isEqualTo(new Cmyk(0, 0, 0, 40));
        assertThat(all.lines().get(0).x()).isCloseTo(20, within(1e-3));
        assertThat(all.lines().get(0).baseline()).isCloseTo(30, within(1e-3));
        assertThat(all.lines().get(1).baseline()).isCloseTo(44, within(1e-3));
        // Adobe's metrics of Helvetica: "L" is 556 thousandths wide, "o" 556
        assertThat(all.lines().get(0).glyphs().get(2).x()).isCloseTo(2 * 0.556 * 12, within(1e-3));
        assertThat(read.unread()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "0, 0.5 g BT /F 10 Tf 1 0 0 1 20 50 Tm (Log) Tj ET, 20, 50, 10",
        "-90, 0.5 g BT /F 10 Tf 0 1 -1 0 20 50 Tm (Log) Tj ET, 20, 50, 10",
        "30, 0.5 g BT /F 1 Tf 17.3205 -10 10 17.3205 20 80 Tm (Log) Tj ET, 20, 20, 20",
        "0, 0.5 g q 2 0 0 2 0 0 cm BT /F 10 Tf 10 25 Td (Log) Tj ET Q, 20, 50, 20",
        "0, 0.5 g BT /F 10 Tf 50 Tz 1 0 0 1 20 50 Tm (Log) Tj ET, 20, 50, 10",
    })
    void rotated_scaled_and_squeezed_text_has_its_own_size_and_angle(
            double degrees, String content, double x, double y, double size) {
        PageText read = read(page(content), Medium.SCREEN);
        PageText.Stretch only = read.stretches().getFirst();
        assertThat(text(only)).isEqualTo("Log");
        assertThat(only.size()).isCloseTo(size, within(1e-3));
        assertThat(only.degrees()).isCloseTo(degrees, within(1e-3));
        assertThat(only.x()).isCloseTo(x, within(1e-3));
        assertThat(only.y()).isCloseTo(y, within(1e-3));
        assertThat(only.color()).isEqualTo(new Rgb(128, 128, 128));
    }

    @Test
    void squeezed_letters_are_a_face_of_their_own() {
        PageText read =
                read(
                        page(
                                "BT /F 10 Tf 20 50 Td (L) Tj 50 Tz 0 -20 Td (L) Tj /B 10 Tf 100 Tz 0 -20 Td (L) Tj ET"),
                        Medium.PAPER);
        assertThat(read.faces()).hasSize(3);
        assertThat(width(read, 1)).isCloseTo(width(read, 0) / 2, within(0.1));
        assertThat(read.faces().get(2).weight()).isEqualTo(700);
        assertThat(read.faces().get(2).italic()).isTrue();
    }

    private static double width(PageText read, int face) {
        Path2D outline = read.faces().get(face).outlines().get((int) 'L');
        return outline.getBounds2D().getWidth();
    }

    @Test
    void letters_that_a_file_draws_itself_are_text_as_well() {
        PageText read = read(page("1 0 0 rg BT /T 20 Tf 20 50 Td (xx) Tj ET"), Medium.SCREEN);
        PageText.Stretch only = read.stretches().getFirst();
        assertThat(only.color()).isEqualTo(new Rgb(255, 0, 0));
        assertThat(only.lines().getFirst().glyphs()).hasSize(2);
        var box = read.faces().getFirst().outlines().get((int) 'x').getBounds2D();
        assertThat(box.getWidth()).isCloseTo(600, within(0.1));
        assertThat(box.getMinY()).isCloseTo(-700, within(0.1));
        assertThat(read.unread()).isEmpty();
    }

    @Test
    void columns_sizes_and_colours_are_stretches_of_their_own_and_gaps_are_spaces() {
        PageText read =
                read(
                        page(
                                "BT /F 10 Tf 20 70 Td (one) Tj 30 0 Td (two) Tj 60 0 Td (far) Tj ET"
                                        + " 1 0 0 rg BT /F 10 Tf 20 40 Td (red) Tj /F 14 Tf 18 0 Td (big) Tj ET"),
                        Medium.SCREEN);
        assertThat(texts(read)).containsExactly("one two", "far", "red", "big");
    }

    // what it stands on

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "BT /F 10 Tf 20 50 Td (Log) Tj ET | Bare[]",
                "0.8 g 10 40 60 30 re f 0 g BT /F 10 Tf 20 50 Td (Log) Tj ET | Flat[color=#cccccc]",
                "0.2 g 0 0 200 100 re f 0.8 g 10 40 60 30 re f 0 g BT /F 10 Tf 20 50 Td (Log) Tj ET | Flat[color=#cccccc]",
                "0.9 g 15 40 10 60 re f 0 g BT /F 10 Tf 20 50 Td (Log) Tj ET | Mixed[pictured=false]",
                "/Half gs 0.8 g 10 40 60 30 re f /Over gs BT /B 0.01 Tf ET | none",
                "q 100 0 0 100 0 0 cm /Im Do Q BT /F 10 Tf 20 50 Td (Log) Tj ET | Mixed[pictured=true]",
                "q 100 0 0 100 0 0 cm /Im Do Q 1 g 10 40 60 30 re f 0 g BT /F 10 Tf 20 50 Td (Log) Tj ET | Flat[color=#ffffff]",
                "q 0 0 12 100 re W n 0.8 g 10 40 60 30 re f Q BT /F 10 Tf 20 50 Td (Log) Tj ET | Bare[]",
                // a line below it in its own colour is part of the text, another is not
                "0 g 20 49.5 16 0.6 re f BT /F 10 Tf 20 50 Td (Log) Tj ET | Bare[]",
                "0.7 g 20 49.5 16 0.6 re f 0 g BT /F 10 Tf 20 50 Td (Log) Tj ET | Mixed[pictured=false]",
            })
    void what_the_page_itself_paints_behind_text_is_known(String content, String ground) {
        PageText read = read(page(content), Medium.SCREEN);
        assertThat(
                        read.stretches().stream()
                                .map(PageText.Stretch::ground)
                                .findFirst()
                                .map(Object::toString)
                                .orElse("none"))
                .isEqualTo(ground);
    }

    @Test
    void overprinting_text_is_known_as_such() {
        PageText read =
                read(page("/Over gs 0 0 0 1 k BT /F 10 Tf 20 50 Td (Log) Tj ET"), Medium.PAPER);
        assertThat(read.stretches().getFirst().overprints()).isTrue();
    }

    // what cannot be judged

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "BT 3 Tr /F 10 Tf 20 50 Td (Log) Tj ET | INVISIBLE | 3",
                "/Half gs BT /F 10 Tf 20 50 Td (Log) Tj ET | SEE_THROUGH | 3",
                "/Multiply gs BT /F 10 Tf 20 50 Td (Log) Tj ET | SEE_THROUGH | 3",
                "BT /F 10 Tf 20 50 Td (Log) Tj ET 1 g 10 40 60 30 re f | COVERED | 3",
                "q 100 0 0 100 0 0 cm /Im Do Q | PICTURE | 1",
            })
    void what_cannot_be_judged_is_said_with_the_reason_and_never_counts_as_passed(
            String content, PageText.Why why, int count) {
        PageText read = read(page(content), Medium.PAPER);
        assertThat(read.stretches()).isEmpty();
        assertThat(read.unread())
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.why()).isEqualTo(why);
                    assertThat(each.count()).isEqualTo(count);
                    assertThat(each.where().orElseThrow().x()).isBetween(0.0, 22.0);
                });
    }

    @Test
    void many_small_shapes_may_be_letters_but_a_few_are_not() {
        String shape = "%d 50 m %d 60 l %d 60 %d 55 %d 50 c f\n";
        StringBuilder letters = new StringBuilder();
        for (int i = 0; i < 11; i++) {
            int x = 10 + 8 * i;
            letters.append(shape.formatted(x, x, x + 5, x + 6, x + 5));
        }
        assertThat(read(page(letters.toString()), Medium.PAPER).unread()).isEmpty();
        letters.append(shape.formatted(110, 110, 115, 116, 115));
        assertThat(read(page(letters.toString()), Medium.PAPER).unread())
                .extracting(PageText.Unread::why)
                .containsExactly(PageText.Why.OUTLINES);
    }

    private static PDAnnotation square(PDDocument document, PDRectangle place, String content)
            throws IOException {
        PDAnnotationSquare square = new PDAnnotationSquare();
        square.setRectangle(place);
        if (!content.isEmpty()) {
            PDAppearanceStream appearance = new PDAppearanceStream(document);
            appearance.setBBox(new PDRectangle(place.getWidth(), place.getHeight()));
            PDResources resources = new PDResources();
            resources.put(
                    COSName.getPDFName("F"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
            PDExtendedGraphicsState multiply = new PDExtendedGraphicsState();
            multiply.setBlendMode(BlendMode.MULTIPLY);
            resources.put(COSName.getPDFName("Multiply"), multiply);
            PDExtendedGraphicsState half = new PDExtendedGraphicsState();
            half.setNonStrokingAlphaConstant(0.5f);
            half.setStrokingAlphaConstant(0.5f);
            resources.put(COSName.getPDFName("Half"), half);
            PDExtendedGraphicsState five = new PDExtendedGraphicsState();
            five.setNonStrokingAlphaConstant(5f);
            five.setBlendMode(BlendMode.MULTIPLY);
            resources.put(COSName.getPDFName("Five"), five);
            resources.add(
                    LosslessFactory.createFromImage(
                            document, new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB)));
            appearance.setResources(resources);
            try (var out = appearance.getStream().createOutputStream()) {
                out.write(content.getBytes(StandardCharsets.US_ASCII));
            }
            PDAppearanceDictionary all = new PDAppearanceDictionary();
            all.setNormalAppearance(appearance);
            square.setAppearance(all);
        }
        return square;
    }

    /** A page that says "Log sheet 7" and has a red square, with an annotation. */
    private static byte[] annotated(
            PDRectangle place, String content, Consumer<PDAnnotation> change) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDAnnotation annotation = square(document, place, content);
            change.accept(annotation);
            page.getAnnotations().add(annotation);
        });
    }

    @Test
    void words_of_an_annotation_are_read_on_what_it_paints_and_on_what_the_page_does()
            throws IOException {
        String written = " BT /F 10 Tf 4 6 Td 0 0 1 rg (Tide) Tj ET";
        PDRectangle onSquare = new PDRectangle(155, 30, 50, 20);
        PageText bare = read(annotated(onSquare, written, _ -> {}), Medium.SCREEN);
        assertThat(texts(bare)).containsExactly("Log sheet 7", "Tide");
        assertThat(bare.stretches().getFirst().annotation()).isEmpty();
        PageText.Stretch tide = bare.stretches().getLast();
        assertThat(tide.ground()).isEqualTo(new PageText.Ground.Flat(new Rgb(204, 26, 26)));
        assertThat(tide.annotation()).contains(new PageText.Ground.Bare());
        assertThat(tide.color()).isEqualTo(new Rgb(0, 0, 255));
        assertThat(bare.annotations()).containsExactly(new PageText.Place(155, 180 - 50, 50, 20));
        assertThat(bare.unread()).isEmpty();
        assertThat(bare.colors())
                .contains(new PageText.Used(PageText.Painted.ANNOTATIONS, Optional.empty(), 1, 0))
                .as("what can be painted in another colour is the page")
                .noneMatch(used -> used.seen().equals(Optional.of(new Rgb(0, 0, 255))));
        PageText boxed =
                read(annotated(onSquare, "1 g 0 0 50 20 re f" + written, _ -> {}), Medium.SCREEN);
        assertThat(boxed.stretches().getLast().annotation())
                .contains(new PageText.Ground.Flat(Rgb.WHITE));
    }

    /** A marker lets words through; what hides them, or is no one colour, leaves them unjudged. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/Multiply gs 1 1 0 rg 0 0 200 40 re f | MULTIPLY | 1",
                "/Half gs 1 1 0 rg 0 0 200 40 re f | NORMAL | 0.5",
                "/Multiply gs /Half gs 1 1 0 rg 0 0 200 40 re f | MULTIPLY | 0.5",
                "/Five gs 1 1 0 rg 0 0 200 40 re f | MULTIPLY | 1",
                "/Half gs 1 0 0 RG 12 w 0 20 m 200 20 l S | NORMAL | 0.5",
                "1 1 0 rg 0 0 200 40 re f | | ",
                "q 200 0 0 40 0 0 cm /Half gs /Im1 Do Q | | ",
                "1 0 0 RG 3 w 0 24 m 200 24 l S | | ",
            })
    void words_below_a_marker_are_seen_through_it(
            String content, yewberry.core.color.BlendMode mode, Double opacity) throws IOException {
        PDRectangle onWords = new PDRectangle(20, 80, 200, 40);
        PageText read = read(annotated(onWords, content, _ -> {}), Medium.SCREEN);
        if (mode == null) {
            assertThat(String.join("", texts(read))).doesNotContain("Log sheet 7");
            assertThat(read.unread())
                    .extracting(PageText.Unread::why)
                    .contains(PageText.Why.COVERED);
            assertThat(read.veils()).isEmpty();
            return;
        }
        assertThat(texts(read)).containsExactly("Log sheet 7");
        assertThat(read.unread()).isEmpty();
        assertThat(read.veils())
                .singleElement()
                .satisfies(veil -> {
                    assertThat(veil.blend()).isEqualTo(mode);
                    assertThat(veil.opacity()).isCloseTo(opacity, within(1e-6));
                    assertThat(veil.shape().getBounds2D().getMinX()).isBetween(19.9, 20.1);
                });
    }

    static Stream<Arguments> annotationsThatAreNotSeen() {
        String written = "BT /F 10 Tf 4 6 Td (Tide) Tj ET";
        PDRectangle place = new PDRectangle(155, 130, 50, 20);
        Consumer<PDAnnotation> asItIs = _ -> {};
        Consumer<PDAnnotation> hidden = each -> each.setHidden(true);
        Consumer<PDAnnotation> broken =
                each ->
                        each.getNormalAppearanceStream()
                                .getCOSObject()
                                .setItem(COSName.FILTER, COSName.getPDFName("Nonsense"));
        Consumer<PDAnnotation> noView = each -> each.setNoView(true);
        return Stream.of(
                Arguments.of("hidden", place, written, hidden, List.of()),
                Arguments.of("only printed", place, written, noView, List.of()),
                Arguments.of(
                        "off the page",
                        new PDRectangle(900, 900, 50, 20),
                        written,
                        asItIs,
                        List.of()),
                Arguments.of("no look", place, "", asItIs, List.of(PageText.Why.ANNOTATION)),
                Arguments.of("broken", place, written, broken, List.of(PageText.Why.ANNOTATION)));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("annotationsThatAreNotSeen")
    void what_is_not_seen_of_annotations_is_not_read_and_what_cannot_be_told_is_told(
            String name,
            PDRectangle place,
            String content,
            Consumer<PDAnnotation> change,
            List<PageText.Why> why)
            throws IOException {
        PageText read = read(annotated(place, content, change), Medium.SCREEN);
        assertThat(texts(read)).first().isEqualTo("Log sheet 7");
        assertThat(texts(read)).doesNotContain("Tide");
        assertThat(read.unread()).extracting(PageText.Unread::why).isEqualTo(why);
    }

    @Test
    void words_of_a_form_field_are_those_that_poppler_reads() throws IOException {
        byte[] file = FilesOfOthers.all().get("with a form field and a note");
        Path pdf = Files.write(folder.resolve("field.pdf"), file);
        String theirs = Programs.run("pdftotext", "-layout", pdf.toString(), "-").output();
        PageText read = read(file, Medium.SCREEN);
        assertThat(words(String.join(" ", texts(read)))).isEqualTo(words(theirs)).contains("Tern");
        assertThat(read.unread()).isEmpty();
    }

    @Test
    void form_fields_that_readers_draw_anew_are_told_as_not_judged() throws IOException {
        byte[] file = FilesOfOthers.all().get("with a form field and a note");
        try (PDDocument document = Loader.loadPDF(file)) {
            document.getDocumentCatalog().getAcroForm(null).setNeedAppearances(true);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            PageText read = read(out.toByteArray(), Medium.SCREEN);
            assertThat(texts(read)).containsExactly("Log sheet 7");
            assertThat(read.unread())
                    .extracting(PageText.Unread::why)
                    .containsExactly(PageText.Why.ANNOTATION);
        }
    }

    /** What is seen of a page with them, by ghostscript's drawing: on average within 0.5 of 255. */
    @Test
    void annotations_are_drawn_as_ghostscript_draws_them() throws IOException {
        PDRectangle onWords = new PDRectangle(20, 80, 200, 40);
        String marked = "/Multiply gs 1 1 0 rg 0 0 200 40 re f";
        List<byte[]> files =
                List.of(
                        annotated(onWords, marked, _ -> {}),
                        annotated(
                                onWords, "0 1 1 rg 10 10 50 20 re f", each -> each.setHidden(true)),
                        FilesOfOthers.all().get("with a form field and a note"));
        FilePage seen =
                new FilePage(
                        1, FilePage.Part.ANNOTATED, Medium.SCREEN, List.of(), List.of(), COATED);
        for (byte[] file : files) {
            Path pdf = Files.write(folder.resolve("annotated.pdf"), file);
            Path png = folder.resolve("annotated.png");
            Ghostscript.draw(
                    pdf,
                    "png16m",
                    288,
                    png,
                    "-dGraphicsAlphaBits=4",
                    "-dTextAlphaBits=4",
                    "-dPrinted=false");
            BufferedImage theirs = ImageIO.read(png.toFile());
            PlaneImage ours =
                    DOCUMENTS.draw(KnownFile.of(file), seen, theirs.getWidth(), theirs.getHeight());
            double off = 0;
            for (int at = 0; at < ours.width() * ours.height(); at++) {
                Color there = new Color(theirs.getRGB(at % ours.width(), at / ours.width()));
                double covers = ours.alpha(at % ours.width(), at / ours.width());
                float[] light = there.getRGBColorComponents(null);
                for (int plane = 0; plane < 3; plane++) {
                    double taken = (ours.samples()[3 * at + plane] & 0xff) / 255.0;
                    off += Math.abs(light[plane] - (1 - covers * taken));
                }
            }
            assertThat(255 * off / (3.0 * ours.width() * ours.height())).isLessThan(0.5);
        }
    }

    /** Two paragraphs, the second of two lines far from each other, in marked content 0 to 2. */
    private static byte[] tagged(String type, String mapped) throws IOException {
        byte[] plain =
                page(
                        "/P <</MCID 0>> BDC BT /F 10 Tf 20 80 Td (one) Tj ET EMC"
                                + " /P <</MCID 1>> BDC BT /F 10 Tf 20 68 Td (two) Tj ET EMC"
                                + " /P <</MCID 2>> BDC BT /F 10 Tf 60 40 Td (three) Tj ET EMC");
        try (PDDocument document = Loader.loadPDF(plain)) {
            PDPage page = document.getPage(0);
            PDStructureTreeRoot root = new PDStructureTreeRoot();
            document.getDocumentCatalog().setStructureTreeRoot(root);
            root.setRoleMap(Map.of(type, mapped));
            List<PDStructureElement> paragraphs =
                    List.of(new PDStructureElement(type, root), new PDStructureElement(type, root));
            COSArray elements = new COSArray();
            for (int content = 0; content < 3; content++) {
                PDStructureElement span =
                        new PDStructureElement("Span", paragraphs.get(Math.min(content, 1)));
                span.setPage(page);
                span.appendKid(content);
                elements.add(span.getCOSObject());
            }
            PDNumberTreeNode tree = new PDNumberTreeNode(PDParentTreeValue.class);
            tree.setNumbers(Map.of(0, new PDParentTreeValue(elements)));
            root.setParentTree(tree);
            page.setStructParents(0);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void paragraphs_are_those_that_the_file_tags_and_else_lines_that_follow_closely()
            throws IOException {
        assertThat(texts(read(tagged("P", "P"), Medium.SCREEN)))
                .containsExactly("one", "two/three");
        assertThat(texts(read(tagged("Absatz", "P"), Medium.SCREEN)))
                .containsExactly("one", "two/three");
        assertThat(texts(read(tagged("Sect", "Sect"), Medium.SCREEN)))
                .as("no paragraph")
                .containsExactly("one/two", "three");
    }

    /** What the structure says may be anything. */
    @ParameterizedTest
    @ValueSource(strings = {"round", "number", "short"})
    void a_broken_structure_tells_no_paragraphs(String how) throws IOException {
        try (PDDocument document = Loader.loadPDF(tagged("P", "P"))) {
            COSDictionary root =
                    document.getDocumentCatalog().getStructureTreeRoot().getCOSObject();
            COSArray numbers =
                    root.getCOSDictionary(COSName.getPDFName("ParentTree"))
                            .getCOSArray(COSName.NUMS);
            COSArray elements = (COSArray) numbers.getObject(1);
            switch (how) {
                case "round" -> {
                    for (int i = 0; i < 3; i++) {
                        COSDictionary span = (COSDictionary) elements.getObject(i);
                        span.setItem(COSName.P, span);
                    }
                }
                case "number" -> numbers.set(1, COSInteger.get(7));
                default -> elements.clear();
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            assertThat(texts(read(out.toByteArray(), Medium.SCREEN)))
                    .containsExactly("one/two", "three");
        }
    }

    @Test
    void layers_that_are_off_and_what_lies_outside_are_not_there() {
        String text =
                "/OC /Off BDC BT /F 10 Tf 20 50 Td (hidden) Tj ET EMC"
                        + " BT /F 10 Tf 300 50 Td (outside) Tj ET"
                        + " q 0 0 10 10 re W n BT /F 10 Tf 20 50 Td (clipped) Tj ET Q"
                        + " BT /F 10 Tf 20 20 Td (seen) Tj ET";
        PageText read = read(page(text), Medium.PAPER);
        assertThat(texts(read)).containsExactly("seen");
        assertThat(read.unread()).isEmpty();
    }

    // other producers, against poppler

    /**
     * Of the first poppler reads nothing; the second is see-through, which is told; the third has
     * letters without names, which poppler guesses; the fourth has a form field in another colour.
     */
    private static final Set<String> NOT_HELD_AGAINST_POPPLER =
            Set.of(
                    FilesOfOthers.RESTORES,
                    "with a form field and a note",
                    "behind a soft mask",
                    "with a Type 3 font");

    static Stream<String> producers() throws IOException {
        return FilesOfOthers.all().keySet().stream()
                .filter(name -> !NOT_HELD_AGAINST_POPPLER.contains(name));
    }

    @ParameterizedTest
    @MethodSource("producers")
    void every_producers_words_are_read_as_poppler_reads_them(String producer) throws IOException {
        byte[] file = FilesOfOthers.all().get(producer);
        PageText read = read(file, Medium.SCREEN);
        Path pdf = Files.write(folder.resolve("in.pdf"), file);
        String theirs = Programs.run("pdftotext", "-layout", pdf.toString(), "-").output();
        String ours = String.join(" ", texts(read));
        assertThat(words(ours)).as(producer).isEqualTo(words(theirs));
        assertThat(words(ours)).isNotEmpty();
        assertThat(read.stretches())
                .allSatisfy(each -> {
                    Rgb color = (Rgb) each.color();
                    assertThat(color.red()).isBetween(25, 26);
                    assertThat(color.blue()).isBetween(76, 77);
                    assertThat(each.ground()).isEqualTo(new PageText.Ground.Bare());
                });
    }

    /** What is not read is told, and never passes for read. */
    @ParameterizedTest
    @CsvSource({"behind a soft mask, SEE_THROUGH"})
    void what_is_not_read_of_other_producers_is_told(String producer, PageText.Why why)
            throws IOException {
        PageText read = read(FilesOfOthers.all().get(producer), Medium.SCREEN);
        assertThat(read.unread()).extracting(PageText.Unread::why).containsExactly(why);
    }

    private static List<String> words(String text) {
        return Stream.of(text.split("\\s+")).filter(each -> !each.isBlank()).sorted().toList();
    }

    private static final Pattern WORD =
            Pattern.compile(
                    "<word xMin=\"([\\d.]+)\" yMin=\"([\\d.]+)\" xMax=\"([\\d.]+)\" yMax=\"([\\d.]+)\">(.*?)</word>");

    @ParameterizedTest
    @ValueSource(strings = {"PDFBox", "ghostscript", "cairo", "Chromium", "qpdf, object streams"})
    void words_stand_where_poppler_has_them(String producer) throws IOException {
        byte[] file = FilesOfOthers.all().get(producer);
        Path pdf = Files.write(folder.resolve("in.pdf"), file);
        String boxes = Programs.run("pdftotext", "-bbox", pdf.toString(), "-").output();
        List<String> theirs = new ArrayList<>();
        var found = WORD.matcher(boxes);
        while (found.find()) {
            theirs.add(
                    "%s from %.0f to %.0f"
                            .formatted(
                                    found.group(5),
                                    Double.parseDouble(found.group(1)),
                                    Double.parseDouble(found.group(3))));
        }
        List<String> ours = new ArrayList<>();
        for (PageText.Stretch stretch : read(file, Medium.SCREEN).stretches()) {
            for (PageText.Line line : stretch.lines()) {
                placed(line, ours);
            }
        }
        assertThat(ours).containsExactlyElementsOf(theirs);
        assertThat(ours).hasSize(3);
    }

    private static void placed(PageText.Line line, List<String> into) {
        StringBuilder word = new StringBuilder();
        Optional<Double> from = Optional.empty();
        for (PageText.Glyph glyph : line.glyphs()) {
            if (glyph.text().isBlank()) {
                into.add(
                        "%s from %.0f to %.0f"
                                .formatted(word, from.orElseThrow(), line.x() + glyph.x()));
                word.setLength(0);
                from = Optional.empty();
            } else {
                from = from.or(() -> Optional.of(line.x() + glyph.x()));
                word.append(glyph.text());
            }
        }
        into.add(
                "%s from %.0f to %.0f"
                        .formatted(word, from.orElseThrow(), line.x() + line.width()));
    }

    @Test
    void a_file_is_drawn_without_its_text_and_all_else_stays() {
        byte[] with =
                page(
                        "0.8 g 10 40 60 30 re f 0 g 20 49.5 16 0.6 re f BT /F 10 Tf 20 50 Td (Log) Tj ET BT /T 9 Tf 80 50 Td (x) Tj ET");
        byte[] without = page("0.8 g 10 40 60 30 re f");
        FilePage all = FilePage.of(1, COATED, Medium.SCREEN);
        FilePage part =
                new FilePage(
                        1, FilePage.Part.WITHOUT_TEXT, Medium.SCREEN, List.of(), List.of(), COATED);
        PlaneImage drawn = DOCUMENTS.draw(KnownFile.of(with), part, 200, 100);
        PlaneImage bare = DOCUMENTS.draw(KnownFile.of(without), all, 200, 100);
        assertThat(drawn.samples()).isEqualTo(bare.samples());
        assertThat(drawn.alpha().orElseThrow()).isEqualTo(bare.alpha().orElseThrow());
    }
}
