package mensor.scan;

import java.util.OptionalDouble;

/**
 * What one profile across a fillet shows, in mm and degrees; what could not be found is absent, and said.
 *
 * @param u standard uncertainties, from the points' noise and the device's own
 */
public record FilletProfile(
        double s,
        Line memberA,
        Line memberB,
        double dihedral,
        double rootY,
        double rootZ,
        OptionalDouble legA,
        OptionalDouble legB,
        OptionalDouble throat,
        OptionalDouble size,
        OptionalDouble convexity,
        OptionalDouble concavity,
        OptionalDouble faceWidth,
        OptionalDouble undercutA,
        OptionalDouble undercutB,
        OptionalDouble toeAngleA,
        OptionalDouble toeAngleB,
        double noise,
        Uncertainty u) {

    /** Standard uncertainties. */
    public record Uncertainty(
            double legA, double legB, double throat, double size, double convexity, double undercut) {}
}
