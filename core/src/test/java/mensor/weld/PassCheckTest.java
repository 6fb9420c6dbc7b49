package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import mensor.cause.Fact;
import mensor.cause.Surroundings;
import mensor.length.Length;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Departures of recorded passes; rod ranges and prequalified limits (AWS D1.1 5.1, 7.1) from memory. */
class PassCheckTest {
    private static Pass pass(
            String rod, String diameter, double amps, Polarity polarity, Progression way, boolean planned) {
        return new Pass(
                OptionalInt.of(1),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.of(rod),
                Optional.of(Length.parse(diameter, Unit.INCH)),
                OptionalDouble.of(amps),
                OptionalDouble.empty(),
                Optional.ofNullable(polarity),
                Optional.ofNullable(way),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                planned);
    }

    private static WeldingRecord record(Map<PassKind, Range> procedure, double hoursOut, Pass... passes) {
        return new WeldingRecord(
                List.of(passes),
                Optional.empty(),
                OptionalDouble.of(hoursOut),
                OptionalDouble.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                procedure);
    }

    private static List<String> lines(Position position, WeldingRecord record) {
        return lines(position, record, Optional.empty());
    }

    private static LoggedPass plain(Pass p) {
        return new LoggedPass(
                p,
                OptionalDouble.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of());
    }

    private static List<String> lines(Position position, WeldingRecord record, Optional<Procedure> procedure) {
        List<LoggedPass> passes =
                record.passes().stream().map(PassCheckTest::plain).toList();
        return PassCheck.departures(passes, record, procedure, Optional.ofNullable(position)).stream()
                .map(PassCheck.Departure::line)
                .toList();
    }

    /** A maker prints on the box what his rods want; it goes before the general table (filler-metal annexes, from memory). */
    @ParameterizedTest
    @CsvSource({"100, 0", "89, 1", "150, 1"})
    void theBoxLabelGoesBeforeTheGeneralTable(double amps, int departures) {
        WeldingRecord record = record(Map.of(), 1, pass("E7018", "1/8", amps, Polarity.DCEP, null, false));
        List<LoggedPass> passes =
                record.passes().stream().map(PassCheckTest::plain).toList();
        assertThat(PassCheck.departures(
                        passes, record, Optional.empty(), Optional.empty(), p -> Optional.of(new Range(90, 140))))
                .hasSize(departures)
                .allMatch(d -> d.line().contains("the box label says 90–140 A"));
    }

    @ParameterizedTest
    @CsvSource({"89.9, 1", "90, 0", "115, 0", "165, 0", "165.1, 1"})
    void ampsAtUnderAndOverTheRodsRange(double amps, int departures) {
        Pass p = pass("E7018", "1/8", amps, Polarity.DCEP, null, false);
        assertThat(lines(Position.HORIZONTAL_FILLET, record(Map.of(), 1, p))).hasSize(departures);
    }

    @Test
    void theProceduresRangeGoesFirstAndBothAreSaid() {
        Pass p = pass("E7018", "1/8", 135, Polarity.DCEP, null, false);
        assertThat(lines(null, record(Map.of(PassKind.ROOT, new Range(115, 130)), 1, p)))
                .containsExactly("1/8 in E7018 at 135 A: the procedure says 115–130 A, the rod's range is 115–165 A");
    }

    @Test
    void aMetricRodIsCalledByItsInchName() {
        Pass cold = pass("E7018", "3.2mm", 80, Polarity.DCEP, null, false);
        assertThat(lines(null, record(Map.of(), 1, cold)))
                .containsExactly("3.2 mm E7018 at 80 A: the rod's range is 115–165 A");
    }

    @ParameterizedTest
    @CsvSource({
        "E7018, 5/32, VERTICAL_FILLET, 160, 0",
        "E7018, 3/16, VERTICAL_FILLET, 210, 1",
        "E7018, 4mm, OVERHEAD_FILLET, 160, 0",
        "E7018, 3/16, FLAT_FILLET, 210, 0",
        "E6010, 3/16, OVERHEAD_FILLET, 150, 0",
        "E6010, 5mm, OVERHEAD_FILLET, 150, 1"
    })
    void rodDiameterOutOfPosition(String rod, String diameter, Position position, double amps, int departures) {
        assertThat(lines(position, record(Map.of(), 1, pass(rod, diameter, amps, null, null, false))))
                .hasSize(departures);
    }

    @Test
    void polarityProgressionAndExposure() {
        Pass p = pass("E7018", "1/8", 125, Polarity.DCEN, Progression.DOWN, false);
        assertThat(lines(Position.VERTICAL_FILLET, record(Map.of(), 4.5, p)))
                .containsExactly(
                        "E7018 on DCEN: it is run on DCEP or AC",
                        "welded vertical down: a prequalified procedure goes up",
                        "low-hydrogen rods out 4.5 h; 4 h for E7018");
        assertThat(lines(
                        Position.HORIZONTAL_FILLET,
                        record(Map.of(), 4, pass("E7018", "1/8", 125, Polarity.AC, Progression.DOWN, false))))
                .isEmpty();
        assertThat(lines(null, record(Map.of(), 9, pass("E6010", "1/8", 100, Polarity.DCEP, null, false))))
                .as("not a low-hydrogen rod")
                .isEmpty();
    }

    @Test
    void whatIsPlannedIsOnlySaidToBe() {
        assertThat(lines(null, record(Map.of(), 1, pass("E7018", "1/8", 40, Polarity.DCEN, null, true))))
                .containsExactly("planned, not measured: no evidence");
    }

    /** 1/8 in E7018 root 110–130 A, 20–24 V, 4–6 in/min, up, stringers, preheat 150, interpass 400, beads 3 rods wide. */
    private static Procedure procedure() {
        ProcedurePass root = new ProcedurePass(
                PassKind.ROOT,
                WeldingProcess.SMAW,
                "E7018",
                Length.inches(1, 8),
                Optional.of(new Range(110, 130)),
                Optional.of(new Range(20, 24)),
                Optional.of(Polarity.DCEP),
                Optional.of(Technique.STRINGER),
                Optional.of(new Range(101.6, 152.4)),
                Optional.empty());
        return new Procedure(
                "W-12",
                "B",
                Unit.INCH,
                Set.of(WeldType.FILLET),
                Set.of(Connection.TEE, Connection.LAP),
                Optional.of(Length.inches(1, 8)),
                Optional.of(Length.inches(3, 4)),
                Set.of(Position.VERTICAL_FILLET),
                Optional.of(Progression.UP),
                Steel.A572_TYPE,
                OptionalDouble.of(150),
                OptionalDouble.of(400),
                OptionalDouble.of(3),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                List.of(root));
    }

    private static LoggedPass logged(
            double amps,
            double volts,
            double speed,
            double temperature,
            String width,
            Technique technique,
            String... planned) {
        Pass pass = new Pass(
                OptionalInt.of(1),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.of("E7018"),
                Optional.of(Length.inches(1, 8)),
                OptionalDouble.of(amps),
                OptionalDouble.of(volts),
                Optional.of(Polarity.DCEP),
                Optional.of(Progression.UP),
                Optional.of(technique),
                OptionalDouble.of(speed),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
        return new LoggedPass(
                pass,
                OptionalDouble.of(temperature),
                List.of(),
                List.of(),
                Optional.of(Length.parse(width, Unit.INCH)),
                Optional.of(true),
                Optional.empty(),
                Set.of(planned));
    }

    private static List<PassCheck.Departure> against(LoggedPass pass) {
        return PassCheck.departures(
                List.of(pass), WeldingRecord.NONE, Optional.of(procedure()), Optional.of(Position.VERTICAL_FILLET));
    }

    @ParameterizedTest
    @CsvSource({
        "110, 20, 101.6, 150, 3/8, ''",
        "130, 24, 152.4, 400, 3/8, ''",
        "109, 20, 110, 150, 1/4, procedure says 110–130 A",
        "131, 20, 110, 150, 1/4, procedure says 110–130 A",
        "120, 19.9, 110, 150, 1/4, volts 19.9 V; the procedure says 20–24 V",
        "120, 24.1, 110, 150, 1/4, volts 24.1 V; the procedure says 20–24 V",
        "120, 22, 90, 150, 1/4, travel 3.5 in/min; the procedure says 4–6 in/min",
        "120, 22, 110, 149, 1/4, preheat 149 °F; W-12 rev B requires at least 150 °F",
        "120, 22, 110, 401, 1/4, preheat 401 °F; W-12 rev B allows at most 400 °F",
        "120, 22, 110, 150, 25/64, bead 25/64 in wide; 3 × 1/8 in = 3/8 in at most"
    })
    void againstTheProcedureAtUnderAndOver(
            double amps, double volts, double speed, double temperature, String width, String line) {
        List<PassCheck.Departure> found = against(logged(amps, volts, speed, temperature, width, Technique.STRINGER));
        if (line.isEmpty()) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).singleElement().satisfies(d -> {
                assertThat(d.line()).contains(line);
                assertThat(d.fault()).isTrue();
            });
        }
    }

    @Test
    void aPlannedValueDepartsFromNothingAndIsSaidToBePlanned() {
        LoggedPass pass = logged(90, 22, 110, 150, "1/4", Technique.WEAVE, "amps", "technique");
        assertThat(against(pass)).singleElement().satisfies(d -> {
            assertThat(d.fault()).isFalse();
            assertThat(d.line()).isEqualTo("planned, not measured: amps, technique");
        });
        assertThat(pass.measured().amps()).isEmpty();
        assertThat(pass.measured().volts()).hasValue(22);
    }

    @Test
    void wovenWhereTheProcedureSaysStringers() {
        assertThat(against(logged(120, 22, 110, 150, "1/4", Technique.WEAVE)))
                .extracting(PassCheck.Departure::line)
                .containsExactly("woven; W-12 rev B says stringers");
    }

    @Test
    void anotherRodThanTheProcedures() {
        Pass p = pass("E6010", "5/32", 120, Polarity.DCEN, Progression.DOWN, false);
        assertThat(lines(Position.VERTICAL_FILLET, record(Map.of(), 1, p), Optional.of(procedure())))
                .containsExactly(
                        "E6010 used; W-12 rev B says E7018",
                        "5/32 in rod used; W-12 rev B says 1/8 in",
                        "DCEN used; W-12 rev B says DCEP",
                        "welded down; W-12 rev B says up");
    }

    /** 170 A on the display and 150 A at the arc are 13.3 % apart; the arc's 150 A are what is judged. */
    @Test
    void ampsAtTheArcStandForTheDisplay() {
        Pass shown = pass("E7018", "1/8", 170, Polarity.DCEP, null, false);
        PassDetail atArc = new PassDetail(
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.of(150),
                List.of(),
                List.of(),
                List.of());
        LoggedPass logged = new LoggedPass(
                shown,
                OptionalDouble.empty(),
                List.of(),
                List.of(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of(),
                atArc);
        assertThat(logged.measured().amps()).hasValue(150);
        assertThat(PassCheck.departures(
                        List.of(logged),
                        record(Map.of(), 1, shown),
                        Optional.empty(),
                        Optional.empty(),
                        p -> Optional.empty()))
                .as("170 A would be over the rod's 165, 150 at the arc are not; 13.3 % apart is said")
                .singleElement()
                .satisfies(d -> assertThat(d.line()).contains("13.3 % apart"));
    }

    /** The hottest pass of those that were read speaks for a plate too warm; the first is the preheat, a planned one was read by nobody. */
    @Test
    void aPlateWarmerThanAllowedBetweenPassesIsTold() {
        LoggedPass hot = logged(120, 22, 127, 480, "1/4", Technique.STRINGER);
        LoggedPass hotter = logged(120, 22, 127, 520, "1/4", Technique.STRINGER);
        LoggedPass planned = logged(120, 22, 127, 600, "1/4", Technique.STRINGER, "temperatureF");
        assertThat(Surroundings.warm(List.of(hot, hot, hotter, planned), Optional.of(procedure())))
                .hasValueSatisfying(r -> {
                    assertThat(r.fact()).isEqualTo(Fact.PLATE_WARM);
                    assertThat(r.words()).isEqualTo("interpass 520 °F before pass 3; W-12 rev B allows at most 400 °F");
                });
        assertThat(Surroundings.warm(List.of(hot), Optional.of(procedure()))).isEmpty();
        assertThat(Surroundings.warm(List.of(hot, planned), Optional.of(procedure())))
                .isEmpty();
        assertThat(Surroundings.warm(List.of(hot, hotter), Optional.empty())).isEmpty();
    }
}
