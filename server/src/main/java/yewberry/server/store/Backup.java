package yewberry.server.store;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A copy of the database beside it, in {@code backups}: a folder for each, named by its time in
 * UTC, with all tables as SQL; and the files of pictures by their hash, each once for all of them.
 */
public final class Backup {
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss'Z'").withZone(ZoneOffset.UTC);

    private static final String SHAPE = "files.sql";
    private static final String TABLES = "tables.sql.gz";
    private static final String LIST = "files.txt";

    /** The newest so many are kept, and the newest of each of the last seven days. */
    private static final int NEWEST = 10;

    private static final int DAYS = 7;

    private Backup() {}

    /** The newest whole one, if there is any. */
    public static Optional<Path> newest(Path data) {
        return all(data).stream().findFirst();
    }

    /** Those that are whole, the newest first. */
    public static List<Path> all(Path data) {
        Path folder = data.resolve("backups");
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> entries = Files.list(folder)) {
            return entries.filter(each -> Files.exists(each.resolve(LIST)))
                    .sorted(Comparator.comparing(Path::getFileName).reversed())
                    .toList();
        } catch (IOException unreadable) {
            return List.of();
        }
    }

    /**
     * Writes one.
     *
     * @return its folder
     */
    static Path write(Connection connection, Path data, Instant now)
            throws SQLException, IOException {
        Path folder = data.resolve("backups").resolve(NAME.format(now));
        Path files = data.resolve("backups").resolve("files");
        Files.createDirectories(folder);
        Files.createDirectories(files);
        List<String> kept = new ArrayList<>();
        try (Statement sql = connection.createStatement()) {
            connection.setAutoCommit(false);
            // all tables as they are at one moment
            sql.execute("set session characteristics as transaction isolation level snapshot");
            sql.execute(
                    "script nodata nopasswords nosettings to '%s' table asset_file"
                            .formatted(quoted(folder.resolve(SHAPE))));
            sql.execute(
                    "script nopasswords nosettings to '%s' compression gzip table %s"
                            .formatted(quoted(folder.resolve(TABLES)), tables(sql)));
            try (ResultSet rows =
                    sql.executeQuery("select sha256, content, file from asset_file")) {
                while (rows.next()) {
                    String sha256 = rows.getString(1);
                    kept.add(sha256 + " " + rows.getString(2));
                    copy(rows, files.resolve(sha256));
                }
            }
            connection.commit();
        } finally {
            try (Statement sql = connection.createStatement()) {
                sql.execute(
                        "set session characteristics as transaction isolation level read committed");
            }
            connection.setAutoCommit(true);
        }
        Files.write(folder.resolve(LIST), kept); // written last: without it the backup is not whole
        return folder;
    }

    private static String quoted(Path path) {
        return path.toString().replace("'", "''");
    }

    private static String tables(Statement sql) throws SQLException {
        try (ResultSet rows =
                sql.executeQuery(
                        "select table_name from information_schema.tables where table_schema ="
                                + " 'PUBLIC' and table_name <> 'ASSET_FILE'")) {
            List<String> names = new ArrayList<>();
            while (rows.next()) {
                names.add("\"" + rows.getString(1) + "\"");
            }
            return String.join(", ", names);
        }
    }

    private static void copy(ResultSet row, Path to) throws SQLException, IOException {
        if (Files.exists(to)) {
            return;
        }
        Path part = to.resolveSibling(to.getFileName() + ".part");
        try (InputStream in = row.getBinaryStream(3)) {
            Files.copy(in, part, StandardCopyOption.REPLACE_EXISTING);
        }
        Files.move(part, to, StandardCopyOption.ATOMIC_MOVE);
    }

    /** The hashes of the files that kept backups refer to. */
    static Set<String> files(Path data) throws IOException {
        Set<String> hashes = new HashSet<>();
        for (Path backup : all(data)) {
            for (String line : Files.readAllLines(backup.resolve(LIST))) {
                hashes.add(line.substring(0, line.indexOf(' ')));
            }
        }
        return hashes;
    }

    /** Removes those that are not kept, and files that none of the others refers to. */
    static void tidy(Path data, LocalDate today) throws IOException {
        List<Path> all = all(data);
        Set<Path> kept = new LinkedHashSet<>(all.subList(0, Math.min(NEWEST, all.size())));
        Set<LocalDate> days = new HashSet<>();
        for (Path each : all) {
            LocalDate day = LocalDate.parse(each.getFileName().toString().substring(0, 10));
            if (day.isAfter(today.minusDays(DAYS)) && days.add(day)) {
                kept.add(each);
            }
        }
        for (Path each : all) {
            if (!kept.contains(each)) {
                Files.delete(each.resolve(LIST));
                Files.deleteIfExists(each.resolve(TABLES));
                Files.deleteIfExists(each.resolve(SHAPE));
                Files.delete(each);
            }
        }
        Path folder = data.resolve("backups").resolve("files");
        if (Files.isDirectory(folder)) {
            Set<String> used = files(data);
            try (Stream<Path> entries = Files.list(folder)) {
                for (Path each :
                        entries.filter(file -> !used.contains(file.getFileName().toString()))
                                .collect(Collectors.toList())) {
                    Files.delete(each);
                }
            }
        }
    }

    /**
     * Brings a backup back; the database that is there is kept aside under another name.
     *
     * @param backup its folder
     * @return where the old one is, if there was any
     */
    public static Optional<Path> restore(Path data, Path backup, Instant now)
            throws SQLException, IOException {
        String stamp = NAME.format(now);
        Path fresh = data.resolve("restoring-" + stamp);
        String url = "jdbc:h2:file:" + fresh.toAbsolutePath();
        try (Connection connection = DriverManager.getConnection(url, "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute("runscript from '%s'".formatted(quoted(backup.resolve(SHAPE))));
            try (PreparedStatement row =
                    connection.prepareStatement(
                            "insert into asset_file (sha256, content, file) values (?, ? format json, ?)")) {
                for (String line : Files.readAllLines(backup.resolve(LIST))) {
                    int space = line.indexOf(' ');
                    String sha256 = line.substring(0, space);
                    Path file = data.resolve("backups").resolve("files").resolve(sha256);
                    row.setString(1, sha256);
                    row.setString(2, line.substring(space + 1));
                    try (InputStream in = Files.newInputStream(file)) {
                        row.setBinaryStream(3, in);
                        row.executeUpdate();
                    }
                }
            }
            sql.execute(
                    "runscript from '%s' compression gzip"
                            .formatted(quoted(backup.resolve(TABLES))));
            sql.execute("shutdown");
        }
        Path current = data.resolve("yewberry.mv.db");
        Optional<Path> aside = Optional.empty();
        if (Files.exists(current)) {
            aside = Optional.of(data.resolve("before-restore-" + stamp + ".mv.db"));
            Files.move(current, aside.get());
        }
        Files.move(data.resolve("restoring-" + stamp + ".mv.db"), current);
        return aside;
    }
}
