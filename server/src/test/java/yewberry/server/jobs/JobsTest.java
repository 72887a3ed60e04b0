package yewberry.server.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.Set;
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
import yewberry.server.view.JobView;

@ExtendWith(RunningServer.class)
class JobsTest {
    private final Client client;
    private final ApplicationContext context;

    JobsTest(Client client, ApplicationContext context) {
        this.client = client;
        this.context = context;
    }

    /** Tells the time once, when the job begins; then memory has run out. */
    private static final class OutOfMemory extends Clock {
        private final AtomicInteger asked = new AtomicInteger();

        @Override
        public Instant instant() {
            if (asked.incrementAndGet() > 1) {
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
        Jobs jobs =
                new Jobs(
                        context.getBean(DSLContext.class),
                        context.getBean(JsonMapper.class),
                        context.getBean(Publications.class),
                        context.getBean(News.class),
                        context.getBean(PictureFiles.class),
                        new OutOfMemory(),
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

    private static JobView ended(Jobs jobs, UUID publication) throws InterruptedException {
        JobView job = jobs.export(publication, Optional.empty(), Set.of(), false);
        for (int seen = 0; job.state() == JobView.State.RUNNING; seen = jobs.changes(job.id())) {
            job = jobs.awaitChange(job.id(), seen);
        }
        return job;
    }
}
