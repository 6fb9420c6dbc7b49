package mensor.server;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import io.zonky.test.db.postgres.embedded.EmbeddedPostgres;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import org.slf4j.LoggerFactory;

/** The database that the tests run on: the embedded one, or with {@code -Dmensor.test.db=postgresql} a PostgreSQL of their own. */
public final class TestDatabase {
    private static EmbeddedPostgres postgresql;
    private static int made;

    private TestDatabase() {}

    static boolean isPostgresql() {
        return "postgresql".equals(System.getProperty("mensor.test.db"));
    }

    static synchronized String address() {
        if (!isPostgresql()) {
            return "embedded";
        }
        return running().getJdbcUrl("postgres", "postgres");
    }

    /** Another one, empty, in the same PostgreSQL. */
    public static synchronized String fresh() {
        String name = "fresh" + ++made;
        try (Connection c = running().getPostgresDatabase().getConnection();
                Statement s = c.createStatement()) {
            s.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
        return running().getJdbcUrl("postgres", name);
    }

    private static EmbeddedPostgres running() {
        try {
            if (postgresql == null) {
                ((Logger) LoggerFactory.getLogger("io.zonky")).setLevel(Level.WARN);
                postgresql = EmbeddedPostgres.builder().start();
            }
            return postgresql;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static synchronized void close() {
        try {
            if (postgresql != null) {
                postgresql.close();
                postgresql = null;
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
