package yewberry.server.demo;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yewberry.server.YewberryApplication;

/**
 * Starts the application, asks what a browser asks first, and ends: the build records here which
 * classes and methods a start needs, so that later starts find them ready.
 */
public final class Rehearsal {
    private static final int TIMES = 20;

    private Rehearsal() {}

    /**
     * @param arguments the application's own; its data is to be a folder that nobody needs
     */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        SpringApplication application = new SpringApplication(YewberryApplication.class);
        application.setMainApplicationClass(YewberryApplication.class);
        ConfigurableApplicationContext running = application.run(arguments);
        String server =
                "http://localhost:" + running.getEnvironment().getProperty("local.server.port");
        try (HttpClient http = HttpClient.newHttpClient()) {
            get(http, server + "/");
            JsonNode shelf = JsonMapper.shared().readTree(get(http, server + "/api/publications"));
            String guide = server + "/api/publications/" + shelf.get(0).path("id").asString();
            for (int i = 0; i < TIMES; i++) {
                for (String part :
                        List.of(
                                "",
                                "/findings",
                                "/spreads/%d",
                                "/spreads/%d/picture?guides=true")) {
                    get(http, guide + part.formatted(i % 4));
                }
            }
        }
        running.close();
    }

    private static String get(HttpClient http, String address)
            throws IOException, InterruptedException {
        return http.send(
                        HttpRequest.newBuilder(URI.create(address)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }
}
