package mensor.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import mensor.scan.ScanSection.ScanPoint;
import mensor.scan.SimulatedWeld.Flaw;
import mensor.scan.SimulatedWeld.FlawKind;
import mensor.scan.WeldScan.Quantity;
import org.junit.jupiter.api.Test;

/** Two scans of made-up welds of known truth; and one profile drawn as a section. */
class ScanComparisonTest {
    private static SimulatedWeld weld(Flaw... flaws) {
        return new SimulatedWeld(true, 60, 0.5, 8, 8, 0, 0.4, 0, 0, 0.02, 10, List.of(flaws), 5);
    }

    private static WeldScan.Track scanned(SimulatedWeld w, long again) {
        WeldScan scan = new WeldScan(new WeldScan.Wanted(true, 25, 0.1, OptionalDouble.empty(), w.length(), 0.005));
        for (int i = 0; i < w.profiles(); i++) {
            scan.add(w.profile(i, again));
        }
        return scan.result().track();
    }

    @Test
    void twoPassesOfOneScannerRepeatWithinWhatTheyState() {
        ScanComparison c = ScanComparison.of(scanned(weld(), 0), scanned(weld(), 1));
        assertThat(c.both()).isCloseTo(60, within(1.0));
        assertThat(c.lines()).extracting(ScanComparison.Line::quantity).contains(Quantity.LEG_A, Quantity.THROAT);
        assertThat(c.lines()).allMatch(l -> Math.abs(l.mean()) < 0.05);
        assertThat(c.lines().stream()
                        .filter(l -> l.quantity() == Quantity.THROAT)
                        .findFirst()
                        .orElseThrow()
                        .beyond())
                .isLessThan(0.15);
        assertThat(c.changed()).isEmpty();
    }

    /** Legs 1 mm shorter along 20 mm: of a right corner the triangle loses (8² − 7²) ÷ 2 mm², by plane geometry. */
    @Test
    void whatARepairPutOnIsTheVolumeThatWasMissing() {
        SimulatedWeld low = weld(new Flaw(FlawKind.SHORT_LEGS, 20, 40, 1));
        ScanComparison c = ScanComparison.of(scanned(low, 0), scanned(weld(), 1));
        double missing = (8 * 8 - 7 * 7) / 2.0 * (20 - 1.5); // its ends slope over 1.5 mm
        assertThat(c.putOn()).isCloseTo(missing, within(0.12 * missing));
        assertThat(c.takenOff()).isLessThan(0.1 * missing);
        assertThat(c.changed()).hasSize(1);
        assertThat(c.changed().get(0).from()).isCloseTo(20, within(2.0));
        assertThat(c.changed().get(0).to()).isCloseTo(40, within(2.0));
        ScanComparison back = ScanComparison.of(scanned(weld(), 0), scanned(low, 1));
        assertThat(back.takenOff()).isCloseTo(missing, within(0.12 * missing));
    }

    @Test
    void aReadingByHandIsHeldAgainstTheScanByBothUncertainties() {
        WeldScan.Track track = scanned(weld(), 0);
        double u = 0.4 / Math.sqrt(12); // a division of 1/64 in
        List<HandReading.Against> all = HandReading.against(
                List.of(
                        new HandReading(Quantity.LEG_A, 20, 8.15, u),
                        new HandReading(Quantity.LEG_A, 40, 8.6, u),
                        new HandReading(Quantity.REINFORCEMENT, 40, 1, u),
                        new HandReading(Quantity.LEG_B, 400, 8, u)),
                track);
        assertThat(all).as("only what was scanned").hasSize(2);
        assertThat(all.get(0).isBeyond()).isFalse();
        assertThat(all.get(1).isBeyond()).isTrue();
        assertThat(all.get(1).difference()).isCloseTo(-0.6, within(0.12));
        assertThat(all.get(1).allowed()).isCloseTo(2 * u, within(0.15));
    }

    @Test
    void placesThatOneAloneMeasuredDoNotCount() {
        ScanComparison c = ScanComparison.of(scanned(weld(new Flaw(FlawKind.HOLE, 10, 30, 1)), 0), scanned(weld(), 1));
        assertThat(c.both()).isCloseTo(40, within(2.5));
    }

    @Test
    void aProfileIsDrawnWithItsRootInTheCorner() {
        ScanSection s =
                ScanSection.of(weld(new Flaw(FlawKind.UNDERCUT_B, 0, 60, 0.8)).profile(60, 0), true, 0.005);
        assertThat(s.why()).isEmpty();
        assertThat(s.lines().get(1).get(0)).isEqualTo(new ScanPoint(0, 0));
        assertThat(s.toes().get(1).x()).isCloseTo(8, within(0.2));
        assertThat(s.toes().get(1).y()).isCloseTo(0, within(0.05));
        assertThat(s.toes().get(0).y()).isCloseTo(8, within(0.2));
        assertThat(s.undercuts()).hasSize(1);
        assertThat(s.undercuts().get(0).a()).isFalse();
        assertThat(s.undercuts().get(0).deepest().y()).isCloseTo(-0.8, within(0.12));
        assertThat(ScanSection.of(weld(new Flaw(FlawKind.HOLE, 0, 60, 1)).profile(60, 0), true, 0)
                        .why())
                .contains("fewer than");
    }
}
