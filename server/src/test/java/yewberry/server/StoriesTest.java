package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Stories over HTTP: what is sent of them, who gets in whose way, and how they run. */
@ExtendWith(RunningServer.class)
class StoriesTest {
    private final Client client;
    private final String frame = UUID.randomUUID().toString();
    private final String story = UUID.randomUUID().toString();
    private final String first = UUID.randomUUID().toString();
    private final String second = UUID.randomUUID().toString();
    private String id;
    private String look;

    StoriesTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void write() {
        id = client.create("Leaflet", 2);
        JsonNode publication = client.read(id);
        look = publication.path("looks").get(0).path("look").path("id").asString();
        String page = publication.path("pages").get(0).path("id").asString();
        made(
                0,
                """
                {"type": "several", "edits": [
                 {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"}, "frame": "%s",
                  "sides": "BOTH", "story": "%s", "paragraph": "%s", "look": "%s",
                  "box": {"x": "20 mm", "y": "20 mm", "width": "60 mm", "height": "20 mm"}},
                 {"type": "writeText", "story": "%s", "was": [], "behind": "%s",
                  "paragraphs": [%s]}]}
                """
                        .formatted(
                                page,
                                frame,
                                story,
                                first,
                                look,
                                story,
                                first,
                                paragraph(second, "Two")));
    }

    private String paragraph(String paragraph, String text) {
        return "{\"paragraph\": \"%s\", \"look\": \"%s\", \"runs\": [{\"text\": \"%s\"}]}"
                .formatted(paragraph, look, text);
    }

    private String typed(String paragraph, String was, String text) {
        return "{\"type\": \"writeText\", \"story\": \"%s\", \"was\": [%s], \"paragraphs\": [%s]}"
                .formatted(story, paragraph(paragraph, was), paragraph(paragraph, text));
    }

    private void made(long revision, String edit) {
        Client.Answer answer = client.edit(id, revision, "ann", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private JsonNode read(String rest) {
        Client.Answer answer =
                client.get("/api/publications/%s/stories/%s%s".formatted(id, story, rest));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static List<String> texts(JsonNode story) {
        return story.path("paragraphs")
                .valueStream()
                .map(each -> each.path("runs").get(0).path("text").asString())
                .toList();
    }

    @Test
    void a_keystroke_sends_one_paragraph_there_and_back() {
        assertThat(texts(read(""))).containsExactly("", "Two");
        made(1, typed(second, "Two", "Second"));
        JsonNode since = read("?since=1");
        assertThat(texts(since)).containsExactly("Second");
        assertThat(since.has("order")).isFalse();
        assertThat(since.path("revision").asLong()).isEqualTo(2);
        assertThat(texts(read("?since=99"))).as("a revision that is not known").hasSize(2);
        made(
                2,
                "{\"type\": \"writeText\", \"story\": \"%s\", \"was\": [%s], \"paragraphs\": []}"
                        .formatted(story, paragraph(first, "")));
        JsonNode fewer = read("?since=2");
        assertThat(texts(fewer)).isEmpty();
        assertThat(fewer.path("order").get(0).asString()).isEqualTo(second);
    }

    @Test
    void while_one_types_only_the_picture_is_made() {
        String page = client.read(id).path("pages").get(0).path("id").asString();
        String asked =
                """
                {"edit": %s, "page": "%s", "viewing": "AS_DESIGNED"%s}
                """;
        String edit = typed(second, "Two", "Second");
        JsonNode all =
                client.post(
                                "/api/publications/" + id + "/previews",
                                asked.formatted(edit, page, ""))
                        .json();
        JsonNode alone =
                client.post(
                                "/api/publications/" + id + "/previews",
                                asked.formatted(edit, page, ", \"unchecked\": true"))
                        .json();
        assertThat(all.path("pages")).hasSize(1);
        assertThat(alone.path("pages")).isEmpty();
        assertThat(alone.path("findings")).isEmpty();
        assertThat(alone.path("picture")).isEqualTo(all.path("picture"));
        assertThat(texts(read(""))).as("nothing is stored").containsExactly("", "Two");
    }

    @Test
    void two_people_get_in_each_others_way_only_in_one_paragraph() {
        made(1, typed(first, "", "One"));
        made(1, typed(second, "Two", "Second"));
        assertThat(texts(read(""))).containsExactly("One", "Second");
        Client.Answer late = client.edit(id, 1, "bob", typed(second, "Two", "Deux"));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.detail()).contains("the text of a paragraph");
        assertThat(texts(read(""))).containsExactly("One", "Second");
    }

    @Test
    void it_is_told_where_the_room_ends_and_what_makes_more() {
        String much = "Reeds and mud and stars. ".repeat(40).strip();
        made(1, typed(second, "Two", much));
        JsonNode rest = read("/flow").path("rest");
        assertThat(rest.path("begin").path("paragraph").asString()).isEqualTo(second);
        int character = rest.path("begin").path("character").asInt();
        assertThat(rest.path("words").asInt())
                .isEqualTo(much.substring(character).split(" ").length);
        assertThat(
                        read("/caret?paragraph=%s&character=0".formatted(second))
                                .path("frame")
                                .asString())
                .isEqualTo(frame);
        Client.Answer gone =
                client.get(
                        "/api/publications/%s/stories/%s/caret?paragraph=%s&character=%d"
                                .formatted(id, story, second, much.length()));
        assertThat(gone.text()).isIn("", "null");
        JsonNode room = read("/room");
        made(2, room.path("edit").toString());
        assertThat(read("/flow").has("rest")).isFalse();
        assertThat(read("/flow").path("parts").size()).isGreaterThan(1);
        assertThat(client.read(id).path("pages").size()).isGreaterThan(2);
        Client.Answer again =
                client.get("/api/publications/%s/stories/%s/room".formatted(id, story));
        assertThat(again.status()).isEqualTo(422);
    }

    @Test
    void what_no_text_holds_is_refused_and_the_rest_stays() {
        for (String bad : List.of("\\u0007", "a\\nb", "a\\u0001b")) {
            Client.Answer refused = client.edit(id, 1, "ann", typed(second, "Two", bad));
            assertThat(refused.status()).as(bad).isIn(400, 422);
        }
        Client.Answer much = client.edit(id, 1, "ann", typed(second, "Two", "x".repeat(60_000)));
        assertThat(much.status()).isEqualTo(422);
        assertThat(much.detail()).contains("at most 50000 characters");
        String nowhere = UUID.randomUUID().toString();
        assertThat(client.get("/api/publications/%s/stories/%s".formatted(id, nowhere)).status())
                .isEqualTo(404);
        assertThat(texts(read(""))).containsExactly("", "Two");
    }
}
