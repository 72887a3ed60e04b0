package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Random;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files and requests that are made to do harm stop nobody and break nothing. */
@ExtendWith(RunningServer.class)
class HostileFilesTest {
    private static final int MUTATIONS = 300;
    private static final Duration LONGEST = Duration.ofSeconds(10);

    private final Client client;

    HostileFilesTest(Client client) {
        this.client = client;
    }

    private record Timed(Client.Answer answer, Duration took) {}

    private Timed bring(String publication, String name, byte[] file) {
        long start = System.nanoTime();
        Client.Answer answer =
                client.send(
                        HttpRequest.newBuilder(
                                        client.uri(
                                                "/api/publications/"
                                                        + publication
                                                        + "/pictures?name="
                                                        + name))
                                .timeout(Duration.ofSeconds(90))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(file)));
        return new Timed(answer, Duration.ofNanos(System.nanoTime() - start));
    }

    private static byte[] sample(String kind) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        switch (kind) {
            case "png", "jpg", "tif" -> {
                BufferedImage image = new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB);
                for (int i = 0; i < 2400; i++) {
                    image.setRGB(i % 60, i / 60, i * 7919);
                }
                assertThat(ImageIO.write(image, kind.equals("tif") ? "tiff" : kind, out)).isTrue();
            }
            case "svg" ->
                    out.writeBytes(
                            """
                            <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 60 40"><defs>
                            <linearGradient id="g"><stop offset="0" stop-color="#123"/><stop offset="1"/></linearGradient>
                            </defs><rect width="60" height="40" fill="url(#g)"/><path d="M5 5L20 30Q9 9 40 2z"
                            stroke="#fff" stroke-dasharray="2 3"/><text x="3" y="9">Stars</text></svg>
                            """
                                    .getBytes(StandardCharsets.UTF_8));
            default -> {
                try (PDDocument document = new PDDocument()) {
                    PDPage page = new PDPage();
                    document.addPage(page);
                    try (var content = new PDPageContentStream(document, page)) {
                        content.addRect(20, 20, 100, 50);
                        content.fill();
                    }
                    document.save(out);
                }
            }
        }
        return out.toByteArray();
    }

    private static byte[] mutated(byte[] sample, Random random) {
        byte[] file = sample.clone();
        switch (random.nextInt(4)) {
            case 0 -> file = Arrays.copyOf(file, random.nextInt(file.length));
            case 1 -> {
                int from = random.nextInt(file.length);
                int to = Math.min(file.length, from + random.nextInt(60));
                Arrays.fill(file, from, to, (byte) random.nextInt(256));
            }
            default -> {
                for (int i = 0; i < 1 + random.nextInt(20); i++) {
                    file[random.nextInt(file.length)] = (byte) random.nextInt(256);
                }
            }
        }
        return file;
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg", "tif", "svg", "pdf"})
    void mutated_files_are_taken_or_refused_with_a_reason(String kind) throws IOException {
        String id = client.create("Mutated " + kind, 1);
        Random random = new Random(kind.hashCode());
        byte[] sample = sample(kind);
        for (int i = 0; i < MUTATIONS; i++) {
            Timed timed = bring(id, "file." + kind, mutated(sample, random));
            assertThat(timed.answer().status())
                    .as("%s %d: %s", kind, i, timed.answer().text())
                    .isIn(201, 422);
            assertThat(timed.took()).isLessThan(LONGEST);
            if (timed.answer().status() == 422) {
                assertThat(timed.answer().detail()).hasSizeGreaterThan(20);
            }
        }
    }

    /** Forms that each draw the next twice, forty deep. */
    private static byte[] nestedPdf() {
        StringBuilder pdf = new StringBuilder("%PDF-1.7\n");
        pdf.append("1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n");
        pdf.append("2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n");
        pdf.append("3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 200]/Contents 4 0 R");
        pdf.append("/Resources<</XObject<</F 5 0 R>>>>>>endobj\n");
        pdf.append("4 0 obj<</Length 4>>stream\n/F Do\nendstream endobj\n");
        for (int i = 0; i < 40; i++) {
            pdf.append("%d 0 obj<</Type/XObject/Subtype/Form/BBox[0 0 200 200]".formatted(5 + i));
            pdf.append("/Group<</S/Transparency/I true>>");
            pdf.append("/Resources<</XObject<</F %d 0 R>>>>/Length 12>>".formatted(6 + i));
            pdf.append("stream\n/F Do /F Do \nendstream endobj\n");
        }
        pdf.append("45 0 obj<</Type/XObject/Subtype/Form/BBox[0 0 200 200]/Length 17>>stream\n");
        pdf.append("0 0 200 200 re f \nendstream endobj\ntrailer<</Root 1 0 R>>\n");
        return pdf.toString().getBytes(StandardCharsets.ISO_8859_1);
    }

    /** Groups that each hold the next ten times. */
    private static byte[] laughingSvg() {
        StringBuilder svg = new StringBuilder("<svg xmlns=\"http://www.w3.org/2000/svg\"");
        svg.append(" viewBox=\"0 0 99 99\"><defs><rect id=\"a0\" width=\"9\" height=\"9\"/>");
        for (int i = 1; i < 12; i++) {
            svg.append("<g id=\"a").append(i).append("\">");
            svg.append(("<use href=\"#a" + (i - 1) + "\"/>").repeat(10)).append("</g>");
        }
        return svg.append("</defs><use href=\"#a11\"/></svg>")
                .toString()
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] dashedSvg() {
        return """
        <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000000 1000000">
        <path d="M0 0H1000000V1000000H0Z" fill="none" stroke="#000" stroke-dasharray="0.0001"/></svg>
        """
                .getBytes(StandardCharsets.UTF_8);
    }

    /** A picture of 40,000 by 40,000 pixels within a drawing, in a few kilobytes. */
    private static byte[] pictureInSvg() throws IOException {
        byte[] png = sample("png");
        java.nio.ByteBuffer.wrap(png).putInt(16, 40_000).putInt(20, 40_000);
        java.util.zip.CRC32 crc = new java.util.zip.CRC32();
        crc.update(png, 12, 17);
        java.nio.ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
        return ("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\"><image width=\"9\""
                        + " height=\"9\" href=\"data:image/png;base64,"
                        + Base64.getEncoder().encodeToString(png)
                        + "\"/></svg>")
                .getBytes(StandardCharsets.UTF_8);
    }

    /** Each swatch a tint of the next, so that the first in the file is the last to be known. */
    private static String reversedTints() {
        StringBuilder csv = new StringBuilder("name,kind,value,of,other,percent\n");
        for (int i = 0; i < 3000; i++) {
            csv.append("s%d,tint,,s%d,,99\n".formatted(i, i + 1));
        }
        return csv.append("s3000,cmyk,cmyk(90% 70% 30% 30%),,,\n").toString();
    }

    @Test
    void eight_hostile_requests_at_once_leave_the_shelf_quick() throws Exception {
        String id = client.create("Hostile", 1);
        List<byte[]> files =
                List.of(
                        nestedPdf(),
                        laughingSvg(),
                        dashedSvg(),
                        pictureInSvg(),
                        nestedPdf(),
                        laughingSvg());
        List<String> names = List.of("a.pdf", "b.svg", "c.svg", "d.svg", "e.pdf", "f.svg");
        try (var threads = Executors.newFixedThreadPool(8)) {
            List<Future<Client.Answer>> answers = new ArrayList<>();
            for (int i = 0; i < files.size(); i++) {
                int at = i;
                answers.add(threads.submit(() -> bring(id, names.get(at), files.get(at)).answer()));
            }
            for (int i = 0; i < 2; i++) {
                answers.add(threads.submit(() -> palette(id)));
            }
            int asked = 0;
            while (answers.stream().anyMatch(each -> !each.isDone()) || asked < 5) {
                long start = System.nanoTime();
                assertThat(client.get("/api/publications").status()).isEqualTo(200);
                assertThat(Duration.ofNanos(System.nanoTime() - start))
                        .isLessThan(Duration.ofSeconds(1));
                asked++;
                Thread.sleep(100);
            }
            for (Future<Client.Answer> each : answers) {
                assertThat(each.get().status()).as(each.get().text()).isIn(200, 201, 422);
            }
        }
    }

    /** Processes that stand still for longer than a file may take, as on a machine without time. */
    @Test
    void a_file_is_not_refused_because_the_machine_is_busy() throws Exception {
        String id = client.create("Busy", 1);
        for (int worker = 0; worker < 2; worker++) {
            assertThat(bring(id, "first.pdf", sample("pdf")).answer().status()).isEqualTo(201);
        }
        signal("STOP");
        try (var thread = Executors.newSingleThreadExecutor()) {
            Future<Timed> answer = thread.submit(() -> bring(id, "second.pdf", sample("pdf")));
            Thread.sleep(9_000);
            assertThat(answer.isDone()).isFalse();
            signal("CONT");
            assertThat(answer.get().answer().status()).isEqualTo(201);
        } finally {
            signal("CONT");
        }
    }

    private static void signal(String name) throws Exception {
        List<String> workers =
                ProcessHandle.current()
                        .children()
                        .filter(each ->
                                each.info()
                                        .command()
                                        .filter(it -> it.endsWith("/java"))
                                        .isPresent())
                        .map(each -> String.valueOf(each.pid()))
                        .toList();
        assertThat(workers).isNotEmpty();
        List<String> command = new ArrayList<>(List.of("kill", "-" + name));
        command.addAll(workers);
        assertThat(new ProcessBuilder(command).start().waitFor()).isZero();
    }

    private Client.Answer palette(String id) {
        return client.send(
                HttpRequest.newBuilder(
                                client.uri("/api/publications/" + id + "/palette?format=CSV"))
                        .timeout(Duration.ofSeconds(60))
                        .header("Content-Type", "text/plain")
                        .POST(HttpRequest.BodyPublishers.ofString(reversedTints())));
    }

    @Test
    void a_chain_of_tints_in_reverse_is_read_at_once_and_ends_at_the_stated_limit() {
        String id = client.create("Chain", 1);
        long start = System.nanoTime();
        Client.Answer answer = palette(id);
        assertThat(Duration.ofNanos(System.nanoTime() - start)).isLessThan(Duration.ofSeconds(5));
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().path("added").size()).isLessThanOrEqualTo(1000).isPositive();
        assertThat(answer.json().path("unread").get(0).path("reason").asString()).isNotBlank();
    }

    @Test
    void names_of_invisible_characters_lone_surrogates_and_negative_revisions_are_refused() {
        String id = client.create("Bad", 1);
        for (String name : List.of("\\u200b\\u2060", "\\ud800", "\\u3164", "\\u00ad")) {
            String body =
                    "{\"edit\": {\"type\": \"renamePublication\", \"name\": \"%s\"}, \"revision\": 0, \"author\": \"one\"}"
                            .formatted(name);
            assertThat(client.post("/api/publications/" + id + "/edits", body).status())
                    .as(name)
                    .isEqualTo(422);
        }
        assertThat(
                        client.edit(
                                        id,
                                        -1,
                                        "one",
                                        "{\"type\": \"renamePublication\", \"name\": \"Fine\"}")
                                .status())
                .isEqualTo(422);
        assertThat(client.read(id).path("name").asString()).isEqualTo("Bad");
    }
}
