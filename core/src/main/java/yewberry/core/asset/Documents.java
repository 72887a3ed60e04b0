package yewberry.core.asset;

import java.awt.image.BufferedImage;
import yewberry.core.Refused;
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
     * A page as it is seen, on nothing: where it paints nothing, the picture is transparent.
     *
     * @param number of the page, from 1
     * @param width pixels
     * @param height pixels
     * @param condition that its process inks are seen under
     * @return of type {@code TYPE_INT_ARGB}, in sRGB
     */
    BufferedImage draw(byte[] file, int number, int width, int height, PressCondition condition);

    /** For where there are none. */
    Documents NONE =
            new Documents() {
                @Override
                public Asset.Document read(byte[] file) {
                    throw new Refused("PDF files cannot be placed here.");
                }

                @Override
                public BufferedImage draw(
                        byte[] file, int number, int width, int height, PressCondition condition) {
                    throw new IllegalStateException("No PDF was taken in.");
                }
            };
}
