package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIf;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A disk that fills up and has room again, under edits: a small file system in memory. */
@EnabledIf("isRoot") // only root can mount one
class FullDiskTest {
    @TempDir Path folder;

    private Path disk;

    static boolean isRoot() {
        return "root".equals(System.getProperty("user.name"));
    }

    @BeforeEach
    void mount() throws Exception {
        disk = Files.createDirectory(folder.resolve("disk"));
        run("mount", "-t", "tmpfs", "-o", "size=40m", "tmpfs", disk.toString());
    }

    @AfterEach
    void unmount() throws Exception {
        run("umount", "-l", disk.toString());
    }

    private static void run(String... command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(List.of(command)).inheritIO().start();
        assertThat(process.waitFor()).isZero();
    }

    /** Takes all the room there is. */
    private Path filler() throws IOException {
        Path filler = disk.resolve("filler");
        byte[] block = new byte[64 * 1024];
        try (OutputStream out = Files.newOutputStream(filler)) {
            while (true) {
                out.write(block);
            }
        } catch (IOException full) {
            return filler;
        }
    }

    @Test
    void nothing_acknowledged_is_lost_and_edits_go_on_by_themselves() throws Exception {
        SeparateServer server = new SeparateServer(disk.resolve("data"));
        String id = server.client().create("Disk", 2);
        String swatch = server.client().read(id).path("swatches").get(0).path("id").asString();
        long acknowledged = 0;
        for (int round = 0; round < 3; round++) {
            acknowledged = rename(server, id, swatch, acknowledged, 5);
            Path filler = filler();
            int refused = 0;
            for (int i = 0; i < 200 && refused < 3; i++) {
                Client.Answer answer = rename(server, id, swatch, acknowledged);
                if (answer.status() == 200) {
                    acknowledged = answer.json().path("revision").asLong();
                } else {
                    assertThat(answer.status()).as(answer.text()).isIn(507, 409);
                    refused++;
                }
            }
            assertThat(refused).as("the disk is full").isPositive();
            Files.delete(filler);
            acknowledged = again(server, id, swatch, acknowledged);
        }
        server.kill();
        SeparateServer after = new SeparateServer(disk.resolve("data"));
        assertThat(after.client().read(id).path("revision").asLong()).isEqualTo(acknowledged);
        after.kill();
    }

    /** With room again, an edit is stored within a few seconds, without a restart. */
    private static long again(SeparateServer server, String id, String swatch, long known)
            throws InterruptedException {
        for (int i = 0; i < 20; i++) {
            long revision = known;
            Client.Answer read = server.client().get("/api/publications/" + id);
            if (read.status() == 200) {
                revision = read.json().path("revision").asLong();
                assertThat(revision).isGreaterThanOrEqualTo(known);
                Client.Answer answer = rename(server, id, swatch, revision);
                if (answer.status() == 200) {
                    return answer.json().path("revision").asLong();
                }
            }
            Thread.sleep(500);
        }
        throw new AssertionError("No edit was stored though there was room again");
    }

    private static long rename(
            SeparateServer server, String id, String swatch, long revision, int times) {
        long known = revision;
        for (int i = 0; i < times; i++) {
            Client.Answer answer = rename(server, id, swatch, known);
            assertThat(answer.status()).as(answer.text()).isEqualTo(200);
            known = answer.json().path("revision").asLong();
        }
        return known;
    }

    private static Client.Answer rename(
            SeparateServer server, String id, String swatch, long revision) {
        return server.client()
                .edit(
                        id,
                        revision,
                        "ann",
                        "{\"type\": \"renameSwatch\", \"swatch\": \"%s\", \"name\": \"Name %d\"}"
                                .formatted(swatch, System.nanoTime()));
    }

    /** The disk fills up while the file is written; with room again the same output is made. */
    @Test
    void an_output_that_finds_no_room_leaves_no_half_file() throws Exception {
        String settings = "{\"kind\":\"ALL_PDF\"}";
        Path data = disk.resolve("data");
        SeparateServer server = new SeparateServer(data);
        String id = server.client().create("Disk", 6);
        Path filler = filler();
        leave(filler, 96 * 1024);
        Client.Answer begun = begin(server, id, settings);
        if (begun.status() == 202) {
            JsonNode ended = ended(server, begun.json().path("id").asString());
            assertThat(ended.path("state").asString()).as(ended.toString()).isEqualTo("FAILED");
            // the second where there was no room to keep the first either
            assertThat(ended.path("message").asString())
                    .containsAnyOf("whether the disk is full", "It did not finish");
        } else {
            assertThat(begun.status()).as(begun.text()).isEqualTo(507);
        }
        Files.delete(filler);
        for (int i = 0; i < 20 && !names(data.resolve("exports")).isEmpty(); i++) {
            Thread.sleep(100); // it is told first
        }
        assertThat(names(data.resolve("exports"))).isEmpty();
        for (int i = 0; i < 20 && begun.status() != 202 || i == 0; i++) {
            Thread.sleep(500);
            begun = begin(server, id, settings);
        }
        String job = begun.json().path("id").asString();
        assertThat(ended(server, job).path("state").asString()).isEqualTo("DONE");
        assertThat(server.client().get("/api/jobs/" + job + "/file").status()).isEqualTo(200);
        server.kill();
    }

    /** Gives back so much of what was taken, in bytes. */
    private static void leave(Path filler, int room) throws IOException {
        try (var file = FileChannel.open(filler, StandardOpenOption.WRITE)) {
            file.truncate(file.size() - room);
        }
    }

    private static Client.Answer begin(SeparateServer server, String id, String settings) {
        return server.client().post("/api/publications/" + id + "/outputs", settings);
    }

    private static JsonNode ended(SeparateServer server, String job) throws InterruptedException {
        for (int i = 0; i < 1200; i++) {
            Client.Answer now = server.client().get("/api/jobs/" + job);
            if (now.status() == 200 && !now.json().path("state").asString().equals("RUNNING")) {
                return now.json();
            }
            Thread.sleep(100);
        }
        throw new AssertionError("It did not end");
    }

    private static List<String> names(Path folder) throws IOException {
        if (!Files.exists(folder)) {
            return List.of();
        }
        try (var files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).toList();
        }
    }

    @Test
    void a_full_disk_is_said_at_the_start() throws Exception {
        Path data = Files.createDirectory(disk.resolve("data"));
        filler();
        assertThat(SeparateServer.failing(data)).contains("is full");
    }

    @Test
    void a_folder_that_is_read_only_is_said_at_the_start() throws Exception {
        Files.createDirectory(disk.resolve("data"));
        run("mount", "-o", "remount,ro", disk.toString());
        assertThat(SeparateServer.failing(disk.resolve("data"))).contains("cannot be written to");
    }

    @Test
    void a_damaged_database_is_said_with_its_newest_backup_which_is_brought_back()
            throws Exception {
        Path data = disk.resolve("data");
        SeparateServer server = new SeparateServer(data, "--yewberry.backup-every=1s");
        String id = server.client().create("Kept", 3);
        for (int i = 0; i < 60 && yewberry.server.store.Backup.newest(data).isEmpty(); i++) {
            Thread.sleep(500);
        }
        assertThat(yewberry.server.store.Backup.newest(data)).isPresent();
        var permissions = Files.getPosixFilePermissions(data.resolve("yewberry.mv.db"));
        assertThat(java.nio.file.attribute.PosixFilePermissions.toString(permissions))
                .isEqualTo("rw-------");
        server.kill();
        byte[] file = Files.readAllBytes(data.resolve("yewberry.mv.db"));
        java.util.Arrays.fill(file, 0, file.length, (byte) 7);
        Files.write(data.resolve("yewberry.mv.db"), file);
        assertThat(SeparateServer.failing(data)).contains("is damaged").contains("backups");
        yewberry.server.store.Restore.main(new String[] {data.toString()});
        SeparateServer again = new SeparateServer(data);
        assertThat(again.client().read(id).path("pages")).hasSize(3);
        again.kill();
    }
}
