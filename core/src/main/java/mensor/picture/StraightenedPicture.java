package mensor.picture;

import java.util.List;
import mensor.picture.Homography.Spot;

/**
 * A picture in which a card of known size lies in the plane of what is measured: its four corners straighten the plane.
 *
 * @param width of the card
 * @param marks the corners of the card in the picture, around it, beginning where the width goes to the second
 * @param share standard uncertainty of the card's width and height, as a share of them
 */
public record StraightenedPicture(double width, double height, List<Spot> marks, double pixels, double share)
        implements PicturePlane {
    public StraightenedPicture {
        marks = List.copyOf(marks);
        if (marks.size() != 4) {
            throw new IllegalArgumentException("four corners are required, got " + marks.size());
        }
        if (!(width > 0) || !(height > 0) || !(pixels >= 0) || !(share >= 0)) {
            throw new IllegalArgumentException("a card of a size over zero is required");
        }
        toCard(marks); // refused where the corners are no card
    }

    private static Homography toCard(List<Spot> around) {
        return Homography.toCorners(around.get(0), around.get(1), around.get(2), around.get(3))
                .inverse();
    }

    @Override
    public Straight straight(List<Spot> at) {
        Homography h = toCard(at);
        return p -> {
            Spot s = h.of(p);
            return new Spot(s.x() * width, s.y() * height);
        };
    }
}
