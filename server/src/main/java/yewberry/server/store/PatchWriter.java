package yewberry.server.store;

import static yewberry.server.store.db.Tables.PUBLICATION;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.UpdatableRecord;
import yewberry.core.edit.Change;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Element;
import yewberry.core.publication.Heading;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;

/** Writes what a patch changed, kind by kind, within the transaction of its context. */
final class PatchWriter {
    private final DSLContext db;
    private final AllRows rows;
    private final Publication after;

    PatchWriter(DSLContext db, AllRows rows, Publication after) {
        this.db = db;
        this.rows = rows;
        this.after = after;
    }

    void write(Patch patch) {
        patch.changes().stream()
                .map(Change::element)
                .filter(Heading.class::isInstance)
                .map(Heading.class::cast)
                .forEach(this::write);
        Map<Class<?>, List<Change>> byKind = new HashMap<>();
        for (Rows<?, ?> kind : rows.inOrder()) {
            List<Change> own =
                    patch.changes().stream()
                            .filter(change -> kind.type().isInstance(change.element()))
                            .toList();
            byKind.put(kind.type(), own);
            save(kind, own);
        }
        for (Rows<?, ?> kind : rows.inOrder().reversed()) {
            kind.remove(
                    db,
                    after.id(),
                    byKind.get(kind.type()).stream()
                            .filter(change -> change.after().isEmpty())
                            .map(Change::id)
                            .toList());
        }
    }

    private void write(Heading heading) {
        var row = db.newRecord(PUBLICATION);
        row.setName(heading.name());
        row.setSetup(rows.columns().write(heading.setup(), Setup.class));
        db.update(PUBLICATION).set(row).where(PUBLICATION.ID.eq(heading.id())).execute();
    }

    private <T extends Element, R extends UpdatableRecord<R>> void save(
            Rows<T, R> kind, List<Change> changes) {
        List<Change> saved = changes.stream().filter(change -> change.after().isPresent()).toList();
        if (saved.isEmpty()) {
            return;
        }
        Map<UUID, Long> keys = new HashMap<>();
        List<List<T>> crowded = new ArrayList<>();
        saved.stream()
                .filter(Change::placed)
                .collect(Collectors.groupingBy(Change::owner))
                .forEach((owner, placed) -> keys.putAll(keys(kind, owner, placed, crowded)));
        RowBatch batch = new RowBatch(db, kind.table());
        saved.stream()
                .sorted(
                        Comparator.comparingInt(
                                change -> kind.depth(kind.type().cast(change.element()), after)))
                .forEach(change ->
                        kind.save(
                                db,
                                batch,
                                after.id(),
                                kind.type().cast(change.element()),
                                change.owner(),
                                change.before().map(placed -> kind.type().cast(placed.element())),
                                Optional.ofNullable(keys.get(change.id()))));
        batch.write();
        crowded.forEach(list -> kind.number(db, after.id(), list));
    }

    /**
     * The positions of what comes into a list.
     *
     * @param crowded gets the list if there is no room in it
     */
    private <T extends Element> Map<UUID, Long> keys(
            Rows<T, ?> kind, Optional<Holder> owner, List<Change> placed, List<List<T>> crowded) {
        List<T> list = kind.list(after, owner);
        Set<Integer> coming =
                placed.stream()
                        .map(change -> change.after().orElseThrow().index())
                        .collect(Collectors.toCollection(TreeSet::new));
        return new OrderKeys(list, coming)
                .between(neighbours -> kind.keys(db, after.id(), neighbours))
                .orElseGet(() -> {
                    crowded.add(list);
                    return coming.stream()
                            .collect(Collectors.toMap(at -> list.get(at).id(), at -> 0L));
                });
    }
}
