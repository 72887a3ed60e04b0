package yewberry.server.store;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Rewrites a patch of the time when each frame held its paragraphs: what it changed of a frame
 * becomes what it changed of the frame, of its story, and of the paragraphs of that.
 */
final class FramesToStories {
    private static final JsonNodeFactory JSON = JsonNodeFactory.instance;
    private static final List<String> SIDES = List.of("before", "after");

    private final ArrayNode changes = JSON.arrayNode();

    /** The story that came in last on each side; of two in one place each stands behind another. */
    private final Map<String, ObjectNode> lastStory = new HashMap<>();

    private FramesToStories() {}

    static ObjectNode in(ObjectNode patch) {
        FramesToStories rewriting = new FramesToStories();
        for (JsonNode change : patch.path("changes")) {
            if (isOfFrame(change)) {
                rewriting.frame((ObjectNode) change);
            } else {
                rewriting.changes.add(change);
            }
        }
        patch.set("changes", rewriting.changes);
        return patch;
    }

    private static boolean isOfFrame(JsonNode change) {
        return SIDES.stream()
                .anyMatch(side ->
                        change.path(side)
                                .path("element")
                                .path("type")
                                .asString("")
                                .equals("textFrame"));
    }

    /** The id of a frame's own story: the frame's, with the last bit turned. */
    static UUID storyOf(UUID frame) {
        return new UUID(frame.getMostSignificantBits(), frame.getLeastSignificantBits() ^ 1);
    }

    private void frame(ObjectNode change) {
        Map<String, ArrayNode> text = new HashMap<>();
        Map<String, ObjectNode> stories = new HashMap<>();
        String story = "";
        for (String side : SIDES) {
            if (change.path(side) instanceof ObjectNode placed) {
                ObjectNode frame = (ObjectNode) placed.path("element");
                story = storyOf(UUID.fromString(frame.path("id").asString())).toString();
                text.put(side, (ArrayNode) frame.remove("paragraphs"));
                frame.put("story", story);
                stories.put(side, story(placed, story));
            }
        }
        boolean stays = stories.size() == SIDES.size();
        if (!stays
                || change.path("placed").asBoolean()
                || !change.path("before").equals(change.path("after"))) {
            changes.add(change);
        }
        if (!stays) {
            stories.forEach(this::add);
        }
        paragraphs(
                story,
                Optional.ofNullable(text.get("before")),
                Optional.ofNullable(text.get("after")));
    }

    private static ObjectNode story(ObjectNode placedFrame, String id) {
        ObjectNode story = JSON.objectNode().put("type", "story").put("id", id);
        ObjectNode link = story.putArray("chain").addObject();
        link.set("owner", placedFrame.path("owner"));
        link.set("frame", placedFrame.path("element").path("id"));
        story.putArray("paragraphs");
        return story;
    }

    private void add(String side, ObjectNode story) {
        ObjectNode placed = JSON.objectNode();
        placed.set("element", story);
        ObjectNode last = lastStory.put(side, placed);
        placed.put("index", last == null ? 0 : last.path("index").asInt() + 1);
        if (last != null) {
            placed.set("predecessor", last.path("element").path("id"));
        }
        ObjectNode change = changes.addObject();
        change.set(side, placed);
        change.put("placed", true);
    }

    private void paragraphs(String story, Optional<ArrayNode> before, Optional<ArrayNode> after) {
        boolean inPlace = before.map(FramesToStories::ids).equals(after.map(FramesToStories::ids));
        Map<String, ObjectNode> were = placed(story, before);
        Map<String, ObjectNode> are = placed(story, after);
        List<String> all = new ArrayList<>(were.keySet());
        are.keySet().stream().filter(id -> !were.containsKey(id)).forEach(all::add);
        for (String id : all) {
            if (inPlace && were.get(id).equals(are.get(id))) {
                continue;
            }
            ObjectNode change = changes.addObject();
            if (were.containsKey(id)) {
                change.set("before", were.get(id));
            }
            if (are.containsKey(id)) {
                change.set("after", are.get(id));
            }
            change.put("placed", !inPlace);
        }
    }

    private static List<String> ids(ArrayNode paragraphs) {
        return paragraphs.valueStream().map(each -> each.path("id").asString()).toList();
    }

    private static Map<String, ObjectNode> placed(String story, Optional<ArrayNode> paragraphs) {
        Map<String, ObjectNode> byId = new LinkedHashMap<>();
        String previous = "";
        for (JsonNode each : paragraphs.orElseGet(JSON::arrayNode)) {
            ObjectNode placed = JSON.objectNode();
            placed.set("element", ((ObjectNode) each.deepCopy()).put("type", "paragraph"));
            placed.putObject("owner").put("type", "inStory").put("id", story);
            placed.put("index", byId.size());
            if (!previous.isEmpty()) {
                placed.put("predecessor", previous);
            }
            previous = each.path("id").asString();
            byId.put(previous, placed);
        }
        return byId;
    }
}
