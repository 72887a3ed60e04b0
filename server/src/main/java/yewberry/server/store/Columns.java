package yewberry.server.store;

import org.jooq.JSON;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** JSON columns: values without identity, each with the version that wrote it. */
@Component
class Columns {
    private final JsonMapper mapper;

    Columns(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * @param as the declared type; the alternatives of a sealed type are told apart by it
     */
    <T> JSON write(T value, Class<T> as) {
        return JSON.json(StoredJson.wrapped(mapper.writerFor(as).writeValueAsString(value)));
    }

    <T> T read(JSON json, Class<T> as) {
        return mapper.treeToValue(StoredJson.current(mapper.readTree(json.data()), as), as);
    }
}
