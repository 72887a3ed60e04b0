package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Publication;
import yewberry.pdf.proof.ReadBack;

/** Whatever is harmed in a file on purpose, with PDFBox or with qpdf, the read-back notices. */
class HarmedOutputsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final int SEEDS = 40;

    @TempDir static Path folder;

    private static final Map<String, PdfOutput> OUTPUTS = new HashMap<>();

    /** Changes a file; false where it has nothing that could be changed so. */
    private interface Harm {
        boolean harm(PDDocument document) throws IOException;
    }

    private record Case(String name, PdfProfile profile, Harm harm) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static Case reading(String name, Harm harm) {
        return new Case(name, PdfProfile.READING, harm);
    }

    private static Case all(String name, Harm harm) {
        return new Case(name, PdfProfile.ALL, harm);
    }

    /** Changes the operators of the first page on which that changes anything. */
    private static Harm content(UnaryOperator<String> change) {
        return document -> {
            for (PDPage page : document.getPages()) {
                String was =
                        new String(page.getContents().readAllBytes(), StandardCharsets.ISO_8859_1);
                String is = change.apply(was);
                if (!is.equals(was)) {
                    PDStream stream = new PDStream(document);
                    try (OutputStream out = stream.createOutputStream()) {
                        out.write(is.getBytes(StandardCharsets.ISO_8859_1));
                    }
                    page.setContents(stream);
                    return true;
                }
            }
            return false;
        };
    }

    private static Harm replaced(String pattern, String by) {
        return content(text -> text.replaceFirst(pattern, by));
    }

    /** Changes the first element of a type. */
    private interface OfElement {
        boolean harm(COSDictionary element);
    }

    private static Harm element(String type, OfElement harm) {
        return document -> {
            for (COSDictionary each : elements(document)) {
                if (type.equals(each.getNameAsString(COSName.S)) && harm.harm(each)) {
                    return true;
                }
            }
            return false;
        };
    }

    private static List<COSDictionary> elements(PDDocument document) {
        List<COSDictionary> found = new ArrayList<>();
        COSDictionary root =
                document.getDocumentCatalog()
                        .getCOSObject()
                        .getCOSDictionary(COSName.STRUCT_TREE_ROOT);
        collect(root, found);
        return found;
    }

    private static void collect(COSDictionary element, List<COSDictionary> found) {
        if (element.containsKey(COSName.S)) {
            found.add(element);
        }
        COSBase kids = element.getDictionaryObject(COSName.K);
        if (kids instanceof COSArray array) {
            for (int i = 0; i < array.size(); i++) {
                if (array.getObject(i) instanceof COSDictionary kid) {
                    collect(kid, found);
                }
            }
        }
    }

    /** Changes a resource of some page. */
    private static Harm resource(COSName kind, OfElement harm) {
        return document -> {
            for (PDPage page : document.getPages()) {
                COSDictionary all = page.getResources().getCOSObject().getCOSDictionary(kind);
                if (all == null) {
                    continue;
                }
                for (COSName name : all.keySet()) {
                    if (all.getDictionaryObject(name) instanceof COSDictionary each
                            && harm.harm(each)) {
                        return true;
                    }
                }
            }
            return false;
        };
    }

    private static Harm catalog(String key) {
        return document -> {
            COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
            boolean there = catalog.containsKey(key);
            catalog.removeItem(COSName.getPDFName(key));
            return there;
        };
    }

    private static Harm metadata(String from, String to) {
        return document -> {
            COSStream xmp =
                    (COSStream)
                            document.getDocumentCatalog()
                                    .getCOSObject()
                                    .getDictionaryObject(COSName.METADATA);
            String was;
            try (var in = xmp.createInputStream()) {
                was = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            }
            try (OutputStream out = xmp.createOutputStream()) {
                out.write(was.replace(from, to).getBytes(StandardCharsets.UTF_8));
            }
            return was.contains(from);
        };
    }

    private static boolean moved(PDRectangle box, Consumer<PDRectangle> set) {
        set.accept(
                new PDRectangle(
                        box.getLowerLeftX() + 1,
                        box.getLowerLeftY(),
                        box.getWidth() - 1,
                        box.getHeight()));
        return true;
    }

    private static boolean removed(COSDictionary of, COSName key) {
        boolean there = of.containsKey(key);
        of.removeItem(key);
        return there;
    }

    static Stream<Case> cases() {
        COSName alt = COSName.ALT;
        return Stream.of(
                // what is painted
                reading("a background is missing", replaced("(?m)^[-\\d. ]+re f\n", "")),
                reading("a gradient is missing", replaced("/Sh\\d+ sh\n", "")),
                reading("a picture is missing", replaced("/X\\d+ Do\n", "")),
                reading(
                        "a background lies over the text",
                        content(text -> {
                            int from = text.indexOf("/Artifact <</Type /Background>> BDC");
                            int to = text.indexOf("EMC\n", from) + 4;
                            return from < 0
                                    ? text
                                    : text.substring(0, from)
                                            + text.substring(to)
                                            + text.substring(from, to);
                        })),
                reading(
                        "an opacity is another",
                        resource(
                                COSName.EXT_G_STATE,
                                each -> {
                                    if (each.getFloat(COSName.CA_NS, 1) == 1) {
                                        return false;
                                    }
                                    each.setFloat(COSName.CA_NS, 0.9f);
                                    return true;
                                })),
                reading(
                        "a blend mode is another",
                        resource(COSName.EXT_G_STATE, each -> removed(each, COSName.BM))),
                reading(
                        "a soft mask is missing",
                        resource(COSName.EXT_G_STATE, each -> removed(each, COSName.SMASK))),
                reading(
                        "a gradient has another colour",
                        resource(
                                COSName.getPDFName("Shading"),
                                each -> {
                                    COSDictionary function =
                                            each.getCOSDictionary(COSName.FUNCTION);
                                    COSArray pieces =
                                            function.getCOSArray(COSName.getPDFName("Functions"));
                                    COSArray color =
                                            ((COSDictionary) pieces.getObject(0))
                                                    .getCOSArray(COSName.C0);
                                    float was = ((COSFloat) color.get(0)).floatValue();
                                    color.set(
                                            0, new COSFloat(was > 0.5f ? was - 0.2f : was + 0.2f));
                                    return true;
                                })),
                reading(
                        "a gradient lies elsewhere",
                        resource(
                                COSName.getPDFName("Shading"),
                                each -> {
                                    COSArray at = each.getCOSArray(COSName.getPDFName("Coords"));
                                    at.set(
                                            0,
                                            new COSFloat(((COSFloat) at.get(0)).floatValue() + 60));
                                    return true;
                                })),
                reading("a picture is clipped", content(HarmedOutputsTest::clipped)),
                reading(
                        "a picture lies elsewhere",
                        content(text ->
                                text.replaceFirst("cm\n(/X\\d+ Do)", "cm\n1 0 0 1 0.02 0 cm\n$1"))),
                reading("a colour of a background is another", content(HarmedOutputsTest::tinted)),
                reading(
                        "the page is not mixed in its colours",
                        document -> {
                            for (PDPage page : document.getPages()) {
                                if (removed(page.getCOSObject(), COSName.GROUP)) {
                                    return true;
                                }
                            }
                            return false;
                        }),
                // glyphs
                reading(
                        "glyphs are off by a tenth of a millimetre",
                        content(HarmedOutputsTest::off)),
                reading("a glyph is missing", replaced("<([0-9a-f]{4})><[0-9a-f]{4}>", "<$1>")),
                reading("a glyph is there twice", replaced("<([0-9a-f]{4})>", "<$1><$1>")),
                reading("a glyph is another", content(HarmedOutputsTest::otherGlyph)),
                reading("type is larger", content(HarmedOutputsTest::larger)),
                reading("letters stand apart", replaced("><", "> -40 <")),
                reading("letters are not filled", replaced("BT ", "BT 1 Tr ")),
                reading("letters cannot be seen", replaced("BT ", "BT 3 Tr ")),
                reading(
                        "characters read otherwise",
                        replaced("/ActualText <FEFF....", "/ActualText <FEFF0058")),
                reading(
                        "a font says other characters",
                        resource(
                                COSName.FONT,
                                each -> {
                                    COSStream map =
                                            (COSStream)
                                                    each.getDictionaryObject(COSName.TO_UNICODE);
                                    try {
                                        String was;
                                        try (var in = map.createInputStream()) {
                                            was =
                                                    new String(
                                                            in.readAllBytes(),
                                                            StandardCharsets.US_ASCII);
                                        }
                                        try (OutputStream out = map.createOutputStream()) {
                                            out.write(
                                                    was.replace("<0065>", "<0058>")
                                                            .getBytes(StandardCharsets.US_ASCII));
                                        }
                                        return was.contains("<0065>");
                                    } catch (IOException e) {
                                        throw new IllegalStateException(e);
                                    }
                                })),
                reading(
                        "a font is missing",
                        resource(
                                COSName.FONT,
                                each -> {
                                    COSDictionary inner =
                                            (COSDictionary)
                                                    each.getCOSArray(COSName.DESCENDANT_FONTS)
                                                            .getObject(0);
                                    return removed(
                                            inner.getCOSDictionary(COSName.FONT_DESC),
                                            COSName.FONT_FILE2);
                                })),
                // structure
                reading("a tag is lost", replaced("/P <</MCID (\\d+)>> BDC", "/P BMC")),
                reading("a tag has another number", replaced("<</MCID 0>>", "<</MCID 77>>")),
                reading(
                        "an artifact is none",
                        replaced("/Artifact <</Type /Background>> BDC", "/Span BMC")),
                reading("something is in no tag", content(text -> "0 0 5 5 re f\n" + text)),
                reading("a heading is a paragraph", element("H1", each -> named(each, "P"))),
                reading("a heading is of another level", element("H1", each -> named(each, "H2"))),
                reading("an alternative text is missing", element("Figure", e -> removed(e, alt))),
                reading(
                        "an alternative text is another",
                        element(
                                "Figure",
                                each -> {
                                    each.setString(alt, "Something else");
                                    return true;
                                })),
                reading("a language is missing", element("Span", e -> removed(e, COSName.LANG))),
                reading(
                        "a language is another",
                        element(
                                "P",
                                each -> {
                                    each.setString(COSName.LANG, "nl");
                                    return true;
                                })),
                reading("a list is numbered otherwise", element("L", e -> removed(e, COSName.A))),
                reading(
                        "elements are in another order",
                        element("Document", HarmedOutputsTest::swapped)),
                reading("an element is missing", element("Document", HarmedOutputsTest::shortened)),
                reading("an item has lost its label", element("LI", HarmedOutputsTest::shortened)),
                reading(
                        "the way back to the elements is lost",
                        document ->
                                removed(
                                        document.getDocumentCatalog()
                                                .getCOSObject()
                                                .getCOSDictionary(COSName.STRUCT_TREE_ROOT),
                                        COSName.getPDFName("ParentTree"))),
                reading("it does not say that it is tagged", catalog("MarkInfo")),
                reading("there is no structure", catalog("StructTreeRoot")),
                reading("the file does not say its language", catalog("Lang")),
                reading("there are no bookmarks", catalog("Outlines")),
                reading("pages are not numbered", catalog("PageLabels")),
                // links
                reading(
                        "a link leads elsewhere",
                        document -> {
                            for (PDPage page : document.getPages()) {
                                for (var each : page.getAnnotations()) {
                                    if (each instanceof PDAnnotationLink link
                                            && link.getAction() instanceof PDActionURI action) {
                                        action.setURI("https://observatory.example/elsewhere");
                                        return true;
                                    }
                                }
                            }
                            return false;
                        }),
                reading(
                        "links are missing",
                        document -> {
                            for (PDPage page : document.getPages()) {
                                if (removed(page.getCOSObject(), COSName.ANNOTS)) {
                                    return true;
                                }
                            }
                            return false;
                        }),
                reading("a link is in no element", element("Link", HarmedOutputsTest::unlinked)),
                reading(
                        "a note lies over a page",
                        document -> {
                            PDAnnotationText note = new PDAnnotationText();
                            note.setRectangle(new PDRectangle(10, 10, 20, 20));
                            document.getPage(0).setAnnotations(List.of(note));
                            return true;
                        }),
                // what the file says of itself
                reading(
                        "the title is another",
                        document -> {
                            document.getDocumentInformation().setTitle("Another");
                            return true;
                        }),
                reading("there are no metadata", catalog("Metadata")),
                reading(
                        "it claims less",
                        metadata("<pdfaid:conformance>A<", "<pdfaid:conformance>B<")),
                reading(
                        "it does not claim PDF/UA",
                        metadata("<pdfuaid:part>1<", "<pdfuaid:part>2<")),
                all("it does not claim PDF/X", metadata(">PDF/X-4<", ">PDF/X-3<")),
                all("it does not say whether it is trapped", metadata(">False<", ">Unknown<")),
                reading("the name of the file is shown", catalog("ViewerPreferences")),
                all("there is no output intent", catalog("OutputIntents")),
                all(
                        "there is one output intent only",
                        document -> {
                            document.getDocumentCatalog()
                                    .getCOSObject()
                                    .getCOSArray(COSName.OUTPUT_INTENTS)
                                    .remove(1);
                            return true;
                        }),
                all(
                        "the output intent is another",
                        document -> {
                            document.getDocumentCatalog()
                                    .getOutputIntents()
                                    .getFirst()
                                    .getCOSObject()
                                    .setString(COSName.OUTPUT_CONDITION_IDENTIFIER, "FOGRA51");
                            return true;
                        }),
                all(
                        "the profile is another",
                        document -> {
                            COSStream profile =
                                    document.getDocumentCatalog()
                                            .getOutputIntents()
                                            .getFirst()
                                            .getDestOutputIntent();
                            byte[] bytes;
                            try (var in = profile.createInputStream()) {
                                bytes = in.readAllBytes();
                            }
                            bytes[bytes.length / 2] ^= 1;
                            try (OutputStream out =
                                    profile.createOutputStream(COSName.FLATE_DECODE)) {
                                out.write(bytes);
                            }
                            return true;
                        }),
                all(
                        "something happens by itself",
                        document -> {
                            document.getDocumentCatalog()
                                    .getCOSObject()
                                    .setItem(COSName.AA, new COSDictionary());
                            return true;
                        }),
                all("a colour is in light", replaced("(?m)^[\\d. ]+k\n", "0.2 0.3 0.4 rg\n")),
                all("text does not overprint", replaced("/Over gs\n", "")),
                all("a spot ink has another name", HarmedOutputsTest::renamed),
                // boxes
                reading(
                        "the trim is another",
                        document ->
                                moved(
                                        document.getPage(0).getTrimBox(),
                                        document.getPage(0)::setTrimBox)),
                reading(
                        "the bleed is another",
                        document ->
                                moved(
                                        document.getPage(0).getBleedBox(),
                                        document.getPage(0)::setBleedBox)),
                reading(
                        "the crop is another",
                        document ->
                                moved(
                                        document.getPage(0).getCropBox(),
                                        document.getPage(0)::setCropBox)),
                reading(
                        "the sheet is another",
                        document ->
                                moved(
                                        document.getPage(0).getMediaBox(),
                                        document.getPage(0)::setMediaBox)),
                reading(
                        "a page is turned",
                        document -> {
                            document.getPage(1).setRotation(90);
                            return true;
                        }),
                reading(
                        "a page is scaled",
                        document -> {
                            document.getPage(1).setUserUnit(2);
                            return true;
                        }),
                reading(
                        "a page is missing",
                        document -> {
                            document.removePage(0);
                            return true;
                        }));
    }

    /** ISO 32000-1, 8.6.6.4: a plate of another name. */
    private static boolean renamed(PDDocument document) {
        boolean found = false;
        for (PDPage page : document.getPages()) {
            COSDictionary all =
                    page.getResources().getCOSObject().getCOSDictionary(COSName.COLORSPACE);
            if (all == null) {
                continue;
            }
            for (COSName name : all.keySet()) {
                if (all.getDictionaryObject(name) instanceof COSArray space
                        && COSName.SEPARATION.equals(space.getObject(0))) {
                    space.set(1, COSName.getPDFName("Another"));
                    found = true;
                }
            }
        }
        return found;
    }

    private static boolean named(COSDictionary element, String type) {
        element.setName(COSName.S, type);
        return true;
    }

    private static boolean swapped(COSDictionary element) {
        COSArray kids = element.getCOSArray(COSName.K);
        if (kids.size() < 2) {
            return false;
        }
        COSBase first = kids.get(0);
        kids.set(0, kids.get(1));
        kids.set(1, first);
        return true;
    }

    private static boolean shortened(COSDictionary element) {
        COSArray kids = element.getCOSArray(COSName.K);
        kids.remove(0);
        return true;
    }

    private static boolean unlinked(COSDictionary element) {
        COSArray kids = element.getCOSArray(COSName.K);
        for (int i = 0; i < kids.size(); i++) {
            if (kids.getObject(i) instanceof COSDictionary kid
                    && "OBJR".equals(kid.getNameAsString(COSName.TYPE))) {
                kids.remove(i);
                return true;
            }
        }
        return false;
    }

    private static final Pattern MATRIX = Pattern.compile("([-\\d.]+) ([-\\d.]+) Tm\n");

    private static String off(String text) {
        return MATRIX.matcher(text)
                .replaceFirst(found ->
                        (Double.parseDouble(found.group(1)) + 0.2835)
                                + " "
                                + found.group(2)
                                + " Tm\n");
    }

    private static String larger(String text) {
        return Pattern.compile("BT /(F\\d+) ([\\d.]+) Tf")
                .matcher(text)
                .replaceFirst(found ->
                        "BT /"
                                + found.group(1)
                                + " "
                                + (Double.parseDouble(found.group(2)) + 0.5)
                                + " Tf");
    }

    private static String otherGlyph(String text) {
        return Pattern.compile("<([0-9a-f]{4})>(?=<)")
                .matcher(text)
                .replaceFirst(
                        found -> "<%04x>".formatted(Integer.parseInt(found.group(1), 16) + 1));
    }

    private static String clipped(String text) {
        return Pattern.compile("([-\\d.]+ [-\\d.]+) ([\\d.]+) ([\\d.]+) re W n\n(?=[^\n]+cm\n/X)")
                .matcher(text)
                .replaceFirst(found ->
                        found.group(1)
                                + " "
                                + (Double.parseDouble(found.group(2)) / 2)
                                + " "
                                + found.group(3)
                                + " re W n\n");
    }

    private static String tinted(String text) {
        return Pattern.compile("([\\d.]+) ([\\d.]+) ([\\d.]+) rg\n(?=[^\n]+re f)")
                .matcher(text)
                .replaceFirst(found -> {
                    double was = Double.parseDouble(found.group(1));
                    return (was > 0.5 ? was - 0.08 : was + 0.08)
                            + " "
                            + found.group(2)
                            + " "
                            + found.group(3)
                            + " rg\n";
                });
    }

    private static PdfOutput output(PdfProfile profile, int seed) {
        return OUTPUTS.computeIfAbsent(
                profile + " " + seed,
                _ -> {
                    SeededGuide guide = new SeededGuide(seed);
                    Publication publication = guide.publication();
                    return PdfOutput.of(
                            publication,
                            guide.scenes(publication).subList(0, 2),
                            profile,
                            COATED,
                            Instant.EPOCH);
                });
    }

    private static Path written(PdfProfile profile, int seed) throws IOException {
        Path file = folder.resolve("%s-%d.pdf".formatted(profile.medium(), seed));
        if (!file.toFile().exists()) {
            PdfWriter.write(output(profile, seed), file, Progress.NONE);
        }
        return file;
    }

    @ParameterizedTest
    @MethodSource("cases")
    void it_is_noticed(Case harmed) throws IOException {
        for (int seed = 0; seed < SEEDS; seed++) {
            Path file = written(harmed.profile(), seed);
            Path changed = folder.resolve("changed.pdf");
            boolean applied;
            try (PDDocument document = Loader.loadPDF(file.toFile())) {
                applied = harmed.harm().harm(document);
                document.save(changed.toFile());
            }
            if (applied) {
                var report = ReadBack.check(changed, output(harmed.profile(), seed), Progress.NONE);
                assertThat(report.matches()).as(harmed.name()).isFalse();
                return;
            }
        }
        throw new AssertionError("No publication has what would be harmed: " + harmed.name());
    }

    static Stream<List<String>> byQpdf() {
        return Stream.of(
                List.of("--pages", ".", "2,1", "--"),
                List.of("--pages", ".", "1,1-z", "--"),
                List.of("--rotate=+180:1"),
                List.of("--encrypt", "", "owner", "256", "--"),
                List.of("--remove-page-labels"),
                List.of("--min-version=2.0"));
    }

    @ParameterizedTest
    @MethodSource("byQpdf")
    void what_qpdf_changed_is_noticed(List<String> how) throws IOException {
        PdfProfile profile = PdfProfile.ALL;
        Path changed = folder.resolve("by-qpdf.pdf");
        List<String> command = new ArrayList<>(List.of("qpdf", written(profile, 0).toString()));
        command.addAll(how);
        command.add(changed.toString());
        assertThat(Programs.run(command.toArray(String[]::new)).status()).isIn(0, 3);
        assertThat(ReadBack.check(changed, output(profile, 0), Progress.NONE).matches())
                .as(how.toString())
                .isFalse();
    }
}
