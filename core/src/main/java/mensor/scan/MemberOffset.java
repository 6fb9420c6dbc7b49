package mensor.scan;

/** How far member B's line lies over A's, square to A's. */
final class MemberOffset {
    private MemberOffset() {}

    /** @param along A's line, from its point */
    static double at(Line a, Line b, double along) {
        double py = a.y() + along * a.dy();
        double pz = a.z() + along * a.dz();
        // where the square to A at that place meets B
        double ny = -a.dz();
        double nz = a.dy();
        double det = ny * -b.dz() + b.dy() * nz;
        double ry = b.y() - py;
        double rz = b.z() - pz;
        return (ry * -b.dz() + b.dy() * rz) / det;
    }
}
