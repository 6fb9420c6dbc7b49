package mensor.picture;

import java.util.List;
import mensor.picture.Homography.Spot;

/**
 * A picture taken square to what is measured, in which two points of known distance set the scale.
 *
 * @param distance between the two marks
 * @param share standard uncertainty of the distance and of a plane a little off square, as a share
 */
public record ScaledPicture(double distance, List<Spot> marks, double pixels, double share) implements PicturePlane {
    /** A camera held by eye is square to the plate within about 8 degrees, which shortens lengths by up to a hundredth (common practice, no source). */
    public static final double BY_EYE = 0.01;

    public ScaledPicture {
        marks = List.copyOf(marks);
        if (marks.size() != 2) {
            throw new IllegalArgumentException("two points are required, got " + marks.size());
        }
        if (!(distance > 0) || !(pixels >= 0) || !(share >= 0)) {
            throw new IllegalArgumentException("a distance over zero is required");
        }
        if (marks.get(0).from(marks.get(1)) < 2) {
            throw new IllegalArgumentException("the two points lie on each other: take them far apart");
        }
    }

    @Override
    public Straight straight(List<Spot> at) {
        double scale = distance / at.get(0).from(at.get(1));
        return p -> new Spot(p.x() * scale, p.y() * scale);
    }
}
