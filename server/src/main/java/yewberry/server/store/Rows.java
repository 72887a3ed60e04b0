package yewberry.server.store;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.TableField;
import org.jooq.UpdatableRecord;
import yewberry.core.publication.Element;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;

/**
 * How the elements of one kind are written as rows. The columns that all kinds have are written
 * here: publication, id and position.
 *
 * @param <T> the kind
 * @param <R> its table's rows
 */
abstract class Rows<T extends Element, R extends UpdatableRecord<R>> {
    /** So many rows are sooner found one by one than among all. */
    private static final int FEW = 20;

    private final Class<T> type;
    private final Table<R> table;
    private final TableField<R, UUID> publication;
    private final TableField<R, UUID> id;
    private final TableField<R, Long> position;

    Rows(
            Class<T> type,
            Table<R> table,
            TableField<R, UUID> publication,
            TableField<R, UUID> id,
            TableField<R, Long> position) {
        this.type = type;
        this.table = table;
        this.publication = publication;
        this.id = id;
        this.position = position;
    }

    Table<R> table() {
        return table;
    }

    Class<T> type() {
        return type;
    }

    /** The list of its like that an element stands in. */
    abstract List<T> list(Publication in, Optional<Holder> owner);

    /** Sets the columns of a row that only this kind has. */
    abstract void fill(R row, T element, Optional<Holder> owner);

    /** Writes what an element has in other tables. */
    void fillParts(RowBatch batch, UUID in, T element, Optional<T> before) {}

    /** Takes away what refers to elements from the other tables of those that go with them. */
    void unlink(DSLContext db, UUID in, Collection<UUID> ids) {}

    /** How many others of its kind an element builds on, one by way of another. */
    int depth(T element, Publication in) {
        return 0;
    }

    /** Columns that refer to others of its kind. */
    List<TableField<R, UUID>> builtOn() {
        return List.of();
    }

    /**
     * Writes an element.
     *
     * @param before as it is stored, if it is
     * @param key its position, where that is another than before
     */
    final void save(
            DSLContext db,
            RowBatch batch,
            UUID in,
            T element,
            Optional<Holder> owner,
            Optional<T> before,
            Optional<Long> key) {
        R row = db.newRecord(table);
        row.set(publication, in);
        row.set(id, element.id());
        key.ifPresent(at -> row.set(position, at));
        fill(row, element, owner);
        if (before.isEmpty()) {
            batch.insert(row);
        } else {
            batch.update(row);
        }
        fillParts(batch, in, element, before);
    }

    /** Removes elements that nothing else refers to any more. */
    final void remove(DSLContext db, UUID in, Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return;
        }
        unlink(db, in, ids);
        if (!builtOn().isEmpty()) {
            // what goes together may build on each other; the order must not matter
            Map<Field<UUID>, UUID> none = new HashMap<>();
            builtOn().forEach(column -> none.put(column, null));
            db.update(table).set(none).where(publication.eq(in).and(id.in(ids))).execute();
        }
        UUID any = new UUID(0, 0);
        var batch = db.batch(db.deleteFrom(table).where(publication.eq(any).and(id.eq(any))));
        ids.forEach(each -> batch.bind(in, each));
        batch.execute();
    }

    /** The positions that some elements are stored at. */
    final Map<UUID, Long> keys(DSLContext db, UUID in, Collection<UUID> ids) {
        if (ids.size() > FEW) {
            return db.select(id, position)
                    .from(table)
                    .where(publication.eq(in).and(id.in(ids)))
                    .fetchMap(id, position);
        }
        // in a list H2 looks for ids row by row
        Map<UUID, Long> keys = new HashMap<>();
        for (UUID each : ids) {
            db.select(position)
                    .from(table)
                    .where(publication.eq(in).and(id.eq(each)))
                    .forEach(row -> keys.put(each, row.value1()));
        }
        return keys;
    }

    /** Stores a list at new positions throughout. */
    final void number(DSLContext db, UUID in, List<T> list) {
        UUID any = new UUID(0, 0);
        var batch =
                db.batch(
                        db.update(table)
                                .set(position, 0L)
                                .where(publication.eq(any).and(id.eq(any))));
        for (int i = 0; i < list.size(); i++) {
            batch.bind((i + 1) * OrderKeys.APART, in, list.get(i).id());
        }
        batch.execute();
    }

    /** All rows of a publication, in order. */
    final List<R> fetch(DSLContext db, UUID in) {
        return new ArrayList<>(
                db.selectFrom(table).where(publication.eq(in)).orderBy(position).fetch());
    }
}
