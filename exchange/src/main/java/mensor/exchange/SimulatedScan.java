package mensor.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mensor.scan.Profile;
import mensor.scan.SimulatedWeld;
import mensor.scan.SimulatedWeld.Flaw;
import mensor.scan.SimulatedWeld.FlawKind;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** A made-up weld of a joint's size with a flaw or two, as the simulated scanner sees it; all by a seed. */
public final class SimulatedScan {
    public static final String DEVICE = "simulated scanner";
    /** Its standard uncertainty of one height, mm. */
    public static final double U = 0.005;

    private static final double LONGEST_UNDERCUT = 40;

    private SimulatedScan() {}

    /** @param spacing of the profiles, mm */
    public static SimulatedWeld weld(Joint joint, long seed, double spacing) {
        Random random = new Random(seed);
        double length = ScanCommand.mm(joint.length());
        double leg = joint.size().map(ScanCommand::mm).orElse(8.0) * (1.02 + 0.08 * random.nextDouble());
        double thickness = ScanCommand.mm(joint.member(Toe.A).thickness());
        double from = length * (0.2 + 0.5 * random.nextDouble());
        double to = from + Math.min(LONGEST_UNDERCUT, length / 6);
        return new SimulatedWeld(
                joint.isFillet(),
                length,
                spacing,
                leg,
                leg * (1 + 0.05 * random.nextDouble()),
                Math.max(8, thickness * 1.4),
                joint.isFillet() ? 0.5 : 1.5,
                joint.isFillet() ? 0 : 0.4,
                0.2,
                0.02,
                20 * random.nextDouble() - 10,
                List.of(new Flaw(FlawKind.UNDERCUT_A, from, to, 0.4 + random.nextDouble())),
                seed);
    }

    static List<Profile> profiles(SimulatedWeld weld) {
        List<Profile> all = new ArrayList<>();
        for (int i = 0; i < weld.profiles(); i++) {
            all.add(weld.profile(i, 0));
        }
        return all;
    }
}
