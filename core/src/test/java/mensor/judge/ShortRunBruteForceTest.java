package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.Criterion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Short imperfections (ISO 5817: 25 mm in any 100 mm, both toes together) and incomplete penetration (ASME B31.3: 38 mm in any
 * 150 mm) against a slow count of millimetre cells in every window that begins on a millimetre; stretches begin and end there,
 * so that no window between two holds more.
 */
class ShortRunBruteForceTest {
    private static final int LENGTH = 220;

    /** The most marked cells of both lanes in any window. */
    private static int worst(boolean[][] lanes, int window, boolean closed) {
        int worst = 0;
        for (int start = 0; closed ? start < LENGTH : start + window <= LENGTH; start++) {
            int count = 0;
            for (int c = start; c < start + window; c++) {
                for (boolean[] lane : lanes) {
                    count += lane[c % LENGTH] ? 1 : 0;
                }
            }
            worst = Math.max(worst, count);
        }
        return worst;
    }

    private static List<int[]> stretches(Random random, boolean[] lane) {
        List<int[]> stretches = new ArrayList<>();
        for (int n = random.nextInt(4); n > 0; n--) {
            int from = random.nextInt(LENGTH - 20);
            int to = from + 1 + random.nextInt(14);
            stretches.add(new int[] {from, to});
            for (int c = from; c < to; c++) {
                lane[c] = true;
            }
        }
        return stretches;
    }

    private static Span span(int[] s) {
        return new Span(Length.millimetres(s[0] + ""), Length.millimetres(s[1] + ""));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void undercutOfThinMembers(boolean closed) {
        Random random = new Random(closed ? 7 : 8);
        int rejected = 0;
        for (int round = 0; round < 250; round++) {
            boolean[][] lanes = new boolean[2][LENGTH];
            TestInspection inspection = TestInspection.bare(Unit.MILLIMETRE, LENGTH + "", "3", "3")
                    .joint(b -> b.throat(Length.millimetres("2")).closed(closed))
                    .by(CriteriaBooks.find("iso5817-d").orElseThrow());
            for (Toe toe : List.of(Toe.A, Toe.B)) {
                for (int[] s : stretches(random, lanes[toe.ordinal()])) {
                    inspection.seen(new Undercut(toe, span(s), Length.millimetres("0.3"), Optional.empty()));
                }
            }
            Verdict wanted = worst(lanes, 100, closed) > 25 ? Verdict.REJECT : Verdict.ACCEPT;
            assertThat(inspection.verdict(Criterion.UNDERCUT))
                    .as("round " + round)
                    .isEqualTo(wanted);
            rejected += wanted == Verdict.REJECT ? 1 : 0;
        }
        assertThat(rejected).isBetween(40, 230);
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void incompletePenetrationOfAPipe(boolean closed) {
        Random random = new Random(closed ? 9 : 10);
        int rejected = 0;
        for (int round = 0; round < 250; round++) {
            boolean[][] lanes = new boolean[1][LENGTH];
            Member pipe = new Member("pipe", Length.millimetres("6"));
            JointBuilder b = new JointBuilder(
                            "P", WeldType.GROOVE, Connection.PIPE_BUTT, Length.millimetres(LENGTH + ""))
                    .closed(closed)
                    .members(pipe, pipe)
                    .penetration(Penetration.COMPLETE)
                    .oneSided(true);
            TestInspection inspection = TestInspection.of(Unit.MILLIMETRE, b)
                    .by(CriteriaBooks.find("b31.3-normal").orElseThrow());
            for (int n = 0; n < 2; n++) {
                for (int[] s : stretches(random, lanes[0])) {
                    inspection.seen(new IncompletePenetration(
                            span(s), Optional.of(Length.millimetres("0.5")), Optional.empty()));
                }
            }
            Verdict wanted = worst(lanes, 150, closed) > 38 ? Verdict.REJECT : Verdict.ACCEPT;
            boolean any = !inspection.inspection().indications().isEmpty();
            assertThat(inspection.verdict(Criterion.ROOT))
                    .as("round " + round)
                    .isEqualTo(any ? wanted : Verdict.ACCEPT);
            rejected += wanted == Verdict.REJECT ? 1 : 0;
        }
        assertThat(rejected).isBetween(10, 230);
    }
}
