package yewberry.server.store;

import static yewberry.server.store.db.Tables.PAGE;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.server.store.db.tables.records.PageRecord;

/** Pages as rows; what lies on them has rows of its own. */
final class PageRows extends Rows<Page, PageRecord> {
    private final Columns columns;

    PageRows(Columns columns) {
        super(Page.class, PAGE, PAGE.PUBLICATION, PAGE.ID, PAGE.POSITION);
        this.columns = columns;
    }

    @Override
    List<Page> list(Publication in, Optional<Holder> owner) {
        return in.pages();
    }

    @Override
    void fill(PageRecord row, Page page, Optional<Holder> owner) {
        row.setParent(page.parent().orElse(null));
        row.setParentShown(page.parentShown());
        row.setPart(page.part().orElse(null));
        row.setTrim(page.size().map(size -> columns.write(size, PageSize.class)).orElse(null));
        row.setImportedAsset(page.imported().map(Imported::asset).orElse(null));
        row.setImportedPage(page.imported().map(Imported::number).orElse(null));
    }

    private static Optional<Imported> imported(PageRecord row) {
        return Optional.ofNullable(row.getImportedAsset())
                .map(asset -> new Imported(asset, row.getImportedPage()));
    }

    List<Page> read(DSLContext db, UUID in, Function<UUID, Layer> layers) {
        return fetch(db, in).stream()
                .map(row ->
                        new Page(
                                row.getId(),
                                Optional.ofNullable(row.getParent()),
                                row.getParentShown(),
                                Optional.ofNullable(row.getPart()),
                                Optional.ofNullable(row.getTrim())
                                        .map(size -> columns.read(size, PageSize.class)),
                                imported(row),
                                layers.apply(row.getId())))
                .toList();
    }
}
