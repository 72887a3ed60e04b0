package yewberry.pdf;

import java.io.IOException;
import java.nio.file.Path;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.asset.KnownFile;

/** Opens PDF files with the passwords that they need. */
public final class Opening {
    private Opening() {}

    /**
     * @throws IOException if it cannot be read
     */
    public static PDDocument of(KnownFile file) throws IOException {
        return Loader.loadPDF(file.bytes().get(), file.password());
    }

    /**
     * @param password empty where it needs none
     * @throws IOException if it cannot be read
     */
    public static PDDocument of(Path file, String password) throws IOException {
        return Loader.loadPDF(file.toFile(), password, IOUtils.createTempFileOnlyStreamCache());
    }
}
