package mensor.server.scan;

import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mensor.server.db.WhichDatabase;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** At a start: files of scans that no row names are removed, and what a row names and is not there is told. */
@Component
public class ScanSweep implements ApplicationRunner {
    private static final Logger LOG = LoggerFactory.getLogger(ScanSweep.class);
    /** The longest that a scan may be on its way, at another node. */
    private static final Duration ON_ITS_WAY = Duration.ofHours(1);

    private final JdbcClient jdbc;
    private final ScanStore store;
    private final Clock clock;
    private final boolean isAlone;

    ScanSweep(JdbcClient jdbc, ScanStore store, Clock clock, @Value("${mensor.db}") String database) {
        this.jdbc = jdbc;
        this.store = store;
        this.clock = clock;
        this.isAlone = WhichDatabase.isEmbedded(database);
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        Set<String> named = Set.copyOf(
                jdbc.sql("select distinct sha256 from scan").query(String.class).list());
        Set<UUID> drawn =
                new HashSet<>(jdbc.sql("select id from scan").query(UUID.class).list());
        drawn.addAll(jdbc.sql("select distinct drawn_as from scan where drawn_as is not null")
                .query(UUID.class)
                .list());
        int removed = store.sweep(
                named, drawn, isAlone ? clock.instant() : clock.instant().minus(ON_ITS_WAY));
        if (removed > 0) {
            LOG.info("removed {} files of scans that nothing names", removed);
        }
        List<String> missing = store.missing(named);
        if (!missing.isEmpty()) {
            LOG.warn(
                    "{} scans are not in the folder of scans, the first with SHA-256 {}",
                    missing.size(),
                    missing.get(0));
        }
    }
}
