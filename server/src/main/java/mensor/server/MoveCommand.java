package mensor.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import mensor.server.db.DatabaseSteps;
import mensor.server.db.OpenFiles;
import mensor.server.db.WhichDatabase;
import org.flywaydb.core.Flyway;

/**
 * Everything out into open files, or in from them: {@code export FOLDER --data FOLDER}, {@code import FOLDER --data FOLDER}. The
 * database is the embedded one of the data folder, which nobody may be using, or the PostgreSQL that MENSOR_DB names.
 */
final class MoveCommand {
    static final Set<String> WORDS = Set.of("export", "import");

    private final Map<String, String> environment;

    MoveCommand(Map<String, String> environment) {
        this.environment = environment;
    }

    /** @return what came of it, in a line */
    String run(String... args) {
        if (args.length != 4 || !args[2].equals("--data")) {
            throw new IllegalArgumentException("name both: " + args[0] + " FOLDER --data FOLDER");
        }
        Path folder = Path.of(args[1]).toAbsolutePath();
        Path data = Path.of(args[3]).toAbsolutePath();
        boolean out = args[0].equals("export");
        String db = environment.getOrDefault("MENSOR_DB", WhichDatabase.EMBEDDED);
        boolean embedded = WhichDatabase.isEmbedded(db);
        if (embedded && out && !Files.exists(data.resolve("mensor.mv.db"))) {
            throw new IllegalArgumentException(
                    "there is no database in " + data + "; name its folder with --data FOLDER");
        }
        String url = embedded ? "jdbc:h2:file:" + data.resolve("mensor") : db;
        String user = embedded ? "mensor" : environment.getOrDefault("MENSOR_DB_USER", "mensor");
        try {
            Files.createDirectories(data);
            String password = embedded
                    ? ""
                    : WhichDatabase.password(environment::get, "MENSOR_DB_PASSWORD", "MENSOR_DB_PASSWORD_FILE");
            Flyway steps = DatabaseSteps.of(url, user, password);
            if (!out) {
                steps.migrate();
            } else if (steps.info().pending().length > 0) {
                throw new IllegalArgumentException(
                        "the database is of an older version: start Mensor on it once, which upgrades it, then export");
            }
            try (Connection c = DriverManager.getConnection(url, user, password)) {
                OpenFiles files = new OpenFiles(folder);
                long rows = out ? files.write(c, data) : files.read(c, data);
                return String.format(
                        Locale.ROOT,
                        "%s: %,d rows, with pictures, documents, scans and seals",
                        out ? "Written to " + folder : "Read",
                        rows);
            }
        } catch (IOException e) {
            throw new IllegalArgumentException("a file could not be read or written: " + e.getMessage(), e);
        } catch (SQLException e) {
            String known = StartFailure.explain(e);
            throw new IllegalArgumentException(known != null ? known : "the database refused: " + e.getMessage(), e);
        }
    }
}
