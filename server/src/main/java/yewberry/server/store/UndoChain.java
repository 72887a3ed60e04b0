package yewberry.server.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Types;
import java.util.ArrayDeque;
import java.util.Deque;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.stereotype.Component;

/** The ninth migration: what could be undone and redone after each step that is stored. */
@Component
public class UndoChain implements JavaMigration {
    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("9");
    }

    @Override
    public String getDescription() {
        return "undo chain of older steps";
    }

    @Override
    public Integer getChecksum() {
        return null;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) throws SQLException {
        Connection connection = context.getConnection();
        try (Statement read = connection.createStatement();
                PreparedStatement write =
                        connection.prepareStatement(
                                "update revision set undoable = ?, redoable = ?, beneath = ?"
                                        + " where publication = ? and number = ?");
                ResultSet steps =
                        read.executeQuery(
                                "select publication, author, number, kind from revision"
                                        + " order by publication, author, number")) {
            String whose = "";
            Deque<Long> done = new ArrayDeque<>();
            Deque<Long> undone = new ArrayDeque<>();
            while (steps.next()) {
                String next = steps.getString(1) + " " + steps.getString(2);
                if (!next.equals(whose)) {
                    whose = next;
                    done.clear();
                    undone.clear();
                }
                long number = steps.getLong(3);
                Long beneath =
                        switch (Step.Kind.valueOf(steps.getString(4))) {
                            case EDIT -> {
                                undone.clear();
                                yield lay(number, done);
                            }
                            case UNDO -> {
                                done.pop();
                                yield lay(number, undone);
                            }
                            case REDO -> {
                                undone.pop();
                                yield lay(number, done);
                            }
                        };
                set(write, 1, done.peek());
                set(write, 2, undone.peek());
                set(write, 3, beneath);
                write.setObject(4, steps.getObject(1));
                write.setLong(5, number);
                write.addBatch();
            }
            write.executeBatch();
        }
    }

    /** Lays a step on a pile and says what is beneath it. */
    private static Long lay(Long number, Deque<Long> pile) {
        Long beneath = pile.peek();
        pile.push(number);
        return beneath;
    }

    private static void set(PreparedStatement write, int at, Long value) throws SQLException {
        if (value == null) {
            write.setNull(at, Types.BIGINT);
        } else {
            write.setLong(at, value);
        }
    }
}
