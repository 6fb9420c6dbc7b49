package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import mensor.server.db.V15__Readable_again;
import mensor.server.db.V4__Passes_as_entries;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A database of the version before jobs and procedures had tables of their own loses nothing. */
class MigrationTest {
    private static final String PERSON = "00000000-0000-0000-0000-000000000001";

    private static final String CRACK = "{\"at\":\"5 1/4\",\"kind\":\"crack\"}";

    private static List<String> rows(Connection db, String query) throws SQLException {
        List<String> rows = new ArrayList<>();
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery(query)) {
            while (r.next()) {
                StringBuilder row = new StringBuilder();
                for (int i = 1; i <= r.getMetaData().getColumnCount(); i++) {
                    row.append(i == 1 ? "" : " | ").append(r.getString(i));
                }
                rows.add(row.toString());
            }
        }
        return rows;
    }

    private static String joint(int n, String job, String units, String welding) {
        return "insert into joint values ('00000000-0000-0000-0000-00000000010" + n + "', '" + job
                + "', 'Deck', 'd1.1-static', '" + units + "', 'J" + n
                + "', null, null, null, 'W-12', 'a fillet', null, '{}', now(), '" + PERSON + "', 0, '" + welding + "')";
    }

    @Test
    void jobsBecomeRowsAndPassesEntries(@TempDir Path folder) throws SQLException {
        String url = "jdbc:h2:file:" + folder.resolve("mensor");
        Flyway.configure()
                .dataSource(url, "mensor", "")
                .locations("classpath:db/h2", "classpath:db/both")
                .placeholders(java.util.Map.of("bytes", "blob", "tiny", "tinyint"))
                .target("2")
                .load()
                .migrate();
        try (Connection db = DriverManager.getConnection(url, "mensor", "")) {
            try (Statement s = db.createStatement()) {
                s.execute("insert into person values ('" + PERSON
                        + "', 'ines', 'Ines', 'INSPECTOR', null, 'x', true, 0, null, 0)");
                s.execute(joint(
                        1,
                        "Bridge",
                        "in",
                        "{\"arcLength\":\"long\",\"passes\":[{\"kind\":\"root\",\"amps\":95},{\"kind\":\"cap\"}]}"));
                s.execute(joint(2, "Bridge", "in", "{}"));
                s.execute(joint(3, "Bridge", "mm", "{}"));
                s.execute(joint(4, "Gate", "mm", "{\"passes\":[]}"));
                s.execute(
                        "insert into inspection values ('00000000-0000-0000-0000-000000000201', '00000000-0000-0000-0000-000000000101',"
                                + " 'final', 1, null, null, 'SIGNED', null, now(), '{}', 'incomplete', 0, 0, 0, 0)");
                s.execute("insert into signature values ('00000000-0000-0000-0000-000000000401',"
                        + " '00000000-0000-0000-0000-000000000201', 'reject', '" + PERSON
                        + "', 'Ines', null, 'QC', now(), '{}', 'sum', 0)");
                s.execute(
                        "insert into entry values ('00000000-0000-0000-0000-000000000301', '00000000-0000-0000-0000-000000000201',"
                                + " 1, 'INDICATION', '" + CRACK + "', '" + PERSON + "', now(), false, null, 0)");
                s.execute(
                        "insert into entry values ('00000000-0000-0000-0000-000000000302', '00000000-0000-0000-0000-000000000201',"
                                + " 2, 'READING', '{\"at\":\"3\",\"concavity\":\"1/32\",\"face\":\"flat\"}', '" + PERSON
                                + "', now(), false, null, 0)");
                s.execute(
                        "update joint set document = '{\"weld\":\"fillet\",\"throat\":\"5\",\"sizeMeans\":\"contact\","
                                + "\"gaps\":[{\"from\":\"3\",\"to\":\"3.0\",\"opening\":\"2\"},{\"from\":\"3\",\"to\":\"4\",\"opening\":\"2\"}]}'"
                                + " where mark = 'J3'");
            }
        }
        Flyway.configure()
                .dataSource(url, "mensor", "")
                .locations("classpath:db/h2", "classpath:db/both")
                .placeholders(java.util.Map.of("bytes", "blob", "tiny", "tinyint"))
                .javaMigrations(new V4__Passes_as_entries(), new V15__Readable_again())
                .load()
                .migrate();
        try (Connection db = DriverManager.getConnection(url, "mensor", "")) {
            assertThat(
                            rows(
                                    db,
                                    "select j.mark, k.name, k.units from joint j join job k on k.id = j.job_id order by j.mark"))
                    .containsExactly(
                            "J1 | Bridge | in",
                            "J2 | Bridge | in",
                            "J3 | Bridge (mm, d1.1-static) | mm",
                            "J4 | Gate | mm");
            assertThat(rows(db, "select sequence, kind, content from welding_entry order by sequence"))
                    .containsExactly("1 | PASS | {\"kind\":\"root\",\"amps\":95}", "2 | PASS | {\"kind\":\"cap\"}");
            assertThat(rows(db, "select welding from joint where mark = 'J1'"))
                    .containsExactly("{\"arcLength\":\"long\"}");
            assertThat(rows(db, "select k.name, s.place from signature s join job k on k.id = s.job_id"))
                    .as("what was signed has its place in its job")
                    .containsExactly("Bridge | 1");
            assertThat(rows(db, "select verdict, entry_count from inspection"))
                    .as("what was signed is what it came to, and its entries are counted")
                    .containsExactly("reject | 2");
            assertThat(rows(db, "select content from entry order by sequence"))
                    .as("large objects become text of their row, a face that cannot be is left out")
                    .containsExactly(CRACK, "{\"at\":\"3\",\"concavity\":\"1/32\"}");
            assertThat(rows(db, "select document from joint where mark = 'J3'"))
                    .containsExactly("{\"weld\":\"fillet\",\"throat\":\"5\","
                            + "\"gaps\":[{\"from\":\"3\",\"to\":\"4\",\"opening\":\"2\"}]}");
            assertThat(rows(db, "select wps from joint where mark = 'J2'")).containsExactly("W-12");
        }
    }
}
