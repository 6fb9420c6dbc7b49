package mensor.server.scan;

import java.util.Optional;
import mensor.exchange.SimulatedScan;
import mensor.scan.Profile;
import mensor.scan.SimulatedWeld;
import mensor.weld.Joint;

/** A stand-in for a scanner: a made-up weld of the joint's size, moved along by a hand that stops once and once goes back a little. */
final class SimulatedScanner implements ProfileSource {
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
        this.weld = SimulatedScan.weld(joint, seed, SPACING);
        this.speed = speed;
        this.stopsAt = weld.profiles() / 3;
        this.turnsAt = weld.profiles() * 2 / 3;
    }

    @Override
    public String device() {
        return SimulatedScan.DEVICE;
    }

    @Override
    public double u() {
        return SimulatedScan.U;
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
