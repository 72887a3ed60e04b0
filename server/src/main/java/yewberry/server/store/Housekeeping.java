package yewberry.server.store;

import static yewberry.server.store.db.Tables.ASSET;
import static yewberry.server.store.db.Tables.ASSET_FILE;
import static yewberry.server.store.db.Tables.PUBLICATION;
import static yewberry.server.store.db.Tables.REVISION;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import yewberry.server.Settings;
import yewberry.server.jobs.Jobs;

/**
 * Backs the database up when it has changed, removes what is kept for a time only, and keeps the
 * files of the data folder to their owner.
 */
@Component
@Lazy(false)
public class Housekeeping implements DisposableBean {
    private static final Logger log = LoggerFactory.getLogger(Housekeeping.class);

    /** Exports are kept so long. */
    public static final Duration EXPORTS = Duration.ofDays(14);

    /** Files that nothing refers to any more, no step to undo and no backup, are kept so long. */
    public static final Duration FILES = Duration.ofDays(30);

    /**
     * So soon after the start the first backup is made; whoever opens the application comes first.
     */
    private static final Duration FIRST = Duration.ofMinutes(1);

    private final DSLContext db;
    private final DataSource source;
    private final Jobs jobs;
    private final Clock clock;
    private final Path data;
    private final Duration every;
    private final ScheduledExecutorService worker =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().daemon().name("housekeeping").factory());
    private List<?> backedUp = List.of();

    Housekeeping(DSLContext db, DataSource source, Jobs jobs, Clock clock, Settings settings) {
        this.db = db;
        this.source = source;
        this.jobs = jobs;
        this.clock = clock;
        this.data = settings.data();
        this.every = settings.backupEvery();
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() throws IOException {
        ownerOnly();
        long first = Math.min(FIRST.toSeconds(), every.toSeconds());
        worker.scheduleWithFixedDelay(this::keep, first, every.toSeconds(), TimeUnit.SECONDS);
    }

    private void keep() {
        try {
            ownerOnly();
            backUp();
            tidy();
        } catch (Exception failure) {
            log.warn("Housekeeping did not get through; it is tried again", failure);
        }
    }

    /** A backup, if anything changed since the last one. */
    public synchronized void backUp() throws Exception {
        List<?> now =
                db.select(PUBLICATION.ID, PUBLICATION.REVISION, PUBLICATION.CHANGED)
                        .from(PUBLICATION)
                        .orderBy(PUBLICATION.ID)
                        .fetch()
                        .intoMaps();
        if (now.isEmpty() || now.equals(backedUp)) {
            return;
        }
        try (Connection connection = source.getConnection()) {
            Backup.write(connection, data, clock.instant());
        }
        backedUp = now;
        Backup.tidy(data, LocalDate.now(clock.withZone(ZoneOffset.UTC)));
    }

    /** Removes what has been kept long enough. */
    void tidy() throws IOException {
        OffsetDateTime now = OffsetDateTime.now(clock);
        jobs.removeBefore(now.minus(EXPORTS));
        Set<String> inBackups = Backup.files(data);
        db
                .select(ASSET_FILE.SHA256)
                .from(ASSET_FILE)
                .where(ASSET_FILE.ADDED.lt(now.minus(FILES)))
                .andNotExists(DSL.selectOne().from(ASSET).where(ASSET.SHA256.eq(ASSET_FILE.SHA256)))
                .fetch(ASSET_FILE.SHA256)
                .stream()
                .filter(sha256 -> !inBackups.contains(sha256) && !isInHistory(sha256))
                .forEach(sha256 ->
                        db.deleteFrom(ASSET_FILE).where(ASSET_FILE.SHA256.eq(sha256)).execute());
    }

    private boolean isInHistory(String sha256) {
        return db.fetchExists(REVISION, DSL.cast(REVISION.PATCH, String.class).contains(sha256));
    }

    private void ownerOnly() throws IOException {
        for (String folder : List.of("exports", "backups", "made")) {
            if (Files.isDirectory(data.resolve(folder))) {
                Files.setPosixFilePermissions(
                        data.resolve(folder), PosixFilePermissions.fromString("rwx------"));
            }
        }
        try (Stream<Path> files = Files.list(data)) {
            for (Path file : files.filter(each -> each.toString().endsWith(".db")).toList()) {
                Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
            }
        } catch (UnsupportedOperationException other) {
            // a file system without owners
        }
    }

    @Override
    public void destroy() {
        worker.shutdownNow();
    }
}
