package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpRequest;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** Whatever comes in, the answer says what to do, and nothing is changed. */
@ExtendWith(RunningServer.class)
class BadInputTest {
    private final Client client;
    private String id;
    private JsonNode before;

    BadInputTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void create() {
        id = client.create("Leaflet", 2);
        before = client.read(id);
    }

    @AfterEach
    void nothing_changed() {
        assertThat(client.read(id)).isEqualTo(before);
    }

    private static void isProblem(Client.Answer answer, int status, String... words) {
        assertThat(answer.status()).as(answer.text()).isEqualTo(status);
        assertThat(answer.headers().firstValue("Content-Type").orElse(""))
                .startsWith("application/problem+json");
        assertThat(answer.detail()).contains(words).doesNotContain("Exception", "java.");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0 mm | 210 mm | 3 mm | 4 | 0 mm wide",
                "148 mm | 99999 mm | 3 mm | 4 | high",
                "148 mm | 210 mm | -3 mm | 4 | negative",
                "148 mm | 210 mm | 100 mm | 4 | wider than the page allows",
                "148 mm | 210 mm | 3 mm | 0 | 1 to 10000",
                "148 mm | 210 mm | 3 mm | 100000 | 1 to 10000",
                "148 parsecs | 210 mm | 3 mm | 4 | not a length",
            })
    void an_impossible_publication_is_refused(
            String width, String height, String bleed, int pages, String word) {
        int shelf = client.get("/api/publications").json().size();
        Client.Answer answer =
                client.post(
                        "/api/publications",
                        """
                        {"name": "X", "trim": {"width": "%s", "height": "%s"}, "destination": "PAPER", "facing": true,
                         "bleed": "%s", "pages": %d}
                        """
                                .formatted(width, height, bleed, pages));
        isProblem(answer, 422, word);
        assertThat(client.get("/api/publications").json()).hasSize(shelf);
    }

    @Test
    void an_unknown_font_is_refused_with_those_there_are() {
        JsonNode look = before.path("looks").get(0).path("look");
        String changed = look.toString().replace("Source Serif 4", "Nosuch Grotesk");
        isProblem(
                client.edit(id, 0, "ann", "{\"type\": \"changeLook\", \"look\": " + changed + "}"),
                422,
                "Nosuch Grotesk",
                "Source Sans 3");
    }

    @Test
    void unknown_ids_are_refused() {
        UUID nowhere = UUID.randomUUID();
        isProblem(client.get("/api/publications/" + nowhere), 404, "no such publication");
        isProblem(
                client.get("/api/publications/" + id + "/pages/" + nowhere + "/picture"),
                404,
                "no such page");
        isProblem(client.get("/api/publications/" + id + "/spreads/77"), 404, "no such spread");
        isProblem(client.get("/api/publications/" + id + "/spreads/-1"), 404, "no such spread");
        isProblem(client.get("/api/jobs/" + nowhere), 404, "no such export");
        isProblem(client.get("/api/publications/not-an-id"), 400, "not-an-id");
        isProblem(
                client.edit(
                        id,
                        0,
                        "ann",
                        "{\"type\": \"removeFrame\", \"frame\": \"" + nowhere + "\"}"),
                422,
                "frame");
    }

    @Test
    void ids_of_another_publication_are_unknown_here() {
        String other = client.create("Other", 1);
        String swatch = client.read(other).path("swatches").get(0).path("id").asString();
        isProblem(
                client.edit(
                        id,
                        0,
                        "ann",
                        "{\"type\": \"renameSwatch\", \"swatch\": \""
                                + swatch
                                + "\", \"name\": \"x\"}"),
                422,
                "no such swatch");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"edit\": | not well-formed JSON",
                "{\"edit\": {\"type\": \"explode\"}, \"revision\": 0, \"author\": \"a\"} | form expected",
                "{\"edit\": {\"type\": \"renamePublication\"}, \"revision\": 0, \"author\": \"a\"} | form expected",
                "{\"edit\": null, \"revision\": 0, \"author\": \"a\"} | form expected",
                "{\"revision\": 0, \"author\": \"a\"} | form expected",
                "[] | form expected",
                "{\"edit\": {\"type\": \"renamePublication\", \"name\": \"x\", \"more\": 1}, \"revision\": 0, \"author\": \"a\"} | form expected",
            })
    void malformed_json_is_refused_with_where_it_went_wrong(String body, String word) {
        isProblem(client.post("/api/publications/" + id + "/edits", body), 400, word);
    }

    @Test
    void values_out_of_range_are_refused_by_name() {
        String swatch = before.path("swatches").get(0).path("id").asString();
        isProblem(
                client.edit(
                        id,
                        0,
                        "ann",
                        """
                        {"type": "changeSwatch", "swatch": "%s",
                         "definition": {"type": "plain", "color":
                           {"type": "cmyk", "cyan": 120, "magenta": 0, "yellow": 0, "black": 0}}}
                        """
                                .formatted(swatch)),
                422,
                "Cyan of 120 %");
    }

    @Test
    void an_author_is_letters_digits_and_hyphens() {
        isProblem(
                client.edit(id, 0, "a b", "{\"type\": \"renamePublication\", \"name\": \"x\"}"),
                422,
                "author");
    }

    @Test
    void a_body_over_the_limit_is_refused() {
        String huge =
                "{\"edit\": {\"type\": \"renamePublication\", \"name\": \""
                        + "x".repeat(17_000_000)
                        + "\"}}";
        isProblem(client.post("/api/publications/" + id + "/edits", huge), 413, "16 MB");
    }

    @Test
    void a_body_that_does_not_say_how_long_it_is_is_bounded_too() {
        byte[] huge = ("{\"author\": \"" + "x".repeat(17_000_000) + "\"}").getBytes();
        Client.Answer answer =
                client.send(
                        HttpRequest.newBuilder(uri("/api/publications/" + id + "/edits"))
                                .header("Content-Type", "application/json")
                                .POST(
                                        HttpRequest.BodyPublishers.ofInputStream(
                                                () -> new java.io.ByteArrayInputStream(huge))));
        isProblem(answer, 413, "16 MB");
    }

    private URI uri(String path) {
        return client.uri(path);
    }

    @Test
    void changes_are_taken_only_from_our_own_pages() {
        String path = "/api/publications/" + id + "/undo";
        String body = "{\"author\": \"ann\"}";
        isProblem(client.post(path, body, "Origin", "https://example.org"), 403, "own pages");
        isProblem(client.post(path, body, "Sec-Fetch-Site", "cross-site"), 403, "own pages");
        isProblem(client.post(path, body, "Origin", "null"), 403, "own pages");
        String own = "http://" + client.uri("/").getAuthority();
        isProblem(client.post(path, body, "Origin", own), 409, "nothing to undo");
    }

    @Test
    void a_foreign_name_for_this_machine_is_not_answered() {
        // java.net.http does not let a caller set Host; a plain socket does
        String answer =
                client.raw(
                        "GET /api/publications HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n");
        assertThat(answer).startsWith("HTTP/1.1 421").contains("localhost or 127.0.0.1");
    }

    @Test
    void pages_come_with_a_strict_policy() {
        Client.Answer page = client.get("/api/publications");
        assertThat(page.headers().firstValue("Content-Security-Policy").orElseThrow())
                .contains("default-src 'none'", "script-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).contains("nosniff");
    }
}
