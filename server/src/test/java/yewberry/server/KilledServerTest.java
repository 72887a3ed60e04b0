package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Acknowledged means stored: the server is killed in the middle of edits, twenty times. */
class KilledServerTest {
    private static final int TIMES = 20;

    @TempDir Path data;

    /** A server in a process of its own. */
    private final class Server {
        private final Process process;
        private final Client client;

        Server() throws IOException {
            List<String> command = new ArrayList<>();
            command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
            command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp"));
            command.add(
                    System.getProperty(
                            "surefire.test.class.path", System.getProperty("java.class.path")));
            command.add(YewberryApplication.class.getName());
            command.addAll(
                    List.of(
                            "--server.port=0",
                            "--yewberry.data=" + data,
                            "--spring.main.lazy-initialization=true",
                            "--springdoc.api-docs.enabled=false"));
            process = new ProcessBuilder(command).redirectErrorStream(true).start();
            client = new Client(port(process));
        }

        private static int port(Process process) throws IOException {
            Pattern ready = Pattern.compile("ready: http://localhost:(\\d+)/");
            StringBuilder said = new StringBuilder();
            BufferedReader lines = process.inputReader();
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                said.append(line).append('\n');
                Matcher match = ready.matcher(line);
                if (match.find()) {
                    Thread.ofVirtual().start(() -> drain(lines));
                    return Integer.parseInt(match.group(1));
                }
            }
            throw new AssertionError("The server did not start:\n" + said);
        }

        private static void drain(BufferedReader lines) {
            try {
                while (lines.readLine() != null) {
                    // what it says is not needed, but a full pipe would stop it
                }
            } catch (IOException | UncheckedIOException ended) {
                // it was killed
            }
        }

        void kill() throws InterruptedException {
            process.destroyForcibly().waitFor();
        }
    }

    @Test
    void every_acknowledged_edit_is_there_after_the_server_was_killed() throws Exception {
        Random random = new Random(20);
        Server server = new Server();
        String id = server.client.create("Killed", 2);
        String swatch = server.client.read(id).path("swatches").get(0).path("id").asString();
        long known = 0;
        for (int time = 0; time < TIMES; time++) {
            AtomicLong acknowledged = new AtomicLong(known);
            Server running = server;
            Thread editing =
                    Thread.ofVirtual().start(() -> edit(running, id, swatch, acknowledged));
            long enough = known + 2 + random.nextInt(4);
            while (acknowledged.get() < enough && editing.isAlive()) {
                Thread.sleep(1);
            }
            Thread.sleep(random.nextInt(15));
            server.kill();
            editing.join();

            server = new Server();
            JsonNode after = server.client.read(id);
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

    private static void undo_survives_a_restart(Server server, String id, long known) {
        Client.Answer undone =
                server.client.post("/api/publications/" + id + "/undo", "{\"author\": \"ann\"}");
        assertThat(undone.status()).isEqualTo(200);
        assertThat(server.client.read(id).path("swatches").get(0).path("name").asString())
                .isEqualTo("Name " + (known - 1));
    }

    /** Renames a swatch to the number of the revision this makes, until the server is gone. */
    private static void edit(Server server, String id, String swatch, AtomicLong acknowledged) {
        try {
            while (true) {
                long revision = acknowledged.get();
                Client.Answer answer =
                        server.client.edit(
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
