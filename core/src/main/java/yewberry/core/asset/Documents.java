package yewberry.core.asset;

import yewberry.core.Refused;
import yewberry.core.publication.Asset;

/** What core asks of PDF files; the module that knows the format answers. */
public interface Documents {
    /**
     * @param file a whole PDF
     * @throws yewberry.core.Locked if it needs a password, and this is not it
     * @throws yewberry.core.Refused if it is damaged, closed to changes or has no pages
     */
    Asset.Document read(KnownFile file);

    /**
     * A page in what it is mixed in, on nothing: where it paints nothing, the picture is
     * transparent. Spot inks are as what stands for them.
     *
     * @param width pixels
     * @param height pixels
     * @throws yewberry.core.Refused if it cannot be drawn
     */
    PlaneImage draw(KnownFile file, FilePage page, int width, int height);

    /**
     * What is written on a page.
     *
     * @throws yewberry.core.Refused if it cannot be read
     */
    PageText text(KnownFile file, FilePage page);

    /** For where there are none. */
    Documents NONE =
            new Documents() {
                @Override
                public Asset.Document read(KnownFile file) {
                    throw new Refused("PDF files cannot be placed here.");
                }

                @Override
                public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
                    throw new IllegalStateException("No PDF was taken in.");
                }

                @Override
                public PageText text(KnownFile file, FilePage page) {
                    throw new IllegalStateException("No PDF was taken in.");
                }
            };
}
