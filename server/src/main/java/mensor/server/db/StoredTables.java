package mensor.server.db;

import java.sql.Connection;
import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** The tables that hold what people stored, each after those that it names; alike in both databases. */
final class StoredTables {
    /** Of the running application, or made again of the others. */
    private static final Set<String> NOT_STORED = Set.of(
            "flyway_schema_history", "worklist_row", "background_work", "spring_session", "spring_session_attributes");

    /**
     * @param columns by name, what kind of value each takes
     * @param key the columns of its primary key
     * @param own the columns that name another row of the same table
     * @param others the columns that name a row of another table, and which
     * @param required the columns that every row has
     */
    record Table(
            String name,
            Map<String, Kind> columns,
            List<String> key,
            List<String> own,
            Map<String, String> others,
            Set<String> required) {}

    enum Kind {
        TEXT,
        NUMBER,
        FRACTION,
        YES_NO,
        ID,
        DAY,
        MOMENT,
        BYTES
    }

    private StoredTables() {}

    static List<Table> of(Connection db) throws SQLException {
        DatabaseMetaData meta = db.getMetaData();
        String schema = meta.storesUpperCaseIdentifiers() ? "PUBLIC" : "public";
        Map<String, Table> tables = new TreeMap<>();
        Map<String, Set<String>> names = new TreeMap<>();
        try (ResultSet r = meta.getTables(null, schema, "%", new String[] {"TABLE", "BASE TABLE"})) {
            while (r.next()) {
                String written = r.getString("TABLE_NAME");
                String name = written.toLowerCase(Locale.ROOT);
                if (!NOT_STORED.contains(name)) {
                    Map<String, String> others = new TreeMap<>();
                    List<String> own = new ArrayList<>();
                    others(meta, schema, written, others, own);
                    names.put(name, new TreeSet<>(others.values()));
                    tables.put(
                            name,
                            new Table(
                                    name,
                                    columns(meta, schema, written),
                                    key(meta, schema, written),
                                    own,
                                    others,
                                    required(meta, schema, written)));
                }
            }
        }
        List<Table> inOrder = new ArrayList<>();
        while (!tables.isEmpty()) {
            String next = tables.keySet().stream()
                    .filter(t -> names.get(t).stream().noneMatch(tables::containsKey))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("tables that name each other: " + tables.keySet()));
            inOrder.add(tables.remove(next));
        }
        return inOrder;
    }

    private static void others(
            DatabaseMetaData meta, String schema, String table, Map<String, String> others, List<String> own)
            throws SQLException {
        try (ResultSet r = meta.getImportedKeys(null, schema, table)) {
            while (r.next()) {
                if (r.getString("PKTABLE_NAME").equals(table)) {
                    own.add(r.getString("FKCOLUMN_NAME").toLowerCase(Locale.ROOT));
                } else {
                    others.put(
                            r.getString("FKCOLUMN_NAME").toLowerCase(Locale.ROOT),
                            r.getString("PKTABLE_NAME").toLowerCase(Locale.ROOT));
                }
            }
        }
    }

    private static List<String> key(DatabaseMetaData meta, String schema, String table) throws SQLException {
        Map<Integer, String> key = new TreeMap<>();
        try (ResultSet r = meta.getPrimaryKeys(null, schema, table)) {
            while (r.next()) {
                key.put(r.getInt("KEY_SEQ"), r.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
            }
        }
        return List.copyOf(key.values());
    }

    private static Set<String> required(DatabaseMetaData meta, String schema, String table) throws SQLException {
        Set<String> required = new TreeSet<>();
        try (ResultSet r = meta.getColumns(null, schema, table, "%")) {
            while (r.next()) {
                if (r.getInt("NULLABLE") == DatabaseMetaData.columnNoNulls) {
                    required.add(r.getString("COLUMN_NAME").toLowerCase(Locale.ROOT));
                }
            }
        }
        return required;
    }

    private static Map<String, Kind> columns(DatabaseMetaData meta, String schema, String table) throws SQLException {
        Map<String, Kind> columns = new TreeMap<>();
        try (ResultSet r = meta.getColumns(null, schema, table, "%")) {
            while (r.next()) {
                columns.put(
                        r.getString("COLUMN_NAME").toLowerCase(Locale.ROOT),
                        kind(r.getInt("DATA_TYPE"), r.getString("TYPE_NAME").toLowerCase(Locale.ROOT)));
            }
        }
        return new LinkedHashMap<>(columns);
    }

    private static Kind kind(int type, String name) {
        if (name.equals("uuid")) {
            return Kind.ID;
        }
        return switch (type) {
            case java.sql.Types.CHAR, java.sql.Types.VARCHAR, java.sql.Types.CLOB -> Kind.TEXT;
            case java.sql.Types.TINYINT, java.sql.Types.SMALLINT, java.sql.Types.INTEGER, java.sql.Types.BIGINT ->
                Kind.NUMBER;
            case java.sql.Types.DOUBLE, java.sql.Types.REAL, java.sql.Types.FLOAT -> Kind.FRACTION;
            case java.sql.Types.BIT, java.sql.Types.BOOLEAN -> Kind.YES_NO;
            case java.sql.Types.DATE -> Kind.DAY;
            case java.sql.Types.TIMESTAMP, java.sql.Types.TIMESTAMP_WITH_TIMEZONE -> Kind.MOMENT;
            case java.sql.Types.BINARY, java.sql.Types.BLOB -> Kind.BYTES;
            default -> throw new IllegalStateException("a column of a kind that is not known: " + name);
        };
    }
}
