package yewberry.server.store;

import static org.jooq.impl.DSL.count;
import static org.jooq.impl.DSL.select;
import static yewberry.server.store.db.Tables.BACKGROUND;
import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.LOOK;
import static yewberry.server.store.db.Tables.PAGE;
import static yewberry.server.store.db.Tables.PARENT;
import static yewberry.server.store.db.Tables.PUBLICATION;
import static yewberry.server.store.db.Tables.REVISION;
import static yewberry.server.store.db.Tables.REVISION_TOUCH;
import static yewberry.server.store.db.Tables.STORY;
import static yewberry.server.store.db.Tables.SWATCH;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jooq.BatchBindStep;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;

/**
 * Publications in the database. A step is one transaction, and every method that changes something
 * returns only when the change is on the disk.
 */
@Component
public class PublicationStore {
    private final DSLContext db;
    private final Columns columns;
    private final AllRows rows;
    private final Clock clock;

    PublicationStore(DSLContext db, Columns columns, AllRows rows, Clock clock) {
        this.db = db;
        this.columns = columns;
        this.rows = rows;
        this.clock = clock;
    }

    /** A publication as the shelf shows it. */
    public record Listed(UUID id, String name, Setup setup, int pages, OffsetDateTime changed) {}

    /** A publication and its newest revision. */
    public record StoredPublication(Publication publication, long revision) {}

    /** The newest first. */
    public List<Listed> list() {
        var pages = select(count()).from(PAGE).where(PAGE.PUBLICATION.eq(PUBLICATION.ID)).asField();
        return db.select(
                        PUBLICATION.ID,
                        PUBLICATION.NAME,
                        PUBLICATION.SETUP,
                        pages,
                        PUBLICATION.CHANGED)
                .from(PUBLICATION)
                .orderBy(PUBLICATION.CHANGED.desc())
                .fetch(row ->
                        new Listed(
                                row.get(PUBLICATION.ID),
                                row.get(PUBLICATION.NAME),
                                columns.read(row.get(PUBLICATION.SETUP), Setup.class),
                                row.get(pages, Integer.class),
                                row.get(PUBLICATION.CHANGED)));
    }

    public Optional<StoredPublication> read(UUID id) {
        return db.fetchOptional(PUBLICATION, PUBLICATION.ID.eq(id))
                .map(row -> new StoredPublication(rows.read(db, row), row.getRevision()));
    }

    /** Stores a new publication as its revision 0. */
    public void create(Publication publication) {
        Publication empty =
                new Publication(
                        publication.id(),
                        publication.name(),
                        publication.setup(),
                        List.of(),
                        List.of(),
                        List.of(),
                        List.of());
        db.transaction(transaction -> {
            DSLContext within = transaction.dsl();
            var row = within.newRecord(PUBLICATION);
            row.setId(publication.id());
            row.setName(publication.name());
            row.setSetup(columns.write(publication.setup(), Setup.class));
            row.setRevision(0L);
            row.setChanged(now());
            row.insert();
            new PatchWriter(within, rows, publication).write(Patch.between(empty, publication));
        });
        toDisk();
    }

    /** What refers goes before what is referred to. */
    public void delete(UUID publication) {
        db.transaction(transaction -> {
            DSLContext within = transaction.dsl();
            within.deleteFrom(STORY).where(STORY.PUBLICATION.eq(publication)).execute();
            within.deleteFrom(FRAME).where(FRAME.PUBLICATION.eq(publication)).execute();
            within.deleteFrom(BACKGROUND).where(BACKGROUND.PUBLICATION.eq(publication)).execute();
            within.deleteFrom(PAGE).where(PAGE.PUBLICATION.eq(publication)).execute();
            within.deleteFrom(LOOK).where(LOOK.PUBLICATION.eq(publication)).execute();
            within.update(SWATCH)
                    .setNull(SWATCH.BASE)
                    .setNull(SWATCH.OTHER)
                    .where(SWATCH.PUBLICATION.eq(publication))
                    .execute();
            within.update(PARENT)
                    .setNull(PARENT.BASE)
                    .where(PARENT.PUBLICATION.eq(publication))
                    .execute();
            within.deleteFrom(PUBLICATION).where(PUBLICATION.ID.eq(publication)).execute();
        });
        toDisk();
    }

    /** Stores a step as the next revision and returns its number. */
    public long append(Publication after, Patch patch, long revision, Step step) {
        long next = revision + 1;
        db.transaction(transaction -> {
            DSLContext within = transaction.dsl();
            new PatchWriter(within, rows, after).write(patch);
            within.update(PUBLICATION)
                    .set(PUBLICATION.REVISION, next)
                    .set(PUBLICATION.CHANGED, now())
                    .where(PUBLICATION.ID.eq(after.id()))
                    .execute();
            var row = within.newRecord(REVISION);
            row.setPublication(after.id());
            row.setNumber(next);
            row.setAuthor(step.author());
            row.setKind(step.kind().name());
            row.setReverses(step.reverses().orElse(null));
            row.setPatch(columns.write(patch, Patch.class));
            row.setMade(now());
            History.of(within, after.id(), step.author()).note(row, step.kind());
            row.insert();
            touch(within, after.id(), next, patch.touched());
        });
        toDisk();
        return next;
    }

    private static void touch(DSLContext db, UUID publication, long number, Set<UUID> elements) {
        if (elements.isEmpty()) {
            return;
        }
        BatchBindStep batch =
                db.batch(db.insertInto(REVISION_TOUCH).values(publication, number, publication));
        elements.forEach(element -> batch.bind(publication, number, element));
        batch.execute();
    }

    /** What an author can undo and redo. */
    public History history(UUID publication, String author) {
        return History.of(db, publication, author);
    }

    public Patch patch(UUID publication, long number) {
        return columns.read(
                db.select(REVISION.PATCH)
                        .from(REVISION)
                        .where(REVISION.PUBLICATION.eq(publication).and(REVISION.NUMBER.eq(number)))
                        .fetchSingle()
                        .value1(),
                Patch.class);
    }

    /** Which of these elements were changed after a revision. */
    public Set<UUID> touchedSince(UUID publication, long revision, Set<UUID> elements) {
        return db.selectDistinct(REVISION_TOUCH.ELEMENT)
                .from(REVISION_TOUCH)
                .where(
                        REVISION_TOUCH
                                .PUBLICATION
                                .eq(publication)
                                .and(REVISION_TOUCH.NUMBER.gt(revision))
                                .and(REVISION_TOUCH.ELEMENT.in(elements)))
                .fetchSet(REVISION_TOUCH.ELEMENT);
    }

    /** The same, without what this author changed. */
    public Set<UUID> touchedByOthersSince(
            UUID publication, long revision, Set<UUID> elements, String author) {
        return db.selectDistinct(REVISION_TOUCH.ELEMENT)
                .from(REVISION_TOUCH)
                .join(REVISION)
                .on(
                        REVISION.PUBLICATION
                                .eq(REVISION_TOUCH.PUBLICATION)
                                .and(REVISION.NUMBER.eq(REVISION_TOUCH.NUMBER)))
                .where(
                        REVISION_TOUCH
                                .PUBLICATION
                                .eq(publication)
                                .and(REVISION_TOUCH.NUMBER.gt(revision))
                                .and(REVISION_TOUCH.ELEMENT.in(elements))
                                .and(REVISION.AUTHOR.ne(author)))
                .fetchSet(REVISION_TOUCH.ELEMENT);
    }

    /**
     * H2 hands a commit to the disk some time later, whatever WRITE_DELAY says; this statement
     * returns when it is there.
     */
    private void toDisk() {
        db.execute("checkpoint sync");
    }

    private OffsetDateTime now() {
        return OffsetDateTime.now(clock).withOffsetSameInstant(ZoneOffset.UTC);
    }
}
