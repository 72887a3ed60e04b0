package yewberry.server.store;

import static yewberry.server.store.db.Tables.ASSET;
import static yewberry.server.store.db.Tables.ASSET_FILE;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.server.store.db.tables.records.AssetRecord;

/** What is placed, as rows; what a file holds is stored with the file. */
final class AssetRows extends Rows<Asset, AssetRecord> {
    private final Columns columns;

    AssetRows(Columns columns) {
        super(Asset.class, ASSET, ASSET.PUBLICATION, ASSET.ID, ASSET.POSITION);
        this.columns = columns;
    }

    @Override
    List<Asset> list(Publication in, Optional<Holder> owner) {
        return in.assets();
    }

    @Override
    void fill(AssetRecord row, Asset asset, Optional<Holder> owner) {
        row.setName(asset.name());
        row.setSha256(asset.sha256());
        row.setRecolored(
                asset.recolored().isEmpty()
                        ? null
                        : columns.write(
                                asset.recolored().toArray(Recolor[]::new), Recolor[].class));
        row.setBackings(
                asset.backings().isEmpty()
                        ? null
                        : columns.write(asset.backings().toArray(Backing[]::new), Backing[].class));
    }

    List<Asset> read(DSLContext db, UUID in) {
        return db.select(
                        ASSET.ID,
                        ASSET.NAME,
                        ASSET.SHA256,
                        ASSET_FILE.CONTENT,
                        ASSET.RECOLORED,
                        ASSET.BACKINGS)
                .from(ASSET)
                .join(ASSET_FILE)
                .on(ASSET_FILE.SHA256.eq(ASSET.SHA256))
                .where(ASSET.PUBLICATION.eq(in))
                .orderBy(ASSET.POSITION)
                .fetch(row ->
                        new Asset(
                                row.value1(),
                                row.value2(),
                                row.value3(),
                                columns.read(row.value4(), Asset.Content.class),
                                Optional.ofNullable(row.value5())
                                        .map(json -> columns.read(json, Recolor[].class))
                                        .map(List::of)
                                        .orElse(List.of()),
                                Optional.ofNullable(row.value6())
                                        .map(json -> columns.read(json, Backing[].class))
                                        .map(List::of)
                                        .orElse(List.of())));
    }
}
