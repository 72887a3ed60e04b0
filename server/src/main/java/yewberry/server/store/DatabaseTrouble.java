package yewberry.server.store;

import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Optional;
import org.h2.api.ErrorCode;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.springframework.core.env.Environment;

/** Says in a sentence why the application cannot start when its database cannot be opened. */
class DatabaseTrouble extends AbstractFailureAnalyzer<SQLException> {
    private final Path data;

    DatabaseTrouble(Environment environment) {
        this.data = Path.of(environment.getProperty("yewberry.data", ".yewberry"));
    }

    @Override
    protected FailureAnalysis analyze(Throwable root, SQLException cause) {
        if (cause.getErrorCode() == ErrorCode.DATABASE_ALREADY_OPEN_1) {
            return new FailureAnalysis(
                    "Another Yewberry is using this data folder.",
                    "Stop the other one, or choose another folder with --data DIR.",
                    cause);
        }
        if (says(root, "no space left")) {
            return new FailureAnalysis(
                    "The disk that %s is on is full.".formatted(data),
                    "Make room on it, or choose another folder with --data DIR.",
                    cause);
        }
        if (cause.getErrorCode() == ErrorCode.DATABASE_IS_READ_ONLY
                || says(root, "read-only")
                || says(root, "permission denied")
                || says(root, "accessdenied")
                || !data.toFile().canWrite()) {
            return new FailureAnalysis(
                    "The folder %s cannot be written to.".formatted(data),
                    "Allow it to be written to, or choose another folder with --data DIR.",
                    cause);
        }
        Optional<Path> newest = Backup.newest(data);
        return new FailureAnalysis(
                "The database in %s is damaged: %s".formatted(data, cause.getMessage()),
                newest.map(backup ->
                                "Its newest backup is %s; ./yewberry restore brings it back and keeps the damaged one aside."
                                        .formatted(backup))
                        .orElse("There is no backup yet; choose another folder with --data DIR."),
                cause);
    }

    private static boolean says(Throwable failure, String what) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            String text = cause.getClass().getSimpleName() + " " + cause.getMessage();
            if (text.toLowerCase(java.util.Locale.ROOT).contains(what)) {
                return true;
            }
        }
        return false;
    }
}
