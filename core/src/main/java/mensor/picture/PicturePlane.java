package mensor.picture;

import java.util.List;
import mensor.picture.Homography.Spot;

/** What makes places in a picture into places in the plane of what is measured: marks that were pointed at, and how far apart they are. */
public sealed interface PicturePlane permits ScaledPicture, StraightenedPicture {
    /** What was pointed at to tell the scale, in pixels. */
    List<Spot> marks();

    /** How surely a place is pointed at, a standard deviation in pixels. */
    double pixels();

    /** Standard uncertainty of the scale itself, as a share: of the card's size, of a plane that is not square to the camera. */
    double share();

    /** From pixels to the plane, were the marks there. */
    Straight straight(List<Spot> marks);

    /** A place in pixels as a place in the plane. */
    interface Straight {
        Spot of(Spot pixel);
    }
}
