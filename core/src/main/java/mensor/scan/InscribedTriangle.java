package mensor.scan;

/** The leg of the largest triangle of equal legs with its corner in the root that lies in the metal: the size of a fillet in a right corner. */
final class InscribedTriangle {
    private InscribedTriangle() {}

    /**
     * @param face with the root at zero, its height along the bisector of the corner
     * @param leg the shorter one
     * @param half of the dihedral, radians
     */
    static double of(FaceRun face, double leg, double half) {
        double least = leg;
        for (int i = 0; i < face.size(); i++) {
            if (Math.abs(face.x()[i]) <= leg * Math.sin(half)) {
                least = Math.min(least, face.h()[i] / Math.cos(half));
            }
        }
        return least;
    }
}
