package mensor.repair;

import mensor.weld.InvalidField;

/**
 * What is taken out of a weld: a groove with a round bottom, straight walls at an included angle, and ends that run out. In
 * mm and degrees. The area is the trapezium between the walls and the segment of the root's circle below it.
 *
 * @param includedDegrees between the walls, 0 to under 180
 */
public record Cavity(double depth, double includedDegrees, double rootRadius) {
    /** @throws InvalidField naming what cannot be */
    public Cavity {
        if (!(depth > 0)) {
            throw new InvalidField("depth", "a depth over zero is required");
        }
        if (!(includedDegrees >= 0 && includedDegrees < 180)) {
            throw new InvalidField("includedDegrees", "0 to under 180 degrees are required");
        }
        if (!(rootRadius >= 0)) {
            throw new InvalidField("rootRadius", "a radius not below zero is required");
        }
    }

    private double half() {
        return Math.toRadians(includedDegrees / 2);
    }

    /** So shallow that the walls are not reached: the root's circle alone. */
    private boolean isShallow() {
        return depth < rootRadius * (1 - Math.sin(half()));
    }

    public double width() {
        if (isShallow()) {
            return 2 * Math.sqrt(depth * (2 * rootRadius - depth));
        }
        return 2 * ((depth - rootRadius) * Math.tan(half()) + rootRadius / Math.cos(half()));
    }

    public double area() {
        if (isShallow()) {
            double phi = Math.acos((rootRadius - depth) / rootRadius);
            return rootRadius * rootRadius * (phi - Math.sin(phi) * Math.cos(phi));
        }
        double theta = half();
        double h = depth - rootRadius + rootRadius * Math.sin(theta);
        double phi = Math.PI / 2 - theta;
        return h * (width() / 2 + rootRadius * Math.cos(theta))
                + rootRadius * rootRadius * (phi - Math.sin(phi) * Math.cos(phi));
    }

    /** At most this much: the ends run out {@code runOut} times the depth beyond the length, and are taken as half full. */
    public double volume(double length, double runOut) {
        return area() * (length + runOut * depth);
    }
}
