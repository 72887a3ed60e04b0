package yewberry.server.jobs;

import static yewberry.server.store.db.Tables.JOB;

import java.io.FileNotFoundException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.JSON;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Busy;
import yewberry.core.Names;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.compose.Composer;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.server.Settings;
import yewberry.server.publications.Missing;
import yewberry.server.publications.News;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.Publications;
import yewberry.server.store.db.tables.records.JobRecord;
import yewberry.server.view.FileResult;
import yewberry.server.view.JobView;

/**
 * Exports: each writes a file, opens it again and holds it against the scenes. Two publications at
 * once, each one after the other. Those that were running when the server ended are begun again.
 */
@Component
public class Jobs implements DisposableBean {
    private static final Logger log = LoggerFactory.getLogger(Jobs.class);

    /** So many publications are exported at once: all scenes of each are in memory. */
    private static final int AT_ONCE = 2;

    /** So often an export is begun: who knows whether it was what ended the server. */
    private static final int BEGUN_AT_MOST = 2;

    private static final String CANCELLED = "Cancelled; no file was kept.";

    private final DSLContext db;
    private final JsonMapper mapper;
    private final Publications publications;
    private final News news;
    private final PictureFiles files;
    private final Outputs outputs;
    private final Clock clock;
    private final Path folder;
    private final Turns turns = new Turns(AT_ONCE);
    private final Map<UUID, RunningJob> running = new ConcurrentHashMap<>();
    private volatile boolean closing;

    Jobs(
            DSLContext db,
            JsonMapper mapper,
            Publications publications,
            News news,
            PictureFiles files,
            Outputs outputs,
            Clock clock,
            Settings settings) {
        this.db = db;
        this.mapper = mapper;
        this.publications = publications;
        this.news = news;
        this.files = files;
        this.outputs = outputs;
        this.clock = clock;
        this.folder = settings.data().resolve("exports");
    }

    /** Begins again what was running when the server ended, or says why not. */
    @EventListener(ApplicationReadyEvent.class)
    public void goOn() {
        db
                .selectFrom(JOB)
                .where(JOB.STATE.eq(JobView.State.RUNNING.name()))
                .orderBy(JOB.STARTED)
                .fetch()
                .stream()
                .filter(row -> !running.containsKey(row.getId()))
                .forEach(this::goOn);
    }

    private void goOn(JobRecord row) {
        UUID id = row.getId();
        try {
            OpenPublication open = publications.get(row.getPublication());
            OpenPublication.State state = open.state();
            if (state.revision() != row.getRevision()) {
                fail(
                        id,
                        "Yewberry was closed before this was done, and the publication has changed since; export it again.");
            } else if (row.getBegun() >= BEGUN_AT_MOST) {
                fail(
                        id,
                        "Yewberry was closed twice while this was made. Export fewer pages at once, or close other programs.");
            } else {
                row.setBegun(row.getBegun() + 1);
                row.update();
                enqueue(id, open, state.publication(), wanted(row));
            }
        } catch (RuntimeException notRead) {
            log.warn("An export could not be begun again", notRead);
            fail(id, "Yewberry was closed before this was done; export it again.");
        }
    }

    private ExportRequest wanted(JobRecord row) {
        return new ExportRequest(
                JobView.Kind.of(row.getKind()),
                Optional.ofNullable(row.getComesOff())
                        .map(off -> mapper.readValue(off.data(), TakeOffRequest.class))
                        .orElse(TakeOffRequest.NOTHING),
                Optional.ofNullable(row.getSettings())
                        .map(settings -> mapper.readValue(settings.data(), OutputSettings.class)),
                compared(row));
    }

    /** What is held against each other, in order: two exports, or one against the publication. */
    private static List<UUID> compared(JobRecord row) {
        return Stream.of(row.getCompared(), row.getComparedWith())
                .filter(Objects::nonNull)
                .toList();
    }

    private void fail(UUID id, String why) {
        finish(id, JobView.State.FAILED, why, Optional.empty());
    }

    /**
     * What is made.
     *
     * @param off what comes off files that something was added to before
     * @param settings of all but the files of a set
     * @param compared the export whose file is held against the publication, or two against each
     *     other; none for all else
     */
    private record ExportRequest(
            JobView.Kind kind,
            TakeOffRequest off,
            Optional<OutputSettings> settings,
            List<UUID> compared) {
        OutputSettings output() {
            return settings.orElseGet(() -> OutputSettings.of(kind.output().orElseThrow()));
        }
    }

    /**
     * Begins to make something of the newest state.
     *
     * @param missingAccepted whether characters that a font does not have may be left out
     * @throws Unconfirmed if there are some, and that was not accepted
     * @throws Refused if it names a page that there is not, or would not hold what it claims
     */
    public JobView output(UUID publication, OutputSettings settings, boolean missingAccepted) {
        OpenPublication open = publications.get(publication);
        OpenPublication.State state = open.state();
        Composer composer = open.composer(state.publication());
        boolean missing =
                refuseMissing(
                        composer,
                        state.publication(),
                        settings.pages(state.publication()),
                        missingAccepted);
        // a glyph that stands for a character without a shape breaks PDF/A
        OutputSettings wanted = missing ? settings.withClaims(false) : settings;
        Outputs.check(state.publication(), composer, wanted);
        ExportRequest made =
                new ExportRequest(
                        JobView.Kind.of(settings.kind()),
                        TakeOffRequest.NOTHING,
                        Optional.of(wanted),
                        List.of());
        return begin(
                open, state, made, settings.fileName(state.publication(), LocalDate.now(clock)));
    }

    /**
     * Begins the export of the newest state.
     *
     * @param wanted what is made; nothing for the PDF for what the publication goes to first
     * @param off what comes off files that something was added to before
     * @param missingAccepted whether characters that a font does not have may be left out
     * @throws Unconfirmed if there are some, and that was not accepted
     * @throws Refused if files are wanted of a publication that has none
     */
    public JobView export(
            UUID publication,
            Optional<JobView.Kind> wanted,
            TakeOffRequest off,
            boolean missingAccepted) {
        OpenPublication open = publications.get(publication);
        OpenPublication.State state = open.state();
        JobView.Kind kind =
                wanted.orElseGet(() ->
                        JobView.Kind.of(
                                state.publication().setup().destination().media().getFirst()));
        if (!kind.isSet()) {
            return output(
                    publication, OutputSettings.of(kind.output().orElseThrow()), missingAccepted);
        }
        if (!SetOutput.isSet(state.publication())) {
            throw new Refused(
                    "No page of this publication is that of a file; export it as a PDF instead.");
        }
        refuseMissing(
                open.composer(state.publication()),
                state.publication(),
                IntStream.range(0, state.publication().pages().size()).boxed().toList(),
                missingAccepted);
        return begin(
                open,
                state,
                new ExportRequest(kind, off, Optional.empty(), List.of()),
                Names.fileStem(state.publication().name())
                        + (kind == JobView.Kind.FILES ? "-files.zip" : "-bare.zip"));
    }

    /**
     * Begins to hold the file of an export against the publication as it is now, or against that of
     * a later export.
     *
     * @param with the second export; nothing for the publication
     * @throws Missing if there is no such export
     * @throws Refused if one is not made of the pages, or not done, or if they are of two
     *     publications or kinds
     */
    public JobView compare(UUID id, Optional<UUID> with) {
        JobRecord row = comparable(id);
        Optional<JobRecord> second = with.map(this::comparable);
        if (second.filter(it -> !it.getPublication().equals(row.getPublication())).isPresent()) {
            throw new Refused("Files of two publications cannot be compared.");
        }
        OpenPublication open = publications.get(row.getPublication());
        ExportRequest before = wanted(row);
        OutputKind kind = before.output().kind();
        boolean alike =
                second.map(it -> wanted(it).output().kind())
                        .map(other -> other == kind || other.isPdf() && kind.isPdf())
                        .orElse(true);
        if (!alike) {
            throw new Refused(
                    "A PDF is compared with a PDF, and pictures, drawings or a web page with the same kind; choose another.");
        }
        return begin(
                open,
                open.state(),
                new ExportRequest(
                        JobView.Kind.COMPARISON,
                        TakeOffRequest.NOTHING,
                        Optional.of(before.output()),
                        Stream.concat(Stream.of(id), with.stream()).toList()),
                Stream.concat(Stream.of(row), second.stream())
                        .map(JobRecord::getFileName)
                        .collect(Collectors.joining(" and ")));
    }

    private JobRecord comparable(UUID id) {
        JobRecord row =
                db.fetchOptional(JOB, JOB.ID.eq(id)).orElseThrow(() -> new Missing("export"));
        JobView.Kind kind = JobView.Kind.of(row.getKind());
        if (kind.output().isEmpty()
                || !row.getState().equals(JobView.State.DONE.name())
                || !Files.exists(file(id))) {
            throw new Refused(
                    "Only what was made of the pages here, and is still there, can be compared; export it again.");
        }
        return row;
    }

    private JobView begin(
            OpenPublication open, OpenPublication.State state, ExportRequest made, String name) {
        UUID id = UUID.randomUUID();
        JobRecord row = db.newRecord(JOB);
        row.setId(id);
        row.setPublication(state.publication().id());
        row.setRevision(state.revision());
        row.setKind(made.kind().stored());
        row.setState(JobView.State.RUNNING.name());
        row.setFileName(name);
        row.setMessage("");
        row.setStarted(OffsetDateTime.now(clock));
        row.setComesOff(JSON.json(mapper.writeValueAsString(made.off())));
        made.settings()
                .ifPresent(settings ->
                        row.setSettings(JSON.json(mapper.writeValueAsString(settings))));
        made.compared().stream().findFirst().ifPresent(row::setCompared);
        made.compared().stream().skip(1).findFirst().ifPresent(row::setComparedWith);
        row.setBegun(1);
        row.insert();
        enqueue(id, open, state.publication(), made);
        return get(id);
    }

    private void enqueue(
            UUID id, OpenPublication open, Publication publication, ExportRequest wanted) {
        RunningJob job = new RunningJob(publication.id());
        running.put(id, job);
        turns.add(publication.id(), () -> run(id, job, open, publication, wanted));
    }

    /**
     * Whether characters have no shape in their fonts.
     *
     * @throws Unconfirmed if some have none, and that was not accepted
     */
    private static boolean refuseMissing(
            Composer composer, Publication publication, List<Integer> wanted, boolean accepted) {
        Set<Integer> pages = new TreeSet<>();
        Set<String> characters = new LinkedHashSet<>();
        for (int i : wanted) {
            for (Item.GlyphRun run : composer.compose(publication, i).text()) {
                if (!run.missing().isEmpty()) {
                    pages.add(i + 1);
                    characters.add(run.missing());
                }
            }
        }
        if (!characters.isEmpty() && !accepted) {
            throw new Unconfirmed(
                    "Their fonts have no shape for “%s”, on %s %s: empty boxes would be printed there."
                            .formatted(
                                    String.join("”, “", characters),
                                    pages.size() == 1 ? "page" : "pages",
                                    pages.stream()
                                            .map(String::valueOf)
                                            .collect(Collectors.joining(", "))));
        }
        return !characters.isEmpty();
    }

    private void run(
            UUID id,
            RunningJob job,
            OpenPublication open,
            Publication publication,
            ExportRequest wanted) {
        Path part = folder.resolve(id + ".part");
        if (!job.begin()) {
            return;
        }
        try {
            Files.createDirectories(folder);
            Optional<String> report =
                    switch (wanted.kind()) {
                        case FILES, BARE_FILES -> {
                            List<FileResult> results =
                                    files(id, job, open, publication, wanted, part);
                            yield Optional.of(mapper.writeValueAsString(results));
                        }
                        case PRESS_PDF,
                                READING_PDF,
                                ALL_PDF,
                                SCREEN_AND_PAPER_PDF,
                                OFFICE_PDF,
                                PNG,
                                JPEG,
                                SVG,
                                WEB ->
                                Optional.of(
                                        outputs.make(
                                                open,
                                                publication,
                                                wanted.output(),
                                                part,
                                                phase ->
                                                        (done, all) ->
                                                                at(id, job, phase, done, all)));
                        case COMPARISON ->
                                Optional.of(
                                        comparison(
                                                open,
                                                publication,
                                                wanted,
                                                part,
                                                phase ->
                                                        (done, all) ->
                                                                at(id, job, phase, done, all)));
                    };
            if (wanted.kind() != JobView.Kind.COMPARISON) {
                Files.move(part, file(id), StandardCopyOption.REPLACE_EXISTING);
            }
            finish(id, JobView.State.DONE, "", report);
        } catch (CancellationException cancelled) {
            if (!closing) { // else it stays running, and is begun again after the next start
                finish(id, JobView.State.CANCELLED, CANCELLED, Optional.empty());
            }
        } catch (Refused | Busy told) {
            fail(id, told.getMessage());
        } catch (IOException | UncheckedIOException failure) {
            log.warn("Export failed", failure);
            boolean gone =
                    !wanted.compared().isEmpty()
                            && (failure instanceof NoSuchFileException
                                    || failure instanceof FileNotFoundException);
            fail(
                    id,
                    gone
                            ? "The file is not there any more; export it again."
                            : "The file could not be written. See whether the disk is full, then export again.");
        } catch (
                Throwable
                        failure) { // memory and stack that run out, too: the job ends all the same
            log.error("Export failed", failure);
            fail(id, "The export met an error of its own; nothing in the publication was changed.");
        } finally {
            delete(part);
            if (!closing) {
                done(id).clear();
            }
            over(id, job);
        }
    }

    private String comparison(
            OpenPublication open,
            Publication publication,
            ExportRequest wanted,
            Path part,
            Outputs.Phases phases)
            throws IOException {
        List<Path> compared = wanted.compared().stream().map(this::file).toList();
        List<JobView> made = wanted.compared().stream().map(this::get).toList();
        if (wanted.output().kind().isPdf()) {
            return outputs.compare(
                    open,
                    publication,
                    wanted.output(),
                    compared,
                    made.getFirst().report().map(ReadBackReport::pages).orElse(List.of()),
                    phases);
        }
        return outputs.compareMany(
                open,
                publication,
                wanted.output(),
                compared,
                made.stream().map(JobView::files).toList(),
                part,
                phases);
    }

    private List<FileResult> files(
            UUID id,
            RunningJob job,
            OpenPublication open,
            Publication publication,
            ExportRequest wanted,
            Path part)
            throws IOException {
        SetOutput output =
                new SetOutput(
                        publication,
                        open.composer(publication),
                        open.press(publication),
                        files::known,
                        clock.instant(),
                        Optional.of(done(id)));
        Progress progress = (done, all) -> at(id, job, "Writing and reading back", done, all);
        return SetOutput.zipped(
                part,
                to ->
                        wanted.kind() == JobView.Kind.FILES
                                ? output.write(to, progress)
                                : output.takeOff(wanted.off(), to, progress));
    }

    /** Files of a set that it made so far. */
    private DoneFiles done(UUID id) {
        return new DoneFiles(folder, id, mapper);
    }

    /** Tells how far it is, now and then. */
    private void at(UUID id, RunningJob job, String phase, int done, int all) {
        job.at(phase, done, all);
        if (job.isToBeTold()) {
            tell(id);
        }
    }

    private void over(UUID id, RunningJob job) {
        running.remove(id);
        job.end();
        tell(id);
    }

    /** Whoever misses it asks for the job now and then. */
    private void tell(UUID id) {
        try {
            db.fetchOptional(JOB, JOB.ID.eq(id)).map(this::view).ifPresent(news::tell);
        } catch (RuntimeException notRead) {
            log.warn("How far an export is could not be told", notRead);
        }
    }

    /** Where this cannot be stored, the job counts as failed as soon as it is not running. */
    private void finish(UUID id, JobView.State state, String message, Optional<String> report) {
        try {
            store(id, state, message, report);
        } catch (RuntimeException notStored) {
            log.error("The end of an export could not be stored", notStored);
        }
    }

    private void store(UUID id, JobView.State state, String message, Optional<String> report) {
        db.update(JOB)
                .set(JOB.STATE, state.name())
                .set(JOB.MESSAGE, message)
                .set(JOB.REPORT, report.map(JSON::json).orElse(null))
                .where(JOB.ID.eq(id))
                .execute();
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            log.warn("A file of an export that did not finish is left over", e);
        }
    }

    /** The exports of a publication, the newest first. */
    public List<JobView> of(UUID publication) {
        return db.selectFrom(JOB)
                .where(JOB.PUBLICATION.eq(publication))
                .orderBy(JOB.STARTED.desc())
                .limit(20)
                .fetch(this::view);
    }

    /**
     * @throws Missing if there is no such job
     */
    public JobView get(UUID id) {
        return db.fetchOptional(JOB, JOB.ID.eq(id))
                .map(this::view)
                .orElseThrow(() -> new Missing("export"));
    }

    private JobView view(JobRecord read) {
        Optional<RunningJob> job = Optional.ofNullable(running.get(read.getId()));
        JobRecord row = read;
        if (job.isEmpty() && read.getState().equals(JobView.State.RUNNING.name())) {
            // it may have ended since it was read
            row = db.fetchOptional(JOB, JOB.ID.eq(read.getId())).orElse(read);
        }
        JobView.State stored = JobView.State.valueOf(row.getState());
        JobView.Kind kind = JobView.Kind.of(row.getKind());
        Optional<String> report = Optional.ofNullable(row.getReport()).map(JSON::data);
        boolean lost = stored == JobView.State.RUNNING && job.isEmpty();
        boolean many =
                kind == JobView.Kind.COMPARISON
                        ? wanted(row).settings().filter(it -> !it.kind().isPdf()).isPresent()
                        : kind.isMany();
        return new JobView(
                row.getId(),
                row.getPublication(),
                row.getRevision(),
                kind,
                lost ? JobView.State.FAILED : stored,
                row.getFileName(),
                lost ? "It did not finish; export it again." : row.getMessage(),
                job.map(RunningJob::phase).orElse(""),
                job.map(RunningJob::done).orElse(0),
                job.map(RunningJob::all).orElse(0),
                job.flatMap(RunningJob::left),
                report.filter(_ -> !many).map(it -> mapper.readValue(it, ReadBackReport.class)),
                report.filter(_ -> many)
                        .map(it -> List.of(mapper.readValue(it, FileResult[].class)))
                        .orElse(List.of()),
                compared(row),
                row.getStarted());
    }

    /** The finished file, of whatever kind. */
    public Path file(UUID id) {
        return folder.resolve(id + ".pdf");
    }

    /** One that waits for its turn is over at once, one that runs as soon as it sees it. */
    public void cancel(UUID id) {
        RunningJob job = running.get(id);
        if (job != null && job.cancel()) {
            finish(id, JobView.State.CANCELLED, CANCELLED, Optional.empty());
            over(id, job);
        }
    }

    /** Ends all exports of a publication and removes their files. */
    public void endAllOf(UUID publication) {
        running.forEach((id, job) -> {
            if (job.publication().equals(publication)) {
                cancel(id);
            }
        });
        db.select(JOB.ID)
                .from(JOB)
                .where(JOB.PUBLICATION.eq(publication))
                .fetch(JOB.ID)
                .forEach(id -> delete(file(id)));
    }

    /** Removes exports, and what is left over of some, that began before a time. */
    public void removeBefore(OffsetDateTime time) {
        db.select(JOB.ID).from(JOB).where(JOB.STARTED.lt(time)).fetch(JOB.ID).stream()
                .filter(id -> !running.containsKey(id))
                .forEach(id -> {
                    delete(file(id));
                    db.deleteFrom(JOB).where(JOB.ID.eq(id)).execute();
                });
        try (var listed = Files.list(folder)) {
            List<Path> there = listed.toList(); // first: each is younger than the row of its job
            Set<String> known = new HashSet<>();
            db.select(JOB.ID)
                    .from(JOB)
                    .fetch(JOB.ID)
                    .forEach(id -> {
                        known.add(file(id).getFileName().toString());
                        known.add(id + ".part");
                    });
            there.stream()
                    .filter(file -> !known.contains(file.getFileName().toString()))
                    .filter(file -> running.keySet().stream().noneMatch(id -> isOf(file, id)))
                    .forEach(Jobs::delete);
        } catch (NoSuchFileException none) {
            // nothing was exported yet
        } catch (IOException unreadable) {
            log.warn("The folder of exports cannot be read", unreadable);
        }
    }

    private static boolean isOf(Path file, UUID job) {
        return file.getFileName().toString().startsWith(job.toString());
    }

    /** Waits until the job has come further or ended; for those who follow its progress. */
    public JobView awaitChange(UUID id, int seen) throws InterruptedException {
        RunningJob job = running.get(id);
        if (job != null) {
            job.awaitChange(seen);
        }
        return get(id);
    }

    public int changes(UUID id) {
        return Optional.ofNullable(running.get(id)).map(RunningJob::changes).orElse(0);
    }

    @Override
    public void destroy() {
        closing = true;
        turns.close();
        running.values().forEach(RunningJob::cancel);
    }
}
