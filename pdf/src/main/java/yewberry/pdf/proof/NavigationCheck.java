package yewberry.pdf.proof;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDPageLabels;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDDocumentOutline;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineItem;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.outline.PDOutlineNode;
import yewberry.core.output.Node;
import yewberry.core.output.Structure;
import yewberry.pdf.PdfOutput;

/** Holds the numbers of pages and the bookmarks of a file against its publication. */
final class NavigationCheck {
    private final PDDocument document;

    NavigationCheck(PDDocument document) {
        this.document = document;
    }

    /** A bookmark, as far in as its heading is. */
    private record Mark(String title, int page) {}

    /** Pages are named as they are numbered in the publication. */
    List<String> numbers(PdfOutput output) throws IOException {
        if (output.publication().isEmpty()) {
            return List.of();
        }
        List<String> wanted =
                IntStream.range(0, output.scenes().size()).mapToObj(output::label).toList();
        PDPageLabels labels = document.getDocumentCatalog().getPageLabels();
        return labels != null && List.of(labels.getLabelsByPageIndices()).equals(wanted)
                ? List.of()
                : List.of("The pages are not numbered as those of the publication.");
    }

    /** Headings are bookmarks. */
    List<String> bookmarks(Structure structure) throws IOException {
        List<Mark> wanted = new ArrayList<>();
        for (Node heading : structure.headings()) {
            wanted.add(new Mark(heading.text().strip(), heading.first().orElseThrow().page()));
        }
        List<Mark> found = new ArrayList<>();
        PDDocumentOutline outline = document.getDocumentCatalog().getDocumentOutline();
        if (outline != null) {
            collect(outline, found);
        }
        return found.equals(wanted)
                ? List.of()
                : List.of("The bookmarks are not the headings of the publication.");
    }

    private void collect(PDOutlineNode node, List<Mark> found) throws IOException {
        for (PDOutlineItem item : node.children()) {
            int page =
                    item.getDestination() instanceof PDPageDestination destination
                            ? destination.retrievePageNumber()
                            : -1;
            found.add(new Mark(item.getTitle() == null ? "" : item.getTitle(), page));
            collect(item, found);
        }
    }
}
