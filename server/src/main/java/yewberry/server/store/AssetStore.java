package yewberry.server.store;

import static yewberry.server.store.db.Tables.ASSET_FILE;

import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import org.springframework.stereotype.Component;
import yewberry.core.Refused;
import yewberry.core.asset.Files;
import yewberry.core.asset.KnownFile;
import yewberry.core.publication.Asset;

/** The files of pictures and documents, each kept once however many publications place it. */
@Component
public class AssetStore implements Files {
    private final DSLContext db;
    private final Columns columns;

    AssetStore(DSLContext db, Columns columns) {
        this.db = db;
        this.columns = columns;
    }

    /** What a file was found to hold when it came in. */
    public Optional<Asset.Content> content(String sha256) {
        return db.select(ASSET_FILE.CONTENT)
                .from(ASSET_FILE)
                .where(ASSET_FILE.SHA256.eq(sha256))
                .fetchOptional(row -> columns.read(row.value1(), Asset.Content.class));
    }

    /** Keeps a file, if it is not there yet; returns when it is on the disk. */
    public void add(KnownFile file, Asset.Content content) {
        var row = db.newRecord(ASSET_FILE);
        row.setSha256(file.sha256());
        row.setContent(columns.write(content, Asset.Content.class));
        row.setFile(file.bytes().get());
        row.setPassword(file.password());
        if (db.insertInto(ASSET_FILE).set(row).onDuplicateKeyIgnore().execute() == 0) {
            db.update(ASSET_FILE) // it is wanted again, and kept as if it had come now
                    .set(ASSET_FILE.ADDED, DSL.currentOffsetDateTime())
                    .where(ASSET_FILE.SHA256.eq(file.sha256()))
                    .execute();
        }
        db.execute("checkpoint sync");
    }

    @Override
    public String password(String sha256) {
        return db.select(ASSET_FILE.PASSWORD)
                .from(ASSET_FILE)
                .where(ASSET_FILE.SHA256.eq(sha256))
                .fetchOptional(ASSET_FILE.PASSWORD)
                .orElse("");
    }

    @Override
    public byte[] read(String sha256) {
        return db.select(ASSET_FILE.FILE)
                .from(ASSET_FILE)
                .where(ASSET_FILE.SHA256.eq(sha256))
                .fetchOptional(ASSET_FILE.FILE)
                .orElseThrow(() -> new Refused("The file of a picture is gone; import it again."));
    }
}
