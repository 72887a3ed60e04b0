package yewberry.server.store;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.SQLException;
import java.util.Set;
import javax.sql.DataSource;
import org.h2.api.ErrorCode;
import org.jooq.ExecuteContext;
import org.jooq.ExecuteListener;
import org.jooq.ExecuteListenerProvider;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/**
 * H2 closes a database whose disk is full, and it stays closed for all who have it open. When they
 * have all let go of it, the next one opens it again.
 */
@Component
public class Reopening implements ExecuteListener {
    private static final long serialVersionUID = 1L;
    private static final Logger log = LoggerFactory.getLogger(Reopening.class);

    private static final Set<Integer> CLOSED =
            Set.of(
                    ErrorCode.DATABASE_IS_CLOSED,
                    ErrorCode.IO_EXCEPTION_1,
                    ErrorCode.IO_EXCEPTION_2,
                    ErrorCode.FILE_CORRUPTED_1,
                    ErrorCode.GENERAL_ERROR_1);

    private final transient DataSource source;

    Reopening(DataSource source) {
        this.source = source;
    }

    /** Tells it of all that goes wrong with a statement. */
    @Configuration
    static class Listening {
        @Bean
        ExecuteListenerProvider reopeningProvider(Reopening reopening) {
            return () -> reopening;
        }
    }

    @Override
    public void exception(ExecuteContext context) {
        if (context.sqlException() != null) {
            after(context.sqlException());
        }
    }

    /** Has the database opened again if that is what a failure comes from. */
    public void after(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException sql && CLOSED.contains(sql.getErrorCode())) {
                letGo(sql);
                return;
            }
        }
    }

    private void letGo(SQLException failure) {
        if (source instanceof HikariDataSource pool && pool.getHikariPoolMXBean() != null) {
            log.warn("The database was closed under us and will be opened again", failure);
            pool.getHikariPoolMXBean().softEvictConnections();
        }
    }
}
