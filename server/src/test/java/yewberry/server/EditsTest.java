package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RunningServer.class)
class EditsTest {
    private final Client client;
    private String id;

    EditsTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void create() {
        id = client.create("Leaflet", 4);
    }

    private String swatch(String name) {
        return named("swatches", name);
    }

    private String named(String list, String name) {
        for (JsonNode each : client.read(id).path(list)) {
            if (each.path("name").asString().equals(name)) {
                return each.path("id").asString();
            }
        }
        throw new AssertionError("No " + name);
    }

    private String page(int number) {
        return client.read(id).path("pages").get(number - 1).path("id").asString();
    }

    private static String wholePage(String owner, String kind, String swatch, String background) {
        return """
        {"type": "addBackground", "owner": {"type": "%s", "id": "%s"},
         "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                        "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}}
        """
                .formatted(kind, owner, background, swatch);
    }

    private JsonNode made(String author, long revision, String edit) {
        Client.Answer answer = client.edit(id, revision, author, edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static String rename(String swatch, String name) {
        return """
        {"type": "renameSwatch", "swatch": "%s", "name": "%s"}
        """
                .formatted(swatch, name);
    }

    @Test
    void an_edit_is_stored_as_the_next_revision_and_seen_at_once() {
        String parent = named("parents", "Plain");
        JsonNode stored =
                made(
                        "ann",
                        0,
                        wholePage(
                                parent, "onParent", swatch("Dusk"), UUID.randomUUID().toString()));
        assertThat(stored.path("revision").asLong()).isEqualTo(1);
        assertThat(stored.path("canUndo").asBoolean()).isTrue();
        JsonNode publication = client.read(id);
        assertThat(publication.path("revision").asLong()).isEqualTo(1);
        assertThat(publication.path("parents").get(0).path("layer").path("backgrounds")).hasSize(1);
    }

    @Test
    void an_edit_made_against_an_older_revision_is_applied_if_nobody_touched_the_same() {
        String dusk = swatch("Dusk");
        String sand = swatch("Sand");
        made("ann", 0, rename(dusk, "Twilight"));
        JsonNode stored = made("bea", 0, rename(sand, "Shingle"));
        assertThat(stored.path("revision").asLong()).isEqualTo(2);
        assertThat(named("swatches", "Twilight")).isEqualTo(dusk);
        assertThat(named("swatches", "Shingle")).isEqualTo(sand);
    }

    @Test
    void two_edits_of_the_same_are_a_conflict_that_names_it_and_changes_nothing() {
        String dusk = swatch("Dusk");
        made("ann", 0, rename(dusk, "Twilight"));
        Client.Answer refused = client.edit(id, 0, "bea", rename(dusk, "Gloaming"));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.headers().firstValue("Content-Type").orElse(""))
                .startsWith("application/problem+json");
        assertThat(refused.detail()).contains("changed meanwhile").contains("swatch “Gloaming”");
        assertThat(named("swatches", "Twilight")).isEqualTo(dusk);
        assertThat(client.read(id).path("revision").asLong()).isEqualTo(1);
    }

    private JsonNode definition(String swatch) {
        return client.read(id)
                .path("swatches")
                .valueStream()
                .filter(each -> each.path("id").asString().equals(swatch))
                .findFirst()
                .orElseThrow()
                .path("definition");
    }

    /** Gives one ink of a swatch another value, and says what it was. */
    private static String inked(String swatch, JsonNode was, String ink, int percent) {
        ObjectNode changed = was.deepCopy().asObject();
        ((ObjectNode) changed.path("color")).put(ink, percent);
        return "{\"type\": \"changeSwatch\", \"swatch\": \"%s\", \"definition\": %s, \"was\": %s}"
                .formatted(swatch, changed, was);
    }

    @Test
    void two_properties_of_the_same_that_two_people_change_both_stay() {
        String dusk = swatch("Dusk");
        JsonNode was = definition(dusk);
        made("ann", 0, inked(dusk, was, "cyan", 11));
        made("bea", 0, inked(dusk, was, "black", 41));
        JsonNode color = definition(dusk).path("color");
        assertThat(color.path("cyan").asDouble()).isEqualTo(11);
        assertThat(color.path("black").asDouble()).isEqualTo(41);
        Client.Answer refused = client.edit(id, 0, "cid", inked(dusk, was, "cyan", 31));
        assertThat(refused.status()).as("somebody else changed the cyan").isEqualTo(409);
    }

    @Test
    void a_length_in_an_edit_may_be_a_calculation_but_not_a_bare_number() {
        JsonNode setup = client.read(id).path("setup");
        ObjectNode changed = setup.deepCopy().asObject();
        changed.put("safe", "1/8 in + 1 mm");
        made("ann", 0, "{\"type\": \"changeSetup\", \"setup\": %s}".formatted(changed));
        assertThat(client.read(id).path("setup").path("safe").asString()).isEqualTo("0.1644 in");
        changed.put("safe", "4");
        Client.Answer refused =
                client.edit(
                        id,
                        1,
                        "ann",
                        "{\"type\": \"changeSetup\", \"setup\": %s}".formatted(changed));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("write a number and a unit");
    }

    @Test
    void an_edit_of_what_somebody_removed_meanwhile_is_a_conflict() {
        String sand = swatch("Sand");
        made("ann", 0, "{\"type\": \"removeSwatch\", \"swatch\": \"" + sand + "\"}");
        Client.Answer refused = client.edit(id, 0, "bea", rename(sand, "Shingle"));
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("no such swatch");
    }

    @Test
    void a_revision_that_is_not_there_yet_is_a_conflict() {
        assertThat(client.edit(id, 99, "ann", rename(swatch("Dusk"), "x")).status()).isEqualTo(409);
    }

    @Test
    void undo_takes_back_ones_own_last_step_and_redo_brings_it_back() {
        String dusk = swatch("Dusk");
        String sand = swatch("Sand");
        made("ann", 0, rename(dusk, "Twilight"));
        made("bea", 1, rename(sand, "Shingle"));
        assertThat(step("undo", "ann").status()).isEqualTo(200);
        assertThat(named("swatches", "Dusk")).isEqualTo(dusk);
        assertThat(named("swatches", "Shingle")).isEqualTo(sand);
        assertThat(step("undo", "ann").status()).isEqualTo(409);
        Client.Answer redone = step("redo", "ann");
        assertThat(redone.json().path("canRedo").asBoolean()).isFalse();
        assertThat(named("swatches", "Twilight")).isEqualTo(dusk);
    }

    @Test
    void undo_of_what_somebody_else_changed_since_is_a_conflict() {
        String dusk = swatch("Dusk");
        made("ann", 0, rename(dusk, "Twilight"));
        made("bea", 1, rename(dusk, "Gloaming"));
        Client.Answer refused = step("undo", "ann");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.detail()).contains("somebody else changed it since");
        assertThat(named("swatches", "Gloaming")).isEqualTo(dusk);
    }

    private Client.Answer step(String kind, String author) {
        return client.post(
                "/api/publications/" + id + "/" + kind, "{\"author\": \"" + author + "\"}");
    }

    /**
     * Everything is taken back, step by step, to the very first state, and brought forward again.
     */
    @Test
    void a_long_history_is_undone_and_redone_completely() {
        JsonNode first = client.read(id);
        String parent = named("parents", "Plain");
        String frame = UUID.randomUUID().toString();
        String story = UUID.randomUUID().toString();
        String paragraph = UUID.randomUUID().toString();
        String look = client.read(id).path("looks").get(0).path("look").path("id").asString();
        List<String> edits = new ArrayList<>();
        edits.add(wholePage(parent, "onParent", swatch("Dusk"), UUID.randomUUID().toString()));
        edits.add(wholePage(page(1), "onPage", swatch("Sand"), UUID.randomUUID().toString()));
        edits.add(
                """
                {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"}, "frame": "%s", "sides": "BOTH",
                 "box": {"x": "10 mm", "y": "12 pt", "width": "3 in", "height": "40 mm"},
                 "story": "%s", "paragraph": "%s", "look": "%s"}
                """
                        .formatted(page(2), frame, story, paragraph, look));
        edits.add(
                """
                {"type": "writeText", "story": "%s", "paragraphs": [{"paragraph": "%s", "look": "%s", "runs": [{"text": "Words"}]}],
                 "was": [{"paragraph": "%s", "look": "%s", "runs": [{"text": ""}]}]}
                """
                        .formatted(story, paragraph, look, paragraph, look));
        edits.add(
                """
                {"type": "movePages", "pages": ["%s"], "after": "%s"}
                """
                        .formatted(page(1), page(4)));
        edits.add(
                """
                {"type": "removePages", "pages": ["%s"]}
                """
                        .formatted(page(3)));
        edits.add("{\"type\": \"removeParent\", \"parent\": \"" + parent + "\"}");
        for (int i = 0; i < edits.size(); i++) {
            made("ann", i, edits.get(i));
        }
        JsonNode last = client.read(id);
        for (int i = 0; i < edits.size(); i++) {
            assertThat(step("undo", "ann").status()).isEqualTo(200);
        }
        assertThat(withoutRevision(client.read(id))).isEqualTo(withoutRevision(first));
        for (int i = 0; i < edits.size(); i++) {
            assertThat(step("redo", "ann").status()).isEqualTo(200);
        }
        assertThat(withoutRevision(client.read(id))).isEqualTo(withoutRevision(last));
    }

    private static String withoutRevision(JsonNode publication) {
        return ((tools.jackson.databind.node.ObjectNode) publication)
                .without("revision")
                .toString();
    }

    @Test
    void a_preview_shows_picture_findings_and_pages_and_stores_nothing() {
        String parent = named("parents", "Plain");
        String edit = wholePage(parent, "onParent", swatch("Dusk"), UUID.randomUUID().toString());
        Client.Answer answer =
                client.post(
                        "/api/publications/" + id + "/previews",
                        "{\"edit\": "
                                + edit
                                + ", \"page\": \""
                                + page(1)
                                + "\", \"viewing\": \"AS_DESIGNED\"}");
        assertThat(answer.status()).isEqualTo(200);
        assertThat(answer.json().path("pages")).hasSize(4);
        assertThat(answer.json().path("picture").asString()).startsWith("<svg");
        assertThat(client.read(id).path("revision").asLong()).isZero();
        assertThat(client.read(id).path("parents").get(0).path("layer").path("backgrounds"))
                .isEmpty();
    }

    @Test
    void what_an_edit_is_shown_by_is_what_is_drawn_when_it_is_stored() {
        String edit = wholePage(page(1), "onPage", swatch("Dusk"), UUID.randomUUID().toString());
        JsonNode shown =
                client.post(
                                "/api/publications/" + id + "/previews",
                                """
                                {"edit": %s, "page": "%s", "viewing": "AS_DESIGNED", "ppi": 72,
                                 "unchecked": true}
                                """
                                        .formatted(edit, page(1)))
                        .json();
        String drawn =
                "/api/publications/%s/spreads/%d/picture?guides=true&viewing=AS_DESIGNED&ppi=72&before=false"
                        .formatted(id, shown.path("spread").asInt());
        assertThat(client.get(drawn).text()).isNotEqualTo(shown.path("picture").asString());
        made("ann", 0, edit);
        assertThat(client.get(drawn).text()).isEqualTo(shown.path("picture").asString());
    }

    @Test
    void a_picture_carries_an_etag_that_lasts_until_the_scene_changes() {
        String path = "/api/publications/" + id + "/pages/" + page(1) + "/picture";
        String tag = client.get(path).headers().firstValue("ETag").orElseThrow();
        assertThat(client.get(path, "If-None-Match", tag).status()).isEqualTo(304);
        made("ann", 0, wholePage(page(2), "onPage", swatch("Dusk"), UUID.randomUUID().toString()));
        assertThat(client.get(path, "If-None-Match", tag).status()).isEqualTo(304);
        made("ann", 1, wholePage(page(1), "onPage", swatch("Dusk"), UUID.randomUUID().toString()));
        Client.Answer changed = client.get(path, "If-None-Match", tag);
        assertThat(changed.status()).isEqualTo(200);
        assertThat(changed.headers().firstValue("ETag")).isNotEqualTo(java.util.Optional.of(tag));
    }

    @Test
    void findings_and_strata_carry_an_etag_too() {
        for (String path : List.of("/findings", "/pages/" + page(1) + "/strata?x=5&y=5")) {
            String address = "/api/publications/" + id + path;
            String tag = client.get(address).headers().firstValue("ETag").orElseThrow();
            assertThat(client.get(address, "If-None-Match", tag).status()).isEqualTo(304);
        }
    }

    @Test
    void a_publication_is_removed_with_all_that_refers_within_it() {
        made("ann", 0, wholePage(page(1), "onPage", swatch("Dusk"), UUID.randomUUID().toString()));
        assertThat(client.delete("/api/publications/" + id).status()).isEqualTo(204);
        assertThat(client.get("/api/publications/" + id).status()).isEqualTo(404);
        assertThat(client.get("/api/publications").text()).doesNotContain(id);
        assertThat(client.delete("/api/publications/" + id).status()).isEqualTo(404);
    }

    @Test
    void strata_say_how_many_pages_a_change_at_the_origin_touches() {
        String parent = named("parents", "Plain");
        made("ann", 0, wholePage(parent, "onParent", swatch("Dusk"), UUID.randomUUID().toString()));
        JsonNode strata =
                client.get("/api/publications/" + id + "/pages/" + page(1) + "/strata?x=50&y=50")
                        .json()
                        .path("strata");
        assertThat(strata).hasSize(2);
        JsonNode fill = strata.get(0);
        assertThat(fill.path("type").asString()).isEqualTo("fillStratum");
        assertThat(fill.path("changesPages").asInt()).isEqualTo(4);
        assertThat(fill.path("origin").asString()).isEqualTo("parent “Plain”");
        assertThat(fill.path("bleed").asString()).isEqualTo("Reaches the bleed on all sides");
        assertThat(strata.get(1).path("type").asString()).isEqualTo("stockStratum");
    }
}
