package yewberry.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNumber;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDPropertyList;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import yewberry.core.Cancellation;

/**
 * Watermarks, backgrounds, headers and footers that other programs put on a page and marked as
 * artifacts (ISO 32000-1, 14.8.2.2) or put there as annotations, and the page without them. Of
 * content only what they paint is left out: what they set stays set. A section that shows text
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

    private final PDPage page;
    private final PDResources resources;
    private final Set<AddedItem.Kind> out;
    private final WrittenContent written = new WrittenContent();
    private final Map<AddedItem.Kind, Integer> found = new EnumMap<>(AddedItem.Kind.class);
    private Optional<Section> section = Optional.empty();

    private MarkedByOthers(PDPage page, Set<AddedItem.Kind> out) {
        this.page = page;
        this.resources = page.getResources() == null ? new PDResources() : page.getResources();
        this.out = out;
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
    static Map<AddedItem.Kind, Integer> on(PDPage page) throws IOException {
        MarkedByOthers marks = new MarkedByOthers(page, Set.of());
        marks.read();
        return marks.found;
    }

    /**
     * The content of a page without some of them.
     *
     * @return nothing where there are none
     * @throws IOException if its content cannot be read
     */
    static Optional<WrittenContent> without(PDPage page, Set<AddedItem.Kind> kinds)
            throws IOException {
        MarkedByOthers marks = new MarkedByOthers(page, kinds);
        marks.read();
        return marks.found.keySet().stream().anyMatch(kinds::contains)
                ? Optional.of(marks.written)
                : Optional.empty();
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
        PDFStreamParser parser = new PDFStreamParser(page);
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

    private void end(Section open, List<Object> last) throws IOException {
        section = Optional.empty();
        boolean goes = open.paints && !open.stays && !open.inText;
        if (goes) {
            found.merge(open.kind, 1, Integer::sum);
        }
        boolean isLeftOut = goes && out.contains(open.kind);
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
