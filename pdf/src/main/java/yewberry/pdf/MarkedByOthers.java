package yewberry.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.contentstream.PDContentStream;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import yewberry.core.Cancellation;

/**
 * Watermarks, backgrounds, headers and footers that other programs put on a page and marked as
 * artifacts (ISO 32000-1, 14.8.2.2), in its forms, too, or put there as annotations, and the page
 * without them. A form in which anything is left out is copied, because it may be used elsewhere.
 * Of content only what they paint is left out: what they set stays set. A section that shows text
 * which began before it, or that clips to text, is passed over, because what follows would stand
 * elsewhere.
 */
final class MarkedByOthers {
    private static final COSName ARTIFACT = COSName.getPDFName("Artifact");
    private static final COSName SUBTYPE = COSName.SUBTYPE;

    /** Operators of one section; what is longer than that is no running item. */
    private static final int LONGEST = 200_000;

    /** Two distances, a text, and the operator that shows it (9.4.3). */
    private static final int WITH_SPACES = 4;

    private static final int DEEPEST = 30;

    /** Forms of one file that are looked through; a hostile one has any number. */
    private static final int MOST_FORMS = 20_000;

    private final PDContentStream source;
    private final PDResources resources;
    private final Forms forms;
    private final int depth;
    private final Set<AddedItem.Kind> out;
    private final WrittenContent written = new WrittenContent();
    private final Map<AddedItem.Kind, Integer> found = new EnumMap<>(AddedItem.Kind.class);
    private Optional<Section> section = Optional.empty();

    /** Whether anything of this content is, rather than of its forms. */
    private boolean leavesOut;

    private final Map<COSName, COSStream> replaced = new LinkedHashMap<>();

    private MarkedByOthers(PDContentStream source, PDResources resources, Forms forms, int depth) {
        this.source = source;
        this.resources = resources;
        this.forms = forms;
        this.depth = depth;
        this.out = forms.out;
    }

    /** The forms of a file, each looked through once however many pages draw it. */
    static final class Forms {
        private final Optional<PDDocument> document;
        private final Set<AddedItem.Kind> out;
        private final Map<List<Object>, Form> known = new HashMap<>();

        private Forms(Optional<PDDocument> document, Set<AddedItem.Kind> out) {
            this.document = document;
            this.out = out;
        }

        /** To be looked at only. */
        static Forms asTheyAre() {
            return new Forms(Optional.empty(), Set.of());
        }

        /**
         * @param document that copies go into
         * @param kinds that are left out of them
         */
        static Forms without(PDDocument document, Set<AddedItem.Kind> kinds) {
            return new Forms(Optional.of(document), kinds);
        }
    }

    /**
     * @param found how many of each kind it has
     * @param without a copy without some of them; nothing where it stays
     */
    private record Form(Map<AddedItem.Kind, Integer> found, Optional<COSStream> without) {
        static final Form PLAIN = new Form(Map.of(), Optional.empty());
    }

    /** Marked content as far as it was read. */
    private static final class Section {
        final AddedItem.Kind kind;
        final List<List<Object>> operators = new ArrayList<>();
        int depth = 1;
        boolean inText;
        boolean stays;
        boolean paints;

        Section(AddedItem.Kind kind) {
            this.kind = kind;
        }
    }

    /**
     * How many of each kind a page has.
     *
     * @throws IOException if its content cannot be read
     */
    static Map<AddedItem.Kind, Integer> on(PDPage page, Forms forms) throws IOException {
        return read(page, forms).found;
    }

    /**
     * The page without some of them.
     *
     * @param content that takes the place of the page's; nothing where that stays
     * @param forms that take the places of others among the page's resources, by their names
     */
    record Without(Optional<WrittenContent> content, Map<COSName, COSStream> forms) {}

    /**
     * @return nothing where there are none
     * @throws IOException if its content cannot be read
     */
    static Optional<Without> without(PDPage page, Forms forms) throws IOException {
        MarkedByOthers marks = read(page, forms);
        return marks.leavesOut || !marks.replaced.isEmpty()
                ? Optional.of(
                        new Without(
                                marks.leavesOut ? Optional.of(marks.written) : Optional.empty(),
                                marks.replaced))
                : Optional.empty();
    }

    private static MarkedByOthers read(PDPage page, Forms forms) throws IOException {
        PDResources resources =
                page.getResources() == null ? new PDResources() : page.getResources();
        MarkedByOthers marks = new MarkedByOthers(page, resources, forms, 0);
        marks.read();
        return marks;
    }

    /** Annotations that are watermarks (12.5.6.22) and show something. */
    static List<COSDictionary> watermarks(PDPage page) throws IOException {
        return page.getAnnotations().stream()
                .filter(each -> "Watermark".equals(each.getSubtype()))
                .filter(each -> !each.isHidden() && each.getNormalAppearanceStream() != null)
                .map(PDAnnotation::getCOSObject)
                .toList();
    }

    private void read() throws IOException {
        PDFStreamParser parser = new PDFStreamParser(source);
        List<Object> operands = new ArrayList<>();
        for (Object token = parser.parseNextToken();
                token != null;
                token = parser.parseNextToken()) {
            operands.add(token);
            if (token instanceof Operator operator) {
                operator(operator, operands);
                operands = new ArrayList<>();
            }
        }
        cutOff();
        add(operands);
    }

    private void operator(Operator operator, List<Object> all) throws IOException {
        Cancellation.check();
        if (section.isEmpty()) {
            Optional<AddedItem.Kind> kind = kind(operator, all);
            kind.ifPresent(each -> section = Optional.of(new Section(each)));
            if (operator.getName().equals(OperatorName.DRAW_OBJECT)) {
                form(all);
            }
            add(all);
            return;
        }
        Section open = section.get();
        switch (operator.getName()) {
            case OperatorName.BEGIN_MARKED_CONTENT, OperatorName.BEGIN_MARKED_CONTENT_SEQ ->
                    open.depth++;
            case OperatorName.END_MARKED_CONTENT -> open.depth--;
            case OperatorName.BEGIN_TEXT -> open.inText = true;
            case OperatorName.END_TEXT -> {
                open.stays |= !open.inText;
                open.inText = false;
            }
            case OperatorName.SHOW_TEXT,
                    OperatorName.SHOW_TEXT_ADJUSTED,
                    OperatorName.SHOW_TEXT_LINE ->
                    open.stays |= !open.inText;
            case OperatorName.SHOW_TEXT_LINE_AND_SPACE ->
                    open.stays |= !open.inText || all.size() != WITH_SPACES;
            case OperatorName.SET_TEXT_RENDERINGMODE ->
                    open.stays |= all.getFirst() instanceof COSNumber mode && mode.intValue() >= 4;
            default -> {
                // it neither begins nor ends anything
            }
        }
        if (open.depth == 0) {
            end(open, all);
            return;
        }
        open.operators.add(all);
        open.paints |= !unpainted(all).equals(all);
        if (open.operators.size() > LONGEST) {
            cutOff();
        }
    }

    /** Looks through a form that is drawn. */
    private void form(List<Object> all) throws IOException {
        COSDictionary objects = resources.getCOSObject().getCOSDictionary(COSName.XOBJECT);
        if (!(all.getFirst() instanceof COSName name)
                || objects == null
                || depth >= DEEPEST
                || !(objects.getDictionaryObject(name) instanceof COSStream form)
                || !COSName.FORM.equals(form.getCOSName(COSName.SUBTYPE))) {
            return;
        }
        PDFormXObject read = new PDFormXObject(form);
        PDResources own = read.getResources() == null ? resources : read.getResources();
        List<Object> use = List.of(form, own.getCOSObject());
        Form known = forms.known.get(use);
        if (known == null) {
            if (forms.known.size() >= MOST_FORMS) {
                throw new IOException("Forms within forms without end");
            }
            forms.known.put(use, Form.PLAIN); // it may draw itself
            MarkedByOthers inner = new MarkedByOthers(read, own, forms, depth + 1);
            inner.read();
            known = new Form(Map.copyOf(inner.found), inner.copy(form));
            forms.known.put(use, known);
        }
        known.found().forEach((kind, count) -> found.merge(kind, count, Integer::sum));
        known.without().ifPresent(other -> replaced.put(name, other));
    }

    private Optional<COSStream> copy(COSStream form) throws IOException {
        if (forms.document.isEmpty() || !leavesOut && replaced.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                RecoloredContent.copy(
                        forms.document.get(), form, resources.getCOSObject(), written, replaced));
    }

    private void end(Section open, List<Object> last) throws IOException {
        section = Optional.empty();
        boolean goes = open.paints && !open.stays && !open.inText;
        if (goes) {
            found.merge(open.kind, 1, Integer::sum);
        }
        boolean isLeftOut = goes && out.contains(open.kind);
        leavesOut |= isLeftOut;
        for (List<Object> each : open.operators) {
            add(isLeftOut ? unpainted(each) : each);
        }
        add(last);
    }

    /** It goes on to the end of the page, or on and on: it stays. */
    private void cutOff() throws IOException {
        if (section.isPresent()) {
            for (List<Object> each : section.get().operators) {
                add(each);
            }
        }
        section = Optional.empty();
    }

    private void add(List<Object> tokens) throws IOException {
        if (!out.isEmpty()) {
            written.add(tokens);
        }
    }

    private Optional<AddedItem.Kind> kind(Operator operator, List<Object> all) {
        if (!operator.getName().equals(OperatorName.BEGIN_MARKED_CONTENT_SEQ)
                || all.size() != 3
                || !ARTIFACT.equals(all.getFirst())) {
            return Optional.empty();
        }
        COSDictionary properties =
                switch (all.get(1)) {
                    case COSDictionary own -> own;
                    case COSName name -> {
                        PDPropertyList list = resources.getProperties(name);
                        yield list == null ? new COSDictionary() : list.getCOSObject();
                    }
                    default -> new COSDictionary();
                };
        String type = properties.getNameAsString(COSName.TYPE, "");
        String subtype = properties.getNameAsString(SUBTYPE, "");
        if (subtype.equals("Watermark")) {
            return Optional.of(AddedItem.Kind.WATERMARK);
        }
        return switch (type) {
            case "Background" -> Optional.of(AddedItem.Kind.BACKGROUND);
            case "Pagination" -> Optional.of(AddedItem.Kind.RUNNING_TEXT);
            default -> Optional.empty();
        };
    }

    /** The same operator with all that it does but paint (annex A). */
    private static List<Object> unpainted(List<Object> all) {
        Operator operator = (Operator) all.getLast();
        return switch (operator.getName()) {
            case OperatorName.FILL_NON_ZERO,
                    OperatorName.LEGACY_FILL_NON_ZERO,
                    OperatorName.FILL_EVEN_ODD,
                    OperatorName.STROKE_PATH,
                    OperatorName.CLOSE_AND_STROKE,
                    OperatorName.FILL_NON_ZERO_AND_STROKE,
                    OperatorName.FILL_EVEN_ODD_AND_STROKE,
                    OperatorName.CLOSE_FILL_NON_ZERO_AND_STROKE,
                    OperatorName.CLOSE_FILL_EVEN_ODD_AND_STROKE ->
                    List.of(Operator.getOperator(OperatorName.ENDPATH));
            case OperatorName.SHOW_TEXT,
                    OperatorName.SHOW_TEXT_ADJUSTED,
                    OperatorName.DRAW_OBJECT,
                    OperatorName.SHADING_FILL,
                    OperatorName.BEGIN_INLINE_IMAGE ->
                    List.of();
            case OperatorName.SHOW_TEXT_LINE ->
                    List.of(Operator.getOperator(OperatorName.NEXT_LINE));
            case OperatorName.SHOW_TEXT_LINE_AND_SPACE ->
                    all.size() != WITH_SPACES
                            ? all
                            : List.of(
                                    all.getFirst(),
                                    Operator.getOperator(OperatorName.SET_WORD_SPACING),
                                    all.get(1),
                                    Operator.getOperator(OperatorName.SET_CHAR_SPACING),
                                    Operator.getOperator(OperatorName.NEXT_LINE));
            default -> all;
        };
    }
}
