package yewberry.server.api;

import java.io.IOException;
import java.nio.file.Files;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import yewberry.server.jobs.Jobs;
import yewberry.server.jobs.ResultPictures;
import yewberry.server.jobs.TakeOffRequest;
import yewberry.server.publications.AddedMarks;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.FilesView;
import yewberry.server.view.JobView;
import yewberry.server.web.Streams;

/** Exports: begin, follow, cancel, fetch. */
@RestController
@RequestMapping("/api")
class JobApi {
    private static final String ZIP = "application/zip";

    /** A file that was exported does not change any more. */
    private static final Duration KEPT = Duration.ofDays(14);

    private final Jobs jobs;
    private final Streams streams;
    private final AddedMarks marks;
    private final ResultPictures pictures;
    private final Publications publications;

    JobApi(
            Jobs jobs,
            Streams streams,
            AddedMarks marks,
            ResultPictures pictures,
            Publications publications) {
        this.jobs = jobs;
        this.streams = streams;
        this.marks = marks;
        this.pictures = pictures;
        this.publications = publications;
    }

    @PostMapping("/publications/{id}/exports")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView export(
            @PathVariable UUID id,
            @RequestParam Optional<JobView.Kind> kind,
            @RequestParam(defaultValue = "") Set<String> off,
            @RequestParam(defaultValue = "") Set<UUID> from,
            @RequestParam(defaultValue = "false") boolean missingAccepted) {
        return jobs.export(id, kind, new TakeOffRequest(off, from), missingAccepted);
    }

    /** What the files whose pages these are say of themselves. */
    @GetMapping("/publications/{id}/files")
    FilesView files(@PathVariable UUID id) {
        return marks.of(id);
    }

    @GetMapping("/publications/{id}/exports")
    List<JobView> exports(@PathVariable UUID id) {
        return jobs.of(id);
    }

    /**
     * Holds its file against the publication as it is now, or against that of another export; the
     * new job says what differs.
     */
    @PostMapping("/jobs/{job}/comparison")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView compare(@PathVariable UUID job, @RequestParam Optional<UUID> with) {
        return jobs.compare(job, with);
    }

    @GetMapping("/jobs/{job}")
    JobView job(@PathVariable UUID job) {
        return jobs.get(job);
    }

    @DeleteMapping("/jobs/{job}")
    JobView cancel(@PathVariable UUID job) {
        jobs.cancel(job);
        return jobs.get(job);
    }

    /** The job's state, now and whenever it changes, until it has ended. */
    @GetMapping(path = "/jobs/{job}/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@PathVariable UUID job) {
        jobs.get(job);
        SseEmitter emitter = streams.open();
        Thread.ofVirtual().start(() -> follow(job, emitter));
        return emitter;
    }

    private void follow(UUID id, SseEmitter emitter) {
        try {
            JobView job;
            do {
                int seen = jobs.changes(id);
                job = jobs.get(id);
                emitter.send(SseEmitter.event().name("job").data(job, MediaType.APPLICATION_JSON));
                if (job.state() == JobView.State.RUNNING) {
                    jobs.awaitChange(id, seen);
                }
            } while (streams.isOpen(emitter) && job.state() == JobView.State.RUNNING);
            emitter.complete();
        } catch (Missing removed) {
            emitter.complete(); // with its publication
        } catch (IOException | IllegalStateException gone) {
            streams.gone(emitter);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /**
     * A small picture of one of the files of a set, drawn from what was exported.
     *
     * @param index among the results
     */
    @GetMapping(path = "/jobs/{job}/files/{index}/picture", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> picture(@PathVariable UUID job, @PathVariable int index)
            throws IOException {
        JobView view = jobs.get(job);
        if (index < 0 || index >= view.files().size() || !Files.exists(jobs.file(job))) {
            throw new Missing("picture");
        }
        OpenPublication open = publications.get(view.publication());
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate().immutable())
                .body(
                        pictures.of(
                                jobs.file(job),
                                view.files().get(index),
                                open.state().publication(),
                                open.press(open.state().publication())));
    }

    /**
     * A small picture of a page of a PDF that was exported, drawn from it.
     *
     * @param number from 1
     */
    @GetMapping(path = "/jobs/{job}/pages/{number}/picture", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> page(@PathVariable UUID job, @PathVariable int number)
            throws IOException {
        JobView view = jobs.get(job);
        boolean there =
                view.report()
                        .filter(report -> number >= 1 && number <= report.pages().size())
                        .isPresent();
        if (!there || !Files.exists(jobs.file(job))) {
            throw new Missing("picture");
        }
        OpenPublication open = publications.get(view.publication());
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate().immutable())
                .body(
                        pictures.page(
                                jobs.file(job), number, open.press(open.state().publication())));
    }

    @GetMapping(
            path = "/jobs/{job}/file",
            produces = {MediaType.APPLICATION_PDF_VALUE, ZIP})
    ResponseEntity<Resource> file(@PathVariable UUID job) {
        JobView view = jobs.get(job);
        var file = jobs.file(job);
        if (view.state() != JobView.State.DONE || !Files.exists(file)) {
            throw new Missing("file");
        }
        return ResponseEntity.ok()
                .contentType(
                        view.kind().isMany() ? MediaType.valueOf(ZIP) : MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(view.fileName())
                                .build()
                                .toString())
                .body(new FileSystemResource(file));
    }
}
