package mensor.scan;

/** A point in the plane of a profile, mm. */
public record Point(double y, double z) {}
