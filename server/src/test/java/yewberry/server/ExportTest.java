package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

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
            if (!now.path("state").asString().equals("RUNNING")) {
                return now;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The export did not end");
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
}
