package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningServer.class)
class PalettesTest {
    private static final String GUIDE = "23783a97-67ff-3040-9891-81dcd87b5cea";

    private final Client client;
    private String id;

    PalettesTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void create() {
        id = client.create("Palettes", 1);
    }

    private JsonNode read(String format, String text) {
        Client.Answer answer =
                client.send(
                        HttpRequest.newBuilder(
                                        client.uri(
                                                "/api/publications/"
                                                        + id
                                                        + "/palette?format="
                                                        + format))
                                .header("Content-Type", "text/plain")
                                .POST(HttpRequest.BodyPublishers.ofString(text)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private String written(String publication, String format) {
        return client.get("/api/publications/" + publication + "/palette?format=" + format).text();
    }

    private void add(JsonNode read) {
        long revision = client.read(id).path("revision").asLong();
        Client.Answer answer = client.edit(id, revision, "ann", read.path("edit").toString());
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private static List<String> all(JsonNode list, String field) {
        List<String> values = new ArrayList<>();
        list.forEach(each -> values.add(each.path(field).asString()));
        return values;
    }

    private static List<Integer> lines(JsonNode list) {
        List<Integer> lines = new ArrayList<>();
        list.forEach(each -> lines.add(each.path("line").asInt()));
        return lines;
    }

    /** Kinds, values and what derives from what, with names in the place of ids. */
    private String swatches(String publication) {
        JsonNode swatches = client.read(publication).path("swatches");
        String text = "";
        for (JsonNode swatch : swatches) {
            text += swatch.path("name").asString() + " " + swatch.path("definition") + "\n";
        }
        for (JsonNode swatch : swatches) {
            text = text.replace(swatch.path("id").asString(), swatch.path("name").asString());
        }
        return text;
    }

    @ParameterizedTest
    @ValueSource(strings = {"TOKENS", "CSV"})
    void a_palette_goes_out_and_comes_in_again_with_its_inks_and_what_derives_from_what(
            String format) {
        String file = written(GUIDE, format);
        JsonNode read = read(format, file);
        assertThat(all(read.path("unread"), "reason"))
                .as("what a new publication has too")
                .containsOnly("It is in the publication already.");
        add(read);
        for (String line : swatches(GUIDE).lines().toList()) {
            String name = line.substring(0, line.indexOf(" {"));
            // a name that was taken by another colour gets a number; what chooses has no value
            if (!List.of("Dusk", "Sand", "Reading").contains(name)) {
                assertThat(swatches(id))
                        .contains(line.replace("\"Dusk", "\"Dusk 2").replace("\"Sand", "\"Sand 2"));
            }
        }
        assertThat(all(read.path("added"), "name")).contains("Dusk 2", "Sand 2", "Lantern");
    }

    @Test
    void css_has_what_a_screen_shows_and_is_read_again() {
        String css = written(GUIDE, "CSS");
        assertThat(css).startsWith(":root {\n").contains("--beacon: #d94f2b;");
        JsonNode read = read("CSS", css);
        assertThat(read.path("unread")).isEmpty();
        assertThat(all(read.path("added"), "screen")).contains("#d94f2b");
    }

    @Test
    void what_cannot_be_read_of_css_is_listed_by_its_line() {
        JsonNode read =
                read(
                        "CSS",
                        """
                        :root {
                          /* --old: #123456;
                             of last year */
                          --night-sky: #0b1a2f;
                          --gap: 12px;
                          --dawn: var(--night-sky);
                          --mist: rgb(10 20 30 / 50%);
                          --lost: var(--nowhere)
                        }
                        """);
        assertThat(all(read.path("added"), "name")).containsExactly("Night sky", "Dawn");
        assertThat(lines(read.path("unread"))).containsExactly(5, 7, 8);
        assertThat(all(read.path("unread"), "reason").get(0)).contains("12px");
        assertThat(all(read.path("unread"), "reason").get(1)).contains("see-through");
        assertThat(all(read.path("unread"), "reason").get(2)).contains("“Nowhere”");
    }

    @Test
    void what_cannot_be_read_of_csv_is_listed_by_its_line() {
        JsonNode read =
                read(
                        "CSV",
                        """
                        name,kind,value,c,m,y,k,of,percent
                        Night,cmyk,,100,86,42,52,,
                        "Tern, grey",,#8a8f94,,,,,,
                        Flood,cmyk,,100,186,42,52,,
                        Nothing,,,,,,,,
                        Cyan,spot,cmyk(100% 0% 0% 0%),,,,,,
                        Haze,tint,,,,,,Night,130
                        Mud,tint,,,,,,Night,30
                        One,tint,,,,,,Two,30
                        Two,tint,,,,,,One,30
                        """);
        assertThat(all(read.path("added"), "name")).containsExactly("Night", "Tern, grey", "Mud");
        assertThat(lines(read.path("unread"))).containsExactly(4, 5, 6, 7, 9, 10);
        assertThat(all(read.path("unread"), "reason").toString())
                .contains("Magenta of 186 %")
                .contains("no colour in this line")
                .contains("process ink")
                .contains("A tint of 130 %")
                .contains("derives from itself");
        add(read);
        assertThat(swatches(id)).contains("\"percent\":30");
    }

    @Test
    void design_tokens_are_read_with_groups_aliases_and_several_spaces() {
        JsonNode read =
                read(
                        "TOKENS",
                        """
                        {
                          "sky": {
                            "$type": "color",
                            "night": {"$value": {"colorSpace": "srgb", "components": [0.043, 0.102, 0.184]}},
                            "alias": {"$value": "{sky.night}"},
                            "glow": {
                              "$value": {"colorSpace": "lab", "components": [60, 40, "none"]}
                            },
                            "wide": {"$value": {"colorSpace": "display-p3", "components": [1, 0, 0]}}
                          },
                          "gap": {"$type": "dimension", "$value": {"value": 4, "unit": "px"}},
                          "old": {"$type": "color", "$value": "#d94f2b"}
                        }
                        """);
        assertThat(all(read.path("added"), "name"))
                .containsExactly("sky night", "sky alias", "sky glow", "old");
        assertThat(all(read.path("added"), "screen")).contains("#0b1a2f", "#d94f2b");
        assertThat(lines(read.path("unread"))).containsExactly(9, 11);
        assertThat(all(read.path("unread"), "reason").getFirst()).contains("display-p3");
        assertThat(all(read.path("unread"), "reason").getLast()).contains("dimension");
    }

    @Test
    void broken_files_add_nothing_and_say_where_they_break() {
        JsonNode before = client.read(id);
        JsonNode tokens = read("TOKENS", "{\n \"night\": {\"$type\": \"color\",\n oops");
        assertThat(tokens.path("added")).isEmpty();
        assertThat(lines(tokens.path("unread"))).containsExactly(3);
        assertThat(read("TOKENS", "[]").path("unread")).hasSize(1);
        assertThat(read("CSV", "colour;value\nred;#f00\n").path("unread")).hasSize(1);
        assertThat(read("CSV", "name,value\n\"Night,#000\n").path("unread")).hasSize(1);
        assertThat(read("CSS", "body { color: red }").path("unread")).hasSize(1);
        assertThat(read("CSS", "").path("unread")).hasSize(1);
        assertThat(client.read(id)).isEqualTo(before);
    }

    @Test
    void pictures_to_choose_from_are_png() {
        String[] paths = {
            "/api/press-conditions/coated/planes?hue=40",
            "/api/press-conditions/uncoated/strips?color=%23d94f2b&axis=CHROMA",
            "/api/publications/" + GUIDE + "/swatches/" + haze() + "/strip"
        };
        for (String path : paths) {
            Client.Answer answer = client.get(path);
            assertThat(answer.headers().firstValue("content-type")).contains("image/png");
            assertThat(new String(answer.bytes(), 1, 3, java.nio.charset.StandardCharsets.US_ASCII))
                    .isEqualTo("PNG");
        }
        assertThat(client.get("/api/press-conditions/coated/planes?hue=400").status())
                .isEqualTo(422);
        assertThat(client.get("/api/press-conditions/no/planes?hue=40").status()).isEqualTo(422);
    }

    private String haze() {
        for (JsonNode swatch : client.read(GUIDE).path("swatches")) {
            if (swatch.path("name").asString().equals("Haze")) {
                return swatch.path("id").asString();
            }
        }
        throw new AssertionError("No Haze");
    }
}
