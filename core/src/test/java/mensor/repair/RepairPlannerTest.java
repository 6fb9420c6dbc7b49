package mensor.repair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Stream;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Overlap;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Slag;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.judge.Terms;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Pass;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Repair plans: D1.1 7.25 (5.25) from memory, geometry by hand. */
class RepairPlannerTest {
    private static final StaticBook BOOK = new StaticBook();
    private static final Optional<Length> NONE = Optional.empty();

    private static Length in(String s) {
        return Length.parse(s, Unit.INCH);
    }

    private static Span span(String from, String to) {
        return new Span(in(from), in(to));
    }

    private static Inspection inspection(String grade, Indication... seen) {
        JointBuilder joint = new JointBuilder("R1", WeldType.FILLET, Connection.TEE, in("24"))
                .size(in("5/16"))
                .members(new Member("web", in("3/8")), new Member("flange", in("3/4")));
        if (grade != null && grade.endsWith(", thick")) {
            joint.members(new Member("web", in("1")), new Member("flange", in("1")));
        }
        if (grade != null) {
            joint.grade(grade.replace(", thick", ""));
        }
        return new Inspection(
                joint.build(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                true,
                List.of(),
                List.of(),
                List.of(seen),
                List.of(),
                ReadingChoices.CAREFUL,
                LAID);
    }

    /** Laid with 1/8 in E7018. */
    private static final WeldingRecord LAID = laid("E7018");

    private static WeldingRecord laid(String... rods) {
        List<Pass> passes = Stream.of(rods)
                .map(r -> new Pass(
                        OptionalInt.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(r),
                        Optional.of(Length.inches(1, 8)),
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        Optional.empty(),
                        OptionalDouble.empty(),
                        false))
                .toList();
        return WeldingRecord.NONE.with(passes, Map.of(), OptionalDouble.empty());
    }

    private static List<RepairPlan> plans(Inspection inspection, Map<Integer, Length> depths) {
        Evaluation e = Judge.evaluate(inspection, BOOK);
        return RepairPlanner.plan(inspection, e, Terms.NONE, RepairConstants.USUAL, RepairPlanner.Known.depths(depths));
    }

    private static RepairPlan plan(String grade, Indication... seen) {
        return plans(inspection(grade, seen), Map.of()).get(0);
    }

    private static Indication undercut(String from, String to, String depth) {
        return new Undercut(Toe.A, span(from, to), in(depth), NONE);
    }

    private static Indication crack(CrackPlace where, String from, String to) {
        return new Crack(span(from, to), Optional.of(where));
    }

    @Test
    void aCrackTakesTwoInchesBeyondEachEndAndStopsAtTheWeldsEnd() {
        RepairPlan p = plan("A36", crack(CrackPlace.WELD, "10", "11 1/2"));
        assertThat(p.extent()).contains(span("8", "13 1/2"));
        assertThat(p.disposition()).isEqualTo(Disposition.REMOVE_AND_REWELD);
        assertThat(p.steps().get(0)).contains("both ends by PT, MT");
        assertThat(p.steps()).anyMatch(s -> s.contains("8–13 1/2")).anyMatch(s -> s.contains("prove by MT or PT"));
        assertThat(p.numbers()).as("without a depth there is none").isEmpty();
        assertThat(p.steps()).anyMatch(s -> s.contains("depth must be found"));
        RepairPlan end = plan("A36", crack(CrackPlace.WELD, "1", "2"));
        assertThat(end.extent()).contains(span("0", "4"));
        assertThat(end.steps()).anyMatch(s -> s.contains("less where the weld ends"));
    }

    @Test
    void withItsDepthTheCavityTheMetalAndTheRodsFollow() {
        RepairPlan p = plans(inspection("A36", crack(CrackPlace.WELD, "10", "11 1/2")), Map.of(0, in("1/4")))
                .get(0);
        RepairPlan.Numbers n = p.numbers().orElseThrow();
        // 60°, root 1/4 in, 1/4 in deep: r(1 − sin 30°) = 1/8 in, the walls begin there
        Cavity cavity = new Cavity(6.35, 60, 6.35);
        assertThat(n.length()).isCloseTo(5.5 * 25.4, within(1e-6));
        assertThat(n.width()).isCloseTo(2 * 6.35 / Math.cos(Math.toRadians(30)), within(1e-6));
        assertThat(n.volume()).isCloseTo(cavity.area() * (5.5 * 25.4 + 3 * 6.35), within(1e-6));
        assertThat(n.grams()).isCloseTo(n.volume() * 7.85e-3, within(1e-9));
        RepairPlan.Rods rods = n.rods().orElseThrow();
        assertThat(rods.electrode()).isEqualTo("E7018");
        assertThat(rods.count()).as("20.5 g from each 1/8 in rod").isEqualTo((int) Math.ceil(n.grams() / 20.5));
        assertThat(rods.arcMinutes()).isCloseTo(rods.count() * 65 / 60.0, within(1e-9));
        assertThat(rods.workHours()).as("a quarter of the work is arc").isCloseTo(rods.arcMinutes() / 15, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"1/8, grind with a wheel", "1, carbon-arc gouge"})
    void muchMetalIsGouged(String depth, String way) {
        RepairPlan p = plans(inspection("A36", crack(CrackPlace.WELD, "10", "11")), Map.of(0, in(depth)))
                .get(0);
        assertThat(p.steps()).anyMatch(s -> s.startsWith(way));
    }

    @Test
    void unknownSteelIsAHoldAndNoNumber() {
        RepairPlan unknown = plan(null, crack(CrackPlace.WELD, "10", "11"));
        assertThat(unknown.preheat()).isEmpty();
        assertThat(unknown.holds()).anyMatch(h -> h.startsWith("preheat: the steel"));
        RepairPlan odd = plan("X-99", crack(CrackPlace.WELD, "10", "11"));
        assertThat(odd.holds()).anyMatch(h -> h.contains("X-99"));
        RepairPlan known = plan("A572-50", crack(CrackPlace.WELD, "10", "11"));
        assertThat(known.preheat()).hasValueSatisfying(h -> assertThat(h).contains("32 °F"));
        assertThat(known.holds()).noneMatch(h -> h.startsWith("preheat"));
    }

    @Test
    void baseMetalAndCracksWaitForTheEngineer() {
        assertThat(plan("A36", crack(CrackPlace.BASE, "10", "11")).holds()).anyMatch(h -> h.contains("base metal"));
        assertThat(plan("A36", crack(CrackPlace.WELD, "10", "11")).holds()).anyMatch(h -> h.contains("major"));
        assertThat(plan("A36", new Slag(span("4", "5"), true)).holds()).isEmpty();
    }

    @Test
    void undercutIsFilledAndABeadTooSmallForThePlateIsFlagged() {
        RepairPlan p = plan("A36", undercut("4", "9", "3/32"));
        assertThat(p.disposition()).isEqualTo(Disposition.ADD_METAL);
        assertThat(p.extent()).contains(span("3 1/2", "9 1/2"));
        assertThat(p.numbers().orElseThrow().depth()).isCloseTo(25.4 * 3 / 32, within(1e-6));
        assertThat(p.steps()).anyMatch(s -> s.contains("metal is not laid over a defect"));
        assertThat(p.steps()).anyMatch(s -> s.contains("at least 2 in [50 mm] to each side"));
        assertThat(p.steps()).noneMatch(s -> s.contains("smaller than the least fillet"));
        RepairPlan thick = plan("A36, thick", undercut("4", "9", "3/32"));
        assertThat(thick.steps()).anyMatch(s -> s.contains("smaller than the least fillet for the thickness, 5/16 in"));
    }

    @Test
    void undersizeIsBroughtUpByTheDifferenceOfTheTriangles() {
        RepairPlan p = plan("A36", new Undersize(span("4", "14"), in("1/8")));
        RepairPlan.Numbers n = p.numbers().orElseThrow();
        double wanted = 25.4 * 5 / 16;
        double is = 25.4 / 8;
        double oneBead = 20.5 / (7.85e-3 * 8 * 25.4);
        assertThat(n.area()).isCloseTo(Math.max((wanted * wanted - is * is) / 2, oneBead), within(1e-6));
        assertThat(n.length()).as("the portion, without its run-in").isCloseTo(254, within(1e-6));
    }

    @Test
    void excessIsDressedWithoutMetal() {
        RepairPlan p = plan("A36", new Overlap(Toe.B, span("4", "6"), NONE, NONE));
        assertThat(p.disposition()).isEqualTo(Disposition.BLEND);
        assertThat(p.numbers()).isEmpty();
        assertThat(p.steps()).anyMatch(s -> s.contains("measure what is left"));
    }

    /** 2 1/4 in over 1/32 in one 12 in window, 2 allowed: a quarter inch less suffices. */
    @Test
    void theLeastRepairIsTheExcessAndNotMore() {
        Inspection inspection = inspection(
                "A36",
                undercut("3", "4 1/2", "1/32"),
                undercut("11", "12 1/4", "3/64"),
                undercut("13 1/4", "14 1/4", "3/64"));
        Evaluation e = Judge.evaluate(inspection, BOOK);
        LeastRepair least = LeastRepair.of(
                        inspection, BOOK, Terms.NONE, e.rejected().get(0))
                .orElseThrow();
        assertThat(least.total()).isEqualTo(in("1/4"));
        assertThat(least.stretches()).containsExactly(span("13 1/4", "13 1/2"));
        assertThat(plans(inspection, Map.of()).get(0).least())
                .hasValueSatisfying(
                        l -> assertThat(l).isEqualTo("correcting 1/4 in at 13 1/4–13 1/2 suffices for undercut"));
    }

    @Test
    void ofTwoThatAreAlikeTheOneNearerTheDatumIsCorrected() {
        Inspection inspection = inspection("A36", undercut("9", "10 1/4", "3/64"), undercut("3", "4 1/4", "3/64"));
        Evaluation e = Judge.evaluate(inspection, BOOK);
        LeastRepair least = LeastRepair.of(
                        inspection, BOOK, Terms.NONE, e.rejected().get(0))
                .orElseThrow();
        assertThat(least.total()).isEqualTo(in("1/2"));
        assertThat(least.stretches()).containsExactly(span("3", "3 1/2"));
    }

    @Test
    void whatIsCorrectedClearsTheFindingAndALittleLessDoesNot() {
        Indication[] seen = {undercut("0", "2", "3/64"), undercut("5", "8", "3/64"), undercut("20", "23", "3/64")};
        Inspection inspection = inspection("A36", seen);
        Evaluation e = Judge.evaluate(inspection, BOOK);
        LeastRepair least = LeastRepair.of(
                        inspection, BOOK, Terms.NONE, e.rejected().get(0))
                .orElseThrow();
        assertThat(least.stretches()).hasSizeGreaterThan(1);
        assertThat(least.total()).isLessThan(in("8"));
        assertThat(verdict(inspection, least.stretches(), in("0"))).isNotEqualTo(Verdict.REJECT);
        assertThat(verdict(inspection, least.stretches(), in("1/16"))).isEqualTo(Verdict.REJECT);
    }

    /** The undercut's verdict with these stretches corrected, the last of them by so much less. */
    private static Verdict verdict(Inspection inspection, List<Span> corrected, Length less) {
        List<Indication> left = new java.util.ArrayList<>();
        for (Indication i : inspection.indications()) {
            Span s = i.span();
            Span cut = corrected.stream()
                    .filter(c -> s.contains(c.from()) && s.contains(c.to()))
                    .findFirst()
                    .orElse(null);
            if (cut == null) {
                left.add(i);
                continue;
            }
            boolean part = !cut.equals(s);
            Length from = part && cut.from().compareTo(s.from()) == 0 ? cut.to().minus(less) : s.from();
            Length to = part && cut.from().compareTo(s.from()) != 0 ? cut.from().plus(less) : s.to();
            if (part) {
                left.add(i.along(new Span(from, to)));
            }
        }
        return Judge.evaluate(inspection.with(List.of(), left), BOOK).findings().stream()
                .filter(f -> f.id().equals("undercut"))
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    @Test
    void aDepthBeyondAllAllowanceHasNoLesserRepair() {
        Inspection inspection = inspection("A36", undercut("4", "5", "1/8"));
        Evaluation e = Judge.evaluate(inspection, BOOK);
        assertThat(LeastRepair.of(inspection, BOOK, Terms.NONE, e.rejected().get(0)))
                .isEmpty();
    }

    @Test
    void constantsAreCheckedByName() {
        assertThat(RepairConstants.USUAL.with(Map.of("rootRadius", 3.0)).rootRadius())
                .isEqualTo(3);
        assertThatThrownBy(() -> RepairConstants.USUAL.with(Map.of("rootRadios", 3.0)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("is no constant");
        assertThatThrownBy(() -> RepairConstants.USUAL.with(Map.of("beyondCrack", 25.0)))
                .hasMessageContaining("2 in");
        assertThatThrownBy(() -> RepairConstants.USUAL.with(Map.of("density", 0.0)))
                .hasMessageContaining("over zero");
    }

    /** The repair of a quenched and tempered steel is no place for the shop's usual rod. */
    @ParameterizedTest
    @CsvSource({"A514, E11018-M", "A588, E8018-C3", "A36, E7018"})
    void aRepairKeepsTheRodOfTheWeld(String grade, String rod) {
        RepairPlan p = plans(
                        inspection(grade, crack(CrackPlace.WELD, "10", "11 1/2"))
                                .madeBy(laid(rod)),
                        Map.of(0, in("1/4")))
                .get(0);
        assertThat(p.steps().toString()).contains("weld with " + rod);
        assertThat(p.numbers().orElseThrow().rods().orElseThrow().electrode()).isEqualTo(rod);
    }

    @Test
    void aRodThatNobodyRecordedOrKnowsHolds() {
        Inspection nobody =
                inspection("A36", crack(CrackPlace.WELD, "10", "11 1/2")).madeBy(WeldingRecord.NONE);
        RepairPlan p = plans(nobody, Map.of(0, in("1/4"))).get(0);
        assertThat(p.holds().toString()).contains("procedure");
        assertThat(p.numbers().orElseThrow().rods()).as("none is counted").isEmpty();
        assertThat(p.numbers().orElseThrow().grams()).isPositive();
        Inspection odd =
                inspection("A36", crack(CrackPlace.WELD, "10", "11 1/2")).madeBy(laid("E7099"));
        assertThat(plans(odd, Map.of()).get(0).holds().toString()).contains("E7099");
    }

    /** Grinding alone warms nothing up and waits for no steel. */
    @Test
    void aStrikeThatIsGroundWaitsForNoPreheat() {
        RepairPlan p = plan(null, new mensor.inspection.ArcStrike(in("12"), Optional.empty(), Optional.empty()));
        assertThat(p.preheat()).isEmpty();
        assertThat(p.holds()).noneMatch(h -> h.contains("preheat"));
    }
}
