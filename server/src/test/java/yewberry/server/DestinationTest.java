package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Where a publication goes, over HTTP: what is seen, what is judged, and what is exported. */
@ExtendWith(RunningServer.class)
class DestinationTest {
    private final Client client;

    DestinationTest(Client client) {
        this.client = client;
    }

    private void goesTo(String id, String destination) {
        JsonNode publication = client.read(id);
        ObjectNode setup = (ObjectNode) publication.path("setup");
        setup.put("destination", destination);
        Client.Answer answer =
                client.edit(
                        id,
                        publication.path("revision").asLong(),
                        "one",
                        "{\"type\": \"changeSetup\", \"setup\": " + setup + "}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    @Test
    void a_publication_for_the_screen_is_exported_in_srgb_and_read_back() throws Exception {
        String id = client.create("Screens", 2);
        goesTo(id, "SCREEN");
        JsonNode job = client.post("/api/publications/" + id + "/exports", "").json();
        assertThat(job.path("kind").asString()).isEqualTo("READING_PDF");
        assertThat(job.path("fileName").asString()).isEqualTo("screens-reading.pdf");
        String address = "/api/jobs/" + job.path("id").asString();
        client.get(address + "/events"); // ends with the job
        assertThat(client.get(address).json().path("report").path("matches").asBoolean()).isTrue();
        try (var document = Loader.loadPDF(client.get(address + "/file").bytes())) {
            assertThat(document.getPage(0).getCropBox().getWidth()).isEqualTo(148 * 72 / 25.4f);
        }
    }

    @Test
    void a_swatch_is_seen_as_it_comes_out_where_the_publication_goes() {
        String id = client.create("Chips", 1);
        long revision = client.read(id).path("revision").asLong();
        client.edit(
                id,
                revision,
                "one",
                """
                {"type": "addSwatch", "swatch": {"id": "4f3c2d10-0000-4000-8000-000000000077",
                 "name": "Loud", "definition": {"type": "plain",
                 "color": {"type": "rgb", "red": 255, "green": 0, "blue": 255}}}}
                """);
        assertThat(loud(id)).isNotEqualTo("#ff00ff");
        goesTo(id, "SCREEN");
        assertThat(loud(id)).isEqualTo("#ff00ff");
    }

    private String loud(String id) {
        for (JsonNode swatch : client.read(id).path("swatches")) {
            if (swatch.path("name").asString().equals("Loud")) {
                return swatch.path("screen").asString();
            }
        }
        throw new AssertionError("no such swatch");
    }

    /** White words on a dark background vanish without it, and the finding is there at once. */
    @Test
    void viewings_judge() {
        String id = "";
        for (JsonNode each : client.get("/api/publications").json()) {
            id =
                    each.path("name").asString().equals("Season guide")
                            ? each.path("id").asString()
                            : id;
        }
        JsonNode designed = client.findings(id, "");
        JsonNode without = client.findings(id, "?viewing=BACKGROUNDS_OFF");
        assertThat(contrasts(without)).isGreaterThan(contrasts(designed));
        assertThat(without.path("findings").get(0).path("message").asString())
                .startsWith("With backgrounds off, ");
    }

    private static long contrasts(JsonNode list) {
        long count = 0;
        for (JsonNode each : list.path("findings")) {
            count += each.path("kind").asString().equals("contrast") ? 1 : 0;
        }
        return count;
    }
}
