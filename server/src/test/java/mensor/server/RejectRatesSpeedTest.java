package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * The rates over 20,000 rejected places on 5,000 signed welds; {@code -Dmensor.rates=25000} for the 100,000 of docs/performance.md.
 * The bound here is wide.
 */
@ExtendWith(RunningMensor.class)
class RejectRatesSpeedTest {
    private static final int WELDS = Integer.getInteger("mensor.rates", 5_000);

    @Test
    void manyRejectedPlaces() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("RS-1");
        String joint = ines.jointOf(inspection);
        JdbcTemplate db = RunningMensor.bean(JdbcTemplate.class);
        db.update(
                "insert into inspection (id, joint_id, stage, capacity, revision, state, started_at, conditions, verdict, rejects,"
                        + " todos, entry_count, changes, version) select cast(lpad(x, 32, '0') as uuid), '" + joint
                        + "', 'final', 'QC', 2, 'SIGNED', now(), '{}', 'reject', 4, 0, 4, 0, 0 from system_range(1, "
                        + WELDS + ")");
        try {
            db.update("insert into inspection_tally select cast(lpad(x, 32, '0') as uuid), '" + joint
                    + "', 'S' || mod(x, 40), 'W-' || mod(x, 7), mod(x, 4) || 'F', 'E7018', 609.6, 4,"
                    + " dateadd('day', -mod(x, 700), now()) from system_range(1, " + WELDS + ")");
            db.update("insert into place_tally select random_uuid(), cast(lpad(x, 32, '0') as uuid),"
                    + " case mod(y, 4) when 0 then 'slag' when 1 then 'undercut' when 2 then 'porosity' else 'overlap' end,"
                    + " case mod(x + y, 3) when 0 then 'current-low' when 1 then 'work-angle' else 'cleanliness' end, 1"
                    + " from system_range(1, " + WELDS + ") a(x) cross join system_range(1, 4) b(y)");
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
            System.out.printf(
                    "rates over %,d places, the slowest of four: a list %.0f ms, one opened %.0f ms%n",
                    4 * WELDS, list, one);
            assertThat(list).isLessThan(2_000);
            assertThat(one).isLessThan(3_000);
        } finally {
            db.update("delete from inspection_tally where joint_id = '" + joint + "'");
            db.update("delete from inspection where joint_id = '" + joint + "' and revision = 2");
        }
    }

    private static double milliseconds(Runnable question) {
        long begun = System.nanoTime();
        question.run();
        return (System.nanoTime() - begun) / 1e6;
    }
}
