package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Reading costs what changed: pages in parts, what became of it since, pictures that stay. */
@ExtendWith(RunningServer.class)
class PartsTest {
    private final Client client;
    private String id;
    private long revision;

    PartsTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void publication() {
        id = client.create("Parts", 12);
        revision = 0;
    }

    private String path(String rest) {
        return "/api/publications/" + id + rest;
    }

    private String page(int number) {
        return client.read(id).path("pages").get(number - 1).path("id").asString();
    }

    private void edit(String edit) {
        Client.Answer answer = client.edit(id, revision, "ann", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        revision = answer.json().path("revision").asLong();
    }

    private JsonNode changes(long since) {
        return client.get(path("/changes?since=" + since)).json();
    }

    private void groundOnPage(int number) {
        String swatch = client.read(id).path("swatches").get(2).path("id").asString();
        edit(
                """
                {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"}, "background":
                  {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                   "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}}
                """
                        .formatted(page(number), UUID.randomUUID(), swatch));
    }

    @Test
    void pages_are_read_from_one_to_another() {
        JsonNode part = client.get(path("/pages?from=3&to=7")).json();
        assertThat(part.path("count").asInt()).isEqualTo(12);
        assertThat(part.path("pages")).hasSize(4);
        assertThat(part.path("pages").get(0).path("id").asString()).isEqualTo(page(4));
        assertThat(client.get(path("/pages?from=10&to=99")).json().path("pages")).hasSize(2);
        assertThat(client.get(path("/pages?from=-1&to=2")).status()).isEqualTo(422);
        assertThat(client.get(path("/pages?from=5&to=2")).status()).isEqualTo(422);
    }

    private Client.Answer layers(String... pages) {
        return client.post(
                path("/layers"), "{\"pages\": [\"%s\"]}".formatted(String.join("\", \"", pages)));
    }

    @Test
    void what_lies_on_pages_is_read_and_changed_together() {
        groundOnPage(3);
        groundOnPage(4);
        JsonNode common = layers(page(3), page(4)).json().path("backgrounds").get(0);
        assertThat(common.path("ids")).hasSize(2);
        assertThat(common.path("pages").toString()).isEqualTo("[3,4]");
        assertThat(common.path("differing")).isEmpty();
        edit(
                """
                {"type": "changeBackgrounds", "backgrounds": %s, "background": %s, "was": %s,
                 "also": []}
                """
                        .formatted(
                                common.path("ids"),
                                common.path("background")
                                        .toString()
                                        .replace("\"opacity\":100", "\"opacity\":40"),
                                common.path("background")));
        for (int number = 3; number <= 4; number++) {
            JsonNode one = layers(page(number)).json().path("backgrounds").get(0);
            assertThat(one.path("background").path("opacity").asInt()).isEqualTo(40);
        }
    }

    @Test
    void pages_are_named_once_and_must_be_there() {
        assertThat(client.post(path("/layers"), "{\"pages\": []}").status()).isEqualTo(422);
        assertThat(layers(page(3), page(3)).status()).isEqualTo(422);
        assertThat(layers(UUID.randomUUID().toString()).status()).isEqualTo(404);
        assertThat(client.post(path("/layers"), "{}").status()).isIn(400, 422);
    }

    @Test
    void a_colour_is_read_with_the_name_in_front_of_it() {
        JsonNode named = client.get(path("/colors/named?text=Harbour%20%230f4a38")).json();
        assertThat(named.path("name").asString()).isEqualTo("Harbour");
        assertThat(named.path("color").path("rgb").path("green").asInt()).isEqualTo(74);
        JsonNode none = client.get(path("/colors/named?text=Harbour")).json();
        assertThat(none.has("color")).isFalse();
    }

    @Test
    void a_new_name_changes_no_page() {
        edit("{\"type\": \"renamePublication\", \"name\": \"Other\"}");
        JsonNode changes = changes(0);
        assertThat(changes.path("publication").path("name").asString()).isEqualTo("Other");
        assertThat(changes.path("known").asBoolean()).isTrue();
        assertThat(changes.has("pages")).isFalse();
    }

    @Test
    void pages_that_come_move_or_go_are_told_alone() {
        String fresh = UUID.randomUUID().toString();
        edit(
                "{\"type\": \"addPages\", \"pages\": [\"%s\"], \"after\": \"%s\"}"
                        .formatted(fresh, page(2)));
        JsonNode added = changes(0).path("pages");
        assertThat(added.path("from").asInt()).isEqualTo(2);
        assertThat(added.path("removed").asInt()).isZero();
        assertThat(added.path("entries")).hasSize(1);
        assertThat(added.path("entries").get(0).path("id").asString()).isEqualTo(fresh);

        edit("{\"type\": \"removePages\", \"pages\": [\"%s\"]}".formatted(page(12)));
        JsonNode both = changes(0).path("pages");
        assertThat(both.path("from").asInt()).isEqualTo(2);
        assertThat(both.path("removed").asInt()).isEqualTo(9);
        assertThat(both.path("entries")).hasSize(9);
        JsonNode last = changes(1).path("pages");
        assertThat(last.path("removed").asInt()).isEqualTo(1);
        assertThat(last.path("entries")).isEmpty();

        // every step back tells the same, the other way round
        client.post(path("/undo"), "{\"author\": \"ann\"}");
        assertThat(changes(2).path("pages").path("entries")).hasSize(1);
    }

    @Test
    void a_revision_that_is_long_gone_is_not_known() {
        for (int i = 0; i < 70; i++) {
            edit("{\"type\": \"renamePublication\", \"name\": \"Name %d\"}".formatted(i));
        }
        assertThat(changes(0).path("known").asBoolean()).isFalse();
        assertThat(changes(60).path("known").asBoolean()).isTrue();
        assertThat(changes(9999).path("known").asBoolean()).isFalse();
    }

    @Test
    void a_picture_keeps_its_stamp_until_it_looks_different() {
        JsonNode before = client.get(path("/stamps?from=0&to=12")).json().path("stamps");
        groundOnPage(3);
        JsonNode after = client.get(path("/stamps?from=0&to=12")).json().path("stamps");
        for (int number = 1; number <= 12; number++) {
            String page = page(number);
            assertThat(after.path(page).equals(before.path(page)))
                    .as("page %d", number)
                    .isEqualTo(number != 3);
        }
        String swatch = client.read(id).path("swatches").get(2).path("id").asString();
        edit(
                "{\"type\": \"renameSwatch\", \"swatch\": \"%s\", \"name\": \"Renamed\"}"
                        .formatted(swatch));
        assertThat(client.get(path("/stamps?from=0&to=12")).json().path("stamps"))
                .as("only a name changed")
                .isEqualTo(after);
        assertThat(client.get(path("/stamps?from=0&to=12&viewing=GREY_COPY")).json().path("stamps"))
                .isNotEqualTo(after);

        String page = page(3);
        String small = path("/pages/" + page + "/small?stamp=");
        assertThat(kept(small + after.path(page).asString())).contains("immutable");
        assertThat(kept(small + before.path(page).asString())).doesNotContain("immutable");
    }

    private String kept(String picture) {
        return client.get(picture).headers().firstValue("Cache-Control").orElse("");
    }

    @Test
    void findings_say_how_many_pages_are_checked() {
        JsonNode findings = client.findings(id, "?first=5");
        assertThat(findings.path("checked").asInt()).isEqualTo(12);
        assertThat(findings.path("pages").asInt()).isEqualTo(12);
    }
}
