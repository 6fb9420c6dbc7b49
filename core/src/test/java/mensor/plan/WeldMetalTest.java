package mensor.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeldMetalTest {
    private static final double INCH = 25.4;

    /** Weld metal of a flat 45° fillet, steel 0.283 lb/in³, lb per ft: tables of the welding handbooks, recalled and recomputed. */
    @ParameterizedTest
    @CsvSource({
        "0.125, .027",
        "0.1875, .060",
        "0.25, .106",
        "0.3125, .166",
        "0.375, .239",
        "0.5, .425",
        "0.625, .663",
        "0.75, .955",
        "1, 1.698"
    })
    void filletMetalByTheHandbooks(double leg, double poundsPerFoot) {
        double area = WeldMetal.fillet(leg * INCH, leg * INCH, 90);
        double pounds = WeldMetal.pounds(WeldMetal.grams(area, 12 * INCH, WeldMetal.HANDBOOK_DENSITY));
        assertThat(pounds).isCloseTo(poundsPerFoot, within(.0005 + 1e-9));
    }

    @Test
    void theTwoDensitiesAreTwoThousandthsApart() {
        assertThat(WeldMetal.DENSITY / WeldMetal.HANDBOOK_DENSITY).isCloseTo(1.002, within(.0005));
    }

    /** Heat input by the welding handbooks, AWS D1.1 and ASME IX: 120 A, 23 V, 5 in/min is 33.1 kJ/in. */
    @Test
    void heatInputByTheHandbooks() {
        HeatInput heat = HeatInput.of(23, 120, 5 * INCH);
        assertThat(heat.kilojoulesPerInch()).isCloseTo(33.1, within(.05));
        assertThat(heat.kilojoulesPerMillimetre()).isCloseTo(33.12 / INCH, within(1e-9));
        assertThat(heat.en()).isCloseTo(33.12 / INCH * .8, within(1e-9)); // EN 1011-1: efficiency of stick 0.8
    }

    @Test
    void aSkewedFilletIsTheTriangleBetweenItsLegs() {
        assertThat(WeldMetal.fillet(10, 10, 60)).isCloseTo(Math.sqrt(3) / 4 * 100, within(1e-9)); // equilateral
        assertThat(WeldMetal.chord(10, 10, 60)).isCloseTo(10, within(1e-9));
        assertThat(WeldMetal.chord(3, 4, 90)).isCloseTo(5, within(1e-12)); // 3-4-5
    }

    /** g·t + (t − f)²·tan(α/2), against the trapezium summed by hand. */
    @Test
    void aSingleVIsAStripAndTwoTriangles() {
        WeldMetal.Groove v = WeldMetal.Groove.singleV(10, 2, 3, 60);
        assertThat(v.area()).isCloseTo(3 * 10 + 8 * 8 * Math.tan(Math.PI / 6), within(1e-9));
        assertThat(v.widthAt(10)).isCloseTo(3 + 2 * 8 * Math.tan(Math.PI / 6), within(1e-9));
        double summed = 0;
        for (int i = 0; i < 100_000; i++) {
            summed += v.widthAt((i + .5) * 1e-4) * 1e-4;
        }
        assertThat(v.area()).isCloseTo(summed, within(1e-6));
        assertThat(v.areaTo(v.heightOf(20))).isCloseTo(20, within(1e-9));
    }

    @Test
    void aBevelHasOneTriangleAndASquareNone() {
        assertThat(WeldMetal.Groove.singleBevel(10, 0, 6, 45).area()).isCloseTo(60 + 50, within(1e-9));
        assertThat(new WeldMetal.Groove(6, 6, 3, 0).area()).isCloseTo(18, within(1e-12));
    }
}
