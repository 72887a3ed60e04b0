package yewberry.bench;

import java.io.BufferedReader;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import tools.jackson.databind.json.JsonMapper;

/**
 * Opening a set of 10,000 pages in 20 files, from sending them as a zip file to the picture of the
 * first page, at a server with a heap of 512 MB; against one of its files alone. Goal: the picture
 * within 2 s of the set being there.
 */
final class OpenSet implements Bench.Benchmark {
    private static final int FILES = 20;
    private static final int PAGES = 500;
    private static final int PORT = 8698;
    private static final URI BASE = URI.create("http://localhost:" + PORT);

    /** In seconds: until all files are taken, and from then until something is seen. */
    private record Opened(double taken, double seen) {}

    @Override
    public void run() throws Exception {
        byte[] file = AddToFiles.file(PAGES, 0);
        Process server = server(Files.createTempDirectory("yewberry-bench"));
        BufferedReader said = server.inputReader(); // ends with the server
        try (HttpClient http = HttpClient.newHttpClient()) {
            String line = said.readLine();
            while (line != null && !line.contains("ready")) {
                line = said.readLine();
            }
            Thread.ofVirtual().start(() -> said.lines().forEach(_ -> {}));
            opened(http, zipped(file, 1), "warm.zip");
            Opened one = opened(http, zipped(file, 1), "one.zip");
            Opened all = opened(http, zipped(file, FILES), "all.zip");
            System.out.printf(
                    Locale.ROOT,
                    "%d pages in %d files, heap 512 MB: taken after %.2f s, the first page seen %.2f s later (goal: 2 s); %d pages: %.2f s and %.2f s; ratio of what is seen %.2f, of all %.1f for %d times the pages%n",
                    FILES * PAGES,
                    FILES,
                    all.taken(),
                    all.seen(),
                    PAGES,
                    one.taken(),
                    one.seen(),
                    all.seen() / one.seen(),
                    all.taken() / one.taken(),
                    FILES);
        } finally {
            server.destroy();
            server.waitFor();
        }
    }

    private static Process server(Path data) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx512m",
                        "-Djava.awt.headless=true",
                        "--enable-native-access=ALL-UNNAMED",
                        "-cp",
                        System.getProperty("java.class.path"),
                        yewberry.server.YewberryApplication.class.getName(),
                        "--server.port=" + PORT,
                        "--yewberry.data=" + data)
                .redirectErrorStream(true)
                .start();
    }

    private static byte[] zipped(byte[] file, int files) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (int i = 0; i < files; i++) {
                zip.putNextEntry(new ZipEntry("log-%02d.pdf".formatted(i)));
                zip.write(file);
                // what differs behind its end makes it another file
                zip.write("%% %d\n".formatted(i).getBytes());
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    private static Opened opened(HttpClient http, byte[] zip, String name)
            throws IOException, InterruptedException {
        long start = System.nanoTime();
        HttpResponse<String> created =
                http.send(
                        HttpRequest.newBuilder(
                                        BASE.resolve("/api/publications/documents?name=" + name))
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(zip))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        if (created.statusCode() != 201) {
            throw new IOException(created.body());
        }
        long taken = System.nanoTime();
        String id = JsonMapper.shared().readTree(created.body()).path("id").asString();
        for (String path :
                new String[] {"", "/pages?from=0&to=60", "/spreads/0/picture?guides=true"}) {
            HttpResponse<byte[]> got =
                    http.send(
                            HttpRequest.newBuilder(BASE.resolve("/api/publications/" + id + path))
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray());
            if (got.statusCode() != 200) {
                throw new IOException(path + " " + got.statusCode());
            }
        }
        long seen = System.nanoTime();
        return new Opened((taken - start) / 1e9, (seen - taken) / 1e9);
    }
}
