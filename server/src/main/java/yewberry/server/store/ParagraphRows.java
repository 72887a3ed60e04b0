package yewberry.server.store;

import static yewberry.server.store.db.Tables.PARAGRAPH;
import static yewberry.server.store.db.Tables.RUN;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Language;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.ParagraphRecord;
import yewberry.server.store.db.tables.records.RunRecord;

/** Paragraphs with their runs as rows. */
final class ParagraphRows extends Rows<Paragraph, ParagraphRecord> {
    private final Columns columns;

    ParagraphRows(Columns columns) {
        super(Paragraph.class, PARAGRAPH, PARAGRAPH.PUBLICATION, PARAGRAPH.ID, PARAGRAPH.POSITION);
        this.columns = columns;
    }

    @Override
    List<Paragraph> list(Publication in, Optional<Holder> story) {
        return in.story(story.orElseThrow().id()).paragraphs();
    }

    @Override
    void fill(ParagraphRecord row, Paragraph paragraph, Optional<Holder> story) {
        row.setStory(story.orElseThrow().id());
        row.setLook(paragraph.look());
        row.setNumber(paragraph.number().orElse(null));
        row.setPanel(
                paragraph.panel().map(panel -> columns.write(panel, Panel.class)).orElse(null));
        row.setLocal(
                paragraph
                        .local()
                        .map(local -> columns.write(local, LocalSetting.class))
                        .orElse(null));
    }

    @Override
    void fillParts(RowBatch batch, UUID in, Paragraph paragraph, Optional<Paragraph> before) {
        if (before.isPresent()) {
            batch.clear(
                    DSL.deleteFrom(RUN)
                            .where(RUN.PUBLICATION.eq(in).and(RUN.PARAGRAPH.eq(paragraph.id()))));
        }
        for (int i = 0; i < paragraph.runs().size(); i++) {
            batch.insert(row(in, paragraph.id(), i, paragraph.runs().get(i)));
        }
    }

    private RunRecord row(UUID in, UUID paragraph, int position, Run run) {
        RunRecord row = new RunRecord();
        row.setPublication(in);
        row.setId(run.id());
        row.setPosition(position);
        row.setParagraph(paragraph);
        row.setText(run.text());
        row.setSwatch(run.color().map(Tinted::swatch).orElse(null));
        row.setLook(run.look().orElse(null));
        row.setLanguage(run.language().map(Language::name).orElse(null));
        row.setLink(run.link().map(link -> columns.write(link, LinkTo.class)).orElse(null));
        row.setTint(run.color().map(Tinted::tint).orElse(null));
        row.setLocal(run.local().map(local -> columns.write(local, LocalType.class)).orElse(null));
        return row;
    }

    /** All paragraphs of a publication in order, by story. */
    Map<UUID, List<Paragraph>> read(DSLContext db, UUID in) {
        Map<UUID, List<Run>> runs =
                db.selectFrom(RUN)
                        .where(RUN.PUBLICATION.eq(in))
                        .orderBy(RUN.POSITION)
                        .collect(
                                Collectors.groupingBy(
                                        RunRecord::getParagraph,
                                        Collectors.mapping(this::run, Collectors.toList())));
        return fetch(db, in).stream()
                .collect(
                        Collectors.groupingBy(
                                ParagraphRecord::getStory,
                                Collectors.mapping(
                                        row ->
                                                new Paragraph(
                                                        row.getId(),
                                                        row.getLook(),
                                                        runs.getOrDefault(row.getId(), List.of()),
                                                        Optional.ofNullable(row.getNumber()),
                                                        Optional.ofNullable(row.getPanel())
                                                                .map(panel ->
                                                                        columns.read(
                                                                                panel,
                                                                                Panel.class)),
                                                        Optional.ofNullable(row.getLocal())
                                                                .map(local ->
                                                                        columns.read(
                                                                                local,
                                                                                LocalSetting
                                                                                        .class))),
                                        Collectors.toList())));
    }

    private Run run(RunRecord row) {
        return new Run(
                row.getId(),
                row.getText(),
                Optional.ofNullable(row.getSwatch())
                        .map(swatch -> new Tinted(swatch, row.getTint())),
                Optional.ofNullable(row.getLook()),
                Optional.ofNullable(row.getLanguage()).map(Language::valueOf),
                Optional.ofNullable(row.getLink()).map(link -> columns.read(link, LinkTo.class)),
                Optional.ofNullable(row.getLocal())
                        .map(local -> columns.read(local, LocalType.class)));
    }
}
