package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Acknowledged means stored: the server is killed in the middle of edits, four times, and ten where
 * everything is tried.
 */
class AcknowledgedEditsTest {
    private static final int TIMES = Integer.getInteger("yewberry.kills", 2);

    @TempDir Path data;

    @Test
    void every_acknowledged_edit_is_there_after_the_server_was_killed() throws Exception {
        Random random = new Random(20);
        SeparateServer server = new SeparateServer(data);
        String id = server.client().create("Killed", 2);
        String swatch = server.client().read(id).path("swatches").get(0).path("id").asString();
        long known = 0;
        for (int time = 0; time < TIMES; time++) {
            AtomicLong acknowledged = new AtomicLong(known);
            SeparateServer running = server;
            Thread editing =
                    Thread.ofVirtual().start(() -> edit(running, id, swatch, acknowledged));
            long enough = known + 2 + random.nextInt(4);
            while (acknowledged.get() < enough && editing.isAlive()) {
                Thread.sleep(1);
            }
            Thread.sleep(random.nextInt(15));
            server.kill();
            editing.join();

            server = new SeparateServer(data);
            JsonNode after = server.client().read(id);
            long stored = after.path("revision").asLong();
            assertThat(stored)
                    .as("time %d", time)
                    .isBetween(acknowledged.get(), acknowledged.get() + 1);
            assertThat(after.path("swatches").get(0).path("name").asString())
                    .isEqualTo("Name " + stored);
            assertThat(stored).isGreaterThan(known);
            known = stored;
        }
        undo_survives_a_restart(server, id, known);
        server.kill();
    }

    @Test
    void an_export_goes_on_after_the_server_was_killed_in_the_middle_of_it() throws Exception {
        SeparateServer server = new SeparateServer(data);
        String id = server.client().create("Killed", 60);
        String job =
                server.client()
                        .post("/api/publications/" + id + "/exports", "")
                        .json()
                        .path("id")
                        .asString();
        Thread.sleep(200);
        server.kill();
        server = new SeparateServer(data);
        JsonNode now = server.client().get("/api/jobs/" + job).json();
        for (int i = 0; i < 1800 && now.path("state").asString().equals("RUNNING"); i++) {
            Thread.sleep(100);
            now = server.client().get("/api/jobs/" + job).json();
        }
        assertThat(now.path("state").asString()).as(now.toString()).isEqualTo("DONE");
        assertThat(now.path("report").path("matches").asBoolean()).isTrue();
        server.kill();
    }

    private static void undo_survives_a_restart(SeparateServer server, String id, long known) {
        Client.Answer undone =
                server.client().post("/api/publications/" + id + "/undo", "{\"author\": \"ann\"}");
        assertThat(undone.status()).isEqualTo(200);
        assertThat(server.client().read(id).path("swatches").get(0).path("name").asString())
                .isEqualTo("Name " + (known - 1));
    }

    /** Renames a swatch to the number of the revision this makes, until the server is gone. */
    private static void edit(
            SeparateServer server, String id, String swatch, AtomicLong acknowledged) {
        try {
            while (true) {
                long revision = acknowledged.get();
                Client.Answer answer =
                        server.client()
                                .edit(
                                        id,
                                        revision,
                                        "ann",
                                        "{\"type\": \"renameSwatch\", \"swatch\": \"%s\", \"name\": \"Name %d\"}"
                                                .formatted(swatch, revision + 1));
                if (answer.status() != 200) {
                    throw new AssertionError(answer.text());
                }
                acknowledged.set(answer.json().path("revision").asLong());
            }
        } catch (UncheckedIOException gone) {
            // killed
        }
    }
}
