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
                assertThat(p.distance(seen(-20, 10, tilt, turn), seen(10, 50, tilt, turn))
                                .value())
                        .isCloseTo(50, within(1e-6));
                assertThat(p.area(List.of(seen(0, 60, tilt, turn), seen(8, 60, tilt, turn), seen(0, 66, tilt, turn)))
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
            StraightenedPicture.Measured m = new StraightenedPicture(85.6, 54, corners, 2, 0)
                    .distance(shaken(seen(10, 70, 0.5, 0.4), random), shaken(seen(18, 70, 0.5, 0.4), random));
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
        assertThat(p.distance(seen(0, 0, 0, 0), seen(40, 0, 0, 0)).u()).isCloseTo(0.4, within(1e-6));
        assertThat(p.area(List.of(seen(0, 0, 0, 0), seen(10, 0, 0, 0), seen(10, 10, 0, 0), seen(0, 10, 0, 0)))
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
}
