package mensor.server.db;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mensor.exchange.ChainFile;
import mensor.server.db.StoredTables.Kind;
import mensor.server.db.StoredTables.Table;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Rows of a table as lines of JSON, one a row, and back; what is bytes is a file under its SHA-256 beside them. */
final class TableRows {
    private static final int AT_ONCE = 500;

    private final JsonMapper json = JsonMapper.builder().build();
    private final Path files;

    /** @param files where bytes lie */
    TableRows(Path files) {
        this.files = files;
    }

    /** What becomes of a row before it is written; null leaves it out. */
    interface Written {
        ObjectNode of(ObjectNode row);
    }

    /** What becomes of a row before it is stored; empty leaves it out. */
    interface Brought {
        Optional<JsonNode> of(JsonNode row) throws SQLException;
    }

    /**
     * @param where a condition, or empty for all rows, with its values
     * @return how many rows were written
     */
    long write(Connection db, Table t, String where, List<?> values, Path file, Written written)
            throws SQLException, IOException {
        long rows = 0;
        try (PreparedStatement s = db.prepareStatement(
                        "select " + String.join(", ", t.columns().keySet()) + " from " + t.name()
                                + (where.isEmpty() ? "" : " where " + where)
                                + " order by " + String.join(", ", t.key()));
                BufferedWriter out = Files.newBufferedWriter(file)) {
            s.setFetchSize(AT_ONCE);
            for (int i = 0; i < values.size(); i++) {
                s.setObject(i + 1, values.get(i));
            }
            try (ResultSet r = s.executeQuery()) {
                while (r.next()) {
                    ObjectNode row = json.createObjectNode();
                    for (Map.Entry<String, Kind> c : t.columns().entrySet()) {
                        put(row, c.getKey(), c.getValue(), r);
                    }
                    row = written.of(row);
                    if (row != null) {
                        out.write(json.writeValueAsString(row));
                        out.newLine();
                        rows++;
                    }
                }
            }
        }
        return rows;
    }

    /** @return how many rows were stored */
    long read(Connection db, Table t, Path file, Brought brought) throws SQLException, IOException {
        try (Insert insert = new Insert(db, t);
                BufferedReader in = Files.newBufferedReader(file)) {
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                Optional<JsonNode> row = brought.of(json.readTree(line));
                if (row.isPresent()) {
                    insert.add(row.get());
                }
            }
            return insert.end();
        }
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
                    Path file = files.resolve(sum);
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
                    throw new OpenFiles.CannotMove("rows of " + table.name() + " name rows that are not there");
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
        Path file = files.resolve(sum);
        byte[] bytes = Files.exists(file) ? Files.readAllBytes(file) : new byte[0];
        if (!ChainFile.sha256(bytes).equals(sum)) {
            throw new OpenFiles.CannotMove("the file " + file + " is missing, or not as it was written");
        }
        return bytes;
    }
}
