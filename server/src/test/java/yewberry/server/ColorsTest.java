package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;

@ExtendWith(RunningServer.class)
class ColorsTest {
    private final Client client;
    private String id;

    ColorsTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void create() {
        id = client.create("Colours", 2);
    }

    private JsonNode swatch(String name) {
        for (JsonNode each : client.read(id).path("swatches")) {
            if (each.path("name").asString().equals(name)) {
                return each;
            }
        }
        throw new AssertionError("No " + name);
    }

    private Client.Answer edit(String edit) {
        return client.edit(id, client.read(id).path("revision").asLong(), "ann", edit);
    }

    private Client.Answer add(String name, String definition) {
        return edit(
                """
                {"type": "addSwatch", "swatch": {"id": "%s", "name": "%s", "definition": %s}}
                """
                        .formatted(UUID.randomUUID(), name, definition));
    }

    private String idOf(String name) {
        return swatch(name).path("id").asString();
    }

    @Test
    void derived_swatches_are_stored_and_follow_their_base() {
        String dusk = idOf("Dusk");
        String sand = idOf("Sand");
        assertThat(
                        add(
                                        "Haze",
                                        "{\"type\": \"tint\", \"base\": \""
                                                + dusk
                                                + "\", \"percent\": 50}")
                                .status())
                .isEqualTo(200);
        assertThat(
                        add(
                                        "Evening",
                                        "{\"type\": \"mix\", \"one\": \"%s\", \"other\": \"%s\", \"percent\": 25}"
                                                .formatted(idOf("Haze"), sand))
                                .status())
                .isEqualTo(200);
        assertThat(swatch("Haze").path("values").asString()).isEqualTo("C45 M35 Y15 K15");
        edit(
                """
                {"type": "changeSwatch", "swatch": "%s", "definition": {"type": "plain", "color":
                  {"type": "cmyk", "cyan": 20, "magenta": 0, "yellow": 0, "black": 0}}}
                """
                        .formatted(dusk));
        assertThat(swatch("Haze").path("values").asString()).isEqualTo("C10 M0 Y0 K0");
        assertThat(swatch("Evening").path("values").asString()).isEqualTo("C5.5 M6 Y15 K0");
        assertThat(swatch("Dusk").path("uses").asInt()).isEqualTo(1);
    }

    @Test
    void a_base_in_use_is_replaced_and_whole_families_can_be_undone() {
        String dusk = idOf("Dusk");
        add("Haze", "{\"type\": \"tint\", \"base\": \"" + dusk + "\", \"percent\": 50}");
        assertThat(edit("{\"type\": \"removeSwatch\", \"swatch\": \"" + dusk + "\"}").status())
                .isEqualTo(422);
        assertThat(
                        edit("{\"type\": \"removeSwatch\", \"swatch\": \"%s\", \"replacement\": \"%s\"}"
                                        .formatted(dusk, idOf("Sand")))
                                .status())
                .isEqualTo(200);
        assertThat(swatch("Haze").path("values").asString()).isEqualTo("C2 M4 Y10 K0");
        for (int i = 0; i < 2; i++) {
            assertThat(
                            client.post(
                                            "/api/publications/" + id + "/undo",
                                            "{\"author\": \"ann\"}")
                                    .status())
                    .isEqualTo(200);
        }
        assertThat(idOf("Dusk")).isEqualTo(dusk);
        assertThat(client.delete("/api/publications/" + id).status()).isEqualTo(204);
        create();
    }

    @Test
    void circles_process_names_and_twin_inks_are_refused_and_nothing_changes() {
        String dusk = idOf("Dusk");
        add("Haze", "{\"type\": \"tint\", \"base\": \"" + dusk + "\", \"percent\": 50}");
        String spot =
                "{\"type\": \"spotInk\", \"equivalent\": {\"type\": \"lab\", \"lightness\": 60, \"a\": 40, \"b\": 60}}";
        add("Lantern", spot);
        JsonNode before = client.read(id);
        Client.Answer circle =
                edit(
                        "{\"type\": \"changeSwatch\", \"swatch\": \"%s\", \"definition\": {\"type\": \"lighter\", \"base\": \"%s\", \"percent\": 5}}"
                                .formatted(dusk, idOf("Haze")));
        assertThat(circle.status()).isEqualTo(422);
        assertThat(circle.detail()).contains("“Dusk” from “Haze” from “Dusk”");
        assertThat(add("Magenta", spot).detail()).contains("process ink");
        assertThat(add("Lantern", spot).detail()).contains("already");
        assertThat(
                        add(
                                        "X",
                                        "{\"type\": \"tint\", \"base\": \""
                                                + dusk
                                                + "\", \"percent\": 120}")
                                .status())
                .isEqualTo(422);
        assertThat(client.read(id)).isEqualTo(before);
    }

    @Test
    void a_colour_is_read_in_every_space() {
        JsonNode read =
                client.get("/api/publications/" + id + "/colors?text=rgb(108%20143%20122)").json();
        assertThat(read.path("color").path("type").asString()).isEqualTo("rgb");
        assertThat(read.path("cmyk").path("cyan").asDouble()).isEqualTo(44);
        assertThat(read.path("rgb").path("red").asInt()).isEqualTo(108);
        // what is seen is the ink, since the publication goes to paper
        assertThat(read.path("screen").asString())
                .isEqualTo(
                        PressCondition.coated().seen(new Rgb(108, 143, 122), Medium.PAPER).hex());
        Client.Answer refused = client.get("/api/publications/" + id + "/colors?text=blurple");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.detail()).contains("blurple");
    }

    private Client.Answer bring(byte[] profile) {
        return client.send(
                HttpRequest.newBuilder(
                                client.uri(
                                        "/api/press-conditions?name=Harbour%20press&inkLimit=280"))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(profile)));
    }

    @Test
    void a_profile_of_ones_own_becomes_a_press_condition() {
        Client.Answer added = bring(PressCondition.shipped().get(1).profile());
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        String condition = added.json().path("id").asString();
        JsonNode setup = client.read(id).path("setup");
        String changed = setup.toString().replace("\"coated\"", "\"" + condition + "\"");
        assertThat(edit("{\"type\": \"changeSetup\", \"setup\": " + changed + "}").status())
                .isEqualTo(200);
        assertThat(client.read(id).path("pressCondition").asString()).isEqualTo("Harbour press");
        String unknown = setup.toString().replace("\"coated\"", "\"nowhere\"");
        assertThat(edit("{\"type\": \"changeSetup\", \"setup\": " + unknown + "}").detail())
                .contains("no press condition “nowhere”");
    }

    @Test
    void a_profile_that_cannot_serve_is_refused_with_the_reason() throws IOException {
        int count = client.get("/api/press-conditions").json().size();
        byte[] whole = PressCondition.coated().profile();
        assertThat(bring(Arrays.copyOf(whole, whole.length / 2)).detail())
                .contains("not a whole ICC profile");
        assertThat(bring(Files.readAllBytes(Path.of("pom.xml"))).detail())
                .contains("not a whole ICC profile");
        byte[] screen =
                java.awt.color.ICC_Profile.getInstance(java.awt.color.ColorSpace.CS_sRGB).getData();
        assertThat(bring(screen).detail()).contains("not for CMYK");
        byte[] damaged = whole.clone();
        Arrays.fill(damaged, 128, 400, (byte) 7);
        assertThat(bring(damaged).status()).isEqualTo(422);
        assertThat(client.get("/api/press-conditions").json()).hasSize(count);
    }

    @Test
    void a_coloured_stock_is_a_finding_until_it_is_answered() {
        String setup = client.read(id).path("setup").toString();
        String pink =
                setup.replace(
                        "\"stockIsReal\":false",
                        "\"stock\":{\"type\":\"lab\",\"lightness\":80,\"a\":15,\"b\":5},\"stockIsReal\":false");
        assertThat(edit("{\"type\": \"changeSetup\", \"setup\": " + pink + "}").status())
                .isEqualTo(200);
        JsonNode findings = client.findings(id, "").path("findings");
        assertThat(findings).hasSize(2);
        assertThat(findings.get(0).path("kind").asString()).isEqualTo("stock-not-printed");
        String answered = pink.replace("\"stockIsReal\":false", "\"stockIsReal\":true");
        edit("{\"type\": \"changeSetup\", \"setup\": " + answered + "}");
        assertThat(client.findings(id, "").path("findings")).isEmpty();
    }

    @Test
    void the_viewing_changes_the_picture_and_the_ratio_but_not_the_verdict() {
        String page = client.read(id).path("pages").get(0).path("id").asString();
        String path = "/api/publications/" + id + "/pages/" + page;
        assertThat(client.get(path + "/picture").text()).contains("#ffffff");
        assertThat(client.get(path + "/picture?viewing=ON_PRESS").text())
                .doesNotContain("fill=\"#ffffff\"");
        assertThat(client.get(path + "/picture?viewing=SIDEWAYS").status()).isEqualTo(400);
        JsonNode stock =
                client.get(path + "/strata?x=5&y=5&viewing=ON_PRESS").json().path("strata").get(0);
        assertThat(stock.path("screen").asString()).isNotEqualTo("#ffffff");
    }
}
