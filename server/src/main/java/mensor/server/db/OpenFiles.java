package mensor.server.db;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.server.db.StoredTables.Table;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything that is stored, as files that any program reads: of each table a file with a line of JSON a row, each picture and
 * document a file under its SHA-256, the files of scans, and a list with the sum of each. They move to another database, also of the other kind.
 */
public final class OpenFiles {
    static final String FORMAT = "mensor-export/1";
    private static final String LIST = "mensor-export.json";

    private final JsonMapper json = JsonMapper.builder().build();
    private final Path folder;
    private final TableRows rows;

    public OpenFiles(Path folder) {
        this.folder = folder;
        this.rows = new TableRows(folder.resolve("files"));
    }

    /** What cannot be moved, in words. */
    public static final class CannotMove extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public CannotMove(String message) {
            super(message);
        }
    }

    /**
     * @param data the folder with the seals and their key
     * @return how many rows were written
     */
    public long write(Connection db, Path data) throws SQLException, IOException {
        if (Files.isDirectory(folder) && !isEmpty(folder)) {
            throw new CannotMove(folder + " is not empty; name a new folder");
        }
        Files.createDirectories(folder.resolve("tables"));
        Files.createDirectories(folder.resolve("files"));
        db.setAutoCommit(false);
        db.setTransactionIsolation(Connection.TRANSACTION_REPEATABLE_READ); // as of one moment
        ObjectNode list = json.createObjectNode();
        list.put("format", FORMAT);
        list.put("version", version(db));
        list.put("at", OffsetDateTime.now(ZoneOffset.UTC).toString());
        ArrayNode tables = list.putArray("tables");
        long all = 0;
        for (Table t : StoredTables.of(db)) {
            long rows = write(db, t);
            tables.addObject().put("name", t.name()).put("rows", rows).put("sha256", FileSum.sha256(file(t)));
            all += rows;
        }
        db.rollback();
        for (String beside : SealFiles.BESIDE) {
            if (Files.exists(data.resolve(beside))) {
                Files.copy(data.resolve(beside), folder.resolve(beside));
            }
        }
        ArrayNode scans = list.putArray("scans");
        for (Path scan : ScanFiles.of(data)) {
            Path copy = folder.resolve(ScanFiles.FOLDER).resolve(scan.getFileName());
            Files.createDirectories(copy.getParent());
            Files.copy(scan, copy);
            scans.addObject().put("name", copy.getFileName().toString()).put("sha256", FileSum.sha256(copy));
        }
        Files.writeString(
                folder.resolve(LIST), json.writerWithDefaultPrettyPrinter().writeValueAsString(list) + "\n");
        return all;
    }

    private static boolean isEmpty(Path folder) throws IOException {
        try (var files = Files.list(folder)) {
            return files.findAny().isEmpty();
        }
    }

    private Path file(Table t) {
        return folder.resolve("tables").resolve(t.name() + ".jsonl");
    }

    static String version(Connection db) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select \"version\" from \"flyway_schema_history\""
                        + " where \"success\" and \"version\" is not null order by \"installed_rank\" desc")) {
            return r.next() ? r.getString(1) : "";
        }
    }

    private long write(Connection db, Table t) throws SQLException, IOException {
        return rows.write(db, t, "", List.of(), file(t), row -> row);
    }

    /**
     * Into a database whose tables are made and empty: all of it, or nothing.
     *
     * @return how many rows were read
     */
    public long read(Connection db, Path data) throws SQLException, IOException {
        JsonNode list = list();
        if (!list.path("version").asString("").equals(version(db))) {
            throw new CannotMove(
                    "the files are of another version of Mensor: export them with the version that imports them");
        }
        db.setAutoCommit(false);
        refuseFilled(db, data);
        List<Path> scans = scans(list);
        long all = 0;
        try (Statement s = db.createStatement()) {
            s.executeUpdate("delete from revinfo"); // the beginning of an empty history
            for (Table t : StoredTables.of(db)) {
                all += read(db, t, list);
            }
            long last;
            try (ResultSet r = s.executeQuery("select coalesce(max(rev), 0) from revinfo")) {
                r.next();
                last = r.getLong(1);
            }
            s.execute("alter table revinfo alter column rev restart with " + (last + 1));
        }
        for (String beside : SealFiles.BESIDE) {
            if (Files.exists(folder.resolve(beside))) {
                Files.copy(folder.resolve(beside), data.resolve(beside), StandardCopyOption.COPY_ATTRIBUTES);
            }
        }
        for (Path scan : scans) {
            Path copy = data.resolve(ScanFiles.FOLDER).resolve(scan.getFileName());
            Files.createDirectories(copy.getParent());
            Files.copy(scan, copy, StandardCopyOption.REPLACE_EXISTING); // of an import that was cut off, or the same
        }
        db.commit();
        return all;
    }

    private JsonNode list() throws IOException {
        Path file = folder.resolve(LIST);
        JsonNode list = Files.exists(file) ? json.readTree(Files.readString(file)) : json.createObjectNode();
        if (!list.path("format").asString("").equals(FORMAT)) {
            throw new CannotMove(folder + " holds no export of Mensor's (" + LIST + ", " + FORMAT + ")");
        }
        return list;
    }

    /** The files of scans that came along, each as it was written; an export of before has none. */
    private List<Path> scans(JsonNode list) throws IOException {
        List<Path> all = new ArrayList<>();
        for (JsonNode told : list.path("scans")) {
            // a name alone: nothing is written outside the folder
            Path file = folder.resolve(ScanFiles.FOLDER)
                    .resolve(new File(told.path("name").asString("")).getName());
            if (!Files.isRegularFile(file) || !told.path("sha256").asString("").equals(FileSum.sha256(file))) {
                throw new CannotMove("the scan " + file + " is missing, or not as it was written");
            }
            all.add(file);
        }
        return all;
    }

    private void refuseFilled(Connection db, Path data) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select count(*) from person")) {
            r.next();
            if (r.getLong(1) > 0) {
                throw new CannotMove("the database is in use already; an import goes into an empty one");
            }
        }
        for (String beside : SealFiles.BESIDE) {
            if (Files.exists(data.resolve(beside)) && Files.exists(folder.resolve(beside))) {
                throw new CannotMove("there is a file " + beside + " in " + data + " already; name an empty folder");
            }
        }
    }

    private long read(Connection db, Table t, JsonNode list) throws SQLException, IOException {
        Path file = file(t);
        JsonNode told = null;
        for (JsonNode x : list.path("tables")) {
            if (x.path("name").asString("").equals(t.name())) {
                told = x;
            }
        }
        if (told == null
                || !Files.exists(file)
                || !told.path("sha256").asString("").equals(FileSum.sha256(file))) {
            throw new CannotMove("the file " + file + " is missing, or not as it was written");
        }
        return rows.read(db, t, file, row -> Optional.of(row));
    }
}
