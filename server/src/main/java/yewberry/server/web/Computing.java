package yewberry.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;
import yewberry.core.Cancellation;

/**
 * Answers what has to be computed on a few platform threads. The server's own threads are virtual
 * and are not sliced in time: as many busy ones as there are processors would stop every answer.
 * Here they only wait, read what comes and write what goes. What nobody waits for any more, or
 * takes too long, is given up.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class Computing extends OncePerRequestFilter implements DisposableBean {
    /** More than the processors, so that something short has its turn beside what is long. */
    private static final int THREADS = Math.max(4, Runtime.getRuntime().availableProcessors());

    private static final int WAITING = 500;
    private static final long LONGEST_MILLIS = 30_000;

    /** The search for what mends all text says how far it is, and can be cancelled. */
    private static final long LONGEST_SEARCH_MILLIS = 290_000;

    /** What bodies that are worked on take together, in kilobytes; others wait to be read. */
    private static final int BODIES = 256 << 10;

    /** Of a body that does not say how large it is, in bytes. */
    private static final int LARGEST = 16 << 20;

    /** How often it is looked whether somebody still waits. */
    private static final long LOOK_MILLIS = 250;

    private static final Set<String> LIGHT =
            Set.of("/api/publications", "/api/options", "/api/openapi", "/api/events");

    private final Semaphore bodies = new Semaphore(BODIES, true);

    private final ThreadPoolExecutor pool =
            new ThreadPoolExecutor(
                    THREADS,
                    THREADS,
                    1,
                    TimeUnit.MINUTES,
                    new ArrayBlockingQueue<>(WAITING),
                    Thread.ofPlatform().daemon().name("computing-", 1).factory());

    /** Files that are large come and go as they can; jobs and streams have threads of their own. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean reading = request.getMethod().equals("GET");
        return !path.startsWith("/api/")
                || LIGHT.contains(path)
                || path.startsWith("/api/jobs/")
                || !reading && (path.endsWith("/pictures") || path.endsWith("/imports"))
                || !reading
                        && (path.endsWith("/files") || path.equals("/api/publications/documents"))
                || !reading && path.equals("/api/press-conditions")
                || !reading && path.equals("/api/typefaces")
                || path.contains("/recipes/") && path.endsWith("/file");
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int size = request.getContentLength() < 0 ? LARGEST : request.getContentLength();
        int taken = Math.min(BODIES, size / 1024 + 1);
        bodies.acquireUninterruptibly(taken);
        try {
            compute(request, response, chain);
        } finally {
            bodies.release(taken);
        }
    }

    private void compute(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        HttpServletRequest whole = new Whole(request, request.getInputStream().readAllBytes());
        ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
        AtomicBoolean unwanted = new AtomicBoolean();
        CompletableFuture<Void> answer = new CompletableFuture<>();
        pool.execute(() -> compute(whole, kept, chain, unwanted, answer));
        await(request, unwanted, answer);
        kept.copyBodyToResponse();
    }

    private static void compute(
            HttpServletRequest request,
            HttpServletResponse response,
            FilterChain chain,
            AtomicBoolean unwanted,
            CompletableFuture<Void> answer) {
        try {
            Cancellation.unless(
                    unwanted::get,
                    () -> {
                        try {
                            if (unwanted.get()) {
                                giveUp(response);
                            } else {
                                chain.doFilter(request, response);
                            }
                            answer.complete(null);
                        } catch (IOException | ServletException failure) {
                            answer.completeExceptionally(failure);
                        }
                        return null;
                    });
        } catch (Throwable failure) {
            answer.completeExceptionally(failure);
        }
    }

    /** It came to nothing before it was begun. */
    private static void giveUp(HttpServletResponse response) throws IOException {
        response.setStatus(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
        response.setContentType("application/problem+json");
        response.getOutputStream()
                .write(
                        """
                        {"title": "Given up", "status": 503, "detail": "Yewberry is busy; nothing was changed. Try it again in a moment."}
                        """
                                .getBytes(StandardCharsets.UTF_8));
    }

    private static void await(
            HttpServletRequest request, AtomicBoolean unwanted, CompletableFuture<Void> answer)
            throws ServletException, IOException {
        long longest =
                request.getRequestURI().endsWith("/whole-mend")
                        ? LONGEST_SEARCH_MILLIS
                        : LONGEST_MILLIS;
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(longest);
        BooleanSupplier gone = Connection.of(request);
        while (true) {
            try {
                answer.get(LOOK_MILLIS, TimeUnit.MILLISECONDS);
                return;
            } catch (TimeoutException still) {
                if (System.nanoTime() > until || gone.getAsBoolean()) {
                    unwanted.set(true);
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                unwanted.set(true);
                return;
            } catch (ExecutionException failed) {
                switch (failed.getCause()) {
                    case IOException io -> throw io;
                    case ServletException servlet -> throw servlet;
                    case Throwable other -> throw new ServletException(other);
                }
            }
        }
    }

    @Override
    public void destroy() {
        pool.shutdownNow();
    }

    /** A request whose body has come. */
    private static final class Whole extends HttpServletRequestWrapper {
        private final byte[] body;

        Whole(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public BufferedReader getReader() {
            return new BufferedReader(
                    new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }

        @Override
        public ServletInputStream getInputStream() {
            ByteArrayInputStream in = new ByteArrayInputStream(body);
            return new ServletInputStream() {
                @Override
                public int read() {
                    return in.read();
                }

                @Override
                public int read(byte[] buffer, int offset, int length) {
                    return in.read(buffer, offset, length);
                }

                @Override
                public boolean isFinished() {
                    return in.available() == 0;
                }

                @Override
                public boolean isReady() {
                    return true;
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    throw new IllegalStateException("All of it is here already");
                }
            };
        }
    }
}
