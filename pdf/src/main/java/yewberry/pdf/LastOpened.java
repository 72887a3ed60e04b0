package yewberry.pdf;

import java.io.IOException;
import java.util.concurrent.atomic.AtomicReference;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.asset.KnownFile;

/**
 * Keeps the file that was read last open, because its next page is asked for next: opening a file
 * of thousands of pages takes longer than reading one of them. Whoever reads has it alone.
 * Thread-safe.
 */
final class LastOpened {
    /** So often one is read before it is opened anew: what was parsed of it stays in memory. */
    private static final int MOST = 200;

    private final AtomicReference<Opened> last = new AtomicReference<>();

    private record Opened(KnownFile file, PDDocument document, PageIndex pages, int reads) {}

    /** What is done with a file. */
    interface Reading<T> {
        T of(PDDocument document, PageIndex pages) throws IOException;
    }

    /**
     * @throws IOException if the file cannot be opened or read; it is opened anew the next time
     */
    <T> T read(KnownFile file, Reading<T> reading) throws IOException {
        Opened opened = opened(file);
        T result;
        try {
            result = reading.of(opened.document(), opened.pages());
        } catch (IOException | RuntimeException | StackOverflowError failed) {
            opened.document().close();
            throw failed;
        }
        Opened again = new Opened(file, opened.document(), opened.pages(), opened.reads() + 1);
        close(again.reads() < MOST ? last.getAndSet(again) : again);
        return result;
    }

    private Opened opened(KnownFile file) throws IOException {
        Opened known = last.getAndSet(null);
        if (known != null && known.file().sha256().equals(file.sha256())) {
            return known;
        }
        close(known);
        PDDocument document = Opening.of(file);
        return new Opened(file, document, PageIndex.of(document), 0);
    }

    private static void close(Opened opened) throws IOException {
        if (opened != null) {
            opened.document().close();
        }
    }
}
