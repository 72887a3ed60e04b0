package yewberry.pdf;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;

/**
 * The pages of a document by their numbers. To find one in the tree all before it are gone through,
 * which for each of thousands takes longer than all else.
 */
public final class PageIndex {
    private final List<PDPage> pages = new ArrayList<>();

    /**
     * @param most more are not looked for
     */
    private PageIndex(PDDocument document, int most) {
        for (PDPage page : document.getPages()) {
            if (pages.size() == most) {
                break;
            }
            pages.add(page);
        }
    }

    public static PageIndex of(PDDocument document) {
        return new PageIndex(document, document.getNumberOfPages());
    }

    /**
     * @param number from 1
     * @throws IOException if there is none, because the tree is damaged
     */
    public PDPage page(int number) throws IOException {
        if (number < 1 || number > pages.size()) {
            throw new IOException("There is no page " + number);
        }
        return pages.get(number - 1);
    }
}
