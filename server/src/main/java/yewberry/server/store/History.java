package yewberry.server.store;

import static yewberry.server.store.db.Tables.REVISION;

import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.ResultQuery;
import yewberry.server.store.db.tables.records.RevisionRecord;

/**
 * What one author can undo and redo. The steps that can be undone are a pile, and so are those that
 * can be redone; the newest step says what lies on top of both, and each step that lay itself on
 * one of them says what is beneath it. So it takes two rows, however long the history is.
 *
 * @param undoable the step on top of those that can be undone
 * @param redoable the step on top of those that can be redone
 */
public record History(Optional<Entry> undoable, Optional<Entry> redoable) {
    private static final History NONE = new History(Optional.empty(), Optional.empty());

    /**
     * @param edit the revision whose patch counts
     * @param since the revision at which it was last made, undone or redone
     * @param beneath what comes up when it is taken off its pile
     */
    public record Entry(long edit, long since, Optional<Long> beneath) {}

    static History of(DSLContext db, UUID publication, String author) {
        return newest(db, publication, author)
                .fetchOptional()
                .map(last ->
                        new History(
                                entry(db, publication, last.getUndoable()),
                                entry(db, publication, last.getRedoable())))
                .orElse(NONE);
    }

    /** All columns of the index say the order, so that its last entry is all that is read. */
    static ResultQuery<RevisionRecord> newest(DSLContext db, UUID publication, String author) {
        return db.selectFrom(REVISION)
                .where(REVISION.PUBLICATION.eq(publication).and(REVISION.AUTHOR.eq(author)))
                .orderBy(
                        REVISION.PUBLICATION.desc(), REVISION.AUTHOR.desc(), REVISION.NUMBER.desc())
                .limit(1);
    }

    private static Optional<Entry> entry(DSLContext db, UUID publication, Long number) {
        if (number == null) {
            return Optional.empty();
        }
        var row =
                db.select(REVISION.REVERSES, REVISION.BENEATH)
                        .from(REVISION)
                        .where(REVISION.PUBLICATION.eq(publication).and(REVISION.NUMBER.eq(number)))
                        .fetchSingle();
        long edit = row.value1() == null ? number : row.value1();
        return Optional.of(new Entry(edit, number, Optional.ofNullable(row.value2())));
    }

    /**
     * Notes in the row of a step what can be undone and redone after it.
     *
     * @param kind of the step
     */
    void note(RevisionRecord row, Step.Kind kind) {
        Long number = row.getNumber();
        switch (kind) {
            case EDIT -> {
                row.setBeneath(top(undoable));
                row.setUndoable(number);
            }
            case UNDO -> {
                row.setBeneath(top(redoable));
                row.setUndoable(undoable.flatMap(Entry::beneath).orElse(null));
                row.setRedoable(number);
            }
            case REDO -> {
                row.setBeneath(top(undoable));
                row.setUndoable(number);
                row.setRedoable(redoable.flatMap(Entry::beneath).orElse(null));
            }
        }
    }

    private static Long top(Optional<Entry> pile) {
        return pile.map(Entry::since).orElse(null);
    }
}
