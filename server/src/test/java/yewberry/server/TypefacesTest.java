package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import yewberry.core.text.FontLibrary;

/** Fonts that somebody brings along, over HTTP. */
@ExtendWith(RunningServer.class)
class TypefacesTest {
    private final Client client;

    @TempDir Path folder;

    TypefacesTest(Client client) {
        this.client = client;
    }

    /** Fraunces under another name of as many letters, with these bits of fsType. */
    private static byte[] font(String family, int type) {
        byte[] program = FontLibrary.face("Fraunces", 400, false).program();
        String text = new String(program, StandardCharsets.ISO_8859_1);
        byte[] renamed =
                text.replace(wide("Fraunces"), wide(family)).getBytes(StandardCharsets.ISO_8859_1);
        for (int record = 12; record < 12 + 16 * renamed[5]; record += 16) {
            if (text.startsWith("OS/2", record)) {
                int table = java.nio.ByteBuffer.wrap(renamed).getInt(record + 8);
                renamed[table + 8] = (byte) (type >> 8);
                renamed[table + 9] = (byte) type;
            }
        }
        return renamed;
    }

    private static String wide(String text) {
        return new String(text.getBytes(StandardCharsets.UTF_16BE), StandardCharsets.ISO_8859_1);
    }

    private Client.Answer bring(String name, byte[] file) {
        return client.send(
                HttpRequest.newBuilder(client.uri("/api/typefaces?name=" + name))
                        .timeout(Duration.ofSeconds(60))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    private boolean isOffered(String family) {
        return client.get("/api/options")
                .json()
                .path("families")
                .valueStream()
                .anyMatch(each -> each.path("name").asString().equals(family));
    }

    /** Looks are not all that a font is used by. */
    @Test
    void a_font_of_words_or_of_a_watermark_is_not_removed() throws Exception {
        Client.Answer added = bring("seabeams.ttf", font("Seabeams", 4));
        String own = "/api/typefaces/" + added.json().path("id").asString();
        String id = client.create("Own words", 1);
        JsonNode publication = client.read(id);
        String look = publication.path("looks").get(0).path("look").path("id").asString();
        String text =
                """
                {"type": "writeText", "story": "5f3c2d10-0000-4000-8000-000000000002", "was": [],
                 "paragraphs": [{"paragraph": "5f3c2d10-0000-4000-8000-000000000004", "look": "%s",
                  "runs": [{"text": "Ebb", "local": {"family": "%s", "size": 120}}]}]}
                """;
        Client.Answer written =
                client.edit(
                        id,
                        0,
                        "ann",
                        """
                        {"type": "several", "edits": [
                         {"type": "addStory", "story": "5f3c2d10-0000-4000-8000-000000000002",
                          "paragraph": "5f3c2d10-0000-4000-8000-000000000003", "look": "%s"},
                         %s]}
                        """
                                .formatted(look, text.formatted(look, "Seabeams")));
        assertThat(written.status()).as(written.text()).isEqualTo(200);
        assertThat(client.delete(own).detail()).contains("are of the family “Seabeams”");
        String clear = "{\"type\": \"clearDifferences\", \"look\": \"%s\"}".formatted(look);
        assertThat(client.edit(id, 1, "ann", clear).status()).isEqualTo(200);
        Client.Answer marked =
                client.edit(
                        id,
                        2,
                        "ann",
                        """
                        {"type": "addPicture", "owner": {"type": "onPage", "id": "%s"},
                         "picture": {"type": "pictureFrame", "sides": "BOTH", "locked": false,
                          "id": "5f3c2d10-0000-4000-8000-000000000005", "level": "OVER",
                          "box": {"x": "20 mm", "y": "20 mm", "width": "60 mm", "height": "20 mm"},
                          "rotation": 0, "opacity": 30, "blend": "NORMAL", "clear": [],
                          "goesTo": {"screen": true, "paper": true},
                          "meaning": {"decoration": true, "text": ""},
                          "fill": {"type": "word", "text": "Draft", "family": "Seabeams",
                           "weight": 400, "italic": false,
                           "color": {"swatch": "%s", "tint": 100}}}}
                        """
                                .formatted(
                                        publication.path("pages").get(0).path("id").asString(),
                                        publication.path("swatches").get(0).path("id").asString()));
        assertThat(marked.status()).as(marked.text()).isEqualTo(200);
        assertThat(client.delete(own).detail()).contains("are of the family “Seabeams”");
        String away =
                "{\"type\": \"removeFrame\", \"frame\": \"5f3c2d10-0000-4000-8000-000000000005\"}";
        assertThat(client.edit(id, 3, "ann", away).status()).isEqualTo(200);
        assertThat(client.delete(own).status()).isEqualTo(204);
        // what somebody types on is not refused for a font that is gone
        Client.Answer typed =
                client.edit(
                        id, 4, "ann", text.formatted(look, "Seabeams").replace("000004", "000006"));
        assertThat(typed.status()).as(typed.text()).isEqualTo(200);
        String story = "/api/publications/%s/stories/5f3c2d10-0000-4000-8000-000000000002";
        assertThat(client.get(story.formatted(id)).json().toString())
                .contains("120")
                .doesNotContain("Seabeams");
    }

    @Test
    void a_font_is_kept_used_exported_and_removed_when_nothing_is_of_it() throws Exception {
        Client.Answer added = bring("lampglow.ttf", font("Lampglow", 4));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        assertThat(added.json().path("rights").asString()).contains("viewing and printing only");
        assertThat(isOffered("Lampglow")).isTrue();
        assertThat(bring("again.ttf", font("Lampglow", 4)).detail()).contains("here already");

        String id = client.create("Own font", 1);
        JsonNode publication = client.read(id);
        JsonNode was = publication.path("looks").get(0).path("look");
        ObjectNode look = (ObjectNode) was.deepCopy();
        look.put("family", "Lampglow").put("weight", 400);
        String change = "{\"type\": \"changeLook\", \"look\": %s, \"was\": %s}";
        Client.Answer changed = client.edit(id, 0, "ann", change.formatted(look, was));
        assertThat(changed.status()).as(changed.text()).isEqualTo(200);
        String page = publication.path("pages").get(0).path("id").asString();
        Client.Answer written =
                client.edit(
                        id,
                        1,
                        "ann",
                        """
                        {"type": "several", "edits": [
                         {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"},
                          "frame": "4f3c2d10-0000-4000-8000-000000000001", "sides": "BOTH",
                          "story": "4f3c2d10-0000-4000-8000-000000000002",
                          "paragraph": "4f3c2d10-0000-4000-8000-000000000003", "look": "%s",
                          "box": {"x": "20 mm", "y": "20 mm", "width": "60 mm", "height": "20 mm"}},
                         {"type": "writeText", "story": "4f3c2d10-0000-4000-8000-000000000002",
                          "was": [], "behind": "4f3c2d10-0000-4000-8000-000000000003",
                          "paragraphs": [{"paragraph": "4f3c2d10-0000-4000-8000-000000000004",
                           "look": "%s", "runs": [{"text": "An office affair"}]}]}]}
                        """
                                .formatted(
                                        page,
                                        was.path("id").asString(),
                                        was.path("id").asString()));
        assertThat(written.status()).as(written.text()).isEqualTo(200);
        try (PDDocument pdf = Loader.loadPDF(exported(id))) {
            var resources = pdf.getPage(0).getResources();
            for (var name : resources.getFontNames()) {
                PDFont font = resources.getFont(name);
                assertThat(font.getName()).contains("+Lampglow");
                assertThat(font.isEmbedded()).isTrue();
            }
            assertThat(resources.getFontNames()).hasSize(1);
        }

        String own = added.json().path("id").asString();
        Client.Answer used = client.delete("/api/typefaces/" + own);
        assertThat(used.status()).isEqualTo(422);
        assertThat(used.detail()).contains("are of the family “Lampglow”");
        client.edit(id, 2, "ann", change.formatted(was, look));
        assertThat(client.delete("/api/typefaces/" + own).status()).isEqualTo(204);
        assertThat(isOffered("Lampglow")).isFalse();
        assertThat(client.delete("/api/typefaces/" + own).status()).isEqualTo(404);
        // a step back would set a look in it again
        Client.Answer back =
                client.post("/api/publications/" + id + "/undo", "{\"author\": \"ann\"}");
        assertThat(back.status()).isEqualTo(409);
        assertThat(back.detail()).contains("no font family “Lampglow”");
    }

    private byte[] exported(String id) throws InterruptedException {
        Client.Answer begun =
                client.post("/api/publications/" + id + "/exports?missingAccepted=true", "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        String job = begun.json().path("id").asString();
        for (int i = 0; i < 600; i++) {
            JsonNode now = client.get("/api/jobs/" + job).json();
            if (!now.path("state").asString().equals("RUNNING")) {
                assertThat(now.path("state").asString()).isEqualTo("DONE");
                assertThat(now.path("report").path("matches").asBoolean()).isTrue();
                return client.get("/api/jobs/" + job + "/file").bytes();
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The export did not end");
    }

    @Test
    void what_is_no_font_or_may_not_be_embedded_is_refused_and_the_server_lives() {
        byte[] good = font("Dunlinns", 0);
        assertThat(bring("a.ttf", font("Dunlinns", 2)).detail()).contains("restricted licence");
        assertThat(bring("b.ttf", "not a font".getBytes(StandardCharsets.US_ASCII)).status())
                .isEqualTo(422);
        assertThat(bring("c.ttf", new byte[0]).status()).isIn(400, 422);
        Random random = new Random(5);
        for (int i = 0; i < 8; i++) {
            byte[] bad = good.clone();
            for (int j = 0; j < 4000; j++) {
                bad[100 + random.nextInt(bad.length - 100)] = (byte) random.nextInt();
            }
            assertThat(bring("bad.ttf", bad).status()).isEqualTo(422);
        }
        assertThat(isOffered("Dunlinns")).isFalse();
        assertThat(client.get("/api/publications").status()).isEqualTo(200);
    }

    /** It is in the database, and so in its backups; what was acknowledged outlives a kill. */
    @Test
    void a_font_is_there_after_the_next_start() throws Exception {
        Path data = Files.createDirectory(folder.resolve("data"));
        SeparateServer first = new SeparateServer(data);
        Client.Answer added =
                first.client()
                        .send(
                                HttpRequest.newBuilder(
                                                first.client().uri("/api/typefaces?name=x.ttf"))
                                        .header("Content-Type", "application/octet-stream")
                                        .POST(
                                                HttpRequest.BodyPublishers.ofByteArray(
                                                        font("Kestrell", 0))));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        first.kill();
        SeparateServer second = new SeparateServer(data);
        assertThat(second.client().get("/api/publications").status()).isEqualTo(200);
        assertThat(second.client().get("/api/options").text()).contains("Kestrell");
        assertThat(second.client().get("/api/typefaces").text()).contains("Kestrell 400");
        second.kill();
    }
}
