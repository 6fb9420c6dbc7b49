package mensor.picture;

/**
 * How a plane is seen by a camera: points of one plane to points of another, straight lines to straight lines. A common factor of all entries
 * changes nothing.
 *
 * @param m nine entries, row by row
 */
public record Homography(double[] m) {
    public Homography {
        if (m.length != 9) {
            throw new IllegalArgumentException("nine entries are required");
        }
        m = m.clone();
    }

    @Override
    public double[] m() {
        return m.clone();
    }

    /** A place in a plane. */
    public record Spot(double x, double y) {
        double from(Spot other) {
            return Math.hypot(x - other.x, y - other.y);
        }
    }

    /**
     * From the unit square to four corners, in the order (0,0) (1,0) (1,1) (0,1): the closed form of Heckbert (1989).
     *
     * @throws IllegalArgumentException where three corners lie on a line, or the corners go around the wrong way
     */
    public static Homography toCorners(Spot a, Spot b, Spot c, Spot d) {
        double turn = 0;
        Spot[] corners = {a, b, c, d};
        for (int i = 0; i < 4; i++) {
            Spot p = corners[i];
            Spot q = corners[(i + 1) % 4];
            Spot r = corners[(i + 2) % 4];
            double cross = (q.x() - p.x()) * (r.y() - q.y()) - (q.y() - p.y()) * (r.x() - q.x());
            if (Math.abs(cross) < 1e-9 * q.from(p) * r.from(q) || turn * cross < 0) {
                throw new IllegalArgumentException(
                        "the four corners of a card, in order around it, are required: corner " + (i + 2)
                                + " does not turn as the others do");
            }
            turn = cross;
        }
        double sx = a.x() - b.x() + c.x() - d.x();
        double sy = a.y() - b.y() + c.y() - d.y();
        double dx1 = b.x() - c.x();
        double dy1 = b.y() - c.y();
        double dx2 = d.x() - c.x();
        double dy2 = d.y() - c.y();
        double det = dx1 * dy2 - dx2 * dy1;
        double g = (sx * dy2 - dx2 * sy) / det;
        double h = (dx1 * sy - sx * dy1) / det;
        return new Homography(new double[] {
            b.x() - a.x() + g * b.x(),
            d.x() - a.x() + h * d.x(),
            a.x(),
            b.y() - a.y() + g * b.y(),
            d.y() - a.y() + h * d.y(),
            a.y(),
            g,
            h,
            1
        });
    }

    public Spot of(Spot p) {
        double w = m[6] * p.x() + m[7] * p.y() + m[8];
        return new Spot((m[0] * p.x() + m[1] * p.y() + m[2]) / w, (m[3] * p.x() + m[4] * p.y() + m[5]) / w);
    }

    /** The way back. */
    public Homography inverse() {
        double[] i = {
            m[4] * m[8] - m[5] * m[7],
            m[2] * m[7] - m[1] * m[8],
            m[1] * m[5] - m[2] * m[4],
            m[5] * m[6] - m[3] * m[8],
            m[0] * m[8] - m[2] * m[6],
            m[2] * m[3] - m[0] * m[5],
            m[3] * m[7] - m[4] * m[6],
            m[1] * m[6] - m[0] * m[7],
            m[0] * m[4] - m[1] * m[3]
        };
        return new Homography(i);
    }
}
