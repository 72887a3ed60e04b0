package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Where things of the catalogue are used, over HTTP. */
@ExtendWith(RunningServer.class)
class UsesTest {
    private final Client client;

    UsesTest(Client client) {
        this.client = client;
    }

    private static String named(JsonNode list, String inner, String name) {
        return list.valueStream()
                .map(each -> inner.isEmpty() ? each : each.path(inner))
                .filter(each -> each.path("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }

    private static List<String> texts(JsonNode list) {
        List<String> texts = new ArrayList<>();
        list.forEach(each -> texts.add(each.asString()));
        return texts;
    }

    @Test
    void each_place_is_named_once_and_pages_by_their_numbers() {
        String id = client.create("Leaflet", 4);
        JsonNode publication = client.read(id);
        String black = named(publication.path("swatches"), "", "Black");
        String white = named(publication.path("swatches"), "", "White");
        String body = named(publication.path("looks"), "look", "Body");
        String plain = named(publication.path("parents"), "", "Plain");
        long revision = 0;
        for (int page : List.of(3, 1, 3)) {
            Client.Answer answer =
                    client.edit(
                            id,
                            revision++,
                            "ann",
                            """
                            {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"},
                             "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                               "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}}
                            """
                                    .formatted(
                                            publication
                                                    .path("pages")
                                                    .get(page - 1)
                                                    .path("id")
                                                    .asString(),
                                            UUID.randomUUID(),
                                            white));
            assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        }
        String gone = UUID.randomUUID().toString();
        JsonNode uses =
                client.get(
                                "/api/publications/%s/uses?of=%s"
                                        .formatted(
                                                id,
                                                String.join(",", black, white, body, plain, gone)))
                        .json();
        assertThat(uses).hasSize(5);
        assertThat(texts(uses.get(0).path("names")))
                .containsExactly("look “Body”", "look “Heading”");
        assertThat(texts(uses.get(1).path("pages"))).containsExactly("1", "3");
        assertThat(texts(uses.get(2).path("names"))).containsExactly("look “Heading”");
        assertThat(texts(uses.get(3).path("pages"))).containsExactly("1", "2", "3", "4");
        assertThat(uses.get(4).path("names")).isEmpty();
        assertThat(uses.get(4).path("pages")).isEmpty();
    }
}
