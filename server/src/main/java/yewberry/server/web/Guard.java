package yewberry.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import java.util.concurrent.RejectedExecutionException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;
import yewberry.server.recipes.RecipeFile;

/**
 * Stands before everything: answers only requests addressed to this machine by name (so that no
 * foreign name can be pointed at it), takes changes only from its own pages, bounds every body, and
 * sends the policy that keeps the pages to their own scripts and styles.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class Guard extends OncePerRequestFilter {
    private static final long LIMIT = 1024 * 1024;

    /** Profiles of presses are up to a few megabytes. */
    private static final long PROFILE_LIMIT = 16 * LIMIT;

    private static final long PICTURE_LIMIT = 128 * LIMIT;
    private static final long FILES_LIMIT = 512 * LIMIT;

    /** A recipe with thousands of backgrounds is brought along in one edit. */
    private static final long EDIT_LIMIT = 16 * LIMIT;

    private static final Set<String> HOSTS = Set.of("127.0.0.1", "localhost", "[::1]");
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    /** The hash is that of an empty style element, which the styling library puts in the page. */
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'"
                    + " 'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='; font-src 'self';"
                    + " img-src 'self' blob: data:; connect-src 'self'; base-uri 'none';"
                    + " form-action 'self'; frame-ancestors 'none'";

    private final JsonMapper mapper;

    Guard(JsonMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    protected void doFilterInternal(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        response.setHeader("Content-Security-Policy", POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        long limit = limit(request.getRequestURI());
        String host = request.getHeader("Host");
        if (host == null || !HOSTS.contains(host.replaceFirst(":\\d+$", ""))) {
            refuse(
                    response,
                    HttpStatus.MISDIRECTED_REQUEST,
                    "Open Yewberry as localhost or 127.0.0.1.");
        } else if (!READING.contains(request.getMethod()) && foreign(request, host)) {
            refuse(
                    response,
                    HttpStatus.FORBIDDEN,
                    "Changes are taken only from Yewberry's own pages.");
        } else if (request.getContentLengthLong() > limit) {
            refuse(response, HttpStatus.CONTENT_TOO_LARGE, new TooLarge(limit).getMessage());
        } else {
            try {
                chain.doFilter(new Bounded(request, limit), response);
            } catch (TooLarge large) {
                refuse(response, HttpStatus.CONTENT_TOO_LARGE, large.getMessage());
            } catch (RejectedExecutionException busy) {
                refuse(
                        response,
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "There is too much to do at the moment; try again in a minute.");
            }
        }
    }

    private static long limit(String path) {
        if (path.equals("/api/press-conditions") || path.equals("/api/typefaces")) {
            return PROFILE_LIMIT;
        }
        if (!path.startsWith("/api/")) {
            return LIMIT;
        }
        return path.endsWith("/recipes/imports")
                ? RecipeFile.LARGEST
                : path.endsWith("/pictures")
                        ? PICTURE_LIMIT
                        : path.endsWith("/files") || path.equals("/api/publications/documents")
                                ? FILES_LIMIT
                                : path.endsWith("/edits") ? EDIT_LIMIT : LIMIT;
    }

    /** Browsers say where a request comes from; programs that are no browser may say nothing. */
    private static boolean foreign(HttpServletRequest request, String host) {
        String site = request.getHeader("Sec-Fetch-Site");
        if (site != null && !site.equals("same-origin")) {
            return true;
        }
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return false;
        }
        try {
            return !host.equals(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException e) {
            return true;
        }
    }

    private void refuse(HttpServletResponse response, HttpStatus status, String detail)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType("application/problem+json");
        var problem =
                mapper.createObjectNode()
                        .put("title", status.getReasonPhrase())
                        .put("status", status.value())
                        .put("detail", detail);
        response.getOutputStream().write(mapper.writeValueAsBytes(problem));
    }

    private static final class Bounded extends HttpServletRequestWrapper {
        private final long limit;

        Bounded(HttpServletRequest request, long limit) {
            super(request);
            this.limit = limit;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new BoundedStream(super.getInputStream(), limit);
        }
    }

    /** For bodies that do not say how long they are. */
    private static final class BoundedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long limit;
        private long read;

        BoundedStream(ServletInputStream in, long limit) {
            this.in = in;
            this.limit = limit;
        }

        @Override
        public int read() throws IOException {
            int value = in.read();
            count(value < 0 ? 0 : 1);
            return value;
        }

        @Override
        public int read(byte[] buffer, int offset, int length) throws IOException {
            int count = in.read(buffer, offset, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int more) throws TooLarge {
            read += more;
            if (read > limit) {
                throw new TooLarge(limit);
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
