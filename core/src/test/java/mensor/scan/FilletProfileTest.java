package mensor.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Profiles of made-up fillets against their known truth. The closed forms for a flat face are a handbook's geometry: throat of equal legs
 * a is a ÷ √2, of unequal legs ab ÷ √(a² + b²).
 */
class FilletProfileTest {
    private static final int MANY = 100;

    private static FilletProfile measured(SimulatedFillet weld, long seed) {
        MeasuredProfile m = MeasuredProfile.of(weld.profile(0, seed), true, 0.005);
        assertThat(m).as(m.toString()).isInstanceOf(MeasuredProfile.Fillet.class);
        return ((MeasuredProfile.Fillet) m).profile();
    }

    /** A hundred profiles of the weld, each with noise of its own; one that cannot be measured is not there. */
    private static List<FilletProfile> many(SimulatedFillet weld) {
        List<FilletProfile> measured = new ArrayList<>();
        for (int seed = 0; seed < MANY; seed++) {
            if (MeasuredProfile.of(weld.profile(0, seed), true, 0.005) instanceof MeasuredProfile.Fillet f) {
                measured.add(f.profile());
            }
        }
        return measured;
    }

    /** In how many of them a value lies within a tolerance of the truth. */
    private static long within(
            List<FilletProfile> many, ToDoubleFunction<FilletProfile> value, double truth, double tolerance) {
        return many.stream()
                .filter(m -> Math.abs(value.applyAsDouble(m) - truth) <= tolerance)
                .count();
    }

    private static SimulatedFillet weld(double legA, double legB, double bulge) {
        SimulatedFillet w = new SimulatedFillet();
        w.legA = legA;
        w.legB = legB;
        w.bulge = bulge;
        return w;
    }

    @Test
    void aFlatFaceWithoutNoiseIsTheClosedForm() {
        SimulatedFillet w = weld(8, 6, 0);
        w.noise = 1e-6;
        w.wild = 0;
        w.dropouts = 0;
        w.grains = 0;
        FilletProfile m = measured(w, 1);
        assertThat(m.legA().orElseThrow()).isCloseTo(8, Assertions.within(0.02));
        assertThat(m.legB().orElseThrow()).isCloseTo(6, Assertions.within(0.02));
        assertThat(m.throat().orElseThrow()).isCloseTo(8 * 6 / Math.hypot(8, 6), Assertions.within(0.01));
        assertThat(m.size().orElseThrow()).isCloseTo(6, Assertions.within(0.03));
        assertThat(m.dihedral()).isCloseTo(90, Assertions.within(0.02));
        assertThat(m.faceWidth().orElseThrow()).isCloseTo(10, Assertions.within(0.03));
    }

    @ParameterizedTest
    @CsvSource({"8, 8, 0, 0", "8, 8, 0.8, 20", "8, 6, -0.6, -25", "5, 9, 0.5, 10", "12, 12, 1.2, 0"})
    void knownTruthThroughNoiseWildPointsDropoutsSpatterAndTilt(double legA, double legB, double bulge, double tilt) {
        SimulatedFillet w = weld(legA, legB, bulge);
        w.tilt = tilt;
        w.reach = Math.max(legA, legB) + 6;
        w.shiftY = 13;
        w.shiftZ = -40;
        holdsWithin(many(w), w, 1, bulge);
    }

    /** What is asked of a scanner of 0.02 mm noise; of a noisier one a multiple. */
    private static void holdsWithin(List<FilletProfile> seen, SimulatedFillet w, double times, double bulge) {
        assertThat(within(seen, m -> m.legA().orElseThrow(), w.legA, 0.2 * times))
                .as("leg A")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.legB().orElseThrow(), w.legB, 0.2 * times))
                .as("leg B")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.throat().orElseThrow(), w.throat(), 0.06 * times))
                .as("throat")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.size().orElseThrow(), w.size(), 0.1 * times))
                .as("size")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.convexity().orElseThrow(), Math.max(0, bulge), 0.1 * times))
                .as("convexity")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.concavity().orElseThrow(), Math.max(0, -bulge), 0.1 * times))
                .as("concavity")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.faceWidth().orElseThrow(), w.chord(), 0.5 * times))
                .as("face width")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, FilletProfile::dihedral, 90, 0.3 * times))
                .as("dihedral")
                .isGreaterThanOrEqualTo(95);
    }

    @ParameterizedTest
    @CsvSource({"0.3, 1.6, 0", "0.8, 1.6, 15", "1.2, 2.5, -20", "0.15, 1.6, 0"})
    void anUndercutIsAsDeepAsItWasMade(double depth, double width, double tilt) {
        SimulatedFillet w = weld(8, 8, 0.5);
        w.undercutA = depth;
        w.undercutWidth = width;
        w.tilt = tilt;
        List<FilletProfile> seen = many(w);
        assertThat(within(seen, m -> m.undercutA().orElse(-1), depth, 0.06)).isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.undercutB().orElse(-1), 0, 0.06))
                .as("the other toe has none")
                .isGreaterThanOrEqualTo(95);
    }

    /** Faces that are arcs between their toes: throat and largest triangle computed by dense sampling, legs and bulge given. */
    @ParameterizedTest
    @CsvSource({
        "8, 8, 0, 5.6569, 8",
        "8, 8, 1, 6.6569, 8",
        "8, 8, -1, 4.6569, 6.5858",
        "6, 9, 0, 4.9923, 6",
        "6, 9, 0.8, 5.6255, 6",
        "6, 9, -0.6, 4.4666, 5.9903"
    })
    void throatAndTriangleOfAnArc(double legA, double legB, double bulge, double throat, double size) {
        SimulatedFillet w = weld(legA, legB, bulge);
        w.noise = 1e-4;
        w.wild = 0;
        w.dropouts = 0;
        w.grains = 0;
        w.spacing = 0.05;
        FilletProfile m = measured(w, 2);
        assertThat(m.throat().orElseThrow()).isCloseTo(throat, Assertions.within(0.02));
        assertThat(m.size().orElseThrow()).isCloseTo(size, Assertions.within(0.05));
    }

    /** A noisier scanner, its points wider or closer apart: twice the tolerances. */
    @ParameterizedTest
    @CsvSource({"8, 8, 0, 0, 0.1", "8, 8, 0.8, 20, 0.05", "8, 6, -0.6, -25, 0.1", "10, 10, 1, 0, 0.08"})
    void aNoisyScannerIsHalfAsTrue(double legA, double legB, double bulge, double tilt, double spacing) {
        SimulatedFillet w = weld(legA, legB, bulge);
        w.noise = 0.05;
        w.tilt = tilt;
        w.spacing = spacing;
        w.undercutA = 0.6;
        w.reach = Math.max(legA, legB) + 8;
        List<FilletProfile> seen = many(w);
        holdsWithin(seen, w, 2, bulge);
        assertThat(within(seen, m -> m.undercutA().orElseThrow(), 0.6, 0.12))
                .as("undercut A")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.undercutB().orElseThrow(), 0, 0.12))
                .as("undercut B")
                .isGreaterThanOrEqualTo(95);
    }

    /** The members at another angle than a right one; the throat by the handbook's triangle. */
    @ParameterizedTest
    @CsvSource({"60, 8, 8", "120, 8, 8", "75, 9, 7", "105, 8, 8"})
    void membersAtAnotherAngle(double dihedral, double legA, double legB) {
        SimulatedFillet w = weld(legA, legB, 0);
        w.dihedral = dihedral;
        w.reach = Math.max(legA, legB) + 8;
        List<FilletProfile> seen = many(w);
        assertThat(within(seen, m -> m.legA().orElseThrow(), legA, 0.2))
                .as("leg A")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.legB().orElseThrow(), legB, 0.2))
                .as("leg B")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.throat().orElseThrow(), w.throat(), 0.06))
                .as("throat")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, FilletProfile::dihedral, dihedral, 0.3))
                .as("dihedral")
                .isGreaterThanOrEqualTo(95);
        double size = Math.min(Math.min(legA, legB), w.throat() / Math.cos(Math.toRadians(dihedral / 2)));
        assertThat(within(seen, m -> m.size().orElseThrow(), size, 0.2))
                .as("size")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.convexity().orElseThrow(), 0, 0.1))
                .as("convexity")
                .isGreaterThanOrEqualTo(95);
    }

    /** Turned and shifted, the same points give the same numbers. */
    @ParameterizedTest
    @CsvSource({"17, 3, -8", "-25, -40, 100", "5, 0, 0"})
    void whereTheScannersAxesLieDoesNotMatter(double turn, double shiftY, double shiftZ) {
        Profile p = weld(8, 6, 0.4).profile(0, 7);
        double t = Math.toRadians(turn);
        double[] y = new double[p.points()];
        double[] z = new double[p.points()];
        for (int i = 0; i < y.length; i++) {
            y[i] = p.y()[i] * Math.cos(t) - p.z()[i] * Math.sin(t) + shiftY;
            z[i] = p.y()[i] * Math.sin(t) + p.z()[i] * Math.cos(t) + shiftZ;
        }
        FilletProfile a = ((MeasuredProfile.Fillet) MeasuredProfile.of(p, true, 0)).profile();
        FilletProfile b = ((MeasuredProfile.Fillet) MeasuredProfile.of(Profile.of(0, y, z), true, 0)).profile();
        assertThat(b.legA().orElseThrow()).isCloseTo(a.legA().orElseThrow(), Assertions.within(0.06));
        assertThat(b.throat().orElseThrow()).isCloseTo(a.throat().orElseThrow(), Assertions.within(0.02));
        assertThat(b.size().orElseThrow()).isCloseTo(a.size().orElseThrow(), Assertions.within(0.03));
        assertThat(b.dihedral()).isCloseTo(a.dihedral(), Assertions.within(0.05));
    }

    @Test
    void theStatedUncertaintyCoversTheTruthInNineOfTen() {
        SimulatedFillet w = weld(8, 8, 0.5);
        w.undercutA = 0.5;
        int leg = 0;
        int throat = 0;
        int undercut = 0;
        for (int seed = 0; seed < MANY; seed++) {
            FilletProfile m = measured(w, seed);
            leg += Math.abs(m.legB().orElseThrow() - 8) <= 2 * m.u().legB() ? 1 : 0;
            throat += Math.abs(m.throat().orElseThrow() - w.throat()) <= 2 * m.u().throat() ? 1 : 0;
            undercut += Math.abs(m.undercutA().orElseThrow() - 0.5) <= 2 * m.u().undercut() ? 1 : 0;
        }
        assertThat(leg).as("leg").isGreaterThanOrEqualTo(90);
        assertThat(throat).as("throat").isGreaterThanOrEqualTo(90);
        assertThat(undercut).as("undercut").isGreaterThanOrEqualTo(90);
    }

    @Test
    void whatCannotBeMeasuredIsNamedNeverGuessed() {
        SimulatedFillet bare = weld(0.05, 0.05, 0);
        assertThat(MeasuredProfile.of(bare.profile(0, 1), true, 0).toString()).contains("no weld between");
        SimulatedFillet near = weld(8, 8, 0);
        near.reach = 9; // a millimeter of each member is in view
        assertThat(MeasuredProfile.of(near.profile(0, 1), true, 0)).isInstanceOf(MeasuredProfile.NotMeasured.class);
        assertThat(MeasuredProfile.of(Profile.of(0, new double[5], new double[5]), true, 0)
                        .toString())
                .contains("fewer than 20 points");
    }

    /** Points farther apart than scan.md's tenth, as a steep member has them too: an undercut is not taken for wild points. */
    @ParameterizedTest
    @CsvSource({"0.1, -25", "0.1, 25", "0.15, -20", "0.15, 20", "0.2, 0", "0.2, 15"})
    void anUndercutIsFoundWherePointsLieFarApart(double spacing, double tilt) {
        SimulatedFillet w = weld(8, 8, 0.3);
        w.spacing = spacing;
        w.tilt = tilt;
        w.undercutA = 0.8;
        w.undercutB = 0.8;
        List<FilletProfile> seen = many(w);
        assertThat(within(seen, m -> m.undercutA().orElse(0), 0.8, 0.06)).isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.undercutB().orElse(0), 0.8, 0.06)).isGreaterThanOrEqualTo(95);
        assertThat(within(seen, m -> m.legA().orElse(0), 8, 0.2)).isGreaterThanOrEqualTo(95);
    }

    @Test
    void pointsTooFarApartAreNamed() {
        SimulatedFillet w = weld(8, 8, 0.3);
        w.spacing = 0.3; // a narrow undercut lies between two of them: never "none seen"
        assertThat(MeasuredProfile.of(w.profile(0, 1), true, 0.005).toString()).contains("apart: too far for a toe");
    }
}
