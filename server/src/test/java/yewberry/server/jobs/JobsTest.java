package yewberry.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.server.store.db.Tables.JOB;

import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
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
        JobRecord row = context.getBean(DSLContext.class).newRecord(JOB);
        row.setId(UUID.randomUUID());
        row.setPublication(publication);
        row.setRevision(revision);
        row.setKind(JobView.Kind.PRESS_PDF.stored());
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
