package yewberry.server.store;

import org.h2.api.ErrorCode;
import org.h2.jdbc.JdbcSQLNonTransientConnectionException;
import org.springframework.boot.diagnostics.AbstractFailureAnalyzer;
import org.springframework.boot.diagnostics.FailureAnalysis;

/** Says in words why the application cannot start when its database cannot be opened. */
class DatabaseInUse extends AbstractFailureAnalyzer<JdbcSQLNonTransientConnectionException> {
    @Override
    protected FailureAnalysis analyze(
            Throwable root, JdbcSQLNonTransientConnectionException cause) {
        return switch (cause.getErrorCode()) {
            case ErrorCode.DATABASE_ALREADY_OPEN_1 ->
                    new FailureAnalysis(
                            "Another Yewberry is using this data folder.",
                            "Stop the other one, or choose another folder with --data DIR.",
                            cause);
            default ->
                    new FailureAnalysis(
                            "The data folder cannot be used: " + cause.getOriginalMessage(),
                            "See whether the disk is full or read-only, or choose another folder"
                                    + " with --data DIR.",
                            cause);
        };
    }
}
