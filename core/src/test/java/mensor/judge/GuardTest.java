package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import mensor.criteria.d11.CyclicBook;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Guarded acceptance. Source: JCGM 106:2012; the first probability is its worked example, the second reckoned from its formula. */
class GuardTest {
    private static Length mm(String value) {
        return Length.millimetres(value);
    }

    @Test
    void probabilityThatALimitIsKept() {
        assertThat(Conformance.atMost(mm("-5.47"), mm("0.05"), mm("-5.40"))).isCloseTo(.919, within(.0005));
        assertThat(Conformance.atMost(mm("0.80"), mm("0.10"), mm("1.0"))).isCloseTo(.977, within(.0005));
        assertThat(Conformance.atLeast(mm("8.2"), mm("0.10"), mm("8"))).isCloseTo(.977, within(.0005));
        assertThat(Conformance.atMost(mm("1"), mm("0.10"), mm("1"))).isEqualTo(.5);
        assertThat(Conformance.atMost(mm("9"), mm("0.10"), mm("1"))).isCloseTo(0, within(1e-12));
    }

    /** A scale of 0.5 alone is sure to 0.5/√12 = 0.144; with a certificate of 0.2 at k = 2, √(0.144² + 0.1²) = 0.176. */
    @Test
    void uncertaintyOfAGauge() {
        assertThat(Guard.uncertainty(Optional.of(mm("0.5")), Optional.empty())
                        .orElseThrow()
                        .approximateNanometres())
                .isCloseTo(144_337.6, within(1.0));
        assertThat(Guard.uncertainty(Optional.of(mm("0.5")), Optional.of(mm("0.2")))
                        .orElseThrow()
                        .approximateNanometres())
                .isCloseTo(175_594.2, within(1.0));
        assertThat(Guard.uncertainty(Optional.empty(), Optional.empty())).isEmpty();
        assertThat(Guard.ofScan(mm("0.06"))).as("a scan's own").isEqualTo(mm("0.03"));
    }

    private static Terms guarded(Inspection inspection, String u) {
        List<Optional<Length>> sure = Collections.nCopies(
                Math.max(inspection.readings().size(), inspection.indications().size()),
                Optional.ofNullable(u).map(v -> Length.parse(v, inspection.units())));
        return new Terms(
                Optional.of(new Guard(
                        Guard.TWO,
                        sure.subList(0, inspection.readings().size()),
                        sure.subList(0, inspection.indications().size()))),
                List.of());
    }

    private static Finding guarded(TestInspection inspection, String u, Criterion criterion) {
        Inspection i = inspection.inspection();
        return Judge.evaluate(i, new StaticBook(), guarded(i, u))
                .finding(criterion.id())
                .orElseThrow();
    }

    /** y ≤ T − 2u: a limit of 1 mm, u of 0.1. Depths between 1 and 2 mm have their own limit of 2. */
    @ParameterizedTest
    @CsvSource({"0.8, ACCEPT", "1.81, INCOMPLETE", "1.8, ACCEPT", "2, INCOMPLETE", "2.01, REJECT"})
    void aDepthKeepsItsLimitByTheBand(String depth, Verdict wanted) {
        TestInspection inspection = TestInspection.millimetres("600").undercut(Toe.A, "100", "110", depth);
        Finding f = guarded(inspection, "0.1", Criterion.UNDERCUT);
        assertThat(f.verdict()).isEqualTo(wanted);
        if (wanted != REJECT) {
            assertThat(f.trace()).anyMatch(t -> t.contains("JCGM 106"));
        }
    }

    /** Over a long stretch a depth of 0.9 may be over the 1 mm that has any length: the sum would reject. */
    @Test
    void theBandReachesIntoSumsAsWell() {
        TestInspection inspection = TestInspection.millimetres("600").undercut(Toe.A, "100", "200", "0.9");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        assertThat(guarded(inspection, "0.1", Criterion.UNDERCUT).verdict()).isEqualTo(INCOMPLETE);
        assertThat(guarded(inspection, "0.05", Criterion.UNDERCUT).verdict()).isEqualTo(ACCEPT);
    }

    /** A probability is said of a value that a gauge read, never of a length that was summed up. */
    @Test
    void aProbabilityIsOfAReading() {
        TestInspection read = TestInspection.millimetres("600").undercut(Toe.A, "100", "110", "0.8");
        assertThat(guarded(read, "0.1", Criterion.UNDERCUT).trace()).anyMatch(t -> t.endsWith("is 0.977"));
        TestInspection summed = TestInspection.millimetres("600").undercut(Toe.A, "100", "110", "1.5");
        assertThat(guarded(summed, "0.1", Criterion.UNDERCUT).trace())
                .noneMatch(t -> t.contains("probability"))
                .anyMatch(t -> t.contains("then summed"));
    }

    @ParameterizedTest
    @CsvSource({"8.2, ACCEPT", "8.19, INCOMPLETE"})
    void aLegKeepsTheSizeByTheBand(String leg, Verdict wanted) {
        TestInspection inspection = TestInspection.millimetres("50").stations("25=" + leg);
        assertThat(guarded(inspection, "0.1", Criterion.SIZE).verdict()).isEqualTo(wanted);
    }

    @Test
    void aBladeThatGoesIsADecision() {
        TestInspection inspection = TestInspection.millimetres("600").blade("0", "600", "8");
        assertThat(guarded(inspection, "0.1", Criterion.SIZE).verdict()).isEqualTo(ACCEPT);
    }

    @Test
    void aGaugeThatIsNotNamedIsAskedFor() {
        TestInspection inspection = TestInspection.millimetres("600").undercut(Toe.A, "100", "110", "0.5");
        Inspection i = inspection.inspection();
        Evaluation e = Judge.evaluate(i, new StaticBook(), guarded(i, null));
        assertThat(e.finding("undercut").orElseThrow().verdict()).isEqualTo(INCOMPLETE);
        assertThat(e.todo()).anyMatch(t -> t.ask().equals("name the gauge that read at 100–110"));
    }

    /** 0.01 in cannot be told by a rule of 1/64: without a guard that is asked already, with a dial of .001 it is judged. */
    @ParameterizedTest
    @CsvSource({"1/64, INCOMPLETE", ".001, ACCEPT"})
    void theFineLimitOfAPrimaryMemberWantsAFineGauge(String division, Verdict wanted) {
        TestInspection inspection = TestInspection.inches("24")
                .by(new CyclicBook())
                .joint(b -> b.primary(true).transverseTension(true));
        inspection.seen(new mensor.inspection.Undercut(
                Toe.A, inspection.s("3", "4"), inspection.l(".005"), Optional.of(Length.parse(division, Unit.INCH))));
        Finding f = inspection.finding(Criterion.UNDERCUT);
        assertThat(f.verdict()).isEqualTo(wanted);
        if (wanted == INCOMPLETE) {
            assertThat(f.asks().get(0).words()).startsWith("a dial or digital gauge is needed");
        }
    }

    /** A wider band never turns an incomplete or a reject into an accept. */
    @Test
    void aWiderBandAcceptsNoMore() {
        for (String depth : List.of("0.4", "0.85", "1", "1.7", "1.95", "2.2")) {
            TestInspection inspection = TestInspection.millimetres("600").undercut(Toe.A, "100", "140", depth);
            boolean accepts = true;
            for (String u : List.of("0.001", "0.01", "0.05", "0.1", "0.3")) {
                boolean now = guarded(inspection, u, Criterion.UNDERCUT).verdict() == ACCEPT;
                assertThat(now && !accepts).isFalse();
                accepts = now;
            }
        }
        assertThat(Guard.TWO).isEqualTo(BigDecimal.valueOf(2));
    }

    /** What has no number of its own is moved as well: a pore of .090 under 3/32 with a 1/32 scale is not sure. */
    @Test
    void aPoreThatIsJudgedBySizeAloneIsGuarded() {
        TestInspection pore = TestInspection.inches("24").by(new CyclicBook()).pore("6", ".090");
        Inspection i = pore.inspection();
        assertThat(pore.verdict(Criterion.POROSITY)).isEqualTo(ACCEPT);
        Optional<Finding> f =
                Judge.evaluate(i, new CyclicBook(), guarded(i, "1/32")).finding("porosity");
        assertThat(f.orElseThrow().verdict()).isEqualTo(INCOMPLETE);
        f = Judge.evaluate(i, new CyclicBook(), guarded(i, ".001")).finding("porosity");
        assertThat(f.orElseThrow().verdict()).isEqualTo(ACCEPT);
    }

    /** One undercut with a gauge does not speak for another without. */
    @Test
    void everyValueOfTheCriterionNeedsItsGauge() {
        TestInspection two = TestInspection.millimetres("600")
                .undercut(Toe.A, "100", "110", "0.3")
                .undercut(Toe.A, "300", "310", "0.2");
        Inspection i = two.inspection();
        Terms half = new Terms(
                Optional.of(new Guard(Guard.TWO, List.of(), List.of(Optional.of(mm("0.1")), Optional.empty()))),
                List.of());
        Finding f =
                Judge.evaluate(i, new StaticBook(), half).finding("undercut").orElseThrow();
        assertThat(f.verdict()).isEqualTo(INCOMPLETE);
        assertThat(f.asks().toString()).contains("300");
    }

    /** The surer the doubt, the less it accepts: a band wider than the leg itself is no way out. */
    @ParameterizedTest
    @CsvSource({"0.5, ACCEPT", "1.5, INCOMPLETE", "5, INCOMPLETE", "50, INCOMPLETE"})
    void aBandWiderThanTheValueDoesNotAccept(String u, Verdict wanted) {
        TestInspection legs =
                TestInspection.fillet(Unit.MILLIMETRE, "50", "6", "10", "10").stations("25=8");
        assertThat(guarded(legs, u, Criterion.SIZE).verdict()).isEqualTo(wanted);
        TestInspection mark = TestInspection.fillet(Unit.MILLIMETRE, "600", "6", "10", "10")
                .blade("0", "600", "6")
                .undersize("100", "110", "5");
        assertThat(guarded(mark, u, Criterion.SIZE).verdict()).isEqualTo(wanted == ACCEPT ? ACCEPT : INCOMPLETE);
    }
}
