package yewberry.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server with empty data, and publications to work on over HTTP. */
final class Served implements AutoCloseable {
    private static final String WORDS =
            "Where the sea wall ends and the reeds begin, there is no street lamp for eleven miles. "
                    .repeat(12)
                    .strip();

    private final HttpClient http = HttpClient.newHttpClient();
    private final JsonMapper json = JsonMapper.builder().build();
    private final ConfigurableApplicationContext server;
    private final URI base;

    Served() throws IOException {
        Path data = Files.createTempDirectory("yewberry-bench");
        server =
                SpringApplication.run(
                        yewberry.server.YewberryApplication.class,
                        "--server.port=0",
                        "--yewberry.data=" + data);
        int port = ((WebServerApplicationContext) server).getWebServer().getPort();
        base = URI.create("http://127.0.0.1:" + port);
    }

    @Override
    public void close() {
        server.close();
    }

    /** A publication under the benchmark. */
    final class Subject {
        private final String id;
        private final String background = UUID.randomUUID().toString();
        private final String picture = UUID.randomUUID().toString();
        private final String[] swatches;
        private final List<String> pages = new ArrayList<>();
        private final String setup;
        private final String parent;
        private final String asset;
        private final String moving = UUID.randomUUID().toString();
        private final String story = UUID.randomUUID().toString();
        private final String typed = UUID.randomUUID().toString();
        private final String look;
        private String words = "";
        private String large = "";
        private boolean pictured;
        private long revision;

        Subject(int pages) throws IOException, InterruptedException {
            id =
                    post(
                                    "/api/publications",
                                    """
                                    {"name": "Bench", "trim": {"width": "148 mm", "height": "210 mm"},
                                     "destination": "PAPER", "facing": true, "bleed": "3 mm", "pages": %d}
                                    """
                                            .formatted(pages))
                            .path("id")
                            .asString();
            JsonNode publication = json.readTree(get("/api/publications/" + id));
            setup = publication.path("setup").toString();
            String parent = publication.path("parents").get(0).path("id").asString();
            look = publication.path("looks").get(0).path("look").path("id").asString();
            swatches =
                    new String[] {
                        publication.path("swatches").get(2).path("id").asString(),
                        publication.path("swatches").get(3).path("id").asString()
                    };
            List<String> edits = new ArrayList<>();
            for (JsonNode page : pagesOf(pages)) {
                this.pages.add(page.path("id").asString());
                edits.addAll(textOn(page.path("id").asString(), look));
                if (edits.size() >= 60) {
                    edit(several(edits));
                    edits.clear();
                }
            }
            JsonNode picture = bring(MadePictures.rgb(1819, 2551, 1));
            asset = picture.path("id").asString();
            edits.add("{\"type\": \"addAsset\", \"asset\": " + picture + "}");
            edits.add(onParent(parent, wholePage(0)));
            edit(several(edits));
            this.parent = parent;
        }

        private List<JsonNode> pagesOf(int count) throws IOException, InterruptedException {
            List<JsonNode> all = new ArrayList<>();
            while (all.size() < count) {
                String path =
                        "/api/publications/%s/pages?from=%d&to=%d".formatted(id, all.size(), count);
                json.readTree(get(path)).path("pages").forEach(all::add);
            }
            return all;
        }

        private List<String> textOn(String page, String look) {
            UUID frame = UUID.randomUUID();
            UUID story = UUID.randomUUID();
            UUID paragraph = UUID.randomUUID();
            return List.of(
                    """
                    {"type": "addFrame", "owner": {"type": "onPage", "id": "%s"}, "frame": "%s",
                     "sides": "BOTH", "story": "%s", "paragraph": "%s", "look": "%s",
                     "box": {"x": "16 mm", "y": "18 mm", "width": "110 mm", "height": "170 mm"}}
                    """
                            .formatted(page, frame, story, paragraph, look),
                    """
                    {"type": "writeText", "story": "%s", "was": [],
                     "paragraphs": [{"paragraph": "%s", "look": "%s", "runs": [{"text": "%s"}]}]}
                    """
                            .formatted(story, UUID.randomUUID(), look, WORDS));
        }

        private String several(List<String> edits) {
            return "{\"type\": \"several\", \"edits\": [" + String.join(",", edits) + "]}";
        }

        String wholePage(int turn) {
            return """
            {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
             "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}
            """
                    .formatted(background, swatches[turn % 2]);
        }

        private static String onParent(String parent, String background) {
            return """
            {"type": "addBackground", "owner": {"type": "onParent", "id": "%s"}, "background": %s}
            """
                    .formatted(parent, background);
        }

        private JsonNode bring(byte[] file) throws IOException, InterruptedException {
            return json.readTree(
                    send(
                            HttpRequest.newBuilder(
                                            base.resolve(
                                                    "/api/publications/"
                                                            + id
                                                            + "/pictures?name=clouds.jpg"))
                                    .header("Content-Type", "application/octet-stream")
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                                    .build()));
        }

        /** The picture as a background, which is on the parent from the first time on. */
        String pictureGround(int turn) throws IOException, InterruptedException {
            String background =
                    """
                    {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"}, "opacity": 80,
                     "blend": "%s", "fill": {"type": "picture", "asset": "%s", "runOut": "NONE",
                     "placing": {"fit": "COVER", "percent": 100, "base": "OWN", "rotation": 0,
                       "anchor": {"across": "MIDDLE", "down": "MIDDLE"}, "across": "0 mm",
                       "down": "0 mm", "focus": {"x": 50, "y": 50}}}}
                    """
                            .formatted(picture, turn % 2 == 0 ? "MULTIPLY" : "SCREEN", asset);
            if (!pictured) {
                pictured = true;
                edit(onParent(parent, background));
            }
            return background;
        }

        private void edit(String edit) throws IOException, InterruptedException {
            revision =
                    post(
                                    "/api/publications/" + id + "/edits",
                                    "{\"edit\": %s, \"revision\": %d, \"author\": \"bench\"}"
                                            .formatted(edit, revision))
                            .path("revision")
                            .asLong();
        }

        /** From sending an edit to having the picture of a spread, in nanoseconds. */
        long turn(String edit) throws IOException, InterruptedException {
            long start = System.nanoTime();
            long before = revision;
            edit(edit);
            see(before);
            return System.nanoTime() - start;
        }

        /** Renames the publication again and again. */
        void rename(int times) throws IOException, InterruptedException {
            for (int i = 0; i < times; i++) {
                edit(
                        "{\"type\": \"renamePublication\", \"name\": \"Bench, edit %d\"}"
                                .formatted(i));
            }
        }

        /** Puts one of so many pictures of two megapixels behind each third page. */
        void picturesBehindAThird(int files) throws IOException, InterruptedException {
            List<String> edits = new ArrayList<>();
            List<String> assets = new ArrayList<>();
            for (int i = 0; i < files; i++) {
                JsonNode asset = bring(MadePictures.rgb(1819, 1200, 10 + i));
                edits.add("{\"type\": \"addAsset\", \"asset\": " + asset + "}");
                assets.add(asset.path("id").asString());
            }
            for (int i = 0; i < pages.size(); i += 3) {
                edits.add(
                        onPage(
                                page(i),
                                """
                                {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                                 "fill": {"type": "picture", "asset": "%s", "runOut": "NONE",
                                 "placing": {"fit": "COVER", "percent": 100, "base": "OWN",
                                   "rotation": 0, "anchor": {"across": "MIDDLE", "down": "MIDDLE"},
                                   "across": "0 mm", "down": "0 mm", "focus": {"x": 50, "y": 50}}}}
                                """
                                        .formatted(UUID.randomUUID(), assets.get(i / 3 % files))));
            }
            edit(several(edits));
        }

        private static String onPage(String page, String background) {
            return "{\"type\": \"addBackground\", \"owner\": {\"type\": \"onPage\", \"id\": \"%s\"}, \"background\": %s}"
                    .formatted(page, background);
        }

        /** From asking for all findings to having them, in nanoseconds. */
        long findings() throws IOException, InterruptedException {
            long start = System.nanoTime();
            JsonNode found;
            do {
                found = json.readTree(get("/api/publications/" + id + "/findings"));
            } while (found.path("checked").asInt() < found.path("pages").asInt());
            return System.nanoTime() - start;
        }

        /** From sending an edit to having all findings again, in nanoseconds. */
        long judged(String edit) throws IOException, InterruptedException {
            long start = System.nanoTime();
            edit(edit);
            findings();
            return System.nanoTime() - start;
        }

        /** An edit that puts a colour behind one page. */
        String grounded(int page, String background) {
            return onPage(
                    page(page),
                    """
                    {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                     "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 100}}}
                    """
                            .formatted(background, swatches[0]));
        }

        /** An edit that gives the background of the parent another colour. */
        String changedGround(int turn) {
            return "{\"type\": \"changeBackground\", \"background\": %s}"
                    .formatted(wholePage(Math.floorMod(turn, 2)));
        }

        /**
         * Places an opaque picture of 24 megapixels on the first spread's page, or moves it there.
         *
         * @param focus the part across that stays in view, in percent
         */
        String moved(int focus) throws IOException, InterruptedException {
            boolean first = large.isEmpty();
            if (first) {
                JsonNode asset = bring(MadePictures.rgb(6000, 4000, 2));
                edit("{\"type\": \"addAsset\", \"asset\": " + asset + "}");
                large = asset.path("id").asString();
            }
            String background =
                    """
                    {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                     "fill": {"type": "picture", "asset": "%s", "runOut": "NONE",
                     "placing": {"fit": "COVER", "percent": 100, "base": "OWN", "rotation": 0,
                       "anchor": {"across": "MIDDLE", "down": "MIDDLE"}, "across": "0 mm",
                       "down": "0 mm", "focus": {"x": %d, "y": 50}}}}
                    """
                            .formatted(moving, large, focus);
            return first
                    ? onPage(page(1), background)
                    : "{\"type\": \"changeBackground\", \"background\": %s}".formatted(background);
        }

        /** Lets a story run through a frame on each page, which fills nearly all of them. */
        void writeStory() throws IOException, InterruptedException {
            List<String> edits = new ArrayList<>();
            String before = "";
            for (int i = 0; i < pages.size(); i++) {
                String frame = UUID.randomUUID().toString();
                String where =
                        """
                        "owner": {"type": "onPage", "id": "%s"}, "frame": "%s", "sides": "BOTH",
                         "box": {"x": "16 mm", "y": "18 mm", "width": "110 mm", "height": "170 mm"}
                        """
                                .formatted(page(i), frame);
                edits.add(
                        i == 0
                                ? "{\"type\": \"addFrame\", \"story\": \"%s\", \"paragraph\": \"%s\", \"look\": \"%s\", %s}"
                                        .formatted(story, typed, look, where)
                                : "{\"type\": \"continueFrame\", \"after\": \"%s\", %s}"
                                        .formatted(before, where));
                before = frame;
            }
            List<String> text = new ArrayList<>();
            for (int i = 0; i < 2 * pages.size(); i++) {
                text.add(written(UUID.randomUUID().toString(), WORDS));
            }
            edits.add(
                    "{\"type\": \"writeText\", \"story\": \"%s\", \"behind\": \"%s\", \"was\": [], \"paragraphs\": [%s]}"
                            .formatted(story, typed, String.join(",", text)));
            edit(several(edits));
        }

        private String written(String paragraph, String text) {
            return "{\"paragraph\": \"%s\", \"look\": \"%s\", \"runs\": [{\"text\": \"%s\"}]}"
                    .formatted(paragraph, look, text);
        }

        /** An edit that types one more character into the first paragraph of the story. */
        private String keystroke() {
            String was = written(typed, words);
            words = words.length() > 60 ? "" : words + "a";
            return "{\"type\": \"writeText\", \"story\": \"%s\", \"was\": [%s], \"paragraphs\": [%s]}"
                    .formatted(story, was, written(typed, words));
        }

        /** From a keystroke to the picture that follows it, nothing being stored. */
        long previewed() throws IOException, InterruptedException {
            String before = words;
            String edit = keystroke();
            words = before;
            long start = System.nanoTime();
            post(
                    "/api/publications/" + id + "/previews",
                    "{\"edit\": %s, \"page\": \"%s\", \"viewing\": \"AS_DESIGNED\", \"unchecked\": true}"
                            .formatted(edit, page(0)));
            return System.nanoTime() - start;
        }

        /** From a keystroke that is stored to the text and the picture as they are then. */
        long typed() throws IOException, InterruptedException {
            long start = System.nanoTime();
            long before = revision;
            edit(keystroke());
            get("/api/publications/" + id + "/changes?since=" + before);
            get("/api/publications/" + id + "/stories/" + story + "?since=" + before);
            get("/api/publications/" + id + "/spreads/0/picture?guides=true");
            return System.nanoTime() - start;
        }

        /** Where it is seen in a browser. */
        String address() {
            return base + "/publications/" + id;
        }

        /** A page as it was counted when the publication was new, from 0. */
        String page(int index) {
            return pages.get(index);
        }

        /** An edit that gives the swatch of all backgrounds another value. */
        String recolored(int turn) {
            return """
            {"type": "changeSwatch", "swatch": "%s", "definition":
              {"type": "plain", "color": {"type": "cmyk", "cyan": %d, "magenta": 60, "yellow": 20, "black": 10}}}
            """
                    .formatted(swatches[0], 20 + Math.floorMod(turn, 60));
        }

        /** What the interface reads after a step: what changed, and the picture of a spread. */
        private void see(long before) throws IOException, InterruptedException {
            get("/api/publications/" + id + "/changes?since=" + before);
            get("/api/publications/" + id + "/spreads/1/picture?guides=true");
        }

        /** From undoing the last step to having the picture of a spread, in nanoseconds. */
        long undoTurn() throws IOException, InterruptedException {
            long start = System.nanoTime();
            long before = revision;
            revision =
                    post("/api/publications/" + id + "/undo", "{\"author\": \"bench\"}")
                            .path("revision")
                            .asLong();
            see(before);
            return System.nanoTime() - start;
        }

        /** The setup as it is, under another press condition. */
        String setupOn(String condition) {
            return setup.replaceFirst(
                    "\"condition\":\"[^\"]*\"", "\"condition\":\"" + condition + "\"");
        }
    }

    private JsonNode post(String path, String body) throws IOException, InterruptedException {
        return json.readTree(
                send(
                        HttpRequest.newBuilder(base.resolve(path))
                                .header("Content-Type", "application/json")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build()));
    }

    private String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(base.resolve(path)).build());
    }

    private String send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(answer.body());
        }
        return answer.body();
    }
}
