package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.NOT_APPLICABLE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mensor.criteria.Confidence;
import mensor.inspection.AddendumKind;
import mensor.inspection.Criterion;
import mensor.inspection.Reading;
import mensor.inspection.Underfill;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Every line of the statically loaded table for grooves, in both columns, at, just under and just over its limit. Source of
 * the limits: AWS D1.1/D1.1M visual acceptance (Table 8.1, 2020 numbering), profiles 7.23 with Tables 7.8 and 7.9,
 * alignment 7.21, recalled from memory.
 */
class StaticGrooveTableTest {
    private static TestInspection groove(
            Unit unit, Connection connection, Penetration penetration, String thicknessA, String thicknessB) {
        JointBuilder b =
                new JointBuilder("G1", WeldType.GROOVE, connection, Length.parse(unit.pick("24", "600"), unit));
        b.penetration(penetration)
                .members(
                        new Member("a", Length.parse(thicknessA, unit)),
                        new Member("b", Length.parse(thicknessB, unit)));
        return TestInspection.of(unit, b);
    }

    private static TestInspection butt(Unit unit, String a, String b) {
        return groove(unit, Connection.BUTT, Penetration.COMPLETE, a, b);
    }

    private enum What {
        CROWN,
        CONVEXITY,
        THROAT,
        OFFSET
    }

    private static TestInspection with(TestInspection inspection, What what, String value) {
        Optional<Length> none = Optional.empty();
        Optional<Length> v = Optional.of(inspection.l(value));
        return inspection.read(new Reading.Station(
                inspection.l("6"),
                new Reading.FilletMeasures(
                        none, none, what == What.THROAT ? v : none, what == What.CONVEXITY ? v : none, none, none),
                new Reading.GrooveMeasures(what == What.CROWN ? v : none, none, none, what == What.OFFSET ? v : none),
                Reading.ToeAngles.NONE,
                Optional.empty(),
                none,
                Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({
        // the thicker part decides; the other is thin
        "INCH, 3/8, 1/8, ACCEPT",
        "INCH, 3/8, .126, REJECT",
        "INCH, 3/8, 0, ACCEPT",
        "INCH, 3/8, -.001, REJECT",
        "INCH, 1, 1/8, ACCEPT",
        "INCH, 1, .126, REJECT",
        "INCH, 1.001, 3/16, ACCEPT",
        "INCH, 1.001, .188, REJECT",
        "INCH, 2, 3/16, ACCEPT",
        "INCH, 2, .188, REJECT",
        "INCH, 2.001, 1/4, ACCEPT",
        "INCH, 2.001, .251, REJECT",
        "MILLIMETRE, 25, 3, ACCEPT",
        "MILLIMETRE, 25, 3.01, REJECT",
        "MILLIMETRE, 10, -0.01, REJECT",
        "MILLIMETRE, 25.1, 5, ACCEPT",
        "MILLIMETRE, 50, 5.01, REJECT",
        "MILLIMETRE, 50.1, 6, ACCEPT",
        "MILLIMETRE, 50.1, 6.01, REJECT",
    })
    void reinforcementOfAButtByItsThickerPart(Unit unit, String thicker, String height, Verdict wanted) {
        TestInspection inspection = with(butt(unit, unit.pick("1/4", "6"), thicker), What.CROWN, height);
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @Test
    void theLeastSureStepTravelsWithTheFinding() {
        assertThat(with(butt(Unit.INCH, "2 1/4", "2 1/4"), What.CROWN, "1/4")
                        .finding(Criterion.PROFILE)
                        .confidence())
                .isEqualTo(Confidence.MEDIUM);
        Finding sure = with(butt(Unit.INCH, "2", "2"), What.CROWN, "1/8").finding(Criterion.PROFILE);
        assertThat(sure.confidence()).isNotEqualTo(Confidence.LOW);
        assertThat(sure.margin()).isEqualTo("1/16 in");
    }

    @Test
    void aPartialPenetrationIsAsThickAsItsThroatForTheProfile() {
        TestInspection thick = groove(Unit.INCH, Connection.BUTT, Penetration.PARTIAL, "2", "2")
                .joint(b -> b.throat(Length.inches(3, 4)));
        assertThat(with(thick, What.CROWN, "5/32").verdict(Criterion.PROFILE)).isEqualTo(REJECT);
        assertThat(with(butt(Unit.INCH, "2", "2"), What.CROWN, "5/32").verdict(Criterion.PROFILE))
                .isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({
        "TEE, 3/8, 1/8, ACCEPT", "TEE, 3/8, .126, REJECT", "TEE, .999, .126, REJECT",
        "TEE, 1, 3/16, ACCEPT", "TEE, 1, .188, REJECT", "LAP, 3/8, 1/2, ACCEPT",
    })
    void theConvexityOfATeeGroove(Connection connection, String t, String convexity, Verdict wanted) {
        TestInspection inspection =
                with(groove(Unit.INCH, connection, Penetration.COMPLETE, "1/4", t), What.CONVEXITY, convexity);
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    @Test
    void aCornerIsJudgedAsAButtOutsideAndAsATeeInside() {
        TestInspection outside = groove(Unit.INCH, Connection.CORNER, Penetration.COMPLETE, "3/8", "3/8")
                .joint(b -> b.corner(Corner.OUTSIDE));
        TestInspection inside = groove(Unit.INCH, Connection.CORNER, Penetration.COMPLETE, "3/8", "3/8")
                .joint(b -> b.corner(Corner.INSIDE));
        assertThat(with(outside, What.CROWN, "1/4").verdict(Criterion.PROFILE)).isEqualTo(REJECT);
        assertThat(with(inside, What.CROWN, "1/4").verdict(Criterion.PROFILE)).isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({
        // 5% of 3/8 is .01875, less than 1/32
        "false, 1/32, ACCEPT",
        "false, .032, REJECT",
        "false, -.01875, ACCEPT",
        "false, -.019, REJECT",
        "true, 0, ACCEPT",
        "true, .001, REJECT",
    })
    void aFlushFace(boolean faying, String height, Verdict wanted) {
        TestInspection inspection =
                butt(Unit.INCH, "3/8", "3/4").joint(b -> b.flush(true).faying(faying));
        assertThat(with(inspection, What.CROWN, height).verdict(Criterion.PROFILE))
                .isEqualTo(wanted);
    }

    @Test
    void underfillRejectsButOfDepthZeroIsNothing() {
        assertThat(butt(Unit.INCH, "3/8", "3/8")
                        .seen(new Underfill(butt(Unit.INCH, "1", "1").s("3", "4"), Optional.empty(), Optional.empty()))
                        .verdict(Criterion.PROFILE))
                .isEqualTo(REJECT);
        assertThat(butt(Unit.INCH, "3/8", "3/8")
                        .seen(new Underfill(
                                butt(Unit.INCH, "1", "1").s("3", "4"),
                                Optional.of(Length.zero(Unit.INCH)),
                                Optional.empty()))
                        .verdict(Criterion.PROFILE))
                .isEqualTo(ACCEPT);
    }

    @Test
    void poresInACompletePenetrationButtAcrossTension() {
        assertThat(butt(Unit.INCH, "3/8", "3/8")
                        .joint(b -> b.transverseTension(true))
                        .pore("6", "1/64")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
        assertThat(butt(Unit.INCH, "3/8", "3/8")
                        .joint(b -> b.transverseTension(false))
                        .pore("6", "3/8")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(ACCEPT);
        Finding open = butt(Unit.INCH, "3/8", "3/8").pore("6", "3/8").finding(Criterion.POROSITY);
        assertThat(open.verdict()).isEqualTo(INCOMPLETE);
        assertThat(open.asks())
                .extracting(Ask::words)
                .singleElement()
                .asString()
                .contains("across tension");
        assertThat(butt(Unit.INCH, "3/8", "3/8").pore("6", ".376").verdict(Criterion.POROSITY))
                .as("over the sums too: rejects whatever the drawing says")
                .isEqualTo(REJECT);
        assertThat(groove(Unit.INCH, Connection.BUTT, Penetration.PARTIAL, "3/8", "3/8")
                        .joint(b -> b.transverseTension(true))
                        .pore("6", "3/8")
                        .verdict(Criterion.POROSITY))
                .isEqualTo(ACCEPT);
    }

    @Test
    void aSizeIsOnlyThatOfAPartialPenetrationsThroat() {
        assertThat(butt(Unit.INCH, "3/8", "3/8").verdict(Criterion.SIZE)).isEqualTo(NOT_APPLICABLE);
        TestInspection drawn = groove(Unit.INCH, Connection.BUTT, Penetration.PARTIAL, "1", "1")
                .joint(b -> b.throat(Length.inches(1, 2)));
        assertThat(drawn.verdict(Criterion.SIZE)).isEqualTo(NOT_APPLICABLE);
        Finding one = with(drawn, What.THROAT, "1/2").finding(Criterion.SIZE);
        assertThat(one.verdict()).as("one station of a long weld").isEqualTo(INCOMPLETE);
        TestInspection three = drawn;
        for (String at : List.of("1", "11", "12", "23")) {
            three = three.read(Station.in(at).with("throat", "1/2").read());
        }
        assertThat(three.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        Finding low = with(drawn, What.THROAT, "31/64").finding(Criterion.SIZE);
        assertThat(low.verdict()).isEqualTo(REJECT);
        assertThat(low.margin()).isEqualTo("-1/64 in");
        assertThat(with(groove(Unit.INCH, Connection.BUTT, Penetration.PARTIAL, "1", "1"), What.THROAT, "1/2")
                        .verdict(Criterion.SIZE))
                .isEqualTo(INCOMPLETE);
        assertThat(butt(Unit.INCH, "3/8", "3/8").undersize("3", "4", "1/4").verdict(Criterion.SIZE))
                .isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        // the lesser of 10% of the thinner part and 1/8 [3]
        "INCH, 1/2, .05, ACCEPT",
        "INCH, 1/2, .051, REJECT",
        "INCH, 2, 1/8, ACCEPT",
        "INCH, 2, .126, REJECT",
        "MILLIMETRE, 20, 2, ACCEPT",
        "MILLIMETRE, 20, 2.01, REJECT",
        "MILLIMETRE, 40, 3.01, REJECT",
    })
    void theOffsetOfAButt(Unit unit, String thinner, String offset, Verdict wanted) {
        assertThat(with(butt(unit, thinner, unit.pick("3", "80")), What.OFFSET, offset)
                        .verdict(Criterion.MISALIGNMENT))
                .isEqualTo(wanted);
    }

    @Test
    void aContractTightensTheCrownAndNeverLoosensIt() {
        TestInspection inspection = butt(Unit.INCH, "3/8", "3/8").addendum(AddendumKind.REINFORCEMENT_MAX, "3/32");
        assertThat(with(inspection, What.CROWN, "1/8").judge().verdict()).isEqualTo(REJECT);
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> butt(Unit.INCH, "3/8", "3/8")
                        .addendum(AddendumKind.REINFORCEMENT_MAX, "3/16")
                        .judge())
                .hasMessageContaining("looser than the code");
    }

    @Test
    void aGrooveSeenAllOverAccepts() {
        assertThat(butt(Unit.INCH, "3/8", "3/8").judge().verdict()).isEqualTo(ACCEPT);
        assertThat(butt(Unit.INCH, "3/8", "3/8").nothingInspected().judge().verdict())
                .isEqualTo(INCOMPLETE);
    }
}
