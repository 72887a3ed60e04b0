package yewberry.pdf;

import java.util.ArrayDeque;
import java.util.Deque;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageXYZDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import yewberry.core.output.Node;
import yewberry.core.output.Structure;

/** The headings of a publication as bookmarks of its file (ISO 32000-1, 12.3.3). */
final class Bookmarks {
    private Bookmarks() {}

    private record Open(int level, PDOutlineNode node) {}

    /**
     * @param structure with all pages
     */
    static void add(PDDocument document, Structure structure) {
        PDDocumentOutline outline = new PDDocumentOutline();
        Deque<Open> open = new ArrayDeque<>();
        open.push(new Open(0, outline));
        for (Node heading : structure.headings()) {
            Node.Part.Content begin = heading.first().orElseThrow();
            while (open.peek().level() >= heading.level()) {
                open.pop();
            }
            PDPage page = document.getPage(begin.page());
            PDOutlineItem item = new PDOutlineItem();
            item.setTitle(heading.text().strip());
            item.setDestination(top(page, begin));
            open.peek().node().addLast(item);
            open.push(new Open(heading.level(), item));
        }
        if (outline.hasChildren()) {
            document.getDocumentCatalog().setDocumentOutline(outline);
        }
    }

    private static PDPageXYZDestination top(PDPage page, Node.Part.Content content) {
        PDPageXYZDestination destination = new PDPageXYZDestination();
        destination.setPage(page);
        destination.setLeft((int) page.getTrimBox().getLowerLeftX());
        destination.setTop(
                (int) Math.ceil(page.getTrimBox().getUpperRightY() - content.where().y()));
        return destination;
    }
}
