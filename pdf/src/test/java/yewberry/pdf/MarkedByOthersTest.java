package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceDictionary;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAppearanceStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.asset.KnownFile;

/** What others marked as artifacts (ISO 32000-1, 14.8.2.2), found, left out and back again. */
class MarkedByOthersTest {
    private static final Instant NOW = Instant.parse("2026-01-01T00:00:00Z");

    private static final String BACKGROUND =
            "/Artifact <</Type /Background>> BDC 0.8 0.9 1 rg 0 0 240 180 re f EMC 0 g\n";
    private static final String WATERMARK =
            "\n/Artifact <</Type /Pagination /Subtype /Watermark>> BDC q 1 0 0 rg 1 0 0 RG 3 w 20 20 100 60 re B BT /F1 20 Tf 40 40 Td (Old) Tj 12 TL (copy) ' ET /P <</MCID 9>> BDC 5 5 10 10 re f EMC Q EMC\n";
    private static final String HEADER =
            "/Artifact /Head BDC BT /F1 9 Tf 100 160 Td [(Page) -200 (4)] TJ ET EMC\n";

    @TempDir Path folder;

    /** A page with words of its own, and streams before and after them. */
    private static byte[] page(String before, String after) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            COSArray contents = new COSArray();
            for (Object part : List.of(before, page.getContentStreams().next(), after)) {
                if (part instanceof String words) {
                    PDStream stream = new PDStream(document);
                    try (var out = stream.createOutputStream()) {
                        out.write(words.getBytes(StandardCharsets.US_ASCII));
                    }
                    contents.add(stream);
                } else {
                    contents.add((PDStream) part);
                }
            }
            page.getCOSObject().setItem(COSName.CONTENTS, contents);
            PDResources resources = page.getResources();
            COSDictionary header = new COSDictionary();
            header.setName(COSName.TYPE, "Pagination");
            header.setName(COSName.SUBTYPE, "Header");
            resources.put(COSName.getPDFName("Head"), PDPropertyList.create(header));
        });
    }

    private byte[] without(byte[] file, Set<AddedItem.Kind> kinds) throws IOException {
        Path to = folder.resolve("without.pdf");
        AddedLayers.takeOff(KnownFile.of(file), _ -> false, kinds, NOW, to, Progress.NONE);
        Programs.Result check = Programs.run("qpdf", "--check", to.toString());
        assertThat(check.status()).as(check.output()).isZero();
        return Files.readAllBytes(to);
    }

    private void same(byte[] one, byte[] other) throws IOException {
        Path a = Files.write(folder.resolve("a.pdf"), one);
        Path b = Files.write(folder.resolve("b.pdf"), other);
        assertThat(pixels(FilesOfOthers.popplerDraws(a, folder)))
                .as("poppler")
                .isEqualTo(pixels(FilesOfOthers.popplerDraws(b, folder)));
        assertThat(pixels(FilesOfOthers.ghostscriptDraws(a, folder)))
                .as("ghostscript")
                .isEqualTo(pixels(FilesOfOthers.ghostscriptDraws(b, folder)));
    }

    private static int[] pixels(BufferedImage image) {
        return image.getRGB(0, 0, image.getWidth(), image.getHeight(), null, 0, image.getWidth());
    }

    @Test
    void they_are_left_out_by_kind_and_come_back() throws IOException {
        byte[] all = page(BACKGROUND, WATERMARK + HEADER);
        assertThat(AddedLayers.marks(KnownFile.of(all)).others())
                .isEqualTo(
                        Map.of(
                                AddedItem.Kind.BACKGROUND, 1,
                                AddedItem.Kind.WATERMARK, 1,
                                AddedItem.Kind.RUNNING_TEXT, 1));
        byte[] less = without(all, EnumSet.of(AddedItem.Kind.WATERMARK));
        same(less, page(BACKGROUND, HEADER));
        assertThat(AddedLayers.added(KnownFile.of(less)).get(1))
                .extracting(AddedItem::kind, AddedItem::name)
                .containsExactly(
                        org.assertj.core.api.Assertions.tuple(
                                AddedItem.Kind.LEFT_OUT, "watermark of others"));
        byte[] none = without(less, AddedItem.BY_OTHERS);
        same(none, page("", ""));
        assertThat(AddedLayers.marks(KnownFile.of(none)).others())
                .as("what is empty is none")
                .isEmpty();
        byte[] again = back(none);
        same(again, all);
        assertThat(AddedLayers.marks(KnownFile.of(again)).added()).isEmpty();
        assertThat(AddedLayers.marks(KnownFile.of(again)).others()).hasSize(3);
    }

    /** What they set is in force behind them, too: only what they paint is left out. */
    @Test
    void what_such_a_section_sets_stays_set() throws IOException {
        byte[] file =
                page(
                        "",
                        "/Artifact <</Type /Background>> BDC 0 1 0 rg 1 0 0 1 30 0 cm 0 0 50 50 re f 0 0 60 60 re W n EMC 0 0 200 20 re f");
        same(
                without(file, AddedItem.BY_OTHERS),
                page("", "0 1 0 rg 1 0 0 1 30 0 cm 0 0 60 60 re W n 0 0 200 20 re f"));
    }

    /** As programs that put pages together wrap each page in a form, and that in another. */
    private static byte[] inForms(String content, int pages) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            PDFormXObject inner = new PDFormXObject(document);
            inner.setBBox(page.getMediaBox());
            inner.setResources(page.getResources());
            try (var out = inner.getStream().createOutputStream()) {
                out.write(
                        ("0.1 0.1 0.3 rg 30 90 40 10 re f " + content)
                                .getBytes(StandardCharsets.US_ASCII));
            }
            PDFormXObject outer = new PDFormXObject(document);
            outer.setBBox(page.getMediaBox());
            PDResources of = new PDResources();
            of.put(COSName.getPDFName("Inner"), inner);
            outer.setResources(of);
            try (var out = outer.getStream().createOutputStream()) {
                out.write("/Inner Do".getBytes(StandardCharsets.US_ASCII));
            }
            PDResources resources = new PDResources();
            resources.put(COSName.getPDFName("Outer"), outer);
            page.setResources(resources);
            PDStream stream = new PDStream(document);
            try (var out = stream.createOutputStream()) {
                out.write("/Outer Do".getBytes(StandardCharsets.US_ASCII));
            }
            page.setContents(stream);
            for (int i = 1; i < pages; i++) {
                document.addPage(new PDPage(new COSDictionary(page.getCOSObject())));
            }
        });
    }

    @Test
    void they_are_left_out_of_forms_too_and_come_back() throws IOException {
        byte[] all = inForms(BACKGROUND + WATERMARK, 3);
        assertThat(AddedLayers.marks(KnownFile.of(all)).others())
                .isEqualTo(Map.of(AddedItem.Kind.BACKGROUND, 3, AddedItem.Kind.WATERMARK, 3));
        byte[] less = without(all, EnumSet.of(AddedItem.Kind.WATERMARK));
        same(less, inForms(BACKGROUND, 3));
        try (PDDocument document = Loader.loadPDF(less)) {
            COSName outer = COSName.getPDFName("Outer");
            assertThat(document.getPage(2).getResources().getXObject(outer).getCOSObject())
                    .as("one copy for all pages")
                    .isSameAs(document.getPage(0).getResources().getXObject(outer).getCOSObject());
        }
        byte[] none = without(less, AddedItem.BY_OTHERS);
        same(none, inForms("", 3));
        byte[] again = back(none);
        same(again, all);
        assertThat(AddedLayers.marks(KnownFile.of(again)).others()).hasSize(2);
    }

    @Test
    void a_form_that_draws_itself_is_looked_through_once() throws IOException {
        byte[] file =
                FilesOfOthers.drawn((document, page) -> {
                    PDFormXObject form = new PDFormXObject(document);
                    form.setBBox(page.getMediaBox());
                    PDResources resources = new PDResources();
                    resources.put(COSName.getPDFName("Self"), form);
                    form.setResources(resources);
                    try (var out = form.getStream().createOutputStream()) {
                        out.write(("/Self Do " + BACKGROUND).getBytes(StandardCharsets.US_ASCII));
                    }
                    page.getResources().put(COSName.getPDFName("Self"), form);
                    PDStream stream = new PDStream(document);
                    try (var out = stream.createOutputStream()) {
                        out.write("/Self Do".getBytes(StandardCharsets.US_ASCII));
                    }
                    page.setContents(stream);
                });
        assertThat(AddedLayers.marks(KnownFile.of(file)).others())
                .isEqualTo(Map.of(AddedItem.Kind.BACKGROUND, 1));
        assertThat(without(file, AddedItem.BY_OTHERS)).startsWith(file);
    }

    /** Nothing is known for certain of these, or what follows would move. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "BT /F1 9 Tf /Artifact <</Subtype /Watermark>> BDC (ab) Tj EMC (cd) Tj ET",
                "/Artifact <</Subtype /Watermark>> BDC BT /F1 9 Tf 7 Tr (ab) Tj ET EMC 0 0 90 90 re f",
                "/Artifact <</Type /Layout>> BDC 0 0 9 9 re f EMC",
                "/Artifact BMC 0 0 9 9 re f EMC",
                "/P <</Subtype /Watermark>> BDC 0 0 9 9 re f EMC",
                "/Artifact /Nowhere BDC 0 0 9 9 re f EMC",
                "/Artifact <</Type /Background>> BDC 0 0 9 9 re f",
                "/Artifact <</Subtype /Watermark>> BDC BT /F1 9 Tf 3 \" ET 0 0 9 9 re f EMC",
                "EMC EMC /Artifact"
            })
    void these_stay(String content) throws IOException {
        byte[] file = page("", content);
        assertThat(AddedLayers.marks(KnownFile.of(file)).others()).isEmpty();
        assertThat(without(file, AddedItem.BY_OTHERS)).isEqualTo(file);
    }

    /** What was added here is marked as an artifact, too, and is not told as that of others. */
    @Test
    void what_was_left_out_and_what_is_added_are_told_apart() throws IOException {
        byte[] less =
                without(page("", WATERMARK + HEADER), EnumSet.of(AddedItem.Kind.RUNNING_TEXT));
        assertThat(AddedLayers.marks(KnownFile.of(less)).others())
                .isEqualTo(Map.of(AddedItem.Kind.WATERMARK, 1));
        assertThat(AddedLayers.marks(KnownFile.of(less)).added()).hasSize(1);
    }

    /** A page with a note, and with watermarks as annotations (12.5.6.22). */
    private static byte[] annotated(int watermarks, String content) throws IOException {
        try (PDDocument document = Loader.loadPDF(page("", content))) {
            PDPage page = document.getPage(0);
            List<PDAnnotation> all = new ArrayList<>();
            all.add(annotation(document, "Square", new PDRectangle(150, 100, 60, 30)));
            for (int i = 0; i < watermarks; i++) {
                PDRectangle place = new PDRectangle(20 + 10 * i, 20, 100, 60);
                all.add(i, annotation(document, "Watermark", place));
            }
            page.setAnnotations(all);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private static PDAnnotation annotation(PDDocument document, String subtype, PDRectangle place)
            throws IOException {
        PDAppearanceStream look = new PDAppearanceStream(document);
        look.setBBox(new PDRectangle(place.getWidth(), place.getHeight()));
        look.setResources(new PDResources());
        try (var out = look.getStream().createOutputStream()) {
            out.write("0.5 0 0.5 rg 0 0 50 20 re f".getBytes(StandardCharsets.US_ASCII));
        }
        PDAppearanceDictionary looks = new PDAppearanceDictionary();
        looks.setNormalAppearance(look);
        PDAnnotationSquare annotation = new PDAnnotationSquare();
        annotation.getCOSObject().setName(COSName.SUBTYPE, subtype);
        annotation.setRectangle(place);
        annotation.setPrinted(true);
        annotation.setAppearance(looks);
        return annotation;
    }

    @ParameterizedTest
    @ValueSource(strings = {"", WATERMARK, WATERMARK + HEADER})
    void watermarks_that_are_annotations_are_left_out_and_come_back(String content)
            throws IOException {
        byte[] all = annotated(2, content);
        assertThat(AddedLayers.marks(KnownFile.of(all)).others())
                .containsEntry(AddedItem.Kind.WATERMARK, 1);
        byte[] less = without(all, EnumSet.of(AddedItem.Kind.WATERMARK));
        same(less, annotated(0, content.replace(WATERMARK, "")));
        assertThatThrownBy(() -> same(less, all))
                .as("they are seen")
                .isInstanceOf(AssertionError.class);
        assertThat(AddedLayers.marks(KnownFile.of(less)).others())
                .doesNotContainKey(AddedItem.Kind.WATERMARK);
        assertThat(AddedLayers.added(KnownFile.of(less)).get(1))
                .extracting(AddedItem::name)
                .containsExactly("watermark of others");
        byte[] again = back(less);
        same(again, all);
        assertThat(AddedLayers.marks(KnownFile.of(again)))
                .isEqualTo(AddedLayers.marks(KnownFile.of(all)));
    }

    private byte[] back(byte[] file) throws IOException {
        Path back = folder.resolve("back.pdf");
        AddedLayers.takeOff(KnownFile.of(file), _ -> true, Set.of(), NOW, back, Progress.NONE);
        return Files.readAllBytes(back);
    }

    @Test
    void what_others_annotate_later_stays_when_watermarks_come_back() throws IOException {
        byte[] less = without(annotated(1, ""), EnumSet.of(AddedItem.Kind.WATERMARK));
        ByteArrayOutputStream later = new ByteArrayOutputStream();
        try (PDDocument document = Loader.loadPDF(less)) {
            PDPage page = document.getPage(0);
            page.getAnnotations()
                    .add(annotation(document, "Circle", new PDRectangle(5, 150, 60, 20)));
            document.save(later);
        }
        try (PDDocument document = Loader.loadPDF(back(later.toByteArray()))) {
            assertThat(document.getPage(0).getAnnotations())
                    .extracting(PDAnnotation::getSubtype)
                    .containsExactly("Watermark", "Square", "Circle");
        }
    }
}
