package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
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

    private static WeldingRecord record(Map<PassKind, double[]> procedure, double hoursOut, Pass... passes) {
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
        return PassCheck.departures(record, Optional.ofNullable(position)).stream()
                .map(PassCheck.Departure::line)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"114.9, 1", "115, 0", "165, 0", "165.1, 1"})
    void ampsAtUnderAndOverTheRodsRange(double amps, int departures) {
        Pass p = pass("E7018", "1/8", amps, Polarity.DCEP, null, false);
        assertThat(lines(Position.HORIZONTAL_FILLET, record(Map.of(), 1, p))).hasSize(departures);
    }

    @Test
    void theProceduresRangeGoesFirstAndBothAreSaid() {
        Pass p = pass("E7018", "1/8", 135, Polarity.DCEP, null, false);
        assertThat(lines(null, record(Map.of(PassKind.ROOT, new double[] {115, 130}), 1, p)))
                .containsExactly("1/8 in E7018 at 135 A: the procedure says 115–130 A, the rod's range is 115–165 A");
    }

    @Test
    void aMetricRodIsCalledByItsInchName() {
        Pass cold = pass("E7018", "3.2mm", 100, Polarity.DCEP, null, false);
        assertThat(lines(null, record(Map.of(), 1, cold)))
                .containsExactly("3.2 mm E7018 at 100 A: the rod's range is 115–165 A");
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
                        "low-hydrogen rods out 4.5 h; 4 h for E70");
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
}
