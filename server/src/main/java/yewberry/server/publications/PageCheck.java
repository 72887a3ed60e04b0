package yewberry.server.publications;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import yewberry.core.Cancellation;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;

/** Checks the pages of publications, each on as many threads as there are processors. */
@Component
public class PageCheck implements DisposableBean {
    private static final int THREADS = Runtime.getRuntime().availableProcessors();

    private final ExecutorService pool =
            Executors.newFixedThreadPool(
                    THREADS, Thread.ofPlatform().daemon().name("checking-", 1).factory());

    /** How a page is checked. */
    public interface Check<T> {
        /** What was found before. */
        Optional<T> known(SceneKey page);

        T found(PageScene page);
    }

    /**
     * What is found on pages, as far as one gets in some time; what was found before is at hand.
     *
     * @param first the position of the page that is checked first, from 0
     * @param nanos how long pages are checked; one is in any case
     * @return by the positions of the pages that are checked by now
     * @throws CancellationException if nobody wants it any more
     */
    public <T> Map<Integer, T> check(
            OpenPublication open, Publication publication, Check<T> check, int first, long nanos) {
        int pages = publication.pages().size();
        long until = System.nanoTime() + nanos;
        AtomicInteger next = new AtomicInteger();
        Map<Integer, T> found = new ConcurrentSkipListMap<>();
        Runnable checking =
                () -> {
                    for (int i = next.getAndIncrement(); i < pages; i = next.getAndIncrement()) {
                        int at = Math.floorMod(first + i, pages);
                        Composer composer = open.composer(publication);
                        boolean inTime = i == 0 || System.nanoTime() < until;
                        Optional<T> known = composer.known(publication, at).flatMap(check::known);
                        if (known.isPresent()) {
                            found.put(at, known.get());
                        } else if (inTime) {
                            PageScene scene = composer.compose(publication, at);
                            found.put(at, check.found(scene));
                        }
                    }
                };
        List<CompletableFuture<Void>> threads =
                IntStream.range(0, Math.min(THREADS, pages))
                        .mapToObj(thread ->
                                CompletableFuture.supplyAsync(
                                        Cancellation.carried(() -> done(checking)), pool))
                        .toList();
        await(threads);
        return new TreeMap<>(found);
    }

    private static Void done(Runnable work) {
        work.run();
        return null;
    }

    private static void await(List<CompletableFuture<Void>> threads) {
        try {
            CompletableFuture.allOf(threads.toArray(CompletableFuture[]::new)).join();
        } catch (CompletionException failed) {
            if (failed.getCause() instanceof RuntimeException unchecked) {
                throw unchecked;
            }
            if (failed.getCause() instanceof Error error) {
                throw error;
            }
            throw failed;
        }
    }

    @Override
    public void destroy() {
        pool.shutdownNow();
    }
}
