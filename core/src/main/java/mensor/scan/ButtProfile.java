package mensor.scan;

/**
 * What one profile across a butt shows, in mm and degrees.
 *
 * @param bend 180° less the angle between the members
 * @param offset between the two members' lines at the middle of the weld, square to A's; over zero where B stands higher
 * @param undercutA not a number where the strip beside the toe had no returns, as {@code undercutB}
 * @param underfill greatest depth of the face below both members' lines
 * @param area of the metal over the straight line toe–toe, mm²; under zero where the face lies under it
 * @param u standard uncertainty of a height, from the points' noise, the lines and the device's own
 */
public record ButtProfile(
        double s,
        Line memberA,
        Line memberB,
        Point toeA,
        Point toeB,
        double bend,
        double faceWidth,
        double reinforcement,
        double underfill,
        double offset,
        double undercutA,
        double undercutB,
        double toeAngleA,
        double toeAngleB,
        double area,
        double noise,
        double u) {}
