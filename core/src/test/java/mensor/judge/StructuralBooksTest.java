package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.Random;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.criteria.d11.CyclicBook;
import mensor.criteria.d11.StaticBook;
import mensor.criteria.d11.TubularBook;
import mensor.criteria.d11.WelderTestBook;
import mensor.inspection.Criterion;
import mensor.inspection.MeltThrough;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.FilletTestPiece;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.Use;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Where the other books of AWS D1.1/D1.1M differ from the statically loaded one, at, under and over each limit. Source: its
 * visual tables 8.1 and 10.15 (2020 numbering), profiles 7.23, and 6.10.1 for the test piece, recalled from memory.
 */
class StructuralBooksTest {
    private static final CriteriaBook CYCLIC = new CyclicBook();
    private static final CriteriaBook TEST_PIECE = new WelderTestBook();

    private static TestInspection fillet(Unit unit) {
        return TestInspection.fillet(
                unit, unit.pick("24", "600"), unit.pick("5/16", "8"), unit.pick("1", "25"), unit.pick("1", "25"));
    }

    @ParameterizedTest
    @CsvSource({
        // primary, across tension, depth: 0.01 in [0.25 mm] where both, else 1/32 [1], whatever the thickness; no
        // exception
        "INCH, true, true, .01, ACCEPT", "INCH, true, true, .0101, REJECT",
        "INCH, true, false, 1/32, ACCEPT", "INCH, true, false, .0313, REJECT",
        "INCH, false, true, 1/32, ACCEPT", "INCH, false, true, 1/16, REJECT",
        "MILLIMETRE, true, true, 0.25, ACCEPT", "MILLIMETRE, true, true, 0.26, REJECT",
        "MILLIMETRE, false, false, 1, ACCEPT", "MILLIMETRE, false, false, 1.01, REJECT",
    })
    void undercutCyclic(Unit unit, boolean primary, boolean across, String depth, Verdict wanted) {
        TestInspection inspection = fillet(unit)
                .by(CYCLIC)
                .joint(b -> b.primary(primary).transverseTension(across))
                .undercut(Toe.A, "3", "3.5", depth);
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(wanted);
    }

    /** What is not known is judged both ways: only where they agree there is a verdict. */
    @ParameterizedTest
    @CsvSource({
        "true, , 1/64, INCOMPLETE",
        ", true, 1/64, INCOMPLETE",
        ", , 1/64, INCOMPLETE",
        ", false, 1/64, ACCEPT",
        "false, , 1/64, ACCEPT",
        ", , .01, ACCEPT",
        ", , 3/64, REJECT",
    })
    void undercutCyclicOfUnknownFacts(Boolean primary, Boolean across, String depth, Verdict wanted) {
        TestInspection inspection = fillet(Unit.INCH).by(CYCLIC).joint(b -> {
            b.primary(primary);
            return b.transverseTension(across);
        });
        Finding f = inspection.undercut(Toe.B, "3", "4", depth).finding(Criterion.UNDERCUT);
        assertThat(f.verdict()).isEqualTo(wanted);
        if (wanted == INCOMPLETE) {
            assertThat(f.reason().words())
                    .isEqualTo("rejects if the weld lies across the tension of a primary member, else accepts");
            assertThat(f.asks())
                    .extracting(Ask::words)
                    .singleElement()
                    .asString()
                    .contains("primary member");
        }
    }

    @Test
    void whatIsNotInspectedIsAskedOnceThoughFactsAreUnknown() {
        Finding f = fillet(Unit.INCH).by(CYCLIC).nothingInspected().finding(Criterion.UNDERCUT);
        assertThat(f.verdict()).isEqualTo(INCOMPLETE);
        assertThat(f.asks()).extracting(Ask::words).containsExactly("inspect for undercut along both toes");
    }

    @ParameterizedTest
    @CsvSource({
        // one pore in 4 in [100], none over 3/32 [2.5]; any visible one counts
        "INCH, 3, 7, 3/32, ACCEPT", "INCH, 3, 6.999, 1/64, REJECT", "INCH, 3, 12, .094, REJECT",
        "MILLIMETRE, 30, 130, 2.5, ACCEPT", "MILLIMETRE, 30, 129.9, 0.5, REJECT", "MILLIMETRE, 30, 300, 2.51, REJECT",
    })
    void poresCyclic(Unit unit, String first, String second, String diameter, Verdict wanted) {
        TestInspection inspection =
                fillet(unit).by(CYCLIC).pore(first, diameter).pore(second, diameter);
        assertThat(inspection.verdict(Criterion.POROSITY)).isEqualTo(wanted);
    }

    @Test
    void poresAlongAStretchAreJudgedByWhatIsSure() {
        assertThat(fillet(Unit.INCH).by(CYCLIC).pores("3", "6", "1/16", 2).verdict(Criterion.POROSITY))
                .as("two in 3 in are surely nearer than 4")
                .isEqualTo(REJECT);
        assertThat(fillet(Unit.INCH).by(CYCLIC).pores("3", "7", "1/16", 2).verdict(Criterion.POROSITY))
                .as("at its two ends they lie 4 in apart")
                .isEqualTo(INCOMPLETE);
        assertThat(fillet(Unit.INCH).by(CYCLIC).pores("3", "10", "1/16", 3).verdict(Criterion.POROSITY))
                .as("three need 8 in")
                .isEqualTo(REJECT);
        assertThat(fillet(Unit.INCH)
                        .by(CYCLIC)
                        .pores("3", "5", "1/16", 1)
                        .pore("9", "1/16")
                        .verdict(Criterion.POROSITY))
                .as("wherever it lies, 4 in are left")
                .isEqualTo(ACCEPT);
        assertThat(fillet(Unit.INCH)
                        .by(CYCLIC)
                        .pores("3", "5.1", "1/16", 1)
                        .pore("9", "1/16")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void onAClosedWeldPoresOnBothSidesOfTheDatumAreNear() {
        assertThat(fillet(Unit.INCH)
                        .by(CYCLIC)
                        .joint(b -> b.closed(true))
                        .pore("1", "1/16")
                        .pore("22", "1/16")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
        assertThat(fillet(Unit.INCH)
                        .by(CYCLIC)
                        .pore("1", "1/16")
                        .pore("22", "1/16")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(ACCEPT);
        assertThat(fillet(Unit.INCH)
                        .by(CYCLIC)
                        .joint(b -> b.closed(true))
                        .pore("1", "1/16")
                        .verdict(Criterion.POROSITY))
                .as("a pore and itself once round are no two")
                .isEqualTo(ACCEPT);
    }

    /** Pores at places against every pair of them. */
    @Test
    void theSpacingOfPoresAgainstBruteForce() {
        Random random = new Random(20);
        int rejects = 0;
        for (int round = 0; round < 400; round++) {
            int n = 1 + random.nextInt(5);
            TestInspection inspection =
                    TestInspection.fillet(Unit.INCH, "40", "5/16", "1", "1").by(CYCLIC);
            double[] at = new double[n];
            for (int i = 0; i < n; i++) {
                at[i] = random.nextInt(80) / 2.0;
                inspection.pore(String.valueOf(at[i]), "1/16");
            }
            boolean near = false;
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < i; j++) {
                    near |= Math.abs(at[i] - at[j]) < 4;
                }
            }
            rejects += near ? 1 : 0;
            assertThat(inspection.verdict(Criterion.POROSITY)).isEqualTo(near ? REJECT : ACCEPT);
        }
        assertThat(rejects).isBetween(50, 350);
    }

    @Test
    void theFilletPieceThatIsBrokenShowsNoPore() {
        TestInspection inspection = fillet(Unit.INCH).by(TEST_PIECE).pore("3", "1/8");
        assertThat(inspection.verdict(Criterion.POROSITY)).isEqualTo(INCOMPLETE);
        assertThat(inspection.finding(Criterion.POROSITY).asks())
                .extracting(Ask::words)
                .singleElement()
                .asString()
                .contains("fillet-break piece");
        assertThat(inspection.joint(b -> b.testPiece(FilletTestPiece.MACRO)).verdict(Criterion.POROSITY))
                .isEqualTo(ACCEPT);
        assertThat(inspection.joint(b -> b.testPiece(FilletTestPiece.BREAK)).verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
    }

    @Test
    void stiffenersToWebAreJudgedByTheStaticSums() {
        TestInspection inspection = fillet(Unit.INCH)
                .by(CYCLIC)
                .joint(b -> b.use(Use.STIFFENER_TO_WEB))
                .pore("3", "1/8")
                .pore("4.5", "1/8");
        assertThat(inspection.verdict(Criterion.POROSITY)).isEqualTo(ACCEPT);
    }

    private static TestInspection butt(CriteriaBook book, String thickness) {
        JointBuilder b = new JointBuilder("G1", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .members(
                        new Member("a", Length.parse(thickness, Unit.INCH)),
                        new Member("b", Length.parse(thickness, Unit.INCH)));
        return TestInspection.of(Unit.INCH, b).by(book);
    }

    @Test
    void aButtAcrossTensionHasNoPoreAtAllAndAnUnknownOneIsAsked() {
        assertThat(butt(CYCLIC, "1/2")
                        .joint(b -> b.transverseTension(true))
                        .pore("3", "1/64")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
        assertThat(butt(CYCLIC, "1/2")
                        .joint(b -> b.transverseTension(false))
                        .pore("3", "3/32")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(ACCEPT);
        assertThat(butt(CYCLIC, "1/2").pore("3", "1/64").verdict(Criterion.POROSITY))
                .isEqualTo(INCOMPLETE);
        assertThat(butt(TEST_PIECE, "1/2")
                        .joint(b -> b.transverseTension(true))
                        .pore("3", "3/8")
                        .verdict(Criterion.POROSITY))
                .as("a test piece: the sums, never none")
                .isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({
        "d1.1-static, 3, 1/4, ACCEPT", "d1.1-cyclic, 3, 3/16, ACCEPT", "d1.1-cyclic, 3, .188, REJECT",
        "d1.1-welder-test, 3, 1/8, ACCEPT", "d1.1-welder-test, 3, .126, REJECT", "d1.1-tubular, 3, 1/4, ACCEPT",
    })
    void theCrownOfAThickButt(String book, String thickness, String height, Verdict wanted) {
        TestInspection inspection =
                butt(mensor.criteria.CriteriaBooks.find(book).orElseThrow(), thickness);
        inspection.read(mensor.inspection.Reading.Station.crown(inspection.l("6"), inspection.l(height)));
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"1/32, ACCEPT", ".0313, REJECT", "1/16, REJECT"})
    void undercutOfATestPieceHasNoException(String depth, Verdict wanted) {
        assertThat(fillet(Unit.INCH)
                        .by(TEST_PIECE)
                        .undercut(Toe.A, "3", "3.1", depth)
                        .verdict(Criterion.UNDERCUT))
                .isEqualTo(wanted);
    }

    @Test
    void aTestPieceHasNoUnderrun() {
        assertThat(TestInspection.inches("3")
                        .by(TEST_PIECE)
                        .legs("1", "5/16", "5/16")
                        .verdict(Criterion.SIZE))
                .isEqualTo(ACCEPT);
        assertThat(TestInspection.inches("3")
                        .by(TEST_PIECE)
                        .legs("1", "5/16", ".312")
                        .verdict(Criterion.SIZE))
                .isEqualTo(REJECT);
        assertThat(TestInspection.inches("24").legs("1", "5/16", ".312").verdict(Criterion.SIZE))
                .as("on a production weld one low reading alone does not reject")
                .isEqualTo(INCOMPLETE);
    }

    @ParameterizedTest
    @CsvSource({"melt, 1/8, ACCEPT", "melt, .126, REJECT", "concave, 1/16, ACCEPT", "concave, .063, REJECT"})
    void theRootOfATestPiece(String what, String depth, Verdict wanted) {
        TestInspection inspection = butt(TEST_PIECE, "3/8").joint(b -> b.oneSided(true));
        Span at = inspection.s("3", "4");
        inspection.seen(
                what.equals("melt")
                        ? new MeltThrough(at, inspection.l(depth), Optional.empty())
                        : new RootConcavity(at, inspection.l(depth), Optional.empty()));
        inspection.read(Reading.Station.crown(inspection.l("3 1/2"), inspection.l("1/8")));
        Finding f = inspection.finding(Criterion.ROOT);
        assertThat(f.verdict()).isEqualTo(wanted);
        assertThat(f.confidence()).isEqualTo(Confidence.MEDIUM);
    }

    /** The weld there is not thinner than the base metal: the reinforcement on the same stretch is at least as great. */
    @ParameterizedTest
    @CsvSource({"3 1/2, 1/16, ACCEPT", "3 1/2, 1/32, REJECT", "3 1/2, 0, REJECT", "2, 1/8, INCOMPLETE"})
    void aHollowRootOfATestPieceWantsItsCrown(String at, String crown, Verdict wanted) {
        TestInspection inspection = butt(TEST_PIECE, "3/8").joint(b -> b.oneSided(true));
        inspection.seen(new RootConcavity(inspection.s("3", "4"), inspection.l("1/16"), Optional.empty()));
        inspection.read(Reading.Station.crown(inspection.l(at), inspection.l(crown)));
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    @Test
    void theTubularBookTakesTubesAndSaysHowSureItIs() {
        JointBuilder b = new JointBuilder("P1", WeldType.FILLET, Connection.TUBE_TO_PLATE, Length.inches(12))
                .size(Length.inches(1, 4))
                .closed(true)
                .members(new Member("tube", Length.inches(1, 4)), new Member("plate", Length.inches(1, 2)));
        TestInspection inspection =
                TestInspection.of(Unit.INCH, b).by(new TubularBook()).undercut(Toe.A, "3", "4", ".01");
        Finding f = inspection.finding(Criterion.UNDERCUT);
        assertThat(f.verdict()).isEqualTo(ACCEPT);
        assertThat(f.confidence()).isEqualTo(Confidence.MEDIUM);
        assertThat(f.citation().clauseConfidence()).isEqualTo(Confidence.LOW);
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> TestInspection.of(Unit.INCH, b).by(CYCLIC).judge())
                .hasMessageContaining("d1.1-tubular");
    }

    @Test
    void aTighterExceptionChangesNothingWhereTheBookHasNone() {
        TestInspection inspection = fillet(Unit.INCH)
                .by(TEST_PIECE)
                .addendum(mensor.inspection.AddendumKind.UNDERCUT_EXCEPTION_OFF, null)
                .undercut(Toe.A, "3", "4", "1/32");
        assertThat(inspection.judge().verdict()).isNotEqualTo(REJECT);
        assertThat(new StaticBook().id()).isEqualTo("d1.1-static");
    }
}
