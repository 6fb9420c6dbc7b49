package mensor.scan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Stretch;
import org.junit.jupiter.api.Test;

/** From profiles to stations and stretches, along made-up fillets of known truth. */
class WeldScanTest {
    private static final double SPACING = 0.5;

    private static WeldScan.Result scanned(
            double length, double size, DoubleFunction<SimulatedFillet> at, double holeFrom, double holeTo) {
        WeldScan scan = new WeldScan(new WeldScan.Wanted(true, 25, 0.1, OptionalDouble.of(size), length, 0.005));
        for (int i = 0; i * SPACING <= length; i++) {
            double s = i * SPACING;
            if (s <= holeFrom || s >= holeTo) {
                scan.add(at.apply(s).profile(s, i));
            }
        }
        return scan.result();
    }

    /** A face that bulges far over its toes, as one that has run over: it is measured, and said that height alone does not tell. */
    @Test
    void aFaceThatStandsSteepOverItsToesIsNoted() {
        WeldScan.Result steep = scanned(
                30,
                5,
                s -> {
                    SimulatedFillet w = new SimulatedFillet();
                    w.bulge = 4.6;
                    return w;
                },
                99,
                99);
        assertThat(steep.notes()).anyMatch(n -> n.contains("an overlap there cannot be seen by height"));
        assertThat(scanned(30, 5, s -> new SimulatedFillet(), 99, 99).notes()).isEmpty();
    }

    private static SimulatedFillet undercutBetween(double s, double from, double to, double depth) {
        SimulatedFillet w = new SimulatedFillet();
        w.undercutA = s >= from && s <= to ? depth : 0;
        return w;
    }

    @Test
    void anUndercutStretchHasItsEndsAndDepth() {
        WeldScan.Result r = scanned(60, 7, s -> undercutBetween(s, 20, 32, 0.6), 99, 99);
        assertThat(r.stretches()).singleElement().satisfies(u -> {
            assertThat(u.quantity()).isEqualTo(Quantity.UNDERCUT_A);
            assertThat(u.from()).isCloseTo(20, within(1.0));
            assertThat(u.to()).isCloseTo(32, within(1.0));
            assertThat(u.worst()).isCloseTo(0.6, within(0.06));
        });
        assertThat(r.holes()).isEmpty();
        assertThat(r.stations()).hasSize(3);
        assertThat(r.stations().get(1).value(Quantity.UNDERCUT_A).orElseThrow()).isCloseTo(0.6, within(0.06));
    }

    /** A profile with a notch that its neighbors do not have counts for nothing; three of them count in full. */
    @Test
    void aLoneWildProfileIsNothingAndThreeAreAPlace() {
        assertThat(scanned(40, 7, s -> undercutBetween(s, 20, 20, 0.8), 99, 99).stretches())
                .isEmpty();
        assertThat(scanned(40, 7, s -> undercutBetween(s, 20, 21, 0.8), 99, 99).stretches())
                .singleElement()
                .satisfies(u -> assertThat(u.worst()).isCloseTo(0.8, within(0.06)));
    }

    @Test
    void whatLiesNearerThanAMillimeterIsOneStretch() {
        assertThat(scanned(
                                60,
                                7,
                                s -> s > 30 && s < 31 ? undercutBetween(s, 0, 0, 0) : undercutBetween(s, 24, 36, 0.5),
                                99,
                                99)
                        .stretches())
                .hasSize(1);
        assertThat(scanned(
                                60,
                                7,
                                s -> s > 30 && s < 34 ? undercutBetween(s, 0, 0, 0) : undercutBetween(s, 24, 40, 0.5),
                                99,
                                99)
                        .stretches())
                .hasSize(2);
    }

    @Test
    void aLegUnderTheSizeIsAnUndersizeStretch() {
        WeldScan.Result r = scanned(
                60,
                7.5,
                s -> {
                    SimulatedFillet w = new SimulatedFillet();
                    w.legB = s > 40 && s < 50 ? 6 : 8;
                    return w;
                },
                99,
                99);
        Stretch under = r.stretches().get(0);
        assertThat(under.quantity()).isEqualTo(Quantity.SIZE);
        assertThat(under.from()).isCloseTo(40, within(1.0));
        assertThat(under.worst()).isCloseTo(6, within(0.1));
    }

    @Test
    void aHoleIsSaidAndAScanOfPartOfTheWeldToo() {
        WeldScan.Result r = scanned(60, 7, s -> new SimulatedFillet(), 20, 30);
        assertThat(r.covered()).hasSize(2);
        assertThat(r.holes()).singleElement().satisfies(h -> {
            assertThat(h.from()).isCloseTo(20, within(0.6));
            assertThat(h.to()).isCloseTo(30, within(0.6));
        });
        assertThat(scanned(60, 7, s -> new SimulatedFillet(), 40, 99).holes()).hasSize(1);
    }
}
