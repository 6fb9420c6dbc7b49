package mensor.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mensor.picture.Homography.Spot;
import org.junit.jupiter.api.Test;

/** Straightening a picture by a card in it, against a closed form and against made-up pictures of known truth. */
class StraightenedPictureTest {
    /** The unit square to (0,0) (2,0) (3,2) (0,1): Heckbert (1989)'s closed form, worked out by hand. */
    @Test
    void theClosedForm() {
        Homography h = Homography.toCorners(new Spot(0, 0), new Spot(2, 0), new Spot(3, 2), new Spot(0, 1));
        double[] wanted = {1.2, 0, 0, 0, .8, 0, -.4, -.2, 1};
        for (int i = 0; i < 9; i++) {
            assertThat(h.m()[i]).as("entry " + i).isCloseTo(wanted[i], within(1e-12));
        }
        Spot middle = h.of(new Spot(.5, .5));
        assertThat(middle.x()).isCloseTo(.857143, within(1e-6));
        assertThat(middle.y()).isCloseTo(.571429, within(1e-6));
        Spot back = h.inverse().of(middle);
        assertThat(back.x()).isCloseTo(.5, within(1e-12));
        assertThat(back.y()).isCloseTo(.5, within(1e-12));
    }

    /** A camera over a plate: turned, tilted and near enough that what is far looks small. */
    private static Spot seen(double x, double y, double tilt, double turn) {
        double cx = x * Math.cos(turn) - y * Math.sin(turn);
        double cy = x * Math.sin(turn) + y * Math.cos(turn);
        double depth = 300 + cy * Math.sin(tilt);
        return new Spot(2000 + 4000 * cx / depth, 1500 + 4000 * cy * Math.cos(tilt) / depth);
    }

    private static List<Spot> card(double tilt, double turn) {
        return List.of(
                seen(0, 0, tilt, turn), seen(85.6, 0, tilt, turn), seen(85.6, 54, tilt, turn), seen(0, 54, tilt, turn));
    }

    @Test
    void distancesAndAreasComeBackFromATiltedPicture() {
        for (double tilt : new double[] {0, 0.3, 0.7, -0.6}) {
            for (double turn : new double[] {0, 1, 2.5}) {
                StraightenedPicture p = new StraightenedPicture(85.6, 54, card(tilt, turn), 0, 0);
                assertThat(PictureQuantity.DISTANCE
                                .in(p, List.of(seen(-20, 10, tilt, turn), seen(10, 50, tilt, turn)))
                                .value())
                        .isCloseTo(50, within(1e-6));
                assertThat(PictureQuantity.AREA
                                .in(
                                        p,
                                        List.of(
                                                seen(0, 60, tilt, turn),
                                                seen(8, 60, tilt, turn),
                                                seen(0, 66, tilt, turn)))
                                .value())
                        .isCloseTo(24, within(1e-6));
            }
        }
    }

    /** Places pointed at with a standard deviation of two pixels: the stated uncertainty covers the truth at k = 2 in at least 90 of 100. */
    @Test
    void theStatedUncertaintyCoversTheTruth() {
        int covered = 0;
        double mean = 0;
        for (int seed = 0; seed < 100; seed++) {
            Random random = new Random(seed);
            List<Spot> corners = new ArrayList<>();
            card(0.5, 0.4).forEach(s -> corners.add(shaken(s, random)));
            PictureQuantity.Measured m = PictureQuantity.DISTANCE.in(
                    new StraightenedPicture(85.6, 54, corners, 2, 0),
                    List.of(shaken(seen(10, 70, 0.5, 0.4), random), shaken(seen(18, 70, 0.5, 0.4), random)));
            covered += Math.abs(m.value() - 8) <= 2 * m.u() ? 1 : 0;
            mean += m.u() / 100;
        }
        assertThat(covered).isGreaterThanOrEqualTo(90);
        assertThat(mean).as("a leg of 8 mm, to about a quarter of a millimeter").isBetween(0.05, 0.6);
    }

    private static Spot shaken(Spot s, Random random) {
        return new Spot(s.x() + 2 * random.nextGaussian(), s.y() + 2 * random.nextGaussian());
    }

    @Test
    void aCardThatIsOnePercentOffMakesLengthsSo() {
        StraightenedPicture p = new StraightenedPicture(85.6, 54, card(0, 0), 0, 0.01);
        assertThat(PictureQuantity.DISTANCE
                        .in(p, List.of(seen(0, 0, 0, 0), seen(40, 0, 0, 0)))
                        .u())
                .isCloseTo(0.4, within(1e-6));
        assertThat(PictureQuantity.AREA
                        .in(p, List.of(seen(0, 0, 0, 0), seen(10, 0, 0, 0), seen(10, 10, 0, 0), seen(0, 10, 0, 0)))
                        .u())
                .isCloseTo(2, within(1e-6));
    }

    @Test
    void cornersThatAreNoCardAreRefused() {
        assertThatThrownBy(() -> new StraightenedPicture(
                        80, 50, List.of(new Spot(0, 0), new Spot(10, 0), new Spot(20, 0), new Spot(0, 10)), 1, 0))
                .hasMessageContaining("four corners");
        assertThatThrownBy(() -> new StraightenedPicture(
                        80, 50, List.of(new Spot(0, 0), new Spot(10, 10), new Spot(10, 0), new Spot(0, 10)), 1, 0))
                .hasMessageContaining("in order around it");
        assertThatThrownBy(() -> new StraightenedPicture(80, 50, List.of(new Spot(0, 0)), 1, 0))
                .hasMessageContaining("four corners");
        assertThatThrownBy(() -> new StraightenedPicture(0, 50, card(0, 0), 1, 0))
                .hasMessageContaining("over zero");
    }

    /** Each quantity of a plate seen askew comes back as it is on the plate: the numbers are geometry's. */
    @Test
    void everyQuantityComesBack() {
        StraightenedPicture p = new StraightenedPicture(85.6, 54, card(0.5, 0.4), 0, 0);
        assertThat(value(p, PictureQuantity.SMALLER_LEG, 0, 60, 8, 60, 0, 66)).isCloseTo(6, within(1e-6));
        assertThat(value(p, PictureQuantity.LENGTH, 0, 60, 3, 64, 3, 70)).isCloseTo(11, within(1e-6));
        assertThat(value(p, PictureQuantity.PITCH, 0, 60, 2, 60, 4.5, 60, 6, 60))
                .isCloseTo(2, within(1e-6));
        assertThat(value(p, PictureQuantity.STRAIGHTNESS, 0, 60, 10, 60.7, 20, 59.9, 30, 60))
                .isCloseTo(.7, within(1e-6));
        // three places of the circle of diameter 5 about (20, 70); a fourth and a fifth change nothing
        assertThat(value(p, PictureQuantity.DIAMETER, 22.5, 70, 20, 72.5, 17.5, 70))
                .isCloseTo(5, within(1e-6));
        assertThat(value(p, PictureQuantity.DIAMETER, 22.5, 70, 20, 72.5, 17.5, 70, 21.5, 72, 21.5, 68))
                .isCloseTo(5, within(1e-6));
    }

    private static double value(PicturePlane p, PictureQuantity q, double... xy) {
        return q.in(p, places(xy)).value();
    }

    private static List<Spot> places(double... xy) {
        List<Spot> places = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            places.add(seen(xy[i], xy[i + 1], 0.5, 0.4));
        }
        return places;
    }

    /** Of every quantity: places and corners shaken by two pixels, the truth is covered at k = 2 in at least 90 of 100; straightness leans up. */
    @Test
    void everyUncertaintyCovers() {
        Object[][] all = {
            {PictureQuantity.SMALLER_LEG, 6.0, new double[] {0, 60, 8, 60, 0, 66}},
            {PictureQuantity.LENGTH, 11.0, new double[] {0, 60, 3, 64, 3, 70}},
            {PictureQuantity.PITCH, 2.0, new double[] {0, 60, 2, 60, 4.5, 60, 6, 60}},
            {PictureQuantity.DIAMETER, 5.0, new double[] {22.5, 70, 20, 72.5, 17.5, 70, 20, 67.5}},
            {PictureQuantity.AREA, 24.0, new double[] {0, 60, 8, 60, 0, 66}}
        };
        for (Object[] a : all) {
            int covered = 0;
            for (int seed = 0; seed < 200; seed++) {
                Random random = new Random(seed);
                List<Spot> corners = new ArrayList<>();
                card(0.5, 0.4).forEach(s -> corners.add(shaken(s, random)));
                List<Spot> places = new ArrayList<>();
                places((double[]) a[2]).forEach(s -> places.add(shaken(s, random)));
                PictureQuantity.Measured m =
                        ((PictureQuantity) a[0]).in(new StraightenedPicture(85.6, 54, corners, 2, 0), places);
                covered += Math.abs(m.value() - (double) a[1]) <= 2 * m.u() ? 1 : 0;
            }
            assertThat(covered).as(a[0].toString()).isGreaterThanOrEqualTo(180);
        }
    }

    @Test
    void twoPointsSetTheScaleOfAPictureTakenSquare() {
        ScaledPicture p =
                new ScaledPicture(50, List.of(new Spot(100, 100), new Spot(1100, 100)), 1, ScaledPicture.BY_EYE);
        PictureQuantity.Measured m = PictureQuantity.DISTANCE.in(p, List.of(new Spot(300, 400), new Spot(300, 600)));
        assertThat(m.value()).isCloseTo(10, within(1e-9));
        // by hand: a pixel is .05 mm; two ends √2 × .05, the marks √2 × 10/1000, the plane one in a hundred
        assertThat(m.u()).isCloseTo(Math.sqrt(.005 + 2e-4 + .01), within(1e-4));
        assertThatThrownBy(() -> new ScaledPicture(50, List.of(new Spot(1, 1), new Spot(1, 1)), 1, 0))
                .hasMessageContaining("far apart");
        assertThatThrownBy(() ->
                        PictureQuantity.DIAMETER.in(p, List.of(new Spot(0, 0), new Spot(10, 10), new Spot(20, 20))))
                .hasMessageContaining("no diameter");
        assertThatThrownBy(() -> PictureQuantity.AREA.in(p, List.of(new Spot(0, 0))))
                .hasMessageContaining("around it");
    }
}
