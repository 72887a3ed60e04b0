package yewberry.core.asset;

import yewberry.core.publication.Asset;

/**
 * Parses and draws files from outside. Whoever calls it need not fear for memory or time where
 * another process does it.
 */
public interface FileReader {
    /**
     * What a file holds; a picture or a drawing is drawn, too.
     *
     * @param name of the file, as it came
     * @throws yewberry.core.Locked if it needs a password, and has not come with it
     * @throws yewberry.core.Refused if it cannot be placed, with the reason
     */
    Asset.Content look(String name, KnownFile file);

    /**
     * The pixels of a picture as they are.
     *
     * @param every only each so many-th in both directions; 1 reads all
     * @throws yewberry.core.Refused if it is damaged, or takes too long
     */
    PixelArray pixels(Asset.Format format, byte[] file, int every);

    /**
     * A drawing as pixels of sRGB.
     *
     * @throws yewberry.core.Refused if it cannot be drawn, or takes too long
     */
    PixelArray drawing(byte[] file, int width, int height);

    /**
     * A page of a PDF, as {@link Documents#draw}.
     *
     * @throws yewberry.core.Refused if it cannot be drawn, or takes too long
     */
    PlaneImage page(KnownFile file, FilePage page, int width, int height);

    /**
     * What is written on a page of a PDF, as {@link Documents#text}.
     *
     * @throws yewberry.core.Refused if it cannot be read, or takes too long
     */
    PageText text(KnownFile file, FilePage page);

    /** In this process. */
    static FileReader here(Documents documents) {
        Intake intake = new Intake(documents);
        return new FileReader() {
            @Override
            public Asset.Content look(String name, KnownFile file) {
                return intake.look(name, file);
            }

            @Override
            public PixelArray pixels(Asset.Format format, byte[] file, int every) {
                return Decoder.read(format, file, every);
            }

            @Override
            public PixelArray drawing(byte[] file, int width, int height) {
                return Drawings.draw(file, width, height);
            }

            @Override
            public PlaneImage page(KnownFile file, FilePage page, int width, int height) {
                return documents.draw(file, page, width, height);
            }

            @Override
            public PageText text(KnownFile file, FilePage page) {
                return documents.text(file, page);
            }
        };
    }
}
