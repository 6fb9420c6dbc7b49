package mensor.server.db;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * The embedded database writes what changed behind what it has, so that its file grows with each change. On a stop it is written
 * anew without what nobody needs, where that is most of it: into a file beside, which then takes the other's place.
 */
@Component
class Compaction implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Compaction.class);
    private static final int FULL_ENOUGH = 50;

    private final JdbcTemplate database;
    private final Path file;
    private final long above;
    private final boolean embedded; // asked at the start: the build, which finds out what is wired, does not know it

    Compaction(
            DataSource database,
            @Value("${mensor.db}") String db,
            @Value("${mensor.data}") String data,
            @Value("${mensor.compact-above}") DataSize above) {
        this.database = new JdbcTemplate(database);
        this.file = Path.of(data).resolve("mensor.mv.db");
        this.above = above.toBytes();
        this.embedded = WhichDatabase.isEmbedded(db);
    }

    @Override
    public void destroy() {
        try {
            if (embedded
                    && Files.exists(file)
                    && Files.size(file) > above
                    && percentInUse().orElse(100) < FULL_ENOUGH) {
                database.execute("SHUTDOWN COMPACT");
            }
        } catch (DataAccessException | java.io.IOException e) {
            LOG.warn("the database file was left as large as it is", e);
        }
    }

    private Optional<Integer> percentInUse() {
        return database
                .queryForList(
                        "select setting_value from information_schema.settings where setting_name = 'info.CHUNKS_FILL_RATE'",
                        String.class)
                .stream()
                .map(Integer::valueOf)
                .findFirst();
    }
}
