package mensor.repair;

import static mensor.repair.RepairState.CAVITY_ACCEPTED;
import static mensor.repair.RepairState.CLOSED;
import static mensor.repair.RepairState.EXCAVATED;
import static mensor.repair.RepairState.EXTENT_KNOWN;
import static mensor.repair.RepairState.OPEN;
import static mensor.repair.RepairState.READY;
import static mensor.repair.RepairState.WELDED;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.inspection.ArcStrike;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.DrawingFault;
import mensor.inspection.Indication;
import mensor.inspection.NotAsDrawn;
import mensor.inspection.Slag;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The order of a repair, what each step wants, and who must be asked: AWS D1.1 7.25 (5.25), from memory; the rest common practice. */
class RepairStateTest {
    private static Length in(String s) {
        return Length.parse(s, Unit.INCH);
    }

    private static Span span(String from, String to) {
        return new Span(in(from), in(to));
    }

    private static JointBuilder tee() {
        return new JointBuilder("R1", WeldType.FILLET, Connection.TEE, in("24"))
                .size(in("5/16"))
                .grade("A572-50")
                .members(new Member("web", in("1")), new Member("flange", in("1")));
    }

    private static Optional<Indication> crack(CrackPlace where) {
        return Optional.of(new Crack(span("10", "11"), Optional.of(where)));
    }

    private static RepairWork.Place crackIn(Joint joint) {
        return new RepairWork.Place(
                joint,
                crack(CrackPlace.WELD),
                Optional.of(span("10", "11")),
                Disposition.REMOVE_AND_REWELD,
                Optional.of(span("9-1/2", "11-1/4")));
    }

    /** A step with everything that any step wants, some of it changed. */
    private static final class Filled {
        private Optional<Span> span = Optional.of(span("7", "14"));
        private Optional<String> foundBy = Optional.of("MT");
        private Optional<RemovalMethod> method = Optional.of(RemovalMethod.WHEEL);
        private Optional<Length> depth = Optional.of(in("1/4"));
        private Optional<Boolean> clean = Optional.of(true);
        private Optional<String> proof = Optional.of("MT");
        private Optional<String> report = Optional.of("MT 12");
        private Optional<Length> left = Optional.of(in("1"));
        private Optional<BigDecimal> preheat = Optional.of(new BigDecimal("80"));
        private Optional<String> welder = Optional.of("W3");
        private Optional<Boolean> cooled = Optional.of(true);

        RepairWork.Step step() {
            return new RepairWork.Step(
                    span,
                    foundBy,
                    method,
                    depth,
                    clean,
                    Optional.of("Ines"),
                    proof,
                    report,
                    left,
                    preheat,
                    false,
                    Optional.of("E7018"),
                    Optional.of(in("1/8")),
                    Optional.of(4),
                    welder,
                    Optional.of(true),
                    cooled);
        }
    }

    private static List<String> fields(RepairState to, RepairWork.Step step, RepairWork.Place place) {
        return RepairWork.problems(to, step, place).stream()
                .map(InvalidField::field)
                .toList();
    }

    @ParameterizedTest
    @EnumSource(Disposition.class)
    void aRouteIsWalkedStepByStepAndEndsWhereAInspectionOrADocumentDecides(Disposition d) {
        List<RepairState> walked = new ArrayList<>(List.of(OPEN));
        Optional<RepairState> next = OPEN.next(d);
        while (next.isPresent()) {
            walked.add(next.get());
            next = next.get().next(d);
        }
        List<RepairState> wanted = switch (d) {
            case REMOVE_AND_REWELD, REPLACE, ADD_METAL, WELD_AS_DRAWN ->
                List.of(OPEN, EXTENT_KNOWN, EXCAVATED, CAVITY_ACCEPTED, WELDED, READY);
            case BLEND, TAKE_OFF -> List.of(OPEN, EXTENT_KNOWN, EXCAVATED, CAVITY_ACCEPTED, READY);
            default -> List.of(OPEN);
        };
        assertThat(walked).isEqualTo(wanted);
        assertThat(CLOSED.next(d)).isEmpty();
    }

    @Test
    void eachStepThatHasAllItWantsIsTaken() {
        RepairWork.Place place = crackIn(tee().build());
        for (RepairState to : List.of(EXTENT_KNOWN, EXCAVATED, CAVITY_ACCEPTED, WELDED, READY)) {
            assertThat(RepairWork.problems(to, new Filled().step(), place)).isEmpty();
            assertThat(RepairWork.warnings(to, new Filled().step(), place)).isEmpty();
        }
    }

    @Test
    void aCrackIsFoundByTestTakenOutWithTwoInchesMoreAndProvenGone() {
        RepairWork.Place place = crackIn(tee().build());
        Filled byEye = new Filled();
        byEye.foundBy = Optional.of("VT");
        assertThat(fields(EXTENT_KNOWN, byEye.step(), place)).containsExactly("foundBy");

        Filled exact = new Filled();
        exact.span = Optional.of(span("7-1/2", "13-1/4")); // 9 1/2 and 11 1/4 with 2 in beyond each
        assertThat(fields(EXCAVATED, exact.step(), place)).isEmpty();
        exact.span = Optional.of(span("7-1/2", "13-3/16"));
        assertThat(RepairWork.problems(EXCAVATED, exact.step(), place))
                .singleElement()
                .matches(p -> p.problem().contains("7 1/2–13 1/4"));

        Filled unproven = new Filled();
        unproven.proof = Optional.empty();
        unproven.report = Optional.of(" ");
        assertThat(fields(CAVITY_ACCEPTED, unproven.step(), place)).containsExactly("proof", "proofReport");
    }

    @Test
    void atTheWeldsEndTheTwoInchesStopWithIt() {
        RepairWork.Place place = new RepairWork.Place(
                tee().build(),
                Optional.of(new Crack(span("0", "1"), Optional.empty())),
                Optional.of(span("0", "1")),
                Disposition.REMOVE_AND_REWELD,
                Optional.of(span("0", "1")));
        Filled step = new Filled();
        step.span = Optional.of(span("0", "3"));
        assertThat(fields(EXCAVATED, step.step(), place)).isEmpty();
    }

    @Test
    void theWrongEndIsRefusedWithBothPlaces() {
        Filled other = new Filled();
        other.span = Optional.of(span("20", "22"));
        assertThat(RepairWork.problems(EXTENT_KNOWN, other.step(), crackIn(tee().build())))
                .singleElement()
                .matches(p -> p.problem().contains("10–11") && p.problem().contains("20–22"));
        Filled beyond = new Filled();
        beyond.span = Optional.of(span("9", "25"));
        assertThat(fields(EXTENT_KNOWN, beyond.step(), crackIn(tee().build()))).containsExactly("to");
    }

    @Test
    void aCavityThatIsNotCleanIsNotAccepted() {
        Filled dirty = new Filled();
        dirty.clean = Optional.of(false);
        assertThat(fields(CAVITY_ACCEPTED, dirty.step(), crackIn(tee().build())))
                .containsExactly("clean");
    }

    @Test
    void oxygenIsNotUsedOnQuenchedAndTemperedSteel() {
        Filled oxygen = new Filled();
        oxygen.method = Optional.of(RemovalMethod.OXYGEN);
        assertThat(fields(EXCAVATED, oxygen.step(), crackIn(tee().delayed(true).build())))
                .containsExactly("method");
        assertThat(fields(EXCAVATED, oxygen.step(), crackIn(tee().build()))).isEmpty();
    }

    /** 1 in of A572-50 with E7018: 50 °F at least (D1.1 5.8, from memory). */
    @ParameterizedTest
    @CsvSource({"50, 0", "49, 1"})
    void aColdPreheatIsKeptAndSaid(String read, int warnings) {
        Filled cold = new Filled();
        cold.preheat = Optional.of(new BigDecimal(read));
        assertThat(fields(WELDED, cold.step(), crackIn(tee().build()))).isEmpty();
        assertThat(RepairWork.warnings(WELDED, cold.step(), crackIn(tee().build())))
                .hasSize(warnings);
    }

    /** At most 1/32 in and 5% of 1 in: 31/32 in may be left. */
    @ParameterizedTest
    @CsvSource({"31/32, 0", "61/64, 1"})
    void whatWasGroundIntoThePlateIsSaid(String left, int warnings) {
        RepairWork.Place blend = new RepairWork.Place(
                tee().build(),
                Optional.of(new ArcStrike(in("10"), Optional.empty(), Optional.empty())),
                Optional.of(span("10", "10")),
                Disposition.BLEND,
                Optional.empty());
        Filled ground = new Filled();
        ground.left = Optional.of(in(left));
        assertThat(RepairWork.warnings(CAVITY_ACCEPTED, ground.step(), blend)).hasSize(warnings);
        ground.left = Optional.empty();
        assertThat(fields(CAVITY_ACCEPTED, ground.step(), blend)).containsExactly("left");
    }

    private static Set<HoldKind> holds(
            Optional<Indication> seen, Disposition decided, boolean steel, int cycle, HoldKind... byContract) {
        return HoldKind.of(new HoldKind.Facts(
                seen, false, steel, true, true, Optional.ofNullable(decided), true, cycle, 2, Set.of(byContract)));
    }

    @Test
    void whatWaitsForTheEngineer() {
        Optional<Indication> slag = Optional.of(new Slag(span("1", "2"), true));
        Optional<Indication> moved = Optional.of(new NotAsDrawn(DrawingFault.WRONG_PLACE, Optional.empty()));
        assertThat(holds(slag, Disposition.REMOVE_AND_REWELD, true, 1)).isEmpty();
        assertThat(holds(slag, Disposition.REMOVE_AND_REWELD, false, 1)).containsExactly(HoldKind.STEEL);
        assertThat(holds(slag, null, false, 1)).isEmpty();
        assertThat(holds(slag, Disposition.BLEND, false, 1)).isEmpty();
        assertThat(holds(slag, Disposition.REMOVE_AND_REWELD, true, 2)).isEmpty();
        assertThat(holds(slag, Disposition.REMOVE_AND_REWELD, true, 3)).containsExactly(HoldKind.REPAIR_LIMIT);
        assertThat(holds(crack(CrackPlace.BASE), null, true, 1))
                .containsExactly(HoldKind.BASE_METAL, HoldKind.MAJOR_CRACK);
        assertThat(holds(moved, Disposition.REMOVE_AND_REWELD, true, 1)).containsExactly(HoldKind.CHANGED_DESIGN);
        assertThat(holds(crack(CrackPlace.WELD), Disposition.ACCEPT_AS_IS, false, 5))
                .containsExactly(HoldKind.ACCEPT_AS_IS);
        assertThat(holds(slag, Disposition.REFER, true, 1)).containsExactly(HoldKind.REFERRED);
        assertThat(holds(slag, Disposition.REPLACE, true, 1)).isEmpty();
        assertThat(holds(slag, Disposition.REPLACE, true, 1, HoldKind.REPLACE, HoldKind.CUTTING_APART))
                .containsExactly(HoldKind.REPLACE, HoldKind.CUTTING_APART);
        assertThat(HoldKind.of(new HoldKind.Facts(
                        crack(CrackPlace.WELD), true, true, true, true, Optional.empty(), false, 1, 2, Set.of())))
                .containsExactly(HoldKind.MAJOR_CRACK, HoldKind.DELAYED_CRACK);
    }

    @Test
    void aHoldStopsTheExcavationNotTheSearchForTheEnds() {
        assertThat(HoldKind.MAJOR_CRACK.stops(EXTENT_KNOWN)).isFalse();
        assertThat(HoldKind.MAJOR_CRACK.stops(EXCAVATED)).isTrue();
        assertThat(HoldKind.STEEL.stops(CAVITY_ACCEPTED)).isFalse();
        assertThat(HoldKind.STEEL.stops(WELDED)).isTrue();
        assertThat(HoldKind.ACCEPT_AS_IS.stops(CLOSED)).isTrue();
    }
}
