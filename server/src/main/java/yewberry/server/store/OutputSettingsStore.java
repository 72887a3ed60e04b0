package yewberry.server.store;

import static yewberry.server.store.db.Tables.OUTPUT_SETTING;

import java.util.List;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.JSON;
import org.jooq.exception.IntegrityConstraintViolationException;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.output.OutputSettings;

/** Settings of outputs that are kept under a name, for all publications. */
@Component
public class OutputSettingsStore {
    private static final int MOST = 200;

    private final DSLContext db;
    private final JsonMapper mapper;

    OutputSettingsStore(DSLContext db, JsonMapper mapper) {
        this.db = db;
        this.mapper = mapper;
    }

    /** Some settings with their name. */
    public record Saved(UUID id, String name, OutputSettings settings) {}

    /** In the order of their names. */
    public List<Saved> all() {
        return db.selectFrom(OUTPUT_SETTING)
                .orderBy(OUTPUT_SETTING.NAME)
                .fetch(row ->
                        new Saved(
                                row.getId(),
                                row.getName(),
                                mapper.readValue(row.getSettings().data(), OutputSettings.class)));
    }

    /**
     * Keeps some; what was kept under the same name is replaced.
     *
     * @throws Refused if the name is none, or there are too many
     */
    public Saved save(String name, OutputSettings settings) {
        String checked = Names.checked("output", name);
        JSON json = JSON.json(mapper.writeValueAsString(settings));
        int replaced =
                db.update(OUTPUT_SETTING)
                        .set(OUTPUT_SETTING.SETTINGS, json)
                        .where(OUTPUT_SETTING.NAME.eq(checked))
                        .execute();
        if (replaced == 0) {
            if (db.fetchCount(OUTPUT_SETTING) >= MOST) {
                throw new Refused(
                        "There are %d saved settings already; remove some first.".formatted(MOST));
            }
            try {
                var row = db.newRecord(OUTPUT_SETTING);
                row.setId(UUID.randomUUID());
                row.setName(checked);
                row.setSettings(json);
                row.insert();
            } catch (IntegrityConstraintViolationException meanwhile) {
                return save(name, settings); // somebody else kept some under it
            }
        }
        return all().stream().filter(each -> each.name().equals(checked)).findFirst().orElseThrow();
    }

    public void remove(UUID id) {
        db.deleteFrom(OUTPUT_SETTING).where(OUTPUT_SETTING.ID.eq(id)).execute();
    }
}
