package mensor.scan;

import java.util.Random;

/**
 * The simulated scanner over a made-up fillet of known truth, one profile of it: legs, dihedral, a face that bulges or sinks by an arc, an undercut;
 * noise, wild points, dropouts, grains of spatter, tilt and shift. Lengths in mm.
 */
public final class SimulatedFillet {
    public double legA = 8;
    public double legB = 8;
    public double dihedral = 90;
    /** How far the face stands over the line toe–toe in its middle; under zero it sinks. */
    public double bulge;

    public double undercutA;
    public double undercutB;
    public double undercutWidth = 1.6;
    public double noise = 0.02;
    public double spacing = 0.08;
    public double wild = 0.02;
    public double dropouts = 0.03;
    public int grains = 2;
    public double tilt;
    public double shiftY;
    public double shiftZ;
    public double reach = 16;

    /** The face over the line toe–toe at a part of it, 0 at toe A: an arc through both toes. */
    private double over(double part) {
        double chord = chord();
        if (Math.abs(bulge) < 1e-9) {
            return 0;
        }
        double r = (chord * chord / 4 + bulge * bulge) / (2 * Math.abs(bulge));
        double x = (part - 0.5) * chord;
        return Math.signum(bulge) * (Math.sqrt(r * r - x * x) - (r - Math.abs(bulge)));
    }

    public double chord() {
        double d = Math.toRadians(dihedral);
        return Math.sqrt(legA * legA + legB * legB - 2 * legA * legB * Math.cos(d));
    }

    /** A point of the face in the frame of the root: first along the bisector's square, then along it. */
    private double[] face(double part) {
        double half = Math.toRadians(dihedral / 2);
        double xA = -legA * Math.sin(half);
        double hA = legA * Math.cos(half);
        double xB = legB * Math.sin(half);
        double hB = legB * Math.cos(half);
        double chord = Math.hypot(xB - xA, hB - hA);
        double nx = -(hB - hA) / chord;
        double nh = (xB - xA) / chord;
        double up = over(part);
        return new double[] {xA + part * (xB - xA) + up * nx, hA + part * (hB - hA) + up * nh};
    }

    public double throat() {
        double least = Double.MAX_VALUE;
        for (int i = 0; i <= 20_000; i++) {
            double[] f = face(i / 20_000.0);
            least = Math.min(least, Math.hypot(f[0], f[1]));
        }
        return least;
    }

    /** Of a right corner: the leg of the largest right isosceles triangle in the metal. */
    public double size() {
        double least = Math.min(legA, legB);
        for (int i = 0; i <= 20_000; i++) {
            double[] f = face(i / 20_000.0);
            if (Math.abs(f[0]) <= Math.min(legA, legB) / Math.sqrt(2)) {
                least = Math.min(least, f[1] * Math.sqrt(2));
            }
        }
        return least;
    }

    /** The same seed gives the same points. */
    public Profile profile(double s, long seed) {
        Random random = new Random(seed);
        double half = Math.toRadians(dihedral / 2);
        int most = (int) ((2 * reach + chord() * 1.4) / spacing) + 400;
        double[] y = new double[most];
        double[] z = new double[most];
        int n = 0;
        double[] grainAt = new double[grains];
        for (int g = 0; g < grains; g++) {
            grainAt[g] = (random.nextBoolean() ? -1 : 1) * (Math.max(legA, legB) + 2 + random.nextDouble() * 4);
        }
        double turn = Math.toRadians(tilt);
        for (int part = 0; part < 3; part++) {
            double length = part == 1 ? chord() : reach - (part == 0 ? legA : legB);
            for (double t = random.nextDouble() * spacing; t < length; t += spacing) {
                double x;
                double h;
                if (part == 1) {
                    double[] f = face(t / length);
                    x = f[0];
                    h = f[1];
                } else {
                    double along = (part == 0 ? legA : legB) + t;
                    double off = -notch(part == 0 ? undercutA : undercutB, t);
                    for (double g : grainAt) {
                        if (Math.signum(g) == (part == 0 ? -1 : 1) && Math.abs(Math.abs(g) - along) < 0.3) {
                            off += 0.4;
                        }
                    }
                    double side = part == 0 ? -1 : 1;
                    x = side * (along * Math.sin(half) - off * Math.cos(half));
                    h = along * Math.cos(half) + off * Math.sin(half);
                }
                if (random.nextDouble() < dropouts) {
                    continue;
                }
                double out = h + random.nextGaussian() * noise;
                if (random.nextDouble() < wild) {
                    out += (random.nextDouble() - 0.3) * 6;
                }
                double across = x + random.nextGaussian() * noise * 0.2;
                y[n] = across * Math.cos(turn) - out * Math.sin(turn) + shiftY;
                z[n++] = across * Math.sin(turn) + out * Math.cos(turn) + shiftZ;
            }
        }
        return Profile.of(s, java.util.Arrays.copyOf(y, n), java.util.Arrays.copyOf(z, n));
    }

    /** A round notch from the toe on. */
    private double notch(double depth, double fromToe) {
        double part = fromToe / undercutWidth;
        return depth <= 0 || part > 1 ? 0 : depth * Math.sin(Math.PI * part);
    }
}
