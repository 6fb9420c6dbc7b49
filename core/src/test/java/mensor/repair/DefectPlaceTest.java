package mensor.repair;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Undercut;
import mensor.judge.Judge;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;

/** One defect a place, and a plan for each as the contractor decided it. */
class DefectPlaceTest {
    private static final StaticBook BOOK = new StaticBook();

    private static Length in(String s) {
        return Length.parse(s, Unit.INCH);
    }

    private static Span span(String from, String to) {
        return new Span(in(from), in(to));
    }

    private static Inspection inspection(List<Reading> readings, Indication... seen) {
        Joint joint = new JointBuilder("R1", WeldType.FILLET, Connection.TEE, in("24"))
                .size(in("5/16"))
                .grade("A36")
                .members(new Member("web", in("3/8")), new Member("flange", in("3/4")))
                .build();
        return new Inspection(
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
                WeldingRecord.NONE);
    }

    private static List<Reading> legs(String... atAndLeg) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < atAndLeg.length; i += 2) {
            readings.add(Reading.Station.legs(in(atAndLeg[i]), in(atAndLeg[i + 1]), in(atAndLeg[i + 1])));
        }
        return readings;
    }

    @Test
    void lowStationsThatFollowEachOtherAreOnePlace() {
        Inspection inspection = inspection(legs("1", "1/8", "2", "1/8", "8", "5/16", "14", "1/8", "23", "5/16"));
        assertThat(DefectPlace.of(inspection, Judge.evaluate(inspection, BOOK)))
                .extracting(p -> p.span().map(Span::shown).orElse(""))
                .containsExactly("1–2", "14");
    }

    @Test
    void eachIndicationThatDecidesIsAPlaceOfItsOwn() {
        Inspection inspection = inspection(
                legs("1", "5/16"),
                new Slag(span("3", "4"), true),
                new Slag(span("9", "10"), true),
                new ShortWeld(in("1")),
                new Undercut(Toe.A, span("5", "6"), in("1/8"), Optional.empty()));
        assertThat(DefectPlace.of(inspection, Judge.evaluate(inspection, BOOK)))
                .extracting(DefectPlace::criterion)
                .containsExactly(Criterion.LENGTH, Criterion.UNDERCUT, Criterion.SLAG, Criterion.SLAG);
    }

    @Test
    void theContractorsChoiceChangesThePlan() {
        Inspection inspection =
                inspection(legs("1", "5/16"), new Undercut(Toe.A, span("5", "6"), in("1/8"), Optional.empty()));
        List<RepairPlan> usual = plans(inspection, Map.of());
        assertThat(usual.get(0).disposition()).isEqualTo(Disposition.ADD_METAL);
        RepairPlan blend = plans(inspection, Map.of(0, Disposition.BLEND)).get(0);
        assertThat(blend.numbers()).isEmpty();
        assertThat(blend.steps()).anyMatch(s -> s.contains("measure what is left"));
        RepairPlan whole = plans(inspection, Map.of(0, Disposition.REPLACE)).get(0);
        assertThat(whole.extent()).contains(span("0", "24"));
        RepairPlan asked =
                plans(inspection, Map.of(0, Disposition.ACCEPT_AS_IS)).get(0);
        assertThat(asked.steps()).hasSize(1);
    }

    /** The ends as they were found stand in the place of those that were seen: 2 in beyond 9 and 12. */
    @Test
    void theEndsThatWereFoundMoveTheExtent() {
        Inspection inspection = inspection(legs("1", "5/16"), new Crack(span("10", "11"), Optional.empty()));
        List<RepairPlan> plans = RepairPlanner.plan(
                inspection,
                Judge.evaluate(inspection, BOOK),
                Terms.NONE,
                RepairConstants.USUAL,
                new RepairPlanner.Known(Map.of(), Map.of(0, span("9", "12")), Map.of(), Optional.empty()));
        assertThat(plans.get(0).extent()).contains(span("7", "14"));
        assertThat(plans.get(0).steps().get(0)).contains("were found");
    }

    private static List<RepairPlan> plans(Inspection inspection, Map<Integer, Disposition> chosen) {
        return RepairPlanner.plan(
                inspection,
                Judge.evaluate(inspection, BOOK),
                Terms.NONE,
                RepairConstants.USUAL,
                new RepairPlanner.Known(Map.of(), Map.of(), chosen, Optional.empty()));
    }
}
