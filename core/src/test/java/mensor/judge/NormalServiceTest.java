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
import mensor.inspection.ArcStrike;
import mensor.inspection.CheckMethod;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.MeltThrough;
import mensor.inspection.Misalignment;
import mensor.inspection.RootConcavity;
import mensor.inspection.Underfill;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * ASME B31.3, Table 341.3.2, normal fluid service, at, under and over each limit in both columns. Source: the table, recalled
 * from memory.
 */
class NormalServiceTest {
    private static final CriteriaBook BOOK = CriteriaBooks.find("b31.3-normal").orElseThrow();

    /** A butt around a pipe of this wall, welded from one side. */
    private static TestInspection pipe(Unit unit, String wall) {
        Length length = Length.parse(unit.pick("20", "500"), unit);
        JointBuilder b = new JointBuilder("P1", WeldType.GROOVE, Connection.PIPE_BUTT, length)
                .closed(true)
                .members(new Member("pipe", Length.parse(wall, unit)), new Member("pipe", Length.parse(wall, unit)))
                .penetration(Penetration.COMPLETE)
                .oneSided(true);
        return TestInspection.of(unit, b).by(BOOK);
    }

    private static TestInspection socket(String wall) {
        return TestInspection.fillet(Unit.INCH, "10", "1/4", wall, "1/2").by(BOOK);
    }

    private static Station at(Unit unit, String place) {
        return unit == Unit.INCH ? Station.in(place) : Station.mm(place);
    }

    @ParameterizedTest
    @CsvSource({
        "INCH, 1/4, 1/16, ACCEPT",
        "INCH, 1/4, .063, REJECT",
        "INCH, 9/32, 1/8, ACCEPT",
        "INCH, 1/2, .126, REJECT",
        "INCH, 9/16, 5/32, ACCEPT",
        "INCH, 1, .157, REJECT",
        "INCH, 1 1/8, 3/16, ACCEPT",
        "INCH, 1 1/8, .188, REJECT",
        "MILLIMETRE, 6, 1.5, ACCEPT",
        "MILLIMETRE, 6, 1.6, REJECT",
        "MILLIMETRE, 13, 3, ACCEPT",
        "MILLIMETRE, 13, 3.1, REJECT",
        "MILLIMETRE, 25, 4, ACCEPT",
        "MILLIMETRE, 25, 4.1, REJECT",
        "MILLIMETRE, 26, 5, ACCEPT",
        "MILLIMETRE, 26, 5.1, REJECT",
    })
    void reinforcementAndProtrusion(Unit unit, String wall, String height, Verdict wanted) {
        String place = unit.pick("3", "80");
        TestInspection crown = pipe(unit, wall)
                .read(at(unit, place).with("reinforcement", height).read());
        assertThat(crown.verdict(Criterion.PROFILE)).isEqualTo(wanted);
        TestInspection root = pipe(unit, wall)
                .read(at(unit, place).with("rootReinforcement", height).read());
        assertThat(root.verdict(Criterion.ROOT)).isEqualTo(wanted);
        TestInspection melted = pipe(unit, wall)
                .seen(new MeltThrough(
                        Span.at(Length.parse(place, unit)), Length.parse(height, unit), Optional.empty()));
        assertThat(melted.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    @Test
    void theFaceIsNotBelowTheSurface() {
        TestInspection low = pipe(Unit.INCH, "1/4")
                .read(Station.in("3").with("reinforcement", "-1/64").read());
        assertThat(low.verdict(Criterion.PROFILE)).isEqualTo(REJECT);
        TestInspection under = pipe(Unit.INCH, "1/4")
                .seen(new Underfill(new Span(Length.inches(1), Length.inches(2)), Optional.empty(), Optional.empty()));
        assertThat(under.verdict(Criterion.PROFILE)).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        // the lesser of 1/32 and Tw/4
        "INCH, 1/4, 1/32, ACCEPT",
        "INCH, 1/4, .0313, REJECT",
        "INCH, .1, .025, ACCEPT",
        "INCH, .1, .0251, REJECT",
        "MILLIMETRE, 6, 1, ACCEPT",
        "MILLIMETRE, 6, 1.01, REJECT",
        "MILLIMETRE, 3, 0.75, ACCEPT",
        "MILLIMETRE, 3, 0.76, REJECT",
    })
    void undercut(Unit unit, String wall, String depth, Verdict wanted) {
        String to = unit.pick("9", "220");
        TestInspection toe = pipe(unit, wall).undercut(Toe.A, "0", to, depth);
        assertThat(toe.verdict(Criterion.UNDERCUT)).isEqualTo(wanted);
        assertThat(pipe(unit, wall).undercut(Toe.ROOT, "0", to, depth).verdict(Criterion.ROOT))
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        // the lesser of 1/32 and 0.2 Tw, 1-1/2 in any 6
        "INCH, 1/4, 1/32, 1.5, ACCEPT", "INCH, 1/4, .0313, 1, REJECT", "INCH, .1, .02, 1.5, ACCEPT",
        "INCH, .1, .0201, 1, REJECT", "INCH, 1/4, 1/64, 1.51, REJECT", "INCH, 1/4, 0, 9, ACCEPT",
        "MILLIMETRE, 6, 1, 38, ACCEPT", "MILLIMETRE, 6, 1.01, 10, REJECT", "MILLIMETRE, 6, 0.5, 38.1, REJECT",
        "INCH, 1/4, , 1, INCOMPLETE", "INCH, 1/4, , 1.6, REJECT",
    })
    void incompletePenetration(Unit unit, String wall, String depth, String extent, Verdict wanted) {
        Length zero = Length.zero(unit);
        TestInspection inspection = pipe(unit, wall)
                .seen(new IncompletePenetration(
                        new Span(zero, Length.parse(extent, unit)),
                        Optional.ofNullable(depth).map(d -> Length.parse(d, unit)),
                        Optional.empty()));
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    /** Two stretches near the datum of a closed weld share a window across it. */
    @Test
    void penetrationAddsUpAcrossTheDatum() {
        TestInspection inspection = pipe(Unit.INCH, "1/4");
        for (String[] s : new String[][] {{"0", "1"}, {"19", "20"}}) {
            inspection.seen(new IncompletePenetration(
                    new Span(inspection.l(s[0]), inspection.l(s[1])),
                    Optional.of(inspection.l("1/64")),
                    Optional.empty()));
        }
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({", INCOMPLETE", "1/16, ACCEPT", "1/32, REJECT", "-1/32, REJECT"})
    void theRootIsHollowNoDeeperThanTheCrownIsHigh(String crown, Verdict wanted) {
        TestInspection inspection = pipe(Unit.INCH, "1/2")
                .seen(new RootConcavity(
                        new Span(Length.inches(1), Length.inches(2)), Length.inches(3, 64), Optional.empty()));
        if (crown != null) {
            inspection.read(Station.in("3").with("reinforcement", crown).read());
        }
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"INCH, 3/16, REJECT", "INCH, 1/4, ACCEPT", "MILLIMETRE, 5, REJECT", "MILLIMETRE, 5.1, ACCEPT"})
    void poresByWall(Unit unit, String wall, Verdict wanted) {
        Finding f = pipe(unit, wall)
                .pore(unit.pick("3", "80"), unit.pick("1/8", "3"))
                .finding(Criterion.POROSITY);
        assertThat(f.verdict()).isEqualTo(wanted);
        assertThat(f.confidence()).isEqualTo(Confidence.MEDIUM);
        assertThat(pipe(unit, wall).notCleared().verdict(Criterion.POROSITY)).isEqualTo(INCOMPLETE);
    }

    @Test
    void thickWallsSayThatPoresAreNotLimited() {
        assertThat(pipe(Unit.INCH, "1/2").judge().notes())
                .anyMatch(n -> n.startsWith("Porosity: the code's table does not limit it"));
    }

    @ParameterizedTest
    @CsvSource({"1/4, ACCEPT", "15/64, REJECT"})
    void aFilletHasNoUnderrun(String leg, Verdict wanted) {
        TestInspection inspection = socket("1/4").stations("1=1/4", "5=" + leg, "9=1/4");
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @Test
    void theBookSaysNothingOfAFitUpOpening() {
        TestInspection inspection = socket("1/4")
                .blade("0", "10", "1/4")
                .joint(b -> b.gaps(
                        java.util.List.of(new Gap(new Span(Length.inches(1), Length.inches(2)), Length.inches(1, 4)))));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({"1/4, 1/16, ACCEPT", "1/4, .063, REJECT", "1/2, 1/8, ACCEPT", "1/2, .126, REJECT"})
    void convexityOfAFillet(String wall, String height, Verdict wanted) {
        TestInspection inspection =
                socket(wall).read(Station.in("3").with("convexity", height).read());
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @Test
    void misalignmentIsTheProcedures() {
        assertThat(pipe(Unit.INCH, "1/4").verdict(Criterion.MISALIGNMENT)).isEqualTo(NOT_APPLICABLE);
        TestInspection inspection = pipe(Unit.INCH, "1/4")
                .seen(new Misalignment(
                        new Span(Length.inches(0), Length.inches(2)), Length.inches(1, 16), Optional.empty()));
        assertThat(inspection.verdict(Criterion.MISALIGNMENT))
                .as("an offset was measured, and nobody said how much may be")
                .isEqualTo(Verdict.INCOMPLETE);
        assertThat(inspection.joint(b -> b.offsetMax(Length.inches(1, 16))).verdict(Criterion.MISALIGNMENT))
                .isEqualTo(ACCEPT);
        assertThat(inspection.joint(b -> b.offsetMax(Length.inches(3, 64))).verdict(Criterion.MISALIGNMENT))
                .isEqualTo(REJECT);
    }

    @Test
    void whatTheTableDoesNotNameIsJudgedAsStaticallyLoaded() {
        TestInspection inspection = pipe(Unit.INCH, "1/4")
                .seen(new ArcStrike(Length.inches(3), Optional.of(true), Optional.of(CheckMethod.VT)))
                .seen(new Crater(Length.inches(4), Optional.empty(), Optional.empty()));
        assertThat(inspection.verdict(Criterion.ARC_STRIKE)).isEqualTo(ACCEPT);
        Finding crater = inspection.finding(Criterion.CRATER);
        assertThat(crater.verdict()).isEqualTo(REJECT);
        assertThat(crater.trace()).anyMatch(t -> t.contains("the table does not name it"));
    }
}
