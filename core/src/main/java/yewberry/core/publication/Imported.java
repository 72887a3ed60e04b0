package yewberry.core.publication;

import java.util.UUID;
import yewberry.core.Refused;

/**
 * The page of a file that somebody else made, which a page of the publication is: all that is added
 * lies behind it or over it.
 *
 * @param asset of the publication; one that is a document
 * @param number of the page in it, from 1
 */
public record Imported(UUID asset, int number) {
    public Imported {
        if (number < 1) {
            throw new Refused("A file has no page %d; its pages begin with 1.".formatted(number));
        }
    }

    /**
     * What the page measures as it is seen, to a hundredth of a millimetre.
     *
     * @param file the asset with its content
     * @throws Refused if that is no PDF, has no such page, or one of a size that is not possible
     */
    public PageSize sizeIn(Asset file) {
        Asset.Leaf leaf = leafIn(file);
        return new PageSize(millimetres(leaf.width()), millimetres(leaf.height()));
    }

    /**
     * How many pages its file has.
     *
     * @param file the asset; a PDF
     */
    public int pagesOf(Asset file) {
        return file.content() instanceof Asset.Document document ? document.pages().size() : 0;
    }

    private Asset.Leaf leafIn(Asset file) {
        if (!(file.content() instanceof Asset.Document document)) {
            throw new Refused(
                    "“%s” is a picture and has no pages; place it as a picture."
                            .formatted(file.name()));
        }
        if (number > document.pages().size()) {
            throw new Refused(
                    "“%s” has no page %d; it has pages 1 to %d."
                            .formatted(file.name(), number, document.pages().size()));
        }
        return document.pages().get(number - 1);
    }

    private static Length millimetres(double points) {
        return Length.mm(Math.rint(Length.pt(points).millimetres() * 100) / 100);
    }
}
