package yewberry.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Speaks to a server as a program would: JSON there and back. */
public final class Client {
    public static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newHttpClient();
    private final URI base;

    Client(int port) {
        this.base = URI.create("http://localhost:" + port);
    }

    public record Answer(int status, byte[] bytes, HttpHeaders headers) {
        public JsonNode json() {
            return JSON.readTree(bytes);
        }

        public String text() {
            return new String(bytes, java.nio.charset.StandardCharsets.UTF_8);
        }

        public String detail() {
            return json().path("detail").asString();
        }
    }

    public URI uri(String path) {
        return base.resolve(path);
    }

    /** Sends these very bytes and returns all that comes back. */
    public String raw(String request) {
        try (java.net.Socket socket = new java.net.Socket("127.0.0.1", base.getPort())) {
            socket.getOutputStream()
                    .write(request.getBytes(java.nio.charset.StandardCharsets.US_ASCII));
            return new String(
                    socket.getInputStream().readAllBytes(),
                    java.nio.charset.StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public Answer get(String path, String... headers) {
        return send(request(path, headers).GET());
    }

    public Answer delete(String path) {
        return send(request(path).DELETE());
    }

    public Answer post(String path, JsonNode body, String... headers) {
        return post(path, body.toString(), headers);
    }

    public Answer post(String path, String body, String... headers) {
        return send(
                request(path, headers)
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    private HttpRequest.Builder request(String path, String... headers) {
        HttpRequest.Builder builder =
                HttpRequest.newBuilder(base.resolve(path)).timeout(Duration.ofSeconds(60));
        return headers.length == 0 ? builder : builder.headers(headers);
    }

    public Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<byte[]> response =
                    http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            return new Answer(response.statusCode(), response.body(), response.headers());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A new publication of A5 pages; returns its id. */
    public String create(String name, int pages) {
        Answer answer =
                post(
                        "/api/publications",
                        """
                        {"name": "%s", "trim": {"width": "148 mm", "height": "210 mm"},
                         "destination": "PAPER", "facing": true, "bleed": "3 mm", "pages": %d}
                        """
                                .formatted(name, pages));
        if (answer.status() != 201) {
            throw new AssertionError(answer.text());
        }
        return answer.json().path("id").asString();
    }

    /** A publication, with its pages in the place of how many there are. */
    public JsonNode read(String publication) {
        ObjectNode whole = (ObjectNode) get("/api/publications/" + publication).json();
        ArrayNode pages = JSON.createArrayNode();
        int count = whole.path("pages").asInt();
        while (pages.size() < count) {
            String path =
                    "/api/publications/%s/pages?from=%d&to=%d"
                            .formatted(publication, pages.size(), count);
            get(path).json().path("pages").forEach(pages::add);
        }
        whole.set("pages", pages);
        return whole;
    }

    /** The findings of all pages, which come in parts. */
    public JsonNode findings(String publication, String query) {
        while (true) {
            JsonNode found = get("/api/publications/" + publication + "/findings" + query).json();
            if (found.path("checked").asInt() == found.path("pages").asInt()) {
                return found;
            }
        }
    }

    public Answer edit(String publication, long revision, String author, String edit) {
        ObjectNode request = JSON.createObjectNode();
        request.set("edit", JSON.readTree(edit));
        request.put("revision", revision);
        request.put("author", author);
        return post("/api/publications/" + publication + "/edits", request);
    }
}
