package yewberry.server.store;

import static yewberry.server.store.db.Tables.EXEMPTION;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.server.store.db.tables.records.ExemptionRecord;

/** Exceptions as rows. Their text may be gone, so that no row of it is referred to. */
final class ExemptionRows extends Rows<Exemption, ExemptionRecord> {
    ExemptionRows() {
        super(Exemption.class, EXEMPTION, EXEMPTION.PUBLICATION, EXEMPTION.ID, EXEMPTION.POSITION);
    }

    @Override
    List<Exemption> list(Publication in, Optional<Holder> owner) {
        return in.exemptions();
    }

    @Override
    void fill(ExemptionRecord row, Exemption exemption, Optional<Holder> owner) {
        row.setRun(exemption.run());
        row.setImportedAsset(exemption.page().map(Imported::asset).orElse(null));
        row.setImportedPage(exemption.page().map(Imported::number).orElse(null));
        row.setWhy(exemption.why().name());
        row.setReason(exemption.reason());
        row.setText(exemption.text());
        row.setRatio(exemption.ratio());
    }

    List<Exemption> read(DSLContext db, UUID in) {
        return fetch(db, in).stream()
                .map(row ->
                        new Exemption(
                                row.getId(),
                                row.getRun(),
                                Optional.ofNullable(row.getImportedAsset())
                                        .map(asset -> new Imported(asset, row.getImportedPage())),
                                Exemption.Why.valueOf(row.getWhy()),
                                row.getReason(),
                                row.getText(),
                                row.getRatio()))
                .toList();
    }
}
