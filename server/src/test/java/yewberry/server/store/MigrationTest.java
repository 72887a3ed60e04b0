package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Publication;
import yewberry.server.json.CoreJson;

/** A database of the version before pictures and recipes is opened with everything in it. */
class MigrationTest {
    private static final UUID PUBLICATION = new UUID(1, 1);
    private static final UUID SWATCH = new UUID(1, 2);
    private static final UUID PAGE = new UUID(1, 3);
    private static final UUID BACKGROUND = new UUID(1, 4);

    @TempDir Path folder;

    @Test
    void backgrounds_and_their_stops_are_still_there() throws SQLException {
        String url = "jdbc:h2:file:" + folder.resolve("old");
        Flyway.configure().dataSource(url, "sa", "").target("3").load().migrate();
        try (Connection connection = DriverManager.getConnection(url, "sa", "");
                Statement sql = connection.createStatement()) {
            sql.execute(
                    """
                    insert into publication values ('%s', 'Old', json '{"trim":{"width":"148 mm","height":"210 mm"},
                      "facing":true,"bleed":{"top":"3 mm","bottom":"3 mm","outside":"3 mm","spine":"0 mm"},
                      "safe":"3 mm","margins":{"top":"12 mm","bottom":"12 mm","inside":"12 mm","outside":"12 mm"},
                      "unit":"MM","level":"AA","press":{"condition":"coated","stockIsReal":false}}', 0,
                      timestamp with time zone '2026-11-01 12:00:00+00')
                    """
                            .formatted(PUBLICATION));
            sql.execute(
                    """
                    insert into swatch (publication, id, position, name, kind, color) values
                      ('%s', '%s', 0, 'Night', 'plain', json '{"type":"cmyk","cyan":90,"magenta":70,"yellow":30,"black":30}')
                    """
                            .formatted(PUBLICATION, SWATCH));
            sql.execute(
                    "insert into page (publication, id, position, parent_shown) values ('%s', '%s', 0, true)"
                            .formatted(PUBLICATION, PAGE));
            sql.execute(
                    """
                    insert into background (publication, id, position, page, sides, area, fill, gradient, opacity) values
                      ('%s', '%s', 0, '%s', 'BOTH', json '{"type":"wholePage"}', 'gradient',
                       json '{"kind":"LINEAR","angle":90,"reversed":false}', 60)
                    """
                            .formatted(PUBLICATION, BACKGROUND, PAGE));
            for (int i = 0; i < 2; i++) {
                sql.execute(
                        "insert into gradient_stop values ('%s', '%s', %d, %d, '%s', 100, 100)"
                                .formatted(PUBLICATION, BACKGROUND, i, i * 100, SWATCH));
            }
        }
        Flyway.configure().dataSource(url, "sa", "").load().migrate();
        try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
            Publication publication =
                    store(connection).read(PUBLICATION).orElseThrow().publication();
            var background = publication.pages().getFirst().layer().backgrounds().getFirst();
            assertThat(background.opacity()).isEqualTo(60);
            assertThat(((Fill.Gradient) background.fill()).stops()).hasSize(2);
            assertThat(publication.recipes()).isEmpty();
            connection.createStatement().execute("update swatch set kind = 'shimmer'");
            assertThatThrownBy(() -> store(connection).read(PUBLICATION))
                    .isInstanceOf(UnknownKind.class)
                    .hasMessageContaining("swatch of the kind “shimmer”");
        }
    }

    private static PublicationStore store(Connection connection) {
        Columns columns = new Columns(CoreJson.mapper());
        return new PublicationStore(
                DSL.using(connection, SQLDialect.H2),
                columns,
                new AllRows(columns),
                Clock.systemUTC());
    }
}
