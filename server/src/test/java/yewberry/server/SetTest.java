package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.InvalidPasswordException;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import yewberry.core.asset.KnownFile;
import yewberry.pdf.AddedItem;
import yewberry.pdf.AddedLayers;

/** Files that others made, from a zip file that came in to one that goes out. */
@ExtendWith(RunningServer.class)
class SetTest {
    private final Client client;

    SetTest(Client client) {
        this.client = client;
    }

    private static byte[] pdf(int rotation, PDRectangle... sizes) throws IOException {
        try (PDDocument document = new PDDocument()) {
            for (PDRectangle size : sizes) {
                PDPage page = new PDPage(size);
                page.setRotation(rotation);
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.setNonStrokingColor(0.2f);
                    content.addRect(100, 100, 60, 40);
                    content.fill();
                }
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    private static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return out.toByteArray();
    }

    private static Map<String, byte[]> unzipped(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    private Client.Answer send(String path, byte[] body) {
        return client.send(
                HttpRequest.newBuilder(client.uri(path))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private Client.Answer send(String path, byte[] body, String password) {
        return client.send(
                HttpRequest.newBuilder(client.uri(path))
                        .header("Content-Type", "application/octet-stream")
                        .header("File-Password", password)
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private static byte[] locked(byte[] file, String password) throws IOException {
        try (PDDocument document = Loader.loadPDF(file)) {
            document.protect(
                    new StandardProtectionPolicy("owner", password, new AccessPermission()));
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    /** Whoever brings the same file without its password does not get it either. */
    @Test
    void a_file_that_needs_a_password_opens_with_it_and_goes_out_under_it() throws Exception {
        byte[] file = locked(pdf(0, new PDRectangle(300, 400)), "tide + 4 %");
        String path = "/api/publications/documents?name=Locked.pdf";
        Client.Answer without = send(path, file);
        assertThat(without.status()).isEqualTo(423);
        assertThat(without.detail()).contains("needs a password");
        Client.Answer wrong = send(path, file, "tide");
        assertThat(wrong.status()).isEqualTo(423);
        assertThat(wrong.detail()).contains("does not open with that password");
        assertThat(send(path, file, "%zz").status()).isEqualTo(422);
        assertThat(send(path, file, "x".repeat(301)).status()).isEqualTo(422);
        Client.Answer made = send(path, file, "tide%20+%204%20%25");
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        assertThat(made.text()).doesNotContain("tide");
        assertThat(send(path, file).status()).isEqualTo(423);
        String other = client.create("Guide", 1);
        Client.Answer placed =
                send("/api/publications/" + other + "/pictures?name=Locked.pdf", file);
        assertThat(placed.status()).isEqualTo(422);
        assertThat(placed.detail()).contains("“Locked.pdf” needs a password", "pages as pages");
        String id = made.json().path("id").asString();
        assertThat(client.get("/api/publications/" + id).text()).doesNotContain("tide");
        String page = client.read(id).path("pages").get(0).path("id").asString();
        String region = "/api/publications/%s/pages/%s/region?x=0&y=0&width=50&height=50";
        assertThat(client.get(region.formatted(id, page)).status()).isEqualTo(200);
        night(id);
        JsonNode done = exported(id, "FILES");
        assertThat(done.path("files").toString()).doesNotContain("problem");
        String picture = "/api/jobs/%s/files/0/picture".formatted(done.path("id").asString());
        assertThat(client.get(picture).status()).isEqualTo(200);
        byte[] out = unzipped(out(done)).get("Locked.pdf");
        assertThat(out).startsWith(file);
        assertThatThrownBy(() -> Loader.loadPDF(out)).isInstanceOf(InvalidPasswordException.class);
        assertThat(AddedLayers.added(KnownFile.of(out, "tide + 4 %"))).containsOnlyKeys(1);
    }

    @Test
    void a_zip_file_says_which_of_its_files_need_a_password() throws Exception {
        byte[] open = pdf(0, new PDRectangle(300, 400));
        Map<String, byte[]> in = new LinkedHashMap<>();
        in.put("a.pdf", locked(open, "tide"));
        in.put("b.pdf", open);
        in.put("c.pdf", locked(open, "moon"));
        JsonNode made = begin(zip(in));
        assertThat(made.path("files").valueStream().map(each -> each.path("locked").asBoolean()))
                .containsExactly(true, false, true);
        String files = "/api/publications/%s/files?name=Sheets.zip";
        JsonNode again = send(files.formatted(made.path("id").asString()), zip(in), "moon").json();
        assertThat(again.valueStream().map(each -> each.path("locked").asBoolean()))
                .containsExactly(true, false, false);
        assertThat(again.get(2).path("asset").path("name").asString()).isEqualTo("c");
    }

    private JsonNode begin(byte[] file) {
        Client.Answer answer = send("/api/publications/documents?name=Sheets.zip", file);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.json();
    }

    private JsonNode edit(String id, String edit) {
        long revision = client.read(id).path("revision").asLong();
        Client.Answer answer = client.edit(id, revision, "tester", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private JsonNode exported(String id, String query) throws InterruptedException {
        Client.Answer begun = client.post("/api/publications/" + id + "/exports?kind=" + query, "");
        assertThat(begun.status()).as(begun.text()).isEqualTo(202);
        String job = begun.json().path("id").asString();
        for (int tries = 0; tries < 300; tries++) {
            JsonNode now = client.get("/api/jobs/" + job).json();
            if (!now.path("state").asString().equals("RUNNING")) {
                return now;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The export did not end");
    }

    /** Readers switch it; the list of what is known of the files says so. */
    @Test
    void what_goes_to_paper_only_is_told_and_switched() throws Exception {
        String id = begin(pdf(0, new PDRectangle(300, 400))).path("id").asString();
        String about = "/api/publications/" + id + "/files";
        night(id);
        assertThat(client.get(about).json().path("switched").asInt()).isZero();
        night(id, false);
        JsonNode files = client.get(about).json();
        assertThat(files.path("switched").asInt()).isOne();
        assertThat(files.path("medium").asString()).isEqualTo("SCREEN");
        byte[] out = unzipped(out(exported(id, "FILES"))).values().iterator().next();
        assertThat(AddedLayers.added(KnownFile.of(out)).get(1)).hasSize(2);
    }

    private void night(String id) {
        night(id, true);
    }

    /** A night behind all pages that have the first parent. */
    private void night(String id, boolean screen) {
        JsonNode publication = client.read(id);
        edit(
                id,
                """
                {"type": "addBackground",
                 "owner": {"type": "onParent", "id": "%s"},
                 "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                   "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}},
                   "opacity": 100, "blend": "NORMAL", "goesTo": {"screen": %s, "paper": true}}}
                """
                        .formatted(
                                publication.path("parents").get(0).path("id").asString(),
                                UUID.randomUUID(),
                                publication.path("swatches").get(2).path("id").asString(),
                                screen));
    }

    @Test
    void a_zip_file_goes_out_as_it_came_with_what_was_added_to_each_page() throws Exception {
        byte[] one = pdf(90, PDRectangle.A4, PDRectangle.A5);
        byte[] two = pdf(0, new PDRectangle(300, 400));
        Map<String, byte[]> in = new LinkedHashMap<>();
        in.put("winter/sheet 1.pdf", one);
        in.put("winter/sheet 2.pdf", two);
        in.put("../../sheet 2.pdf", two);
        in.put("notes.txt", "no PDF".getBytes(StandardCharsets.US_ASCII));
        in.put("broken.pdf", Arrays.copyOf(one, 200));
        in.put("__MACOSX/._sheet 1.pdf", new byte[9]);
        JsonNode made = begin(zip(in));
        String id = made.path("id").asString();
        assertThat(made.path("files").valueStream().map(each -> each.path("name").asString()))
                .containsExactly(
                        "winter/sheet 1.pdf",
                        "winter/sheet 2.pdf",
                        "sheet 2.pdf",
                        "notes.txt",
                        "broken.pdf");
        assertThat(made.path("files").get(3).path("refused").asString())
                .isEqualTo("It is not a PDF; a set is made of PDFs.");
        assertThat(made.path("files").get(4).path("refused").asString()).contains("damaged");
        JsonNode pages = client.read(id).path("pages");
        assertThat(pages).hasSize(4);
        assertThat(pages.get(0).path("size").path("width").asString())
                .as("A4, turned")
                .isEqualTo("297 mm");
        night(id);
        JsonNode done = exported(id, "FILES");
        assertThat(done.path("state").asString()).isEqualTo("DONE");
        assertThat(done.path("fileName").asString()).isEqualTo("sheets-files.zip");
        assertThat(done.path("files").valueStream().map(each -> each.path("pages").asInt()))
                .containsExactly(2, 1, 1);
        assertThat(done.path("files").toString()).doesNotContain("problem");
        Map<String, byte[]> out =
                unzipped(
                        client.get("/api/jobs/%s/file".formatted(done.path("id").asString()))
                                .bytes());
        assertThat(out.keySet())
                .containsExactly("winter/sheet 1.pdf", "winter/sheet 2.pdf", "sheet 2.pdf");
        byte[] first = out.get("winter/sheet 1.pdf");
        assertThat(Arrays.copyOf(first, one.length)).isEqualTo(one);
        assertThat(AddedLayers.added(KnownFile.of(first))).containsOnlyKeys(1, 2);
        Client.Answer picture =
                client.get("/api/jobs/%s/files/0/picture".formatted(done.path("id").asString()));
        BufferedImage drawn = ImageIO.read(new ByteArrayInputStream(picture.bytes()));
        assertThat(drawn.getWidth()).as("A4, turned").isGreaterThan(drawn.getHeight());
        int night = drawn.getRGB(3, 3);
        assertThat(night >>> 24).isEqualTo(255);
        assertThat(night & 0xff).as("what was added is in it").isLessThan(160);
        assertThat(
                        client.get(
                                        "/api/jobs/%s/files/9/picture"
                                                .formatted(done.path("id").asString()))
                                .status())
                .isEqualTo(404);
        assertThat(AddedLayers.added(KnownFile.of(first)).get(2))
                .extracting(AddedItem::kind)
                .containsExactly(AddedItem.Kind.BACKGROUND);
    }

    private byte[] out(JsonNode job) {
        return client.get("/api/jobs/%s/file".formatted(job.path("id").asString())).bytes();
    }

    /** Also from a file made long ago, which is all that there is of what was added. */
    @Test
    void what_was_added_comes_off_files_that_come_in_again() throws Exception {
        byte[] original = pdf(90, PDRectangle.A4, PDRectangle.A5);
        String id = begin(zip(Map.of("a.pdf", original))).path("id").asString();
        assertThat(client.get("/api/publications/" + id + "/files").json().path("added")).isEmpty();
        night(id);
        byte[] marked = out(exported(id, "FILES"));
        String again = begin(marked).path("id").asString();
        JsonNode added = client.get("/api/publications/" + again + "/files").json().path("added");
        assertThat(added).hasSize(1);
        assertThat(added.get(0).path("kind").asString()).isEqualTo("BACKGROUND");
        assertThat(added.get(0).path("pages").asInt()).isEqualTo(2);
        assertThat(added.get(0).path("files")).hasSize(1);
        JsonNode other = exported(again, "BARE_FILES&off=WATERMARK");
        assertThat(other.path("message").asString()).isEmpty();
        assertThat(other.path("files").get(0).path("pages").asInt()).isZero();
        JsonNode bare = exported(again, "BARE_FILES&off=WATERMARK&off=BACKGROUND");
        assertThat(bare.path("fileName").asString()).isEqualTo("a-bare.zip");
        assertThat(bare.path("files").get(0).path("pages").asInt()).isEqualTo(2);
        byte[] file = unzipped(out(bare)).get("a.pdf");
        assertThat(AddedLayers.added(KnownFile.of(file))).isEmpty();
        String single = added.get(0).path("what").asString();
        JsonNode one = exported(again, "BARE_FILES&off=" + single);
        assertThat(unzipped(out(one)).get("a.pdf")).hasSameSizeAs(file);
        JsonNode elsewhere =
                exported(again, "BARE_FILES&off=%s&from=%s".formatted(single, UUID.randomUUID()));
        assertThat(elsewhere.path("files")).as("of no other file").isEmpty();
        try (PDDocument before = Loader.loadPDF(original);
                PDDocument after = Loader.loadPDF(file)) {
            for (int i = 0; i < 2; i++) {
                assertThat(after.getPage(i).getContents().readAllBytes())
                        .isEqualTo(before.getPage(i).getContents().readAllBytes());
            }
        }
    }

    private static byte[] pale() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(300, 200));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(0.8f);
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                content.newLineAtOffset(40, 100);
                content.showText("Pale words");
                content.endText();
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void pale_text_of_a_file_is_found_mended_and_written_and_comes_back() throws Exception {
        byte[] original = pale();
        String id = begin(zip(Map.of("a.pdf", original))).path("id").asString();
        JsonNode found = client.get("/api/publications/" + id + "/findings").json();
        JsonNode finding = found.path("findings").get(0);
        assertThat(finding.path("kind").asString()).isEqualTo("contrast");
        assertThat(finding.path("text").asString()).isEqualTo("Pale words");
        assertThat(finding.path("file").path("number").asInt()).isEqualTo(1);
        // WCAG 2.2: (1.05) / (0.6038 + 0.05) for #cccccc on white
        assertThat(finding.path("ratio").asDouble()).isEqualTo(1.6);
        String asset = finding.path("file").path("asset").asString();
        JsonNode colors =
                client.get("/api/publications/%s/files/%s/colors".formatted(id, asset))
                        .json()
                        .path("colors");
        assertThat(colors).hasSize(1);
        assertThat(colors.get(0).path("color").asString()).isEqualTo("#cccccc");
        assertThat(colors.get(0).path("count").asInt()).as("letters").isEqualTo(9);
        assertThat(finding.path("offers")).as("asked for where they are wanted").isEmpty();
        String page = finding.path("pageId").asString();
        JsonNode offers =
                client.get("/api/publications/%s/pages/%s/offers".formatted(id, page))
                        .json()
                        .path(finding.path("key").asString());
        edit(id, offers.get(0).path("edit").toString());
        assertThat(client.get("/api/publications/" + id + "/findings").json().path("open").asInt())
                .isZero();
        JsonNode done = exported(id, "FILES");
        assertThat(done.path("files").toString()).doesNotContain("problem");
        Map<String, byte[]> out = unzipped(out(done));
        assertThat(AddedLayers.added(KnownFile.of(out.get("a.pdf"))).get(1))
                .extracting(AddedItem::kind)
                .containsExactly(AddedItem.Kind.COLORS);
        String again = begin(zip(out)).path("id").asString();
        Map<String, byte[]> bare = unzipped(out(exported(again, "BARE_FILES&off=COLORS")));
        assertThat(AddedLayers.added(KnownFile.of(bare.get("a.pdf")))).isEmpty();
        try (PDDocument before = Loader.loadPDF(original);
                PDDocument after = Loader.loadPDF(bare.get("a.pdf"))) {
            assertThat(after.getPage(0).getContents().readAllBytes())
                    .isEqualTo(before.getPage(0).getContents().readAllBytes());
        }
    }

    /** Pale letters begin at 40 from the left and 100 from the top of a page 200 points high. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "#cccccc | 0 | TEXT | 0 pt, 0 pt, 200 pt, 200 pt | TEXT 9 | ",
                "#cccccc | 0 | TEXT | 30 pt, 90 pt, 20 pt, 20 pt | TEXT 9 | ",
                "#cccccc | 0 | TEXT | 50 pt, 90 pt, 20 pt, 20 pt | | ",
                "#c0c0c0 | 0 | TEXT | 0 pt, 0 pt, 200 pt, 200 pt | | ",
                "#c0c0c0 | 6 | TEXT,LINES | 0 pt, 0 pt, 200 pt, 200 pt | TEXT 9 | ",
                "#cccccc | 0 | FILLS | 0 pt, 0 pt, 200 pt, 200 pt | | ",
            })
    void what_a_colour_would_change_in_an_area_is_told_beforehand(
            String from, double within, String what, String area, String changed, String stays)
            throws Exception {
        String id = begin(zip(Map.of("a.pdf", pale()))).path("id").asString();
        JsonNode told = foretold(id, from, within, what, area);
        assertThat(counts(told.path("changed"))).isEqualTo(changed == null ? "" : changed);
        assertThat(counts(told.path("stays"))).isEqualTo(stays == null ? "" : stays);
        assertThat(told.path("read")).isEqualTo(told.path("asked"));
    }

    @ParameterizedTest
    @CsvSource({
        "PICTURES,#000000,PICTURES 1,",
        "PICTURES,#808080,,PICTURES 1",
        "FILLS,#000000,,PICTURES 1"
    })
    void pictures_change_when_asked_and_are_told_when_they_do_not(
            String what, String from, String changed, String stays) throws Exception {
        String id = begin(zip(Map.of("b.pdf", scan()))).path("id").asString();
        JsonNode told = foretold(id, from, 2, what, "0 pt, 0 pt, 300 pt, 200 pt");
        assertThat(counts(told.path("changed"))).isEqualTo(changed == null ? "" : changed);
        assertThat(counts(told.path("stays"))).isEqualTo(stays == null ? "" : stays);
    }

    private static String counts(JsonNode matches) {
        StringBuilder counts = new StringBuilder();
        for (JsonNode each : matches) {
            counts.append(counts.isEmpty() ? "" : ", ")
                    .append(each.path("what").asString())
                    .append(' ')
                    .append(each.path("count").asInt());
        }
        return counts.toString();
    }

    private JsonNode foretold(String id, String from, double within, String what, String area)
            throws Exception {
        JsonNode all = client.read(id);
        String asset = all.path("assets").get(0).path("asset").path("id").asString();
        String[] box = area.split(", ");
        int color = Integer.parseInt(from.substring(1), 16);
        Client.Answer told =
                client.post(
                        "/api/publications/%s/files/%s/matches".formatted(id, asset),
                        """
                        {"from": {"type": "rgb", "red": %d, "green": %d, "blue": %d},
                         "within": %s, "what": ["%s"], "pages": [1],
                         "to": {"swatch": "%s", "tint": 100},
                         "area": {"x": "%s", "y": "%s", "width": "%s", "height": "%s"}}
                        """
                                .formatted(
                                        color >> 16,
                                        color >> 8 & 255,
                                        color & 255,
                                        within,
                                        what.replace(",", "\", \""),
                                        all.path("swatches").get(0).path("id").asString(),
                                        box[0],
                                        box[1],
                                        box[2],
                                        box[3]));
        assertThat(told.status()).as(told.text()).isEqualTo(200);
        return told.json();
    }

    @Test
    void text_of_a_file_is_excepted_and_a_picture_in_it_is_told_as_not_judged() throws Exception {
        String id = begin(zip(Map.of("a.pdf", pale()))).path("id").asString();
        JsonNode finding =
                client.get("/api/publications/" + id + "/findings").json().path("findings").get(0);
        edit(
                id,
                """
                {"type": "addExemption", "exemption": {"id": "%s", "run": "%s", "page": %s,
                 "why": "DECORATION", "reason": "A stamp", "text": "Pale words", "ratio": %s}}
                """
                        .formatted(
                                UUID.randomUUID(),
                                finding.path("run").asString(),
                                finding.path("file"),
                                finding.path("ratio")));
        JsonNode after = client.get("/api/publications/" + id + "/findings").json();
        assertThat(after.path("open").asInt()).isZero();
        assertThat(after.path("excepted")).hasSize(1);
        assertThat(after.path("notJudged")).isEmpty();
        Map<String, byte[]> scan = new LinkedHashMap<>();
        scan.put("b.pdf", scan());
        String scanned = begin(zip(scan)).path("id").asString();
        JsonNode unread =
                client.get("/api/publications/" + scanned + "/findings").json().path("notJudged");
        assertThat(unread).hasSize(1);
        assertThat(unread.get(0).path("why").toString()).contains("Words in a picture are pixels");
    }

    private static byte[] scan() throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(300, 200));
            document.addPage(page);
            var image =
                    LosslessFactory.createFromImage(
                            document, new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB));
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.drawImage(image, 0, 0, 300, 200);
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    @Test
    void more_files_come_in_later_and_pages_are_left_out() throws Exception {
        String id =
                begin(zip(Map.of("a.pdf", pdf(0, PDRectangle.A5, PDRectangle.A5))))
                        .path("id")
                        .asString();
        Client.Answer more =
                send("/api/publications/" + id + "/files?name=b.pdf", pdf(0, PDRectangle.A6));
        assertThat(more.status()).as(more.text()).isEqualTo(201);
        JsonNode asset = more.json().get(0).path("asset");
        JsonNode pages = client.read(id).path("pages");
        edit(
                id,
                """
                {"type": "several", "edits": [
                  {"type": "addAsset", "asset": %s},
                  {"type": "addImported", "asset": "%s", "first": 1, "pages": ["%s"],
                   "after": "%s", "parent": "%s"},
                  {"type": "removePages", "pages": ["%s"]}]}
                """
                        .formatted(
                                asset,
                                asset.path("id").asString(),
                                UUID.randomUUID(),
                                pages.get(1).path("id").asString(),
                                pages.get(1).path("parent").asString(),
                                pages.get(0).path("id").asString()));
        night(id);
        JsonNode done = exported(id, "FILES");
        assertThat(done.path("files").valueStream().map(each -> each.path("pages").asInt()))
                .as("the page that was left out stays as it came")
                .containsExactly(1, 1);
        Map<String, byte[]> out =
                unzipped(
                        client.get("/api/jobs/%s/file".formatted(done.path("id").asString()))
                                .bytes());
        assertThat(AddedLayers.added(KnownFile.of(out.get("a.pdf")))).containsOnlyKeys(2);
        String undone =
                client.post("/api/publications/" + id + "/undo", "{\"author\": \"tester\"}").text();
        assertThat(undone).contains("revision");
    }

    @Test
    void the_size_of_a_page_of_a_file_is_that_of_the_file() throws Exception {
        String id = begin(zip(Map.of("a.pdf", pdf(0, PDRectangle.A5)))).path("id").asString();
        JsonNode publication = client.read(id);
        Client.Answer answer =
                client.edit(
                        id,
                        publication.path("revision").asLong(),
                        "tester",
                        """
                        {"type": "sizePages", "pages": ["%s"]}
                        """
                                .formatted(publication.path("pages").get(0).path("id").asString()));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail())
                .isEqualTo(
                        "Page 1 is page 1 of “a”, and as large as that; its size is not changed here.");
        String own = client.create("Own", 1);
        Client.Answer none = client.post("/api/publications/" + own + "/exports?kind=FILES", "");
        assertThat(none.status()).isEqualTo(422);
        assertThat(none.detail()).contains("No page of this publication is that of a file");
    }

    /** A file that unpacks to far more than it is, and one in which the zip file breaks off. */
    @Test
    void hostile_zip_files_are_given_up_with_a_reason() throws Exception {
        Map<String, byte[]> in = new LinkedHashMap<>();
        in.put("good.pdf", pdf(0, PDRectangle.A5));
        in.put("bomb.pdf", new byte[140 << 20]);
        in.put("later.pdf", pdf(0, PDRectangle.A5));
        byte[] bomb = zip(in);
        assertThat(bomb.length).isLessThan(1 << 20);
        assertThat(
                        begin(bomb)
                                .path("files")
                                .valueStream()
                                .map(each -> each.path("refused").asString("")))
                .containsExactly(
                        "",
                        "It is larger than 128 MB; split it.",
                        "What comes after a file that is too large is not unpacked; put it in a zip file of its own.");
        byte[] whole = zip(Map.of("good.pdf", pdf(0, PDRectangle.A5)));
        Client.Answer cut =
                send("/api/publications/documents?name=Cut.zip", Arrays.copyOf(whole, 120));
        assertThat(cut.status()).isEqualTo(422);
        assertThat(cut.detail()).contains("damaged");
    }
}
