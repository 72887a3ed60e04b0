package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yewberry.server.demo.DemoFiles;

@ExtendWith(RunningServer.class)
class DemoTest {
    private final Client client;

    DemoTest(Client client) {
        this.client = client;
    }

    @Test
    void the_demo_is_a_guide_of_twelve_facing_a5_pages_with_two_parents() {
        JsonNode shelf = client.get("/api/publications").json();
        JsonNode guide = null;
        for (JsonNode each : shelf) {
            guide = each.path("name").asString().equals("Season guide") ? each : guide;
        }
        assertThat(guide).isNotNull();
        JsonNode publication = client.read(guide.path("id").asString());
        assertThat(publication.path("pages")).hasSize(12);
        assertThat(publication.path("parents")).hasSize(2);
        assertThat(publication.path("setup").path("facing").asBoolean()).isTrue();
        assertThat(publication.path("setup").path("trim").path("width").asString())
                .isEqualTo("148 mm");
    }

    @Test
    void the_demo_files_are_written_without_a_server(@TempDir Path folder) throws IOException {
        DemoFiles.main(new String[] {folder.resolve("new").toString()});
        Path pdf = folder.resolve("new/season-guide-press.pdf");
        assertThat(Files.size(pdf)).isGreaterThan(50_000);
        JsonNode findings =
                Client.JSON.readTree(
                        Files.readString(folder.resolve("new/season-guide-findings.json")));
        java.util.List<String> swatches = Files.readAllLines(folder.resolve("new/swatches.csv"));
        assertThat(swatches.getFirst())
                .isEqualTo("name,kind,c,m,y,k,red,green,blue,lab_l,lab_a,lab_b,total_ink");
        // Little CMS for the screen; beside the profile for the measured values of solid black
        assertThat(swatches.get(1))
                .startsWith("Black,cmyk,0.00,0.00,0.00,100.00,28.1,27.6,26.2,15.99,");
        assertThat(swatches).anyMatch(line -> line.startsWith("Haze,tint,32.80,25.60,8.80,4.80,"));
        assertThat(swatches)
                .anyMatch(line -> line.startsWith("Lantern,spot,,,,,") && line.endsWith(",100.00"));
        assertThat(swatches).anyMatch(line -> line.startsWith("Afterglow,mix,,,,,"));
        assertThat(findings.isArray()).isTrue();
        assertThat(findings.size()).isGreaterThan(5);
        for (JsonNode finding : findings) {
            assertThat(finding.propertyNames()).contains("kind", "page", "message", "origin");
            if (finding.path("kind").asString().equals("contrast")) {
                assertThat(finding.propertyNames())
                        .contains("text", "ratio", "required", "foreground", "backdrop");
                assertThat(finding.path("ratio").asDouble())
                        .isLessThan(finding.path("required").asDouble());
            }
        }
    }

    @Test
    void mends_are_offered_for_a_finding_of_the_demo_and_mend_it() {
        String id = null;
        for (JsonNode each : client.get("/api/publications").json()) {
            id =
                    each.path("name").asString().equals("Season guide")
                            ? each.path("id").asString()
                            : id;
        }
        JsonNode findings = client.findings(id, "");
        String spread = "/api/publications/" + id + "/spreads/3/picture";
        for (String path : List.of("/api/publications/" + id + "/findings", spread)) {
            assertThat(client.get(path, "Accept-Encoding", "gzip").headers().map())
                    .as("it is sent zipped")
                    .containsEntry("content-encoding", List.of("gzip"));
        }
        JsonNode dark = null;
        for (JsonNode finding : findings.path("findings")) {
            dark = finding.path("page").asInt() == 7 && dark == null ? finding : dark;
        }
        assertThat(dark).isNotNull();
        JsonNode mends =
                client.get("/api/publications/" + id + "/mends?run=" + dark.path("run").asString())
                        .json();
        assertThat(mends.size()).isPositive();
        String ofFinding =
                "/api/publications/%s/pages/%s/findings/%s/mends"
                        .formatted(id, dark.path("pageId").asString(), dark.path("key").asString());
        assertThat(client.get(ofFinding).json()).hasSameSizeAs(mends);
        assertThat(
                        client.get(
                                        "/api/publications/%s/pages/%s/findings/%s/mends?run=%s"
                                                .formatted(
                                                        id,
                                                        dark.path("pageId").asString(),
                                                        UUID.randomUUID(),
                                                        dark.path("run").asString()))
                                .json())
                .as("of text that is found under some viewing only")
                .hasSameSizeAs(mends);
        JsonNode mend = mends.get(0);
        assertThat(mend.path("seen").path("ratio").asDouble()).isGreaterThanOrEqualTo(4.5);
        long revision = client.read(id).path("revision").asLong();
        assertThat(client.edit(id, revision, "demo-test", mend.path("edit").toString()).status())
                .isEqualTo(200);
        JsonNode after = client.findings(id, "");
        assertThat(after.path("findings").size()).isEqualTo(findings.path("findings").size() - 1);
        differencesOnly(id, findings, after);
        assertThat(client.get(ofFinding).json()).as("it is gone").isEmpty();
        assertThat(
                        client.post(
                                        "/api/publications/" + id + "/undo",
                                        "{\"author\": \"demo-test\"}")
                                .status())
                .isEqualTo(200);
    }

    /** Who has a list is sent the pages that differ from it, and told which do not. */
    private void differencesOnly(String id, JsonNode before, JsonNode after) {
        String known = "?after=%s&mark=%s";
        JsonNode sent =
                client.findings(
                        id,
                        known.formatted(
                                before.path("revision").asString(),
                                before.path("mark").asString()));
        Set<String> same = new HashSet<>();
        sent.path("same").forEach(page -> same.add(page.asString()));
        assertThat(sent.path("open")).isEqualTo(after.path("open"));
        assertThat(sent.path("mark")).isEqualTo(after.path("mark"));
        assertThat(ofPages(sent, page -> true))
                .isEqualTo(ofPages(after, page -> !same.contains(page)))
                .hasSizeLessThan(after.path("findings").size());
        assertThat(ofPages(before, same::contains)).isEqualTo(ofPages(after, same::contains));
        assertThat(same).isNotEmpty();
        JsonNode unknown =
                client.findings(
                        id, known.formatted(before.path("revision").asString(), UUID.randomUUID()));
        assertThat(unknown.path("findings")).isEqualTo(after.path("findings"));
        assertThat(unknown.path("same")).isEmpty();
    }

    private static List<JsonNode> ofPages(JsonNode list, Predicate<String> page) {
        List<JsonNode> found = new ArrayList<>();
        list.path("findings").forEach(found::add);
        found.removeIf(each -> !page.test(each.path("pageId").asString()));
        return found;
    }

    @Test
    void the_pairings_of_the_demo_know_the_forgotten_dark_text_and_mend_it_on_either_side() {
        String id = "23783a97-67ff-3040-9891-81dcd87b5cea";
        JsonNode matrix = client.get("/api/publications/" + id + "/pairings").json();
        JsonNode texts = matrix.path("texts");
        JsonNode backdrops = matrix.path("backdrops");
        assertThat(matrix.path("cells")).hasSize(texts.size() * backdrops.size());
        JsonNode dark = null;
        for (JsonNode cell : matrix.path("cells")) {
            boolean inkOnMidnight =
                    texts.get(cell.path("text").asInt()).path("name").asString().equals("Black")
                            && backdrops
                                    .get(cell.path("backdrop").asInt())
                                    .path("name")
                                    .asString()
                                    .equals("Midnight");
            dark = inkOnMidnight ? cell : dark;
        }
        assertThat(dark).isNotNull();
        assertThat(dark.path("passes").asBoolean()).isFalse();
        assertThat(dark.path("pages").toString()).isEqualTo("[7]");
        String text = texts.get(dark.path("text").asInt()).path("swatch").asString();
        String backdrop = backdrops.get(dark.path("backdrop").asInt()).path("swatch").asString();
        JsonNode mends =
                client.get(
                                "/api/publications/%s/pairings/mends?text=%s&backdrop=%s&required=4.5"
                                        .formatted(id, text, backdrop))
                        .json();
        assertThat(mends).hasSize(2);
        for (JsonNode mend : mends) {
            assertThat(mend.path("mend").path("seen").path("ratio").asDouble())
                    .isGreaterThanOrEqualTo(4.5);
            assertThat(mend.path("mend").path("tried").asBoolean()).isTrue();
            assertThat(mend.path("mend").path("pages").toString()).contains("7");
            assertThat(mend.path("changes").size()).isPositive();
        }
        JsonNode typed =
                client.get(
                                "/api/publications/"
                                        + id
                                        + "/pairings/typed?text=%23767676&backdrop=white")
                        .json();
        assertThat(typed.path("ratio").asDouble()).isEqualTo(4.54);
    }
}
