package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What others do, as it happens: the stream of events (WHATWG HTML, "Server-sent events"). */
@ExtendWith(RunningServer.class)
class NewsTest {
    private final Client client;

    NewsTest(Client client) {
        this.client = client;
    }

    private BufferedReader follow(HttpClient http, String query) throws Exception {
        var answer =
                http.send(
                        HttpRequest.newBuilder(client.uri("/api/events?" + query)).build(),
                        HttpResponse.BodyHandlers.ofInputStream());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type").orElseThrow())
                .startsWith("text/event-stream");
        return new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8));
    }

    private static void await(BufferedReader stream, String line) throws IOException {
        String read = stream.readLine();
        while (!line.equals(read)) {
            assertThat(read).as("before the end").isNotNull();
            read = stream.readLine();
        }
    }

    private static JsonNode step(BufferedReader stream) throws IOException {
        return next(stream, "step");
    }

    private static JsonNode next(BufferedReader stream, String event) throws IOException {
        await(stream, "event:" + event);
        return JsonMapper.shared().readTree(stream.readLine().substring("data:".length()));
    }

    private void rename(String publication, String author, String name) {
        Client.Answer answer =
                client.edit(
                        publication,
                        client.read(publication).path("revision").asLong(),
                        author,
                        "{\"type\": \"renamePublication\", \"name\": \"%s\"}".formatted(name));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    @Test
    void each_step_is_told_with_who_made_it() throws Exception {
        String id = client.create("Leaflet", 1);
        try (HttpClient http = HttpClient.newHttpClient()) {
            BufferedReader hers = follow(http, "author=mara-browser&name=Mara%20of%20the%20Marsh");
            BufferedReader his = follow(http, "author=unnamed");
            await(hers, "event:begun");
            await(his, "event:begun");
            rename(id, "mara-browser", "Leaflet one");
            rename(id, "unnamed", "Leaflet two");
            for (BufferedReader stream : new BufferedReader[] {his, hers}) {
                JsonNode first = step(stream);
                assertThat(first.path("publication").asString()).isEqualTo(id);
                assertThat(first.path("revision").asLong()).isEqualTo(1);
                assertThat(first.path("author").asString()).isEqualTo("mara-browser");
                assertThat(first.path("name").asString()).isEqualTo("Mara of the Marsh");
                JsonNode second = step(stream);
                assertThat(second.path("revision").asLong()).isEqualTo(2);
                assertThat(second.path("name").asString()).isEmpty();
            }
            http.shutdownNow();
        }
    }

    @Test
    void what_comes_to_the_shelf_and_goes_and_how_far_exports_are_is_told() throws Exception {
        try (HttpClient http = HttpClient.newHttpClient()) {
            BufferedReader stream = follow(http, "author=reader");
            await(stream, "event:begun");
            String id = client.create("Told", 1);
            JsonNode created = next(stream, "shelf");
            assertThat(created.path("publication").asString()).isEqualTo(id);
            assertThat(created.path("gone").asBoolean()).isFalse();
            String job =
                    client.post("/api/publications/" + id + "/exports", "")
                            .json()
                            .path("id")
                            .asString();
            JsonNode last = next(stream, "job");
            while (last.path("state").asString().equals("RUNNING")) {
                last = next(stream, "job");
            }
            assertThat(last.path("id").asString()).isEqualTo(job);
            assertThat(last.path("state").asString()).isEqualTo("DONE");
            client.delete("/api/publications/" + id);
            assertThat(next(stream, "shelf").path("gone").asBoolean()).isTrue();
            http.shutdownNow();
        }
    }

    @Test
    void names_that_cannot_be_shown_are_refused() {
        assertThat(client.get("/api/events?author=not%20a%20name").status()).isEqualTo(422);
        assertThat(client.get("/api/events?author=a&name=%E2%80%AE%00").status()).isEqualTo(422);
    }
}
