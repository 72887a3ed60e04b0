package yewberry.server.store;

import static yewberry.server.store.db.Tables.PRESS_CONDITION;

import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** ICC profiles that users brought along. */
@Component
public class ProfileStore {
    private final DSLContext db;

    ProfileStore(DSLContext db) {
        this.db = db;
    }

    /** A profile as it came, with its name and ink limit in percent. */
    public record Profile(String name, byte[] profile, double inkLimit) {}

    /** In the order of their names. */
    public List<String> ids() {
        return db.select(PRESS_CONDITION.ID)
                .from(PRESS_CONDITION)
                .orderBy(PRESS_CONDITION.NAME)
                .fetch(PRESS_CONDITION.ID);
    }

    public Optional<Profile> read(String id) {
        return db.fetchOptional(PRESS_CONDITION, PRESS_CONDITION.ID.eq(id))
                .map(row -> new Profile(row.getName(), row.getProfile(), row.getInkLimit()));
    }

    public void add(String id, String name, byte[] profile, double inkLimit) {
        var row = db.newRecord(PRESS_CONDITION);
        row.setId(id);
        row.setName(name);
        row.setProfile(profile);
        row.setInkLimit(inkLimit);
        row.insert();
    }
}
