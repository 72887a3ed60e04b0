package yewberry.pdf.read;

import java.io.IOException;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDNumberTreeNode;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDParentTreeValue;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;

/**
 * Which paragraph of the structure of its file each piece of a page's content belongs to (ISO
 * 32000-1, 14.7.4.4). A file that is not tagged has none, nor has one whose structure is broken.
 */
final class TaggedParagraphs {
    /** Of the standard types those that stand by themselves (14.8.4.3). */
    private static final Set<String> BLOCKS =
            Set.of(
                    "P",
                    "H",
                    "H1",
                    "H2",
                    "H3",
                    "H4",
                    "H5",
                    "H6",
                    "LI",
                    "Lbl",
                    "LBody",
                    "TH",
                    "TD",
                    "Caption",
                    "BlockQuote",
                    "TOCI",
                    "Note",
                    "Title");

    /** So deep an element lies at most; what is deeper goes round in circles. */
    private static final int DEEPEST = 100;

    private final COSArray elements;
    private final COSDictionary roles;

    /** Those that were asked for, in this order. */
    private final Map<COSDictionary, Integer> known = new IdentityHashMap<>();

    private TaggedParagraphs(COSArray elements, COSDictionary roles) {
        this.elements = elements;
        this.roles = roles;
    }

    static TaggedParagraphs of(PDDocumentCatalog catalog, PDPage page) {
        int key = page.getStructParents();
        PDStructureTreeRoot root = key < 0 ? null : catalog.getStructureTreeRoot();
        COSDictionary roles =
                root == null ? null : root.getCOSObject().getCOSDictionary(COSName.ROLE_MAP);
        return new TaggedParagraphs(
                root == null ? new COSArray() : elements(root, key),
                roles == null ? new COSDictionary() : roles);
    }

    private static COSArray elements(PDStructureTreeRoot root, int key) {
        try {
            PDNumberTreeNode tree = root.getParentTree();
            Object found = tree == null ? null : tree.getValue(key);
            return found instanceof PDParentTreeValue value
                            && value.getCOSObject() instanceof COSArray array
                    ? array
                    : new COSArray();
        } catch (IOException | RuntimeException broken) {
            return new COSArray();
        }
    }

    /**
     * The paragraph of a piece of marked content, as a number; nothing where it is in none.
     *
     * @param content its MCID
     */
    Optional<Integer> of(int content) {
        if (content < 0
                || content >= elements.size()
                || !(elements.getObject(content) instanceof COSDictionary element)) {
            return Optional.empty();
        }
        COSDictionary at = element;
        for (int depth = 0; depth < DEEPEST && at != null; depth++) {
            String type = at.getNameAsString(COSName.S, "");
            if (BLOCKS.contains(type) || BLOCKS.contains(roles.getNameAsString(type, ""))) {
                return Optional.of(known.computeIfAbsent(at, _ -> known.size()));
            }
            at = at.getCOSDictionary(COSName.P);
        }
        return Optional.empty();
    }
}
