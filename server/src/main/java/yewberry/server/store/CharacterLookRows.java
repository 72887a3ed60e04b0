package yewberry.server.store;

import static yewberry.server.store.db.Tables.CHARACTER_LOOK;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;
import yewberry.server.store.db.tables.records.CharacterLookRecord;

/** Looks of characters as rows. */
final class CharacterLookRows extends Rows<CharacterLook, CharacterLookRecord> {
    private final Columns columns;

    CharacterLookRows(Columns columns) {
        super(
                CharacterLook.class,
                CHARACTER_LOOK,
                CHARACTER_LOOK.PUBLICATION,
                CHARACTER_LOOK.ID,
                CHARACTER_LOOK.POSITION);
        this.columns = columns;
    }

    @Override
    List<CharacterLook> list(Publication in, Optional<Holder> owner) {
        return in.characterLooks();
    }

    @Override
    void fill(CharacterLookRecord row, CharacterLook look, Optional<Holder> owner) {
        row.setLook(columns.write(look, CharacterLook.class));
    }

    List<CharacterLook> read(DSLContext db, UUID in) {
        return fetch(db, in).stream()
                .map(row -> columns.read(row.getLook(), CharacterLook.class))
                .toList();
    }
}
