package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.NOT_APPLICABLE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.criteria.CriteriaBooks;
import mensor.inspection.AddendumKind;
import mensor.inspection.ArcStrike;
import mensor.inspection.BurnThrough;
import mensor.inspection.CheckMethod;
import mensor.inspection.Crack;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.Face;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.MeltThrough;
import mensor.inspection.Misalignment;
import mensor.inspection.Overlap;
import mensor.inspection.RootConcavity;
import mensor.inspection.Underfill;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * ISO 5817:2014, Table 1, each row at, under and over its limit in the three levels. Source: the table, recalled from memory;
 * the numbers are reckoned here by hand from its formulas.
 */
class Iso5817Test {
    private static CriteriaBook level(String level) {
        return CriteriaBooks.find("iso5817-" + level.toLowerCase()).orElseThrow();
    }

    private static Length mm(String value) {
        return Length.millimetres(value);
    }

    private static Optional<Length> maybe(String value) {
        return Optional.ofNullable(value).map(Iso5817Test::mm);
    }

    /** A tee of two members of this thickness, drawn with a throat of 5. */
    private static TestInspection fillet(String level, String t) {
        return TestInspection.bare(Unit.MILLIMETRE, "600", t, t)
                .joint(b -> b.throat(mm("5")))
                .by(level(level));
    }

    private static TestInspection butt(String level, String t, boolean oneSided) {
        JointBuilder b = new JointBuilder("B1", WeldType.GROOVE, Connection.BUTT, mm("600"))
                .members(new Member("plate", mm(t)), new Member("plate", mm(t)))
                .penetration(Penetration.COMPLETE)
                .oneSided(oneSided);
        return TestInspection.of(Unit.MILLIMETRE, b).by(level(level));
    }

    private static Span mm(String from, String to) {
        return new Span(mm(from), mm(to));
    }

    @ParameterizedTest
    @CsvSource({
        // 1.3: 0.3 a of 5 is 1.5, 0.2 a is 1; with thin members no cap, and none from C on
        "D, 10, 1.5, ACCEPT",
        "D, 10, 1.51, REJECT",
        "C, 10, 1, ACCEPT",
        "C, 10, 1.01, REJECT",
        "B, 10, 0.1, REJECT",
        "D, 3, 1.5, ACCEPT",
        "D, 3, 1.51, REJECT",
        "C, 3, 0.1, REJECT",
    })
    void poresOfAFillet(String level, String t, String diameter, Verdict wanted) {
        assertThat(fillet(level, t).pore("50", diameter).verdict(Criterion.POROSITY))
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "D, 8, 2.4, ACCEPT", "D, 8, 2.41, REJECT", "D, 20, 3, ACCEPT", "D, 20, 3.01, REJECT",
        "C, 8, 1.6, ACCEPT", "C, 8, 1.61, REJECT", "C, 20, 2, ACCEPT", "C, 20, 2.01, REJECT",
    })
    void poresOfAButt(String level, String s, String diameter, Verdict wanted) {
        assertThat(butt(level, s, false).pore("50", diameter).verdict(Criterion.POROSITY))
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "4, 1.2, ACCEPT", "4, 1.21, REJECT", // 0.3 of the throat
        ", 2.4, INCOMPLETE", ", 2.41, REJECT", // not known: between nothing and 0.3 of the member
    })
    void poresOfAPartialPenetrationGoByItsThroat(String throat, String diameter, Verdict wanted) {
        TestInspection inspection = butt("D", "8", false)
                .joint(b -> b.penetration(Penetration.PARTIAL).throat(throat == null ? null : mm(throat)));
        assertThat(inspection.pore("50", diameter).verdict(Criterion.POROSITY)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.4
        "D, 8, 1.6, ACCEPT",
        "D, 8, 1.61, REJECT",
        "D, 20, 2, ACCEPT",
        "D, 20, 2.01, REJECT",
        "C, 8, 0.8, ACCEPT",
        "C, 8, 0.81, REJECT",
        "C, 20, 1, ACCEPT",
        "C, 20, 1.1, REJECT",
        "B, 8, 0.1, REJECT",
        "B, 8, 0, ACCEPT",
        "D, 3, 0.6, ACCEPT",
        "D, 3, 0.61, REJECT",
        "C, 3, 0.1, REJECT",
        "D, 8, , INCOMPLETE",
        "B, 8, , REJECT",
    })
    void craterPipe(String level, String t, String depth, Verdict wanted) {
        TestInspection inspection = fillet(level, t).seen(new Crater(mm("590"), maybe(depth), Optional.empty()));
        assertThat(inspection.verdict(Criterion.CRATER)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.7: the thick have any length, up to 0.2 t and 1
        "D, 4, 0.8, ACCEPT", "D, 4, 0.81, REJECT", "D, 10, 1, ACCEPT", "D, 10, 1.01, REJECT",
        "C, 4, 0.4, ACCEPT", "C, 4, 0.41, REJECT", "C, 10, 0.5, ACCEPT", "C, 10, 0.51, REJECT",
        "B, 8, 0.4, ACCEPT", "B, 8, 0.41, REJECT", "B, 20, 0.5, ACCEPT", "B, 20, 0.51, REJECT",
    })
    void undercut(String level, String t, String depth, Verdict wanted) {
        assertThat(fillet(level, t).undercut(Toe.A, "0", "600", depth).verdict(Criterion.UNDERCUT))
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // the thin only short: 25 in any 100, both toes together
        "D, 0.6, 100, 125, ACCEPT",
        "D, 0.6, 100, 125.1, REJECT",
        "D, 0.61, 100, 101, REJECT",
        "C, 0.3, 100, 125, ACCEPT",
        "C, 0.31, 100, 101, REJECT",
        "B, 0.01, 100, 101, REJECT",
        "B, 0, 100, 101, ACCEPT",
    })
    void undercutOfThinMembersIsShort(String level, String depth, String from, String to, Verdict wanted) {
        TestInspection inspection = fillet(level, "3").undercut(Toe.A, from, to, depth);
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(wanted);
    }

    @Test
    void undercutOfBothToesAddsUpUnlessThePlanChoseEachToe() {
        TestInspection inspection =
                fillet("D", "3").undercut(Toe.A, "100", "115", "0.5").undercut(Toe.B, "130", "141", "0.5");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(REJECT);
        assertThat(inspection.perToe().verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
    }

    @Test
    void aThickToeNextToAThinOneHasAnyLength() {
        TestInspection inspection = TestInspection.bare(Unit.MILLIMETRE, "600", "3", "10")
                .joint(b -> b.throat(mm("2")))
                .by(level("D"))
                .undercut(Toe.B, "0", "600", "0.9")
                .undercut(Toe.A, "10", "35", "0.5");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        assertThat(inspection.undercut(Toe.A, "50", "51", "0.5").verdict(Criterion.UNDERCUT))
                .isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({"80, 20, ACCEPT", "80, 20.1, REJECT", "100, 25, ACCEPT", "99.9, 25, REJECT"})
    void aShorterWeldHasAQuarterOfItsLength(String length, String extent, Verdict wanted) {
        TestInspection inspection = TestInspection.bare(Unit.MILLIMETRE, length, "3", "3")
                .joint(b -> b.throat(mm("2")))
                .by(level("D"))
                .undercut(Toe.A, "0", extent, "0.5");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.9: 1 + 0.25 b, at most 10
        "D, 12, 4, ACCEPT", "D, 12, 4.01, REJECT", "D, 50, 10, ACCEPT", "D, 50, 10.1, REJECT",
        "C, 12, 2.8, ACCEPT", "C, 12, 2.81, REJECT", "C, 50, 7, ACCEPT", "C, 50, 7.1, REJECT",
        "B, 12, 2.2, ACCEPT", "B, 12, 2.21, REJECT", "B, 50, 5, ACCEPT", "B, 50, 5.1, REJECT",
        // the width was not read: 1 is allowed at any width, the cap is passed at any
        "B, , 1, ACCEPT", "B, , 1.1, INCOMPLETE", "B, , 5, INCOMPLETE", "B, , 5.1, REJECT",
    })
    void excessWeldMetal(String level, String width, String height, Verdict wanted) {
        TestInspection inspection = butt(level, "10", false)
                .read(Station.mm("50")
                        .with("reinforcement", height)
                        .with("faceWidth", width)
                        .read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.10: 1 + 0.25 b, at most 5; the chord of two legs of 8 is 11.31
        "D, 8, 3, ACCEPT", "D, 8, 3.01, REJECT", "D, 20, 5, ACCEPT", "D, 20, 5.01, REJECT", "D, , 3.82, ACCEPT",
        "D, , 3.83, REJECT", "C, 8, 2.2, ACCEPT", "C, 8, 2.21, REJECT", "C, 30, 4, ACCEPT", "C, 30, 4.01, REJECT",
        "B, 8, 1.8, ACCEPT", "B, 8, 1.81, REJECT", "B, 30, 3, ACCEPT", "B, 30, 3.01, REJECT",
    })
    void convexity(String level, String width, String height, Verdict wanted) {
        TestInspection inspection = fillet(level, "10")
                .read(Station.mm("50")
                        .legs("8", "8")
                        .with("convexity", height)
                        .with("faceWidth", width)
                        .read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    /** √2·8·8/16 = 5.657 is the flat throat of legs of 8; at B, 1 + 0.1·11.31 = 2.131 may stand above it. */
    @ParameterizedTest
    @CsvSource({"7.7, ACCEPT", "7.8, INCOMPLETE"})
    void computedConvexityOnlyPrompts(String throat, Verdict wanted) {
        TestInspection inspection = fillet("B", "10")
                .notCleared()
                .read(Station.mm("50").legs("8", "8").with("throat", throat).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.11 by the width of the root
        "D, 10, 3, 4, ACCEPT",
        "D, 10, 3, 4.1, REJECT",
        "D, 10, 9, 5, ACCEPT",
        "D, 10, 9, 5.1, REJECT",
        "C, 10, 3, 2.8, ACCEPT",
        "C, 10, 3, 2.81, REJECT",
        "C, 10, 9, 4, ACCEPT",
        "C, 10, 9, 4.1, REJECT",
        "B, 10, 3, 1.6, ACCEPT",
        "B, 10, 3, 1.61, REJECT",
        "B, 10, 30, 3, ACCEPT",
        "B, 10, 30, 3.1, REJECT",
        "D, 3, 5, 4, ACCEPT",
        "D, 3, 5, 4.1, REJECT",
        "C, 3, 5, 2.5, ACCEPT",
        "C, 3, 5, 2.6, REJECT",
        "B, 3, 5, 1.5, ACCEPT",
        "B, 3, 5, 1.6, REJECT",
        "B, 10, , 1, ACCEPT",
        "B, 10, , 2, INCOMPLETE",
        "B, 3, , 9, INCOMPLETE",
    })
    void excessPenetration(String level, String t, String rootWidth, String height, Verdict wanted) {
        TestInspection inspection = butt(level, t, true)
                .read(Station.mm("50")
                        .with("rootReinforcement", height)
                        .with("rootWidth", rootWidth)
                        .read());
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    @Test
    void meltThroughTakesTheSmallestRootWidthRead() {
        TestInspection inspection = butt("B", "10", true)
                .seen(new MeltThrough(mm("100", "110"), mm("2"), Optional.empty()))
                .read(Station.mm("50").with("rootWidth", "6").read());
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(ACCEPT);
        inspection.read(Station.mm("300").with("rootWidth", "4.9").read());
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        "D, 8, 1.6, 25, ACCEPT", "D, 8, 1.61, 1, REJECT", "D, 8, 1.6, 25.1, REJECT", "D, 20, 2, 25, ACCEPT",
        "D, 20, 2.01, 1, REJECT", "C, 8, 0.1, 1, REJECT", "B, 8, 0.1, 1, REJECT", "B, 8, 0, 1, ACCEPT",
        "D, 8, , 25, INCOMPLETE", "D, 8, , 26, REJECT", "C, 8, , 1, REJECT",
    })
    void incompletePenetrationOfAOneSidedButt(String level, String t, String depth, String extent, Verdict wanted) {
        TestInspection inspection =
                butt(level, t, true).seen(new IncompletePenetration(mm("0", extent), maybe(depth), Optional.empty()));
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    @Test
    void incompletePenetrationElsewhereIsNotAllowed() {
        TestInspection inspection = fillet("D", "10")
                .seen(new IncompletePenetration(mm("0", "1"), Optional.of(mm("0.1")), Optional.empty()));
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(REJECT);
        assertThat(fillet("D", "10").verdict(Criterion.ROOT)).isEqualTo(NOT_APPLICABLE);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.8 and 1.17
        "D, 5, 1, ACCEPT",
        "D, 5, 1.01, REJECT",
        "D, 20, 2, ACCEPT",
        "D, 20, 2.01, REJECT",
        "C, 5, 0.5, ACCEPT",
        "C, 5, 0.51, REJECT",
        "C, 20, 1, ACCEPT",
        "C, 20, 1.01, REJECT",
        "B, 8, 0.4, ACCEPT",
        "B, 8, 0.41, REJECT",
        "B, 20, 0.5, ACCEPT",
        "B, 20, 0.51, REJECT",
        "D, 3, 0.5, ACCEPT",
        "D, 3, 0.51, REJECT",
        "C, 3, 0.3, ACCEPT",
        "C, 3, 0.31, REJECT",
        "B, 3, 0.1, REJECT",
    })
    void rootUndercutAndConcavity(String level, String t, String depth, Verdict wanted) {
        TestInspection undercut = butt(level, t, true).undercut(Toe.ROOT, "100", "120", depth);
        TestInspection concavity =
                butt(level, t, true).seen(new RootConcavity(mm("100", "120"), mm(depth), Optional.empty()));
        assertThat(undercut.verdict(Criterion.ROOT)).isEqualTo(wanted);
        assertThat(concavity.verdict(Criterion.ROOT)).isEqualTo(wanted);
        Confidence sure = t.equals("3") ? Confidence.MEDIUM : Confidence.HIGH;
        assertThat(concavity.finding(Criterion.ROOT).confidence()).isEqualTo(sure);
    }

    @ParameterizedTest
    @CsvSource({"D, 90, ACCEPT", "D, 89, REJECT", "C, 110, ACCEPT", "C, 109, REJECT", "B, 150, ACCEPT", "B, 149, REJECT"
    })
    void toeAngleOfAButt(String level, double degrees, Verdict wanted) {
        TestInspection inspection =
                butt(level, "10", false).read(Station.mm("50").toeAngle(degrees).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"D, 90, ACCEPT", "D, 89, REJECT", "C, 100, ACCEPT", "C, 99, REJECT", "B, 110, ACCEPT", "B, 109, REJECT"
    })
    void toeAngleOfAFillet(String level, double degrees, Verdict wanted) {
        TestInspection inspection =
                fillet(level, "10").read(Station.mm("50").toeAngle(degrees).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
        if (wanted == REJECT) {
            assertThat(inspection.finding(Criterion.PROFILE).confidence())
                    .isEqualTo(level.equals("C") ? Confidence.MEDIUM : Confidence.HIGH);
        }
    }

    @Test
    void aGoodAngleAndLikeLegsAcceptNoProfile() {
        TestInspection inspection = fillet("C", "10")
                .notCleared()
                .read(Station.mm("50").legs("7", "7").toeAngle(120).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(INCOMPLETE);
    }

    @ParameterizedTest
    @CsvSource({
        "D, 20, 4, ACCEPT",
        "D, 20, 4.01, REJECT", // 0.2 b
        "D, , 1, INCOMPLETE",
        "D, 20, , INCOMPLETE",
        "D, , 0, ACCEPT",
        "C, 20, 0.1, REJECT",
        "B, 20, , REJECT",
    })
    void overlap(String level, String width, String depth, Verdict wanted) {
        TestInspection inspection =
                fillet(level, "10").seen(new Overlap(Toe.A, mm("10", "20"), maybe(depth), Optional.empty()));
        if (width != null) {
            inspection.read(Station.mm("50").with("faceWidth", width).read());
        }
        assertThat(inspection.verdict(Criterion.OVERLAP)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "D, 8, 2, 25, ACCEPT",
        "D, 8, 2.01, 1, REJECT",
        "D, 4, 1, 25, ACCEPT",
        "D, 4, 1.01, 1, REJECT",
        "D, 8, 1, 25.1, REJECT",
        "C, 8, 0.8, 25, ACCEPT",
        "C, 8, 0.81, 1, REJECT",
        "C, 20, 1.01, 1, REJECT",
        "B, 8, 0.4, 25, ACCEPT",
        "B, 8, 0.41, 1, REJECT",
        "B, 20, 0.51, 1, REJECT",
        "D, 3, 0.75, 25, ACCEPT",
        "D, 3, 0.76, 1, REJECT",
        "C, 3, 0.3, 25, ACCEPT",
        "B, 3, 0.1, 1, REJECT",
    })
    void underfill(String level, String t, String depth, String extent, Verdict wanted) {
        TestInspection inspection =
                butt(level, t, false).seen(new Underfill(mm("0", extent), maybe(depth), Optional.empty()));
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    /** Of readings only the stretch between low ones is surely low, and the one up to the good ones may be. */
    @ParameterizedTest
    @CsvSource({
        "100=1 110=-0.5 120=1, ACCEPT", // at most 20
        "100=1 120=-0.5 140=1, INCOMPLETE", // at most 40
        "100=1 110=-0.5 136=-0.5 150=1, REJECT", // at least 26
        "100=1 110=-0.5 135=-0.5 136=1, INCOMPLETE", // at least 25, at most 36
    })
    void heightsBelowTheSurfaceAreBounded(String stations, Verdict wanted) {
        TestInspection inspection = butt("C", "20", false);
        for (String s : stations.split(" ")) {
            inspection.read(Station.mm(s.split("=")[0])
                    .with("reinforcement", s.split("=")[1])
                    .read());
        }
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 1.16: 2 + 0.2 a = 3, 2 + 0.15 a = 2.75, 1.5 + 0.15 a = 2.25 for a throat of 5
        "D, 8, 11, ACCEPT",
        "D, 8, 11.01, REJECT",
        "C, 8, 10.75, ACCEPT",
        "C, 8, 10.76, REJECT",
        "B, 8, 10.25, ACCEPT",
        "B, 10.26, 8, REJECT",
    })
    void unequalLegs(String level, String a, String b, Verdict wanted) {
        TestInspection inspection =
                fillet(level, "10").read(Station.mm("50").legs(a, b).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    private static TestInspection throats(String level, String t, String... atAndThroat) {
        TestInspection inspection = fillet(level, t);
        for (String s : atAndThroat) {
            inspection.read(
                    Station.mm(s.split("=")[0]).with("throat", s.split("=")[1]).read());
        }
        return inspection;
    }

    @ParameterizedTest
    @CsvSource({
        // 1.20: 0.3 + 0.1 a = 0.8 under 5, at most 2 (D) and 1 (C)
        "D, 10, 4.2, ACCEPT",
        "D, 10, 4.19, REJECT",
        "C, 10, 4.2, ACCEPT",
        "C, 10, 4.19, REJECT",
        "B, 10, 5, ACCEPT",
        "B, 10, 4.99, REJECT",
        "D, 3, 4.3, ACCEPT",
        "D, 3, 4.29, REJECT",
        "C, 3, 4.8, ACCEPT",
        "C, 3, 4.79, REJECT",
        "B, 3, 4.99, REJECT",
        // 1.21: 1 + 0.2 a = 2 (C), 1 + 0.15 a = 1.75 (B) over it
        "D, 10, 15, ACCEPT",
        "C, 10, 7, ACCEPT",
        "C, 10, 7.01, REJECT",
        "B, 10, 6.75, ACCEPT",
        "B, 10, 6.76, REJECT",
    })
    void throat(String level, String t, String throat, Verdict wanted) {
        TestInspection inspection = throats(level, t, "20=5", "300=5", "310=" + throat, "320=5", "580=5");
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @Test
    void aThickThroatHasTheCap() {
        TestInspection inspection =
                TestInspection.bare(Unit.MILLIMETRE, "50", "40", "40").joint(b -> b.throat(mm("20")));
        inspection.read(Station.mm("25").with("throat", "18.9").read());
        assertThat(inspection.by(level("C")).verdict(Criterion.SIZE)).isEqualTo(REJECT); // 0.3 + 2, but at most 1
        TestInspection d =
                TestInspection.bare(Unit.MILLIMETRE, "50", "40", "40").joint(b -> b.throat(mm("20")));
        d.read(Station.mm("25").with("throat", "17.9").read());
        assertThat(d.by(level("D")).verdict(Criterion.SIZE)).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        "300=4.5 326=4.5, REJECT", // surely 26 under the throat
        "300=4.5 325=4.5, INCOMPLETE",
        "300=4.5 305=4.5, ACCEPT", // good at 299 and 306
    })
    void aLowThroatIsShort(String low, Verdict wanted) {
        TestInspection inspection = throats("C", "10", "20=5", "299=5", "306=5", "580=5");
        if (!low.contains("305")) {
            inspection = throats("C", "10", "20=5", "280=5", "345=5", "580=5");
        }
        for (String s : low.split(" ")) {
            inspection.read(
                    Station.mm(s.split("=")[0]).with("throat", s.split("=")[1]).read());
        }
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    /** Legs give their theoretical throat: 7.08 legs one of 5.006; less concavity; a concave face without one only rejects. */
    @ParameterizedTest
    @CsvSource({
        "7.08, 7.08, , , ACCEPT", "7.07, 7.07, , , REJECT", "12, 5.5, , , REJECT", "7.5, 7.5, 0.3, , ACCEPT",
        "7.5, 7.5, 0.31, , REJECT", "7.5, 7.5, , CONCAVE, INCOMPLETE", "7.08, , , , INCOMPLETE", "4.99, , , , REJECT",
    })
    void throatFromLegs(String a, String b, String concavity, Face face, Verdict wanted) {
        Station s = Station.mm("25").legs(a, b).with("concavity", concavity);
        if (face != null) {
            s.face(face);
        }
        TestInspection inspection = TestInspection.bare(Unit.MILLIMETRE, "50", "10", "10")
                .joint(x -> x.throat(mm("5")))
                .by(level("B"))
                .read(s.read());
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @Test
    void whatIsMarkedIsExactAndABladeShowsTheThroat() {
        TestInspection inspection = fillet("C", "10").blade("0", "600", "5");
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        assertThat(inspection.undersize("100", "125", "4.3").verdict(Criterion.SIZE))
                .isEqualTo(ACCEPT);
        assertThat(inspection.undersize("125", "126", "4.3").verdict(Criterion.SIZE))
                .isEqualTo(REJECT);
    }

    /** 5/16 in legs (7.94 mm) are not called low against 8 mm; they are read again. */
    @Test
    void aReadingInInchesByItsNominalPair() {
        TestInspection inspection =
                TestInspection.fillet(Unit.MILLIMETRE, "50", "8", "10", "10").by(level("B"));
        inspection.read(mensor.inspection.Reading.Station.legs(mm("25"), Length.inches(5, 16), Length.inches(5, 16)));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(INCOMPLETE);
    }

    @ParameterizedTest
    @CsvSource({
        // 3.2 for a throat of 5: 1 + 0.3 a = 2.5; 0.5 + 0.2 a = 1.5; 0.5 + 0.1 a = 1; thin: 0.5, 0.3, 0.2 + 0.1 a
        "D, 10, 2.5, ACCEPT", "D, 10, 2.51, REJECT", "C, 10, 1.5, ACCEPT", "C, 10, 1.51, REJECT", "B, 10, 1, ACCEPT",
        "B, 10, 1.01, REJECT", "D, 3, 1, ACCEPT", "D, 3, 1.01, REJECT", "C, 3, 0.8, ACCEPT", "C, 3, 0.81, REJECT",
        "B, 3, 0.7, ACCEPT", "B, 3, 0.71, REJECT",
    })
    void rootGap(String level, String t, String opening, Verdict wanted) {
        TestInspection inspection = fillet(level, t)
                .blade("0", "600", "5")
                .joint(b -> b.gaps(java.util.List.of(new Gap(mm("100", "120"), mm(opening)))));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
        if (wanted == REJECT) {
            assertThat(inspection.finding(Criterion.SIZE).citation().clause()).isEqualTo("Table 1, 3.2");
            assertThat(inspection.finding(Criterion.SIZE).readings())
                    .as("a gap is no entry")
                    .allMatch(n -> n >= 0);
            assertThat(inspection.cover(Criterion.SIZE, "UT report 114").verdict(Criterion.SIZE))
                    .isEqualTo(ACCEPT);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "D, , , INCOMPLETE",
        "D, true, , ACCEPT",
        "D, , VT, ACCEPT",
        "C, true, VT, REJECT",
        "C, true, MT, ACCEPT",
        "B, true, PT, ACCEPT",
        "B, true, , REJECT",
        "B, false, MT, REJECT",
    })
    void strayArc(String level, Boolean ground, CheckMethod checked, Verdict wanted) {
        TestInspection inspection = fillet(level, "10")
                .seen(new ArcStrike(mm("30"), Optional.ofNullable(ground), Optional.ofNullable(checked)));
        assertThat(inspection.verdict(Criterion.ARC_STRIKE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // 3.1
        "D, 10, 2.5, ACCEPT", "D, 10, 2.51, REJECT", "D, 30, 5, ACCEPT", "D, 30, 5.1, REJECT", "C, 10, 1.5, ACCEPT",
        "C, 10, 1.51, REJECT", "C, 30, 4, ACCEPT", "C, 30, 4.1, REJECT", "B, 10, 1, ACCEPT", "B, 10, 1.01, REJECT",
        "B, 40, 3, ACCEPT", "B, 40, 3.1, REJECT", "D, 2, 0.7, ACCEPT", "D, 2, 0.71, REJECT", "C, 2, 0.5, ACCEPT",
        "C, 2, 0.51, REJECT", "B, 2, 0.4, ACCEPT", "B, 2, 0.41, REJECT",
    })
    void misalignmentOfPlates(String level, String t, String offset, Verdict wanted) {
        TestInspection inspection =
                butt(level, t, false).seen(new Misalignment(mm("0", "600"), mm(offset), Optional.empty()));
        assertThat(inspection.verdict(Criterion.MISALIGNMENT)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "D, 6, 3, ACCEPT",
        "D, 6, 3.1, REJECT",
        "D, 20, 4, ACCEPT",
        "D, 20, 4.1, REJECT",
        "C, 20, 3, ACCEPT",
        "C, 20, 3.1, REJECT",
        "B, 20, 2, ACCEPT",
        "B, 20, 2.1, REJECT"
    })
    void misalignmentAroundAPipe(String level, String t, String offset, Verdict wanted) {
        JointBuilder b = new JointBuilder("P1", WeldType.GROOVE, Connection.PIPE_BUTT, mm("360"))
                .closed(true)
                .members(new Member("pipe", mm(t)), new Member("pipe", mm(t)))
                .penetration(Penetration.COMPLETE);
        TestInspection inspection = TestInspection.of(Unit.MILLIMETRE, b)
                .by(level(level))
                .seen(new Misalignment(mm("0", "60"), mm(offset), Optional.empty()));
        assertThat(inspection.verdict(Criterion.MISALIGNMENT)).isEqualTo(wanted);
    }

    @Test
    void crackFusionAndBurnThroughAreNeverPermitted() {
        for (String level : new String[] {"D", "C", "B"}) {
            TestInspection inspection = butt(level, "10", true)
                    .seen(new Crack(mm("10", "11"), Optional.empty()))
                    .seen(new IncompleteFusion(mm("20", "21")))
                    .seen(new BurnThrough(mm("40")));
            assertThat(inspection.verdict(Criterion.CRACK)).isEqualTo(REJECT);
            assertThat(inspection.verdict(Criterion.FUSION)).isEqualTo(REJECT);
            assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(REJECT);
        }
    }

    @Test
    void addendaAreNoLooserThanTheRow() {
        CriteriaBook c = level("C");
        Joint fillet = fillet("C", "10").inspection().joint();
        Joint butt = butt("C", "10", true).inspection().joint();
        assertThat(c.loosest(AddendumKind.UNDERCUT_DEPTH, fillet, Unit.MILLIMETRE))
                .contains(mm("0.5"));
        assertThat(c.loosest(AddendumKind.POROSITY_DIAMETER, fillet, Unit.MILLIMETRE))
                .contains(mm("1"));
        assertThat(c.loosest(AddendumKind.CONVEXITY_MAX, fillet, Unit.MILLIMETRE))
                .contains(mm("4"));
        assertThat(c.loosest(AddendumKind.REINFORCEMENT_MAX, butt, Unit.MILLIMETRE))
                .contains(mm("7"));
        assertThat(c.loosest(AddendumKind.MELT_THROUGH_MAX, butt, Unit.MILLIMETRE))
                .contains(mm("4"));
        assertThat(c.loosest(AddendumKind.ROOT_CONCAVITY_MAX, butt, Unit.MILLIMETRE))
                .contains(mm("1"));
    }

    @Test
    void thereIsNoColumnInInches() {
        assertThat(level("B").hasColumn(Unit.INCH)).isFalse();
        assertThat(level("B").hasColumn(Unit.MILLIMETRE)).isTrue();
    }
}
