package yewberry.pdf;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** General-purpose reference programs that check our files from outside. */
final class Programs {
    private Programs() {}

    record Result(int status, String output) {}

    /** Runs a program to its end and returns what it printed. */
    static Result run(String... command) {
        try {
            Process process =
                    new ProcessBuilder(List.of(command)).redirectErrorStream(true).start();
            process.getOutputStream().close();
            String output =
                    new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (!process.waitFor(2, TimeUnit.MINUTES)) {
                process.destroyForcibly();
                throw new AssertionError(command[0] + " did not end");
            }
            return new Result(process.exitValue(), output);
        } catch (IOException e) {
            throw new UncheckedIOException(
                    command[0] + " is missing; ./yewberry test installs it", e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
