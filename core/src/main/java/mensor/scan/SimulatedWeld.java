package mensor.scan;

import java.util.List;
import java.util.Random;

/**
 * A made-up weld of known truth, along which the simulated scanner moves: the same seed gives the same points. Lengths in mm.
 *
 * @param legA of a fillet
 * @param width of a butt's face
 * @param crown how far the face stands over the line toe–toe
 * @param wave by how much legs and crown go up and down along the weld
 * @param noise of a height
 * @param tilt of the scanner, in degrees
 */
public record SimulatedWeld(
        boolean fillet,
        double length,
        double spacing,
        double legA,
        double legB,
        double width,
        double crown,
        double offset,
        double wave,
        double noise,
        double tilt,
        List<Flaw> flaws,
        long seed) {
    private static final double RIPPLE = 2.5;
    private static final double RIPPLE_HEIGHT = 0.06;
    private static final double WAVE_LENGTH = 47;
    private static final double RAMP = 1.5;

    /** What is made wrong. */
    public enum FlawKind {
        UNDERCUT_A,
        UNDERCUT_B,
        /** The face sinks. */
        CRATER,
        /** Both legs are short by the depth. */
        SHORT_LEGS,
        /** Metal is ground off the crown. */
        GROUND,
        /** The scanner gets no return. */
        HOLE
    }

    /** @param depth in mm; of a hole it says nothing */
    public record Flaw(FlawKind kind, double from, double to, double depth) {
        double at(double s) {
            if (s < from || s > to) {
                return 0;
            }
            return depth * Math.min(1, Math.min(s - from, to - s) / RAMP + 0.05);
        }
    }

    public SimulatedWeld {
        flaws = List.copyOf(flaws);
    }

    public int profiles() {
        return (int) Math.floor(length / spacing + 1e-9) + 1;
    }

    public double placeOf(int profile) {
        return profile * spacing;
    }

    /** What a profile sees; {@code again} gives the same weld with other noise, as of another pass of the scanner. */
    public Profile profile(int i, long again) {
        double s = placeOf(i);
        long own = seed * 1_000_003 + i * 31L + again * 7_919;
        if (deepest(FlawKind.HOLE, s) > 0) {
            return new Profile(s, new double[0], new double[0]);
        }
        double phase = new Random(seed).nextDouble() * WAVE_LENGTH;
        double sway = wave * Math.sin(2 * Math.PI * (s + phase) / WAVE_LENGTH);
        double ripple = RIPPLE_HEIGHT * Math.sin(2 * Math.PI * s / RIPPLE);
        double down = deepest(FlawKind.CRATER, s) + deepest(FlawKind.GROUND, s);
        return fillet ? overFillet(s, sway, ripple - down, own) : overButt(s, sway, ripple - down, own);
    }

    private Profile overFillet(double s, double sway, double up, long own) {
        SimulatedFillet w = new SimulatedFillet();
        double shorter = deepest(FlawKind.SHORT_LEGS, s);
        w.legA = legA + sway - shorter;
        w.legB = legB - sway - shorter;
        w.bulge = crown + up;
        w.undercutA = deepest(FlawKind.UNDERCUT_A, s);
        w.undercutB = deepest(FlawKind.UNDERCUT_B, s);
        w.noise = noise;
        w.tilt = tilt;
        w.reach = Math.max(legA, legB) + 8;
        w.spacing = 0.1;
        return w.profile(s, own);
    }

    private Profile overButt(double s, double sway, double up, long own) {
        SimulatedButt w = new SimulatedButt();
        w.width = width;
        w.crown = crown + sway + up;
        w.offset = offset;
        w.undercutA = deepest(FlawKind.UNDERCUT_A, s);
        w.noise = noise;
        w.tilt = tilt;
        w.spacing = 0.1;
        return w.profile(s, own);
    }

    private double deepest(FlawKind kind, double s) {
        return flaws.stream()
                .filter(f -> f.kind() == kind)
                .mapToDouble(f -> f.at(s))
                .max()
                .orElse(0);
    }
}
