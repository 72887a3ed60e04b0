package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.server.store.db.Tables.ASSET_FILE;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ApplicationContext;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import yewberry.server.Client;
import yewberry.server.RunningServer;
import yewberry.server.Settings;
import yewberry.server.jobs.Jobs;
import yewberry.server.view.JobView;

/** What is kept for a time only is kept that long, and no longer. */
@ExtendWith(RunningServer.class)
class HousekeepingTest {
    private final Client client;
    private final ApplicationContext context;

    HousekeepingTest(Client client, ApplicationContext context) {
        this.client = client;
        this.context = context;
    }

    /** Tidies up as if so many days had gone by. */
    private void tidyAfter(int days) throws Exception {
        Housekeeping later =
                new Housekeeping(
                        context.getBean(DSLContext.class),
                        context.getBean(DataSource.class),
                        context.getBean(Jobs.class),
                        Clock.offset(Clock.systemUTC(), Duration.ofDays(days)),
                        context.getBean(Settings.class));
        try {
            later.tidy();
        } finally {
            later.destroy();
        }
    }

    /** A file of its own colour, so that no other test has the same. */
    private JsonNode brought(String publication, int color) throws Exception {
        BufferedImage image = new BufferedImage(9, 7, BufferedImage.TYPE_INT_RGB);
        image.setRGB(3, 3, color);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        Client.Answer answer =
                client.send(
                        HttpRequest.newBuilder(
                                        client.uri(
                                                "/api/publications/"
                                                        + publication
                                                        + "/pictures?name=Dot.png"))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(out.toByteArray())));
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        return answer.json();
    }

    private void edit(String publication, String edit) {
        Client.Answer answer =
                client.edit(
                        publication, client.read(publication).path("revision").asLong(), "a", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private boolean isKept(JsonNode asset) {
        return context.getBean(DSLContext.class)
                .fetchExists(ASSET_FILE, ASSET_FILE.SHA256.eq(asset.path("sha256").asString()));
    }

    @Test
    void files_that_nothing_refers_to_go_after_thirty_days_and_those_that_can_be_undone_stay()
            throws Exception {
        String id = client.create("Leaflet", 1);
        JsonNode placed = brought(id, 0x123456);
        JsonNode removed = brought(id, 0x234567);
        JsonNode forgotten = brought(id, 0x345678);
        for (JsonNode asset : new JsonNode[] {placed, removed}) {
            edit(id, "{\"type\": \"addAsset\", \"asset\": %s}".formatted(asset));
        }
        edit(
                id,
                "{\"type\": \"removeAsset\", \"asset\": \"%s\"}"
                        .formatted(removed.path("id").asString()));
        // a backup that is made meanwhile would keep all three
        FileSystemUtils.deleteRecursively(
                context.getBean(Settings.class).data().resolve("backups"));
        tidyAfter(29);
        assertThat(isKept(forgotten)).isTrue();
        tidyAfter(31);
        assertThat(isKept(forgotten)).isFalse();
        assertThat(isKept(placed)).isTrue();
        assertThat(isKept(removed)).isTrue();
    }

    @Test
    void exports_go_after_fourteen_days() throws Exception {
        UUID publication = UUID.fromString(client.create("Leaflet", 1));
        String job =
                client.post("/api/publications/" + publication + "/exports", "")
                        .json()
                        .path("id")
                        .asString();
        Jobs jobs = context.getBean(Jobs.class);
        UUID id = UUID.fromString(job);
        for (int i = 0; i < 300 && jobs.get(id).state() == JobView.State.RUNNING; i++) {
            Thread.sleep(100);
        }
        Path file = jobs.file(id);
        Path left = file.resolveSibling(UUID.randomUUID() + ".part"); // of a server that was killed
        Files.createFile(left);
        tidyAfter(13);
        assertThat(file).exists();
        assertThat(left).doesNotExist();
        tidyAfter(15);
        assertThat(file).doesNotExist();
        assertThat(client.get("/api/jobs/" + job).status()).isEqualTo(404);
    }
}
