package yewberry.pdf.proof;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.Cancellation;
import yewberry.core.Progress;
import yewberry.pdf.Opening;
import yewberry.pdf.proof.ReadBackReport.PageReport;

/**
 * Reads the pages of a file on all processors. A document is for one thread only, so each of them
 * opens the file for itself.
 */
final class PageReaders {
    /** So many pages are worth a thread. */
    private static final int PAGES = 4;

    /** A document keeps all that was read of it; after so many pages it is opened anew. */
    static final int KEPT = 64;

    private static final ThreadFactory THREADS =
            Thread.ofPlatform().name("read-back-", 0).daemon().factory();

    private final Path file;
    private final String password;
    private final Opener opener;
    private final Progress progress;
    private final PageReport[] reports;
    private final AtomicInteger next = new AtomicInteger();
    private final AtomicReference<Throwable> failure = new AtomicReference<>();
    private int done;

    /** Makes a reader of pages of a document that stays open as long as it is in use. */
    interface Opener {
        /**
         * @throws IOException if something that it is read with cannot be opened
         */
        Reader open(PDDocument document) throws IOException;
    }

    /** Reads one page after the other. */
    interface Reader extends AutoCloseable {
        /**
         * @param at which one it is of those that are read, from 0
         * @throws IOException if the page cannot be read
         */
        PageReport page(int at) throws IOException;

        @Override
        void close() throws IOException;
    }

    private PageReaders(Path file, String password, Opener opener, int pages, Progress progress) {
        this.file = file;
        this.password = password;
        this.opener = opener;
        this.progress = progress;
        this.reports = new PageReport[pages];
    }

    /**
     * @param password that opens it; empty where it needs none
     * @param progress told by one thread at a time
     * @throws IOException if the file cannot be read
     * @throws java.util.concurrent.CancellationException if {@code progress} says so
     */
    static List<PageReport> read(
            Path file, String password, Opener opener, int pages, Progress progress)
            throws IOException {
        PageReaders readers = new PageReaders(file, password, opener, pages, progress);
        int threads = Math.clamp(pages / PAGES, 1, Runtime.getRuntime().availableProcessors());
        // closing it waits for all of them
        try (ExecutorService pool = Executors.newFixedThreadPool(threads, THREADS)) {
            for (int i = 0; i < threads; i++) {
                pool.execute(readers::readUnlessFailed);
            }
        }
        return readers.result();
    }

    /** Where one thread fails, the others have nothing to work for. */
    private void readUnlessFailed() {
        Cancellation.unless(
                () -> failure.get() != null,
                () -> {
                    try {
                        readPages();
                    } catch (Throwable any) { // memory that runs out, too
                        failure.compareAndSet(null, any);
                    }
                    return null;
                });
    }

    private void readPages() throws IOException {
        while (next.get() < reports.length) {
            try (PDDocument document = Opening.of(file, password);
                    Reader reader = opener.open(document)) {
                readPages(reader);
            }
        }
    }

    private void readPages(Reader reader) throws IOException {
        for (int read = 0; read < KEPT; read++) {
            int at = next.getAndIncrement();
            if (at >= reports.length) {
                return;
            }
            Cancellation.check();
            reports[at] = reader.page(at);
            oneMore();
        }
    }

    private synchronized void oneMore() {
        progress.at(++done, reports.length);
    }

    private List<PageReport> result() throws IOException {
        return switch (failure.get()) {
            case null -> Arrays.asList(reports);
            case RuntimeException unchecked -> throw unchecked;
            case Error error -> throw error;
            case Throwable other -> throw new IOException("A page could not be read back.", other);
        };
    }
}
