package yewberry.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import yewberry.server.Client;
import yewberry.server.RunningServer;

/** What nobody waits for any more is given up. */
@ExtendWith(RunningServer.class)
class ComputingTest {
    private final Client client;

    ComputingTest(Client client) {
        this.client = client;
    }

    /** One page under so many veils that it takes long to paint. */
    private String pageOfManyVeils() {
        String id = client.create("Veils", 1);
        JsonNode publication = client.read(id);
        String owner = publication.path("pages").get(0).path("id").asString();
        String swatch = publication.path("swatches").get(0).path("id").asString();
        String veils =
                IntStream.range(0, 3000)
                        .mapToObj(each ->
                                """
                                {"type": "addBackground", "owner": {"type": "onPage", "id": "%s"},
                                 "background": {"id": "%s", "sides": "BOTH", "area": {"type": "wholePage"},
                                   "fill": {"type": "solid", "color": {"swatch": "%s", "tint": 50}},
                                   "opacity": 3, "blend": "SOFT_LIGHT"}}
                                """
                                        .formatted(owner, UUID.randomUUID(), swatch))
                        .collect(Collectors.joining(","));
        Client.Answer stored =
                client.edit(
                        id,
                        publication.path("revision").asLong(),
                        "ann",
                        "{\"type\": \"several\", \"edits\": [%s]}".formatted(veils));
        assertThat(stored.status()).as(stored.text()).isEqualTo(200);
        return "/api/publications/%s/pages/%s/picture".formatted(id, owner);
    }

    /** Whether one of the threads that compute is painting. */
    private static boolean isPainting() {
        return Thread.getAllStackTraces().entrySet().stream()
                .filter(each -> each.getKey().getName().startsWith("computing-"))
                .flatMap(each -> Arrays.stream(each.getValue()))
                .anyMatch(frame -> frame.getClassName().startsWith("yewberry.core.raster."));
    }

    private static boolean within(int millis, BooleanSupplier what) throws InterruptedException {
        long until = System.nanoTime() + millis * 1_000_000L;
        while (!what.getAsBoolean()) {
            if (System.nanoTime() > until) {
                return false;
            }
            Thread.sleep(20);
        }
        return true;
    }

    @Test
    void a_page_is_not_painted_on_when_the_client_has_left() throws Exception {
        String picture = pageOfManyVeils();
        try (Socket socket = new Socket("127.0.0.1", client.uri("/").getPort())) {
            socket.getOutputStream()
                    .write(
                            "GET %s HTTP/1.1\r\nHost: localhost\r\n\r\n"
                                    .formatted(picture)
                                    .getBytes(StandardCharsets.US_ASCII));
            assertThat(within(10_000, ComputingTest::isPainting)).as("begun").isTrue();
            Thread.sleep(2_000);
            assertThat(isPainting()).as("goes on while somebody waits").isTrue();
        }
        assertThat(within(3_000, () -> !isPainting())).as("given up").isTrue();
    }
}
