package mensor.server.db;

import java.util.Map;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.migration.JavaMigration;

/** The steps by which the tables come about, outside the running application: as application.yaml has them within. */
public final class DatabaseSteps {
    private DatabaseSteps() {}

    /** Two steps of the embedded database's way are too much for its own language. */
    static JavaMigration[] inJava() {
        return new JavaMigration[] {new V4__Passes_as_entries(), new V15__Readable_again()};
    }

    public static Flyway of(String url, String user, String password) {
        boolean embedded = url.startsWith("jdbc:h2:");
        var steps = Flyway.configure()
                .dataSource(url, user, password)
                .locations("classpath:db/" + (embedded ? "h2" : "postgresql"), "classpath:db/both")
                .placeholders(Map.of("bytes", embedded ? "blob" : "bytea", "tiny", embedded ? "tinyint" : "smallint"));
        return (embedded ? steps.javaMigrations(inJava()) : steps).load();
    }
}
