package mensor.scan;

/** How deep the face of a butt lies below both members' lines. */
final class Underfill {
    private Underfill() {}

    /** @param face over A's line, which is its axis */
    static double of(FaceRun face, Line a, Line b) {
        double deepest = 0;
        for (int i = 0; i < face.size(); i++) {
            double h = face.h()[i];
            deepest = Math.max(deepest, Math.min(-h, MemberOffset.at(a, b, face.x()[i]) - h));
        }
        return deepest;
    }
}
