package mensor.picture;

import java.util.List;
import java.util.function.ToDoubleFunction;
import mensor.picture.Homography.Spot;

/**
 * A picture in which a card of known size lies in the plane of what is measured: its four corners straighten the plane. Places in pixels, answers in the
 * card's unit, each with its standard uncertainty.
 *
 * @param width of the card
 * @param corners of the card in the picture, around it, beginning where the width goes to the second
 * @param pixels how surely a place is pointed at, a standard deviation
 * @param card standard uncertainty of the card's width and height, as a share of them
 */
public record StraightenedPicture(double width, double height, List<Spot> corners, double pixels, double card) {
    private static final double STEP = 0.05;

    public StraightenedPicture {
        corners = List.copyOf(corners);
        if (corners.size() != 4) {
            throw new IllegalArgumentException("four corners are required, got " + corners.size());
        }
        if (!(width > 0) || !(height > 0) || !(pixels >= 0) || !(card >= 0)) {
            throw new IllegalArgumentException("a card of a size over zero is required");
        }
        toCard(corners); // refused where the corners are no card
    }

    /** A value from the picture. */
    public record Measured(double value, double u) {}

    private Homography toCard(List<Spot> around) {
        return Homography.toCorners(around.get(0), around.get(1), around.get(2), around.get(3))
                .inverse();
    }

    private Spot straight(Homography h, Spot p) {
        Spot s = h.of(p);
        return new Spot(s.x() * width, s.y() * height);
    }

    /** Between two places. */
    public Measured distance(Spot one, Spot other) {
        return measured(List.of(one, other), s -> s.get(0).from(s.get(1)), 1);
    }

    /** Of the polygon through at least three places, around it. */
    public Measured area(List<Spot> around) {
        if (around.size() < 3) {
            throw new IllegalArgumentException("at least three places are required");
        }
        return measured(around, StraightenedPicture::area0, 2);
    }

    private static double area0(List<Spot> s) {
        double sum = 0;
        for (int i = 0; i < s.size(); i++) {
            Spot p = s.get(i);
            Spot q = s.get((i + 1) % s.size());
            sum += p.x() * q.y() - q.x() * p.y();
        }
        return Math.abs(sum) / 2;
    }

    /**
     * The value, and how far it moves where each place that was pointed at, the corners too, moves by its own uncertainty.
     *
     * @param power of the card's size that the value grows with
     */
    private Measured measured(List<Spot> places, ToDoubleFunction<List<Spot>> quantity, int power) {
        Homography h = toCard(corners);
        double value =
                quantity.applyAsDouble(places.stream().map(p -> straight(h, p)).toList());
        double squares = square(value * power * card);
        for (int i = 0; i < corners.size(); i++) {
            for (int axis = 0; axis < 2; axis++) {
                Homography moved = toCard(with(corners, i, axis));
                squares += square((quantity.applyAsDouble(places.stream()
                                        .map(p -> straight(moved, p))
                                        .toList())
                                - value)
                        / STEP
                        * pixels);
            }
        }
        for (int i = 0; i < places.size(); i++) {
            for (int axis = 0; axis < 2; axis++) {
                squares += square((quantity.applyAsDouble(with(places, i, axis).stream()
                                        .map(p -> straight(h, p))
                                        .toList())
                                - value)
                        / STEP
                        * pixels);
            }
        }
        return new Measured(value, Math.sqrt(squares));
    }

    private static List<Spot> with(List<Spot> all, int i, int axis) {
        Spot p = all.get(i);
        List<Spot> moved = new java.util.ArrayList<>(all);
        moved.set(i, axis == 0 ? new Spot(p.x() + STEP, p.y()) : new Spot(p.x(), p.y() + STEP));
        return moved;
    }

    private static double square(double x) {
        return x * x;
    }
}
