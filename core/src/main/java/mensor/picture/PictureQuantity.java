package mensor.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import mensor.picture.Homography.Spot;
import mensor.weld.Named;

/** What can be measured in a picture, from places that are pointed at. */
public enum PictureQuantity implements Named {
    DISTANCE("distance", "Distance", "the two ends", 2, 2, 1, s -> s.get(0).from(s.get(1))),
    /** Bead widths, depths on a gauge's picture, gaps, crack lengths. */
    LENGTH("length", "Length along a line", "places along it, from end to end", 2, 30, 1, PictureQuantity::along),
    /** Root to toe, twice. */
    SMALLER_LEG(
            "smaller-leg",
            "Smaller leg of a fillet",
            "the root, the one toe, the other toe",
            3,
            3,
            1,
            s -> Math.min(s.get(0).from(s.get(1)), s.get(0).from(s.get(2)))),
    DIAMETER("diameter", "Diameter", "three places or more around the rim", 3, 20, 1, PictureQuantity::diameter),
    PITCH("pitch", "Mean pitch", "one ripple after another", 3, 60, 1, s -> along(s) / (s.size() - 1)),
    STRAIGHTNESS(
            "straightness",
            "Departure from straight",
            "one end, places between, the other end",
            3,
            60,
            1,
            PictureQuantity::departure),
    AREA("area", "Area", "three places or more around it", 3, 60, 2, PictureQuantity::area);

    private static final double STEP = 0.05;

    private final String id;
    private final String title;
    private final String points;
    private final int least;
    private final int most;
    private final int power;
    private final ToDoubleFunction<List<Spot>> of;

    PictureQuantity(
            String id, String title, String points, int least, int most, int power, ToDoubleFunction<List<Spot>> of) {
        this.id = id;
        this.title = title;
        this.points = points;
        this.least = least;
        this.most = most;
        this.power = power;
        this.of = of;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** What is pointed at. */
    public String points() {
        return points;
    }

    public int least() {
        return least;
    }

    public int most() {
        return most;
    }

    /** 1 is a length, 2 an area. */
    public int power() {
        return power;
    }

    /** A value from a picture, with its standard uncertainty. */
    public record Measured(double value, double u) {}

    /**
     * The value in the plane's unit, and how far it moves where each place that was pointed at, the marks too, moves by its own uncertainty.
     *
     * @throws IllegalArgumentException where there are too few places or too many, or they make no such thing
     */
    public Measured in(PicturePlane plane, List<Spot> places) {
        if (places.size() < least || places.size() > most) {
            throw new IllegalArgumentException((least == most ? "" : "at least ") + least + " places are required: "
                    + points + "; got " + places.size());
        }
        PicturePlane.Straight straight = plane.straight(plane.marks());
        double value = value(straight, places);
        if (!(value > 0) || Double.isInfinite(value)) {
            if (this != STRAIGHTNESS || value != 0) {
                throw new IllegalArgumentException("these places make no " + title.toLowerCase(java.util.Locale.ROOT));
            }
        }
        double squares = square(value * power * plane.share());
        for (List<Spot> moved : moved(plane.marks())) {
            squares += square((value(plane.straight(moved), places) - value) / STEP * plane.pixels());
        }
        for (List<Spot> moved : moved(places)) {
            squares += square((value(straight, moved) - value) / STEP * plane.pixels());
        }
        return new Measured(value, Math.sqrt(squares));
    }

    private double value(PicturePlane.Straight straight, List<Spot> places) {
        return of.applyAsDouble(places.stream().map(straight::of).toList());
    }

    private static double along(List<Spot> s) {
        double sum = 0;
        for (int i = 1; i < s.size(); i++) {
            sum += s.get(i - 1).from(s.get(i));
        }
        return sum;
    }

    /** The most that a place between lies off the line through the ends. */
    private static double departure(List<Spot> s) {
        Spot a = s.get(0);
        Spot b = s.get(s.size() - 1);
        double most = 0;
        for (Spot p : s) {
            double cross = (b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x());
            most = Math.max(most, Math.abs(cross) / a.from(b));
        }
        return most;
    }

    private static double area(List<Spot> s) {
        double sum = 0;
        for (int i = 0; i < s.size(); i++) {
            Spot p = s.get(i);
            Spot q = s.get((i + 1) % s.size());
            sum += p.x() * q.y() - q.x() * p.y();
        }
        return Math.abs(sum) / 2;
    }

    /** Of the circle through the places that fits them best in the squares of its equation (Kåsa 1976); through three it is the one. */
    private static double diameter(List<Spot> s) {
        double mx = s.stream().mapToDouble(Spot::x).average().orElse(0);
        double my = s.stream().mapToDouble(Spot::y).average().orElse(0);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        double xz = 0;
        double yz = 0;
        double z = 0;
        for (Spot p : s) {
            double x = p.x() - mx;
            double y = p.y() - my;
            double q = x * x + y * y;
            xx += x * x;
            xy += x * y;
            yy += y * y;
            xz += x * q;
            yz += y * q;
            z += q;
        }
        double det = xx * yy - xy * xy;
        if (Math.abs(det) < 1e-12 * z * z) {
            return Double.NaN; // the places lie on a line
        }
        double a = (xz * yy - yz * xy) / det / 2;
        double b = (yz * xx - xz * xy) / det / 2;
        return 2 * Math.sqrt(a * a + b * b + z / s.size());
    }

    /** Each place moved by a step across, then up, the others as they are. */
    private static List<List<Spot>> moved(List<Spot> all) {
        List<List<Spot>> moved = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            for (int axis = 0; axis < 2; axis++) {
                Spot p = all.get(i);
                List<Spot> one = new ArrayList<>(all);
                one.set(i, axis == 0 ? new Spot(p.x() + STEP, p.y()) : new Spot(p.x(), p.y() + STEP));
                moved.add(one);
            }
        }
        return moved;
    }

    private static double square(double x) {
        return x * x;
    }
}
