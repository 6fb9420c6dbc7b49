package mensor.plan;

import mensor.weld.InvalidField;

/**
 * Cross-sections of weld metal and what they weigh, in mm², mm and grams. Derivations: a fillet is the triangle between its
 * contact legs; a groove is the opening's strip and the triangles of its bevels; a crown is a flat parabola, two thirds of
 * width times height.
 */
public final class WeldMetal {
    /** g/cm³ for a density of 0.283 lb/in³ as the handbooks' tables of fillet metal use it; 7.85 is 0.2% more. */
    public static final double HANDBOOK_DENSITY = 0.283 * 453.59237 / 16.387064;

    public static final double DENSITY = 7.85;
    public static final double GRAMS_PER_POUND = 453.59237;

    private WeldMetal() {}

    /** A flat fillet with contact legs a and b between members that meet at the dihedral angle. */
    public static double fillet(double a, double b, double dihedralDegrees) {
        return a * b * Math.sin(Math.toRadians(dihedralDegrees)) / 2;
    }

    /** The face's chord, from toe to toe. */
    public static double chord(double a, double b, double dihedralDegrees) {
        return Math.sqrt(a * a + b * b - 2 * a * b * Math.cos(Math.toRadians(dihedralDegrees)));
    }

    /** The metal between a flat chord and a face that stands out of it. */
    public static double crown(double width, double height) {
        return 2 * width * height / 3;
    }

    /**
     * A groove with straight walls.
     *
     * @param depth of the metal, from the root side
     * @param rootFace the part of it without a bevel
     * @param opening between the parts at the root
     * @param slope how much the groove widens for each mm above the root face: 2·tan(α/2) for a V
     */
    public record Groove(double depth, double rootFace, double opening, double slope) {
        public Groove {
            if (!(depth > 0 && rootFace >= 0 && opening >= 0 && slope >= 0)) {
                throw new InvalidField("joint.groove", "a depth over zero, and no measure below it, are required");
            }
            if (rootFace > depth) {
                throw new InvalidField("joint.groove.rootFace", "is over the depth of the groove");
            }
        }

        public static Groove singleV(double depth, double rootFace, double opening, double includedDegrees) {
            return new Groove(depth, rootFace, opening, 2 * Math.tan(Math.toRadians(includedDegrees / 2)));
        }

        /** One member bevelled by the whole angle. */
        public static Groove singleBevel(double depth, double rootFace, double opening, double bevelDegrees) {
            return new Groove(depth, rootFace, opening, Math.tan(Math.toRadians(bevelDegrees)));
        }

        public double widthAt(double height) {
            return opening + Math.max(0, height - rootFace) * slope;
        }

        /** The metal from the root side up to a height. */
        public double areaTo(double height) {
            double above = Math.max(0, height - rootFace);
            return opening * height + above * above * slope / 2;
        }

        public double area() {
            return areaTo(depth);
        }

        /** The height at which this much metal stands; at most the depth. */
        public double heightOf(double area) {
            double low = 0;
            double high = depth;
            for (int i = 0; i < 60; i++) { // halved to far below a nanometre
                double middle = (low + high) / 2;
                if (areaTo(middle) < area) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return high;
        }
    }

    public static double grams(double area, double length, double density) {
        return area * length * density / 1000;
    }

    public static double pounds(double grams) {
        return grams / GRAMS_PER_POUND;
    }
}
