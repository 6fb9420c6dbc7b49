package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.inspection.ArcStrike;
import mensor.inspection.BurnThrough;
import mensor.inspection.CheckMethod;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.DrawingFault;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.MeltThrough;
import mensor.inspection.Misalignment;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.GirderEnds;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.Use;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every line of the statically loaded table for fillets, in both columns, at the limit, just under and just over it.
 * Source of the limits: AWS D1.1/D1.1M visual acceptance (Table 8.1, 2020 numbering; 6.1 in 2015), profiles 7.23, fit-up
 * 7.21, recalled from memory.
 */
class StaticTableTest {

    @ParameterizedTest
    @CsvSource({
        // member, depth, length: verdict. Under 1 in [25 mm]: 1/32 [1] at any length
        "INCH, 3/8, 1/32, 10, ACCEPT",
        "INCH, 3/8, .0312, 10, ACCEPT",
        "INCH, 3/8, .0313, 10, REJECT",
        "MILLIMETRE, 10, 1, 250, ACCEPT",
        "MILLIMETRE, 10, 1.01, 250, REJECT",
        // up to 1/16 [2] for 2 in [50] in any 12 [300]
        "INCH, 3/8, 1/16, 2, ACCEPT",
        "INCH, 3/8, 1/16, 2.001, REJECT",
        "INCH, 3/8, .0626, .1, REJECT",
        "MILLIMETRE, 10, 2, 50, ACCEPT",
        "MILLIMETRE, 10, 2, 50.1, REJECT",
        "MILLIMETRE, 10, 2.01, 1, REJECT",
        // just under 1 in [25] is thin; from there 1/16 [2] at any length
        "INCH, .999, 3/64, 10, REJECT",
        "INCH, 1, 3/64, 10, ACCEPT",
        "INCH, 1, 1/16, 24, ACCEPT",
        "INCH, 1, .0626, .1, REJECT",
        "MILLIMETRE, 24.9, 1.5, 250, REJECT",
        "MILLIMETRE, 25, 2, 600, ACCEPT",
        "MILLIMETRE, 25, 2.01, 1, REJECT",
        // depth 0 is nothing there
        "INCH, 3/8, 0, 10, ACCEPT",
    })
    void undercut(Unit unit, String member, String depth, String length, Verdict wanted) {
        String weld = unit.pick("24", "600");
        TestInspection inspection = TestInspection.fillet(unit, weld, unit.pick("5/16", "8"), member, member)
                .undercut(Toe.A, "0", length, depth);
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(wanted);
    }

    @Test
    void undercutIsJudgedByTheMemberItsToeLiesOn() {
        TestInspection inspection = TestInspection.fillet(Unit.INCH, "24", "5/16", "1", "3/8");
        assertThat(inspection.undercut(Toe.A, "0", "10", "1/16").verdict(Criterion.UNDERCUT))
                .isEqualTo(ACCEPT);
        assertThat(inspection.undercut(Toe.B, "0", "2", "1/16").verdict(Criterion.UNDERCUT))
                .as("the thick toe never enters the sum")
                .isEqualTo(ACCEPT);
        assertThat(inspection.undercut(Toe.B, "5", "5.1", "1/16").verdict(Criterion.UNDERCUT))
                .isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        // pores of 1/32 [1] and over count: 3/8 [10] in any 1 in [25]
        "INCH, 10, 3/8, ACCEPT",
        "INCH, 10, .376, REJECT",
        "INCH, 13, 1/32, REJECT",
        "INCH, 12, 1/32, ACCEPT",
        "INCH, 50, .03, ACCEPT",
        "MILLIMETRE, 1, 10, ACCEPT",
        "MILLIMETRE, 1, 10.1, REJECT",
        "MILLIMETRE, 11, 1, REJECT",
        "MILLIMETRE, 10, 1, ACCEPT",
        "MILLIMETRE, 50, .99, ACCEPT",
    })
    void poresAtOnePlace(Unit unit, int count, String diameter, Verdict wanted) {
        int n = Length.parse(diameter, unit).isOver(Length.parse("0.2", Unit.INCH)) ? 1 : count;
        TestInspection inspection = (unit == Unit.INCH
                        ? TestInspection.inches("24")
                        : TestInspection.millimetres("600"))
                .seen(new Porosity(
                        Span.at(Length.parse("10", unit)), Length.parse(diameter, unit), n, Optional.empty()));
        assertThat(inspection.verdict(Criterion.POROSITY)).isEqualTo(wanted);
    }

    @Test
    void poresAddUpToThreeQuartersInAnyTwelve() {
        TestInspection inspection = TestInspection.inches("24").pore("1", "3/8").pore("13", "3/8");
        assertThat(inspection.verdict(Criterion.POROSITY))
                .as("exactly 3/4 in a closed 12 in window")
                .isEqualTo(ACCEPT);
        assertThat(inspection.pore("7", "1/32").verdict(Criterion.POROSITY)).isEqualTo(REJECT);
        TestInspection apart = TestInspection.inches("24")
                .pore("1", "3/8")
                .pore("13.001", "3/8")
                .pore("7", "1/32");
        assertThat(apart.verdict(Criterion.POROSITY)).as("not in one window").isEqualTo(ACCEPT);
        TestInspection metric =
                TestInspection.millimetres("600").pore("10", "10").pore("310", "10");
        assertThat(metric.verdict(Criterion.POROSITY)).isEqualTo(ACCEPT);
        assertThat(metric.pore("200", "1").verdict(Criterion.POROSITY)).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        // size, least allowed by underrun U: under 1/4 [6]: 1/16 [2]; under 5/16 [8]: 3/32 [2.5]; else 1/8 [3]
        "INCH, 3/16, 1/8, ACCEPT",
        "INCH, 3/16, .1249, REJECT",
        "INCH, .2499, .1874, ACCEPT",
        "INCH, .2499, .1873, REJECT",
        "INCH, 1/4, 5/32, ACCEPT",
        "INCH, 1/4, .1562, REJECT",
        "INCH, .3124, .2187, ACCEPT",
        "INCH, .3124, .2186, REJECT",
        "INCH, 5/16, 3/16, ACCEPT",
        "INCH, 5/16, .1874, REJECT",
        "INCH, 1/2, 3/8, ACCEPT",
        "INCH, 1/2, .3749, REJECT",
        "MILLIMETRE, 5, 3, ACCEPT",
        "MILLIMETRE, 5, 2.9, REJECT",
        "MILLIMETRE, 6, 3.5, ACCEPT",
        "MILLIMETRE, 6, 3.4, REJECT",
        "MILLIMETRE, 8, 5, ACCEPT",
        "MILLIMETRE, 8, 4.9, REJECT",
        "MILLIMETRE, 12, 9, ACCEPT",
        "MILLIMETRE, 12, 8.9, REJECT",
    })
    void underrunOfASingleMark(Unit unit, String size, String least, Verdict wanted) {
        TestInspection inspection = TestInspection.fillet(unit, unit.pick("20", "500"), size, "1", "1");
        String end = unit.pick("20", "500");
        inspection.blade("0", end, size).undersize("5", "6", least);
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "INCH, 20, 2, ACCEPT",
        "INCH, 20, 2.001, REJECT",
        "MILLIMETRE, 500, 50, ACCEPT",
        "MILLIMETRE, 500, 50.1, REJECT"
    })
    void undersizeOnAtMostATenthOfTheLength(Unit unit, String length, String marked, Verdict wanted) {
        TestInspection inspection = TestInspection.fillet(unit, length, unit.pick("5/16", "8"), "1", "1")
                .blade("0", length, unit.pick("5/16", "8"))
                .undersize("0", marked, unit.pick("9/32", "7"));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"INCH, 8.01, ACCEPT", "INCH, 7.9, REJECT", "MILLIMETRE, 201, ACCEPT", "MILLIMETRE, 199, REJECT"})
    void noUnderrunWithinTwoFlangeWidthsOfAGirderEnd(Unit unit, String from, Verdict wanted) {
        String length = unit.pick("40", "1000");
        Length start = Length.parse(from, unit);
        TestInspection inspection = TestInspection.fillet(unit, length, unit.pick("5/16", "8"), "1", "1")
                .joint(j -> j.use(Use.WEB_TO_FLANGE)
                        .flangeWidth(Length.parse(unit.pick("4", "100"), unit))
                        .girderEnds(GirderEnds.START))
                .blade("0", length, unit.pick("5/16", "8"));
        inspection.seen(new Undersize(
                new Span(start, start.plus(Length.parse("1", unit))), Length.parse(unit.pick("19/64", "7.5"), unit)));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
        if (wanted == ACCEPT) {
            inspection.undersize(length, length, unit.pick("19/64", "7.5"));
            assertThat(inspection.verdict(Criterion.SIZE))
                    .as("the other end is no girder end")
                    .isEqualTo(ACCEPT);
        }
    }

    @ParameterizedTest
    @CsvSource({
        // opening up to 1/16 [2] asks nothing more; over it the leg grows by the whole opening; over 3/16 [5] rejects
        "INCH, 1/16, 5/16, ACCEPT",
        "INCH, .0626, 5/16, REJECT",
        "INCH, .0626, .3751, ACCEPT",
        "INCH, 3/16, 1/2, ACCEPT",
        "INCH, 3/16, .4999, REJECT",
        "INCH, .1876, 3/4, REJECT",
        "MILLIMETRE, 2, 8, ACCEPT",
        "MILLIMETRE, 2.1, 8, REJECT",
        "MILLIMETRE, 2.1, 10.1, ACCEPT",
        "MILLIMETRE, 5, 13, ACCEPT",
        "MILLIMETRE, 5.1, 20, REJECT",
    })
    void fitUpOpening(Unit unit, String opening, String leg, Verdict wanted) {
        String length = unit.pick("20", "500");
        TestInspection inspection = TestInspection.fillet(unit, length, unit.pick("5/16", "8"), "1", "1")
                .joint(j -> j.rootOpening(Length.parse(opening, unit)));
        for (String at : unit.pick("1,10,19", "25,250,475").split(",")) {
            inspection.legs(at, leg, leg);
        }
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({
        "INCH, 3, 5/16, INCOMPLETE",
        "INCH, 3, .3126, REJECT",
        "INCH, 2.99, 1/4, REJECT",
        "MILLIMETRE, 75, 8, INCOMPLETE",
        "MILLIMETRE, 75, 8.1, REJECT",
        "MILLIMETRE, 74, 6, REJECT",
    })
    void aGreaterOpeningOnThickPartsIsReferred(Unit unit, String thickness, String opening, Verdict wanted) {
        TestInspection inspection = TestInspection.fillet(
                        unit, unit.pick("20", "500"), unit.pick("5/16", "8"), thickness, thickness)
                .joint(j -> j.rootOpening(Length.parse(opening, unit)))
                .blade("0", unit.pick("20", "500"), unit.pick("1", "25"));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
        inspection.cover(Criterion.SIZE, "throat demonstrated, macro 12");
        assertThat(inspection.verdict(Criterion.SIZE))
                .as("unless the throat is demonstrated")
                .isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({
        // face width, convexity: W <= 5/16 [8]: 1/16 [2]; under 1 [25]: 1/8 [3]; else 3/16 [5]
        "INCH, 5/16, 1/16, ACCEPT",
        "INCH, 5/16, .0626, REJECT",
        "INCH, .3126, 1/8, ACCEPT",
        "INCH, .3126, .1251, REJECT",
        "INCH, .999, .1251, REJECT",
        "INCH, 1, 3/16, ACCEPT",
        "INCH, 1, .1876, REJECT",
        "MILLIMETRE, 8, 2, ACCEPT",
        "MILLIMETRE, 8, 2.1, REJECT",
        "MILLIMETRE, 8.1, 3, ACCEPT",
        "MILLIMETRE, 24.9, 3.1, REJECT",
        "MILLIMETRE, 25, 5, ACCEPT",
        "MILLIMETRE, 25, 5.1, REJECT",
        "INCH, , 1/16, ACCEPT",
        "INCH, , .0626, INCOMPLETE",
        "INCH, , 3/16, INCOMPLETE",
        "INCH, , .1876, REJECT",
    })
    void convexity(Unit unit, String width, String convexity, Verdict wanted) {
        TestInspection inspection = unit == Unit.INCH ? TestInspection.inches("24") : TestInspection.millimetres("600");
        inspection.notCleared().read(convexityAt(unit, "5", Optional.ofNullable(width), convexity));
        assertThat(inspection.verdict(Criterion.PROFILE)).isEqualTo(wanted);
    }

    private static Reading.Station convexityAt(Unit unit, String at, Optional<String> width, String convexity) {
        Station s = unit.pick(Station.in(at), Station.mm(at));
        return s.with("convexity", convexity)
                .with("faceWidth", width.orElse(null))
                .read();
    }

    @Test
    void anOutsideCornerMayBeAsConvexAsHalfTheThickness() {
        TestInspection corner = cornered("1/4");
        assertThat(corner.verdict(Criterion.PROFILE)).isEqualTo(ACCEPT);
        assertThat(corner.finding(Criterion.PROFILE).confidence().id()).isEqualTo("medium");
        assertThat(cornered(".2501").verdict(Criterion.PROFILE)).isEqualTo(REJECT);
    }

    private static TestInspection cornered(String convexity) {
        JointBuilder b = new JointBuilder("T2", mensor.weld.WeldType.FILLET, Connection.CORNER, Length.inches(24));
        b.size(Length.inches(5, 16))
                .corner(Corner.OUTSIDE)
                .members(new Member("a", Length.inches(1, 2)), new Member("b", Length.inches(3, 4)));
        return TestInspection.of(Unit.INCH, b)
                .notCleared()
                .read(convexityAt(Unit.INCH, "5", Optional.of("1/2"), convexity));
    }

    static Stream<Indication> neverAllowed() {
        Span place = new Span(Length.inches(3), Length.inches(4));
        Optional<Length> none = Optional.empty();
        return Stream.of(
                new Crack(Span.at(Length.inches(3)), Optional.empty()),
                new Crack(place, Optional.of(CrackPlace.CRATER)),
                new Crack(new Span(Length.inches(30), Length.inches(31)), Optional.of(CrackPlace.BASE)),
                new IncompleteFusion(place),
                new Overlap(Toe.B, place, none, none),
                new Overlap(Toe.A, place, Optional.of(Length.inches(1, 64)), none),
                new Crater(Length.inches(24), none, none),
                new Crater(Length.inches(24), Optional.of(Length.inches(1, 64)), none),
                new Underfill(place, none, none),
                new ShortWeld(Length.inches(1, 64)),
                new ArcStrike(Length.inches(40), Optional.empty(), Optional.empty()),
                new ArcStrike(Length.inches(4), Optional.of(true), Optional.empty()),
                new ArcStrike(Length.inches(4), Optional.of(false), Optional.of(CheckMethod.MT)),
                new Slag(place, true),
                new IncompletePenetration(place, none, none),
                new BurnThrough(Length.inches(3)),
                new Undercut(Toe.ROOT, place, Length.inches(1, 8), none),
                new Misalignment(place, Length.parse(".0376", Unit.INCH), none));
    }

    @ParameterizedTest
    @MethodSource("neverAllowed")
    void rejectsAtAnySize(Indication indication) {
        TestInspection inspection =
                TestInspection.inches("24").blade("0", "24", "5/16").seen(indication);
        assertThat(inspection.verdict(indication.criterion())).isEqualTo(REJECT);
        assertThat(inspection.judge().verdict()).isEqualTo(REJECT);
        assertThat(inspection.finding(indication.criterion()).indications()).containsExactly(0);
    }

    @ParameterizedTest
    @EnumSource(DrawingFault.class)
    void rejectsEveryDepartureFromTheDrawing(DrawingFault fault) {
        TestInspection inspection =
                TestInspection.inches("24").seen(new NotAsDrawn(fault, Optional.of(Length.inches(24))));
        assertThat(inspection.verdict(Criterion.AS_DRAWN)).isEqualTo(REJECT);
    }

    static Stream<Indication> nothingThere() {
        Span place = new Span(Length.inches(3), Length.inches(4));
        Optional<Length> zero = Optional.of(Length.inches(0));
        Optional<Length> none = Optional.empty();
        return Stream.of(
                new Overlap(Toe.B, place, zero, none),
                new Crater(Length.inches(24), zero, none),
                new Underfill(place, zero, none),
                new IncompletePenetration(place, zero, none),
                new MeltThrough(place, Length.inches(0), none),
                new RootConcavity(place, Length.inches(0), none),
                new ArcStrike(Length.inches(4), Optional.of(true), Optional.of(CheckMethod.VT)),
                new Spatter(place, false),
                new Misalignment(place, Length.parse(".0375", Unit.INCH), none),
                new ShortWeld(Length.inches(0)));
    }

    @ParameterizedTest
    @MethodSource("nothingThere")
    void acceptsWhatIsNothingOrDressed(Indication indication) {
        TestInspection inspection =
                TestInspection.inches("24").blade("0", "24", "5/16").seen(indication);
        assertThat(inspection.judge().verdict()).isEqualTo(ACCEPT);
    }

    @Test
    void misalignmentOfThickPartsIsCappedAtAnEighth() {
        TestInspection inspection = TestInspection.fillet(Unit.INCH, "24", "5/16", "2", "2");
        inspection.seen(new Misalignment(inspection.s("1", "2"), inspection.l("1/8"), Optional.empty()));
        assertThat(inspection.verdict(Criterion.MISALIGNMENT)).isEqualTo(ACCEPT);
        inspection.seen(new Misalignment(inspection.s("1", "2"), inspection.l(".1251"), Optional.empty()));
        assertThat(inspection.verdict(Criterion.MISALIGNMENT)).isEqualTo(REJECT);
        TestInspection metric = TestInspection.fillet(Unit.MILLIMETRE, "600", "8", "50", "50");
        metric.seen(new Misalignment(metric.s("1", "2"), metric.l("3.01"), Optional.empty()));
        assertThat(metric.verdict(Criterion.MISALIGNMENT)).isEqualTo(REJECT);
    }

    @Test
    void slagAndSpatterThatOnlyCoverAreCleanedFirst() {
        TestInspection slag = TestInspection.inches("24")
                .blade("0", "24", "5/16")
                .seen(new Slag(new Span(Length.inches(1), Length.inches(2)), false));
        assertThat(slag.verdict(Criterion.SLAG)).isEqualTo(INCOMPLETE);
        assertThat(slag.verdict(Criterion.READINESS)).isEqualTo(INCOMPLETE);
        TestInspection spatter =
                TestInspection.inches("24").seen(new Spatter(new Span(Length.inches(1), Length.inches(2)), true));
        assertThat(spatter.verdict(Criterion.SPATTER)).isEqualTo(INCOMPLETE);
        assertThat(spatter.verdict(Criterion.READINESS)).isEqualTo(INCOMPLETE);
    }

    @Test
    void meltThroughAndRootConcavityWaitForTheEngineersLimit() {
        Span place = new Span(Length.inches(3), Length.inches(4));
        TestInspection inspection =
                TestInspection.inches("24").seen(new MeltThrough(place, Length.inches(1, 16), Optional.empty()));
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(INCOMPLETE);
        assertThat(inspection.finding(Criterion.ROOT).reason().words()).contains("the Engineer sets the limit");
        inspection.addendum(mensor.inspection.AddendumKind.MELT_THROUGH_MAX, "1/16");
        assertThat(inspection.verdict(Criterion.ROOT)).isEqualTo(ACCEPT);
        assertThat(inspection
                        .finding(mensor.inspection.AddendumKind.MELT_THROUGH_MAX)
                        .verdict())
                .isEqualTo(ACCEPT);
    }

    @ParameterizedTest
    @CsvSource({
        "true, true, false, , ACCEPT",
        "false, true, false, , INCOMPLETE",
        "true, false, false, , INCOMPLETE",
        "true, true, true, , INCOMPLETE",
        ", true, false, , INCOMPLETE",
        "true, , , , INCOMPLETE",
        "true, true, , , ACCEPT"
    })
    void readiness(Boolean cleaned, Boolean ambient, Boolean coated, BigDecimal hours, Verdict wanted) {
        Conditions c = new Conditions(
                Optional.ofNullable(cleaned),
                Optional.ofNullable(ambient),
                Optional.ofNullable(coated),
                Optional.ofNullable(hours));
        assertThat(TestInspection.inches("24").conditions(c).verdict(Criterion.READINESS))
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"47.9, INCOMPLETE", "48, ACCEPT", "72, ACCEPT", ", INCOMPLETE"})
    void aSteelThatCracksLateWaitsTwoDays(BigDecimal hours, Verdict wanted) {
        Conditions c =
                new Conditions(Optional.of(true), Optional.of(true), Optional.of(false), Optional.ofNullable(hours));
        TestInspection inspection =
                TestInspection.inches("24").joint(j -> j.delayed(true)).conditions(c);
        assertThat(inspection.verdict(Criterion.READINESS)).isEqualTo(wanted);
        inspection.seen(new Crack(Span.at(Length.inches(3)), Optional.empty()));
        assertThat(inspection.judge().verdict())
                .as("a crack seen early still rejects")
                .isEqualTo(REJECT);
    }
}
