package yewberry.server.store;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Basis;
import yewberry.core.publication.TextSetting;

/**
 * JSON as it is stored, with the version that it was written by. What an older version wrote is
 * brought up to date as it is read, from each version to the next.
 */
final class StoredJson {
    /** What is written now. The first version was written without saying so. */
    static final int VERSION = 5;

    private static final String VERSION_KEY = "version";
    private static final String VALUE = "value";
    private static final Set<String> KEYS = Set.of(VERSION_KEY, VALUE);

    /** Brings a value from one version to the next; in order, the first from version 1. */
    interface Upgrade {
        /**
         * @param as the declared type of the value
         */
        JsonNode of(JsonNode value, Class<?> as);
    }

    private static final List<Upgrade> UPGRADES =
            List.of(
                    StoredJson::flatElements,
                    StoredJson::stories,
                    StoredJson::languages,
                    StoredJson::backings);

    private StoredJson() {}

    /**
     * @param value as JSON
     */
    static String wrapped(String value) {
        return "{\"%s\":%d,\"%s\":%s}".formatted(VERSION_KEY, VERSION, VALUE, value);
    }

    /**
     * @param as the declared type of the value
     * @throws UnknownKind if a later version wrote it
     */
    static JsonNode current(JsonNode stored, Class<?> as) {
        boolean says = stored.isObject() && Set.copyOf(stored.propertyNames()).equals(KEYS);
        int version = says ? stored.path(VERSION_KEY).asInt() : 1;
        JsonNode value = says ? stored.path(VALUE) : stored;
        if (version > VERSION) {
            throw new UnknownKind("stored value", "version " + version);
        }
        for (Upgrade upgrade : UPGRADES.subList(version - 1, UPGRADES.size())) {
            value = upgrade.of(value, as);
        }
        return value;
    }

    /**
     * From 1 to 2: the elements of a patch were wrapped, {@code oneBackground} with its owner
     * within; now an element is what it is, and its owner stands beside it.
     */
    private static JsonNode flatElements(JsonNode value, Class<?> as) {
        if (as != Patch.class) {
            return value;
        }
        ObjectNode patch = (ObjectNode) value.deepCopy();
        for (JsonNode change : patch.path("changes")) {
            for (String side : List.of("before", "after")) {
                if (change.path(side) instanceof ObjectNode placed) {
                    flatElement(placed);
                }
            }
        }
        return patch;
    }

    private static void flatElement(ObjectNode placed) {
        ObjectNode old = (ObjectNode) placed.path("element");
        String type = old.path("type").asString();
        ObjectNode element =
                switch (type) {
                    case "wholePublication" -> named(old, "heading");
                    case "oneSwatch" -> named(inner(old, "swatch"), "swatch");
                    case "oneLook" -> named(inner(old, "look"), "look");
                    case "oneAsset" -> named(inner(old, "asset"), "asset");
                    case "oneParent" -> empty(named(old, "parent"));
                    case "onePage" -> empty(named(old, "page"));
                    case "oneRecipe" -> empty(named(old, "recipe"));
                    case "oneBackground" -> named(inner(old, "background"), "background");
                    case "oneFrame" -> named(inner(old, "frame"), "textFrame");
                    default -> throw new UnknownKind("element", type);
                };
        placed.set("element", element);
        if (old.has("owner")) {
            placed.set("owner", old.path("owner"));
        }
    }

    /** From 2 to 3: a frame had its paragraphs within; now they are in a story of their own. */
    private static JsonNode stories(JsonNode value, Class<?> as) {
        return as == Patch.class ? FramesToStories.in((ObjectNode) value.deepCopy()) : value;
    }

    /**
     * From 3 to 4: that words are divided was said by the language they are divided in; now the two
     * are said apart.
     */
    private static JsonNode languages(JsonNode value, Class<?> as) {
        JsonNode changed = value.deepCopy();
        if (as == TextSetting.class) {
            language((ObjectNode) changed);
        }
        if (as == Patch.class) {
            for (JsonNode change : changed.path("changes")) {
                for (String side : List.of("before", "after")) {
                    JsonNode element = change.path(side).path("element");
                    if (element.path("setting") instanceof ObjectNode setting
                            && element.path("type").asString().equals("look")) {
                        language(setting);
                    }
                    own(element.path("basis"));
                }
            }
        }
        if (as == Basis.class) {
            own(changed);
        }
        return changed;
    }

    /**
     * From 4 to 5: what lies behind words of a file was known by the place where it lies; now it
     * has an id, which is made of that.
     */
    private static JsonNode backings(JsonNode value, Class<?> as) {
        JsonNode changed = value.deepCopy();
        if (as == Backing[].class) {
            named(changed);
        }
        if (as == Patch.class) {
            for (JsonNode change : changed.path("changes")) {
                for (String side : List.of("before", "after")) {
                    named(change.path(side).path("element").path("backings"));
                }
            }
        }
        return changed;
    }

    private static void named(JsonNode backings) {
        for (JsonNode each : backings) {
            if (each instanceof ObjectNode backing && !backing.has("id")) {
                String place = backing.path("page") + " " + backing.path("area");
                backing.put(
                        "id",
                        UUID.nameUUIDFromBytes(place.getBytes(StandardCharsets.UTF_8)).toString());
            }
        }
    }

    private static void language(ObjectNode setting) {
        JsonNode language = setting.remove("hyphenation");
        setting.put("hyphenated", language != null);
        if (language != null) {
            setting.set("language", language);
        }
    }

    private static void own(JsonNode basis) {
        if (basis.path("own") instanceof ArrayNode own) {
            for (int i = 0; i < own.size(); i++) {
                if (own.get(i).asString().equals("setting.hyphenation")) {
                    own.set(i, "setting.hyphenated");
                    own.add("setting.language");
                }
            }
        }
    }

    private static ObjectNode inner(ObjectNode wrapped, String name) {
        return (ObjectNode) wrapped.path(name);
    }

    private static ObjectNode named(ObjectNode element, String type) {
        ObjectNode named = element.deepCopy();
        named.put("type", type);
        return named;
    }

    /** Nothing lies on an element of a patch. */
    private static ObjectNode empty(ObjectNode carrier) {
        ObjectNode layer = carrier.putObject("layer");
        layer.putArray("backgrounds");
        layer.putArray("frames");
        return carrier;
    }
}
