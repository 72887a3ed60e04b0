package yewberry.server.store;

import static yewberry.server.store.db.Tables.FINDING;

import java.time.ZoneOffset;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.exception.DataAccessException;
import org.springframework.stereotype.Component;
import yewberry.core.findings.KnownFinding;
import yewberry.server.store.db.tables.records.FindingRecord;

/** What was found wrong with publications at some time. */
@Component
public class FindingStore {
    private final DSLContext db;

    FindingStore(DSLContext db) {
        this.db = db;
    }

    public List<KnownFinding> read(UUID publication) {
        return db.selectFrom(FINDING).where(FINDING.PUBLICATION.eq(publication)).fetch().stream()
                .map(row ->
                        new KnownFinding(
                                row.getId(),
                                row.getKind(),
                                row.getPage(),
                                Optional.ofNullable(row.getRun()),
                                row.getText(),
                                row.getMessage(),
                                Optional.ofNullable(row.getMended()).map(at -> at.toInstant())))
                .toList();
    }

    /**
     * Keeps what changed.
     *
     * @param gone the keys of what is of no interest any more
     * @return whether it could, which a full disk prevents
     */
    public boolean keep(UUID publication, Collection<KnownFinding> changed, Collection<UUID> gone) {
        try {
            db.transaction(configuration -> keep(configuration.dsl(), publication, changed, gone));
            return true;
        } catch (DataAccessException full) {
            return false;
        }
    }

    private static void keep(
            DSLContext within,
            UUID publication,
            Collection<KnownFinding> changed,
            Collection<UUID> gone) {

        within.batchDelete(
                        gone.stream()
                                .map(key -> {
                                    FindingRecord row = within.newRecord(FINDING);
                                    row.setPublication(publication);
                                    row.setId(key);
                                    return row;
                                })
                                .toList())
                .execute();
        within.batchMerge(changed.stream().map(each -> row(within, publication, each)).toList())
                .execute();
    }

    private static FindingRecord row(DSLContext db, UUID publication, KnownFinding known) {
        FindingRecord row = db.newRecord(FINDING);
        row.setPublication(publication);
        row.setId(known.key());
        row.setKind(known.kind());
        row.setPage(known.page());
        row.setRun(known.run().orElse(null));
        row.setText(known.text());
        row.setMessage(known.message());
        row.setMended(known.mended().map(at -> at.atOffset(ZoneOffset.UTC)).orElse(null));
        return row;
    }
}
