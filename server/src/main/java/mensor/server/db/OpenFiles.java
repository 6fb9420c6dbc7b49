package mensor.server.db;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.server.db.StoredTables.Kind;
import mensor.server.db.StoredTables.Table;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything that is stored, as files that any program reads: of each table a file with a line of JSON a row, each picture and
 * document a file under its SHA-256, and a list with the sum of each. They move to another database, also of the other kind.
 */
public final class OpenFiles {
    static final String FORMAT = "mensor-export/1";
    private static final String LIST = "mensor-export.json";
    private static final List<String> BESIDE = List.of("seals.jsonl", "seal-key");
    private static final int AT_ONCE = 500;

    private final JsonMapper json = JsonMapper.builder().build();
    private final Path folder;

    public OpenFiles(Path folder) {
        this.folder = folder;
    }

    /** What cannot be moved, in words. */
    public static final class CannotMove extends RuntimeException {
        private static final long serialVersionUID = 1L;

        CannotMove(String message) {
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
        for (String beside : BESIDE) {
            if (Files.exists(data.resolve(beside))) {
                Files.copy(data.resolve(beside), folder.resolve(beside));
            }
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

    private static String version(Connection db) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select \"version\" from \"flyway_schema_history\""
                        + " where \"success\" and \"version\" is not null order by \"installed_rank\" desc")) {
            return r.next() ? r.getString(1) : "";
        }
    }

    private long write(Connection db, Table t) throws SQLException, IOException {
        long rows = 0;
        try (Statement s = db.createStatement();
                BufferedWriter out = Files.newBufferedWriter(file(t))) {
            s.setFetchSize(AT_ONCE);
            try (ResultSet r =
                    s.executeQuery("select " + String.join(", ", t.columns().keySet()) + " from " + t.name()
                            + " order by " + String.join(", ", t.key()))) {
                while (r.next()) {
                    ObjectNode row = json.createObjectNode();
                    for (Map.Entry<String, Kind> c : t.columns().entrySet()) {
                        put(row, c.getKey(), c.getValue(), r);
                    }
                    out.write(json.writeValueAsString(row));
                    out.newLine();
                    rows++;
                }
            }
        }
        return rows;
    }

    private void put(ObjectNode row, String column, Kind kind, ResultSet r) throws SQLException, IOException {
        switch (kind) {
            case TEXT -> putIfThere(row, column, r.getString(column));
            case ID -> putIfThere(row, column, r.getObject(column, UUID.class));
            case DAY -> putIfThere(row, column, r.getObject(column, LocalDate.class));
            case MOMENT -> {
                OffsetDateTime at = r.getObject(column, OffsetDateTime.class);
                putIfThere(row, column, at == null ? null : at.toInstant());
            }
            case NUMBER -> {
                long value = r.getLong(column);
                if (!r.wasNull()) {
                    row.put(column, value);
                }
            }
            case FRACTION -> {
                double value = r.getDouble(column);
                if (!r.wasNull()) {
                    row.put(column, value);
                }
            }
            case YES_NO -> {
                boolean value = r.getBoolean(column);
                if (!r.wasNull()) {
                    row.put(column, value);
                }
            }
            case BYTES -> {
                byte[] bytes = r.getBytes(column);
                if (bytes != null) {
                    String sum = ChainFile.sha256(bytes);
                    Path file = folder.resolve("files").resolve(sum);
                    if (!Files.exists(file)) {
                        Files.write(file, bytes);
                    }
                    row.put(column, sum);
                }
            }
        }
    }

    private static void putIfThere(ObjectNode row, String column, Object value) {
        if (value != null) {
            row.put(column, value.toString());
        }
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
        for (String beside : BESIDE) {
            if (Files.exists(folder.resolve(beside))) {
                Files.copy(folder.resolve(beside), data.resolve(beside), StandardCopyOption.COPY_ATTRIBUTES);
            }
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

    private void refuseFilled(Connection db, Path data) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select count(*) from person")) {
            r.next();
            if (r.getLong(1) > 0) {
                throw new CannotMove("the database is in use already; an import goes into an empty one");
            }
        }
        for (String beside : BESIDE) {
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
        try (Insert insert = new Insert(db, t);
                BufferedReader in = Files.newBufferedReader(file)) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                insert.add(json.readTree(line));
            }
            return insert.end();
        }
    }

    /** Rows into one table; one that names another row of the same table waits until that one is there. */
    private final class Insert implements AutoCloseable {
        private final Table table;
        private final PreparedStatement statement;
        private final Set<String> there = new HashSet<>();
        private List<JsonNode> waiting = new ArrayList<>();
        private long rows;

        Insert(Connection db, Table table) throws SQLException {
            this.table = table;
            statement = db.prepareStatement("insert into " + table.name() + " ("
                    + String.join(", ", table.columns().keySet()) + ") values ("
                    + "?, ".repeat(table.columns().size() - 1) + "?)");
        }

        void add(JsonNode row) throws SQLException, IOException {
            boolean ready = table.own().stream()
                    .allMatch(c -> !row.has(c) || there.contains(row.get(c).asString()));
            if (!ready) {
                waiting.add(row);
                return;
            }
            if (!table.own().isEmpty()) {
                there.add(row.get(table.key().get(0)).asString());
            }
            int n = 1;
            for (Map.Entry<String, Kind> c : table.columns().entrySet()) {
                set(n++, c.getValue(), row.get(c.getKey()));
            }
            statement.addBatch();
            if (++rows % AT_ONCE == 0) {
                statement.executeBatch();
            }
        }

        private void set(int n, Kind kind, JsonNode value) throws SQLException, IOException {
            if (value == null) {
                statement.setObject(n, null);
                return;
            }
            switch (kind) {
                case TEXT -> statement.setString(n, value.asString());
                case ID -> statement.setObject(n, UUID.fromString(value.asString()));
                case DAY -> statement.setObject(n, LocalDate.parse(value.asString()));
                case MOMENT ->
                    statement.setObject(
                            n, java.time.Instant.parse(value.asString()).atOffset(ZoneOffset.UTC));
                case NUMBER -> statement.setLong(n, value.asLong());
                case FRACTION -> statement.setDouble(n, value.asDouble());
                case YES_NO -> statement.setBoolean(n, value.asBoolean());
                case BYTES -> statement.setBytes(n, bytes(value.asString()));
            }
        }

        long end() throws SQLException, IOException {
            while (!waiting.isEmpty()) {
                List<JsonNode> left = waiting;
                waiting = new ArrayList<>();
                for (JsonNode row : left) {
                    add(row);
                }
                if (waiting.size() == left.size()) {
                    throw new CannotMove("rows of " + table.name() + " name rows that are not there");
                }
            }
            statement.executeBatch();
            return rows;
        }

        @Override
        public void close() throws SQLException {
            statement.close();
        }
    }

    private byte[] bytes(String sum) throws IOException {
        Path file = folder.resolve("files").resolve(sum);
        byte[] bytes = Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
        if (!ChainFile.sha256(bytes).equals(sum)) {
            throw new CannotMove("the file " + file + " is missing, or not as it was written");
        }
        return bytes;
    }
}
