package yewberry.server.store;

import static yewberry.server.store.db.Tables.FRAME;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextFrame;
import yewberry.server.store.db.tables.records.FrameRecord;

/** Text frames as rows. Which story runs through them is told by the links of that. */
final class FrameRows extends Rows<TextFrame, FrameRecord> {
    private final Columns columns;

    FrameRows(Columns columns) {
        super(TextFrame.class, FRAME, FRAME.PUBLICATION, FRAME.ID, FRAME.POSITION);
        this.columns = columns;
    }

    @Override
    List<TextFrame> list(Publication in, Optional<Holder> owner) {
        return in.layer((Owner) owner.orElseThrow()).frames();
    }

    @Override
    void fill(FrameRecord row, TextFrame frame, Optional<Holder> on) {
        Holder owner = on.orElseThrow();
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setSides(frame.sides().name());
        row.setBox(columns.write(frame.box(), Box.class));
        row.setSetting(columns.write(frame.setting(), FrameSetting.class));
    }

    /**
     * All frames of a publication in order, by the page or parent they lie on.
     *
     * @param stories the story of each frame
     */
    Map<UUID, List<TextFrame>> read(DSLContext db, UUID in, Map<UUID, UUID> stories) {
        return fetch(db, in).stream()
                .collect(
                        Collectors.groupingBy(
                                row -> owner(row).id(),
                                Collectors.mapping(
                                        row ->
                                                new TextFrame(
                                                        row.getId(),
                                                        Sides.valueOf(row.getSides()),
                                                        columns.read(row.getBox(), Box.class),
                                                        Optional.ofNullable(row.getSetting())
                                                                .map(setting ->
                                                                        columns.read(
                                                                                setting,
                                                                                FrameSetting.class))
                                                                .orElse(FrameSetting.USUAL),
                                                        stories.get(row.getId())),
                                        Collectors.toList())));
    }

    static Owner owner(FrameRecord row) {
        return row.getPage() == null
                ? new Owner.OnParent(row.getParent())
                : new Owner.OnPage(row.getPage());
    }
}
