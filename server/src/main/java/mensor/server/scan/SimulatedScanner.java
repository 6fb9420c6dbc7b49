package mensor.server.scan;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import mensor.scan.Profile;
import mensor.scan.SimulatedWeld;
import mensor.scan.SimulatedWeld.Flaw;
import mensor.scan.SimulatedWeld.FlawKind;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** A stand-in for a scanner: a made-up weld of the joint's size, moved along by a hand that stops once and once goes back a little. */
final class SimulatedScanner implements ProfileSource {
    static final String DEVICE = "simulated scanner";
    private static final double SPACING = 1;
    private static final double BACK_MM = 12;
    private static final long PAUSE_MS = 700;

    private final SimulatedWeld weld;
    private final double speed;
    private final int stopsAt;
    private final int turnsAt;
    private int at;
    private int again;
    private int back;

    /** @param speed in mm a second */
    SimulatedScanner(Joint joint, long seed, double speed) {
        this.weld = weld(joint, seed);
        this.speed = speed;
        this.stopsAt = weld.profiles() / 3;
        this.turnsAt = weld.profiles() * 2 / 3;
    }

    private static SimulatedWeld weld(Joint joint, long seed) {
        Random random = new Random(seed);
        double length = Scans.mm(joint.length());
        double leg = joint.size().map(Scans::mm).orElse(8.0) * (1.02 + 0.08 * random.nextDouble());
        double thickness = Scans.mm(joint.member(Toe.A).thickness());
        double from = length * (0.2 + 0.5 * random.nextDouble());
        return new SimulatedWeld(
                joint.isFillet(),
                length,
                SPACING,
                leg,
                leg * (1 + 0.05 * random.nextDouble()),
                Math.max(8, thickness * 1.4),
                joint.isFillet() ? 0.5 : 1.5,
                joint.isFillet() ? 0 : 0.4,
                0.2,
                0.02,
                20 * random.nextDouble() - 10,
                List.of(new Flaw(
                        FlawKind.UNDERCUT_A, from, from + Math.min(40, length / 6), 0.4 + random.nextDouble())),
                seed);
    }

    @Override
    public String device() {
        return DEVICE;
    }

    @Override
    public double u() {
        return 0.005;
    }

    @Override
    public Optional<Profile> next() throws InterruptedException {
        if (at >= weld.profiles()) {
            return Optional.empty();
        }
        Thread.sleep(Math.max(1, Math.round(1000 * SPACING / speed)));
        if (at == stopsAt) {
            Thread.sleep(PAUSE_MS);
        }
        Profile p = weld.profile(at, again);
        if (at == turnsAt && again == 0) {
            again = 1;
            back = (int) (BACK_MM / SPACING);
        }
        if (back > 0) {
            back--;
            at = Math.max(0, at - 1);
        } else {
            at++;
        }
        return Optional.of(p);
    }
}
