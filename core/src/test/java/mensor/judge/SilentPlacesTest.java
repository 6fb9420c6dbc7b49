package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mensor.inspection.AddendumKind;
import mensor.inspection.Crater;
import mensor.inspection.Criterion;
import mensor.inspection.Face;
import mensor.inspection.Reading;
import mensor.inspection.ShortWeld;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Dihedral;
import mensor.weld.Gap;
import mensor.weld.InvalidField;
import mensor.weld.LegMeaning;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The places where the code is silent, read as Mensor's book page says (common practice, no source, unless named). */
class SilentPlacesTest {

    @Test
    void noReadingIsNotAPass() {
        Evaluation nothing = TestInspection.inches("24").nothingInspected().judge();
        assertThat(nothing.verdict()).isEqualTo(INCOMPLETE);
        assertThat(nothing.findings())
                .hasSize(17)
                .extracting(Finding::id)
                .startsWith("readiness", "crack")
                .endsWith("root", "misalignment", "base-metal");
        assertThat(nothing.todo())
                .extracting(Todo::criterion)
                .contains(Criterion.CRACK, Criterion.SIZE, Criterion.UNDERCUT);
        assertThat(nothing.finding("root").orElseThrow().verdict()).isEqualTo(Verdict.NOT_APPLICABLE);
    }

    @ParameterizedTest
    @EnumSource(Criterion.class)
    void eachClearableCriterionIsClearedOrCoveredByItself(Criterion c) {
        if (!c.clearable() || c == Criterion.MISALIGNMENT) {
            return;
        }
        TestInspection inspection =
                TestInspection.inches("24").joint(j -> j.oneSided(true)).notCleared();
        assertThat(inspection.verdict(c)).isEqualTo(INCOMPLETE);
        assertThat(TestInspection.inches("24")
                        .joint(j -> j.oneSided(true))
                        .clear(c)
                        .verdict(c))
                .isEqualTo(ACCEPT);
        TestInspection covered = TestInspection.inches("24")
                .joint(j -> j.oneSided(true))
                .notCleared()
                .cover(c, "UT report 114");
        assertThat(covered.verdict(c)).isEqualTo(ACCEPT);
        assertThat(covered.judge().notes()).anyMatch(n -> n.contains("UT report 114"));
    }

    @Test
    void undercutOfBothToesAddsUpAndSaysWhenThatDecides() {
        TestInspection inspection =
                TestInspection.inches("24").undercut(Toe.A, "2", "3.25", "3/64").undercut(Toe.B, "6", "7", "3/64");
        Finding careful = inspection.finding(Criterion.UNDERCUT);
        assertThat(careful.verdict()).isEqualTo(REJECT);
        assertThat(careful.reason().words()).contains("Rejected on the careful reading; per toe it accepts");
        assertThat(careful.numbers().orElseThrow())
                .isEqualTo(new Finding.Numbers("2.25 in", "2 in", "-0.25 in", false));
        assertThat(careful.indications()).containsExactly(0, 1);
        assertThat(inspection.perToe().verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
    }

    @Test
    void ofOverlappingStretchesOfOneToeTheDeeperCounts() {
        TestInspection inspection = TestInspection.inches("24")
                .undercut(Toe.A, "8", "14", "1/32")
                .undercut(Toe.A, "10", "11.5", "1/16")
                .undercut(Toe.A, "11", "12", "3/64");
        assertThat(inspection.finding(Criterion.UNDERCUT).measured()).startsWith("2 in");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
    }

    @Test
    void windowsAreEveryPositionAndWrapOnAClosedWeld() {
        TestInspection open =
                TestInspection.inches("30").undercut(Toe.A, "0", "1.1", "3/64").undercut(Toe.A, "29", "30", "3/64");
        assertThat(open.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        TestInspection ring = TestInspection.inches("30")
                .joint(j -> j.closed(true))
                .undercut(Toe.A, "0", "1.1", "3/64")
                .undercut(Toe.A, "29", "30", "3/64");
        assertThat(ring.verdict(Criterion.UNDERCUT)).isEqualTo(REJECT);
        assertThat(ring.finding(Criterion.UNDERCUT).span().orElseThrow().wraps())
                .isTrue();
        TestInspection slices = TestInspection.inches("24")
                .undercut(Toe.A, "11", "12.2", "3/64")
                .undercut(Toe.A, "13", "14", "3/64");
        assertThat(slices.verdict(Criterion.UNDERCUT))
                .as("across a fixed slice's edge at 12")
                .isEqualTo(REJECT);
    }

    @Test
    void aWeldShorterThanTheWindowHasTheFullAllowance() {
        TestInspection inspection = TestInspection.inches("4").undercut(Toe.A, "0", "2", "1/16");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        assertThat(inspection.finding(Criterion.UNDERCUT).trace()).anyMatch(t -> t.contains("full allowance"));
    }

    @Test
    void poresAlongAStretchAreBounded() {
        assertThat(TestInspection.inches("24").pores("0", "6", "1/16", 6).verdict(Criterion.POROSITY))
                .as("6 × 1/16 = 3/8 at most")
                .isEqualTo(ACCEPT);
        Finding open = TestInspection.inches("24").pores("0", "6", "1/16", 8).finding(Criterion.POROSITY);
        assertThat(open.verdict()).as("2 to 8 of them in one inch").isEqualTo(INCOMPLETE);
        assertThat(open.asks()).anyMatch(a -> a.words().contains("mark where"));
        assertThat(TestInspection.inches("24").pores("0", "6", "1/16", 37).verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
        assertThat(TestInspection.inches("24").pores("0", "1", "1/16", 7).verdict(Criterion.POROSITY))
                .isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({
        // a low run is at least first to last low, at most good to good: 24 in, 2.4 allowed
        "'1=5/16, 5=5/16, 6=9/32, 7=5/16, 12=5/16, 23=5/16', ACCEPT",
        "'1=5/16, 5=5/16, 6=9/32, 8=5/16, 12=5/16, 23=5/16', INCOMPLETE",
        "'1=5/16, 5=9/32, 6=9/32, 7.4=9/32, 12=5/16, 23=5/16', INCOMPLETE",
        "'1=5/16, 5=9/32, 7.4=9/32, 7.41=5/16, 12=5/16, 23=5/16', INCOMPLETE",
        "'1=5/16, 5=9/32, 7.41=9/32, 12=5/16, 23=5/16', REJECT",
        "'1=9/32, 2=5/16, 12=5/16, 23=5/16', ACCEPT",
        "'1=5/16, 12=5/16, 21=5/16, 23=9/32', INCOMPLETE",
        "'1=9/32, 12=9/32, 23=9/32', REJECT",
    })
    void boundsBetweenStations(String stations, Verdict wanted) {
        TestInspection inspection = TestInspection.inches("24").stations(stations.split(", "));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(wanted);
    }

    @Test
    void markedStretchesAreExactAndBoundRuns() {
        TestInspection inspection = TestInspection.inches("24")
                .stations("1=5/16", "12=5/16", "13=9/32", "23=5/16")
                .undersize("12 3/4", "14 3/4", "9/32");
        assertThat(inspection.finding(Criterion.SIZE).numbers().orElseThrow().measured())
                .isEqualTo("2 in");
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        TestInspection overBlade =
                TestInspection.inches("24").blade("0", "24", "5/16").undersize("3", "6", "9/32");
        assertThat(overBlade.verdict(Criterion.SIZE))
                .as("undersize beats an overlapping blade")
                .isEqualTo(REJECT);
    }

    @Test
    void runsWrapOnAClosedWeld() {
        TestInspection ring = TestInspection.inches("24").joint(j -> j.closed(true));
        ring.stations("1=9/32", "3=5/16", "12=5/16", "22=5/16", "23=9/32");
        Finding f = ring.finding(Criterion.SIZE);
        assertThat(f.verdict()).as("surely 23–1, at most 22–3").isEqualTo(INCOMPLETE);
        assertThat(f.trace()).contains("under size: at least 2 in, at most 5 in; 10% of 24 in is 2.4 in");
    }

    @ParameterizedTest
    @CsvSource({
        "24, '2=5/16, 12=5/16, 22=5/16', ACCEPT",
        "24, '2.01=5/16, 12=5/16, 22=5/16', INCOMPLETE",
        "24, '2=5/16, 12=5/16, 21.99=5/16', INCOMPLETE",
        "24, '2=5/16, 22=5/16', INCOMPLETE",
        "28, '2=5/16, 14.01=5/16, 26=5/16', INCOMPLETE",
        "4, '2=5/16', INCOMPLETE",
        "4, '1=5/16, 2=5/16, 3=5/16', ACCEPT",
        "3, '2=5/16', ACCEPT",
        "3.01, '2=5/16', INCOMPLETE",
    })
    void enoughReadings(String length, String stations, Verdict wanted) {
        assertThat(TestInspection.inches(length).stations(stations.split(", ")).verdict(Criterion.SIZE))
                .isEqualTo(wanted);
    }

    @Test
    void bladesThatCoverAreEnoughAndARestWantsItsOwnReading() {
        assertThat(TestInspection.inches("24")
                        .blade("0", "12", "5/16")
                        .blade("12", "24", "3/8")
                        .verdict(Criterion.SIZE))
                .isEqualTo(ACCEPT);
        TestInspection rest =
                TestInspection.inches("24").blade("0", "22", "5/16").stations("1=5/16", "6=5/16", "14=5/16", "17=5/16");
        assertThat(rest.verdict(Criterion.SIZE))
                .as("the last 2 in were not tried")
                .isEqualTo(INCOMPLETE);
        assertThat(rest.stations("23=5/16").verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        assertThat(TestInspection.inches("24").blade("0", "24", "1/4").verdict(Criterion.SIZE))
                .as("a smaller blade shows no size")
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void eachSegmentOfAnIntermittentWeldIsReadByItself() {
        TestInspection inspection = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(
                        new Span(Length.inches(0), Length.inches(3)), new Span(Length.inches(12), Length.inches(15)))));
        inspection.stations("1=5/16");
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(INCOMPLETE);
        assertThat(inspection.stations("13=5/16").verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        inspection.undersize("2", "2.61", "9/32");
        assertThat(inspection.verdict(Criterion.SIZE)).as("10% of 6 in welded").isEqualTo(REJECT);
        TestInspection crater = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(new Span(Length.inches(0), Length.inches(3)))));
        crater.seen(new Crater(Length.parse("3.1", Unit.INCH), Optional.empty(), Optional.empty()));
        assertThat(crater.verdict(Criterion.CRATER))
                .as("an end outside the segments")
                .isEqualTo(ACCEPT);
        crater.seen(new Crater(Length.inches(3), Optional.empty(), Optional.empty()));
        assertThat(crater.verdict(Criterion.CRATER)).isEqualTo(REJECT);
    }

    @Test
    void aGapAsksMoreLegOnlyWhereItIs() {
        TestInspection inspection = TestInspection.inches("24")
                .joint(j ->
                        j.gaps(List.of(new Gap(new Span(Length.inches(10), Length.inches(12)), Length.inches(1, 8)))));
        inspection.stations("1=5/16", "9=5/16", "13=5/16", "23=5/16");
        assertThat(inspection.verdict(Criterion.SIZE))
                .as("the gap itself was not read")
                .isEqualTo(INCOMPLETE);
        assertThat(inspection.stations("11=7/16").verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        TestInspection low = TestInspection.inches("24")
                .joint(j ->
                        j.gaps(List.of(new Gap(new Span(Length.inches(10), Length.inches(12)), Length.inches(1, 8)))));
        low.stations("1=5/16", "9=5/16", "11=3/8", "13=5/16", "23=5/16");
        assertThat(low.verdict(Criterion.SIZE))
                .as("the run ends at the gap's ends: 2 in of 2.4")
                .isEqualTo(ACCEPT);
        low.cover(Criterion.SIZE, "macro 3");
        assertThat(low.finding(Criterion.SIZE).measured())
                .as("demonstrated: nothing is low")
                .doesNotContain("under size");
    }

    @Test
    void aConcaveFaceIsSizedByItsThroat() {
        // 5/16 leg × 1/√2 is .22097 in: throat .221 meets it, .2209 does not (by squares, exact)
        assertThat(concave(".221", Face.CONCAVE).verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        Finding low = concave(".2209", Face.CONCAVE).finding(Criterion.SIZE);
        assertThat(low.verdict())
                .as("low, within the underrun, along 0 to 3 in")
                .isEqualTo(INCOMPLETE);
        assertThat(low.reason().words()).contains("may be under size");
        assertThat(concave(".13", Face.CONCAVE).verdict(Criterion.SIZE)).isEqualTo(REJECT);
        assertThat(concave(".2209", Face.FLAT).verdict(Criterion.SIZE))
                .as("a throat caps any face")
                .isEqualTo(INCOMPLETE);
        TestInspection blind = TestInspection.inches("3")
                .read(Reading.Station.of(
                        Length.inches(1),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        Optional.empty(),
                        Optional.of(Face.CONCAVE)));
        assertThat(blind.verdict(Criterion.SIZE))
                .as("concave without a throat is no size reading")
                .isEqualTo(INCOMPLETE);
    }

    private static TestInspection concave(String throat, Face face) {
        return TestInspection.inches("3")
                .read(Reading.Station.of(
                        Length.inches(1),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.parse(throat, Unit.INCH)),
                        Optional.of(face)));
    }

    @Test
    void aLoneLegOrThroatCanOnlyReject() {
        Optional<Length> none = Optional.empty();
        TestInspection good = TestInspection.inches("3")
                .read(Reading.Station.of(
                        Length.inches(1), Optional.of(Length.inches(3, 8)), none, none, Optional.empty()));
        assertThat(good.verdict(Criterion.SIZE)).isEqualTo(INCOMPLETE);
        TestInspection bad = TestInspection.inches("3")
                .read(Reading.Station.of(
                        Length.inches(1), Optional.of(Length.inches(1, 8)), none, none, Optional.empty()));
        assertThat(bad.verdict(Criterion.SIZE)).isEqualTo(REJECT);
        TestInspection throat = TestInspection.inches("3")
                .read(Reading.Station.of(
                        Length.inches(1), none, none, Optional.of(Length.inches(1, 8)), Optional.empty()));
        assertThat(throat.verdict(Criterion.SIZE)).isEqualTo(REJECT);
    }

    @Test
    void convexityComputedFromThroatAndLegsOnlyPrompts() {
        TestInspection high = TestInspection.inches("24")
                .notCleared()
                .read(Reading.Station.of(
                        Length.inches(1),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(1, 2)),
                        Optional.empty()));
        assertThat(high.verdict(Criterion.PROFILE)).isEqualTo(INCOMPLETE);
        TestInspection flat = TestInspection.inches("24")
                .notCleared()
                .read(Reading.Station.of(
                        Length.inches(1),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(1, 4)),
                        Optional.empty()));
        assertThat(flat.verdict(Criterion.PROFILE)).isEqualTo(ACCEPT);
        assertThat(TestInspection.inches("24")
                        .notCleared()
                        .legs("1", "3/8", "3/8")
                        .verdict(Criterion.PROFILE))
                .as("legs alone accept no profile")
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void aReadingElsewhereDoesNotSilenceThePrompt() {
        Optional<Length> none = Optional.empty();
        Reading.Station read = new Reading.Station(
                Length.inches(5),
                new Reading.FilletMeasures(none, none, none, Optional.of(Length.inches(1, 32)), none, none),
                Reading.GrooveMeasures.NONE,
                Reading.ToeAngles.NONE,
                Optional.empty(),
                none,
                Optional.empty());
        Reading.Station high = Reading.Station.of(
                Length.inches(1),
                Optional.of(Length.inches(3, 8)),
                Optional.of(Length.inches(3, 8)),
                Optional.of(Length.inches(1, 2)),
                Optional.empty());
        assertThat(TestInspection.inches("24").notCleared().read(read).verdict(Criterion.PROFILE))
                .isEqualTo(ACCEPT);
        assertThat(TestInspection.inches("24")
                        .notCleared()
                        .read(read)
                        .read(high)
                        .verdict(Criterion.PROFILE))
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void whatHasNoPlaceIsGivenNone() {
        Finding missing = TestInspection.inches("24")
                .seen(new ShortWeld(Length.inches(1)))
                .finding(Criterion.LENGTH);
        assertThat(missing.verdict()).isEqualTo(REJECT);
        assertThat(missing.span()).isEmpty();
    }

    @Test
    void aLowReadingInTheOtherUnitSystemThatIsNominallyEnoughIsReadAgain() {
        TestInspection inspection = TestInspection.fillet(Unit.MILLIMETRE, "75", "8", "10", "10");
        inspection.read(Reading.Station.legs(inspection.l("30"), Length.inches(5, 16), Length.inches(5, 16)));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(INCOMPLETE);
        assertThat(inspection.finding(Criterion.SIZE).asks())
                .anyMatch(a -> a.words().contains("again in the drawing's units"));
        TestInspection low = TestInspection.fillet(Unit.MILLIMETRE, "75", "8", "10", "10");
        low.read(Reading.Station.legs(low.l("30"), Length.inches(3, 16), Length.inches(3, 16)));
        assertThat(low.verdict(Criterion.SIZE)).isEqualTo(REJECT);
    }

    /**
     * Equivalent leg factors of skewed fillets, AWS D1.1 annex (from memory): the perpendicular leg of equal throat is the
     * factor times the 90° leg; published to two decimals, and 95° is 1.03 where √2·sin(ψ/2) gives 1.043.
     */
    @ParameterizedTest
    @CsvSource({
        "60, .71, .006",
        "65, .76, .006",
        "70, .81, .006",
        "75, .86, .006",
        "80, .91, .006",
        "85, .96, .006",
        "90, 1.00, .006",
        "95, 1.03, .015",
        "100, 1.08, .006",
        "105, 1.12, .006",
        "110, 1.16, .006",
        "115, 1.19, .006",
        "120, 1.23, .006",
        "125, 1.25, .006",
        "130, 1.28, .006",
        "135, 1.31, .006",
    })
    void skewedLegFactors(BigDecimal angle, double factor, double tolerance) {
        Dihedral d = new Dihedral(angle);
        var one = mensor.length.RealLength.of(Length.inches(1));
        double got = d.leg(one, LegMeaning.EQUIVALENT, LegMeaning.PERPENDICULAR)
                .over(one)
                .doubleValue();
        assertThat(got).isCloseTo(factor, org.assertj.core.data.Offset.offset(tolerance));
    }

    @Test
    void aSkewedFilletIsComparedInTheDrawingsMeaning() {
        // 120°: cos(ψ/2) = 1/2, so a throat of 5/32 is exactly a contact leg of 5/16
        TestInspection inspection = skewed(LegMeaning.CONTACT)
                .read(Reading.Station.of(
                        Length.inches(1),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(5, 32)),
                        Optional.of(Face.CONCAVE)));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        // drawn as the equivalent 90° leg, the contact leg must be 5/16 × .7071 ÷ .5 = .442
        assertThat(skewed(LegMeaning.EQUIVALENT).legs("1", ".442", ".442").verdict(Criterion.SIZE))
                .isEqualTo(ACCEPT);
        assertThat(skewed(LegMeaning.EQUIVALENT).legs("1", ".44", ".44").verdict(Criterion.SIZE))
                .isEqualTo(INCOMPLETE);
        assertThat(skewed(LegMeaning.EQUIVALENT).legs("1", ".26", ".26").verdict(Criterion.SIZE))
                .isEqualTo(REJECT);
    }

    private static TestInspection skewed(LegMeaning meaning) {
        return TestInspection.inches("3")
                .joint(j -> j.dihedral(new Dihedral(BigDecimal.valueOf(120))).sizeMeans(meaning));
    }

    @Test
    void aFilletDrawnByItsThroatIsComparedByItsLegOfEqualThroat() {
        TestInspection inspection =
                TestInspection.bare(Unit.MILLIMETRE, "75", "10", "10").joint(j -> j.throat(Length.millimetres("5")));
        inspection.read(Reading.Station.of(
                inspection.l("10"),
                Optional.of(inspection.l("8")),
                Optional.of(inspection.l("8")),
                Optional.of(inspection.l("5")),
                Optional.empty()));
        assertThat(inspection.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        assertThat(inspection.undersize("10", "20", "2").verdict(Criterion.SIZE))
                .isEqualTo(REJECT);
    }

    @Test
    void nearLimitIsAQuietMark() {
        Length division = Length.inches(1, 32);
        TestInspection near = TestInspection.inches("24")
                .seen(new Undercut(
                        Toe.A,
                        new Span(Length.inches(1), Length.inches(2)),
                        Length.parse(".025", Unit.INCH),
                        Optional.of(division)));
        assertThat(near.finding(Criterion.UNDERCUT).nearLimit()).isTrue();
        assertThat(near.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        TestInspection at = TestInspection.inches("24")
                .seen(new Undercut(
                        Toe.A,
                        new Span(Length.inches(1), Length.inches(2)),
                        Length.inches(1, 32),
                        Optional.of(division)));
        assertThat(at.finding(Criterion.UNDERCUT).nearLimit())
                .as("exactly at the limit")
                .isFalse();
        TestInspection coarse = TestInspection.inches("24")
                .seen(new Undercut(
                        Toe.A,
                        new Span(Length.inches(1), Length.inches(2)),
                        Length.inches(0),
                        Optional.of(Length.inches(1, 16))));
        assertThat(coarse.verdict(Criterion.UNDERCUT))
                .as("a 1/16 gauge cannot show 1/32")
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void addendaTightenAndWantTheirOwnEvidence() {
        TestInspection inspection = TestInspection.inches("24")
                .addendum(AddendumKind.UNDERCUT_DEPTH, "1/64")
                .undercut(Toe.A, "1", "2", "1/32");
        assertThat(inspection.verdict(Criterion.UNDERCUT)).isEqualTo(ACCEPT);
        assertThat(inspection.finding(AddendumKind.UNDERCUT_DEPTH).verdict()).isEqualTo(REJECT);
        assertThat(TestInspection.inches("24")
                        .notCleared()
                        .addendum(AddendumKind.POROSITY_NONE, null)
                        .finding(AddendumKind.POROSITY_NONE)
                        .verdict())
                .isEqualTo(INCOMPLETE);
        assertThat(TestInspection.inches("24")
                        .addendum(AddendumKind.POROSITY_NONE, null)
                        .pore("3", "1/64")
                        .finding(AddendumKind.POROSITY_NONE)
                        .verdict())
                .isEqualTo(REJECT);
        assertThat(TestInspection.inches("24")
                        .addendum(AddendumKind.UNDERCUT_EXCEPTION_OFF, null)
                        .undercut(Toe.B, "1", "1.1", "3/64")
                        .finding(AddendumKind.UNDERCUT_EXCEPTION_OFF)
                        .verdict())
                .isEqualTo(REJECT);
        TestInspection under = TestInspection.inches("24")
                .addendum(AddendumKind.SIZE_UNDERRUN, "1/64")
                .blade("0", "24", "5/16")
                .undersize("1", "2", "9/32");
        assertThat(under.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        assertThat(under.finding(AddendumKind.SIZE_UNDERRUN).verdict()).isEqualTo(REJECT);
        assertThat(TestInspection.inches("24")
                        .addendum(AddendumKind.BEAD_WIDTH_MAX, "1/2")
                        .finding(AddendumKind.BEAD_WIDTH_MAX)
                        .verdict())
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void anAddendumLooserThanTheBookIsRefused() {
        assertThatThrownBy(() -> TestInspection.inches("24")
                        .addendum(AddendumKind.UNDERCUT_DEPTH, ".07")
                        .judge())
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("addenda[0].max");
        assertThat(TestInspection.inches("24")
                        .addendum(AddendumKind.UNDERCUT_DEPTH, "1/16")
                        .judge())
                .as("equal is allowed")
                .isNotNull();
    }

    /** Judging 100 shuffled or shifted looks: neither the order of entries nor the datum's place decides. */
    @Test
    void mirroringAWeldNeverChangesTheVerdict() {
        java.util.Random random = new java.util.Random(99);
        for (int round = 0; round < 300; round++) {
            TestInspection inspection = TestInspection.inches("24");
            TestInspection mirror = TestInspection.inches("24");
            for (int i = random.nextInt(5); i >= 0; i--) {
                int from = random.nextInt(44);
                int to = from + random.nextInt(5);
                String depth = List.of("1/64", "1/32", "3/64", "1/16").get(random.nextInt(4));
                Toe toe = random.nextBoolean() ? Toe.A : Toe.B;
                inspection.undercut(toe, from + "/2", to + "/2", depth);
                mirror.undercut(toe, (48 - to) + "/2", (48 - from) + "/2", depth);
                int at = random.nextInt(25);
                String leg = List.of("5/16", "9/32", "3/8").get(random.nextInt(3));
                inspection.legs(String.valueOf(at), leg, leg);
                mirror.legs(String.valueOf(24 - at), leg, leg);
            }
            assertThat(mirror.judge().findings().stream().map(Finding::verdict).toList())
                    .isEqualTo(inspection.judge().findings().stream()
                            .map(Finding::verdict)
                            .toList());
        }
    }
}
