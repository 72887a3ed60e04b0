package yewberry.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.server.store.db.Tables.ASSET_FILE;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.context.ApplicationContext;
import tools.jackson.databind.JsonNode;

/** Pictures and recipes over HTTP, with what is wrong with them. */
@ExtendWith(RunningServer.class)
class PicturesTest {
    private final Client client;
    private final ApplicationContext context;
    private String id;

    PicturesTest(Client client, ApplicationContext context) {
        this.client = client;
        this.context = context;
    }

    @BeforeEach
    void create() {
        id = client.create("Leaflet", 4);
    }

    private static byte[] png() {
        return png(0x30);
    }

    private static byte[] png(int red) {
        BufferedImage image = new BufferedImage(120, 90, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setColor(new Color(red, 0x60, 0x90));
        graphics.fillRect(0, 0, 120, 90);
        graphics.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private Client.Answer send(String path, byte[] body) {
        return client.send(
                HttpRequest.newBuilder(client.uri("/api/publications/" + id + path))
                        .header("Content-Type", "application/octet-stream")
                        .POST(HttpRequest.BodyPublishers.ofByteArray(body)));
    }

    private Client.Answer bring(String name, byte[] file) {
        return send("/pictures?name=" + URLEncoder.encode(name, StandardCharsets.UTF_8), file);
    }

    private Client.Answer edit(String edit) {
        return client.edit(id, client.read(id).path("revision").asLong(), "ann", edit);
    }

    private String page(int number) {
        return client.read(id).path("pages").get(number - 1).path("id").asString();
    }

    /** A picture on the first page; returns the asset. */
    private JsonNode placed() {
        return placed(png());
    }

    private JsonNode placed(byte[] file) {
        JsonNode asset = bring("Sky.png", file).json();
        Client.Answer answer =
                edit(
                        """
                        {"type": "several", "edits": [
                          {"type": "addAsset", "asset": %s},
                          {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"},
                           "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                             "fill": {"type": "picture", "asset": "%s", "runOut": "NONE", "placing":
                               {"fit": "COVER", "percent": 100, "base": "OWN", "rotation": 0,
                                "anchor": {"across": "MIDDLE", "down": "MIDDLE"},
                                "across": "0 mm", "down": "0 mm", "focus": {"x": 50, "y": 50}}}}}]}
                        """
                                .formatted(
                                        asset,
                                        page(1),
                                        UUID.randomUUID(),
                                        asset.path("id").asString()));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return asset;
    }

    @Test
    void a_picture_is_kept_placed_and_drawn() {
        JsonNode asset = placed();
        assertThat(asset.path("name").asString()).isEqualTo("Sky");
        assertThat(asset.path("content").path("type").asString()).isEqualTo("pixels");
        String picture =
                client.get("/api/publications/%s/pages/%s/picture".formatted(id, page(1))).text();
        assertThat(picture).contains("<image").contains("data:image/png;base64,");
        Client.Answer small =
                client.get(
                        "/api/publications/%s/pictures/%s/thumbnail"
                                .formatted(id, asset.path("id").asString()));
        assertThat(small.status()).isEqualTo(200);
        assertThat(small.bytes()).startsWith(0x89, 'P', 'N', 'G');
    }

    @Test
    void what_comes_in_twice_is_kept_once() {
        String one = bring("Sky.png", png()).json().path("sha256").asString();
        String other = bring("Other.png", png()).json().path("sha256").asString();
        assertThat(one).isEqualTo(other).hasSize(64);
    }

    @Test
    void a_file_that_is_not_what_the_step_says_is_refused() {
        JsonNode asset = bring("Sky.png", png()).json();
        String larger = asset.toString().replace("\"width\":120", "\"width\":12000");
        Client.Answer answer = edit("{\"type\": \"addAsset\", \"asset\": " + larger + "}");
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains("not here as it is described");
        String unknown = asset.toString().replace(asset.path("sha256").asString(), "0".repeat(64));
        assertThat(edit("{\"type\": \"addAsset\", \"asset\": " + unknown + "}").status())
                .isEqualTo(422);
        assertThat(client.read(id).path("assets")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Sky.jpg | named like a JPEG file",
                "Sky.pdf | named like a PDF file",
            })
    void a_mislabelled_file_is_refused(String name, String why) {
        Client.Answer answer = bring(name, png());
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains(why);
    }

    @Test
    void an_empty_or_broken_file_is_refused() {
        assertThat(bring("Sky.png", new byte[0]).detail()).contains("is empty");
        assertThat(bring("Sky.png", java.util.Arrays.copyOf(png(), 60)).detail())
                .contains("damaged or ends too early");
        assertThat(bring("a.pdf", "%PDF-1.4 broken".getBytes(StandardCharsets.US_ASCII)).detail())
                .contains("This PDF is damaged");
    }

    @Test
    void a_picture_in_use_is_not_removed_without_another() {
        JsonNode asset = placed();
        Client.Answer answer =
                edit(
                        "{\"type\": \"removeAsset\", \"asset\": \"%s\"}"
                                .formatted(asset.path("id").asString()));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains("is placed in 1 place");
    }

    @Test
    void a_file_that_fails_later_is_a_placeholder_and_a_finding() throws InterruptedException {
        byte[] whole = png(0x37); // of this test alone, so that nothing remembers it
        String sha256 = placed(whole).path("sha256").asString();
        context.getBean(DSLContext.class)
                .update(ASSET_FILE)
                .set(ASSET_FILE.FILE, java.util.Arrays.copyOf(whole, 60)) // the disk lost the rest
                .where(ASSET_FILE.SHA256.eq(sha256))
                .execute();
        try {
            String picture = "/api/publications/%s/pages/%s/picture".formatted(id, page(1));
            assertThat(client.get(picture).status()).isEqualTo(200);
            assertThat(client.findings(id, "").toString())
                    .contains("picture-unreadable")
                    .contains("damaged or ends too early");
            String job =
                    client.post("/api/publications/" + id + "/exports", "")
                            .json()
                            .path("id")
                            .asString();
            JsonNode ended = client.get("/api/jobs/" + job).json();
            for (int i = 0; i < 300 && ended.path("state").asString().equals("RUNNING"); i++) {
                Thread.sleep(100);
                ended = client.get("/api/jobs/" + job).json();
            }
            assertThat(ended.path("state").asString()).isEqualTo("FAILED");
            assertThat(ended.path("message").asString()).contains("damaged or ends too early");
        } finally {
            context.getBean(DSLContext.class)
                    .update(ASSET_FILE)
                    .set(ASSET_FILE.FILE, whole)
                    .where(ASSET_FILE.SHA256.eq(sha256))
                    .execute();
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"9-2 | 422", "5 | 422", "2-3 | 200", "even | 200"})
    void ranges_are_read_by_the_server(String text, int status) {
        Client.Answer answer =
                client.get(
                        "/api/publications/%s/ranges?text=%s"
                                .formatted(id, URLEncoder.encode(text, StandardCharsets.UTF_8)));
        assertThat(answer.status()).isEqualTo(status);
    }

    private String saved() {
        String recipe = UUID.randomUUID().toString();
        Client.Answer answer =
                edit(
                        """
                        {"type": "saveRecipe", "recipe": "%s", "name": "Dark hours",
                         "from": {"type": "onPage", "id": "%s"}}
                        """
                                .formatted(recipe, page(1)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return recipe;
    }

    @Test
    void a_recipe_goes_to_another_publication_as_a_file_with_its_picture() {
        placed();
        String recipe = saved();
        byte[] file =
                client.get("/api/publications/%s/recipes/%s/file".formatted(id, recipe)).bytes();
        id = client.create("Other", 2);
        JsonNode brought = send("/recipes/imports", file).json();
        assertThat(brought.path("name").asString()).isEqualTo("Dark hours");
        assertThat(edit(brought.path("edit").toString()).status()).isEqualTo(200);
        JsonNode there = client.read(id);
        assertThat(there.path("assets")).hasSize(1);
        String imported = there.path("recipes").get(0).path("recipe").path("id").asString();
        Client.Answer applied =
                edit(
                        """
                        {"type": "applyRecipe", "recipe": "%s", "colors": [],
                         "owners": [{"type": "onPage", "id": "%s"}]}
                        """
                                .formatted(imported, page(2)));
        assertThat(applied.status()).as(applied.text()).isEqualTo(200);
        assertThat(
                        client.get("/api/publications/%s/pages/%s/picture".formatted(id, page(2)))
                                .text())
                .contains("<image");
    }

    @Test
    void a_recipe_of_another_publication_is_listed_and_copied() {
        placed();
        String recipe = saved();
        String from = id;
        id = client.create("Other", 2);
        assertThat(client.get("/api/publications/%s/recipes/elsewhere".formatted(id)).text())
                .contains(recipe);
        JsonNode brought =
                client.post(
                                "/api/publications/%s/recipes/copies?from=%s&recipe=%s"
                                        .formatted(id, from, recipe),
                                "")
                        .json();
        assertThat(edit(brought.path("edit").toString()).status()).isEqualTo(200);
        assertThat(client.read(id).path("recipes")).hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "nothing | This recipe is damaged",
                "{\"format\": \"other\"} | This is not a recipe of Yewberry",
                "{\"format\": \"yewberry-recipe\", \"version\": 9} | of version 9",
                "{\"format\": \"yewberry-recipe\", \"version\": 1} | damaged",
            })
    void a_damaged_recipe_is_refused(String file, String why) {
        Client.Answer answer = send("/recipes/imports", file.getBytes(StandardCharsets.UTF_8));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.detail()).contains(why);
    }

    /** What is drawn where the picture stands, as the page that holds its own pixels shows it. */
    @Test
    void an_opaque_picture_is_moved_without_new_pixels() throws IOException {
        JsonNode asset = placed();
        String spread = "/api/publications/%s/spreads/0/picture".formatted(id);
        String before = client.get(spread).text();
        assertThat(before).contains("/seen?").doesNotContain("data:image");
        String address = address(before);
        Client.Answer pixels = client.get(address);
        assertThat(pixels.headers().firstValue("Cache-Control").orElse("")).contains("immutable");

        BufferedImage seen = ImageIO.read(new ByteArrayInputStream(pixels.bytes()));
        Matcher own =
                Pattern.compile("base64,([^\"]+)")
                        .matcher(
                                client.get(
                                                "/api/publications/%s/pages/%s/picture"
                                                        .formatted(id, page(1)))
                                        .text());
        assertThat(own.find()).isTrue();
        BufferedImage painted =
                ImageIO.read(new ByteArrayInputStream(Base64.getDecoder().decode(own.group(1))));
        int one = seen.getRGB(seen.getWidth() / 2, seen.getHeight() / 2);
        int other = painted.getRGB(painted.getWidth() / 2, painted.getHeight() / 2);
        for (int shift = 0; shift <= 16; shift += 8) {
            assertThat(one >> shift & 0xff).isCloseTo(other >> shift & 0xff, within(4));
        }

        JsonNode background =
                client.get("/api/publications/%s/pages/%s".formatted(id, page(1)))
                        .json()
                        .path("layer")
                        .path("backgrounds")
                        .get(0);
        String moved = background.toString().replace("\"x\":50.0", "\"x\":20.0");
        assertThat(edit("{\"type\": \"changeBackground\", \"background\": " + moved + "}").status())
                .isEqualTo(200);
        String after = client.get(spread).text();
        assertThat(address(after)).isEqualTo(address);
        assertThat(after).isNotEqualTo(before);

        // one that lets through what is below is mixed in ink, by the server
        String veiled = moved.replace("\"opacity\":100.0", "\"opacity\":60.0");
        edit("{\"type\": \"changeBackground\", \"background\": " + veiled + "}");
        assertThat(client.get(spread).text()).contains("data:image").doesNotContain("/seen?");
        assertThat(
                        client.get(
                                        "/api/publications/%s/pictures/%s/seen?factor=3"
                                                .formatted(id, asset.path("id").asString()))
                                .status())
                .isEqualTo(422);
    }

    private static String address(String svg) {
        Matcher found = Pattern.compile("href=\"(/api[^\"]+)\"").matcher(svg);
        assertThat(found.find()).as(svg).isTrue();
        return found.group(1).replace("&amp;", "&");
    }
}
