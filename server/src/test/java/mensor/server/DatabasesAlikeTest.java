package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import mensor.server.db.DatabaseSteps;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** The steps of the embedded database and those of a PostgreSQL lead to the same tables. */
@EnabledIfSystemProperty(named = "mensor.test.db", matches = "postgresql")
@Tag("postgresql")
class DatabasesAlikeTest {
    @Test
    void theSameTablesColumnsAndKeys() throws SQLException {
        String embedded = "jdbc:h2:mem:alike;DB_CLOSE_DELAY=-1";
        String postgresql = TestDatabase.fresh();
        DatabaseSteps.of(embedded, "mensor", "").migrate();
        DatabaseSteps.of(postgresql, "postgres", "").migrate();
        try (Connection h2 = DriverManager.getConnection(embedded, "mensor", "");
                Connection pg = DriverManager.getConnection(postgresql, "postgres", "")) {
            Map<String, String> columns = columns(h2, "PUBLIC");
            assertThat(columns).hasSizeGreaterThan(400);
            assertThat(columns(pg, "public")).containsExactlyEntriesOf(columns);
            assertThat(keys(pg, columns, "public")).isEqualTo(keys(h2, columns, "PUBLIC"));
        }
    }

    /** What a column takes, alike in both: kinds of numbers and of times by their own names, texts by their length. */
    private static Map<String, String> columns(Connection db, String schema) throws SQLException {
        Map<String, String> columns = new TreeMap<>();
        try (ResultSet r = db.getMetaData().getColumns(null, schema, "%", "%")) {
            while (r.next()) {
                String table = r.getString("TABLE_NAME").toLowerCase(Locale.ROOT);
                if (!table.startsWith("flyway")) {
                    columns.put(
                            table + "." + r.getString("COLUMN_NAME").toLowerCase(Locale.ROOT),
                            kind(r)
                                    + (r.getInt("NULLABLE") == java.sql.DatabaseMetaData.columnNoNulls
                                            ? " not null"
                                            : ""));
                }
            }
        }
        return columns;
    }

    private static String kind(ResultSet r) throws SQLException {
        int type = r.getInt("DATA_TYPE");
        String name = r.getString("TYPE_NAME").toLowerCase(Locale.ROOT);
        if (name.equals("uuid")) {
            return name;
        }
        return switch (type) {
            case Types.CLOB -> "text";
            case Types.BLOB, Types.BINARY -> "bytes";
            case Types.TINYINT, Types.SMALLINT -> "small";
            case Types.BIT, Types.BOOLEAN -> "boolean";
            case Types.TIMESTAMP, Types.TIMESTAMP_WITH_TIMEZONE -> "time";
            case Types.VARCHAR -> name.equals("text") ? "text" : "letters " + r.getInt("COLUMN_SIZE");
            case Types.CHAR -> "letters " + r.getInt("COLUMN_SIZE");
            default ->
                name.startsWith("uuid")
                        ? "uuid"
                        : java.sql.JDBCType.valueOf(type).getName();
        };
    }

    /** Primary keys, unique indexes and what one table says of another. */
    private static Set<String> keys(Connection db, Map<String, String> columns, String schema) throws SQLException {
        Set<String> keys = new TreeSet<>();
        Set<String> tables = new TreeSet<>();
        columns.keySet().forEach(c -> tables.add(c.substring(0, c.indexOf('.'))));
        for (String table : tables) {
            String named = schema.equals("PUBLIC") ? table.toUpperCase(Locale.ROOT) : table;
            try (ResultSet r = db.getMetaData().getImportedKeys(null, schema, named)) {
                while (r.next()) {
                    keys.add((table + "." + r.getString("FKCOLUMN_NAME") + " of " + r.getString("PKTABLE_NAME"))
                            .toLowerCase(Locale.ROOT));
                }
            }
            Map<String, String> unique = new TreeMap<>();
            try (ResultSet r = db.getMetaData().getIndexInfo(null, schema, named, true, false)) {
                while (r.next()) {
                    if (r.getString("COLUMN_NAME") != null) {
                        unique.merge(r.getString("INDEX_NAME"), r.getString("COLUMN_NAME"), (a, b) -> a + " " + b);
                    }
                }
            }
            unique.values().forEach(u -> keys.add((table + " unique " + u).toLowerCase(Locale.ROOT)));
        }
        return keys;
    }
}
