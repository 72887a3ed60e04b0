package yewberry.server.publications;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import yewberry.core.Refused;
import yewberry.core.color.PressCondition;
import yewberry.server.store.ProfileStore;

/** The press conditions there are: those that ship, and those of imported profiles. */
@Component
public class PressConditions {
    private final ProfileStore store;
    private final Map<String, PressCondition> imported = new ConcurrentHashMap<>();

    PressConditions(ProfileStore store) {
        this.store = store;
    }

    public List<PressCondition> all() {
        List<PressCondition> all = new ArrayList<>(PressCondition.shipped());
        store.ids().forEach(id -> all.add(get(id)));
        return all;
    }

    /**
     * @throws Refused if there is none of this id
     */
    public PressCondition get(String id) {
        return PressCondition.shipped().stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseGet(() -> imported.computeIfAbsent(id, this::read));
    }

    private PressCondition read(String id) {
        return store.read(id)
                .map(stored ->
                        PressCondition.imported(
                                id, stored.name(), stored.profile(), stored.inkLimit()))
                .orElseThrow(() ->
                        new Refused(
                                "There is no press condition “%s” here; choose another one."
                                        .formatted(id)));
    }

    /**
     * Keeps a profile of the user's own as a press condition.
     *
     * @throws Refused if it is not a whole CMYK output profile
     */
    public PressCondition add(String name, byte[] profile, double inkLimit) {
        String id = UUID.randomUUID().toString();
        PressCondition condition =
                PressCondition.imported(
                        id,
                        yewberry.core.Names.checked("press condition", name),
                        profile,
                        inkLimit);
        store.add(id, condition.name(), profile, inkLimit);
        imported.put(id, condition);
        return condition;
    }
}
