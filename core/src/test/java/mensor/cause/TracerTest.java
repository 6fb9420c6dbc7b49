package mensor.cause;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Slag;
import mensor.inspection.Undercut;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Range;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Scenarios of the shop's knowledge about causes: common practice, no source. */
class TracerTest {
    private static final Length QUARTER = Length.inches(1, 4);

    private static Indication undercut(Toe toe, int from, int to) {
        return new Undercut(
                toe, new Span(Length.inches(from), Length.inches(to)), Length.inches(1, 8), Optional.empty());
    }

    private static Indication slag() {
        return new Slag(new Span(Length.inches(10), Length.inches(12)), true);
    }

    private static Pass pass(double amps, boolean planned, Polarity polarity) {
        return new Pass(
                OptionalInt.of(1),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.of("E7018"),
                Optional.of(Length.inches(1, 8)),
                OptionalDouble.of(amps),
                OptionalDouble.empty(),
                Optional.of(polarity),
                Optional.empty(),
                Optional.of(Technique.STRINGER),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                planned);
    }

    private static WeldingRecord record(List<Pass> passes, List<Sign> signs) {
        return new WeldingRecord(
                passes,
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                signs,
                List.of(),
                Map.of(PassKind.ROOT, new Range(115, 130)));
    }

    private static List<CauseTrace> trace(WeldingRecord record, List<Reading> readings, Indication... seen) {
        Joint joint = new JointBuilder("T1", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .size(QUARTER)
                .position(Position.HORIZONTAL_FILLET)
                .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)))
                .build();
        Inspection i = new Inspection(
                joint,
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                readings,
                List.of(seen),
                List.of(),
                ReadingChoices.CAREFUL,
                record);
        return Tracer.trace(i, Judge.evaluate(i, new StaticBook()));
    }

    private static List<Reading> legs(int at, Length a, Length b) {
        return List.of(Reading.Station.legs(Length.inches(at), a, b));
    }

    @Test
    void undercutOfOneToeWithTheOtherLegLongerIsTheWorkAngle() {
        CauseTrace t = trace(WeldingRecord.NONE, legs(12, QUARTER, Length.inches(3, 8)), undercut(Toe.A, 11, 13))
                .get(0);
        assertThat(t.causes().get(0).cause()).isEqualTo(CauseClass.WORK_ANGLE);
        assertThat(t.causes().get(0).standing()).isEqualTo(Standing.LIKELY);
        assertThat(t.causes().get(0).speaksFor())
                .anyMatch(l -> l.contains("web toe only"))
                .anyMatch(l -> l.contains("1/4, the other 3/8"));
        assertThat(t.causes())
                .filteredOn(c -> c.cause() == CauseClass.CURRENT_HIGH)
                .first()
                .satisfies(c -> assertThat(c.speaksAgainst()).isNotEmpty());
    }

    @Test
    void withTheOwnLegLongerTheToeIsGougedByALongArc() {
        CauseTrace t = trace(WeldingRecord.NONE, legs(12, Length.inches(3, 8), QUARTER), undercut(Toe.A, 11, 13))
                .get(0);
        assertThat(t.causes().get(0).cause()).isIn(CauseClass.ARC_LONG, CauseClass.WORK_ANGLE);
        assertThat(t.causes())
                .filteredOn(c -> c.cause() == CauseClass.ARC_LONG)
                .first()
                .satisfies(c -> assertThat(c.speaksFor()).anyMatch(l -> l.contains("gouged")));
    }

    @Test
    void undercutOfBothToesIsNotTheWorkAngle() {
        List<CauseTrace> both = trace(WeldingRecord.NONE, List.of(), undercut(Toe.A, 11, 13), undercut(Toe.B, 11, 13));
        assertThat(both).hasSize(2);
        assertThat(both.get(0).causes().get(0).cause()).isNotEqualTo(CauseClass.WORK_ANGLE);
        assertThat(both.get(0).causes())
                .filteredOn(c -> c.cause() == CauseClass.WORK_ANGLE)
                .first()
                .satisfies(c -> assertThat(c.standing()).isEqualTo(Standing.UNLIKELY));
    }

    @Test
    void slagWithAColdPassLeadsToTheCurrentWithBothNumbers() {
        CauseTrace t = trace(record(List.of(pass(100, false, Polarity.DCEP)), List.of()), List.of(), slag())
                .get(0);
        assertThat(t.causes().get(0).cause()).isEqualTo(CauseClass.CURRENT_LOW);
        assertThat(t.causes().get(0).speaksFor())
                .contains("1/8 in E7018 at 100 A: the procedure says 115–130 A, the rod's range is 115–165 A");
        assertThat(t.ruledOut()).extracting(CauseTrace.RuledOut::cause).contains(CauseClass.CLEANLINESS);
    }

    @Test
    void plannedValuesAreNoEvidence() {
        WeldingRecord planned = record(List.of(pass(60, true, Polarity.AC)), List.of());
        WeldingRecord none = record(List.of(), List.of());
        assertThat(trace(planned, List.of(), slag())).isEqualTo(trace(none, List.of(), slag()));
    }

    @Test
    void withAlternatingCurrentArcBlowNeverLeads() {
        WeldingRecord ac = record(List.of(pass(120, false, Polarity.AC)), List.of(Sign.ONE_SIDED_SPATTER));
        CauseTrace t = trace(ac, List.of(), undercut(Toe.A, 0, 1)).get(0);
        assertThat(t.causes().get(0).cause()).isNotEqualTo(CauseClass.ARC_BLOW);
    }

    @Test
    void aCrackIsNeverPutDownToTheHandAlone() {
        CauseTrace t = trace(WeldingRecord.NONE, List.of(), new Crack(Span.at(Length.inches(5)), Optional.empty()))
                .get(0);
        assertThat(t.causes().get(0).cause()).isEqualTo(CauseClass.METALLURGY);
        assertThat(t.doubt()).anyMatch(d -> d.contains("never laid to the welder's hand"));
    }

    @Test
    void withoutAmpsAndSpeedNoSingleCauseIsTheOne() {
        CauseTrace t = trace(WeldingRecord.NONE, List.of(), slag()).get(0);
        assertThat(t.doubt()).anyMatch(d -> d.contains("Neither amps nor travel speed"));
        assertThat(t.next()).isPresent();
    }

    @ParameterizedTest
    @EnumSource(Sign.class)
    void aSignForACauseNeverLowersIt(Sign sign) {
        CauseTrace before =
                trace(WeldingRecord.NONE, List.of(), undercut(Toe.A, 11, 13)).get(0);
        CauseTrace after = trace(record(List.of(), List.of(sign)), List.of(), undercut(Toe.A, 11, 13))
                .get(0);
        for (CauseTable.Weight w : CauseTable.weights(sign)) {
            if (w.weight() > 0 && place(before, w.cause()) >= 0) {
                assertThat(place(after, w.cause())).isLessThanOrEqualTo(place(before, w.cause()));
            }
        }
    }

    private static int place(CauseTrace t, CauseClass c) {
        return t.causes().stream().map(CauseTrace.Cause::cause).toList().indexOf(c);
    }

    @Test
    void aReadingThatRejectsIsTracedToo() {
        List<CauseTrace> t = trace(WeldingRecord.NONE, legs(12, Length.inches(1, 8), Length.inches(1, 8)));
        assertThat(t).hasSize(1);
        assertThat(t.get(0).reading()).hasValue(0);
        assertThat(t.get(0).kind()).isEqualTo("undersize");
    }
}
