package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What was exported as a recipe can be imported, whatever it holds. */
@ExtendWith(RunningServer.class)
class RecipesTest {
    private static final String MOON = "\uD83C\uDF19"; // two chars, one character

    private final Client client;
    private String id;

    RecipesTest(Client client) {
        this.client = client;
    }

    @BeforeEach
    void create() {
        id = client.create("Leaflet", 2);
    }

    private Client.Answer send(String path, byte[] body) {
        return client.send(
                HttpRequest.newBuilder(client.uri("/api/publications/" + id + path))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private void edit(String edit) {
        Client.Answer answer =
                client.edit(id, client.read(id).path("revision").asLong(), "ann", edit);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    private void several(String edits) {
        edit("{\"type\": \"several\", \"edits\": [%s]}".formatted(edits));
    }

    private static String swatch(String swatch, String name, int red) {
        return """
        {"type": "addSwatch", "swatch": {"id": "%s", "name": "%s",
         "definition": {"type": "plain",
         "color": {"type": "rgb", "red": %d, "green": 16, "blue": 38}}}}
        """
                .formatted(swatch, name, red);
    }

    /** On the first page. */
    private String wholePage(String fill) {
        return """
        {"type": "addBackground",
         "owner": {"type": "onPage", "id": "%s"},
         "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                        "fill": %s}}
        """
                .formatted(
                        client.read(id).path("pages").get(0).path("id").asString(),
                        UUID.randomUUID(),
                        fill);
    }

    private static String solid(String swatch) {
        return "{\"type\": \"solid\", \"color\": {\"swatch\": \"%s\", \"tint\": 100}}"
                .formatted(swatch);
    }

    private static String picture(JsonNode asset) {
        return """
        {"type": "picture", "asset": "%s", "runOut": "NONE", "placing":
         {"fit": "COVER", "percent": 100, "base": "OWN", "rotation": 0,
          "anchor": {"across": "MIDDLE", "down": "MIDDLE"},
          "across": "0 mm", "down": "0 mm", "focus": {"x": 50, "y": 50}}}
        """
                .formatted(asset.path("id").asString());
    }

    private JsonNode bring(String name, byte[] file) {
        Client.Answer answer =
                send("/pictures?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8), file);
        assertThat(answer.status()).as(answer.text()).isEqualTo(201);
        edit("{\"type\": \"addAsset\", \"asset\": %s}".formatted(answer.json()));
        return answer.json();
    }

    /** Pixels that no compression makes smaller. */
    private static byte[] noise(int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_3BYTE_BGR);
        new Random(8).nextBytes(((DataBufferByte) image.getRaster().getDataBuffer()).getData());
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "tiff", out);
        return out.toByteArray();
    }

    /** What is on the first page, saved and exported. */
    private byte[] exported() {
        Client.Answer file = export();
        assertThat(file.status()).as("export").isEqualTo(200);
        return file.bytes();
    }

    private Client.Answer export() {
        String recipe = UUID.randomUUID().toString();
        edit(
                """
                {"type": "saveRecipe", "recipe": "%s", "name": "Dark hours",
                 "from": {"type": "onPage", "id": "%s"}}
                """
                        .formatted(
                                recipe,
                                client.read(id).path("pages").get(0).path("id").asString()));
        return client.get("/api/publications/%s/recipes/%s/file".formatted(id, recipe));
    }

    /** Imports the recipe as the browser does: what is read comes back as an edit. */
    private JsonNode imported(byte[] file) {
        Client.Answer brought = send("/recipes/imports", file);
        assertThat(brought.status()).as("import").isEqualTo(200);
        edit(brought.json().path("edit").toString());
        JsonNode there = client.read(id);
        assertThat(there.path("recipes")).hasSize(1);
        return there;
    }

    @Test
    void with_the_longest_names() throws IOException {
        String name = "N".repeat(117) + MOON + "xy";
        String mine = UUID.randomUUID().toString();
        JsonNode asset = bring(MOON.repeat(130) + ".tif", noise(8, 8));
        assertThat(asset.path("name").asString()).isEqualTo(MOON.repeat(100));
        several(
                String.join(
                        ",",
                        swatch(mine, name, 11),
                        wholePage(solid(mine)),
                        wholePage(picture(asset))));
        byte[] file = exported();
        id = client.create("Other", 2);
        edit(swatch(UUID.randomUUID().toString(), name, 240)); // the name is taken there
        assertThat(imported(file).path("swatches").toString())
                .contains(name)
                .contains("\"" + "N".repeat(117) + MOON + " 2\"");
    }

    @Test
    void with_a_picture_of_more_characters_than_a_string_of_json_usually_has() throws IOException {
        JsonNode asset = bring("Noise.tif", noise(6000, 4500));
        edit(wholePage(picture(asset)));
        byte[] file = exported();
        assertThat(file).hasSizeGreaterThan(100_000_000);
        id = client.create("Other", 2);
        assertThat(imported(file).path("assets")).hasSize(1);
    }

    @Test
    void with_thousands_of_backgrounds() {
        String mine = UUID.randomUUID().toString();
        edit(swatch(mine, "Night", 11));
        String one = wholePage(solid(mine));
        several(
                IntStream.range(0, 3000)
                        .mapToObj(each ->
                                one.replaceFirst(
                                        "(\"background\": \\{\"id\": \")[^\"]*",
                                        "$1" + UUID.randomUUID()))
                        .collect(Collectors.joining(",")));
        byte[] file = exported();
        assertThat(file).hasSizeGreaterThan(1 << 20);
        id = client.create("Other", 2);
        imported(file);
    }

    @Test
    void one_that_would_be_too_large_is_not_exported() throws IOException {
        for (int i = 0; i < 3; i++) {
            byte[] file = noise(4200, 4000 + i);
            edit(wholePage(picture(bring("Noise.tif", file))));
        }
        Client.Answer file = export();
        assertThat(file.status()).isEqualTo(422);
        assertThat(file.detail()).contains("too large a file to be imported again");
    }
}
