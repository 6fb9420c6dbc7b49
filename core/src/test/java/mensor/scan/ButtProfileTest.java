package mensor.scan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Profiles of made-up butts against their known truth. */
class ButtProfileTest {
    private static final int MANY = 100;

    private static ButtProfile measured(SimulatedButt weld, long seed) {
        MeasuredProfile m = MeasuredProfile.of(weld.profile(0, seed), false, 0.005);
        assertThat(m).as(m.toString()).isInstanceOf(MeasuredProfile.Butt.class);
        return ((MeasuredProfile.Butt) m).profile();
    }

    /** A hundred profiles of the weld, each with noise of its own. */
    private static List<ButtProfile> many(SimulatedButt weld) {
        return IntStream.range(0, MANY).mapToObj(seed -> measured(weld, seed)).toList();
    }

    /** In how many of them a value lies within a tolerance of the truth. */
    private static long within(
            List<ButtProfile> many, ToDoubleFunction<ButtProfile> value, double truth, double tolerance) {
        return many.stream()
                .filter(m -> Math.abs(value.applyAsDouble(m) - truth) <= tolerance)
                .count();
    }

    @ParameterizedTest
    @CsvSource({
        "12, 2, 0, 0, 0, 0",
        "12, 1, 1, 0, 20, 0",
        "16, 3, -0.8, 2, -15, 0",
        "10, -0.8, 0, 0, 0, 0",
        "12, 1.5, 0, 0, 10, 0.6"
    })
    void knownTruthThroughNoiseWildPointsDropoutsAndTilt(
            double width, double crown, double offset, double bend, double tilt, double undercut) {
        SimulatedButt w = new SimulatedButt();
        w.width = width;
        w.crown = crown;
        w.offset = offset;
        w.bend = bend;
        w.tilt = tilt;
        w.undercutA = undercut;
        double chord = Math.hypot(width, offset + Math.tan(Math.toRadians(bend)) * width / 2);
        List<ButtProfile> seen = many(w);
        assertThat(within(seen, ButtProfile::reinforcement, Math.max(0, crown), 0.06))
                .as("reinforcement")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::underfill, Math.max(0, -crown), 0.06))
                .as("underfill")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::offset, offset, 0.06)).as("offset").isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::bend, bend, 0.3)).as("bend").isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::faceWidth, chord, 0.5))
                .as("face width")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::undercutA, undercut, 0.06))
                .as("undercut A")
                .isGreaterThanOrEqualTo(95);
        assertThat(within(seen, ButtProfile::undercutB, 0, 0.06))
                .as("undercut B")
                .isGreaterThanOrEqualTo(95);
    }

    @Test
    void aCornerIsNoButtAndAFlatPlateNoWeld() {
        assertThat(MeasuredProfile.of(new SimulatedFillet().profile(0, 1), false, 0)
                        .toString())
                .contains("no butt");
        SimulatedButt flat = new SimulatedButt();
        flat.crown = 0;
        assertThat(MeasuredProfile.of(flat.profile(0, 1), false, 0)).isInstanceOf(MeasuredProfile.NotMeasured.class);
    }
}
