package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.junit.jupiter.api.Test;
import yewberry.core.edit.Edited;
import yewberry.core.edit.Editing;
import yewberry.core.edit.PageEdit;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.server.json.CoreJson;
import yewberry.server.publications.Beginning;

/** Positions between those of others. */
class OrderKeysTest {
    private static final List<Page> LIST =
            List.of(page(1), page(2), page(3), page(4), page(5), page(6));

    private static Page page(int number) {
        return new Page(new UUID(0, number), Optional.empty(), true, Layer.EMPTY);
    }

    private static Optional<Map<UUID, Long>> keys(Set<Integer> coming, Map<UUID, Long> stored) {
        return new OrderKeys(LIST, new TreeSet<>(coming)).between(wanted -> stored);
    }

    @Test
    void what_comes_in_lies_between_its_neighbours_in_order() {
        Map<UUID, Long> found =
                keys(
                                Set.of(1, 2, 4),
                                Map.of(
                                        new UUID(0, 1), 10L,
                                        new UUID(0, 4), 40L,
                                        new UUID(0, 6), 60L))
                        .orElseThrow();
        assertThat(found)
                .containsEntry(new UUID(0, 2), 20L)
                .containsEntry(new UUID(0, 3), 30L)
                .containsEntry(new UUID(0, 5), 50L)
                .hasSize(3);
    }

    @Test
    void at_either_end_there_is_always_room() {
        Map<UUID, Long> stored = Map.of(new UUID(0, 2), 7L, new UUID(0, 5), 8L);
        Map<UUID, Long> found = keys(Set.of(0, 5), stored).orElseThrow();
        assertThat(found.get(new UUID(0, 1))).isLessThan(7);
        assertThat(found.get(new UUID(0, 6))).isGreaterThan(8);
    }

    @Test
    void a_list_of_nothing_but_what_comes_in_is_numbered_from_the_start() {
        Map<UUID, Long> found = keys(Set.of(0, 1, 2, 3, 4, 5), Map.of()).orElseThrow();
        assertThat(LIST.stream().map(page -> found.get(page.id())).toList()).isSorted();
    }

    @Test
    void where_there_is_no_room_nothing_is_given() {
        assertThat(keys(Set.of(1, 2), Map.of(new UUID(0, 1), 10L, new UUID(0, 4), 12L))).isEmpty();
    }

    /** Each page goes behind the first one: twenty times half the room of the one before it. */
    @Test
    void a_list_that_is_full_is_numbered_anew_and_stays_in_order() throws SQLException {
        String url = "jdbc:h2:mem:order-keys;DB_CLOSE_DELAY=-1";
        Flyway.configure().dataSource(url, "sa", "").load().migrate();
        try (Connection connection = DriverManager.getConnection(url, "sa", "")) {
            Columns columns = new Columns(CoreJson.mapper());
            PublicationStore store =
                    new PublicationStore(
                            DSL.using(connection, SQLDialect.H2),
                            columns,
                            new AllRows(columns),
                            Clock.systemUTC());
            Publication now =
                    Beginning.of(
                            UUID.randomUUID(),
                            "Full",
                            Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                            2,
                            UUID::randomUUID);
            store.create(now);
            for (int revision = 0; revision < 60; revision++) {
                Edited edited =
                        Editing.edit(
                                now,
                                new PageEdit.AddPages(
                                        List.of(UUID.randomUUID()),
                                        Optional.of(now.pages().getFirst().id()),
                                        Optional.empty()));
                now = edited.publication();
                store.append(now, edited.patch(), revision, Step.edit("any"));
                assertThat(store.read(now.id()).orElseThrow().publication().pages())
                        .isEqualTo(now.pages());
            }
        }
    }
}
