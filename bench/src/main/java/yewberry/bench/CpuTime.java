package yewberry.bench;

import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Seconds that a processor was busy, which other work on the machine does not change much. */
final class CpuTime {
    private static final Pattern SECONDS = Pattern.compile("(?:user|sys) ([0-9.]+)");

    private CpuTime() {}

    /** Something to measure. */
    interface Work {
        void run() throws Exception;
    }

    /** Of this thread. */
    static double of(Work work) throws Exception {
        long begin = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        work.run();
        return (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - begin) / 1e9;
    }

    /**
     * Of a program, user and system time together.
     *
     * @param folder that it runs in
     */
    static double of(Path folder, String command) throws IOException, InterruptedException {
        Process process =
                new ProcessBuilder("bash", "-c", "time -p " + command)
                        .directory(folder.toFile())
                        .redirectErrorStream(true)
                        .start();
        String output = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (process.waitFor() != 0) {
            throw new IllegalStateException(output);
        }
        Matcher matcher = SECONDS.matcher(output);
        double seconds = 0;
        while (matcher.find()) {
            seconds += Double.parseDouble(matcher.group(1));
        }
        return seconds;
    }
}
