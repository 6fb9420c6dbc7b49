package mensor.scan;

import java.util.OptionalDouble;

/**
 * What one profile across a fillet shows, in mm and degrees; what could not be found is absent, and said.
 *
 * @param area of the metal between the members and the face, mm²
 * @param u standard uncertainties, from the points' noise and the device's own
 */
public record FilletProfile(
        double s,
        Line memberA,
        Line memberB,
        double dihedral,
        Point root,
        Point toeA,
        Point toeB,
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
        double area,
        double noise,
        Uncertainty u) {

    /** Standard uncertainties. */
    public record Uncertainty(
            double legA, double legB, double throat, double size, double convexity, double undercut) {}
}
