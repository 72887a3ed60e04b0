package yewberry.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * From starting the application with the demo that is there already to the picture of its first
 * spread, against a virtual machine that does nothing. Goal: at most 4 s.
 */
final class Start implements Bench.Benchmark {
    private static final int TIMES = 5;
    private static final int PORT = 8699;

    @Override
    public void run() throws Exception {
        Path data = Files.createTempDirectory("yewberry-bench");
        toFirstPicture(data); // makes the demo
        double[] starts = new double[TIMES];
        double[] nothing = new double[TIMES];
        for (int i = 0; i < TIMES; i++) {
            nothing[i] = nothing();
            starts[i] = toFirstPicture(data);
        }
        Arrays.sort(starts);
        Arrays.sort(nothing);
        System.out.printf(
                "start to the first page: median %.2f s (goal: at most 4 s); a virtual machine alone %.2f s, ratio %.1f%n",
                starts[TIMES / 2], nothing[TIMES / 2], starts[TIMES / 2] / nothing[TIMES / 2]);
    }

    private static double nothing() throws IOException, InterruptedException {
        long start = System.nanoTime();
        new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "--version")
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start()
                .waitFor();
        return (System.nanoTime() - start) / 1e9;
    }

    private static double toFirstPicture(Path data) throws IOException, InterruptedException {
        long start = System.nanoTime();
        Process process =
                new ProcessBuilder(
                                "./yewberry",
                                "demo",
                                "--port",
                                String.valueOf(PORT),
                                "--data",
                                data.toString())
                        .redirectErrorStream(true)
                        .start();
        try (BufferedReader said = process.inputReader()) {
            String line = said.readLine();
            while (line != null && !line.contains("ready")) {
                line = said.readLine();
            }
            JsonNode shelf = JsonMapper.shared().readTree(get("/api/publications"));
            get("/");
            get(
                    "/api/publications/%s/spreads/0/picture?guides=true"
                            .formatted(shelf.get(0).path("id").asString()));
            return (System.nanoTime() - start) / 1e9;
        } finally {
            process.descendants().forEach(ProcessHandle::destroy);
            process.destroy();
            process.waitFor();
        }
    }

    private static String get(String path) throws IOException, InterruptedException {
        HttpRequest request =
                HttpRequest.newBuilder(URI.create("http://localhost:" + PORT + path)).build();
        try (HttpClient http = HttpClient.newHttpClient()) {
            return http.send(request, HttpResponse.BodyHandlers.ofString()).body();
        }
    }
}
