package yewberry.pdf.proof;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import yewberry.core.output.Node;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.Structure;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.Tags;

/**
 * Holds the structure of a file against that of its publication: each element, in order, with its
 * language and what stands for it, and on each page what is read and what stands beside it.
 */
final class StructureCheck {
    /** Of a file whose elements are all wrong not each is told. */
    private static final int MOST = 20;

    private static final COSName PG = COSName.getPDFName("Pg");
    private static final COSName OBJR = COSName.getPDFName("OBJR");
    private static final COSName OBJ = COSName.getPDFName("Obj");

    private final Structure structure;
    private final boolean marked;
    private final List<List<Wanted>> pages = new ArrayList<>();

    /**
     * A stretch of a page.
     *
     * @param mark as {@link PaintedPage.Marked} has it
     * @param text as it is read; nothing where that does not matter
     */
    private record Wanted(String mark, Optional<String> text) {}

    private StructureCheck(Structure structure, boolean marked) {
        this.structure = structure;
        this.marked = marked;
    }

    /** What is wanted of a file; nothing where it has no structure. */
    static Optional<StructureCheck> of(PdfOutput output) {
        return output.structure()
                .map(structure -> {
                    StructureCheck check =
                            new StructureCheck(structure, output.profile().marks().isPresent());
                    for (int i = 0; i < output.scenes().size(); i++) {
                        check.add(output, i);
                    }
                    return check;
                });
    }

    private void add(PdfOutput output, int page) {
        PageScene scene = output.scenes().get(page);
        Map<Item, Structure.Place> places = output.places(structure, page, scene);
        Optional<List<ScreenAndPaper.Where>> where = output.where(page);
        List<Item> items = scene.on(output.medium()).items();
        List<Wanted> wanted = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            int at = i;
            String layer =
                    where.map(it -> it.get(at))
                            .filter(it -> it != ScreenAndPaper.Where.BOTH)
                            .map(it -> it == ScreenAndPaper.Where.SCREEN ? "Screen: " : "Paper: ")
                            .orElse("");
            wanted.add(
                    switch (places.get(items.get(i))) {
                        case Structure.Place.Read read ->
                                new Wanted(
                                        layer + "read " + read.number(),
                                        items.get(i) instanceof Item.GlyphRun
                                                ? Optional.of(text(read, pages.size()))
                                                : Optional.empty());
                        case Structure.Place.Beside(Structure.Artifact kind) ->
                                new Wanted(layer + mark(kind), Optional.empty());
                    });
        }
        if (marked) {
            wanted.add(new Wanted(mark(Structure.Artifact.SHEET), Optional.empty()));
        }
        pages.add(wanted);
    }

    private static String text(Structure.Place.Read read, int page) {
        return read.node().contents().stream()
                .filter(each -> each.page() == page && each.number() == read.number())
                .map(Node.Part.Content::text)
                .findFirst()
                .orElseThrow();
    }

    private static String mark(Structure.Artifact kind) {
        return switch (kind) {
            case BACKGROUND -> "Background";
            case LAYOUT -> "Layout";
            case HEADER -> "Pagination Header";
            case FOOTER -> "Pagination Footer";
            case RUNNING -> "Pagination";
            case SHEET -> "Page";
            case WATERMARK -> "Pagination Watermark";
        };
    }

    /** What is wrong with the marks of a page. */
    List<String> page(int index, PaintedPage painted) {
        List<String> problems = new ArrayList<>();
        if (painted.unmarked() > 0) {
            problems.add(
                    "%d things are painted that are neither read nor marked as standing beside."
                            .formatted(painted.unmarked()));
        }
        List<PaintedPage.Marked> found = painted.marked();
        List<Wanted> wanted = pages.get(index);
        if (!found.stream()
                .map(PaintedPage.Marked::mark)
                .toList()
                .equals(wanted.stream().map(Wanted::mark).toList())) {
            problems.add(
                    "What is read on the page, and what stands beside it, is marked otherwise than it was written.");
            return problems;
        }
        for (int i = 0; i < found.size(); i++) {
            Optional<String> text = wanted.get(i).text();
            if (text.isPresent() && !isRead(text.get(), found.get(i).text())) {
                problems.add("“%s” reads otherwise.".formatted(shortened(text.get())));
            }
        }
        return problems;
    }

    /** Spaces may be of other kinds, and where lines end may be none. */
    private static boolean isRead(String wanted, String found) {
        return wanted.replaceAll("[\\s\u00a0\u00ad]+", "")
                .equals(found.replaceAll("[\\s\u00a0\u00ad]+", ""));
    }

    private static String shortened(String text) {
        return text.length() > 40 ? text.substring(0, 39) + "…" : text.strip();
    }

    /** What is wrong with the elements of a file. */
    List<String> file(PDDocument document) throws IOException {
        COSDictionary catalog = document.getDocumentCatalog().getCOSObject();
        COSDictionary marks = catalog.getCOSDictionary(COSName.MARK_INFO);
        COSDictionary root = catalog.getCOSDictionary(COSName.STRUCT_TREE_ROOT);
        if (root == null
                || marks == null
                || !marks.getBoolean(COSName.getPDFName("Marked"), false)) {
            return List.of("The file has no structure.");
        }
        Reading reading = new Reading(document);
        List<COSBase> tops = kids(root);
        if (tops.size() == 1 && tops.getFirst() instanceof COSDictionary top) {
            reading.element(structure.root(), top);
        } else {
            reading.note("The structure does not begin with one element.");
        }
        reading.parents(root);
        List<String> problems = new ArrayList<>(reading.problems);
        problems.addAll(new NavigationCheck(document).bookmarks(structure));
        return problems;
    }

    private static List<COSBase> kids(COSDictionary element) {
        COSBase kids = element.getDictionaryObject(COSName.K);
        if (kids instanceof COSArray array) {
            List<COSBase> each = new ArrayList<>();
            for (int i = 0; i < array.size(); i++) {
                each.add(array.getObject(i));
            }
            return each;
        }
        return kids == null ? List.of() : List.of(kids);
    }

    /** One reading of a file. */
    private final class Reading {
        private final List<String> problems = new ArrayList<>();
        private final Map<COSDictionary, Integer> numbers = new IdentityHashMap<>();
        private final Map<Integer, Map<Integer, COSDictionary>> read = new HashMap<>();
        private int left;

        Reading(PDDocument document) {
            int number = 0;
            for (PDPage page : document.getPages()) {
                numbers.put(page.getCOSObject(), number++);
            }
        }

        void note(String problem) {
            if (problems.size() < MOST) {
                problems.add(problem);
            } else if (left++ == 0) {
                problems.add("More of the structure is not as it was written.");
            }
        }

        void element(Node wanted, COSDictionary found) {
            String name = name(wanted);
            boolean leads = kids(found).stream().anyMatch(Reading::isReference);
            boolean nowhere = wanted.kind() == Node.Kind.LINK && !leads;
            String type = nowhere ? Tags.NOWHERE : Tags.type(wanted);
            if (!type.equals(found.getNameAsString(COSName.S))) {
                note("%s is another element.".formatted(name));
            }
            String alternative = found.getString(COSName.ALT, "");
            if (!wanted.alternative().equals(alternative)) {
                note(
                        alternative.isEmpty()
                                ? "%s has lost its alternative text.".formatted(name)
                                : "%s has another alternative text.".formatted(name));
            }
            String language = wanted.language().map(each -> each.tag()).orElse("");
            if (!language.equals(found.getString(COSName.LANG, ""))) {
                note("%s is in another language.".formatted(name));
            }
            COSDictionary attributes = found.getCOSDictionary(COSName.A);
            wanted.marks()
                    .ifPresent(marks -> {
                        if (attributes == null
                                || !Tags.numbering(marks)
                                        .equals(attributes.getNameAsString("ListNumbering"))) {
                            note("%s is numbered otherwise.".formatted(name));
                        }
                    });
            List<COSBase> kids =
                    kids(found).stream()
                            .filter(kid -> !isReference(kid) && !isLinkAlone(kid))
                            .toList();
            List<Node.Part> parts = wanted.parts();
            for (int i = 0; i < parts.size(); i++) {
                switch (parts.get(i)) {
                    case Node.Part.Within(Node node) -> {
                        if (i < kids.size()
                                && kids.get(i) instanceof COSDictionary kid
                                && kid.containsKey(COSName.S)) {
                            element(node, kid);
                        } else {
                            note("%s is missing.".formatted(name(node)));
                        }
                    }
                    case Node.Part.Content content -> {
                        if (i >= kids.size() || !isAt(kids.get(i), found, content)) {
                            note("%s has lost what it holds.".formatted(name));
                        } else {
                            read.computeIfAbsent(content.page(), _ -> new HashMap<>())
                                    .put(content.number(), found);
                        }
                    }
                }
            }
            if (kids.size() > parts.size()) {
                note("%s holds more than it should.".formatted(name));
            }
        }

        /** Of words that stand beside what is read. */
        private static boolean isLinkAlone(COSBase kid) {
            return kid instanceof COSDictionary element
                    && "Link".equals(element.getNameAsString(COSName.S))
                    && kids(element).stream().allMatch(Reading::isReference);
        }

        private static boolean isReference(COSBase kid) {
            return kid instanceof COSDictionary dictionary
                    && OBJR.equals(dictionary.getCOSName(COSName.TYPE))
                    && dictionary.getDictionaryObject(OBJ) != null;
        }

        private boolean isAt(COSBase kid, COSDictionary element, Node.Part.Content content) {
            COSDictionary page = element.getCOSDictionary(PG);
            int number;
            if (kid instanceof COSInteger mcid) {
                number = mcid.intValue();
            } else if (kid instanceof COSDictionary reference
                    && !reference.containsKey(COSName.S)) {
                number = reference.getInt(COSName.MCID);
                page = reference.containsKey(PG) ? reference.getCOSDictionary(PG) : page;
            } else {
                return false;
            }
            return number == content.number()
                    && page != null
                    && numbers.getOrDefault(page, -1) == content.page();
        }

        /** ISO 32000-1, 14.7.4.4: the way back from what is read to its element. */
        void parents(COSDictionary root) {
            COSDictionary tree = root.getCOSDictionary(COSName.getPDFName("ParentTree"));
            COSArray entries = tree == null ? null : tree.getCOSArray(COSName.NUMS);
            if (entries == null) {
                note("What is read does not lead back to its elements.");
                return;
            }
            Map<Integer, COSBase> byKey = new HashMap<>();
            for (int i = 0; i + 1 < entries.size(); i += 2) {
                byKey.put(entries.getInt(i), entries.getObject(i + 1));
            }
            for (COSDictionary page : numbers.keySet()) {
                COSArray annotations = page.getCOSArray(COSName.ANNOTS);
                for (int i = 0; annotations != null && i < annotations.size(); i++) {
                    if (annotations.getObject(i) instanceof COSDictionary annotation
                            && !isIn(annotation, byKey)) {
                        note(
                                "A link on page %d is in no element."
                                        .formatted(numbers.get(page) + 1));
                    }
                }
            }
            Map<Integer, COSDictionary> pagesByNumber = new HashMap<>();
            numbers.forEach((page, number) -> pagesByNumber.put(number, page));
            read.forEach((page, elements) -> {
                int key = pagesByNumber.get(page).getInt(COSName.STRUCT_PARENTS);
                COSBase parents = byKey.get(key);
                boolean back =
                        parents instanceof COSArray array
                                && elements.entrySet().stream()
                                        .allMatch(each ->
                                                each.getKey() < array.size()
                                                        && array.getObject(each.getKey())
                                                                == each.getValue());
                if (!back) {
                    note(
                            "What is read on page %d does not lead back to its elements."
                                    .formatted(page + 1));
                }
            });
        }

        /** Whether the element that an annotation leads back to holds it. */
        private static boolean isIn(COSDictionary annotation, Map<Integer, COSBase> byKey) {
            return byKey.get(annotation.getInt(COSName.STRUCT_PARENT)) instanceof COSDictionary of
                    && kids(of).stream()
                            .anyMatch(kid ->
                                    isReference(kid)
                                            && ((COSDictionary) kid).getDictionaryObject(OBJ)
                                                    == annotation);
        }

        private static String name(Node node) {
            String text = node.text().isBlank() ? node.alternative() : node.text();
            return text.isBlank()
                    ? "The element %s".formatted(Tags.type(node))
                    : "The element %s “%s”".formatted(Tags.type(node), shortened(text));
        }
    }
}
