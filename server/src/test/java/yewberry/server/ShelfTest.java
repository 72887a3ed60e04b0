package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What publications begin from, besides a size. */
@ExtendWith(RunningServer.class)
class ShelfTest {
    private final Client client;

    ShelfTest(Client client) {
        this.client = client;
    }

    /** A grey box of 40 points in the middle of each page. */
    private static byte[] pdf(PDRectangle... sizes) throws IOException {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            for (PDRectangle size : sizes) {
                PDPage page = new PDPage(size);
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.setNonStrokingColor(0.5f);
                    content.addRect(size.getWidth() / 2 - 20, size.getHeight() / 2 - 20, 40, 40);
                    content.fill();
                }
            }
            document.save(out);
            return out.toByteArray();
        }
    }

    private Client.Answer begin(String name, byte[] file) {
        return client.send(
                HttpRequest.newBuilder(client.uri("/api/publications/documents?name=" + name))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
    }

    @Test
    void each_page_of_a_pdf_lies_on_a_page_of_its_size() throws IOException {
        PDRectangle wide = new PDRectangle(841.89f, 595.28f);
        Client.Answer answer = begin("Log-sheets.pdf", pdf(PDRectangle.A4, wide, PDRectangle.A4));
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        String id = answer.json().path("id").asString();
        JsonNode publication = client.read(id);
        assertThat(publication.path("name").asString()).isEqualTo("Log-sheets");
        // ISO 216: A4 is 210 mm by 297 mm
        assertThat(publication.path("setup").path("trim").path("width").asString())
                .isEqualTo("210 mm");
        JsonNode pages = publication.path("pages");
        assertThat(pages).hasSize(3);
        assertThat(pages.get(0).path("size").path("width").asString()).isEqualTo("210 mm");
        assertThat(pages.get(0).path("imported").path("number").asInt()).isEqualTo(1);
        assertThat(pages.get(1).path("size").path("width").asString()).isEqualTo("297 mm");
        String second = pages.get(1).path("id").asString();
        JsonNode middle =
                client.get(
                                "/api/publications/%s/pages/%s/strata?x=148.5&y=105"
                                        .formatted(id, second))
                        .json();
        assertThat(middle.toString()).contains("Log-sheets, page 2");
        // nothing is painted at its edges, so nothing of it can end at the trim
        assertThat(client.findings(id, "").path("findings").toString())
                .doesNotContain("ends-at-trim");
    }

    @Test
    void a_slip_among_large_pages_has_room_for_its_margins() throws IOException {
        PDRectangle slip = new PDRectangle(85, 600); // 30 mm wide
        for (byte[] file : List.of(pdf(PDRectangle.A3, slip), pdf(slip, PDRectangle.A3))) {
            Client.Answer answer = begin("Slips.pdf", file);
            assertThat(answer.status()).as(answer.text()).isEqualTo(201);
            String id = answer.json().path("id").asString();
            assertThat(client.read(id).path("pages")).hasSize(2);
            assertThat(client.findings(id, "").path("checked").asInt()).isEqualTo(2);
        }
    }

    @Test
    void what_is_no_pdf_or_has_no_possible_size_begins_nothing() throws IOException {
        int before = client.get("/api/publications").json().size();
        String svg =
                "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><rect width='9' height='9'/></svg>";
        assertThat(begin("Mark.svg", svg.getBytes(StandardCharsets.UTF_8)).detail())
                .isEqualTo("It is not a PDF; a set is made of PDFs.");
        assertThat(begin("Tiny.pdf", pdf(new PDRectangle(10, 10))).detail())
                .contains("is not possible; choose from 10 mm");
        assertThat(begin("Broken.pdf", new byte[] {'%', 'P', 'D', 'F'}).status()).isEqualTo(422);
        assertThat(client.get("/api/publications").json()).hasSize(before);
    }

    @Test
    void a_pdf_may_be_as_large_as_any_file_that_is_placed() throws IOException {
        byte[] noise = new byte[3_000_000];
        new Random(1).nextBytes(noise);
        byte[] large;
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.addPage(new PDPage(PDRectangle.A5));
            PDStream unused = new PDStream(document, new ByteArrayInputStream(noise));
            document.getDocumentCatalog().getCOSObject().setItem("Unused", unused);
            document.save(out);
            large = out.toByteArray();
        }
        assertThat(large.length).isGreaterThan(2_900_000);
        Client.Answer answer = begin("Large.pdf", large);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
    }

    @Test
    void examples_come_back_once_they_were_removed_and_never_twice() {
        String guide = client.post("/api/publications/examples", "").json().path("id").asString();
        assertThat(names()).containsOnlyOnce("Season guide", "Gate leaflet");
        String leaflet = idOf("Gate leaflet");
        assertThat(client.delete("/api/publications/" + leaflet).status()).isEqualTo(204);
        assertThat(client.post("/api/publications/examples", "").json().path("id").asString())
                .isEqualTo(guide);
        assertThat(names()).containsOnlyOnce("Season guide", "Gate leaflet");
    }

    private List<String> names() {
        return client.get("/api/publications")
                .json()
                .valueStream()
                .map(each -> each.path("name").asString())
                .toList();
    }

    private String idOf(String name) {
        return client.get("/api/publications")
                .json()
                .valueStream()
                .filter(each -> each.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }
}
