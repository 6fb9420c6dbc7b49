package mensor.scan;

/**
 * How far the face stands over the straight line toe–toe, and how far it lies below it: of a fillet convexity and concavity, of a butt the
 * reinforcement.
 */
record Convexity(double above, double below) {
    static Convexity of(FaceRun face) {
        double above = 0;
        double below = 0;
        for (int i = 0; i < face.size(); i++) {
            above = Math.max(above, face.overChord(i));
            below = Math.max(below, -face.overChord(i));
        }
        return new Convexity(above, below);
    }
}
