package mensor.server;

import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import mensor.server.db.WhichDatabase;
import mensor.server.demo.HalfFilledDemo;
import mensor.server.demo.ReadyDemo;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;

/**
 * Before the database is opened: which one it is. The embedded one in the data folder; a PostgreSQL where {@code mensor.db} is its
 * address; with {@code mensor.data=mem} one in memory, for a start that only lays the classes out. A half filled demo is cleared, one that
 * the build made is copied.
 */
public class ChosenDatabase implements EnvironmentPostProcessor {
    private static final String POSTGRESQL = "jdbc:postgresql:";

    /** One process keeps its sessions itself: writing each to the disk would cost more than it is worth. */
    private static final String SESSIONS_IN_DATABASE =
            "org.springframework.boot.session.autoconfigure.SessionAutoConfiguration,"
                    + "org.springframework.boot.session.jdbc.autoconfigure.JdbcSessionAutoConfiguration";

    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        String data = environment.getProperty("mensor.data");
        String db = environment.getProperty("mensor.db", WhichDatabase.EMBEDDED);
        if (!WhichDatabase.isEmbedded(db)) {
            if (environment.getProperty("mensor.demo", Boolean.class, false)) {
                throw new IllegalArgumentException(
                        "the demo is kept in the embedded database; start it without MENSOR_DB");
            }
            if (!db.startsWith(POSTGRESQL)) {
                throw new IllegalArgumentException("MENSOR_DB begins with " + POSTGRESQL + "//, this is " + db);
            }
            environment
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "postgresql",
                            Map.of(
                                    "spring.datasource.url",
                                    db,
                                    "spring.datasource.username",
                                    environment.getProperty("mensor.db-user", "mensor"),
                                    "spring.datasource.password",
                                    WhichDatabase.password(
                                            environment::getProperty, "mensor.db-password", "mensor.db-password-file"),
                                    "spring.flyway.placeholders.bytes",
                                    "bytea",
                                    "spring.flyway.placeholders.tiny",
                                    "smallint")));
            return;
        }
        environment
                .getPropertySources()
                .addFirst(new MapPropertySource(
                        "embedded", Map.of("spring.autoconfigure.exclude", SESSIONS_IN_DATABASE)));
        if (data != null && environment.getProperty("mensor.demo", Boolean.class, false)) {
            HalfFilledDemo.clear(data);
            String ready = environment.getProperty("mensor.demo-from");
            if (ready != null) {
                ReadyDemo.copy(Path.of(ready), Path.of(data), Instant.now());
            }
        }
        if ("mem".equals(data)) {
            environment
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "memory", Map.of("spring.datasource.url", "jdbc:h2:mem:mensor;DB_CLOSE_DELAY=-1")));
        }
    }
}
