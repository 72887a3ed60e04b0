package yewberry.server.store;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jooq.BatchBindStep;
import org.jooq.DSLContext;
import org.jooq.Field;
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

    /** The columns of a row that are set, and which of them to nothing. */
    private record Filled(List<Field<?>> columns, List<Boolean> empty) {
        static Filled of(TableRecord<?> row) {
            List<Field<?>> columns = Arrays.stream(row.fields()).filter(row::touched).toList();
            return new Filled(
                    columns, columns.stream().map(column -> row.get(column) == null).toList());
        }

        Object[] values(TableRecord<?> row) {
            return columns.stream().map(row::get).toArray();
        }
    }

    /** Rows that are filled alike go as one statement, which is written out once. */
    private void insert(Table<?> table, List<TableRecord<?>> rows) {
        Map<Filled, List<TableRecord<?>>> alike =
                rows.stream()
                        .collect(
                                Collectors.groupingBy(
                                        Filled::of, LinkedHashMap::new, Collectors.toList()));
        alike.forEach((filled, same) -> {
            // how a value is written depends on its kind, so that the first stands for all
            BatchBindStep batch =
                    db.batch(
                            db.insertInto(table)
                                    .columns(filled.columns())
                                    .values(filled.values(same.getFirst())));
            same.forEach(row -> batch.bind(filled.values(row)));
            batch.execute();
        });
    }

    void write() {
        db.batch(clearing).execute();
        inserts.forEach(this::insert);
        db.batchUpdate(updates).execute();
        db.batch(others).execute();
    }
}
