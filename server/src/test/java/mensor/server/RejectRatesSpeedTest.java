package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The rates over 20,000 rejected places on 5,000 signed welds; {@code -Dmensor.rates=25000} for the 100,000 of docs/performance.md.
 * The bound here is wide.
 */
@ExtendWith(RunningMensor.class)
@EnabledIfSystemProperty(named = "sweeps", matches = "true")
class RejectRatesSpeedTest {
    private static final int WELDS = Integer.getInteger("mensor.rates", 5_000);

    private static UUID weld(int x) {
        return new UUID(0, x);
    }

    private static void each(JdbcTemplate db, int places, String insert, BiFunction<Integer, Integer, Object[]> row) {
        List<Object[]> rows = IntStream.rangeClosed(1, WELDS)
                .boxed()
                .flatMap(x -> IntStream.range(0, places).mapToObj(y -> row.apply(x, y)))
                .toList();
        db.batchUpdate(insert, rows);
    }

    @Test
    void manyRejectedPlaces() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("RS-1");
        String joint = ines.jointOf(inspection);
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        UUID jointId = UUID.fromString(joint);
        each(
                db,
                1,
                "insert into inspection (id, joint_id, stage, capacity, revision, state, started_at, conditions, verdict, rejects,"
                        + " todos, entry_count, changes, version) values (?, ?, 'final', 'QC', 2, 'SIGNED', current_timestamp, '{}',"
                        + " 'reject', 4, 0, 4, 0, 0)",
                (x, y) -> new Object[] {weld(x), jointId});
        try {
            each(
                    db,
                    1,
                    "insert into inspection_tally values (?, ?, ?, ?, ?, 'E7018', 609.6, 4, ?)",
                    (x, y) -> new Object[] {
                        weld(x),
                        jointId,
                        "S" + x % 40,
                        "W-" + x % 7,
                        x % 4 + "F",
                        OffsetDateTime.now(ZoneOffset.UTC).minusDays(x % 700)
                    });
            String[] troubles = {"slag", "undercut", "porosity", "overlap"};
            String[] causes = {"current-low", "work-angle", "cleanliness"};
            each(db, 4, "insert into place_tally values (?, ?, ?, ?, 1)", (x, y) ->
                    new Object[] {UUID.randomUUID(), weld(x), troubles[y % 4], causes[(x + y) % 3]});
            // each question anew: the database remembers the answer to the last one
            double list = 0;
            double one = 0;
            for (String by : new String[] {"welder", "procedure", "position", "electrode"}) {
                list = Math.max(
                        list,
                        milliseconds(
                                () -> ines.get("/api/reject-rates?by=" + by).expect(200)));
            }
            for (String row :
                    new String[] {"welder&key=S7", "position&key=1F", "electrode&key=E7018", "procedure&key=W-3"}) {
                one = Math.max(
                        one,
                        milliseconds(() ->
                                ines.get("/api/reject-rates/one?by=" + row).expect(200)));
            }
            double plots = 0;
            for (String scope : new String[] {"", "?welder=S7", "?procedure=W-3"}) {
                plots = Math.max(
                        plots, milliseconds(() -> ines.get("/api/plots" + scope).expect(200)));
            }
            System.out.printf("plots over %,d places, the slowest of three: %.0f ms%n", 4 * WELDS, plots);
            assertThat(plots).isLessThan(5_000);
            System.out.printf(
                    "rates over %,d places, the slowest of four: a list %.0f ms, one opened %.0f ms%n",
                    4 * WELDS, list, one);
            assertThat(list).isLessThan(2_000);
            assertThat(one).isLessThan(3_000);
        } finally {
            db.update("delete from inspection_tally where joint_id = ?", jointId);
            db.update("delete from inspection where joint_id = ? and revision = 2", jointId);
        }
    }

    private static double milliseconds(Runnable question) {
        long begun = System.nanoTime();
        question.run();
        return (System.nanoTime() - begun) / 1e6;
    }
}
