package yewberry.server.store;

import static yewberry.server.store.db.Tables.CHARACTER_LOOK;
import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.LOOK;
import static yewberry.server.store.db.Tables.RUN;
import static yewberry.server.store.db.Tables.TYPEFACE;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.JSON;
import org.springframework.stereotype.Component;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.LocalType;
import yewberry.core.text.FontFile;

/** Fonts that users brought along. */
@Component
public class TypefaceStore {
    private final DSLContext db;
    private final Columns columns;

    TypefaceStore(DSLContext db, Columns columns) {
        this.db = db;
        this.columns = columns;
    }

    /** What each of them holds. */
    public Map<UUID, FontFile> all() {
        Map<UUID, FontFile> all = new LinkedHashMap<>();
        db.select(TYPEFACE.ID, TYPEFACE.FONT)
                .from(TYPEFACE)
                .orderBy(TYPEFACE.FILE_NAME)
                .forEach(row -> all.put(row.value1(), columns.read(row.value2(), FontFile.class)));
        return all;
    }

    /** The file as it came. */
    public byte[] program(UUID id) {
        return db.select(TYPEFACE.PROGRAM)
                .from(TYPEFACE)
                .where(TYPEFACE.ID.eq(id))
                .fetchSingle(TYPEFACE.PROGRAM);
    }

    public void add(UUID id, String fileName, FontFile font, byte[] program) {
        var row = db.newRecord(TYPEFACE);
        row.setId(id);
        row.setFileName(fileName);
        row.setFont(columns.write(font, FontFile.class));
        row.setProgram(program);
        row.insert();
    }

    public void remove(UUID id) {
        db.deleteFrom(TYPEFACE).where(TYPEFACE.ID.eq(id)).execute();
    }

    /** Whether a look, words or a watermark of any publication are of a family. */
    public boolean isUsed(String family) {
        return db.fetchExists(LOOK, LOOK.FAMILY.eq(family))
                || db.select(CHARACTER_LOOK.LOOK).from(CHARACTER_LOOK).fetch().stream()
                        .map(row -> columns.read(row.value1(), CharacterLook.class))
                        .anyMatch(look -> look.family().filter(family::equals).isPresent())
                || db
                        .selectDistinct(RUN.LOCAL.cast(String.class))
                        .from(RUN)
                        .where(RUN.LOCAL.isNotNull())
                        .fetch()
                        .stream()
                        .map(row -> columns.read(JSON.json(row.value1()), LocalType.class))
                        .anyMatch(local -> local.family().filter(family::equals).isPresent())
                || db
                        .select(FRAME.PICTURE)
                        .from(FRAME)
                        .where(FRAME.KIND.eq(FrameRows.WORD))
                        .fetch()
                        .stream()
                        .map(row -> columns.read(row.value1(), FrameRows.PictureShape.class))
                        .flatMap(shape -> shape.word().stream())
                        .anyMatch(word -> word.family().equals(family));
    }
}
