package yewberry.server.store;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Table;
import org.jooq.TableRecord;
import org.jooq.UpdatableRecord;

/** Rows that are written together, so that thousands take few round trips. */
final class RowBatch {
    private final DSLContext db;
    private final List<Query> clearing = new ArrayList<>();
    private final Map<Table<?>, List<TableRecord<?>>> inserts = new LinkedHashMap<>();
    private final List<UpdatableRecord<?>> updates = new ArrayList<>();
    private final List<Query> others = new ArrayList<>();

    /**
     * @param first the table that is filled before all others
     */
    RowBatch(DSLContext db, Table<?> first) {
        this.db = db;
        inserts.put(first, new ArrayList<>());
    }

    /** Comes before everything else. */
    void clear(Query query) {
        clearing.add(query);
    }

    /** Tables are filled in the order in which they were first named. */
    void insert(TableRecord<?> row) {
        inserts.computeIfAbsent(row.getTable(), table -> new ArrayList<>()).add(row);
    }

    /** Changes the columns that are set of a row that is there. */
    void update(UpdatableRecord<?> row) {
        updates.add(row);
    }

    /** Comes after everything else, in the order given. */
    void last(Query query) {
        others.add(query);
    }

    void write() {
        db.batch(clearing).execute();
        inserts.values().forEach(rows -> db.batchInsert(rows).execute());
        db.batchUpdate(updates).execute();
        db.batch(others).execute();
    }
}
