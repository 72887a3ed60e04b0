package yewberry.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import yewberry.core.output.Node;
import yewberry.core.output.Structure;
import yewberry.core.publication.ListMark;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** The structure of a file (ISO 32000-1, 14.7 and 14.8), from that of the publication. */
public final class Tags {
    private static final COSName OBJR = COSName.getPDFName("OBJR");
    private static final COSName MCR = COSName.getPDFName("MCR");
    private static final COSName OBJ = COSName.getPDFName("Obj");
    private static final COSName PG = COSName.getPDFName("Pg");
    private static final COSName TITLE = COSName.getPDFName("Title");

    /** What words are that lead to what is not in the file. */
    public static final String NOWHERE = "Span";

    private final PDDocument document;
    private final Structure structure;
    private final List<Written> pages = new ArrayList<>();
    private final List<COSBase> annotated = new ArrayList<>();
    private final Map<Node, COSDictionary> elements = new IdentityHashMap<>();
    private final Map<Node, List<COSDictionary>> annotations = new IdentityHashMap<>();
    private final Map<UUID, Node> beside = new LinkedHashMap<>();

    Tags(PDDocument document, Structure structure) {
        this.document = document;
        this.structure = structure;
    }

    private record Written(PDPage page, Rect bleed, List<COSDictionary> elements) {}

    Structure structure() {
        return structure;
    }

    /** A page was written, whose annotations and contents may be read. */
    void page(PDPage page, Rect bleed) {
        page.setStructParents(pages.size());
        page.getCOSObject().setName("Tabs", "S");
        pages.add(new Written(page, bleed, new ArrayList<>()));
    }

    /** An annotation of words that lead somewhere; those beside what is read are read last. */
    void annotation(PDPage page, PDAnnotation annotation, PageScene.Link words) {
        Node link =
                structure
                        .link(words.run(), words.to())
                        .orElseGet(() -> beside.computeIfAbsent(words.run(), _ -> Node.link()));
        annotation.setStructParent(pages.size() + annotated.size());
        COSDictionary reference = new COSDictionary();
        reference.setItem(COSName.TYPE, OBJR);
        reference.setItem(PG, page.getCOSObject());
        reference.setItem(OBJ, annotation.getCOSObject());
        annotations.computeIfAbsent(link, _ -> new ArrayList<>()).add(reference);
        annotated.add(element(link));
    }

    /** To be called when all pages and annotations are there. */
    void finish() throws IOException {
        COSDictionary root = new COSDictionary();
        root.setItem(COSName.TYPE, COSName.STRUCT_TREE_ROOT);
        COSDictionary top = fill(structure.root(), root);
        for (Node link : beside.values()) {
            top.getCOSArray(COSName.K).add(fill(link, top));
        }
        root.setItem(COSName.K, array(List.of(top)));
        COSDictionary roles = new COSDictionary();
        roles.setItem(TITLE, COSName.P);
        root.setItem(COSName.ROLE_MAP, roles);
        COSArray numbers = new COSArray();
        for (int i = 0; i < pages.size(); i++) {
            numbers.add(COSInteger.get(i));
            numbers.add(array(pages.get(i).elements()));
        }
        for (int i = 0; i < annotated.size(); i++) {
            numbers.add(COSInteger.get(pages.size() + i));
            numbers.add(annotated.get(i));
        }
        COSDictionary parents = new COSDictionary();
        parents.setItem(COSName.NUMS, numbers);
        root.setItem(COSName.getPDFName("ParentTree"), parents);
        root.setInt(COSName.getPDFName("ParentTreeNextKey"), pages.size() + annotated.size());
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        catalog.setItem(COSName.STRUCT_TREE_ROOT, root);
        COSDictionary marks = new COSDictionary();
        marks.setBoolean(COSName.getPDFName("Marked"), true);
        catalog.setItem(COSName.MARK_INFO, marks);
    }

    private COSDictionary element(Node node) {
        return elements.computeIfAbsent(node, _ -> new COSDictionary());
    }

    private COSDictionary fill(Node node, COSDictionary parent) {
        COSDictionary element = element(node);
        element.setItem(COSName.TYPE, COSName.getPDFName("StructElem"));
        boolean leads = node.kind() != Node.Kind.LINK || annotations.containsKey(node);
        element.setName(COSName.S, leads ? type(node) : NOWHERE);
        element.setItem(COSName.P, parent);
        node.language().ifPresent(language -> element.setString(COSName.LANG, language.tag()));
        if (!node.alternative().isEmpty()) {
            element.setString(COSName.ALT, node.alternative());
        }
        node.first()
                .ifPresent(first ->
                        element.setItem(PG, pages.get(first.page()).page().getCOSObject()));
        attributes(node, element);
        COSArray kids = new COSArray();
        for (Node.Part part : node.parts()) {
            kids.add(
                    switch (part) {
                        case Node.Part.Within(Node within) -> fill(within, element);
                        case Node.Part.Content content -> content(node, content, element);
                    });
        }
        annotations.getOrDefault(node, List.of()).forEach(kids::add);
        element.setItem(COSName.K, kids);
        return element;
    }

    private COSBase content(Node node, Node.Part.Content content, COSDictionary element) {
        Written on = pages.get(content.page());
        List<COSDictionary> parents = on.elements();
        while (parents.size() <= content.number()) {
            parents.add(null);
        }
        parents.set(content.number(), element);
        if (node.first().orElseThrow().page() == content.page()) {
            return COSInteger.get(content.number());
        }
        COSDictionary reference = new COSDictionary();
        reference.setItem(COSName.TYPE, MCR);
        reference.setItem(PG, on.page().getCOSObject());
        reference.setInt(COSName.MCID, content.number());
        return reference;
    }

    private void attributes(Node node, COSDictionary element) {
        COSDictionary attributes = new COSDictionary();
        if (node.kind() == Node.Kind.FIGURE) {
            Node.Part.Content content = node.contents().getFirst();
            Rect bleed = pages.get(content.page()).bleed();
            Rect where = content.where();
            attributes.setName(COSName.O, "Layout");
            COSArray box = new COSArray();
            box.add(new COSFloat((float) (where.x() - bleed.x())));
            box.add(new COSFloat((float) (bleed.bottom() - where.bottom())));
            box.add(new COSFloat((float) (where.right() - bleed.x())));
            box.add(new COSFloat((float) (bleed.bottom() - where.y())));
            attributes.setItem(COSName.BBOX, box);
            attributes.setName("Placement", "Block");
        }
        node.marks()
                .ifPresent(mark -> {
                    attributes.setName(COSName.O, "List");
                    attributes.setName("ListNumbering", numbering(mark));
                });
        if (attributes.size() > 0) {
            element.setItem(COSName.A, attributes);
        }
    }

    /** ISO 32000-1, table 347. */
    public static String numbering(ListMark.Mark mark) {
        return switch (mark) {
            case ListMark.Bullet(String text) ->
                    switch (text.strip()) {
                        case "○", "◦" -> "Circle";
                        case "■", "▪", "□", "▫" -> "Square";
                        default -> "Disc";
                    };
            case ListMark.Numbered numbered ->
                    switch (numbered.style()) {
                        case FIGURES -> "Decimal";
                        case LOWER_LETTERS -> "LowerAlpha";
                        case UPPER_LETTERS -> "UpperAlpha";
                        case LOWER_ROMAN -> "LowerRoman";
                        case UPPER_ROMAN -> "UpperRoman";
                    };
        };
    }

    /** A structure type of ISO 32000-1, 14.8.4, or one that the role map leads to such. */
    public static String type(Node node) {
        return switch (node.kind()) {
            case DOCUMENT -> "Document";
            case PART -> "Part";
            case TITLE -> "Title";
            case HEADING -> "H" + node.level();
            case PARAGRAPH -> "P";
            case QUOTE -> "BlockQuote";
            case CAPTION -> "Caption";
            case LIST -> "L";
            case ITEM -> "LI";
            case LABEL -> "Lbl";
            case BODY -> "LBody";
            case FIGURE -> "Figure";
            case LINK -> "Link";
            case SPAN -> "Span";
        };
    }

    private static COSArray array(List<? extends COSBase> of) {
        COSArray array = new COSArray();
        of.forEach(array::add);
        return array;
    }
}
