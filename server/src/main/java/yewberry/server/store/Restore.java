package yewberry.server.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.Optional;

/** Brings a backup back, from the command line, while the application is not running. */
public final class Restore {
    private Restore() {}

    /**
     * @param arguments the data folder, and the name of a backup; without one the newest
     */
    public static void main(String[] arguments) throws Exception {
        Path data = Path.of(arguments[0]);
        Optional<Path> backup =
                arguments.length > 1
                        ? Optional.of(data.resolve("backups").resolve(arguments[1]))
                                .filter(Files::isDirectory)
                        : Backup.newest(data);
        if (backup.isEmpty()) {
            System.err.println(
                    "There is no such backup. These are there, the newest first: "
                            + Backup.all(data).stream()
                                    .map(each -> each.getFileName().toString())
                                    .toList());
            System.exit(1);
        }
        Optional<Path> aside = Backup.restore(data, backup.get(), Instant.now());
        System.out.printf(
                "Brought back the backup of %s.%s%n",
                backup.get().getFileName(),
                aside.map(" What was there before is kept in %s."::formatted).orElse(""));
    }
}
