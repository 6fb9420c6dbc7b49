package mensor.server.db;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javax.sql.DataSource;
import mensor.exchange.Journal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayConfigurationCustomizer;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;

/**
 * Copies of the embedded database while it is in use: every night, before an upgrade, and when the command asks. A copy holds
 * everything, pictures too, as of one moment; its SHA-256 stands in a file beside it.
 */
@Configuration
class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final String WANTED = "backup-wanted";
    private static final String ANSWER = "backup-answer";
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss");

    private final DataSource database;
    private final Path data;
    private final boolean demo;
    private final boolean embedded;
    private final int kept;
    private final Clock clock;

    Backups(
            DataSource database,
            Clock clock,
            @Value("${mensor.data}") String data,
            @Value("${mensor.demo}") boolean demo,
            @Value("${mensor.db}") String db,
            @Value("${mensor.backup.keep}") int kept) {
        this.database = database;
        this.clock = clock;
        this.data = Path.of(data).toAbsolutePath();
        this.demo = demo;
        this.embedded = WhichDatabase.isEmbedded(db);
        this.kept = kept;
    }

    /** A PostgreSQL is copied by its own tools. */
    private boolean isOnDisk() {
        return embedded && Files.isDirectory(data);
    }

    /** Writes a copy; it is there whole, with its sum, or not at all. */
    void write(Path file) throws IOException {
        write(file, false);
    }

    /** @param scans their files too, which do not change and may be large: not in each night's copy */
    private void write(Path file, boolean scans) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        Path part = file.resolveSibling(file.getFileName() + ".part.zip");
        try {
            Map<String, byte[]> beside = beside();
            new JdbcTemplate(database).execute("BACKUP TO '" + part.toString().replace("'", "''") + "'");
            add(beside, scans ? ScanFiles.of(data) : List.of(), part);
            Files.writeString(
                    file.resolveSibling(file.getFileName() + ".sha256"),
                    FileSum.sha256(part) + "  " + file.getFileName() + "\n");
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /**
     * The seals and their key, which stand beside the database. Read before the database is copied: a record without its seal is
     * sealed at the next start, a seal without its record would look like one that was cut off.
     */
    private Map<String, byte[]> beside() throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        for (String name : SealFiles.BESIDE) {
            Path file = data.resolve(name);
            if (Files.exists(file)) {
                files.put(name, Files.readAllBytes(file));
            }
        }
        if (files.containsKey(SealFiles.JOURNAL)) {
            String head = Journal.of(files.get(SealFiles.JOURNAL)).head().shown();
            files.put(SealFiles.COPIED, head.getBytes(StandardCharsets.UTF_8));
        }
        return files;
    }

    private static void add(Map<String, byte[]> files, List<Path> scans, Path zip) throws IOException {
        try (FileSystem copy = FileSystems.newFileSystem(zip, Map.of())) {
            if (!scans.isEmpty()) {
                Files.createDirectory(copy.getPath("/" + ScanFiles.FOLDER));
            }
            for (Path scan : scans) {
                Files.copy(
                        scan,
                        copy.getPath("/" + ScanFiles.FOLDER, scan.getFileName().toString()));
            }
            for (Map.Entry<String, byte[]> f : files.entrySet()) {
                Files.write(copy.getPath("/" + f.getKey()), f.getValue());
            }
        }
    }

    private Path named(String why) {
        String at = NAME.withZone(ZoneId.systemDefault()).format(clock.instant());
        return data.resolve("backups").resolve("mensor-" + at + "-" + why + ".zip");
    }

    /** Each night one; the oldest of them go, those before an upgrade stay. */
    @Scheduled(cron = "${mensor.backup.at}")
    void nightly() {
        if (demo || !isOnDisk()) {
            return;
        }
        try {
            write(named("night"));
            try (Stream<Path> all = Files.list(data.resolve("backups"))) {
                List<Path> nights = all.filter(p -> p.toString().endsWith("-night.zip"))
                        .sorted()
                        .toList();
                for (Path old : nights.subList(0, Math.max(0, nights.size() - kept))) {
                    Files.delete(old);
                    Files.deleteIfExists(old.resolveSibling(old.getFileName() + ".sha256"));
                }
            }
        } catch (IOException | RuntimeException e) {
            LOG.error("the nightly backup was not written", e);
        }
    }

    /** The command leaves the file's name in the data folder, and reads there what came of it. */
    @Scheduled(fixedDelay = 1_000)
    void wanted() {
        Path wanted = data.resolve(WANTED);
        if (!Files.exists(wanted)) {
            return;
        }
        try {
            String answer;
            try {
                if (embedded) {
                    write(Path.of(Files.readString(wanted).strip()), true);
                    answer = "written";
                } else {
                    answer =
                            "not written: the data is in a PostgreSQL; copy it with pg_dump, and the data folder beside it";
                }
            } catch (IOException | RuntimeException e) {
                LOG.error("the backup was not written", e);
                answer = "not written: " + e.getMessage();
            }
            Files.writeString(data.resolve(ANSWER), answer + "\n");
            Files.delete(wanted);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Bean
    FlywayConfigurationCustomizer stepsInJava() {
        return flyway -> {
            if (embedded) {
                flyway.javaMigrations(DatabaseSteps.inJava());
            }
        };
    }

    /** Before a newer version changes the database, a copy as the older one left it. */
    @Bean
    FlywayMigrationStrategy backupBeforeUpgrade() {
        return flyway -> {
            if (embedded) {
                refuseReadOnly();
            }
            boolean upgrade = flyway.info().current() != null && flyway.info().pending().length > 0;
            if (upgrade && isOnDisk()) {
                try {
                    write(named("before-upgrade-from-" + flyway.info().current().getVersion()));
                } catch (IOException e) {
                    throw new UncheckedIOException(
                            "the database was not upgraded: the backup before it could not be written", e);
                }
            }
            flyway.migrate();
        };
    }

    /** The embedded database opens a file that it may not write for reading alone, and says nothing. */
    private void refuseReadOnly() {
        if (Boolean.TRUE.equals(new JdbcTemplate(database).queryForObject("call readonly()", Boolean.class))) {
            throw new IllegalStateException("Read-only file system: the database can be read and not written");
        }
    }
}
