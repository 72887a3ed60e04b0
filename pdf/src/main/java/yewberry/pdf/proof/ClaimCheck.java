package yewberry.pdf.proof;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDDocumentInformation;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDOutputIntent;
import yewberry.core.color.Medium;
import yewberry.core.output.Claim;
import yewberry.core.output.PdfProfile;
import yewberry.pdf.Xmp;

/**
 * Holds a file to the standards that it claims, by rule, as far as what Yewberry writes could break
 * them: ISO 15930-7 (PDF/X-4), ISO 19005-2 level A (PDF/A-2a) and ISO 14289-1 (PDF/UA-1). Each
 * rule's subject is named beside it.
 */
public final class ClaimCheck {
    private static final COSName DEVICE_OTHER_ON_PAPER = COSName.DEVICERGB;
    private static final COSName DEVICE_OTHER_ON_SCREEN = COSName.DEVICECMYK;

    private static final Set<String> BLENDS =
            Set.of(
                    "Normal",
                    "Compatible",
                    "Multiply",
                    "Screen",
                    "Overlay",
                    "Darken",
                    "Lighten",
                    "ColorDodge",
                    "ColorBurn",
                    "HardLight",
                    "SoftLight",
                    "Difference",
                    "Exclusion",
                    "Hue",
                    "Saturation",
                    "Color",
                    "Luminosity");

    /** None of them may be in a file that is exchanged blindly or kept. */
    private static final Set<String> ACTIONS =
            Set.of(
                    "Launch",
                    "Sound",
                    "Movie",
                    "ResetForm",
                    "ImportData",
                    "Hide",
                    "SetOCGState",
                    "Rendition",
                    "Trans",
                    "GoTo3DView",
                    "JavaScript");

    /** Operators that set colours of light, and of process ink: ISO 32000-1, table 74. */
    private static final Set<String> LIGHT = Set.of("rg", "RG");

    private static final Set<String> INK = Set.of("k", "K");

    private final PDDocument document;
    private final PdfProfile profile;
    private final Set<String> problems = new LinkedHashSet<>();

    private ClaimCheck(PDDocument document, PdfProfile profile) {
        this.document = document;
        this.profile = profile;
    }

    /** What breaks a claim, each with the standard's name. */
    static List<String> check(PDDocument document, PdfProfile profile) throws IOException {
        ClaimCheck check = new ClaimCheck(document, profile);
        if (!profile.claims().isEmpty()) {
            check.all();
        }
        return List.copyOf(check.problems);
    }

    /**
     * What of a page would break the claims of a file that it is placed in.
     *
     * @throws IOException if the page cannot be read
     */
    public static List<String> placed(PDPage page, PDDocument document, PdfProfile profile)
            throws IOException {
        ClaimCheck check = new ClaimCheck(document, profile);
        if (!profile.claims().isEmpty()) {
            COSBase resources = page.getCOSObject().getDictionaryObject(COSName.RESOURCES);
            PDResources inherited = page.getResources();
            check.objects(
                    resources == null && inherited != null ? inherited.getCOSObject() : resources);
            try (InputStream content = page.getContents()) {
                byte[] operators = content.readAllBytes();
                check.operators(operators);
                check.rule(
                        !isMarked(operators),
                        "it is marked for another structure.",
                        Claim.PDF_A_2A,
                        Claim.PDF_UA_1);
            }
        }
        return List.copyOf(check.problems);
    }

    private static boolean isMarked(byte[] content) throws IOException {
        PDFStreamParser parser = new PDFStreamParser(content);
        for (Object token = parser.parseNextToken();
                token != null;
                token = parser.parseNextToken()) {
            if (token instanceof COSDictionary properties && properties.containsKey(COSName.MCID)) {
                return true;
            }
        }
        return false;
    }

    private void rule(boolean holds, String broken, Claim... of) {
        for (Claim claim : of) {
            if (!holds && profile.claims(claim)) {
                problems.add("%s: %s".formatted(claim.inWords(), broken));
            }
        }
    }

    private void all() throws IOException {
        rule(!document.isEncrypted(), "the file is encrypted.", Claim.values());
        identification();
        intents();
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        rule(
                !catalog.containsKey(COSName.AA),
                "something is to happen by itself.",
                Claim.PDF_X_4,
                Claim.PDF_A_2A);
        for (PDPage page : document.getPages()) {
            boxes(page);
            annotations(page);
        }
        structure();
        objects(document.getDocument().getTrailer());
        for (PDPage page : document.getPages()) {
            try (InputStream content = page.getContents()) {
                operators(content.readAllBytes());
            }
        }
    }

    private void operators(byte[] content) throws IOException {
        Set<String> other = profile.medium() == Medium.PAPER ? LIGHT : INK;
        PDFStreamParser parser = new PDFStreamParser(content);
        boolean uncovered = false;
        for (Object token = parser.parseNextToken();
                token != null && !uncovered;
                token = parser.parseNextToken()) {
            uncovered = token instanceof Operator operator && other.contains(operator.getName());
        }
        uncovered(uncovered);
    }

    private void uncovered(boolean is) {
        rule(!is, "there are colours that its profile is not for.", Claim.PDF_X_4, Claim.PDF_A_2A);
    }

    /** What the file says of itself, the same in both places. */
    private void identification() throws IOException {
        Optional<Xmp> xmp = Xmp.of(document);
        rule(xmp.isPresent(), "there are no metadata that can be read.", Claim.values());
        if (xmp.isEmpty()) {
            return;
        }
        COSBase stream =
                document.getDocumentCatalog().getCOSObject().getDictionaryObject(COSName.METADATA);
        rule(
                stream instanceof COSStream found && !found.containsKey(COSName.FILTER),
                "the metadata are packed.",
                Claim.PDF_X_4,
                Claim.PDF_A_2A);
        rule(
                says(xmp.get(), "http://www.npes.org/pdfx/ns/id/", "GTS_PDFXVersion", "PDF/X-4"),
                "the file does not name it.",
                Claim.PDF_X_4);
        rule(
                says(xmp.get(), "http://www.aiim.org/pdfa/ns/id/", "part", "2")
                        && says(xmp.get(), "http://www.aiim.org/pdfa/ns/id/", "conformance", "A"),
                "the file does not name it.",
                Claim.PDF_A_2A);
        rule(
                says(xmp.get(), "http://www.aiim.org/pdfua/ns/id/", "part", "1"),
                "the file does not name it.",
                Claim.PDF_UA_1);
        PDDocumentInformation information = document.getDocumentInformation();
        String title = xmp.get().property("http://purl.org/dc/elements/1.1/", "title").orElse("");
        rule(!title.isBlank(), "the file has no title.", Claim.values());
        rule(
                title.equals(Optional.ofNullable(information.getTitle()).orElse("").strip()),
                "the file has two titles.",
                Claim.values());
        String trapped = xmp.get().property("http://ns.adobe.com/pdf/1.3/", "Trapped").orElse("");
        rule(
                (trapped.equals("False") || trapped.equals("True"))
                        && trapped.equals(information.getTrapped()),
                "the file does not say whether it is trapped.",
                Claim.PDF_X_4);
        rule(
                information.getCreationDate() != null && information.getModificationDate() != null,
                "the file does not say when it was made and changed.",
                Claim.PDF_X_4);
        COSArray id = document.getDocument().getDocumentID();
        rule(
                id != null && id.size() == 2,
                "the file has no identifier.",
                Claim.PDF_X_4,
                Claim.PDF_A_2A);
        rule(document.getVersion() <= 1.65f, "the file is of a later PDF than 1.6.", Claim.PDF_X_4);
    }

    private static boolean says(Xmp xmp, String space, String name, String value) {
        return xmp.property(space, name).filter(value::equals).isPresent();
    }

    /** Output intents: one of each purpose, all with one profile that is of the device. */
    private void intents() throws IOException {
        List<PDOutputIntent> intents = document.getDocumentCatalog().getOutputIntents();
        rule(of(intents, "GTS_PDFX") == 1, "no printing condition is named.", Claim.PDF_X_4);
        rule(of(intents, "GTS_PDFA1") == 1, "no profile of its colours is named.", Claim.PDF_A_2A);
        COSStream first = null;
        for (PDOutputIntent intent : intents) {
            COSStream profile = intent.getDestOutputIntent();
            if (profile == null) {
                rule(false, "a profile is missing.", Claim.PDF_X_4, Claim.PDF_A_2A);
                continue;
            }
            rule(
                    first == null || profile == first,
                    "its purposes name different profiles.",
                    Claim.PDF_A_2A);
            first = profile;
            byte[] head;
            try (var in = profile.createInputStream()) {
                head = in.readNBytes(128);
            }
            String kind = new String(head, 12, 4, StandardCharsets.US_ASCII);
            String space = new String(head, 16, 4, StandardCharsets.US_ASCII);
            rule(kind.equals("prtr"), "the profile is not of a press.", Claim.PDF_X_4);
            rule(
                    space.equals(this.profile.medium() == Medium.PAPER ? "CMYK" : "RGB "),
                    "the profile is for other colours.",
                    Claim.PDF_X_4,
                    Claim.PDF_A_2A);
            rule(head[8] <= 4, "the profile is too new.", Claim.PDF_X_4, Claim.PDF_A_2A);
        }
    }

    private static long of(List<PDOutputIntent> intents, String purpose) {
        return intents.stream()
                .filter(each -> purpose.equals(each.getCOSObject().getNameAsString(COSName.S)))
                .count();
    }

    /** Page boxes: one that says where it is trimmed, each within the next. */
    private void boxes(PDPage page) {
        COSDictionary of = page.getCOSObject();
        rule(
                of.containsKey(COSName.TRIM_BOX) != of.containsKey(COSName.ART_BOX),
                "a page does not say where it is trimmed.",
                Claim.PDF_X_4);
        rule(
                holds(page.getBleedBox(), page.getTrimBox())
                        && holds(page.getMediaBox(), page.getBleedBox()),
                "the boxes of a page do not lie within each other.",
                Claim.PDF_X_4);
    }

    private static boolean holds(PDRectangle outer, PDRectangle inner) {
        float off = 0.01f;
        return outer.getLowerLeftX() <= inner.getLowerLeftX() + off
                && outer.getLowerLeftY() <= inner.getLowerLeftY() + off
                && outer.getUpperRightX() >= inner.getUpperRightX() - off
                && outer.getUpperRightY() >= inner.getUpperRightY() - off;
    }

    private void annotations(PDPage page) throws IOException {
        var annotations = page.getAnnotations();
        rule(annotations.isEmpty(), "something lies over a page.", Claim.PDF_X_4);
        rule(
                annotations.isEmpty() || "S".equals(page.getCOSObject().getNameAsString("Tabs")),
                "a page is not gone through in the order of its structure.",
                Claim.PDF_UA_1);
        for (var each : annotations) {
            rule(
                    each.isPrinted() && !each.isHidden() && !each.isNoView() && !each.isInvisible(),
                    "something over a page is hidden.",
                    Claim.PDF_A_2A);
            rule(
                    each.getContents() != null && !each.getContents().isBlank(),
                    "a link does not say in words where it leads.",
                    Claim.PDF_UA_1);
            rule(each.getStructParent() >= 0, "a link is in no element.", Claim.PDF_UA_1);
        }
    }

    /** What holds for files with structure; the elements themselves StructureCheck holds. */
    private void structure() {
        PDDocumentCatalog catalog = document.getDocumentCatalog();
        COSDictionary of = catalog.getCOSObject();
        COSDictionary marks = of.getCOSDictionary(COSName.MARK_INFO);
        rule(
                marks != null
                        && marks.getBoolean(COSName.getPDFName("Marked"), false)
                        && of.getCOSDictionary(COSName.STRUCT_TREE_ROOT) != null,
                "the file has no structure.",
                Claim.PDF_A_2A,
                Claim.PDF_UA_1);
        rule(
                catalog.getLanguage() != null && !catalog.getLanguage().isBlank(),
                "the file does not say its language.",
                Claim.PDF_A_2A,
                Claim.PDF_UA_1);
        rule(
                catalog.getViewerPreferences() != null
                        && catalog.getViewerPreferences().displayDocTitle(),
                "readers show the name of the file instead of its title.",
                Claim.PDF_UA_1);
        if (of.getCOSDictionary(COSName.STRUCT_TREE_ROOT) != null) {
            elements(of.getCOSDictionary(COSName.STRUCT_TREE_ROOT));
        }
    }

    /** Headings miss no level, and figures say something. */
    private void elements(COSDictionary root) {
        int last = 0;
        Deque<COSBase> open = new ArrayDeque<>();
        Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        open.push(root);
        while (!open.isEmpty()) {
            COSBase next = open.pop();
            if (!(next instanceof COSDictionary element) || !seen.add(element)) {
                continue;
            }
            String type = Optional.ofNullable(element.getNameAsString(COSName.S)).orElse("");
            if (type.matches("H[1-6]")) {
                int level = type.charAt(1) - '0';
                rule(level <= last + 1, "a level of headings is missing.", Claim.PDF_UA_1);
                last = level;
            }
            rule(
                    !type.equals("Figure") || !element.getString(COSName.ALT, "").isBlank(),
                    "a picture says nothing in words.",
                    Claim.PDF_UA_1);
            COSBase kids = element.getDictionaryObject(COSName.K);
            if (kids instanceof COSArray array) {
                for (int i = array.size() - 1; i >= 0; i--) {
                    open.push(array.getObject(i));
                }
            } else if (kids != null) {
                open.push(kids);
            }
        }
    }

    /** All objects of the file, each once. */
    private void objects(COSBase from) throws IOException {
        Set<COSBase> seen = Collections.newSetFromMap(new IdentityHashMap<>());
        Deque<COSBase> open = new ArrayDeque<>();
        if (from != null) {
            open.push(from);
        }
        while (!open.isEmpty()) {
            COSBase next = open.pop();
            if (next instanceof COSObject reference) {
                next = reference.getObject();
            }
            if (next == null || !seen.add(next)) {
                continue;
            }
            switch (next) {
                case COSDictionary dictionary -> {
                    object(dictionary);
                    dictionary.getValues().forEach(open::push);
                }
                case COSArray array -> {
                    space(array);
                    array.forEach(each -> {
                        if (each != null) {
                            open.push(each);
                        }
                    });
                }
                default -> {}
            }
        }
    }

    private void object(COSDictionary of) throws IOException {
        if (of instanceof COSStream stream) {
            rule(
                    !stream.containsKey(COSName.F),
                    "something is kept in another file.",
                    Claim.PDF_X_4,
                    Claim.PDF_A_2A);
            rule(
                    !named(stream.getFilters()).contains("LZWDecode")
                            && !named(stream.getFilters()).contains("Crypt"),
                    "something is packed by LZW, or encrypted.",
                    Claim.PDF_X_4,
                    Claim.PDF_A_2A);
        }
        String type = Optional.ofNullable(of.getNameAsString(COSName.TYPE)).orElse("");
        String subtype = Optional.ofNullable(of.getNameAsString(COSName.SUBTYPE)).orElse("");
        switch (subtype) {
            case "PS" ->
                    rule(false, "there is a program of PostScript.", Claim.PDF_X_4, Claim.PDF_A_2A);
            case "Image" -> {
                rule(
                        !of.containsKey(COSName.getPDFName("Alternates"))
                                && !of.getBoolean(COSName.INTERPOLATE, false),
                        "a picture has others in its place, or is smoothed.",
                        Claim.PDF_X_4,
                        Claim.PDF_A_2A);
                space(of.getDictionaryObject(COSName.COLORSPACE));
            }
            case "Form" -> {
                if (of instanceof COSStream form) {
                    try (InputStream content = form.createInputStream()) {
                        operators(content.readAllBytes());
                    }
                }
                rule(
                        !of.containsKey(COSName.getPDFName("OPI"))
                                && !of.containsKey(COSName.getPDFName("Ref")),
                        "something is to be replaced by another file.",
                        Claim.PDF_X_4,
                        Claim.PDF_A_2A);
            }
            case "FileAttachment" ->
                    rule(false, "a file is attached.", Claim.PDF_X_4, Claim.PDF_A_2A);
            default -> {}
        }
        if (type.equals("Font")) {
            font(of, subtype);
        }
        if (of.containsKey(COSName.SHADING_TYPE)) {
            space(of.getDictionaryObject(COSName.COLORSPACE));
        }
        if (of.getDictionaryObject(COSName.S) instanceof COSName action
                && (type.equals("Action") || of.containsKey(COSName.getPDFName("JS")))) {
            rule(
                    !ACTIONS.contains(action.getName()),
                    "something happens when it is looked at.",
                    Claim.PDF_X_4,
                    Claim.PDF_A_2A);
        }
        if (of.getDictionaryObject(COSName.BM) instanceof COSName blend) {
            rule(
                    BLENDS.contains(blend.getName()),
                    "something is blended in a way that no standard has.",
                    Claim.PDF_X_4,
                    Claim.PDF_A_2A);
        }
        rule(
                !of.containsKey(COSName.getPDFName("TR"))
                        && !of.containsKey(COSName.getPDFName("HTP")),
                "colours are changed on the way to the device.",
                Claim.PDF_X_4,
                Claim.PDF_A_2A);
        rule(
                !of.containsKey(COSName.OCPROPERTIES)
                        || !hasAutomaticStates(of.getCOSDictionary(COSName.OCPROPERTIES)),
                "what is seen and printed changes by itself.",
                Claim.PDF_A_2A,
                Claim.PDF_UA_1);
        if (COSName.TRANSPARENCY.equals(of.getDictionaryObject(COSName.S))) {
            space(of.getDictionaryObject(COSName.CS));
        }
    }

    private static boolean hasAutomaticStates(COSDictionary properties) {
        COSDictionary shown = properties.getCOSDictionary(COSName.D);
        return shown != null && shown.containsKey(COSName.AS);
    }

    private void font(COSDictionary font, String subtype) {
        boolean composed = subtype.equals("Type0");
        rule(
                !composed || font.getDictionaryObject(COSName.TO_UNICODE) instanceof COSStream,
                "the characters of a font are not said.",
                Claim.PDF_A_2A,
                Claim.PDF_UA_1);
        if (composed || subtype.equals("Type3")) {
            return;
        }
        COSDictionary descriptor = font.getCOSDictionary(COSName.FONT_DESC);
        rule(
                descriptor != null
                        && (descriptor.containsKey(COSName.FONT_FILE)
                                || descriptor.containsKey(COSName.FONT_FILE2)
                                || descriptor.containsKey(COSName.FONT_FILE3)),
                "a font is not in the file.",
                Claim.values());
        rule(
                !subtype.equals("CIDFontType2") || font.containsKey(COSName.CID_TO_GID_MAP),
                "the glyphs of a font are not said.",
                Claim.PDF_X_4,
                Claim.PDF_A_2A);
    }

    /** Colours of a device that the profile is not of. */
    private void space(COSBase found) {
        COSBase space = found instanceof COSObject reference ? reference.getObject() : found;
        COSName other =
                profile.medium() == Medium.PAPER ? DEVICE_OTHER_ON_PAPER : DEVICE_OTHER_ON_SCREEN;
        boolean uncovered = other.equals(space);
        if (space instanceof COSArray array
                && array.size() > 2
                && (COSName.SEPARATION.equals(array.getObject(0))
                        || COSName.DEVICEN.equals(array.getObject(0)))) {
            uncovered = other.equals(array.getObject(2));
        }
        uncovered(uncovered);
    }

    private static List<String> named(COSBase filters) {
        List<String> names = new ArrayList<>();
        if (filters instanceof COSName one) {
            names.add(one.getName());
        } else if (filters instanceof COSArray several) {
            for (int i = 0; i < several.size(); i++) {
                names.add(several.getName(i));
            }
        }
        return names;
    }
}
