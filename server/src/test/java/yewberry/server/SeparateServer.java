package yewberry.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A server in a process of its own, which can be killed. */
final class SeparateServer {
    private final Process process;
    private final Client client;

    SeparateServer(Path data, String... more) throws IOException {
        process = start(data, more);
        client = new Client(port(process));
    }

    private static Process start(Path data, String... more) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-cp"));
        command.add(
                System.getProperty(
                        "surefire.test.class.path", System.getProperty("java.class.path")));
        command.add(YewberryApplication.class.getName());
        command.addAll(
                List.of(
                        "--server.port=0",
                        "--yewberry.data=" + data,
                        "--spring.main.lazy-initialization=true",
                        "--springdoc.api-docs.enabled=false"));
        command.addAll(List.of(more));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        // also where a test fails before it kills it
        Runtime.getRuntime().addShutdownHook(new Thread(process::destroyForcibly));
        return process;
    }

    /** What a server says that cannot start. */
    static String failing(Path data) throws IOException, InterruptedException {
        Process process = start(data);
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (!process.waitFor(1, TimeUnit.MINUTES)) {
            process.destroyForcibly();
            throw new AssertionError("It started all the same:\n" + said);
        }
        return said;
    }

    private static int port(Process process) throws IOException {
        Pattern ready = Pattern.compile("ready: http://localhost:(\\d+)/");
        StringBuilder said = new StringBuilder();
        BufferedReader lines = process.inputReader();
        for (String line = lines.readLine(); line != null; line = lines.readLine()) {
            said.append(line).append('\n');
            Matcher match = ready.matcher(line);
            if (match.find()) {
                Thread.ofVirtual().start(() -> drain(lines));
                return Integer.parseInt(match.group(1));
            }
        }
        throw new AssertionError("The server did not start:\n" + said);
    }

    private static void drain(BufferedReader lines) {
        try {
            while (lines.readLine() != null) {
                // what it says is not needed, but a full pipe would stop it
            }
        } catch (IOException | UncheckedIOException ended) {
            // it was killed
        }
    }

    Client client() {
        return client;
    }

    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }
}
