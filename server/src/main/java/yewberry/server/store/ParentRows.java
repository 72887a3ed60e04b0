package yewberry.server.store;

import static yewberry.server.store.db.Tables.PARENT;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import org.jooq.TableField;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.server.store.db.tables.records.ParentRecord;

/** Parents as rows; what lies on them has rows of its own. */
final class ParentRows extends Rows<Parent, ParentRecord> {
    ParentRows() {
        super(Parent.class, PARENT, PARENT.PUBLICATION, PARENT.ID, PARENT.POSITION);
    }

    @Override
    List<Parent> list(Publication in, Optional<Holder> owner) {
        return in.parents();
    }

    @Override
    int depth(Parent parent, Publication in) {
        return in.chain(parent.base()).size();
    }

    @Override
    List<TableField<ParentRecord, UUID>> builtOn() {
        return List.of(PARENT.BASE);
    }

    @Override
    void fill(ParentRecord row, Parent parent, Optional<Holder> owner) {
        row.setName(parent.name());
        row.setBase(parent.base().orElse(null));
    }

    List<Parent> read(DSLContext db, UUID in, Function<UUID, Layer> layers) {
        return fetch(db, in).stream()
                .map(row ->
                        new Parent(
                                row.getId(),
                                row.getName(),
                                Optional.ofNullable(row.getBase()),
                                layers.apply(row.getId())))
                .toList();
    }
}
