package mensor.scan;

/** The least distance from the root to the face. */
final class Throat {
    private Throat() {}

    /** @param face with the root at zero */
    static double of(FaceRun face) {
        double least = Double.MAX_VALUE;
        for (int i = 0; i < face.size(); i++) {
            least = Math.min(least, Math.hypot(face.x()[i], face.h()[i]));
        }
        return least;
    }
}
