package yewberry.core.asset;

import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;

/** What core asks of PDF files; the module that knows the format answers. */
public interface Documents {
    /**
     * @param file a whole PDF
     * @throws yewberry.core.Refused if it is damaged, encrypted or has no pages
     */
    Asset.Document read(byte[] file);

    /**
     * A page in what it is mixed in, on nothing: where it paints nothing, the picture is
     * transparent. Spot inks are as what stands for them.
     *
     * @param number of the page, from 1
     * @param width pixels
     * @param height pixels
     * @param what of it
     * @param condition whose inks its process inks are
     * @throws yewberry.core.Refused if it cannot be drawn
     */
    PlaneImage draw(
            byte[] file,
            int number,
            int width,
            int height,
            Part what,
            PressCondition condition,
            Medium medium);

    /** What of a page is drawn. */
    enum Part {
        ALL,
        /** All but its text, and the lines that belong to that. */
        WITHOUT_TEXT
    }

    /**
     * What is written on a page.
     *
     * @param number of the page, from 1
     * @throws yewberry.core.Refused if it cannot be read
     */
    PageText text(byte[] file, int number, PressCondition condition, Medium medium);

    /** For where there are none. */
    Documents NONE =
            new Documents() {
                @Override
                public Asset.Document read(byte[] file) {
                    throw new Refused("PDF files cannot be placed here.");
                }

                @Override
                public PlaneImage draw(
                        byte[] file,
                        int number,
                        int width,
                        int height,
                        Part what,
                        PressCondition condition,
                        Medium medium) {
                    throw new IllegalStateException("No PDF was taken in.");
                }

                @Override
                public PageText text(
                        byte[] file, int number, PressCondition condition, Medium medium) {
                    throw new IllegalStateException("No PDF was taken in.");
                }
            };
}
