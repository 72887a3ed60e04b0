package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.ParamType;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;

/** What one author can undo takes as long after many steps as after few. */
class HistoryTest {
    @Test
    void the_newest_step_is_found_in_an_index_and_no_other_is_read() throws SQLException {
        String url = "jdbc:h2:mem:history;DB_CLOSE_DELAY=-1";
        Flyway.configure().dataSource(url, "sa", "").load().migrate();
        try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
            DSLContext db = DSL.using(connection, SQLDialect.H2);
            String newest =
                    History.newest(db, UUID.randomUUID(), "somebody").getSQL(ParamType.INLINED);
            String plan = db.fetchSingle("explain " + newest).get(0, String.class);
            // H2's words for an index that is read in the order that is wanted, all columns of it
            assertThat(plan).contains("REVISION_AUTHOR").contains("/* index sorted */");
        }
    }
}
