package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Optional;
import java.util.Random;
import mensor.inspection.Face;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Dihedral;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.LegMeaning;
import mensor.weld.Member;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The section's geometry against the same geometry worked out with plain vectors, and against hand-worked figures. */
class SectionSizeTest {
    private static Joint joint(double degrees, LegMeaning legs) {
        return new JointBuilder("T", WeldType.FILLET, Connection.TEE, Length.inches(10))
                .size(Length.inches(5, 16))
                .sizeMeans(LegMeaning.CONTACT)
                .dihedral(new Dihedral(BigDecimal.valueOf(degrees)))
                .legs(legs)
                .members(new Member("a", Length.inches(1)), new Member("b", Length.inches(1)))
                .build();
    }

    private static Reading.Station station(double a, double b) {
        return Reading.Station.legs(Length.inches(1), inches(a), inches(b));
    }

    private static Length inches(double d) {
        return Length.parse(
                BigDecimal.valueOf(d)
                        .setScale(4, java.math.RoundingMode.HALF_UP)
                        .toPlainString(),
                Unit.INCH);
    }

    private static double value(mensor.length.RealLength l) {
        return l.rounded().approximateNanometres() / Unit.INCH.nanometres();
    }

    /** The distance from the corner to the face, by vectors. */
    private static double throatByVectors(double a, double b, double degrees) {
        double psi = Math.toRadians(degrees);
        double ax = a * Math.cos(psi);
        double ay = a * Math.sin(psi);
        double dx = b - ax;
        double dy = -ay;
        double t = -(ax * dx + ay * dy) / (dx * dx + dy * dy);
        double onFace = Math.max(0, Math.min(1, t));
        return Math.hypot(ax + onFace * dx, ay + onFace * dy);
    }

    @Test
    void theoreticalThroatIsTheDistanceToTheFace() {
        Random random = new Random(3);
        for (int i = 0; i < 500; i++) {
            double degrees = 30 + random.nextInt(121);
            double a = 0.1 + random.nextInt(400) / 1000.0;
            double b = 0.1 + random.nextInt(400) / 1000.0;
            double throat = value(SectionSize.theoreticalThroat(joint(degrees, LegMeaning.CONTACT), station(a, b)));
            assertThat(throat).as("%s %s %s", a, b, degrees).isCloseTo(throatByVectors(a, b, degrees), within(1e-6));
        }
    }

    @Test
    void theChordIsTheDistanceFromToeToToe() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            double degrees = 30 + random.nextInt(121);
            double psi = Math.toRadians(degrees);
            double a = 0.1 + random.nextInt(400) / 1000.0;
            double b = 0.1 + random.nextInt(400) / 1000.0;
            double chord = Math.hypot(b - a * Math.cos(psi), a * Math.sin(psi));
            assertThat(value(SectionSize.chord(joint(degrees, LegMeaning.CONTACT), station(a, b))))
                    .isCloseTo(chord, within(1e-6));
        }
    }

    /** Perpendicular legs are the contact legs × sin ψ: the same section read with the other gauge is the same size. */
    @ParameterizedTest
    @CsvSource({"60", "75", "90", "110", "135"})
    void bothGaugesReadTheSameSection(double degrees) {
        double sine = Math.sin(Math.toRadians(degrees));
        double contact = 0.4;
        var byContact = SectionSize.of(joint(degrees, LegMeaning.CONTACT), station(contact, contact))
                .orElseThrow();
        var byDistance = SectionSize.of(
                        joint(degrees, LegMeaning.PERPENDICULAR), station(contact * sine, contact * sine))
                .orElseThrow();
        assertThat(value(byDistance.size())).isCloseTo(value(byContact.size()), within(2e-4));
    }

    @Test
    void aThroatOfThreeFourFiveIsWorkedByHand() {
        // legs 3 and 4: face 5, throat 12/5
        Joint square = joint(90, LegMeaning.CONTACT);
        Reading.Station s = station(3, 4);
        assertThat(value(SectionSize.chord(square, s))).isEqualTo(5);
        assertThat(value(SectionSize.theoreticalThroat(square, s))).isCloseTo(2.4, within(1e-9));
    }

    @Test
    void concavityTakesTheThroatDown() {
        Optional<Length> none = Optional.empty();
        Reading.Station s = new Reading.Station(
                Length.inches(1),
                new Reading.FilletMeasures(
                        Optional.of(Length.inches(3, 8)),
                        Optional.of(Length.inches(3, 8)),
                        none,
                        none,
                        Optional.of(Length.inches(1, 16)),
                        none),
                Reading.GrooveMeasures.NONE,
                Reading.ToeAngles.NONE,
                Optional.of(Face.CONCAVE),
                none,
                Optional.empty());
        SectionSize size = SectionSize.of(joint(90, LegMeaning.CONTACT), s).orElseThrow();
        // (3/8 ÷ √2 − 1/16) × √2 = .375 − .08839
        assertThat(value(size.size())).isCloseTo(0.28661, within(1e-5));
        assertThat(size.isWhole()).isTrue();
        assertThat(size.how()).contains("concavity");
    }

    @Test
    void saysWhatItComesFrom() {
        Joint square = joint(90, LegMeaning.CONTACT);
        SectionSize flat = SectionSize.of(square, station(0.375, 0.3125)).orElseThrow();
        assertThat(flat.how()).isEqualTo("smaller leg 5/16");
        assertThat(flat.isFaceAssumed()).isTrue();
        assertThat(SectionSize.of(
                        square,
                        Reading.Station.of(
                                Length.inches(1),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(Face.FLAT))))
                .as("a face alone tells nothing of the size")
                .isEmpty();
    }
}
