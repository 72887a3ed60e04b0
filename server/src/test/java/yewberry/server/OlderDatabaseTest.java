package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * A database as the sixth schema had it, with the demo and seven steps in it: two pages removed,
 * one moved, a swatch and the publication renamed, a parent and a background added, the last
 * undone.
 */
class OlderDatabaseTest {
    @TempDir Path data;

    private void unpack() throws IOException {
        try (InputStream kept =
                new GZIPInputStream(
                        OlderDatabaseTest.class.getResourceAsStream(
                                "/demo-of-schema-6.mv.db.gz"))) {
            Files.copy(kept, data.resolve("yewberry.mv.db"));
        }
    }

    private static JsonNode step(Client client, String id, String kind) {
        Client.Answer answer =
                client.post("/api/publications/" + id + "/" + kind, "{\"author\": \"keeper\"}");
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static List<String> names(JsonNode list) {
        List<String> names = new ArrayList<>();
        list.forEach(each -> names.add(each.path("name").asString()));
        return names;
    }

    @Test
    void opens_with_everything_in_it() throws Exception {
        unpack();
        SeparateServer server = new SeparateServer(data);
        Client client = server.client();
        JsonNode shelf = client.get("/api/publications").json();
        assertThat(names(shelf)).containsExactly("Season guide, kept", "Gate leaflet");
        String id = shelf.get(0).path("id").asString();
        JsonNode guide = client.read(id);
        assertThat(guide.path("revision").asInt()).isEqualTo(7);
        assertThat(guide.path("pages")).hasSize(10);
        assertThat(names(guide.path("parents"))).contains("Kept parent");
        assertThat(names(guide.path("swatches"))).startsWith("Renamed ink");
        assertThat(client.get("/api/publications/" + id + "/spreads/0/picture").status())
                .isEqualTo(200);

        // the history that was written then
        JsonNode redone = step(client, id, "redo");
        assertThat(redone.path("canRedo").asBoolean()).isFalse();
        JsonNode undone = redone;
        while (undone.path("canUndo").asBoolean()) {
            undone = step(client, id, "undo");
        }
        JsonNode first = client.read(id);
        assertThat(first.path("name").asString()).isEqualTo("Season guide");
        assertThat(first.path("pages")).hasSize(12);
        assertThat(names(first.path("parents"))).doesNotContain("Kept parent");
        JsonNode detail =
                client.get(
                                "/api/publications/%s/pages/%s"
                                        .formatted(
                                                id,
                                                first.path("pages").get(2).path("id").asString()))
                        .json();
        assertThat(
                        detail.path("layer").path("backgrounds").size()
                                + detail.path("layer").path("frames").size())
                .as("what lay on a page that was removed")
                .isPositive();
        while (undone.path("canRedo").asBoolean()) {
            undone = step(client, id, "redo");
        }
        JsonNode again = client.read(id);
        assertThat(again.path("pages")).hasSize(10);
        server.kill();
    }
}
