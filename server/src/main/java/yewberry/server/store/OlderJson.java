package yewberry.server.store;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;
import yewberry.core.publication.Look;
import yewberry.core.publication.PressChecks;

/**
 * Brings values that an older version wrote into a JSON column up to what is read today. Rows are
 * brought along by the migrations; what lies inside a patch or a setup is not theirs to see.
 */
final class OlderJson {
    private final JsonMapper mapper;

    OlderJson(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /** Adds in place what is missing anywhere in a value; what is up to date stays as it is. */
    JsonNode upgraded(JsonNode value) {
        if (value instanceof ObjectNode object) {
            if (object.has("trim") && object.has("press") && !object.has("checks")) {
                object.set("checks", mapper.valueToTree(PressChecks.USUAL));
            }
            if (object.has("leading") && object.has("family") && !object.has("overprint")) {
                object.put("overprint", Look.Overprint.BLACK.name());
            }
        }
        value.forEach(this::upgraded);
        return value;
    }
}
