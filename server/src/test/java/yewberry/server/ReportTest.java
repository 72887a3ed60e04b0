package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ApplicationContext;
import tools.jackson.databind.JsonNode;
import yewberry.server.store.FindingStore;

/** Exceptions, text by viewings and reports, over HTTP. */
@ExtendWith(RunningServer.class)
class ReportTest {
    private static final String TEXT = "=Saltmarsh";

    private final Client client;
    private final FindingStore store;
    private final String story = UUID.randomUUID().toString();
    private final String paragraph = UUID.randomUUID().toString();
    private String id;
    @TempDir Path folder;

    ReportTest(Client client, ApplicationContext context) {
        this.client = client;
        this.store = context.getBean(FindingStore.class);
    }

    /** Black words on a dark page. */
    @BeforeEach
    void write() {
        id = client.create("Dark", 2);
        JsonNode publication = client.read(id);
        String page = publication.path("pages").get(0).path("id").asString();
        String look = publication.path("looks").get(0).path("look").path("id").asString();
        made(
                0,
                """
                {"type": "several", "edits": [
                 {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"},
                  "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                    "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}},
                 {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"}, "frame": "%s",
                  "sides": "BOTH", "story": "%s", "paragraph": "%s", "look": "%s",
                  "box": {"x": "20 mm", "y": "20 mm", "width": "60 mm", "height": "20 mm"}},
                 {"type": "writeText", "story": "%s",
                  "was": [{"paragraph": "%s", "look": "%s", "runs": []}],
                  "paragraphs": [{"paragraph": "%s", "look": "%s", "runs": [{"text": "%s"}]}]}]}
                """
                        .formatted(
                                page,
                                UUID.randomUUID(),
                                swatch(publication, "Dusk"),
                                page,
                                UUID.randomUUID(),
                                story,
                                paragraph,
                                look,
                                story,
                                paragraph,
                                look,
                                paragraph,
                                look,
                                TEXT));
    }

    private static String swatch(JsonNode publication, String name) {
        return publication
                .path("swatches")
                .valueStream()
                .filter(each -> each.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }

    private void made(long revision, String edit) {
        Client.Answer answer = client.edit(id, revision, "ann", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private JsonNode finding() {
        return client.findings(id, "").path("findings").get(0);
    }

    private Client.Answer report(String format) {
        Client.Answer answer = client.get("/api/publications/%s/report/%s".formatted(id, format));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer;
    }

    private String exemption(String run, String text) {
        // what it has as designed, which a grey copy is below
        String ratio = finding().path("ratio").asString();
        return """
        {"type": "addExemption", "exemption": {"id": "%s", "run": "%s", "why": "LOGOTYPE",
         "reason": "The word mark of the house", "text": "%s", "ratio": %s}}
        """
                .formatted(UUID.randomUUID(), run, text, ratio);
    }

    @Test
    void an_exception_is_kept_listed_and_told_in_every_report() throws IOException {
        JsonNode open = finding();
        String run = open.path("run").asString();
        assertThat(open.path("causeInWords").asString()).contains("Black", "Dusk");
        assertThat(
                        client.get("/api/publications/%s/runs/%s".formatted(id, run))
                                .json()
                                .path("text")
                                .asString())
                .isEqualTo(TEXT);
        made(1, exemption(run, TEXT));
        JsonNode list = client.findings(id, "");
        assertThat(list.path("findings")).isEmpty();
        assertThat(list.path("excepted").get(0).path("key")).isEqualTo(open.path("key"));
        assertThat(list.path("exemptions").get(0).path("reason").asString())
                .isEqualTo("The word mark of the house");

        // a grey copy has less contrast than was accepted, and the exception is not about that
        JsonNode row =
                client.get("/api/publications/%s/legibility".formatted(id))
                        .json()
                        .path("rows")
                        .get(0);
        assertThat(row.path("exemption").has("ended")).isFalse();
        JsonNode copy = client.findings(id, "?viewing=GREY_COPY");
        assertThat(copy.path("excepted")).hasSize(1);
        assertThat(copy.path("findings")).isEmpty();

        JsonNode json = report("JSON").json();
        assertThat(json.path("version").asString()).matches("\\d+\\.\\d+\\.\\d+");
        assertThat(json.path("excepted")).hasSize(1);
        assertThat(json.path("criteria").get(0).path("name").asString())
                .isEqualTo("WCAG 2.2, level AA");
        List<CSVRecord> csv =
                CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get()
                        .parse(new StringReader(report("CSV").text()))
                        .getRecords();
        assertThat(csv).hasSize(1);
        assertThat(csv.getFirst().get("state")).isEqualTo("excepted");
        assertThat(csv.getFirst().get("reason")).isEqualTo("The word mark of the house");
        assertThat(csv.getFirst().get("text")).as("no formula").isEqualTo("'" + TEXT);
        Path pdf = Files.write(folder.resolve("report.pdf"), report("PDF").bytes());
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Legibility of “Dark”", "0 open, 1 excepted")
                    .contains(
                            "The word mark of the house. Logotype; %s : 1 was accepted."
                                    .formatted(open.path("ratio").asString()));
        }
    }

    @Test
    void what_cannot_be_excepted_is_told_and_nothing_is_stored() {
        String run = finding().path("run").asString();
        Client.Answer gone =
                client.edit(id, 1, "ann", exemption(UUID.randomUUID().toString(), TEXT));
        assertThat(gone.status()).isEqualTo(422);
        assertThat(gone.detail()).contains("is gone");
        Client.Answer changed = client.edit(id, 1, "ann", exemption(run, "Another"));
        assertThat(changed.status()).isEqualTo(422);
        assertThat(changed.detail()).contains("changed meanwhile");
        assertThat(client.findings(id, "").path("exemptions")).isEmpty();
        assertThat(
                        client.get("/api/publications/%s/runs/%s".formatted(id, UUID.randomUUID()))
                                .status())
                .isEqualTo(404);
    }

    /** By WCAG 2.2’s formula #767676 on white is 4.54 : 1. */
    @Test
    void a_typed_pair_is_told_under_every_criterion_and_viewing() {
        JsonNode pair =
                client.get(
                                "/api/publications/%s/pairings/typed?text=%%23767676&backdrop=white"
                                        .formatted(id))
                        .json();
        assertThat(pair.path("criteria").get(0).path("passes").asBoolean()).isTrue();
        assertThat(pair.path("criteria").get(1).path("passes").asBoolean()).isFalse();
        assertThat(pair.path("criteria").get(1).path("fromSize").asString())
                .isEqualTo("from 18 pt, or bold from 14 pt");
        assertThat(pair.path("criteria").get(2).path("name").asString()).contains("1.4.11");
        assertThat(pair.path("viewings").get(0).path("ratio").decimalValue())
                .isEqualTo(pair.path("ratio").decimalValue());
        assertThat(pair.path("viewings")).hasSizeGreaterThan(5);
    }

    @Test
    void the_table_has_a_ratio_for_each_viewing_and_no_text_is_no_failure() {
        JsonNode table = client.get("/api/publications/%s/legibility".formatted(id)).json();
        JsonNode row = table.path("rows").get(0);
        assertThat(row.path("ratios")).hasSize(table.path("viewings").size());
        assertThat(row.path("ratios").get(0).decimalValue())
                .isEqualTo(finding().path("ratio").decimalValue());
        String empty = client.create("Empty", 3);
        JsonNode none = client.get("/api/publications/%s/legibility".formatted(empty)).json();
        assertThat(none.path("runs").asInt()).isZero();
        assertThat(none.path("rows")).isEmpty();
        assertThat(client.get("/api/publications/%s/report/PDF".formatted(empty)).bytes())
                .startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
    }

    /**
     * What is not found any more was mended, until it is found again; what is gone is forgotten.
     */
    @Test
    void what_was_mended_is_told_until_it_is_found_again() {
        assertThat(client.findings(id, "").path("findings")).hasSize(1);
        JsonNode key = client.findings(id, "").path("findings").get(0).path("key");
        assertThat(client.findings(id, "").path("mended")).isEmpty();
        String dusk = swatch(client.read(id), "Dusk");
        made(
                client.read(id).path("revision").asLong(),
                """
                {"type": "changeSwatch", "swatch": "%s", "definition": {"type": "plain",
                 "color": {"type": "cmyk", "cyan": 0, "magenta": 0, "yellow": 4, "black": 0}}}
                """
                        .formatted(dusk));
        JsonNode after = client.findings(id, "");
        assertThat(after.path("findings")).isEmpty();
        assertThat(after.path("mended")).hasSize(1);
        assertThat(after.path("mended").get(0).path("key")).isEqualTo(key);
        assertThat(after.path("mended").get(0).path("text").asString()).isEqualTo(TEXT);
        assertThat(store.read(UUID.fromString(id)))
                .singleElement()
                .satisfies(each -> assertThat(each.mended()).isPresent());

        assertThat(
                        client.post("/api/publications/" + id + "/undo", "{\"author\": \"ann\"}")
                                .status())
                .isEqualTo(200);
        JsonNode undone = client.findings(id, "");
        assertThat(undone.path("findings")).hasSize(1);
        assertThat(undone.path("mended")).isEmpty();
        assertThat(store.read(UUID.fromString(id)))
                .singleElement()
                .satisfies(each -> assertThat(each.mended()).isEmpty());

        made(
                client.read(id).path("revision").asLong(),
                "{\"type\": \"removePages\", \"pages\": [%s]}"
                        .formatted(client.read(id).path("pages").get(0).path("id").toString()));
        assertThat(client.findings(id, "").path("mended")).isEmpty();
        assertThat(store.read(UUID.fromString(id))).isEmpty();
    }

    @Test
    void a_pair_whose_text_is_all_excepted_says_so() {
        assertThat(failing().path("excepted").asBoolean()).isFalse();
        made(1, exemption(finding().path("run").asString(), TEXT));
        assertThat(failing().path("excepted").asBoolean()).isTrue();
        assertThat(failing().path("passes").asBoolean()).isFalse();
    }

    private JsonNode failing() {
        return client.get("/api/publications/" + id + "/pairings")
                .json()
                .path("cells")
                .valueStream()
                .filter(each -> !each.path("passes").asBoolean() && !each.path("pages").isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** A part of a page as an edit would make it, and none without a size. */
    @Test
    void a_part_of_a_page_is_drawn_as_an_edit_would_make_it() {
        String preview =
                """
                {"edit": {"type": "renameSwatch", "swatch": "%s", "name": "Night"}, "page": %s,
                 "viewing": "AS_DESIGNED", "unchecked": true,
                 "part": {"x": 20, "y": 20, "width": %d, "height": 12}}
                """;
        String dusk = swatch(client.read(id), "Dusk");
        String page = client.read(id).path("pages").get(0).path("id").toString();
        Client.Answer part =
                client.post(
                        "/api/publications/" + id + "/previews", preview.formatted(dusk, page, 30));
        assertThat(part.status()).as(part.text()).isEqualTo(200);
        assertThat(part.json().path("picture").asString())
                .startsWith("<svg")
                .contains("width=\"85.0");
        Client.Answer none =
                client.post(
                        "/api/publications/" + id + "/previews", preview.formatted(dusk, page, 0));
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("more than 0");
    }
}
