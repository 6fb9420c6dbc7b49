package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.plan.PlanRod;
import mensor.plan.SettingSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Prequalified limits and preheats: AWS D1.1 5.1 (3.6) and 5.8 (3.3), from memory, medium confidence. */
class ProcedureTest {
    private static ProcedurePass pass(PassKind kind, String rod, String diameter, String layer, Unit unit) {
        return new ProcedurePass(
                kind,
                WeldingProcess.SMAW,
                rod,
                Length.parse(diameter, unit),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                layer == null ? Optional.empty() : Optional.of(Length.parse(layer, unit)));
    }

    private static Procedure of(
            Steel steel,
            String thickest,
            Double preheat,
            Unit unit,
            Position position,
            Progression way,
            ProcedurePass... passes) {
        return new Procedure(
                "W-1",
                "0",
                unit,
                Set.of(WeldType.FILLET),
                Set.of(Connection.TEE, Connection.LAP),
                Optional.empty(),
                Optional.of(Length.parse(thickest, unit)),
                Set.of(position),
                Optional.ofNullable(way),
                steel,
                preheat == null ? OptionalDouble.empty() : OptionalDouble.of(preheat),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                false,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(passes));
    }

    private static List<String> fields(Procedure p) {
        return ProcedureCheck.breaches(p).stream()
                .map(ProcedureCheck.Breach::field)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "1F, 3/8, 0", "1F, 25/64, 1", "2F, 5/16, 0", "2F, 21/64, 1", "3F, 1/2, 0", "3F, 33/64, 1", "4F, 5/16, 0",
                "4F, 21/64, 1",
        "1F, 10mm, 0", "1F, 10.1mm, 1", "2F, 8mm, 0", "2F, 8.1mm, 1", "3F, 12mm, 0", "3F, 12.1mm, 1", "4F, 8mm, 0",
                "4F, 8.1mm, 1"
    })
    void singlePassSizeAtAndOverByPosition(String position, String size, int breaches) {
        Unit unit = size.endsWith("mm") ? Unit.MILLIMETRE : Unit.INCH;
        Position at = Named.find(Position.class, position).orElseThrow();
        Procedure p = of(
                Steel.A36_TYPE,
                unit.pick("1/2", "12"),
                60.0,
                unit,
                at,
                Progression.UP,
                pass(PassKind.ROOT, "E7018", "1/8 in", size, unit));
        assertThat(fields(p)).hasSize(breaches);
    }

    @ParameterizedTest
    @CsvSource({"3/16, 0", "13/64, 1", "5mm, 0", "5.1mm, 1"})
    void fillLayerAtAndOver(String layer, int breaches) {
        Unit unit = layer.endsWith("mm") ? Unit.MILLIMETRE : Unit.INCH;
        Procedure p = of(
                Steel.A36_TYPE,
                unit.pick("1/2", "12"),
                60.0,
                unit,
                Position.FLAT_FILLET,
                null,
                pass(PassKind.ROOT, "E7018", "1/8 in", null, unit),
                pass(PassKind.FILL, "E7018", "1/8 in", layer, unit));
        assertThat(fields(p)).hasSize(breaches);
        if (breaches > 0 && unit == Unit.INCH) {
            assertThat(ProcedureCheck.breaches(p).get(0).line())
                    .isEqualTo("fill layer 13/64 in − 3/16 in allowed = 1/64 in over");
        }
    }

    @ParameterizedTest
    @CsvSource({
        // steel, rod, thickness, least °F
        "a36-type, E6010, 3/4, 32",
        "a36-type, E6010, 49/64, 150",
        "a36-type, E6010, 1 1/2, 150",
        "a36-type, E6010, 1 33/64, 225",
        "a36-type, E6010, 2 1/2, 225",
        "a36-type, E6010, 2 33/64, 300",
        "a36-type, E7018, 3/4, 32",
        "a36-type, E7018, 49/64, 50",
        "a572-50-type, E7018, 1 1/2, 50",
        "a572-50-type, E7018, 1 33/64, 150",
        "a572-50-type, E7018, 2 1/2, 150",
        "a572-50-type, E7018, 2 33/64, 225",
        "higher-strength, E7018, 3/4, 50",
        "higher-strength, E7018, 1 1/2, 150",
        "higher-strength, E7018, 2 1/2, 225",
        "higher-strength, E7018, 3, 300"
    })
    void preheatAtAndUnder(String steel, String rod, String thickness, double least) {
        Steel s = Named.find(Steel.class, steel).orElseThrow();
        ProcedurePass pass = pass(PassKind.ROOT, rod, "1/8", null, Unit.INCH);
        assertThat(fields(of(s, thickness, least, Unit.INCH, Position.FLAT_FILLET, null, pass)))
                .isEmpty();
        assertThat(fields(of(s, thickness, least - 1, Unit.INCH, Position.FLAT_FILLET, null, pass)))
                .containsExactly("preheatF");
        if (least > 32) {
            assertThat(fields(of(s, thickness, null, Unit.INCH, Position.FLAT_FILLET, null, pass)))
                    .containsExactly("preheatF");
        }
    }

    @Test
    void anUnknownSteelIsAHoldAndNotANumber() {
        ProcedurePass pass = pass(PassKind.ROOT, "E7018", "1/8", null, Unit.INCH);
        assertThat(ProcedureCheck.breaches(of(Steel.UNKNOWN, "1", 300.0, Unit.INCH, Position.FLAT_FILLET, null, pass)))
                .singleElement()
                .satisfies(b -> assertThat(b.line()).contains("hold"));
        assertThat(MinimumPreheat.of(Steel.UNKNOWN, true, Length.inches(1))).isEmpty();
    }

    @Test
    void downhillThickRodsAndCellulosicRodsOnStrongerSteelAreBreaches() {
        Procedure p = of(
                Steel.A572_TYPE,
                "1/2",
                60.0,
                Unit.INCH,
                Position.VERTICAL_FILLET,
                Progression.DOWN,
                pass(PassKind.ROOT, "E6010", "7/32", null, Unit.INCH));
        assertThat(fields(p)).containsExactly("passes[0].diameter", "progression", "passes");
        Procedure fits = of(
                Steel.A36_TYPE,
                "1/2",
                60.0,
                Unit.INCH,
                Position.VERTICAL_FILLET,
                Progression.UP,
                pass(PassKind.ROOT, "E6010", "3/16", null, Unit.INCH));
        assertThat(fields(fits)).isEmpty();
    }

    @Test
    void ampsMayBeNarrowerThanTheRodsRangeButNotWider() {
        ProcedurePass p = pass(PassKind.ROOT, "E7018", "1/8", null, Unit.INCH);
        assertThat(p.ampsOrRods()).contains(new Range(115, 165));
        for (Range r : List.of(new Range(115, 165), new Range(120, 130))) {
            assertThat(fields(of(Steel.A36_TYPE, "1/2", 60.0, Unit.INCH, Position.FLAT_FILLET, null, amps(p, r))))
                    .isEmpty();
        }
        for (Range r : List.of(new Range(109, 165), new Range(115, 166))) {
            assertThat(fields(of(Steel.A36_TYPE, "1/2", 60.0, Unit.INCH, Position.FLAT_FILLET, null, amps(p, r))))
                    .containsExactly("passes[0].amps");
        }
    }

    /** No default passes for a reading: amps that the procedure does not state are the rod's, also in its plan. */
    @Test
    void aPlansSettingsSayWhatTheyRestOn() {
        ProcedurePass p = pass(PassKind.ROOT, "E7018", "1/8", null, Unit.INCH);
        assertThat(PlanRod.of(of(Steel.A36_TYPE, "1/2", 60.0, Unit.INCH, Position.FLAT_FILLET, null, p)))
                .extracting(PlanRod::ampsFrom)
                .containsExactly(SettingSource.ROD);
        assertThat(PlanRod.of(of(
                        Steel.A36_TYPE,
                        "1/2",
                        60.0,
                        Unit.INCH,
                        Position.FLAT_FILLET,
                        null,
                        amps(p, new Range(120, 130)))))
                .extracting(PlanRod::ampsFrom)
                .containsExactly(SettingSource.PROCEDURE);
    }

    private static ProcedurePass amps(ProcedurePass p, Range r) {
        return new ProcedurePass(
                p.kind(),
                p.process(),
                p.electrode(),
                p.diameter(),
                Optional.of(r),
                p.volts(),
                p.polarity(),
                p.technique(),
                p.travel(),
                p.layer());
    }

    @Test
    void whatItDoesNotCoverIsSaidWithBothNumbers() {
        Procedure p = of(
                Steel.A36_TYPE,
                "1/2",
                60.0,
                Unit.INCH,
                Position.HORIZONTAL_FILLET,
                null,
                pass(PassKind.ROOT, "E7018", "1/8", "1/4", Unit.INCH));
        Joint joint = new JointBuilder("FB-1", WeldType.FILLET, Connection.TEE, Length.inches(12))
                .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)))
                .size(Length.inches(5, 16))
                .position(Position.OVERHEAD_FILLET)
                .build();
        assertThat(ProcedureCover.gaps(p, joint))
                .containsExactly(
                        "3/4 in thick is over the 1/2 in that W-1 rev 0 ends at",
                        "position 4F is not among those of W-1 rev 0: 2F",
                        "W-1 rev 0 lays a single pass of at most 1/4 in; the size is 5/16 in");
        Joint corner = new JointBuilder("FB-2", WeldType.FILLET, Connection.CORNER, Length.inches(12))
                .corner(Corner.INSIDE)
                .members(new Member("web", Length.inches(3, 8)))
                .size(Length.inches(1, 4))
                .build();
        assertThat(ProcedureCover.gaps(p, corner)).containsExactly("W-1 rev 0 is not for a corner, but for: tee, lap");
    }

    @Test
    void whatCannotBeIsRefusedAtItsField() {
        ProcedurePass root = pass(PassKind.ROOT, "E7018", "1/8", null, Unit.INCH);
        assertThatThrownBy(() -> of(Steel.A36_TYPE, "1", 50.0, Unit.INCH, Position.FLAT_FILLET, null))
                .hasMessageContaining("passes");
        assertThatThrownBy(() -> of(Steel.A36_TYPE, "1", 50.0, Unit.INCH, Position.FLAT_FILLET, null, root, root))
                .hasMessageContaining("passes[1].kind");
        assertThatThrownBy(() -> new Range(90, 70)).isInstanceOf(InvalidField.class);
    }

    @ParameterizedTest
    @CsvSource({"1/4, 1/8", "17/64, 3/16", "1/2, 3/16", "33/64, 1/4", "3/4, 1/4", "49/64, 5/16"})
    void leastFilletByThickness(String thickness, String least) {
        assertThat(PassLimits.leastFillet(Length.parse(thickness, Unit.INCH), false, Unit.INCH))
                .isEqualByComparingTo(Length.parse(least, Unit.INCH));
    }

    @Test
    void theLeastFilletOfThinCyclicallyLoadedPartsIsGreater() {
        assertThat(PassLimits.leastFillet(Length.inches(1, 4), true, Unit.INCH))
                .isEqualByComparingTo(Length.inches(3, 16));
        assertThat(PassLimits.leastFillet(Length.millimetres("6"), true, Unit.MILLIMETRE))
                .isEqualByComparingTo(Length.millimetres("5"));
        assertThat(PassLimits.leastFillet(Length.inches(17, 64), true, Unit.INCH))
                .isEqualByComparingTo(Length.inches(3, 16));
    }
}
