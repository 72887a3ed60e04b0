package yewberry.server.store;

import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.PARAGRAPH;
import static yewberry.server.store.db.Tables.RUN;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record;
import org.jooq.Table;
import yewberry.core.publication.Box;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/** A text frame with its paragraphs and runs as rows. */
final class FrameRows {
    private final DSLContext db;
    private final Columns columns;
    private final UUID publication;
    private final List<Query> queries = new ArrayList<>();

    FrameRows(DSLContext db, Columns columns, UUID publication) {
        this.db = db;
        this.columns = columns;
        this.publication = publication;
    }

    /**
     * What writes it, in order.
     *
     * @param before the paragraphs it had; those that are the same are not written again
     */
    List<Query> save(Owner owner, TextFrame frame, int position, List<Paragraph> before) {
        var row = db.newRecord(FRAME);
        row.setPublication(publication);
        row.setId(frame.id());
        row.setPosition(position);
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setSides(frame.sides().name());
        row.setBox(columns.write(frame.box(), Box.class));
        upsert(FRAME, row);
        saveText(frame, before);
        return queries;
    }

    private <R extends Record> void upsert(Table<R> table, R row) {
        queries.add(db.insertInto(table).set(row).onDuplicateKeyUpdate().set(row));
    }

    private void saveText(TextFrame frame, List<Paragraph> old) {
        List<Paragraph> now = frame.paragraphs();
        queries.add(
                db.deleteFrom(PARAGRAPH)
                        .where(
                                PARAGRAPH
                                        .PUBLICATION
                                        .eq(publication)
                                        .and(PARAGRAPH.FRAME.eq(frame.id()))
                                        .and(
                                                PARAGRAPH.ID.notIn(
                                                        now.stream()
                                                                .map(Paragraph::id)
                                                                .toList()))));
        for (int i = 0; i < now.size(); i++) {
            Paragraph paragraph = now.get(i);
            if (i < old.size() && old.get(i).equals(paragraph)) {
                continue;
            }
            var row = db.newRecord(PARAGRAPH);
            row.setPublication(publication);
            row.setId(paragraph.id());
            row.setPosition(i);
            row.setFrame(frame.id());
            row.setLook(paragraph.look());
            upsert(PARAGRAPH, row);
            saveRuns(paragraph);
        }
    }

    private void saveRuns(Paragraph paragraph) {
        queries.add(
                db.deleteFrom(RUN)
                        .where(
                                RUN.PUBLICATION
                                        .eq(publication)
                                        .and(RUN.PARAGRAPH.eq(paragraph.id()))
                                        .and(
                                                RUN.ID.notIn(
                                                        paragraph.runs().stream()
                                                                .map(Run::id)
                                                                .toList()))));
        for (int i = 0; i < paragraph.runs().size(); i++) {
            Run run = paragraph.runs().get(i);
            var row = db.newRecord(RUN);
            row.setPublication(publication);
            row.setId(run.id());
            row.setPosition(i);
            row.setParagraph(paragraph.id());
            row.setText(run.text());
            row.setSwatch(run.color().map(Tinted::swatch).orElse(null));
            row.setTint(run.color().map(Tinted::tint).orElse(null));
            upsert(RUN, row);
        }
    }
}
