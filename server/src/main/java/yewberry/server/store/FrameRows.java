package yewberry.server.store;

import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.PARAGRAPH;
import static yewberry.server.store.db.Tables.RUN;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.TableRecord;
import org.jooq.impl.DSL;
import yewberry.core.publication.Box;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.FrameRecord;
import yewberry.server.store.db.tables.records.ParagraphRecord;
import yewberry.server.store.db.tables.records.RunRecord;

/** Text frames with their paragraphs and runs as rows. */
final class FrameRows extends Rows<TextFrame, FrameRecord> {
    private final Columns columns;

    FrameRows(Columns columns) {
        super(TextFrame.class, FRAME, FRAME.PUBLICATION, FRAME.ID, FRAME.POSITION);
        this.columns = columns;
    }

    @Override
    List<TextFrame> list(Publication in, Optional<Owner> owner) {
        return in.layer(owner.orElseThrow()).frames();
    }

    @Override
    void fill(FrameRecord row, TextFrame frame, Optional<Owner> on) {
        Owner owner = on.orElseThrow();
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setSides(frame.sides().name());
        row.setBox(columns.write(frame.box(), Box.class));
    }

    /** Paragraphs that are as they were are not written again. */
    @Override
    void fillParts(RowBatch batch, UUID in, TextFrame frame, Optional<TextFrame> before) {
        List<Paragraph> old = before.map(TextFrame::paragraphs).orElse(List.of());
        if (!old.isEmpty()) {
            batch.last(
                    DSL.deleteFrom(PARAGRAPH)
                            .where(
                                    PARAGRAPH
                                            .PUBLICATION
                                            .eq(in)
                                            .and(PARAGRAPH.FRAME.eq(frame.id()))
                                            .and(
                                                    PARAGRAPH.ID.notIn(
                                                            frame.paragraphs().stream()
                                                                    .map(Paragraph::id)
                                                                    .toList()))));
        }
        for (int i = 0; i < frame.paragraphs().size(); i++) {
            Paragraph paragraph = frame.paragraphs().get(i);
            if (i < old.size() && old.get(i).equals(paragraph)) {
                continue;
            }
            put(batch, old.isEmpty(), row(in, frame.id(), i, paragraph));
            putRuns(batch, in, paragraph, old.isEmpty());
        }
    }

    private static void putRuns(RowBatch batch, UUID in, Paragraph paragraph, boolean fresh) {
        if (!fresh) {
            batch.last(
                    DSL.deleteFrom(RUN)
                            .where(
                                    RUN.PUBLICATION
                                            .eq(in)
                                            .and(RUN.PARAGRAPH.eq(paragraph.id()))
                                            .and(
                                                    RUN.ID.notIn(
                                                            paragraph.runs().stream()
                                                                    .map(Run::id)
                                                                    .toList()))));
        }
        for (int i = 0; i < paragraph.runs().size(); i++) {
            put(batch, fresh, row(in, paragraph.id(), i, paragraph.runs().get(i)));
        }
    }

    /**
     * @param fresh whether it is not there yet
     */
    private static <R extends TableRecord<R>> void put(RowBatch batch, boolean fresh, R row) {
        if (fresh) {
            batch.insert(row);
        } else {
            batch.last(DSL.insertInto(row.getTable()).set(row).onDuplicateKeyUpdate().set(row));
        }
    }

    private static ParagraphRecord row(UUID in, UUID frame, int position, Paragraph paragraph) {
        ParagraphRecord row = new ParagraphRecord();
        row.setPublication(in);
        row.setId(paragraph.id());
        row.setPosition(position);
        row.setFrame(frame);
        row.setLook(paragraph.look());
        return row;
    }

    private static RunRecord row(UUID in, UUID paragraph, int position, Run run) {
        RunRecord row = new RunRecord();
        row.setPublication(in);
        row.setId(run.id());
        row.setPosition(position);
        row.setParagraph(paragraph);
        row.setText(run.text());
        row.setSwatch(run.color().map(Tinted::swatch).orElse(null));
        row.setTint(run.color().map(Tinted::tint).orElse(null));
        return row;
    }

    /** All frames of a publication in order, by the page or parent they lie on. */
    Map<UUID, List<TextFrame>> read(DSLContext db, UUID in) {
        Map<UUID, List<Paragraph>> text = paragraphs(db, in);
        return fetch(db, in).stream()
                .collect(
                        Collectors.groupingBy(
                                row -> row.getPage() == null ? row.getParent() : row.getPage(),
                                Collectors.mapping(
                                        row ->
                                                new TextFrame(
                                                        row.getId(),
                                                        Sides.valueOf(row.getSides()),
                                                        columns.read(row.getBox(), Box.class),
                                                        text.getOrDefault(row.getId(), List.of())),
                                        Collectors.toList())));
    }

    /** By frame. */
    private static Map<UUID, List<Paragraph>> paragraphs(DSLContext db, UUID in) {
        Map<UUID, List<Run>> runs =
                db.selectFrom(RUN)
                        .where(RUN.PUBLICATION.eq(in))
                        .orderBy(RUN.POSITION)
                        .collect(
                                Collectors.groupingBy(
                                        RunRecord::getParagraph,
                                        Collectors.mapping(FrameRows::run, Collectors.toList())));
        return db.selectFrom(PARAGRAPH)
                .where(PARAGRAPH.PUBLICATION.eq(in))
                .orderBy(PARAGRAPH.POSITION)
                .collect(
                        Collectors.groupingBy(
                                ParagraphRecord::getFrame,
                                Collectors.mapping(
                                        row ->
                                                new Paragraph(
                                                        row.getId(),
                                                        row.getLook(),
                                                        runs.getOrDefault(row.getId(), List.of())),
                                        Collectors.toList())));
    }

    private static Run run(RunRecord row) {
        return new Run(
                row.getId(),
                row.getText(),
                Optional.ofNullable(row.getSwatch())
                        .map(swatch -> new Tinted(swatch, row.getTint())));
    }
}
