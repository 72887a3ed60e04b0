package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class ExportTest {
    private final Client client;

    ExportTest(Client client) {
        this.client = client;
    }

    private JsonNode ended(String job) throws InterruptedException {
        for (int i = 0; i < 600; i++) {
            JsonNode now = client.get("/api/jobs/" + job).json();
            if (!isRunning(now)) {
                return now;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The export did not end");
    }

    private static boolean isRunning(JsonNode job) {
        return job.path("state").asString().equals("RUNNING");
    }

    private String begin(String publication) {
        Client.Answer begun = client.post("/api/publications/" + publication + "/exports", "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        return begun.json().path("id").asString();
    }

    @Test
    void an_export_ends_with_a_file_and_what_was_read_back_from_it() throws Exception {
        String id = client.create("Été: ../dark", 3);
        String job = begin(id);
        JsonNode done = ended(job);
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("report").path("matches").asBoolean()).isTrue();
        assertThat(done.path("report").path("pages")).hasSize(3);
        Client.Answer file = client.get("/api/jobs/" + job + "/file");
        assertThat(file.headers().firstValue("Content-Disposition").orElseThrow())
                .contains("filename=\"ete-dark-press.pdf\"");
        try (var document = Loader.loadPDF(file.bytes())) {
            assertThat(document.getNumberOfPages()).isEqualTo(3);
        }
        assertThat(
                        client.get("/api/publications/" + id + "/exports")
                                .json()
                                .get(0)
                                .path("id")
                                .asString())
                .isEqualTo(job);
    }

    @Test
    void progress_is_told_as_events_until_the_end() throws Exception {
        String id = client.create("Events", 3);
        String job = begin(id);
        Client.Answer events = client.get("/api/jobs/" + job + "/events");
        List<JsonNode> told =
                events.text()
                        .lines()
                        .filter(line -> line.startsWith("data:"))
                        .map(line -> Client.JSON.readTree(line.substring(5)))
                        .toList();
        assertThat(told).isNotEmpty();
        assertThat(told.getLast().path("state").asString()).isEqualTo("DONE");
    }

    @Test
    void a_long_export_can_be_cancelled_and_leaves_no_file() throws Exception {
        String id = client.create("Long", 3000);
        String job = begin(id);
        client.delete("/api/jobs/" + job);
        JsonNode ended = ended(job);
        assertThat(ended.path("state").asString()).isEqualTo("CANCELLED");
        assertThat(ended.path("message").asString()).contains("no file was kept");
        assertThat(client.get("/api/jobs/" + job + "/file").status()).isEqualTo(404);
    }

    @Test
    void an_export_that_waits_is_cancelled_at_once() throws Exception {
        String publication = client.create("First", 3000);
        String first = begin(publication);
        String second = begin(publication);
        client.delete("/api/jobs/" + second);
        JsonNode cancelled = client.get("/api/jobs/" + second).json();
        assertThat(cancelled.path("state").asString()).isEqualTo("CANCELLED");
        assertThat(client.get("/api/jobs/" + first).json().path("state").asString())
                .isEqualTo("RUNNING");
        client.delete("/api/jobs/" + first);
        ended(first);
    }

    @Test
    void a_short_export_does_not_wait_for_a_long_one_of_another_publication() throws Exception {
        String slow = begin(client.create("Long", 3000));
        assertThat(ended(begin(client.create("Short", 1))).path("state").asString())
                .isEqualTo("DONE");
        assertThat(client.get("/api/jobs/" + slow).json().path("state").asString())
                .isEqualTo("RUNNING");
        client.delete("/api/jobs/" + slow);
        ended(slow);
    }

    @Test
    void how_long_an_export_takes_is_told_once_its_pace_is_known() throws Exception {
        String job = begin(client.create("Long", 3000));
        JsonNode now = client.get("/api/jobs/" + job).json();
        for (int i = 0; i < 300 && now.path("left").isMissingNode() && isRunning(now); i++) {
            Thread.sleep(100);
            now = client.get("/api/jobs/" + job).json();
        }
        assertThat(now.path("left").asInt(-1)).isBetween(0, 3600);
        client.delete("/api/jobs/" + job);
        ended(job);
    }

    @Test
    void deleting_a_publication_ends_its_exports_and_whoever_follows_them() throws Exception {
        String id = client.create("Gone", 3000);
        String job = begin(id);
        try (var threads = java.util.concurrent.Executors.newVirtualThreadPerTaskExecutor()) {
            var events = threads.submit(() -> client.get("/api/jobs/" + job + "/events"));
            Thread.sleep(300);
            assertThat(client.delete("/api/publications/" + id).status()).isEqualTo(204);
            Client.Answer told = events.get(30, java.util.concurrent.TimeUnit.SECONDS);
            assertThat(told.text().lines().filter(line -> line.startsWith("data:")).count())
                    .as("no busy loop")
                    .isLessThan(4000);
        }
        assertThat(client.get("/api/jobs/" + job).status()).isEqualTo(404);
        assertThat(client.get("/api/publications/" + id).status()).isEqualTo(404);
    }

    @Test
    void characters_without_a_shape_are_asked_about_first() throws Exception {
        String id = client.create("Snow", 1);
        JsonNode publication = client.read(id);
        String page = publication.path("pages").get(0).path("id").asString();
        String look = publication.path("looks").get(0).path("look").path("id").asString();
        Client.Answer added =
                client.edit(
                        id,
                        publication.path("revision").asLong(),
                        "one",
                        """
                        {"type": "several", "edits": [
                         {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"},
                          "frame": "4f3c2d10-0000-4000-8000-000000000091", "sides": "BOTH",
                          "box": {"x": "20 mm", "y": "20 mm", "width": "80 mm", "height": "40 mm"},
                          "story": "4f3c2d10-0000-4000-8000-000000000093",
                          "paragraph": "4f3c2d10-0000-4000-8000-000000000092", "look": "%s"},
                         {"type": "writeText", "story": "4f3c2d10-0000-4000-8000-000000000093",
                          "was": [{"paragraph": "4f3c2d10-0000-4000-8000-000000000092",
                           "look": "%s", "runs": [{"text": ""}]}],
                          "paragraphs": [{"paragraph": "4f3c2d10-0000-4000-8000-000000000092",
                           "look": "%s", "runs": [{"text": "Snow \u4e16"}]}]}]}
                        """
                                .formatted(page, look, look, look));
        assertThat(added.status()).as(added.text()).isEqualTo(200);
        Client.Answer asked = client.post("/api/publications/" + id + "/exports", "");
        assertThat(asked.status()).isEqualTo(428);
        assertThat(asked.detail()).contains("\u4e16").contains("page 1");
        Client.Answer accepted =
                client.post("/api/publications/" + id + "/exports?missingAccepted=true", "");
        assertThat(accepted.status()).isEqualTo(202);
        assertThat(ended(accepted.json().path("id").asString()).path("state").asString())
                .isEqualTo("DONE");
        // such a file does not say that it can be kept and listened to
        Client.Answer reading =
                client.post(
                        "/api/publications/" + id + "/outputs?missingAccepted=true",
                        "{\"kind\":\"READING_PDF\"}");
        JsonNode read = ended(reading.json().path("id").asString());
        assertThat(read.path("report").path("matches").asBoolean()).as(read.toString()).isTrue();
        byte[] file = client.get("/api/jobs/" + read.path("id").asString() + "/file").bytes();
        try (var document = Loader.loadPDF(file);
                var metadata = document.getDocumentCatalog().getMetadata().exportXMPMetadata()) {
            assertThat(new String(metadata.readAllBytes(), StandardCharsets.UTF_8))
                    .contains("dc:title")
                    .doesNotContain("pdfaid")
                    .doesNotContain("pdfuaid");
        }
    }

    /** More publications than are kept open, while one of them is worked on. */
    @Test
    void a_publication_closed_for_room_never_has_a_second_writer() throws Exception {
        String id = client.create("Worked on", 1);
        List<String> others =
                java.util.stream.IntStream.range(0, 40)
                        .mapToObj(i -> client.create("Other " + i, 1))
                        .toList();
        try (var threads = java.util.concurrent.Executors.newFixedThreadPool(4)) {
            List<java.util.concurrent.Future<Long>> writers = new java.util.ArrayList<>();
            for (int writer = 0; writer < 2; writer++) {
                String author = "writer" + writer;
                writers.add(threads.submit(() -> rename(id, author)));
            }
            for (int half = 0; half < 2; half++) {
                int from = half * 20;
                threads.submit(() -> {
                    for (int round = 0; round < 3; round++) {
                        others.subList(from, from + 20).forEach(client::read);
                    }
                });
            }
            long acknowledged = writers.get(0).get() + writers.get(1).get();
            assertThat(client.read(id).path("revision").asLong()).isEqualTo(acknowledged);
        }
    }

    /**
     * Renames it thirty times, each time on the newest state; returns how often that was stored.
     */
    private long rename(String id, String author) {
        long stored = 0;
        for (int i = 0; i < 30; i++) {
            Client.Answer answer =
                    client.edit(
                            id,
                            client.read(id).path("revision").asLong(),
                            author,
                            "{\"type\": \"renamePublication\", \"name\": \"%s %d\"}"
                                    .formatted(author, i));
            assertThat(answer.status()).as(answer.text()).isIn(200, 409);
            stored += answer.status() == 200 ? 1 : 0;
        }
        return stored;
    }
}
