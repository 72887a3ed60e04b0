package yewberry.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.server.store.db.Tables.JOB;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.jooq.DSLContext;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ApplicationContext;
import tools.jackson.databind.json.JsonMapper;
import yewberry.server.Client;
import yewberry.server.RunningServer;
import yewberry.server.Settings;
import yewberry.server.publications.News;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.store.db.tables.records.JobRecord;
import yewberry.server.view.FileResult;
import yewberry.server.view.JobView;

@ExtendWith(RunningServer.class)
class JobsTest {
    private final Client client;
    private final ApplicationContext context;

    JobsTest(Client client, ApplicationContext context) {
        this.client = client;
        this.context = context;
    }

    /** Tells the time twice, when the job begins; then memory has run out. */
    private static final class OutOfMemory extends Clock {
        private final AtomicInteger asked = new AtomicInteger();

        @Override
        public Instant instant() {
            if (asked.incrementAndGet() > 2) {
                throw new OutOfMemoryError("made up");
            }
            return Instant.parse("2026-11-01T12:00:00Z");
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    @Test
    void an_error_of_the_machine_fails_the_job_and_the_next_one_is_done() throws Exception {
        UUID publication = UUID.fromString(client.create("Leaflet", 1));
        Clock broken = new OutOfMemory();
        Jobs jobs =
                new Jobs(
                        context.getBean(DSLContext.class),
                        context.getBean(JsonMapper.class),
                        context.getBean(Publications.class),
                        context.getBean(News.class),
                        context.getBean(PictureFiles.class),
                        new Outputs(
                                context.getBean(Publications.class),
                                context.getBean(JsonMapper.class),
                                broken),
                        broken,
                        context.getBean(Settings.class));
        try {
            JobView ended = ended(jobs, publication);
            assertThat(ended.state()).isEqualTo(JobView.State.FAILED);
            assertThat(ended.message()).contains("nothing in the publication was changed");
        } finally {
            jobs.destroy();
        }
        assertThat(ended(context.getBean(Jobs.class), publication).state())
                .isEqualTo(JobView.State.DONE);
    }

    /** As it stands in the database when the server ends in the middle of it. */
    private UUID cutOff(UUID publication, long revision, int begun) {
        return cutOff(publication, revision, begun, JobView.Kind.PRESS_PDF);
    }

    private UUID cutOff(UUID publication, long revision, int begun, JobView.Kind kind) {
        JobRecord row = context.getBean(DSLContext.class).newRecord(JOB);
        row.setId(UUID.randomUUID());
        row.setPublication(publication);
        row.setRevision(revision);
        row.setKind(kind.stored());
        row.setState(JobView.State.RUNNING.name());
        row.setFileName("leaflet-press.pdf");
        row.setMessage("");
        row.setStarted(OffsetDateTime.now(ZoneOffset.UTC));
        row.setBegun(begun);
        row.insert();
        return row.getId();
    }

    @Test
    void an_export_that_was_cut_off_is_begun_again_or_says_why_not() throws Exception {
        UUID publication = UUID.fromString(client.create("Leaflet", 2));
        Jobs jobs = context.getBean(Jobs.class);
        UUID again = cutOff(publication, 0, 1);
        UUID twice = cutOff(publication, 0, 2);
        UUID changed = cutOff(publication, 7, 1);
        jobs.goOn();
        assertThat(ended(jobs, jobs.get(again)).state()).isEqualTo(JobView.State.DONE);
        assertThat(jobs.file(again)).isNotEmptyFile();
        assertThat(jobs.get(twice).state()).isEqualTo(JobView.State.FAILED);
        assertThat(jobs.get(twice).message()).contains("closed twice");
        assertThat(jobs.get(changed).state()).isEqualTo(JobView.State.FAILED);
        assertThat(jobs.get(changed).message()).contains("has changed since");
    }

    private static byte[] pdf() throws IOException {
        try (PDDocument document = new PDDocument()) {
            document.addPage(new PDPage(new PDRectangle(200, 100)));
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

    private static Map<String, byte[]> unzipped(Path zip) throws IOException {
        Map<String, byte[]> files = new TreeMap<>();
        try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    /** What is kept of it says that nobody made it once more. */
    @Test
    void an_export_of_files_that_was_cut_off_goes_on_behind_those_that_are_made() throws Exception {
        Client.Answer made =
                client.send(
                        HttpRequest.newBuilder(
                                        client.uri("/api/publications/documents?name=Sheets.zip"))
                                .header("Content-Type", "application/octet-stream")
                                .POST(
                                        HttpRequest.BodyPublishers.ofByteArray(
                                                zip(
                                                        new TreeMap<>(
                                                                Map.of(
                                                                        "a.pdf", pdf(),
                                                                        "b.pdf", pdf(),
                                                                        "c.pdf", pdf()))))));
        UUID publication = UUID.fromString(made.json().path("id").asString());
        Jobs jobs = context.getBean(Jobs.class);
        UUID again = cutOff(publication, 0, 1, JobView.Kind.FILES);
        Path folder = jobs.file(again).getParent();
        Files.createDirectories(folder);
        Path before = Files.writeString(folder.resolve("before.pdf"), "made before");
        DoneFiles done = new DoneFiles(folder, again, context.getBean(JsonMapper.class));
        FileResult told = new FileResult("a.pdf", 7, false, Optional.of(1), Optional.empty());
        done.keep(0, before, told);
        done.keep(1, before, told);
        Files.writeString(folder.resolve(again + ".done-1.json"), "{\"cut"); // it was cut off there
        jobs.goOn();
        JobView ended = ended(jobs, jobs.get(again));
        assertThat(ended.message()).isEmpty();
        assertThat(ended.state()).isEqualTo(JobView.State.DONE);
        assertThat(ended.files())
                .extracting(FileResult::name)
                .containsExactly("a.pdf", "b.pdf", "c.pdf");
        assertThat(ended.files().getFirst()).isEqualTo(told);
        Map<String, byte[]> files = unzipped(jobs.file(again));
        assertThat(files.get("a.pdf")).asString().isEqualTo("made before");
        assertThat(files.get("b.pdf")).asString().startsWith("%PDF");
        assertThat(files.get("c.pdf")).asString().startsWith("%PDF");
        try (var left = Files.list(folder)) {
            assertThat(left.map(each -> each.getFileName().toString()))
                    .as("nothing of it is left over")
                    .noneMatch(each -> each.contains(".done-"));
        }
    }

    private static JobView ended(Jobs jobs, UUID publication) throws InterruptedException {
        return ended(
                jobs, jobs.export(publication, Optional.empty(), TakeOffRequest.NOTHING, false));
    }

    private static JobView ended(Jobs jobs, JobView begun) throws InterruptedException {
        JobView job = begun;
        for (int seen = 0; job.state() == JobView.State.RUNNING; seen = jobs.changes(job.id())) {
            job = jobs.awaitChange(job.id(), seen);
        }
        return job;
    }
}
