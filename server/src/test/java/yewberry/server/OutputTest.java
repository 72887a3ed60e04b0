package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What is made of a publication, with its settings. */
@ExtendWith(RunningServer.class)
class OutputTest {
    private final Client client;

    OutputTest(Client client) {
        this.client = client;
    }

    private Client.Answer begin(String publication, String settings) {
        return client.post("/api/publications/" + publication + "/outputs", settings);
    }

    private JsonNode made(String publication, String settings) throws InterruptedException {
        Client.Answer begun = begin(publication, settings);
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        return ended(begun);
    }

    private JsonNode ended(Client.Answer begun) throws InterruptedException {
        String job = begun.json().path("id").asString();
        for (int i = 0; i < 600; i++) {
            JsonNode now = client.get("/api/jobs/" + job).json();
            if (!now.path("state").asString().equals("RUNNING")) {
                assertThat(now.path("state").asString()).as(now.toString()).isEqualTo("DONE");
                return now;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("It did not end");
    }

    private byte[] file(JsonNode job) {
        return client.get("/api/jobs/" + job.path("id").asString() + "/file").bytes();
    }

    private static Map<String, byte[]> entries(byte[] zip) throws IOException {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                entries.put(entry.getName(), in.readAllBytes());
            }
        }
        return entries;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"PRESS_PDF", "READING_PDF", "ALL_PDF", "SCREEN_AND_PAPER_PDF", "OFFICE_PDF"})
    void a_pdf_of_some_pages_is_made_and_read_back(String kind) throws Exception {
        String id = client.create("Guide", 5);
        JsonNode job = made(id, "{\"kind\":\"%s\",\"pages\":\"2, 4-5\"}".formatted(kind));
        assertThat(job.path("report").path("matches").asBoolean()).as(job.toString()).isTrue();
        try (var document = Loader.loadPDF(file(job))) {
            assertThat(document.getNumberOfPages()).isEqualTo(3);
            assertThat(document.getDocumentCatalog().getPageLabels().getLabelsByPageIndices())
                    .containsExactly("2", "4", "5");
        }
    }

    /** ISO 15948, 11.3: the profile and the pixels per metre stand before the pixels. */
    @Test
    void pictures_have_their_size_their_profile_and_their_resolution() throws Exception {
        String id = client.create("Guide", 3);
        JsonNode job = made(id, "{\"kind\":\"PNG\",\"ppi\":72,\"toBleed\":true}");
        assertThat(job.path("files")).hasSize(3);
        job.path("files").forEach(each -> assertThat(each.has("problem")).isFalse());
        Map<String, byte[]> entries = entries(file(job));
        assertThat(entries.keySet())
                .containsExactly("guide-001.png", "guide-002.png", "guide-003.png");
        byte[] png = entries.get("guide-001.png");
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(png));
        // A5 with 3 mm at the outside, the top and the bottom
        assertThat(image.getWidth()).isEqualTo((int) Math.ceil(151 / 25.4 * 72));
        assertThat(image.getHeight()).isEqualTo((int) Math.ceil(216 / 25.4 * 72));
        String head = new String(png, 0, 4096, StandardCharsets.ISO_8859_1);
        assertThat(head).contains("iCCP");
        int resolution = head.indexOf("pHYs") + 4;
        assertThat(ByteBuffer.wrap(png).getInt(resolution)).isEqualTo(2835);
    }

    @Test
    void facing_pages_are_one_picture_where_that_is_wanted() throws Exception {
        String id = client.create("Guide", 4);
        JsonNode job = made(id, "{\"kind\":\"JPEG\",\"ppi\":36,\"spreads\":true}");
        Map<String, byte[]> entries = entries(file(job));
        assertThat(entries.keySet())
                .containsExactly("guide-001.jpeg", "guide-002.jpeg", "guide-004.jpeg");
        BufferedImage spread =
                ImageIO.read(new ByteArrayInputStream(entries.get("guide-002.jpeg")));
        assertThat(spread.getWidth()).isEqualTo(2 * (int) Math.ceil(148 / 25.4 * 36));
        assertThat(new String(entries.get("guide-001.jpeg"), StandardCharsets.ISO_8859_1))
                .contains("ICC_PROFILE");
    }

    /** Of neither page the last column at the spine is partly bare, however wide pages are. */
    @ParameterizedTest
    @ValueSource(ints = {36, 50, 97, 150})
    void no_seam_shows_where_two_dark_pages_meet(int ppi) throws Exception {
        String id = client.create("Guide", 4);
        darken(id, 2, true);
        darken(id, 3, true);
        String settings = "{\"kind\":\"PNG\",\"ppi\":%d,\"spreads\":true,\"pages\":\"2-3\"}";
        Map<String, byte[]> entries = entries(file(made(id, settings.formatted(ppi))));
        BufferedImage spread = ImageIO.read(new ByteArrayInputStream(entries.get("guide-002.png")));
        int spine = (int) Math.ceil(148 / 25.4 * ppi);
        assertThat(spread.getWidth()).isEqualTo(2 * spine);
        int dark = spread.getRGB(spine / 2, 2);
        assertThat(dark).isNotEqualTo(0xffffffff);
        for (int x = 1; x < spread.getWidth() - 1; x++) {
            assertThat(spread.getRGB(x, 2)).as("column %d", x).isEqualTo(dark);
        }
    }

    @Test
    void pages_as_shapes_and_as_a_web_page_are_made() throws Exception {
        String id = client.create("Guide", 2);
        Map<String, byte[]> shapes = entries(file(made(id, "{\"kind\":\"SVG\"}")));
        assertThat(shapes).hasSize(2);
        assertThat(new String(shapes.get("guide-001.svg"), StandardCharsets.UTF_8))
                .startsWith("<svg");
        String spreads = "{\"kind\":\"SVG\",\"spreads\":true,\"pages\":\"2-3\"}";
        Map<String, byte[]> joined = entries(file(made(client.create("Guide", 4), spreads)));
        // two A5 pages in points, without their bleed
        assertThat(new String(joined.get("guide-002.svg"), StandardCharsets.UTF_8))
                .contains("viewBox=\"0 0 839.0551 595.2756\"");
        JsonNode page = made(id, "{\"kind\":\"WEB\"}");
        assertThat(page.path("files")).hasSize(1);
        assertThat(page.path("files").get(0).path("problem").asString("")).isEmpty();
        Map<String, byte[]> web = entries(file(page));
        assertThat(web.keySet()).contains("index.html", "style.css");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"kind\":\"PRESS_PDF\",\"pages\":\"4-9\"} | There is no page 9; this publication has pages 1 to 5.",
                "{\"kind\":\"PRESS_PDF\",\"pages\":\"5-4\"} | “5-4” runs backwards; write 4-5.",
                "{\"kind\":\"PNG\",\"ppi\":5} | Pictures have 10 to 1200 pixels per inch",
                "{\"kind\":\"READING_PDF\",\"overprintShown\":true} | Only inks overprint",
                "{\"kind\":\"PNG\",\"spreads\":true,\"toBleed\":true} | Spreads are joined at the trim",
                "{\"kind\":\"OFFICE_PDF\",\"marks\":{\"crop\":true,\"registration\":false,\"patches\":false,\"jobLine\":false,\"length\":\"5 mm\",\"weight\":\"0.25 pt\",\"distance\":\"3 mm\"}} | An office printout is not cut",
                "{\"kind\":\"PRESS_PDF\",\"marks\":{\"crop\":true,\"registration\":false,\"patches\":false,\"jobLine\":false,\"length\":\"500 mm\",\"weight\":\"0.25 pt\",\"distance\":\"3 mm\"}} | Marks are from 1 to 30 mm"
            })
    void settings_that_exclude_themselves_are_refused(String settings, String why) {
        String id = client.create("Guide", 5);
        Client.Answer refused = begin(id, settings);
        assertThat(refused.status()).as(refused.text()).isBetween(400, 499);
        assertThat(refused.detail()).contains(why);
        assertThat(client.get("/api/publications/" + id + "/exports").json()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "../../étoile?*.pdf, etoile.pdf",
        "{name} {pages}, guide-1-2.pdf",
        "CON, publication-con.pdf",
        "🌙, publication.pdf"
    })
    void any_name_becomes_one_that_every_system_takes(String wanted, String name) throws Exception {
        String id = client.create("Guide", 2);
        JsonNode job =
                made(
                        id,
                        "{\"kind\":\"READING_PDF\",\"pages\":\"1-2\",\"fileName\":\"%s\"}"
                                .formatted(wanted));
        assertThat(job.path("fileName").asString()).isEqualTo(name);
    }

    @Test
    void settings_are_saved_under_a_name_and_used_in_another_publication() throws Exception {
        Client.Answer saved =
                client.post(
                        "/api/output-settings?name=Proof",
                        "{\"kind\":\"OFFICE_PDF\",\"backgrounds\":false}");
        assertThat(saved.status()).as(saved.text()).isEqualTo(200);
        Client.Answer again =
                client.post("/api/output-settings?name=Proof", "{\"kind\":\"PNG\",\"ppi\":50}");
        assertThat(again.json().path("id")).isEqualTo(saved.json().path("id"));
        JsonNode kept = client.get("/api/output-settings").json().get(0);
        assertThat(kept.path("name").asString()).isEqualTo("Proof");
        JsonNode job = made(client.create("Other", 1), kept.path("settings").toString());
        assertThat(job.path("kind").asString()).isEqualTo("PNG");
        client.delete("/api/output-settings/" + kept.path("id").asString());
        assertThat(client.get("/api/output-settings").json()).isEmpty();
    }

    /** A dark background on the second page. */
    private void darken(String publication, boolean paper) {
        darken(publication, 2, paper);
    }

    private void darken(String publication, int page, boolean paper) {
        JsonNode now = client.read(publication);
        String edit =
                """
                {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"},
                 "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                 "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}},
                 "goesTo": {"screen": true, "paper": %s}}}
                """
                        .formatted(
                                now.path("pages").get(page - 1).path("id").asString(),
                                UUID.randomUUID(),
                                now.path("swatches").get(0).path("id").asString(),
                                paper);
        Client.Answer done =
                client.edit(publication, now.path("revision").asLong(), "somebody", edit);
        assertThat(done.status()).as(done.text()).isEqualTo(200);
    }

    private JsonNode compared(String job) throws InterruptedException {
        Client.Answer begun = client.post("/api/jobs/" + job + "/comparison", "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        String id = begun.json().path("id").asString();
        for (int i = 0; i < 600; i++) {
            JsonNode now = client.get("/api/jobs/" + id).json();
            if (!now.path("state").asString().equals("RUNNING")) {
                return now;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("It did not end");
    }

    @Test
    void what_has_changed_since_a_file_was_made_is_told_page_by_page() throws Exception {
        String id = client.create("Guide", 3);
        JsonNode made = made(id, "{\"kind\":\"PRESS_PDF\"}");
        String job = made.path("id").asString();
        assertThat(compared(job).path("report").path("matches").asBoolean()).isTrue();
        darken(id, true);
        JsonNode report = compared(job).path("report");
        assertThat(report.path("matches").asBoolean()).isFalse();
        assertThat(report.path("pages").get(0).path("matches").asBoolean()).isTrue();
        assertThat(report.path("pages").get(1).path("matches").asBoolean()).isFalse();
        assertThat(report.path("pages").get(2).path("matches").asBoolean()).isTrue();
        JsonNode comparison = compared(job);
        Client.Answer again =
                client.post("/api/jobs/" + comparison.path("id").asString() + "/comparison", "");
        assertThat(again.status()).isBetween(400, 499);
    }

    private void edit(String publication, String edit) {
        long revision = client.read(publication).path("revision").asLong();
        Client.Answer done = client.edit(publication, revision, "somebody", edit);
        assertThat(done.status()).as(done.text()).isEqualTo(200);
    }

    private String page(String publication, int number) {
        return client.read(publication).path("pages").get(number - 1).path("id").asString();
    }

    /** Two are put in, so that left pages stay left. */
    @Test
    void pages_that_were_put_in_moved_or_taken_out_do_not_make_all_after_them_differ()
            throws Exception {
        String id = client.create("Guide", 6);
        darken(id, true);
        String all = made(id, "{\"kind\":\"PRESS_PDF\"}").path("id").asString();
        String some = made(id, "{\"kind\":\"PRESS_PDF\",\"pages\":\"1-3\"}").path("id").asString();
        edit(
                id,
                "{\"type\": \"addPages\", \"pages\": [\"%s\", \"%s\"]}"
                        .formatted(UUID.randomUUID(), UUID.randomUUID()));
        JsonNode report = compared(all).path("report");
        assertThat(texts(report.path("problems")))
                .containsExactly("Pages 1, 2 are not in the file.");
        assertThat(report.path("pages"))
                .hasSize(6)
                .allMatch(page -> page.path("matches").asBoolean());
        assertThat(report.path("pages").get(1).path("number").asInt()).isEqualTo(4);
        assertThat(report.path("pages").get(1).path("other").path("label").asString())
                .isEqualTo("2");
        // a range is of pages, not of numbers: all that is in it is still there
        assertThat(compared(some).path("report").path("matches").asBoolean()).isTrue();
        edit(id, "{\"type\": \"removePages\", \"pages\": [\"%s\"]}".formatted(page(id, 8)));
        edit(
                id,
                "{\"type\": \"movePages\", \"pages\": [\"%s\", \"%s\"], \"after\": \"%s\"}"
                        .formatted(page(id, 3), page(id, 4), page(id, 6)));
        report = compared(all).path("report");
        assertThat(texts(report.path("problems")))
                .containsExactly(
                        "Page 6 of the file is not among the pages any more.",
                        "Pages 1, 2 are not in the file.",
                        "The pages are in another order now.");
        assertThat(report.path("pages"))
                .hasSize(5)
                .allMatch(page -> page.path("matches").asBoolean());
    }

    private static List<String> texts(JsonNode of) {
        return of.valueStream().map(JsonNode::asString).toList();
    }

    /** ISO 216: A5; the model's margins are 4.2 mm, made up. */
    @Test
    void facing_pages_are_one_page_of_a_pdf_where_that_is_wanted() throws Exception {
        String id = client.create("Guide", 5);
        darken(id, true);
        JsonNode made = made(id, "{\"kind\":\"PRESS_PDF\",\"spreads\":true,\"pages\":\"1-4\"}");
        List<String> labels = new ArrayList<>();
        for (JsonNode page : made.path("report").path("pages")) {
            labels.add(page.path("label").asString(page.path("number").asString()));
        }
        assertThat(labels).containsExactly("1", "2–3", "4");
        assertThat(made.path("report").path("matches").asBoolean()).isTrue();
        String job = made.path("id").asString();
        assertThat(compared(job).path("report").path("matches").asBoolean()).isTrue();
        edit(
                id,
                "{\"type\": \"addPages\", \"pages\": [\"%s\"], \"after\": \"%s\"}"
                        .formatted(UUID.randomUUID(), page(id, 3)));
        JsonNode report = compared(job).path("report");
        assertThat(texts(report.path("problems"))).isEmpty();
        assertThat(report.path("matches").asBoolean()).as("page 4 is page 5 now").isFalse();
        edit(
                id,
                "{\"type\": \"movePages\", \"pages\": [\"%s\"], \"after\": \"%s\"}"
                        .formatted(page(id, 2), page(id, 3)));
        assertThat(texts(compared(job).path("report").path("problems")))
                .containsExactly(
                        "Page 2–3 of the file is not among the pages any more.",
                        "Page 2–3 is not in the file.");
    }

    @Test
    void an_office_printer_leaves_its_margins_white_and_drops_backgrounds() throws Exception {
        String id = client.create("Guide", 3);
        darken(id, true);
        String address = "/api/publications/%s/office-print/2?printer=slate&backgrounds=%s";
        BufferedImage with =
                ImageIO.read(
                        new ByteArrayInputStream(client.get(address.formatted(id, true)).bytes()));
        assertThat(with.getRGB(2, with.getHeight() / 2) & 0xffffff).isEqualTo(0xffffff);
        int middle = with.getRGB(with.getWidth() / 2, with.getHeight() / 2);
        assertThat(middle & 0xffffff).isNotEqualTo(0xffffff);
        // black toner alone
        assertThat(middle & 0xff).isEqualTo(middle >> 8 & 0xff).isEqualTo(middle >> 16 & 0xff);
        BufferedImage without =
                ImageIO.read(
                        new ByteArrayInputStream(client.get(address.formatted(id, false)).bytes()));
        assertThat(without.getRGB(with.getWidth() / 2, with.getHeight() / 2) & 0xffffff)
                .isEqualTo(0xffffff);
        JsonNode pages =
                client.get("/api/publications/" + id + "/office-print?duplex=true")
                        .json()
                        .path("pages");
        assertThat(pages.get(2).path("sheet").asString()).isEqualTo("Sheet 2, front");
        String spreads = "/api/publications/" + id + "/office-print?spreads=true";
        JsonNode joined = client.get(spreads).json().path("pages");
        assertThat(joined).hasSize(2);
        assertThat(joined.get(1).path("label").asString()).isEqualTo("2–3");
        assertThat(joined.get(1).path("sheet").asString()).isEqualTo("Sheet 2");
        byte[] both = client.get(spreads.replace("print?", "print/2?")).bytes();
        int width = ImageIO.read(new ByteArrayInputStream(both)).getWidth();
        assertThat(width).isBetween(2 * with.getWidth() - 1, 2 * with.getWidth());
        Client.Answer refused = client.get(spreads + "&duplex=true");
        assertThat(refused.status()).isBetween(400, 499);
        assertThat(refused.detail()).contains("print them on one side only");
        assertThat(client.get(address.formatted(id, false).replace("slate", "none")).status())
                .isBetween(400, 499);
    }

    @Test
    void what_an_output_loses_is_said_before_it_is_written() {
        String id = client.create("Guide", 3);
        String address = "/api/publications/" + id + "/outputs/losses";
        assertThat(client.post(address, "{\"kind\":\"PRESS_PDF\"}").json()).isEmpty();
        darken(id, false);
        JsonNode lost = client.post(address, "{\"kind\":\"PRESS_PDF\"}").json();
        assertThat(lost).hasSize(1);
        assertThat(lost.get(0).path("text").asString())
                .isEqualTo("1 background goes to the screen only: not in this output.");
        assertThat(lost.get(0).path("pages").toString()).isEqualTo("[2]");
        assertThat(client.post(address, "{\"kind\":\"READING_PDF\"}").json()).isEmpty();
        assertThat(
                        client.post(address, "{\"kind\":\"SCREEN_AND_PAPER_PDF\"}")
                                .json()
                                .get(0)
                                .path("text")
                                .asString())
                .isEqualTo("1 background goes to the screen only, and not onto paper.");
        assertThat(client.post(address, "{\"kind\":\"PRESS_PDF\",\"pages\":\"1\"}").json())
                .isEmpty();
    }

    @Test
    void pictures_that_would_not_fit_into_memory_are_refused_with_what_would() throws Exception {
        String id = client.create("Guide", 4);
        Client.Answer begun = begin(id, "{\"kind\":\"PNG\",\"ppi\":1200,\"spreads\":true}");
        String job = begun.json().path("id").asString();
        JsonNode now = client.get("/api/jobs/" + job).json();
        for (int i = 0; i < 600 && now.path("state").asString().equals("RUNNING"); i++) {
            Thread.sleep(100);
            now = client.get("/api/jobs/" + job).json();
        }
        assertThat(now.path("state").asString()).isEqualTo("FAILED");
        assertThat(now.path("message").asString()).contains("choose at most 9");
    }

    /** The same file twice; then another kind with fewer pages. */
    @Test
    void two_outputs_are_held_against_each_other() throws Exception {
        String id = client.create("Guide", 3);
        String settings = "{\"kind\":\"PRESS_PDF\"}";
        JsonNode first = made(id, settings);
        JsonNode second = made(id, settings);
        JsonNode same = compared(first, second);
        assertThat(same.path("report").path("matches").asBoolean()).as(same.toString()).isTrue();
        assertThat(same.path("compared"))
                .extracting(JsonNode::asString)
                .containsExactly(first.path("id").asString(), second.path("id").asString());
        JsonNode fewer = made(id, "{\"kind\":\"READING_PDF\",\"pages\":\"2-3\"}");
        JsonNode report = compared(first, fewer).path("report");
        assertThat(report.path("problems").get(0).asString())
                .isEqualTo("Page 1 is only in the first file.");
        assertThat(report.path("pages").get(0).path("number").asInt()).isEqualTo(1);
        assertThat(report.path("pages").get(0).path("label").asString()).isEqualTo("2");
        JsonNode other = report.path("pages").get(0).path("other");
        assertThat(other.path("number").asInt()).isEqualTo(2);
        assertThat(other.path("label").asString()).isEqualTo("2");
        String page = "/api/jobs/%s/pages/%d/picture".formatted(fewer.path("id").asString(), 2);
        assertThat(ImageIO.read(new ByteArrayInputStream(client.get(page).bytes())).getHeight())
                .isBetween(240, 241);
        assertThat(client.get(page.replace("/2/", "/3/")).status()).isEqualTo(404);
    }

    private JsonNode compared(JsonNode first, JsonNode second) throws InterruptedException {
        Client.Answer begun =
                client.post(
                        "/api/jobs/%s/comparison?with=%s"
                                .formatted(
                                        first.path("id").asString(), second.path("id").asString()),
                        "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        return ended(begun);
    }

    @ParameterizedTest
    @ValueSource(strings = {"PNG", "JPEG"})
    void pictures_are_held_against_the_publication_and_each_other(String kind) throws Exception {
        String id = client.create("Guide", 3);
        String settings = "{\"kind\":\"%s\",\"ppi\":72}".formatted(kind);
        String before = made(id, settings).path("id").asString();
        assertThat(problems(compared(before))).containsExactly("", "", "");
        darken(id, true);
        JsonNode changed = compared(before);
        List<String> since = problems(changed);
        JsonNode seen = changed.path("files").get(1).path("difference");
        for (String picture : List.of("other", "where")) {
            byte[] png = Base64.getDecoder().decode(seen.path(picture).asString());
            assertThat(ImageIO.read(new ByteArrayInputStream(png)).getHeight()).isEqualTo(360);
        }
        assertThat(since.get(0)).isEmpty();
        assertThat(since.get(1)).contains("Its colours differ on", " of 255");
        assertThat(since.get(2)).isEmpty();
        String after = made(id, settings).path("id").asString();
        JsonNode both =
                ended(client.post("/api/jobs/%s/comparison?with=%s".formatted(before, after), ""));
        assertThat(problems(both)).isEqualTo(since);
        edit(
                id,
                "{\"type\": \"addPages\", \"pages\": [\"%s\", \"%s\"], \"after\": \"%s\"}"
                        .formatted(UUID.randomUUID(), UUID.randomUUID(), page(id, 1)));
        edit(id, "{\"type\": \"removePages\", \"pages\": [\"%s\"]}".formatted(page(id, 5)));
        JsonNode moved = compared(after);
        assertThat(problems(moved))
                .containsExactly(
                        "",
                        "",
                        "It is there only in the file.",
                        "It is there only now.",
                        "It is there only now.");
        assertThat(moved.path("report").isMissingNode() || moved.path("report").isNull()).isTrue();
    }

    private static List<String> problems(JsonNode job) {
        List<String> problems = new ArrayList<>();
        for (JsonNode file : job.path("files")) {
            problems.add(file.path("problem").asString(""));
        }
        return problems;
    }

    /** Puts words on the first page. */
    private void write(String id, String story, String was, String words) {
        String paragraph =
                UUID.nameUUIDFromBytes(story.getBytes(StandardCharsets.UTF_8)).toString();
        String look = client.read(id).path("looks").get(0).path("look").path("id").asString();
        if (was.isEmpty()) {
            edit(
                    id,
                    """
                    {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"}, "frame": "%s",
                     "sides": "BOTH", "story": "%s", "paragraph": "%s", "look": "%s",
                     "box": {"x": "20 mm", "y": "20 mm", "width": "60 mm", "height": "40 mm"}}
                    """
                            .formatted(page(id, 1), UUID.randomUUID(), story, paragraph, look));
        }
        edit(
                id,
                """
                {"type": "writeText", "story": "%s",
                 "was": [{"paragraph": "%s", "look": "%s", "runs": [{"text": "%s"}]}],
                 "paragraphs": [{"paragraph": "%s", "look": "%s", "runs": [{"text": "%s"}]}]}
                """
                        .formatted(story, paragraph, look, was, paragraph, look, words));
    }

    @Test
    void a_web_page_is_held_against_the_publication_and_another() throws Exception {
        String id = client.create("Guide", 2);
        String story = UUID.randomUUID().toString();
        write(id, story, "", "The dome opens at ten.");
        String job = made(id, "{\"kind\":\"WEB\"}").path("id").asString();
        assertThat(problems(compared(job))).containsExactly("");
        write(id, story, "The dome opens at ten.", "The dome opens at nine.");
        assertThat(problems(compared(job)))
                .containsExactly(
                        "On page 1, “The dome opens at ten.” is there in the file, and “The dome opens at nine.” now.");
        String other = made(id, "{\"kind\":\"WEB\"}").path("id").asString();
        JsonNode both =
                ended(client.post("/api/jobs/%s/comparison?with=%s".formatted(job, other), ""));
        assertThat(problems(both).getFirst()).contains("in the first", "in the second");
        darken(id, 1, true);
        assertThat(problems(compared(other)).getFirst())
                .contains("“The dome opens at nine.” is #", " on #", "now");
        edit(id, "{\"type\": \"addPages\", \"pages\": [\"%s\"]}".formatted(UUID.randomUUID()));
        assertThat(problems(compared(other)).getFirst())
                .startsWith(
                        "Page 1 is there in the file, and page 2 now. “The dome opens at nine.” is #");
    }

    @Test
    void files_of_two_publications_or_of_two_kinds_are_not_compared() throws Exception {
        String settings = "{\"kind\":\"PRESS_PDF\"}";
        JsonNode one = made(client.create("Guide", 1), settings);
        String id = client.create("Leaflet", 1);
        JsonNode other = made(id, settings);
        JsonNode web = made(id, "{\"kind\":\"WEB\"}");
        for (JsonNode wrong : List.of(other, web)) {
            Client.Answer refused =
                    client.post(
                            "/api/jobs/%s/comparison?with=%s"
                                    .formatted(
                                            one.path("id").asString(), wrong.path("id").asString()),
                            "");
            assertThat(refused.status()).isEqualTo(422);
            assertThat(refused.text()).containsAnyOf("two publications", "compared with a PDF");
        }
        assertThat(
                        client.post(
                                        "/api/jobs/%s/comparison?with=%s"
                                                .formatted(
                                                        one.path("id").asString(),
                                                        UUID.randomUUID()),
                                        "")
                                .status())
                .isEqualTo(404);
    }
}
